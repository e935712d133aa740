import { styled } from 'styled-components'
import type { ContainerPlan } from '../../../../core/acclimation/together.ts'
import type { Way } from '../../../../core/acclimation/ways.ts'
import type { BagReading } from '../../../../core/arrivals/box/bag-form.ts'
import { matchingSwap } from '../../../../core/arrivals/matching.ts'
import { WAY_NAMES } from '../../../../core/arrivals/run/step-words.ts'
import { Bar, Figure, Small, Stack } from '../../../look/text.ts'
import { changeVolume, quantityText } from '../../../../core/words/quantities.ts'
import type { PlanSource } from '../plan/plan-source.ts'
import { wayFigure } from './way-words.ts'

const Reasons = styled.ul`
  font-size: 15px;
  line-height: 1.4;
  color: var(--ink);
  li {
    padding-left: 16px;
    text-indent: -16px;
  }
  li::before {
    content: '–';
    display: inline-block;
    width: 16px;
    text-indent: 0;
    color: var(--quiet);
  }
`

const Advised = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.15fr);
  gap: 6px 32px;
  align-items: start;
  @media (max-width: 759px) {
    grid-template-columns: minmax(0, 1fr);
  }
`

/** What is advised, in words with its reasons; the number that is acted on the largest. */
export function Advice({
  title,
  container: { comparison, bag },
  way,
  source,
  question,
  isSwapped,
  isAssumed,
}: {
  title: string | null
  container: ContainerPlan
  way: Way
  source: PlanSource
  question: NonNullable<BagReading['question']>
  /** Water was swapped, and the tank is to be measured before anything more is. */
  isSwapped: boolean
  /** Nobody has measured the bag: it is advised only if it is as assumed. */
  isAssumed: boolean
}) {
  const { figure, how } = wayFigure(way)
  const { advised, reasons, keptWarm } = comparison
  const isAdvised = way.kind === advised
  const swap =
    way.kind === 'match-and-release' && !isSwapped && !(isAssumed && source.context.tank.role === 'display')
      ? matchingSwap(source.context.tank.volume?.netL ?? null, question.tank, bag.salinityPsu)
      : null
  return (
    <section aria-label={title ? `Advice for ${title}` : 'Advice'}>
      <Stack $gap={8}>
        {title && <h2 style={{ fontSize: 19 }}>{title}</h2>}
        {advised === null ? (
          <Bar $tone="act">
            No way keeps all its limits.{' '}
            {keptWarm && 'Kept warm by a float collar or warm packs, it could be mixed: tick it.'}
          </Bar>
        ) : null}
        <Advised>
          <div>
            <Small as="span" style={{ fontSize: 15 }}>
              {isAdvised
                ? isAssumed
                  ? 'If it is as assumed: '
                  : 'Advised: '
                : advised === null
                  ? 'Chosen: '
                  : 'Chosen against the advice: '}
              {WAY_NAMES[way.kind].toLowerCase()}
            </Small>
            <div>
              <Figure $size={40}>
                {swap && swap.withWhat === 'fresh'
                  ? quantityText(changeVolume(swap.litres, source.context.units))
                  : figure}
              </Figure>
            </div>
            <div style={{ fontSize: 17, lineHeight: 1.35 }}>
              {swap && swap.withWhat === 'fresh'
                ? `of ${source.context.tank.name} swapped for fresh water first; then ${way.moveAt} minutes afloat, opened and across at once`
                : how}
            </div>
          </div>
          <Reasons aria-label="Reasons">
            {reasons.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
          </Reasons>
        </Advised>
      </Stack>
    </section>
  )
}
