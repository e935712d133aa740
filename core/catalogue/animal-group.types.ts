import type { Water } from './parameter.types.ts'

export type AnimalKind = 'fish' | 'coral' | 'invertebrate'

/** A group of species that are acclimated, dosed and looked at alike. */
export interface AnimalGroup {
  id: string
  name: string
  kind: AnimalKind
  water: Water
  /** Row of the acclimation table. */
  acclimation: string
  /** Row of the sensitivities table (quarantine.md 5.6), if one applies. */
  sensitivity: string | null
  /** Host row of the sign tables, if one applies. */
  host: string | null
}
