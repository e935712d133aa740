import Type, { type Static } from 'typebox'
import { positive, strict } from '../schema/types.ts'

/** How a product holds its active ingredient: the four forms a keeper can measure. */
export const Product = Type.Union([
  strict({ kind: Type.Literal('solution'), mgPerMl: positive() }),
  strict({
    kind: Type.Literal('powder'),
    activeFraction: Type.Number({ exclusiveMinimum: 0, maximum: 1, description: 'share of the powder that is active' }),
  }),
  strict({ kind: Type.Literal('pack'), mgPerPack: positive() }),
  strict({ kind: Type.Literal('drops'), mgPerMl: positive(), dropsPerMl: Type.Optional(positive('20')) }),
])
export type Product = Static<typeof Product>

/** The unit a product is measured in. */
export type AmountUnit = 'mL' | 'g' | 'pack' | 'drop'
