import type { Step } from '../../catalogue/courses/definitions.ts'
import { animalById, animalLabel, residentsBetween } from '../../household/animals.ts'
import { doseById } from '../../catalogue/treatments/treatments.ts'
import { bindersAt } from '../../household/tanks.ts'
import { momentBeside } from '../../time/words.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import type { DosesState } from '../tracks/doses.ts'
import { watchDays, watchFromOf } from '../tracks/watch.ts'
import { wardNow } from '../ward-when-loaded.ts'
import {
  base,
  restoreWords,
  waitsForOf,
  withHow,
  drugWord,
  type Draft,
  type DrugInput,
  type TaskInput,
} from './step-input.ts'

/** The move once the count is full, if every rule holds; without it, what is waited for. */
export function moveTask(input: DrugInput, step: Step): Draft | null {
  const { facts, clock, observation, living, journal } = input
  if (observation || clock.completesAt === null || living.length === 0) return null
  const waitsFor = waitsForOf(input, step)
  const at = clock.completesAt
  const names = living.map((id) => animalLabel(animalById(journal, id)!))
  const staying = residentsBetween(journal, facts.course.tankId, facts.now, facts.now)
    .filter(({ id }) => !living.includes(id))
    .map(animalLabel)
  return {
    ...base(input, step, clock.run),
    title: `Move ${names.length > 2 ? `all ${names.length}` : names.join(' and ')}`,
    why: `${clock.state === 'complete' ? 'the count is full' : 'when the count is full'}${
      staying.length > 0 ? `; ${staying.join(', ')} ${staying.length === 1 ? 'stays' : 'stay'} in the medicine` : ''
    }`,
    notBefore: at,
    best: at,
    notAfter: at + 3 * MS_PER_DAY,
    animalIds: living,
    ...(facts.course.moveToTankId !== null && { toTankId: facts.course.moveToTankId }),
    ...(waitsFor.length > 0 && { waitsFor }),
  }
}

/** At the end of thirty days the drug comes out. */
export function clearTask(input: DrugInput, step: Step): Draft | null {
  const { facts, clock, observation, journal } = input
  if (observation || clock.completesAt === null) return null
  if (bindersAt(journal, facts.course.tankId, facts.now).length > 0) return null
  const at = clock.completesAt
  // Carbon in before the count is proven full would set it to zero.
  const waitsFor = waitsForOf(input, step)
  return {
    ...base(input, step, clock.run),
    title: `Take the ${drugWord(facts.course)} out: carbon in, change water`,
    why: clock.state === 'complete' ? 'the count is full' : 'when the count is full',
    notBefore: at,
    best: at,
    notAfter: at + CLEAR_DAYS * MS_PER_DAY,
    ...(waitsFor.length > 0 && { waitsFor }),
  }
}

/** Days after the count is full in which the drug is taken out: the reading that proves it full may come a day later. */
const CLEAR_DAYS = 2
/** Carbon stays in for so many days after the treatment, before it would take the next medicine out (EA: a day takes most of it, two leave little). */
const CARBON_DAYS = 2

/** Before a medicine goes into water that carbon or resin is in, they come out. */
export function carbonOutTask(input: TaskInput, step: Step): Draft | null {
  const { facts, journal, observation, doses } = input
  if (!observation) return null
  const next = doses.flatMap(({ ahead }) => ahead.slice(0, 1)).sort((a, b) => a.best - b.best)[0]
  if (!next) return null
  const running = bindersAt(journal, observation.tankId, facts.now)
  if (running.length === 0) return null
  const since = Math.max(...running.map(({ since: from }) => from))
  const best = since + CARBON_DAYS * MS_PER_DAY
  return {
    ...base(
      input,
      step,
      doses.reduce((sum, { givenInAll }) => sum + givenInAll, 0),
    ),
    tankId: observation.tankId,
    title: step.title,
    why: 'it would take the next medicine out',
    notBefore: since + MS_PER_DAY,
    best,
    notAfter: Math.max(next.notAfter, best + MS_PER_DAY),
  }
}

/**
 * Observation without any drug, fourteen days at least, and then the course is over. Before it has begun its end is told as it
 * would be if all goes by the book.
 */
export function closeTask(input: TaskInput, step: Step): Draft | null {
  const { observation, settings, facts, seen, drug, rounds, salinity, doses } = input
  const from = watchFromOf({ observation, rounds, clock: drug?.clock ?? null, salinity })
  if (from === null) return null
  const { leastDays, preferredDays } = observation ?? {
    leastDays: watchDays(facts.course).days,
    preferredDays: watchDays(facts.course).preferredDays,
  }
  const at = (days: number) => from + days * MS_PER_DAY
  // What one round has begun its last round ends: eggs live through the first.
  const toCome = doses.flatMap(({ track, state, givenInAll, ahead }) => {
    if (state === 'full') return []
    if (givenInAll > 0) return [`the last of the ${track.name}`]
    // Never begun, and its time is over: nobody waits for it.
    return ahead[0] && ahead[0].notAfter >= facts.now ? [`the ${track.name}`] : []
  })
  return {
    ...base(input, withHow(step, restoreWords(input)), seen.signs.length, [`finish/${seen.signs.length}`]),
    tankId: observation?.tankId ?? facts.course.moveToTankId ?? rounds?.tankId ?? facts.course.tankId,
    title: 'Finish the course',
    why: observation
      ? `${leastDays} days without a sign at least, ${preferredDays} preferred; since ${momentBeside(from, facts.now, settings.clock)}`
      : `${leastDays} days without a sign at least, ${preferredDays} preferred, after the treatment`,
    notBefore: at(leastDays),
    best: at(preferredDays),
    notAfter: at(preferredDays + 7),
    ...(toCome.length > 0 && { waitsFor: toCome }),
  }
}

/** Counts of doses that have to be full: medicine in food has not, where no fish takes it and what goes into the water is all given. */
function dosesOwed({ doses, journal, facts, living }: TaskInput): readonly DosesState[] {
  const isFood = ({ track }: DosesState) => doseById(track.dose)?.route === 'food'
  const others = doses.filter((one) => !isFood(one))
  const ward = wardNow()
  const isLeft =
    others.length > 0 &&
    others.every(({ state }) => state === 'full') &&
    living.length > 0 &&
    ward !== null &&
    ward.takesFood(ward.conditionsOf(journal, living, facts.now)).length === 0
  return isLeft ? others : doses
}

/** The end of doses: once all are given; told as it would be before. */
export function closeDosesTask(input: TaskInput, step: Step): Draft | null {
  const doses = dosesOwed(input)
  const full = doses.map(({ fullAt }) => fullAt)
  if (full.length === 0 || full.some((at) => at === null)) return null
  const at = Math.max(...full.map((one) => one!))
  const isFull = doses.every(({ state }) => state === 'full')
  return {
    ...base(input, withHow(step, restoreWords(input)), 0),
    title: step.title,
    why: !isFull
      ? 'when every dose was given'
      : doses.length < input.doses.length
        ? 'every dose into the water was given; the food was left'
        : 'every dose was given',
    notBefore: at,
    best: at,
    notAfter: at + 7 * MS_PER_DAY,
  }
}
