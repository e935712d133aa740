import Type, { type Static } from 'typebox'
import { nonNegative, positive, strict } from '../schema/types.ts'

export const PeroxideStrengthInput = strict({
  percentByMass: Type.Number({ minimum: 0, maximum: 35, description: 'percent by mass, up to 35; 0 is water' }),
})
export type PeroxideStrengthInput = Static<typeof PeroxideStrengthInput>

export const PeroxideStrength = strict({ densityGPerMl: positive(), mgPerMl: nonNegative() })
export type PeroxideStrength = Static<typeof PeroxideStrength>
