import type { AnimalGroup } from './animal-group.ts'
import { INSPECTION } from './inspection.data.ts'
import type { InspectionKind, InspectionTick } from './inspection.types.ts'
import type { Water } from './parameter.types.ts'
import { signById } from './sign.ts'

export type { InspectionKind, InspectionTick } from './inspection.types.ts'
export { INSPECTION }

const bySign = new Map<string, InspectionTick>(INSPECTION.map((tick) => [tick.sign, tick]))

/** What is looked for on arrival under this sign, or undefined. */
export const inspectionBySign = (sign: string): InspectionTick | undefined => bySign.get(sign)

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

/** What is looked for in animals of a kind; in fresh water without the signs of the sea. */
export const ticksFor = (kind: InspectionKind, water: Water): readonly InspectionTick[] =>
  INSPECTION.filter(
    ({ of, sign }) => of.includes(kind) && (signById(sign)?.scope ?? 'mf').includes(water === 'marine' ? 'm' : 'f'),
  )

/** How a sign is printed, whichever table it stands in. */
export const signLabel = (sign: string): string => signById(sign)?.label ?? bySign.get(sign)?.label ?? sign
