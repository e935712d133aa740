import { Link } from 'react-aria-components'
import { useLocation } from 'react-router'
import { styled } from 'styled-components'
import { openBenches } from '../../core/bench/follow.ts'
import type { ChecklistItem } from '../../core/catalogue/procedures/procedure.types.ts'
import { spanText } from '../../core/time/words.ts'
import { MS_PER_HOUR } from '../../core/time/zone.ts'
import { useRing } from '../arrivals/useRing.ts'
import { useSecond } from '../arrivals/useSecond.ts'
import { useHousehold } from '../journal/provider.tsx'

const Bar = styled.div`
  padding: 0 16px;
  background: var(--sheet);
  border-bottom: 2px solid var(--act);
  a {
    display: flex;
    align-items: center;
    min-height: 44px;
    color: var(--act);
    font-weight: 600;
    text-decoration-color: var(--strong-rule);
  }
`

/** Procedures that are under way, on every other screen: what is still off, for how long, and the way back. */
export function OpenBench() {
  const { journal } = useHousehold()
  const { pathname } = useLocation()
  const now = useSecond()
  const runs = openBenches(journal).filter(({ id }) => pathname !== `/bench/${id}`)
  const due = runs.flatMap(({ clocks }) => clocks).filter(({ ringsAt }) => now >= ringsAt)
  useRing(due.length === 0 ? null : due.map(({ label, begunAt }) => `${label} ${begunAt}`).join())
  if (runs.length === 0) return null
  return (
    <Bar role="region" aria-label="At the bench">
      {runs.map((run) => {
        const off = run.occasions.filter(
          ({ place, state, item }) =>
            place === 'before' && state === 'done' && (item as ChecklistItem).switches?.running === false,
        )
        const stillOff = off.flatMap(({ item, endedAt }) => {
          const { switches } = item as ChecklistItem
          const isBack = run.occasions.some(
            (one) =>
              one.place === 'after' &&
              one.state === 'done' &&
              (one.item as ChecklistItem).switches?.item === switches!.item,
          )
          return isBack ? [] : [{ item: switches!.item.replaceAll('-', ' '), since: endedAt! }]
        })
        const words =
          stillOff.length > 0
            ? `${stillOff.map(({ item }) => item).join(', ')} still off, ${spanText((now - Math.min(...stillOff.map(({ since }) => since))) / MS_PER_HOUR)}`
            : 'not closed yet'
        return (
          <Link key={run.id} href={`/bench/${run.id}`}>
            {run.procedure.name}: {words}
          </Link>
        )
      })}
    </Bar>
  )
}
