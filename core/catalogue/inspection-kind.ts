import type { AnimalGroup } from './animal-group.ts'
import type { InspectionKind } from './inspection.types.ts'

const OF_ACCLIMATION: Readonly<Record<string, InspectionKind>> = {
  'shrimp-crab-snail': 'crustacean',
  'freshwater-shrimp': 'crustacean',
  'star-urchin': 'echinoderm',
  anemone: 'anemone',
  coral: 'coral',
}

/** As what a group of species is looked at. */
export const inspectionKindOf = (group: AnimalGroup): InspectionKind =>
  group.id === 'clam' ? 'clam' : (OF_ACCLIMATION[group.acclimation] ?? 'fish')
