import { useRef } from 'react'
import { styled } from 'styled-components'
import type { ClockStretch } from '../../core/courses/tracks/hold.ts'
import type { CoursePlan, HeldLevel } from '../../core/courses/plan.ts'
import { dayAs, spanText, timeOf } from '../../core/time/words.ts'
import { MS_PER_DAY, type ZoneClock } from '../../core/time/zone.ts'
import { useWidth } from '../look/useWidth.ts'

const Strip = styled.div<{ $height: number }>`
  position: relative;
  height: ${({ $height }) => $height}px;
  border: 1.5px solid var(--ink);
  background: var(--sheet);
`

const LOOKS: Record<ClockStretch['kind'], string> = {
  before: 'background: transparent;',
  proven: 'background: var(--second);',
  superseded: 'background: color-mix(in srgb, var(--second) 42%, var(--sheet));',
  broken: 'background: var(--sheet);',
  'reckoned-broken': 'background: repeating-linear-gradient(45deg, var(--act) 0 1.5px, var(--sheet) 1.5px 7px);',
  unknown: 'background: repeating-linear-gradient(90deg, var(--second) 0 2px, transparent 2px 5px);',
  expected: 'background-image: var(--hatch-second);',
}

const Part = styled.div<{ $kind: ClockStretch['kind'] }>`
  position: absolute;
  top: 0;
  bottom: 0;
  overflow: hidden;
  display: flex;
  align-items: center;
  justify-content: center;
  ${({ $kind }) => LOOKS[$kind]}
`

const Words = styled.span<{ $on: 'solid' | 'hatched' }>`
  font-size: 15px;
  font-weight: 700;
  white-space: nowrap;
  padding: 1px 7px;
  ${({ $on }) => ($on === 'solid' ? 'color: var(--on-second);' : 'background: var(--ground); color: var(--ink); font-weight: 500;')}
`

const Now = styled.div`
  position: absolute;
  top: -7px;
  bottom: -7px;
  width: 2px;
  margin-left: -1px;
  background: var(--ink);
`

const Under = styled.div`
  position: relative;
  height: 24px;
  margin-top: 5px;
  font-size: 14px;
  color: var(--quiet);
`

const Label = styled.span<{ $tone: 'quiet' | 'act' | 'now' }>`
  position: absolute;
  top: 0;
  white-space: nowrap;
  ${({ $tone }) => $tone === 'act' && 'color: var(--act); font-weight: 700;'}
  ${({ $tone }) => $tone === 'now' && 'color: var(--ink); font-weight: 700;'}
`

interface Mark {
  at: number
  text: string
  tone: 'quiet' | 'act' | 'now'
  /** What is left out first where there is no room. */
  weight: number
}

/** The text of the strip for those who do not see it. */
export function stripWords({ clock, isProven, breaks }: HeldLevel, { course }: CoursePlan, zone: ZoneClock): string {
  const day = (ms: number) => dayAs(zone.dayOf(ms), 'd MMMM')
  const proof = isProven ? 'proven' : 'logged'
  const parts = clock.stretches.map(({ kind, from, to }) => {
    const span = `${day(from)} to ${day(to)}`
    switch (kind) {
      case 'before':
        return `${span}: not yet in range`
      case 'proven':
        return `${span}: ${proof} in range`
      case 'superseded':
        return `${span}: was in range, no longer counts`
      case 'broken':
        return `${span}: ${breaks} range`
      case 'reckoned-broken':
        return `${span}: ${breaks} range by reckoning, no reading yet`
      case 'unknown':
        return `${span}: too long without a reading`
      case 'expected':
        return `${span}: hoped for`
    }
  })
  return `${spanText(clock.provenHours)} ${proof} of ${course.requiredDays} days. ${parts.join('; ')}`
}

function marksOf({ clock }: HeldLevel, { course, facts }: CoursePlan, zone: ZoneClock, now: number): Mark[] {
  const day = (ms: number) => dayAs(zone.dayOf(ms), 'd MMM')
  const marks: Mark[] = [{ at: course.startedAt, text: day(course.startedAt), tone: 'quiet', weight: 2 }]
  const first = clock.stretches.find(({ kind }) => kind === 'superseded')
  if (first) marks.push({ at: first.from, text: `in range ${day(first.from)}`, tone: 'quiet', weight: 1 })
  const last = clock.breaks.at(-1)
  if (last)
    marks.push({
      at: last.from,
      text: `${last.isReckoned ? 'reckoned under' : 'broke'} ${day(last.from)}`,
      tone: 'act',
      weight: 4,
    })
  if (clock.runFrom !== null)
    marks.push({
      at: clock.runFrom,
      text: `${first ? 'again' : 'in range'} ${day(clock.runFrom)}`,
      tone: 'quiet',
      weight: 3,
    })
  if (!course.ended && now <= facts.now) marks.push({ at: now, text: 'now', tone: 'now', weight: 5 })
  if (clock.completesAt !== null)
    marks.push({
      at: clock.completesAt,
      text: `${day(clock.completesAt)}, ${timeOf(clock.completesAt, zone)}`,
      tone: 'quiet',
      weight: 6,
    })
  return marks
}

/** About so wide a letter of a label is, px: labels must not run into each other. */
const LETTER = 7.4
/** Room that the words within the strip need, px. */
const WORDS_ROOM = 124

/** Labels that fit beside each other, the weightier first. */
function fitting(
  marks: readonly Mark[],
  place: (ms: number) => number,
  width: number,
): (Mark & { left: number; end: boolean })[] {
  const placed: (Mark & { left: number; from: number; to: number; end: boolean })[] = []
  for (const mark of [...marks].sort((a, b) => b.weight - a.weight)) {
    const share = (mark.text.length * LETTER) / width
    const at = place(mark.at)
    const end = at + share > 1
    const [from, to] = end ? [at - share, at] : [at, at + share]
    if (placed.every((other) => to < other.from - 8 / width || from > other.to + 8 / width))
      placed.push({ ...mark, left: at, from, to, end })
  }
  return placed
}

/** The clock of a course: what is proven solid, what is hoped for hatched, what broke a gap. */
export function ClockStrip({
  plan,
  held,
  zone,
  now,
  small = false,
}: {
  plan: CoursePlan
  held: HeldLevel
  zone: ZoneClock
  now: number
  small?: boolean
}) {
  const { course } = plan
  const { clock, isProven } = held
  const start = course.startedAt
  const end = Math.max(start + MS_PER_DAY, ...clock.stretches.map(({ to }) => to), course.ended ? course.ended.at : now)
  const place = (ms: number) => (ms - start) / (end - start)
  const percent = (share: number) => `${(100 * share).toFixed(3)}%`
  const isNowShown = !course.ended && now < end
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box)
  return (
    <div ref={box}>
      <Strip $height={small ? 9 : 34} role="img" aria-label={stripWords(held, plan, zone)}>
        {clock.stretches.map(({ kind, from, to }) => {
          const share = place(to) - place(from)
          return (
            <Part key={`${kind}-${from}`} $kind={kind} style={{ left: percent(place(from)), width: percent(share) }}>
              {!small && kind === 'proven' && share * width > WORDS_ROOM && (
                <Words $on="solid">
                  {spanText(clock.provenHours)} {isProven ? 'proven' : 'logged'}
                </Words>
              )}
              {!small && kind === 'expected' && share * width > WORDS_ROOM && clock.runFrom !== null && (
                <Words $on="hatched">{spanText(clock.remainingHours)} to go</Words>
              )}
            </Part>
          )
        })}
        {isNowShown && !small && <Now style={{ left: percent(place(now)) }} />}
      </Strip>
      {!small && width > 0 && (
        <Under aria-hidden="true">
          {fitting(marksOf(held, plan, zone, now), place, width).map(({ text, tone, left, end: isEnd }) => (
            <Label key={text} $tone={tone} style={isEnd ? { right: percent(1 - left) } : { left: percent(left) }}>
              {text}
            </Label>
          ))}
        </Under>
      )}
    </div>
  )
}
