import { useMemo } from 'react'
import type { BoxQuestion } from '../../../../core/acclimation/together.ts'
import { likelyBags, type LikelyBag } from '../../../../core/acclimation/likely-bags.ts'
import { WAY_NAMES } from '../../../../core/arrivals/run/step-words.ts'
import { Figure, Heading, Quiet, Rows, Small, Stack } from '../../../look/text.ts'
import { useComparison } from './useComparison.ts'
import { wayFigure } from './way-words.ts'

/** What comes first while nobody has measured the bag, and what would be chosen for three bags as they may turn out. */
export function LikelyBags({
  question,
  unmeasured,
  names,
}: {
  question: BoxQuestion
  unmeasured: ReadonlySet<string>
  names: (ids: readonly string[]) => string
}) {
  const bags = useMemo(() => likelyBags(question, unmeasured), [question, unmeasured])
  return (
    <section aria-label="Before it is measured">
      <Stack $gap={8}>
        <div>
          <Heading>Float, open, measure, then choose</Heading>
          <Figure $size={40}>{question.float.minutes} min</Figure>
          <div style={{ fontSize: 17 }}>
            afloat, then salinity and temperature, pH and ammonia after long transit: the run asks for them and works
            the way out again
          </div>
        </div>
        <Small>What would be chosen if the bag reads:</Small>
        <Rows>
          {bags.map((likely) => (
            <Likely key={likely.psu} likely={likely} names={names} />
          ))}
        </Rows>
      </Stack>
    </section>
  )
}

function Likely({ likely, names }: { likely: LikelyBag; names: (ids: readonly string[]) => string }) {
  const { answered, isBehind } = useComparison(likely.question)
  const containers = answered && !isBehind ? answered.plan.containers : []
  return (
    <li>
      <Figure $size={20}>{likely.words}</Figure>{' '}
      {containers.length === 0 ? (
        <Quiet>working it out …</Quiet>
      ) : (
        containers.map(({ ids, comparison: { ways, advised } }) => {
          const way = ways[0]!
          const { figure, how } = wayFigure(way)
          return (
            <div key={ids.join(' ')}>
              {containers.length > 1 && `${names(ids)}: `}
              <strong>{WAY_NAMES[way.kind].toLowerCase()}</strong>, {figure} <Quiet>{how}</Quiet>
              {advised === null && <Quiet>; no way keeps all its limits</Quiet>}
            </div>
          )
        })
      )}
    </li>
  )
}
