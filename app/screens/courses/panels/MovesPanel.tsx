import type { CoursePlan } from '../../../../core/courses/plan.ts'
import { ammoniaAhead, TAN_LIMITS, type AmmoniaAhead } from '../../../../core/courses/outlook/bare-tank.ts'
import { expectedRounds, type RoundsState } from '../../../../core/courses/tracks/rounds.ts'
import { nextTankId, setState } from '../../../../core/courses/tracks/sets.ts'
import { tankById } from '../../../../core/household/tanks.ts'
import { dayAs, momentBeside, timeOf } from '../../../../core/time/words.ts'
import { LeadStrip } from '../../../courses/LeadStrip.tsx'
import { phaseWords } from '../../../courses/words.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Figure, Heading, Quiet, Rows, Small } from '../../../look/text.ts'
import { Legend, RoundRow } from './legend.ts'

/** Moves from set to set: how long until the next, what was done, what is to come, and which set is dry. */
export function MovesPanel({ plan, rounds }: { plan: CoursePlan; rounds: RoundsState }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { clock: zone } = settings
  const { facts, course } = plan
  const ahead = course.ended ? [] : expectedRounds(rounds, now, settings)
  const name = (tankId: string | null) => (tankId === null ? '' : (tankById(journal, tankId)?.name ?? 'a tank'))
  const ammonia = ammoniaAhead(journal, plan)
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
      {other !== null && set !== null && rounds.doneAt === null && (
        <Small>
          {name(other)}:{' '}
          {set.usedAt === null
            ? 'not used in this course yet; it has to be clean and dry'
            : set.readyAt === null
              ? `wet since ${momentBeside(set.usedAt, now, zone)}: empty it, bleach or dry it`
              : set.readyAt <= now
                ? `sterile, ready since ${momentBeside(set.readyAt, now, zone)}`
                : `drying, ready ${momentBeside(set.readyAt, now, zone)}`}
          .
        </Small>
      )}
      {ammonia && <Ammonia ahead={ammonia} />}
      <Rows style={{ marginTop: 10 }}>
        {done.map(({ at, what, where }) => (
          <li key={`${what}-${at}`}>
            <RoundRow $isAhead={false}>
              <strong>{what}</strong>
              <span>{when(at)}</span>
              <Quiet>{where}</Quiet>
            </RoundRow>
          </li>
        ))}
        {ahead.map(({ of, ordinal, best, notAfter }) => (
          <li key={`${of}-${ordinal}`}>
            <RoundRow $isAhead>
              <span>{of}</span>
              <span>best {when(best)}</span>
              <span>by {when(notAfter)}</span>
            </RoundRow>
          </li>
        ))}
      </Rows>
    </section>
  )
}

/** What the ammonia of the bare tank comes to by the next move, and when a change is wanted. */
function Ammonia({ ahead }: { ahead: AmmoniaAhead }) {
  const { settings } = useHousehold()
  const now = useNow()
  const { nowMgPerL, atMoveMgPerL, basis, warnAt, alarmAt } = ahead
  const when = (ms: number) => momentBeside(ms, now, settings.clock)
  const fixed = (value: number) => value.toFixed(2)
  return (
    <Small>
      Ammonia, by reckoning: <Figure $size={16}>{fixed(nowMgPerL)}</Figure> now,{' '}
      <Figure $size={16} style={atMoveMgPerL >= TAN_LIMITS.alarm ? { color: 'var(--act)' } : undefined}>
        {fixed(atMoveMgPerL)} mg/L
      </Figure>{' '}
      by the next move, {basis === 'read' ? 'by what was tested' : 'by a usual fish of eight grams: test it'}.{' '}
      {alarmAt !== null
        ? `Over ${TAN_LIMITS.alarm} ${alarmAt <= now ? 'already' : when(alarmAt)}: change half with matched water before, or move early.`
        : warnAt !== null
          ? `Over ${TAN_LIMITS.warn} ${warnAt <= now ? 'already' : when(warnAt)}: feed little, test, have water ready.`
          : `It stays under ${TAN_LIMITS.warn}.`}
    </Small>
  )
}
