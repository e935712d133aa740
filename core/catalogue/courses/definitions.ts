import type { Definition } from './definition.ts'
import { FALLOW_COURSES } from './fallow.data.ts'
import { PLAN_COURSES } from './plans.data.ts'
import { SCHOOL_COURSES } from './schools.data.ts'

export type {
  Act,
  Condition,
  Definition,
  Op,
  Option,
  Quantity,
  Role,
  Rule,
  ScheduleName,
  Step,
  Track,
} from './definition.ts'

/** Every course that the engine runs, by the handbooks’ own ids. */
export const DEFINITIONS: readonly Definition[] = [...SCHOOL_COURSES, ...FALLOW_COURSES, ...PLAN_COURSES]

const byId = new Map(DEFINITIONS.map((definition) => [definition.id, definition]))

/**
 * The definition with this id.
 * @returns undefined for one that this version does not know
 * @example
 * definitionById('qt-c-hybrid')?.days // 12
 */
export const definitionById = (id: string): Definition | undefined => byId.get(id)
