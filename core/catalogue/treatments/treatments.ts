import { CLOCK_EVENTS } from './clock-events.data.ts'
import { DOSES } from './doses.data.ts'
import { LIFE_MODELS } from './life-models.data.ts'
import { RAMPS } from './ramps.data.ts'
import { TRANSFER_RULES } from './transfer-rules.data.ts'
import type { Dose, LifeModel, Ramp } from './treatment.types.ts'

export type { Dose, LifeModel, Ramp } from './treatment.types.ts'
export { CLOCK_EVENTS, DOSES, TRANSFER_RULES }

const doses = new Map(DOSES.map((dose) => [dose.id, dose]))

/** The dose with this id, or undefined. */
export const doseById = (id: string): Dose | undefined => doses.get(id)

/** How an agent is brought up to its dose. */
export const rampOf = (agent: string): Ramp =>
  RAMPS.find((ramp) => ramp.agent === agent) ?? RAMPS.find((ramp) => ramp.agent === 'others')!

/** The model of a parasite's life, or undefined where it is not modelled. */
export const lifeModelOf = (parasite: string): LifeModel | undefined =>
  LIFE_MODELS.find((model) => model.parasite === parasite)
