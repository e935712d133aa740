import { signById } from '../../catalogue/sign.ts'
import type { Condition, Rule } from '../../catalogue/courses/definitions.ts'
import { animalById, animalLabel } from '../../household/animals.ts'
import type { Settings } from '../../household/settings.ts'
import type { Journal } from '../../journal/journal.ts'
import { isAmmoniaLow } from '../../ammonia/basis.ts'
import { lastEvidence } from '../../readings/evidence.ts'
import { signsOfCases, signsOfSighting } from '../../watching/seen-signs.ts'
import { wordOn } from '../../schedule/task.ts'
import { readingResult } from '../../words/quantities.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { dayBeside, momentBeside, spanText } from '../../time/words.ts'
import type { CourseRecord, DrugRecord, KnownLevel, Restart } from '../record/record.ts'
import type { HoldCount } from '../tracks/hold.ts'
import type { DipsState } from '../tracks/dips.ts'
import type { DosesState } from '../tracks/doses.ts'
import type { ElapsedState } from '../tracks/elapsed.ts'
import type { FishlessState } from '../tracks/fishless.ts'
import { isTested } from '../tracks/level.ts'
import type { RoundsState } from '../tracks/rounds.ts'
import type { SalinityState } from '../tracks/salinity.ts'
import type { SeriesState } from '../tracks/series.ts'
import type { Watched } from '../record/watched.ts'
import { eating, eatsAll, notBetter } from './appetite-rules.ts'
import { dipsRising, lateDip, pestSeen } from './dip-rules.ts'
import { dewormSpacing, missedRedose, salinityEvent } from './dose-rules.ts'
import { judgedLate } from './late-judges.ts'
import { compared } from './quantities.ts'
import { levelEvent, levelKept, twoInRange } from './level-rules.ts'
import { bathEvent, lateMove, setsDry } from './round-rules.ts'
import { keptWarm } from './warm-rules.ts'

/** A rule of a course and how it stands. `ask`: only the keeper can say; `unknown`: no reading decides it. */
export interface RuleState {
  id: string
  rule: string
  role: Rule['role']
  state: 'holds' | 'not-yet' | 'broken' | 'ask' | 'unknown'
  says: string
  /** The keeper's own word makes it hold. */
  canBeSaid?: true
  /** It holds by the keeper's own word, and may be taken back: of what a plan asks. */
  canBeDenied?: true
  /** The instant of the reading or count that it rests on, ms. */
  asOf?: number
  /** Unknown though the course should have tested it: since when nothing recent speaks, ms. */
  blindSince?: number
  /** What it is now and where its limit lies, where it compares numbers. */
  is?: number
  limit?: number
  /** How near it is to holding, 0 to 1, where it compares numbers. */
  near?: number
  /** What follows once it holds: of stop and escalate. */
  then?: string
}

/** A rule as its judge finds it, before its row's own words. `heldUntil`: it held by evidence that is too old since then, ms. */
export type Judged = Omit<RuleState, 'id' | 'rule' | 'role' | 'then'> & { heldUntil?: number }

/** Of the days that a "no signs" rests on, the share on which somebody has to have looked (EA); counted over the last fourteen. */
const LOOKED_SHARE = 0.5
const LOOKED_DAYS = 14
/** How long a sign stays in the way after it was last seen, and how fresh a look has to be at the move (EA). */
const SIGN_HOURS = 48
const LOOK_HOURS = 24
/** An unexplained death stands in the way of "no signs" as long as it extends the watch: quarantine.md 7.4, 14 d. */
const DAYS_AFTER_DEATH = 14
/** What rules are judged by. */
export interface RuleInput {
  journal: Journal
  settings: Settings
  facts: CourseRecord
  /** Of a course whose drug is held; null for others. */
  drug: { facts: DrugRecord; known: KnownLevel | null; clock: HoldCount } | null
  rounds: RoundsState | null
  series: SeriesState | null
  fishless: FishlessState | null
  salinity: SalinityState | null
  doses: readonly DosesState[]
  dips: DipsState | null
  elapsed: ElapsedState | null
  seen: Watched
  /** Of the rule that is being judged: what it says depends on whether it should hold. */
  role?: Rule['role']
}

function ammoniaLow({ journal, facts, settings, rounds }: RuleInput): Judged {
  // Where the fish are: from set to set the water is another.
  const last = lastEvidence(journal, rounds?.tankId ?? facts.course.tankId, 'tan', facts.now)?.line
  if (!last || last.at < facts.course.startedAt - MS_PER_DAY) return { state: 'not-yet', says: 'not tested' }
  const when = dayBeside(settings.clock.dayOf(last.at), settings.clock.dayOf(facts.now))
  const isLow = isAmmoniaLow(last.content)
  const said = `${readingResult(last.content, settings.units).value}${last.content.basis ? ` as ${last.content.basis}` : ''} ${when}`
  return { state: isLow === null ? 'ask' : isLow ? 'holds' : 'broken', says: said, asOf: last.at }
}

/** tr-5, and the same for the end of thirty days: nothing seen, and somebody has looked. */
function noSigns(input: RuleInput): Judged {
  const { journal, facts, settings, seen } = input
  const { now, course } = facts
  const last = seen.signs.at(-1)
  if (last && now - last.at < SIGN_HOURS * MS_PER_HOUR) {
    const animal = animalById(journal, last.animalId)
    return {
      state: 'broken',
      says: `${animal ? animalLabel(animal) : ''} ${signById(last.sign)?.label ?? last.sign}, ${momentBeside(last.at, now, settings.clock)}`,
    }
  }
  const death = seen.unexplainedDeaths.at(-1)
  if (death && now - death.at < DAYS_AFTER_DEATH * MS_PER_DAY) {
    const said = saidBy(input, 'tr-5', death.at)
    const since = seen.looks.filter((at) => at > death.at).length
    const day = dayBeside(settings.clock.dayOf(death.at), settings.clock.dayOf(now))
    if (said.state !== 'holds')
      return {
        state: 'ask',
        says: `a death ${day} has no cause; none in ${since} ${since === 1 ? 'look' : 'looks'} since`,
        canBeSaid: true,
      }
  }
  const since = last ? last.at : course.startedAt
  const days = Math.floor((now - since) / MS_PER_DAY)
  const looks = seen.looks.filter((at) => at >= since)
  const rests = `in ${looks.length} ${looks.length === 1 ? 'look' : 'looks'} over ${days} ${days === 1 ? 'day' : 'days'}`
  const lastLook = seen.looks.at(-1)
  if (lastLook === undefined || now - lastLook > LOOK_HOURS * MS_PER_HOUR)
    return { state: 'ask', says: looks.length === 0 ? 'look first' : `none ${rests}: look first` }
  const recent = Math.min(LOOKED_DAYS, days)
  const lookedDays = new Set(
    looks.filter((at) => now - at <= recent * MS_PER_DAY).map((at) => settings.clock.dayOf(at)),
  ).size
  if (lookedDays >= LOOKED_SHARE * recent) return { state: 'holds', says: `none ${rests}` }
  // Who looked and did not write it down may say so.
  return saidBy(input, 'tr-5', since).state === 'holds'
    ? { state: 'holds', says: `none ${rests}; looked at besides, as said` }
    : { state: 'ask', says: `none ${rests}: too few to rest on`, canBeSaid: true }
}

/**
 * Where a keeper's own word on a rule is kept: by the run it is of, counted, so that a correction which shifts the run's
 * beginning loses no word.
 */
export const ruleWordId = (courseId: string, rule: string, run: number): string => `${courseId}/rule/${rule}/${run}`

/** Which run of its lead count a keeper's word is of. */
export const runOf = ({
  drug,
  rounds,
  salinity,
}: {
  drug: { clock: HoldCount } | null
  rounds: RoundsState | null
  salinity: SalinityState | null
}): number => drug?.clock.run ?? salinity?.clock.run ?? rounds?.restarts.length ?? 0

/**
 * A rule that only the keeper can answer, by a word in the journal.
 * @param after ms; an earlier word says nothing of what has happened since
 */
export function saidBy(input: RuleInput, id: string, after = 0): Judged {
  const { journal, facts, drug } = input
  const word =
    wordOn(journal, ruleWordId(facts.course.id, id, runOf(input))) ??
    // Words of earlier versions were kept by the run's beginning.
    (drug ? wordOn(journal, ruleWordId(facts.course.id, id, drug.clock.runFrom ?? 0)) : null)
  if (word && word.at >= after) {
    if (word.state === 'done')
      return { state: 'holds', says: 'said so', ...(facts.course.definition.kind === 'plan' && { canBeDenied: true }) }
    if (word.state === 'skipped') return { state: 'not-yet', says: 'said not', canBeSaid: true }
  }
  return { state: 'ask', says: 'yours to say', canBeSaid: true }
}

function trackFull({ drug, rounds, fishless, salinity, dips }: RuleInput, track: string): Judged {
  if (dips && track === dips.track.id)
    return {
      state: dips.state === 'full' ? 'holds' : dips.state === 'broken' ? 'broken' : 'not-yet',
      says: `${dips.has} of ${dips.pace.need} clean`,
      is: dips.has,
      limit: dips.pace.need,
    }
  if (fishless)
    return {
      state: fishless.state === 'full' ? 'holds' : fishless.state === 'broken' ? 'broken' : 'not-yet',
      says: `${fishless.days} of ${fishless.needsDays} days`,
      is: fishless.days,
      limit: fishless.needsDays,
    }
  if (rounds)
    return {
      state: rounds.state === 'full' ? 'holds' : rounds.state === 'broken' ? 'broken' : 'not-yet',
      says: `${rounds.state === 'broken' ? 0 : rounds.made.length} of ${rounds.needs} moves`,
    }
  const clock = drug?.clock ?? salinity?.clock
  if (!clock) return { state: 'not-yet', says: track }
  if (clock.state === 'complete') return { state: 'holds', says: !drug || isTested(drug.facts) ? 'proven' : 'logged' }
  return {
    state: clock.state === 'broken' || clock.state === 'lost' ? 'broken' : 'not-yet',
    says: spanText(clock.provenHours),
  }
}

const FISHLESS_EVENTS: Readonly<Record<string, string>> = {
  'new-fish-added': 'new-fish',
  'cross-contamination': 'cross-contact',
  'new-wet-item': 'new-wet-item',
}

function happened({ facts, fishless, drug }: RuleInput, event: Restart['event'] | 'new-wet-item'): Judged {
  if (fishless) {
    const last = fishless.restarts.findLast(({ why }) => why === FISHLESS_EVENTS[event])
    return { state: last ? 'holds' : 'not-yet', says: last ? 'the days begin again' : 'none' }
  }
  // Once the count is full, carbon takes the drug out as it should.
  if (event === 'carbon-left-in' && drug?.clock.state === 'complete') return { state: 'not-yet', says: 'none' }
  const last = facts.restarts.findLast((one) => one.event === event)
  return { state: last ? 'holds' : 'not-yet', says: last ? 'the count starts over' : 'none' }
}

/** A sign on an animal of the course within two days. */
function signLately({ facts, seen, settings }: RuleInput): Judged {
  const sign = seen.signs.findLast(({ at }) => facts.now - at < SIGN_HOURS * MS_PER_HOUR)
  return sign
    ? { state: 'holds', says: momentBeside(sign.at, facts.now, settings.clock) }
    : { state: 'not-yet', says: 'none lately' }
}

function deathJudged({ facts, seen, settings }: RuleInput, days: number): Judged {
  const death = seen.unexplainedDeaths.at(-1)
  return death && facts.now - death.at < days * MS_PER_DAY
    ? { state: 'holds', says: momentBeside(death.at, facts.now, settings.clock) }
    : { state: 'not-yet', says: 'none' }
}

/** States that leave a condition undecided, the one first that a keeper can answer. */
const UNDECIDED: readonly RuleState['state'][] = ['ask', 'unknown']
const isUndecided = ({ state }: Judged): boolean => UNDECIDED.includes(state)

/** Of several: all hold only if each does, any if one does; where that hangs on one that is not known, it is undecided as that one is. */
function together(judged: readonly Judged[], kind: 'all' | 'any'): Judged {
  const holds = (one: Judged) => one.state === 'holds'
  const decisive = judged.find((one) => (kind === 'all' ? !holds(one) && !isUndecided(one) : holds(one)))
  if (decisive) return decisive
  const open = UNDECIDED.flatMap((state) => judged.find((one) => one.state === state) ?? [])[0]
  if (open) return open
  return kind === 'all' ? { ...judged[0]!, state: 'holds' } : judged[0]!
}

/** How a condition stands by what the journal says. */
function judge(input: RuleInput, condition: Condition, id: string): Judged {
  if ('all' in condition)
    return together(
      condition.all.map((one) => judge(input, one, id)),
      'all',
    )
  if ('any' in condition) {
    const judged = condition.any.map((one) => judge(input, one, id))
    return together(judged, 'any')
  }
  if ('left' in condition) return compared(input, condition)
  if ('not' in condition) {
    const judged = judge(input, condition.not, id)
    return isUndecided(judged) ? judged : { ...judged, state: judged.state === 'holds' ? 'not-yet' : 'holds' }
  }
  if ('track' in condition) return trackFull(input, condition.track)
  if ('sign' in condition) return signSeen(input, condition)
  if ('unexplainedDeath' in condition) return deathJudged(input, condition.unexplainedDeath.withinDays)
  if ('asks' in condition) return saidBy(input, id)
  switch (condition.judged) {
    case 'two-in-range':
      return twoInRange(input)
    case 'ammonia-low':
      return ammoniaLow(input)
    case 'no-signs':
      return noSigns(input)
    case 'level-kept':
      return levelKept(input)
    case 'kept-warm': {
      const warm = keptWarm(input)
      return warm.state === 'ask' && saidBy(input, id).state === 'holds' ? saidBy(input, id) : warm
    }
    case 'late-move':
      return lateMove(input)
    case 'bath-spacing':
    case 'bath-without-move':
      return bathEvent(input, condition.judged)
    case 'sets-dry':
      return setsDry(input)
    case 'new-fish':
      return happened(input, 'new-fish-added')
    case 'cross-contact':
      return happened(input, 'cross-contamination')
    case 'new-wet-item':
      return happened(input, 'new-wet-item')
    case 'carbon-left-in':
      return happened(input, 'carbon-left-in')
    case 'level-low':
    case 'level-unknown':
    case 'level-high':
      return levelEvent(input, condition.judged)
    case 'sign-seen':
      return signLately(input)
    case 'salinity-high':
    case 'salinity-low':
      return salinityEvent(input, condition.judged)
    case 'deworm-spacing':
      return dewormSpacing(input)
    case 'missed-redose':
      return missedRedose(input)
    case 'eating':
      return eating(input)
    case 'eats-all':
      return eatsAll(input)
    case 'not-better':
      return notBetter(input)
    case 'lesion-worse':
      return judgedLate(condition.judged, input)
    case 'pest-seen':
      return pestSeen(input)
    case 'late-dip':
      return lateDip(input)
    case 'dips-rising':
      return dipsRising(input)
  }
}

/** A sign on any animal of the tank, seen lately. */
function signSeen(
  { journal, facts, settings }: RuleInput,
  { sign, withinHours }: { sign: readonly string[]; withinHours: number },
): Judged {
  const { tankId } = facts.course
  const from = facts.now - withinHours * MS_PER_HOUR
  const sighted = journal
    .ofKind('sighting')
    .findLast(
      ({ content, at }) =>
        content.tankId === tankId &&
        at <= facts.now &&
        at >= from &&
        signsOfSighting(content).some((one) => sign.includes(one)),
    )
  const answered = signsOfCases(journal, (start) => start.tankId === tankId, from, facts.now).findLast((one) =>
    sign.includes(one.sign),
  )
  const seen = answered && (!sighted || answered.at > sighted.at) ? answered : sighted
  return seen
    ? { state: 'holds', says: momentBeside(seen.at, facts.now, settings.clock) }
    : { state: 'not-yet', says: 'not seen' }
}

const DAYS_WORDS: Record<string, (input: RuleInput) => string> = {
  held: ({ facts }) => `in range ${facts.course.requiredDays} days on end`,
  full: ({ fishless }) => `${fishless?.needsDays} whole days without fish`,
}

/** Rules of the treatment of a plan: they end with it. */
const OF_TREATMENT: ReadonlySet<Rule['role']> = new Set(['stop', 'escalate'])

/** A plan is never at its goal on its first day: what was so before it began is not what it reached. */
function notOnFirstDay({ facts, settings: { clock } }: RuleInput, role: Rule['role'], judged: Judged): Judged {
  const { course, now } = facts
  if (role !== 'success' || judged.state !== 'holds' || course.definition.kind !== 'plan') return judged
  return (judged.asOf ?? now) < clock.instantAt(clock.dayOf(course.startedAt) + 1)
    ? { ...judged, state: 'not-yet', says: 'so at the start: counted again later' }
    : judged
}

/** Every rule of a course and how it stands, in the order of its definition; those of a plan's treatment until it is over. */
export const rulesOf = (input: RuleInput): RuleState[] =>
  input.facts.course.definition.rules.flatMap(({ id, role, when, says, then }) => {
    if (input.facts.endedTreatmentAt !== null && OF_TREATMENT.has(role)) return []
    const { heldUntil, ...judged } = notOnFirstDay(input, role, judge({ ...input, role }, when, id))
    return {
      id,
      role,
      rule: DAYS_WORDS[id]?.(input) ?? says,
      // A stop that held is not over because nobody tested again.
      ...(role === 'stop' && heldUntil !== undefined && { blindSince: heldUntil }),
      ...judged,
      ...(then !== undefined && { then }),
    }
  })
