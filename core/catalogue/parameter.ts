import type { BandProfileId, Parameter } from './parameter.types.ts'
import { BAND_PROFILES, PARAMETERS } from './parameters.data.ts'

export type { BandProfile, BandProfileId, Parameter, ParameterId, Water } from './parameter.types.ts'
export { BAND_PROFILES, PARAMETERS }

const byId = new Map<string, Parameter>(PARAMETERS.map((parameter) => [parameter.id, parameter]))

/** The parameter with this id, or undefined. */
export const parameterById = (id: string): Parameter | undefined => byId.get(id)

/**
 * The 95 % half-width of a reading by a typical kit, in the parameter's unit.
 * @param value the reading, in the parameter's unit
 */
export function typicalUncertainty(parameter: Parameter, value: number): number {
  const { abs, rel, join } = parameter.uncertainty
  const share = rel * Math.abs(value)
  return join === 'sum' ? abs + share : Math.max(abs, share)
}

/** The comfort band of a parameter in a kind of tank; null where it is not steered. */
export const bandFor = (parameter: Parameter, profile: BandProfileId | undefined) =>
  (profile && parameter.bands[profile]) ?? null
