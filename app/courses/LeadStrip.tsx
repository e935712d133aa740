import { styled } from 'styled-components'
import { heldLevelOf, type CoursePlan } from '../../core/courses/plan.ts'
import type { DipsState } from '../../core/courses/tracks/dips.ts'
import type { DosesState } from '../../core/courses/tracks/doses.ts'
import { expectedRounds } from '../../core/courses/tracks/rounds.ts'
import { momentBeside } from '../../core/time/words.ts'
import { MS_PER_DAY, type ZoneClock } from '../../core/time/zone.ts'
import { plural } from '../../core/words/numbers.ts'
import { ClockStrip } from './ClockStrip.tsx'

const Cells = styled.div<{ $height: number }>`
  display: flex;
  height: ${({ $height }) => $height}px;
  border: 1.5px solid var(--ink);
  background: var(--sheet);
`

const Cell = styled.div<{ $look: 'solid' | 'hatched' | 'gap' }>`
  flex: 1;
  border-right: 1.5px solid var(--ink);
  &:last-child {
    border-right: 0;
  }
  ${({ $look }) =>
    ({
      solid: 'background: var(--second);',
      hatched: 'background-image: var(--hatch-second);',
      gap: 'background: var(--sheet);',
    })[$look]}
`

interface StripProps {
  plan: CoursePlan
  zone: ZoneClock
  now: number
  small?: boolean
}

/** The leading count of a course as one strip: what is on record solid, what is hoped for hatched, what broke a gap. */
export function LeadStrip({ plan, zone, now, small = false }: StripProps) {
  const held = heldLevelOf(plan)
  if (held) return <ClockStrip plan={plan} held={held} zone={zone} now={now} small={small} />
  const height = small ? 9 : 34
  const { rounds, series, course, fishless, elapsed, observation } = plan
  if (rounds) {
    const next = expectedRounds(rounds, now, { clock: zone }).find(({ of }) => of === 'move')
    const ahead = Math.max(0, rounds.needs - rounds.made.length)
    const isLate = rounds.overdueHours !== null
    const words = `${plural(rounds.made.length, 'move')} made of ${rounds.needs}${
      next ? `; the next by ${momentBeside(next.notAfter, now, zone)}` : ''
    }${isLate ? ', late' : ''}`
    return (
      <Cells $height={height} role="img" aria-label={words}>
        {rounds.made.map(({ at }) => (
          <Cell key={at} $look="solid" />
        ))}
        {Array.from({ length: ahead }, (_, i) => (
          <Cell key={`ahead-${i}`} $look={isLate && i === 0 ? 'gap' : 'hatched'} />
        ))}
      </Cells>
    )
  }
  const doses = plan.doses.find(({ track }) => track.id === course.definition.lead)
  if (doses) return <DoseCells doses={doses} height={height} />
  if (plan.dips && course.definition.lead === 'dips') return <DipCells dips={plan.dips} height={height} />
  if (fishless)
    return (
      <DayBar
        height={height}
        share={fishless.days / fishless.needsDays}
        words={`${plural(fishless.days, 'day')} without fish of ${fishless.needsDays}`}
      />
    )
  if (elapsed)
    return (
      <DayBar
        height={height}
        share={elapsed.days / elapsed.needsDays}
        words={`${plural(elapsed.days, 'day')} of ${elapsed.needsDays}`}
      />
    )
  if (!series && observation) {
    const passed = Math.floor((plan.facts.now - observation.from) / MS_PER_DAY)
    return (
      <DayBar
        height={height}
        share={Math.min(1, passed / observation.leastDays)}
        words={`${plural(passed, 'day')} without signs of ${Math.ceil(observation.leastDays)}`}
      />
    )
  }
  const measure = plan.measures.find(({ track }) => track.id === course.definition.lead)
  if (measure)
    return (
      <ScoredDays
        height={height}
        plan={plan}
        day={measure.day}
        scored={new Set(measure.rounds.map(({ at }) => zone.dayOf(at) - zone.dayOf(course.startedAt)))}
        words="counted"
        now={now}
      />
    )
  if (!series) return null
  const scored = new Set(
    series.parts.flatMap(({ scores }) => scores.map(({ at }) => zone.dayOf(at) - zone.dayOf(course.startedAt))),
  )
  return <ScoredDays height={height} plan={plan} day={series.day} scored={scored} words="scored" now={now} />
}

/** Days that are drawn one by one. */
const MOST_CELLS = 31

/** A plan day by day: on which days something was counted or scored. */
function ScoredDays({
  height,
  plan: { course },
  day,
  scored,
  words,
  now,
}: {
  height: number
  plan: CoursePlan
  day: number
  scored: ReadonlySet<number>
  words: string
  now: number
}) {
  const days = Math.max(course.requiredDays, Math.ceil((now - course.startedAt) / MS_PER_DAY))
  const said = `day ${day} of ${course.requiredDays}; ${words} on ${plural(scored.size, 'day')}`
  // More days than can be told apart are one bar.
  if (days > MOST_CELLS) return <DayBar height={height} share={Math.min(1, day / days)} words={said} />
  return (
    <Cells $height={height} role="img" aria-label={said}>
      {Array.from({ length: days }, (_, one) => (
        <Cell key={one} $look={scored.has(one) ? 'solid' : one < day ? 'gap' : 'hatched'} />
      ))}
    </Cells>
  )
}

/** Days that passed solid, those to come hatched. */
function DayBar({ height, share, words }: { height: number; share: number; words: string }) {
  return (
    <Cells $height={height} role="img" aria-label={words}>
      <div style={{ width: `${100 * share}%`, background: 'var(--second)' }} />
      <div style={{ flex: 1, backgroundImage: 'var(--hatch-second)' }} />
    </Cells>
  )
}

/** Clean dips solid, those still wanted hatched; a gap where the last round was not clean. */
export function DipCells({ dips: { has, pace, state, seenAt }, height }: { dips: DipsState; height: number }) {
  const isGap = state !== 'full' && has === 0 && seenAt !== null
  return (
    <Cells $height={height} role="img" aria-label={`${has} clean of ${pace.need} on end`}>
      {Array.from({ length: pace.need }, (_, i) => (
        <Cell key={i} $look={i < has ? 'solid' : isGap && i === 0 ? 'gap' : 'hatched'} />
      ))}
    </Cells>
  )
}

/** Doses that were given solid, those to come hatched. */
export function DoseCells({ doses: { done, track }, height }: { doses: DosesState; height: number }) {
  return (
    <Cells $height={height} role="img" aria-label={`${done.length} given of ${track.need}`}>
      {Array.from({ length: track.need }, (_, i) => (
        <Cell key={i} $look={i < done.length ? 'solid' : 'hatched'} />
      ))}
    </Cells>
  )
}
