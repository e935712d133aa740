import { TRANSFER_RULES } from '../catalogue/treatments/treatments.ts'
import { signById } from '../catalogue/sign.ts'
import { animalById, animalLabel } from '../household/animals.ts'
import type { Settings } from '../household/settings.ts'
import { equipmentAt } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { isAmmoniaLow, TOTAL_AMMONIA_WARN_MG_PER_L } from '../ammonia/basis.ts'
import { readingsOf } from '../readings/latest.ts'
import { readingResult } from '../words/quantities.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../time/zone.ts'
import { dayBeside, momentBeside, spanText } from '../time/words.ts'
import type { CourseClock } from './course-clock.ts'
import type { CopperFacts, KnownLevel } from './copper-facts.ts'
import type { Watched } from './copper-signs.ts'
import { wordOn } from '../schedule/task.ts'

/** A rule of a course and how it stands. `ask`: only the keeper can say. */
export interface RuleState {
  id: string
  rule: string
  state: 'holds' | 'not-yet' | 'broken' | 'ask'
  says: string
  /** The keeper's own word makes it hold. */
  canBeSaid?: true
}

/** Readings in range this far apart are needed before the hold: quarantine.md 7.2 (EA). */
const GATE_HOURS = 12
/** Of the days that a "no signs" rests on, the share on which somebody has to have looked (EA); counted over the last fourteen. */
const LOOKED_SHARE = 0.5
const LOOKED_DAYS = 14
/** How long a sign stays in the way after it was last seen, and how fresh a look has to be at the move (EA). */
const SIGN_HOURS = 48
const LOOK_HOURS = 24
/** An unexplained death stands in the way of "no signs" as long as it extends the watch: quarantine.md 7.4, 14 d. */
const DAYS_AFTER_DEATH = 14
/** A change this recent, not put back, lowers the level before a move. */
const LOWERED_HOURS = 24

interface RuleInput {
  journal: Journal
  settings: Settings
  facts: CopperFacts
  known: KnownLevel | null
  clock: CourseClock
  seen: Watched
}

/** Two readings in range at least twelve hours apart. */
function gate({ facts, settings }: RuleInput): RuleState {
  const { low, high } = facts.course.dose
  const inRange = facts.readings.filter(({ mgPerL }) => mgPerL >= low && mgPerL <= high)
  const first = inRange[0]
  const second = first && inRange.find(({ ms }) => ms - first.ms >= GATE_HOURS * MS_PER_HOUR)
  const base = { id: 'gate', rule: `two readings in range, ${GATE_HOURS} h apart` }
  if (second)
    return {
      ...base,
      state: 'holds',
      says: `since ${dayBeside(settings.clock.dayOf(second.ms), settings.clock.dayOf(facts.now))}`,
    }
  return { ...base, state: 'not-yet', says: first ? 'one so far' : 'none yet' }
}

function ammonia({ journal, facts, settings }: RuleInput): RuleState {
  const base = { id: 'ammonia', rule: `total ammonia under ${TOTAL_AMMONIA_WARN_MG_PER_L} mg/L` }
  const last = readingsOf(journal, facts.course.tankId, 'tan').findLast(({ at }) => at <= facts.now)
  if (!last || last.at < facts.course.startedAt - MS_PER_DAY) return { ...base, state: 'not-yet', says: 'not tested' }
  const when = dayBeside(settings.clock.dayOf(last.at), settings.clock.dayOf(facts.now))
  const isLow = isAmmoniaLow(last.content)
  const said = `${readingResult(last.content, settings.units).value}${last.content.basis ? ` as ${last.content.basis}` : ''} ${when}`
  return { ...base, state: isLow === null ? 'ask' : isLow ? 'holds' : 'broken', says: said }
}

function held({ clock }: RuleInput): RuleState {
  const days = clock.requiredHours / 24
  const base = { id: 'held', rule: `in range ${days} days on end` }
  if (clock.state === 'complete') return { ...base, state: 'holds', says: 'proven' }
  return {
    ...base,
    state: clock.state === 'broken' || clock.state === 'lost' ? 'broken' : 'not-yet',
    says: spanText(clock.provenHours),
  }
}

/** tr-5, and the same for the end of thirty days: nothing seen, and somebody has looked. */
function noSigns(input: RuleInput): RuleState {
  const { journal, facts, settings, seen } = input
  const { now, course } = facts
  const base = { id: 'tr-5', rule: course.length === 'thirty' ? 'no signs at the end' : 'no signs at the move' }
  const last = seen.signs.at(-1)
  if (last && now - last.at < SIGN_HOURS * MS_PER_HOUR) {
    const animal = animalById(journal, last.animalId)
    return {
      ...base,
      state: 'broken',
      says: `${animal ? animalLabel(animal) : ''} ${signById(last.sign)?.label ?? last.sign}, ${momentBeside(last.at, now, settings.clock)}`,
    }
  }
  const death = seen.unexplainedDeaths.at(-1)
  if (death && now - death.at < DAYS_AFTER_DEATH * MS_PER_DAY) {
    const said = saidBy(input, base.id, base.rule, death.at)
    const since = seen.looks.filter((at) => at > death.at).length
    const day = dayBeside(settings.clock.dayOf(death.at), settings.clock.dayOf(now))
    if (said.state !== 'holds')
      return {
        ...base,
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
    return { ...base, state: 'ask', says: looks.length === 0 ? 'look first' : `none ${rests}: look first` }
  const recent = Math.min(LOOKED_DAYS, days)
  const lookedDays = new Set(
    looks.filter((at) => now - at <= recent * MS_PER_DAY).map((at) => settings.clock.dayOf(at)),
  ).size
  if (lookedDays >= LOOKED_SHARE * recent) return { ...base, state: 'holds', says: `none ${rests}` }
  // Who looked and did not write it down may say so.
  return saidBy(input, base.id, base.rule, since).state === 'holds'
    ? { ...base, state: 'holds', says: `none ${rests}; looked at besides, as said` }
    : { ...base, state: 'ask', says: `none ${rests}: too few to rest on`, canBeSaid: true }
}

/** tr-2: nothing has lowered the level on the way to the move. */
function notLowered({ journal, facts, known }: RuleInput): RuleState {
  const base = { id: 'tr-2', rule: 'the level is not lowered before the move' }
  const carbon = equipmentAt(journal, facts.course.tankId, facts.now).find(
    ({ item, running }) => (item === 'carbon' || item === 'resin') && running,
  )
  if (carbon) return { ...base, state: 'broken', says: `${carbon.item} is running` }
  const lowered =
    known?.since.some(
      ({ event, at }) => event.kind === 'water-change' && facts.now - at < LOWERED_HOURS * MS_PER_HOUR,
    ) && known.mgPerL < facts.course.dose.low
  return lowered
    ? { ...base, state: 'broken', says: 'redose after the change first' }
    : { ...base, state: 'holds', says: 'held' }
}

/**
 * Where a keeper's own word on a rule is kept: by the run it is of, counted, so that a correction which shifts the run's
 * beginning loses no word.
 */
export const ruleWordId = (courseId: string, rule: string, run: number): string => `${courseId}/rule/${rule}/${run}`

/**
 * A rule that only the keeper can answer, by a word in the journal.
 * @param after ms; an earlier word says nothing of what has happened since
 */
function saidBy({ journal, facts, clock }: RuleInput, id: string, rule: string, after = 0): RuleState {
  const word =
    wordOn(journal, ruleWordId(facts.course.id, id, clock.run)) ??
    // Words of earlier versions were kept by the run's beginning.
    wordOn(journal, ruleWordId(facts.course.id, id, clock.runFrom ?? 0))
  return word?.state === 'done' && word.at >= after
    ? { id, rule, state: 'holds', says: 'said so' }
    : { id, rule, state: 'ask', says: 'yours to say', canBeSaid: true }
}

/** The rules of a copper course and how each stands. For "no signs, then move": the five of quarantine.md 7.3. */
export function copperRules(input: RuleInput): RuleState[] {
  const shared = [gate(input), ammonia(input), held(input), noSigns(input)]
  if (input.facts.course.length === 'thirty') return shared
  const text = (id: string) => TRANSFER_RULES.find((rule) => rule.id === id)!.rule
  return [...shared, notLowered(input), saidBy(input, 'tr-3', text('tr-3')), saidBy(input, 'tr-1', text('tr-1'))]
}

/** The rules of the handbook that have to hold before fish move, by id; tr-4 is the clock's. */
export const MOVE_RULES = ['held', 'tr-5', 'tr-2', 'tr-3'] as const
