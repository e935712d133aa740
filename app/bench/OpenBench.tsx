import { Link } from 'react-aria-components'
import { useLocation } from 'react-router'
import { openBenches, stillOff } from '../../core/bench/follow.ts'
import { spanText } from '../../core/time/words.ts'
import { MS_PER_HOUR } from '../../core/time/zone.ts'
import { useRing } from '../arrivals/useRing.ts'
import { useSecond } from '../arrivals/useSecond.ts'
import { useHousehold } from '../journal/provider.tsx'
import { AlarmBar } from '../look/AlarmBar.ts'

/** So many stand in the bar: more of them would cover the screen that they are shown on. */
const MOST_SHOWN = 3

/** Procedures that are under way, on every other screen: what is still off, for how long, and the way back. */
export function OpenBench() {
  const { journal } = useHousehold()
  const { pathname } = useLocation()
  const now = useSecond()
  const runs = openBenches(journal).filter(({ id }) => pathname !== `/bench/${id}`)
  const due = runs.flatMap(({ clocks }) => clocks).filter(({ ringsAt }) => now >= ringsAt)
  useRing(due.length === 0 ? null : due.map(({ label, begunAt }) => `${label} ${begunAt}`).join())
  if (runs.length === 0) return null
  // What is off for longest comes first.
  const offSince = (run: (typeof runs)[number]) => Math.min(Infinity, ...stillOff(run).map(({ since }) => since))
  const shown = [...runs].sort((a, b) => (offSince(a) < offSince(b) ? -1 : 1)).slice(0, MOST_SHOWN)
  const more = runs.length - shown.length
  return (
    <AlarmBar role="region" aria-label="At the bench">
      {shown.map((run) => {
        const off = stillOff(run)
        const words =
          off.length > 0
            ? `${off.map(({ item }) => item.replaceAll('-', ' ')).join(', ')} still off, ${spanText((now - Math.min(...off.map(({ since }) => since))) / MS_PER_HOUR)}`
            : 'not closed yet'
        return (
          <Link key={run.id} href={`/bench/${run.id}`} style={{ fontSize: 'clamp(18px, 4.6vw, 24px)' }}>
            {run.procedure.name}: {words}
            {off.length > 0 && ': put it back'}
          </Link>
        )
      })}
      {more > 0 && <Link href="/bench">and {more} more at the bench</Link>}
    </AlarmBar>
  )
}
