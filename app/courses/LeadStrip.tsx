import { styled } from 'styled-components'
import { isDrugPlan, type CoursePlan } from '../../core/courses/plan.ts'
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
  if (isDrugPlan(plan)) return <ClockStrip plan={plan} zone={zone} now={now} small={small} />
  const height = small ? 9 : 34
  const { rounds, series, course, fishless } = plan
  if (rounds) {
    const next = expectedRounds(rounds, now).find(({ of }) => of === 'move')
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
  if (fishless)
    return (
      <Cells
        $height={height}
        role="img"
        aria-label={`${plural(fishless.days, 'day')} without fish of ${fishless.needsDays}`}
      >
        <div style={{ width: `${(100 * fishless.days) / fishless.needsDays}%`, background: 'var(--second)' }} />
        <div style={{ flex: 1, backgroundImage: 'var(--hatch-second)' }} />
      </Cells>
    )
  if (!series) return null
  const scored = new Set(
    series.parts.flatMap(({ scores }) => scores.map(({ at }) => zone.dayOf(at) - zone.dayOf(course.startedAt))),
  )
  const days = Math.max(course.requiredDays, Math.ceil((now - course.startedAt) / MS_PER_DAY))
  return (
    <Cells
      $height={height}
      role="img"
      aria-label={`day ${series.day} of ${course.requiredDays}; scored on ${plural(scored.size, 'day')}`}
    >
      {Array.from({ length: days }, (_, day) => (
        <Cell key={day} $look={scored.has(day) ? 'solid' : day < series.day ? 'gap' : 'hatched'} />
      ))}
    </Cells>
  )
}
