import type { ScheduleName, Step } from '../../catalogue/courses/definitions.ts'
import type { Draft, TaskInput } from './step-input.ts'

/** Works out the occasions of a step that are due up to the horizon. */
export type Schedule = (input: TaskInput, step: Step) => Draft[] | Draft | null

/** Schedules whose reckoning is large: they are loaded with the definitions that have them, and the first view goes without. */
export type LateScheduleName = Extract<
  ScheduleName,
  | 'raise-today'
  | 'moves'
  | 'baths'
  | 'sets'
  | 'lower-salinity'
  | 'raise-salinity'
  | 'read-salinity'
  | 'bring-back'
  | 'back-looks'
  | 'back-ammonia'
  | 'close-back'
  | 'lesion-looks'
  | 'change-before-dose'
  | 'clear-doses'
  | 'close-antibiotic'
  | 'rungs'
  | 'rung-down'
  | 'held-days'
  | 'close-ladder'
>

const schedules = new Map<LateScheduleName, Schedule>()

/** Makes a schedule known to the engine. */
export const addSchedule = (name: LateScheduleName, schedule: Schedule): void => void schedules.set(name, schedule)

/**
 * The schedule with this name.
 * @throws where it was not loaded: its steps would silently have no tasks
 */
export function lateSchedule(name: LateScheduleName): Schedule {
  const schedule = schedules.get(name)
  if (!schedule) throw new Error(`the schedule ${name} was not loaded with its definition`)
  return schedule
}

/** The schedule with this name, or what stands in for it until it is loaded. */
export const lateScheduleOr = (name: LateScheduleName, other: Schedule): Schedule => schedules.get(name) ?? other
