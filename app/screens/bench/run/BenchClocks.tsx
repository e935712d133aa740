import { styled } from 'styled-components'
import { isOverLimit, type BenchClock } from '../../../../core/bench/follow.ts'
import { clockText } from '../../../../core/time/words.ts'
import { MS_PER_MINUTE } from '../../../../core/time/zone.ts'
import { PlainButton } from '../../../look/buttons.ts'
import { Figure, Quiet } from '../../../look/text.ts'

const Clocks = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 28px;
  & > li[data-due='true'] {
    color: var(--act);
  }
`

/** Every clock that runs, side by side: whose it is, how long it has, and that it is over. */
export function BenchClocks({
  clocks,
  now,
  nameOf,
  onEnd,
}: {
  clocks: readonly BenchClock[]
  now: number
  nameOf: (id: string) => string
  /** Shows the step that a timer belongs to, to end it early. */
  onEnd: (clock: BenchClock) => void
}) {
  if (clocks.length === 0) return null
  return (
    <Clocks aria-label="Clocks">
      {clocks.map((clock) => {
        const { label, subjectId, begunAt, ringsAt, wetEveryMinutes, step } = clock
        const name = subjectId === null ? label : `${nameOf(subjectId)}, ${label}`
        // The page's clock ticks by the second: a clock that has just begun is not ahead of itself.
        const left = Math.min(ringsAt - now, ringsAt - begunAt)
        const isDue = now >= ringsAt
        const isOver = isOverLimit(clock, now)
        return (
          <li key={`${name} ${begunAt}`} data-due={isDue}>
            <div role="timer" aria-label={name}>
              {/* A timer counts down; what is out of the water counts up. */}
              <Figure $size={34}>{clockText(isDue || step === null ? Math.max(0, now - begunAt) : left)}</Figure>
              <br />
              <Quiet style={isDue ? { color: 'inherit', fontWeight: 700 } : undefined}>
                {name}
                {isOver
                  ? ': over its limit, end it now'
                  : isDue
                    ? ': time is up'
                    : step === null
                      ? `, ${Math.round((ringsAt - begunAt) / MS_PER_MINUTE)} min at most`
                      : ''}
              </Quiet>
              {wetEveryMinutes !== null && <Quiet> · {wetWords(begunAt, now, wetEveryMinutes)}</Quiet>}
            </div>
            {step !== null && !isDue && <PlainButton onPress={() => onEnd(clock)}>end it early</PlainButton>}
          </li>
        )
      })}
    </Clocks>
  )
}

/** When a rock that is kept wet is dipped next. */
function wetWords(begunAt: number, now: number, everyMinutes: number): string {
  const since = Math.max(0, now - begunAt)
  const left = everyMinutes * MS_PER_MINUTE - (since % (everyMinutes * MS_PER_MINUTE))
  return `dip it again in ${clockText(left)}`
}
