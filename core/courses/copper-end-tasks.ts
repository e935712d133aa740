import { animalById, animalLabel, residentsBetween } from '../household/animals.ts'
import { equipmentAt } from '../household/tanks.ts'
import { momentBeside } from '../time/words.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { MOVE_RULES } from './copper-rules.ts'
import { base, type Draft, type TaskInput } from './copper-task-input.ts'

/** The move once the count is full, if every rule holds; without it, what is waited for. */
export function moveTask(input: TaskInput): Draft | null {
  const { facts, clock, rules, observation, living, journal } = input
  if (facts.course.length !== 'fourteen-then-move' || observation || clock.completesAt === null || living.length === 0)
    return null
  const waitsFor = rules
    .filter(({ id, state }) => (MOVE_RULES as readonly string[]).includes(id) && state !== 'holds')
    .map(({ rule }) => rule)
  const at = clock.completesAt
  const names = living.map((id) => animalLabel(animalById(journal, id)!))
  const staying = residentsBetween(journal, facts.course.tankId, facts.now, facts.now)
    .filter(({ id }) => !living.includes(id))
    .map(animalLabel)
  return {
    ...base(input, 'move', String(clock.run)),
    title: `Move ${names.length > 2 ? `all ${names.length}` : names.join(' and ')}`,
    why: `${clock.state === 'complete' ? 'the count is full' : 'when the count is full'}${
      staying.length > 0 ? `; ${staying.join(', ')} ${staying.length === 1 ? 'stays' : 'stay'} in the medicine` : ''
    }`,
    notBefore: at,
    best: at,
    notAfter: at + 3 * MS_PER_DAY,
    animalIds: living,
    ...(waitsFor.length > 0 && { waitsFor }),
  }
}

/** At the end of thirty days the copper comes out. */
export function clearTask(input: TaskInput): Draft | null {
  const { facts, clock, observation, journal } = input
  if (facts.course.length !== 'thirty' || observation || clock.completesAt === null) return null
  const isRunning = equipmentAt(journal, facts.course.tankId, facts.now).some(
    ({ item, running }) => (item === 'carbon' || item === 'resin') && running,
  )
  if (isRunning) return null
  const at = clock.completesAt
  return {
    ...base(input, 'clear', String(clock.run)),
    title: 'Take the copper out: carbon in, change water',
    why: clock.state === 'complete' ? 'the count is full' : 'when the count is full',
    notBefore: at,
    best: at,
    notAfter: at + MS_PER_DAY,
  }
}

/** Observation without any drug, fourteen days at least, and then the course is over. */
export function finishTask(input: TaskInput): Draft | null {
  const { observation, settings, facts, seen } = input
  if (!observation) return null
  const at = (days: number) => observation.from + days * MS_PER_DAY
  return {
    ...base(input, 'finish', String(seen.signs.length)),
    tankId: observation.tankId,
    title: 'Finish the course',
    why: `${observation.leastDays} days without a sign at least, ${observation.preferredDays} preferred; since ${momentBeside(observation.from, facts.now, settings.clock)}`,
    notBefore: at(observation.leastDays),
    best: at(observation.preferredDays),
    notAfter: at(observation.preferredDays + 7),
  }
}
