import { firstAtOrAfter } from '../../journal/journal.ts'
import { momentBeside } from '../../time/words.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { saidBy, type Judged, type RuleInput } from './rules.ts'

/** "Eats some" and "eats all" on the scale of quarantine.md 1. */
const EATS_SOME = 3
const EATS_ALL = 4
/** How fresh a look at the meal has to be (EA). */
const FRESH_HOURS = 48
/** further-schools.md 10, rest: success, and when it is asked whether it helps. */
const DAYS_RUNNING = 3
const BETTER_BY_DAY = 7

interface Meal {
  at: number
  appetite: number
}

/** How much of a meal any animal of the course took, by sighting. */
function mealsOf({ journal, facts }: RuleInput): Meal[] {
  const own = new Set(facts.course.animalIds)
  const tanks = new Set(Object.values(facts.course.tanks))
  const lines = journal.ofKind('sighting')
  const from = Math.min(facts.course.startedAt, facts.now - FRESH_HOURS * MS_PER_HOUR)
  return lines.slice(firstAtOrAfter(lines, from)).flatMap(({ at, content }) => {
    const isOwn = own.size === 0 ? tanks.has(content.tankId) : content.animalIds.some((id) => own.has(id))
    return isOwn && content.appetite !== undefined && at <= facts.now ? [{ at, appetite: content.appetite }] : []
  })
}

/** Whether the fish eat, by what was seen in the last two days; the keeper may say so. */
export function eating(input: RuleInput): Judged {
  const { facts, settings } = input
  const fresh = mealsOf(input).filter(({ at }) => facts.now - at <= FRESH_HOURS * MS_PER_HOUR)
  const last = fresh.at(-1)
  if (!last) {
    const said = saidBy(input, 'eating', facts.now - FRESH_HOURS * MS_PER_HOUR)
    return said.state === 'holds' ? said : { state: 'ask', says: 'no meal was watched lately', canBeSaid: true }
  }
  const when = momentBeside(last.at, facts.now, settings.clock)
  return last.appetite >= EATS_SOME
    ? { state: 'holds', says: when }
    : { state: 'broken', says: `not eating, ${when}: wait` }
}

/** Days running, up to today or yesterday, on which every watched meal was eaten whole. */
function daysEatenWhole(input: RuleInput): number {
  const { settings, facts } = input
  const byDay = new Map<number, number>()
  for (const { at, appetite } of mealsOf(input))
    if (at >= facts.course.startedAt) {
      const day = settings.clock.dayOf(at)
      byDay.set(day, Math.min(byDay.get(day) ?? EATS_ALL, appetite))
    }
  const today = settings.clock.dayOf(facts.now)
  let day = byDay.has(today) ? today : today - 1
  let days = 0
  while (byDay.get(day) === EATS_ALL) {
    days++
    day--
  }
  return days
}

export function eatsAll(input: RuleInput): Judged {
  const days = daysEatenWhole(input)
  return {
    state: days >= DAYS_RUNNING ? 'holds' : 'not-yet',
    says: `${days} of ${DAYS_RUNNING} days`,
    is: days,
    limit: DAYS_RUNNING,
  }
}

/** From day seven on a rest that has not brought the appetite back is asked about. */
export function notBetter(input: RuleInput): Judged {
  const { facts } = input
  const day = Math.floor((facts.now - facts.course.startedAt) / MS_PER_DAY)
  const isWell = eatsAll(input).state === 'holds'
  return {
    state: day >= BETTER_BY_DAY && !isWell ? 'holds' : 'not-yet',
    says: isWell ? 'it eats' : `day ${day} of ${BETTER_BY_DAY}`,
    is: day,
    limit: BETTER_BY_DAY,
  }
}
