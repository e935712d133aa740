import { useId, useRef } from 'react'
import { styled } from 'styled-components'
import type { CoursePlan } from '../../../../core/courses/plan.ts'
import { shelfOf, type ShelfProduct } from '../../../../core/household/shelf.ts'
import {
  alkalinityCorrection,
  correctionPortion,
  testingDebt,
  type AlkalinityCorrection,
  type TestingDebt,
} from '../../../../core/readings/testing-debt.ts'
import { dayAs, momentBeside } from '../../../../core/time/words.ts'
import { measureText } from '../../../../core/words/measure.ts'
import { figures, plural } from '../../../../core/words/numbers.ts'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button } from '../../../look/buttons.ts'
import { useWidth } from '../../../look/useWidth.ts'
import { Bar, Figure, Heading, Small, Stack } from '../../../look/text.ts'
import { DoubtList, useDoubts } from '../../../safety/Doubts.tsx'
import { Legend } from './legend.ts'

const HEIGHT = 180
const PAD = { left: 44, right: 12, top: 12, bottom: 24 }

const Svg = styled.svg`
  display: block;
  overflow: visible;
  text {
    font-size: 12.5px;
    fill: var(--quiet);
  }
`

/** Readings solid, what is guessed since the last one hatched, and the band that it must not leave. */
function DebtDrawing({ debt, now }: { debt: TestingDebt; now: number }) {
  const { settings } = useHousehold()
  const id = useId().replaceAll(':', '')
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box)
  const { clock, units } = settings
  const { readings } = debt
  const amount = (value: number) => measureText(value, 'dKH', units, 3)
  const from = readings[0]!.at
  const until = debt.path.at(-1)!.at
  const values = [
    ...readings.map(({ value }) => value),
    ...debt.path.flatMap(({ low, high }) => [low, high]),
    ...debt.band,
  ]
  const [least, most] = [Math.floor(Math.min(...values)), Math.ceil(Math.max(...values))]
  const x = (at: number) => PAD.left + ((at - from) / (until - from)) * (width - PAD.left - PAD.right)
  const y = (value: number) => PAD.top + ((most - value) / (most - least)) * (HEIGHT - PAD.top - PAD.bottom)
  const line = (points: readonly { at: number; value: number }[]) =>
    points.map(({ at, value }, i) => `${i === 0 ? 'M' : 'L'}${x(at).toFixed(1)},${y(value).toFixed(1)}`).join('')
  const fan = [
    ...debt.path.map(({ at, high }) => ({ at, value: high })),
    ...[...debt.path].reverse().map(({ at, low }) => ({ at, value: low })),
  ]
  return (
    <div ref={box}>
      {width > 0 && (
        <Svg
          width={width}
          height={HEIGHT}
          role="img"
          aria-label={`Alkalinity: last read ${amount(debt.last.value)}, guessed ${amount(debt.now.low)} to ${amount(debt.now.high)} now`}
        >
          <defs>
            <pattern id={id} width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <line x1={0} y1={0} x2={0} y2={7} stroke="var(--second)" strokeWidth={2} />
            </pattern>
          </defs>
          <rect
            x={PAD.left}
            width={width - PAD.left - PAD.right}
            y={y(debt.band[1])}
            height={y(debt.band[0]) - y(debt.band[1])}
            fill="var(--band)"
          />
          {[...new Set([least, ...debt.band, most])].map((value) => (
            <text key={value} x={PAD.left - 8} y={y(value) + 4} textAnchor="end">
              {figures(value, 3)}
            </text>
          ))}
          <path d={`${line(fan)}Z`} fill={`url(#${id})`} opacity={0.55} />
          <path d={line(readings)} fill="none" stroke="var(--second)" strokeWidth={2.5} />
          {readings.map(({ at, value }) => (
            <circle key={at} cx={x(at)} cy={y(value)} r={4} fill="var(--second)" />
          ))}
          <line x1={x(now)} x2={x(now)} y1={PAD.top} y2={HEIGHT - PAD.bottom} stroke="var(--ink)" strokeWidth={2} />
          <text
            x={x(now)}
            y={HEIGHT - 6}
            textAnchor={now > from + 0.8 * (until - from) ? 'end' : 'middle'}
            style={{ fill: 'var(--ink)' }}
          >
            today
          </text>
          <text x={PAD.left} y={HEIGHT - 6}>
            {dayAs(clock.dayOf(from), 'd MMM')}
          </text>
        </Svg>
      )}
    </div>
  )
}

/** What is not known of the alkalinity since the last test, when it has to be tested at the latest, and what brings it back. */
export function AlkalinityPanel({ plan }: { plan: CoursePlan }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { tankId } = plan.course
  const debt = testingDebt(journal, tankId, now)
  if (!debt || plan.course.ended) return null
  const { clock, units } = settings
  const correction = alkalinityCorrection(journal, tankId, debt)
  const product = shelfOf(journal).find(({ ingredient }) => ingredient === 'sodium-bicarbonate')
  const amount = (value: number) => measureText(value, 'dKH', units, 2)
  return (
    <section>
      <Heading>
        <span>
          Alkalinity{' '}
          <Figure $size={15}>
            {amount(debt.now.low)} to {amount(debt.now.high)}
          </Figure>
        </span>
        <Legend>solid was tested, hatched is guessed</Legend>
      </Heading>
      <Stack $gap={10} style={{ paddingTop: 12 }}>
        <DebtDrawing debt={debt} now={now} />
        {debt.alarmAt !== null && (
          <Bar $tone={debt.alarmAt <= now ? 'act' : 'soon'}>
            {debt.alarmAt <= now
              ? `Test now${debt.daysUntested < 1 ? '' : `: untested for ${plural(Math.floor(debt.daysUntested), 'day')}`}: it may be out of its band of ${amount(debt.band[0])} to ${amount(debt.band[1])}.`
              : `Test by ${momentBeside(debt.alarmAt, now, clock)}: from then on it may be out of its band.`}
          </Bar>
        )}
        <Small>
          {debt.uptakePerDay > 0 ? `${amount(debt.uptakePerDay)} vanish a day` : 'nothing vanishes by these tests'},
          give or take {amount(debt.uptakeError)}; last tested {amount(debt.last.value)}{' '}
          {momentBeside(debt.last.at, now, clock)}. A shared kit: draw the sample into a throw-away cup, never pour it
          back; rinse, disinfect and dry the vial.
        </Small>
        {correction && (
          <>
            <p>
              <Figure $size={26}>{figures(correction.gramsToday, 2)} g</Figure> of sodium bicarbonate today, in{' '}
              {plural(correction.portions, 'portion')} of {figures(correction.gramsToday / correction.portions, 2)} g
              some hours apart: {amount(correction.today)}, what a day takes counted in. At most{' '}
              {amount(correction.capPerDay)} more a day, so {plural(correction.days, 'day')} to the middle of the band.
            </p>
            <Small>
              By what is guessed: test first. Dissolve it in fresh water, in slowly, into strong flow; test again the
              next day.
            </Small>
            {product && <Portion plan={plan} correction={correction} product={product} />}
          </>
        )}
      </Stack>
    </section>
  )
}

/** One portion, ready to be logged: what the tool can measure, and what the water speaks against it. */
function Portion({
  plan,
  correction,
  product,
}: {
  plan: CoursePlan
  correction: AlkalinityCorrection
  product: ShelfProduct
}) {
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const { tankId, id: courseId } = plan.course
  const at = (instant: number) => correctionPortion(correction, product, { tankId, courseId, at: instant })
  const portion = at(now)
  const doubts = useDoubts(portion ? [portion] : [])
  if (!portion) return <Small>The tool of {product.name} cannot measure so little: make up a stock.</Small>
  return (
    <>
      <DoubtList doubts={doubts} />
      <div>
        <Button
          isDisabled={busy || !doubts.isClear}
          onPress={() => void keep(doubts.answered([at(thisInstant()) ?? portion]))}
        >
          Log one portion, {figures(portion.amount, 3)} {portion.unit}
        </Button>
      </div>
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}
