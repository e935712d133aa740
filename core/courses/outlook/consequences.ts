import { lifeModelOf } from '../../catalogue/treatments/treatments.ts'
import { riskOfShelter, shelterOf } from '../../risk/shelter.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import type { Course } from '../course.ts'
import { isDrugPlan, type CoursePlan, type DrugPlan } from '../plan.ts'
import type { RoundsState } from '../tracks/rounds.ts'
import { typicalSd } from './forecast.ts'
import { ifMoved, ifNotRestarted } from './what-if.ts'

/** A way to go on. */
export interface WayOn {
  id: 'as-counted' | 'do-it-now' | 'other-school' | 'watch' | 'rest'
  words: string
}

/** The risk beside a mishap: had it not happened, if one went on as though it had not, and as it is counted now. */
export interface RiskBeside {
  parasite: string
  before: number
  ignored: number
  counted: number
}

/** Something that came late or wrong in a course: what it means, what moves to when, and the ways on. */
export interface Consequence {
  rule: string
  /** ms; when it happened, or when it became late. */
  at: number
  means: string
  /** Whether what happened is less than the test itself may err: then the risks are what they would be if it did. */
  isWithinError?: boolean
  /** When the count is full now, ms; null while nobody can say. */
  fullAt: number | null
  /** When it would have been; null where that is not known. */
  wasFullAt: number | null
  /** Empty where nothing is modelled. */
  risks: readonly RiskBeside[]
  ways: readonly WayOn[]
}

const OTHER: WayOn = { id: 'other-school', words: 'compare the schools again and go over to another' }

/** Parasites that a course of moves is against and that have a model. */
const modelled = ({ course }: CoursePlan): string[] =>
  course.definition.treats.filter((parasite) => lifeModelOf(parasite) !== undefined)

const riskOfMoves = (parasite: string, movesHours: readonly number[]): number | null =>
  riskOfShelter(parasite, { protectedWindows: [], movesHours: movesHours.filter((hours) => hours >= 0) })

/** The risk had the course gone by the book. */
function riskByTheBook({ definition }: Course, parasite: string): number | null {
  const shelter = shelterOf(definition)
  return shelter && riskOfShelter(parasite, shelter)
}

/**
 * The moves as they were made from the course's start, and then on to the number that the school asks, as though none had been late.
 * @param lateAt the move that is not made yet is taken as made then, ms
 */
function movesIgnoring(plan: CoursePlan, rounds: RoundsState, lateAt: number | null): number[] {
  const { course } = plan
  const hours = (at: number) => (at - course.startedAt) / MS_PER_HOUR
  const made = rounds.everMade.map(({ at }) => hours(at))
  if (lateAt !== null) made.push(hours(lateAt))
  const { minTransfers, usualHours, minTotalHours } = rounds.track.rule
  const all = [...made]
  while (all.length < minTransfers || (all.at(-1) ?? 0) < minTotalHours) all.push((all.at(-1) ?? 0) + usualHours)
  return all
}

/** The moves still wanted after so many hours and moves, each at the usual interval, h. */
function movesToCome({ track: { rule } }: RoundsState, hours: number, made: number): number[] {
  const list: number[] = []
  for (let at = hours, count = made; count < rule.minTransfers || at < rule.minTotalHours; count++)
    list.push((at += rule.usualHours))
  return list
}

function lateMove(plan: CoursePlan, rounds: RoundsState): Consequence | null {
  const past = rounds.doneAt === null ? rounds.restarts.findLast(({ why }) => why === 'late-move') : undefined
  const isOpen = rounds.overdueHours !== null
  if (!past && !isOpen) return null
  const { now } = plan.facts
  const at = isOpen ? rounds.dueBy! : past!.at
  // Hour 0 of the chain that the late move broke.
  const broken = isOpen
    ? rounds.zero
    : (rounds.restarts[rounds.restarts.indexOf(past!) - 1]?.at ?? plan.course.startedAt)
  const risks = modelled(plan).flatMap((parasite): RiskBeside[] => {
    const before = riskByTheBook(plan.course, parasite)
    const ignored = riskOfMoves(parasite, movesIgnoring(plan, rounds, isOpen ? now : null))
    // What is still to come counts from the late move as hour 0, with a light infection again: as the course does.
    const zero = isOpen ? now : rounds.zero
    const last = rounds.made.at(-1)?.at ?? zero
    const counted = riskOfMoves(parasite, [
      ...rounds.made.map((move) => (move.at - zero) / MS_PER_HOUR),
      ...movesToCome(rounds, isOpen ? 0 : (last - zero) / MS_PER_HOUR, isOpen ? 0 : rounds.made.length),
    ])
    return before === null || ignored === null || counted === null ? [] : [{ parasite, before, ignored, counted }]
  })
  return {
    rule: 'late-move',
    at,
    means: `Cysts may have hatched in that water before the fish left it, so the fish may carry them on${rounds.baths ? '; a bath before it no longer counts' : ''}.`,
    fullAt: rounds.fullAt,
    wasFullAt: broken + rounds.track.rule.minTotalHours * MS_PER_HOUR,
    risks,
    ways: [
      isOpen
        ? { id: 'do-it-now', words: 'move now: it is hour 0, and the chain is counted from it' }
        : { id: 'as-counted', words: 'go on as it is counted now, from the late move as hour 0' },
      OTHER,
      {
        id: 'watch',
        words: 'stop moving and watch, treating at the first sign: the risk of going on as though it had been in time',
      },
    ],
  }
}

/** 95 % half-widths in standard deviations. */
const HALF_WIDTH_SDS = 1.96

/** What the test of a break's lowest level may err, mg/L, as a 95 % half-width; 0 where no test says so low a level. */
function kitErrorOf({ readings }: DrugPlan['facts'], lowestMgPerL: number): number {
  const reading = readings.findLast(({ mgPerL }) => Math.abs(mgPerL - lowestMgPerL) < SAME_MG_PER_L)
  if (!reading) return 0
  const { sdMgPerL, mgPerL } = reading
  return HALF_WIDTH_SDS * (sdMgPerL && sdMgPerL > 0 ? sdMgPerL : typicalSd(mgPerL))
}
const SAME_MG_PER_L = 1e-9

function lowLevel(plan: DrugPlan): Consequence | null {
  const { clock, course, facts } = plan
  const last = clock.breaks.at(-1)
  if (!last || clock.state === 'complete') return null
  const counted = ifMoved(plan, clock.completesAt ?? facts.now)
  const ignored = ifNotRestarted(plan)
  const risks = counted.flatMap(({ parasite, risk }): RiskBeside[] => {
    const without = ignored?.risks.find((one) => one.parasite === parasite)
    const before = riskByTheBook(course, parasite)
    return without && before !== null ? [{ parasite, before, ignored: without.risk, counted: risk }] : []
  })
  const under = course.dose.low - last.lowestMgPerL
  const isWithinError = under <= kitErrorOf(facts, last.lowestMgPerL)
  return {
    rule: 'level-low',
    at: last.from,
    means: isWithinError
      ? `Read ${last.lowestMgPerL.toFixed(2)} mg/L, ${under.toFixed(2)} under its range: less than the test itself may err, so nobody knows whether it was under. Read again, three times. The count takes the careful side; the risks below are what they are if it really was.`
      : 'Under its range the medicine does not reach what swims: a parasite that hatched then may sit on a fish again.',
    ...(isWithinError && { isWithinError }),
    fullAt: clock.completesAt,
    wasFullAt: ignored?.movedAt ?? null,
    risks: course.definition.ends === 'move' ? risks : [],
    ways: [
      last.to === null
        ? { id: 'do-it-now', words: 'redose now: the count begins with the first reading back in range' }
        : { id: 'as-counted', words: 'go on as it is counted now, from when it was back in range' },
      OTHER,
    ],
  }
}

function bathOff(rounds: RoundsState): Consequence | null {
  const { baths } = rounds
  if (!baths || rounds.doneAt !== null || baths.state === 'full') return null
  const fault = baths.restarts.findLast(({ why, at }) => why === 'bath-spacing' && at >= rounds.zero)
  const isOpen = baths.state === 'broken'
  if (!fault && !isOpen) return null
  return {
    rule: 'bath-spacing',
    at: fault?.at ?? rounds.zero,
    means:
      'The second bath is for what had left the fish at the first and has come back by then: a day or more off it meets nothing, or what has left again.',
    fullAt: rounds.fullAt,
    wasFullAt: null,
    risks: [],
    ways: [
      {
        id: isOpen ? 'do-it-now' : 'as-counted',
        words: isOpen
          ? 'give the pair again, the first with the next move'
          : 'the bath that was off is the first of a new pair; the second six days after it',
      },
      { id: 'other-school', words: 'let the baths be and change to the interval for velvet, or to copper' },
    ],
  }
}

/** A wet thing or a new fish in the water. */
function contact(plan: CoursePlan): Consequence | null {
  const last = plan.facts.restarts.findLast(({ event }) => event !== 'carbon-left-in')
  if (!last || (plan.rounds?.doneAt != null && !plan.observation)) return null
  const isContact = last.event === 'cross-contamination'
  const fullAt = plan.observation
    ? plan.observation.from + plan.observation.leastDays * MS_PER_DAY
    : isDrugPlan(plan)
      ? plan.clock.completesAt
      : (plan.rounds?.fullAt ?? plan.salinity?.clock.completesAt ?? null)
  return {
    rule: isContact ? 'cross-contact' : 'new-fish',
    at: last.at,
    means: isContact
      ? 'A drop, a net or a hand carries cysts and swimmers: what the count had left behind may be back.'
      : 'It may carry what the others were being freed of: every fish in that water begins again.',
    fullAt,
    wasFullAt: null,
    risks: [],
    ways: [
      { id: 'as-counted', words: 'go on as it is counted now, from that moment' },
      ...(isContact
        ? []
        : [
            {
              id: 'do-it-now' as const,
              words: 'take the new one out to water of its own: the count stays begun from its coming',
            },
          ]),
    ],
  }
}

/** A count of doses of which one was missed, or a pair that was off. */
function doses(plan: CoursePlan): Consequence[] {
  return plan.doses.flatMap((state): Consequence[] => {
    if (state.state === 'full') return []
    const isPair = state.track.missed === 'redo'
    if (isPair ? state.state !== 'broken' && state.restarts.length === 0 : state.missed === 0) return []
    return [
      {
        rule: isPair ? 'deworm-spacing' : 'missed-redose',
        at: state.restarts.at(-1)?.at ?? state.done.at(-1) ?? plan.facts.now,
        means: isPair
          ? 'What hatched from eggs after the first round has grown up and laid its own: one more round would meet only half of them.'
          : 'The level fell between two doses: what was held down can grow again, so the doses are made up for at the end.',
        fullAt: state.fullAt,
        wasFullAt: null,
        risks: [],
        ways: [
          {
            id: state.ahead[0] && state.ahead[0].notBefore <= plan.facts.now ? 'do-it-now' : 'as-counted',
            words: isPair
              ? 'both rounds again, a week apart'
              : 'the next dose at its time, one more at the end for each missed',
          },
          { id: 'rest', words: 'stop here, change water and let the fish rest, where it wears them down' },
        ],
      },
    ]
  })
}

/** Low salinity that rose over its high. */
function risen({ salinity, facts }: CoursePlan): Consequence | null {
  const last = salinity?.clock.breaks.at(-1)
  if (!salinity || !last || salinity.clock.state === 'complete') return null
  return {
    rule: 'salinity-high',
    at: last.from,
    means: 'Over 1.010 the parasite lives and finds its fish: days before it no longer count.',
    fullAt: salinity.clock.completesAt,
    wasFullAt: null,
    risks: [],
    ways: [
      last.to === null || last.to > facts.now
        ? { id: 'do-it-now', words: 'swap for fresh water now, and fill up twice a day' }
        : { id: 'as-counted', words: 'go on as it is counted now, from when it was back under' },
      OTHER,
    ],
  }
}

/** Everything that came late or wrong in a course and still bears on it, the latest first. */
export function consequencesOf(plan: CoursePlan): Consequence[] {
  if (plan.course.ended || plan.phase === 'ahead') return []
  const { rounds, observation } = plan
  return [
    ...(rounds && !observation ? [lateMove(plan, rounds), bathOff(rounds)] : []),
    ...(isDrugPlan(plan) && !observation ? [lowLevel(plan)] : []),
    ...(observation ? [] : [risen(plan)]),
    contact(plan),
    ...doses(plan),
  ]
    .filter((one) => one !== null)
    .sort((a, b) => b.at - a.at)
}
