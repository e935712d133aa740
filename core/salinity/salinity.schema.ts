import Type, { type Static } from 'typebox'
import { MAX_POINTS } from '../numbers/limits.ts'
import { finite, nonNegative, oneOf, positive, strict } from '../schema/types.ts'

const degrees = () => Type.Number({ minimum: 0, maximum: 40, description: '°C' })

export const SalinityConvertInput = strict({
  value: finite('psu, or specific gravity'),
  unit: oneOf(['psu', 'sg'] as const),
  temperatureC: Type.Optional(degrees()),
  referenceC: Type.Optional(degrees()),
})
export type SalinityConvertInput = Static<typeof SalinityConvertInput>

export const Salinity = strict({ psu: nonNegative(), sg: positive(), densityKgPerM3: positive() })
export type Salinity = Static<typeof Salinity>

export const SalinitySwapInput = strict({
  volumeL: positive(),
  fromPsu: nonNegative(),
  toPsu: nonNegative(),
  replacementPsu: nonNegative(),
  maxStepPsu: positive('largest change of one swap'),
  hoursBetween: nonNegative('pause between two swaps'),
})
export type SalinitySwapInput = Static<typeof SalinitySwapInput>

export const SalinitySwap = strict({
  steps: Type.Array(strict({ afterHours: nonNegative(), replaceL: positive(), psu: nonNegative() }), {
    maxItems: MAX_POINTS,
  }),
  totalL: nonNegative(),
})
export type SalinitySwap = Static<typeof SalinitySwap>
