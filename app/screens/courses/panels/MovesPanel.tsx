import { styled } from 'styled-components'
import type { CoursePlan } from '../../../../core/courses/plan.ts'
import { expectedRounds, type RoundsState } from '../../../../core/courses/tracks/rounds.ts'
import { nextTankId, setState } from '../../../../core/courses/tracks/sets.ts'
import { tankById } from '../../../../core/household/tanks.ts'
import { dayAs, momentBeside, spanText, timeOf } from '../../../../core/time/words.ts'
import { MS_PER_HOUR } from '../../../../core/time/zone.ts'
import { LeadStrip } from '../../../courses/LeadStrip.tsx'
import { phaseWords } from '../../../courses/words.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Figure, Heading, Quiet, Rows, Small } from '../../../look/text.ts'
import { Legend } from './legend.ts'

const Next = styled.div`
  display: flex;
  align-items: baseline;
  gap: 12px;
  flex-wrap: wrap;
  padding: 14px 0 4px;
`

const Row = styled.div<{ $isAhead: boolean }>`
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr) auto;
  gap: 12px;
  font-size: 15px;
  ${({ $isAhead }) => $isAhead && 'color: var(--quiet);'}
`

/** Moves from set to set: how long until the next, what was done, what is to come, and which set is dry. */
export function MovesPanel({ plan, rounds }: { plan: CoursePlan; rounds: RoundsState }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { clock: zone } = settings
  const { facts, course } = plan
  const ahead = course.ended ? [] : expectedRounds(rounds, now)
  const left = rounds.dueBy === null ? null : (rounds.dueBy - now) / MS_PER_HOUR
  const name = (tankId: string | null) => (tankId === null ? '' : (tankById(journal, tankId)?.name ?? 'a tank'))
  const other = nextTankId(facts, rounds)
  const set = other === null ? null : setState(facts, other)
  const when = (ms: number) => `${dayAs(zone.dayOf(ms), 'EEE d MMM')} ${timeOf(ms, zone)}`
  const done = [
    { at: rounds.zero, what: 'hour 0', where: '' },
    ...(rounds.baths?.done ?? []).map((at) => ({ at, what: 'bath', where: '' })),
    ...rounds.made.map(({ at, to }, i) => ({ at, what: `move ${i + 1}`, where: name(to) })),
  ].sort((a, b) => a.at - b.at)
  return (
    <section>
      <Heading>
        <span>
          Moves <Figure $size={15}>{phaseWords(plan)}</Figure>
        </span>
        <Legend>solid was done, hatched is to come, a gap is late</Legend>
      </Heading>
      <div style={{ paddingTop: 16 }}>
        <LeadStrip plan={plan} zone={zone} now={now} />
      </div>
      {left !== null && !course.ended && (
        <Next>
          <Figure $size={34} style={{ color: left < 0 ? 'var(--act)' : undefined }}>
            {spanText(Math.abs(left))}
          </Figure>
          <span>
            {left < 0 ? 'late' : 'left for the next move'}, {left < 0 ? 'since' : 'by'}{' '}
            {momentBeside(rounds.dueBy!, now, zone)}
          </span>
        </Next>
      )}
      {other !== null && set !== null && rounds.doneAt === null && (
        <Small>
          {name(other)}:{' '}
          {set.usedAt === null
            ? 'not used in this course yet; it has to be clean and dry'
            : set.readyAt === null
              ? `wet since ${momentBeside(set.usedAt, now, zone)}: empty it, bleach or dry it`
              : set.readyAt <= now
                ? 'sterile and ready'
                : `drying, ready ${momentBeside(set.readyAt, now, zone)}`}
          .
        </Small>
      )}
      <Rows style={{ marginTop: 10 }}>
        {done.map(({ at, what, where }) => (
          <li key={`${what}-${at}`}>
            <Row $isAhead={false}>
              <strong>{what}</strong>
              <span>{when(at)}</span>
              <Quiet>{where}</Quiet>
            </Row>
          </li>
        ))}
        {ahead.map(({ of, ordinal, best, notAfter }) => (
          <li key={`${of}-${ordinal}`}>
            <Row $isAhead>
              <span>{of}</span>
              <span>best {when(best)}</span>
              <span>by {when(notAfter)}</span>
            </Row>
          </li>
        ))}
      </Rows>
    </section>
  )
}
