import { Link } from 'react-aria-components'
import { useLocation } from 'react-router'
import { useMemo } from 'react'
import { styled } from 'styled-components'
import { isForgotten, runNow } from '../../core/arrivals/run/run-now.ts'
import { instantOf, liveRuns, runLabel, type Run } from '../../core/arrivals/run/runs.ts'
import { stepWords } from '../../core/arrivals/run/step-words.ts'
import { momentBeside } from '../../core/time/words.ts'
import { thisInstant } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { useRing } from './useRing.ts'
import { useSecond } from './useSecond.ts'

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0 24px;
  padding: 0 16px;
  background: var(--sheet);
  border-bottom: 2px solid var(--second);
  a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    color: var(--ink);
    font-weight: 600;
    text-decoration-color: var(--strong-rule);
  }
  a[data-due='true'] {
    color: var(--act);
  }
`

/** What is under way, on every other screen: it rings there too, and leads back. */
export function RunBar() {
  const { journal } = useHousehold()
  const { pathname } = useLocation()
  const runs = liveRuns(journal)
  if (runs.length === 0 || pathname.startsWith('/arrivals/run/')) return null
  return (
    <Bar role="region" aria-label="Acclimation under way">
      {runs.map((run) => (
        <Running key={run.id} run={run} />
      ))}
    </Bar>
  )
}

function Running({ run }: { run: Run }) {
  const { settings } = useHousehold()
  const now = useSecond()
  const tick = Math.floor(now / 10_000)
  // eslint-disable-next-line react-hooks/exhaustive-deps -- every ten seconds; the clock runs on by the second
  const { next } = useMemo(() => runNow(run, thisInstant()), [run, tick])
  const left = Math.round((instantOf(run, next.minute) - now) / 1000)
  const isLost = isForgotten(run, now)
  const isDue = left <= 0 && !isLost
  useRing(isDue ? `${run.id} ${next.kind} ${run.happenings.length}` : null)
  const { figure } = stepWords(next, run.setup.method, true, settings.units)
  const two = (value: number) => String(value).padStart(2, '0')
  const span = Math.abs(left)
  if (isLost)
    return (
      <Link href={`/arrivals/run/${run.id}`}>
        {runLabel(run)}: never ended, since {momentBeside(run.startedAt, now, settings.clock)}
      </Link>
    )
  return (
    <Link href={`/arrivals/run/${run.id}`} data-due={isDue}>
      {runLabel(run)}: {figure}, {isDue ? 'due' : 'in'} {two(Math.floor(span / 60))}:{two(span % 60)}
    </Link>
  )
}
