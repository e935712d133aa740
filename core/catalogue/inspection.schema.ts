import Type, { type Static } from 'typebox'
import { oneOf, strict } from '../schema/types.ts'

const text = () => Type.String({ minLength: 1 })

/** Kinds of animal that are looked at alike on arrival; "bag" is looked at with all of them. */
export const InspectionKind = oneOf(['bag', 'fish', 'crustacean', 'echinoderm', 'clam', 'anemone', 'coral'] as const)
export type InspectionKind = Static<typeof InspectionKind>

export const InspectionTick = strict({
  sign: Type.String({ pattern: '^[a-z0-9]+(-[a-z0-9]+)*$', description: 'what a sighting keeps' }),
  of: Type.Array(InspectionKind, { minItems: 1 }),
  label: text(),
  look: text(),
  picture: Type.String({ pattern: '^[a-z]+(-[a-z]+)*$', description: 'drawing of the app' }),
  then: text(),
  grave: Type.Boolean(),
})
/** Something to look for when an animal arrives: its sign, how it looks, and what is done about it. */
export type InspectionTick = Static<typeof InspectionTick>
