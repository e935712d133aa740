import { CORAL_PROCEDURES } from './corals.data.ts'
import { FISH_PROCEDURES } from './fish.data.ts'
import { PEROXIDE_PROCEDURES } from './peroxide.data.ts'
import { PEST_PROCEDURES } from './pests.data.ts'
import type { Procedure } from './procedure.types.ts'
import { WATER_PROCEDURES } from './water.data.ts'

/** The procedures of the bench, from the handbook's steps. */
export const PROCEDURES: readonly Procedure[] = [
  ...CORAL_PROCEDURES,
  ...PEROXIDE_PROCEDURES,
  ...PEST_PROCEDURES,
  ...FISH_PROCEDURES,
  ...WATER_PROCEDURES,
]

const byId = new Map(PROCEDURES.map((procedure) => [procedure.id, procedure]))

/** The procedure of this id, or undefined. */
export const procedureById = (id: string): Procedure | undefined => byId.get(id)
