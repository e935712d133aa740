import { styled } from 'styled-components'
import type { BenchClock } from '../../../core/bench/follow.ts'
import { clockText } from '../../../core/time/words.ts'
import { Figure, Quiet } from '../../look/text.ts'

const Clocks = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 28px;
  & > li[data-due='true'] {
    color: var(--act);
  }
`

/** Every clock that runs, side by side: how long it has, and that it is over. */
export function BenchClocks({ clocks, now }: { clocks: readonly BenchClock[]; now: number }) {
  if (clocks.length === 0) return null
  return (
    <Clocks aria-label="Clocks">
      {clocks.map(({ label, begunAt, ringsAt, stopsAt }) => {
        // The page's clock ticks by the second: a clock that has just begun is not ahead of itself.
        const left = Math.min(ringsAt - now, ringsAt - begunAt)
        const isDue = now >= ringsAt
        const isOver = stopsAt !== null && now >= stopsAt
        return (
          <li key={`${label} ${begunAt}`} data-due={isDue}>
            <div role="timer" aria-label={label}>
              <Figure $size={34}>{clockText(isDue ? now - begunAt : left)}</Figure>
              <br />
              <Quiet style={isDue ? { color: 'inherit', fontWeight: 700 } : undefined}>
                {label}
                {isOver ? ': over its limit, end it now' : isDue ? ': time is up' : ''}
              </Quiet>
            </div>
          </li>
        )
      })}
    </Clocks>
  )
}
