import { convertSalinity } from './salinity.ts'

/** Psu of a specific gravity at 25 °C; quarantine.md gives all gravities so. */
export function psuOfGravity(sg: number): number {
  const converted = convertSalinity({ value: sg, unit: 'sg' })
  if (!converted.ok) throw new RangeError(`not a specific gravity of water: ${sg}`)
  return converted.value.psu
}

/** Specific gravity of a salinity at 25 °C. */
export function gravityOfPsu(psu: number): number {
  const converted = convertSalinity({ value: psu, unit: 'psu' })
  if (!converted.ok) throw new RangeError(`not a salinity: ${psu}`)
  return converted.value.sg
}
