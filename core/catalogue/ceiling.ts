import { parameterById } from './parameter.ts'
import { CEILINGS } from './treatments/tank-limits.data.ts'

/**
 * The most that a level may be dosed up to: its own ceiling, else the most that is plausible in any tank.
 * @returns in the parameter's unit; null for a parameter that is not in the catalogue
 * @example
 * ceilingOf('sio2') // 3
 */
export const ceilingOf = (parameterId: string): number | null =>
  CEILINGS[parameterId] ?? parameterById(parameterId)?.plausible[1] ?? null
