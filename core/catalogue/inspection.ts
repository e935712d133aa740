import { INSPECTION } from './inspection.data.ts'
import type { InspectionKind, InspectionTick } from './inspection.types.ts'
import type { Water } from './parameter.types.ts'
import { signById } from './sign.ts'

export type { InspectionKind, InspectionTick } from './inspection.types.ts'
export { INSPECTION }

const bySign = new Map<string, InspectionTick>(INSPECTION.map((tick) => [tick.sign, tick]))

/** What is looked for on arrival under this sign, or undefined. */
export const inspectionBySign = (sign: string): InspectionTick | undefined => bySign.get(sign)

/** What is looked for in animals of a kind; in fresh water without the signs of the sea. */
export const ticksFor = (kind: InspectionKind, water: Water): readonly InspectionTick[] =>
  INSPECTION.filter(
    ({ of, sign }) => of.includes(kind) && (signById(sign)?.scope ?? 'mf').includes(water === 'marine' ? 'm' : 'f'),
  )
