import Type, { type Static } from 'typebox'
import { finite, fraction, nonNegative, positive, strict } from '../schema/types.ts'

const box = strict({ kind: Type.Literal('box'), lengthCm: positive(), widthCm: positive(), heightCm: positive() })
const cylinder = strict({ kind: Type.Literal('cylinder'), diameterCm: positive(), heightCm: positive() })
const hexagon = strict({
  kind: Type.Literal('hexagon'),
  sideCm: positive('side of the regular hexagon'),
  heightCm: positive(),
})
const bowFront = strict({
  kind: Type.Literal('bow-front'),
  lengthCm: positive('also the chord of the bow'),
  widthCm: positive('of the box behind the bow'),
  bowCm: nonNegative('sagitta: how far the bow stands out; at most half the length'),
  heightCm: positive(),
})
const known = strict({ kind: Type.Literal('known'), litres: positive() })

export const TankShape = Type.Union([box, cylinder, hexagon, bowFront, known])
export type TankShape = Static<typeof TankShape>

export const VolumeSheet = strict({
  shape: TankShape,
  waterHeightCm: Type.Optional(positive('water line above the inner bottom; the rim if left out')),
  substrate: Type.Optional(
    strict({ depthCm: positive(), porosity: Type.Optional(fraction('share of the sand bed that is water; 0.4')) }),
  ),
  rock: Type.Optional(
    strict({ dryMassKg: positive(), solidDensityKgPerL: Type.Optional(positive('of the stone itself; 2.8')) }),
  ),
  sumpL: Type.Optional(nonNegative('water in the sump while the pump runs')),
  otherDisplacementL: Type.Optional(nonNegative('pipes, filters, decoration')),
})
/** Everything that decides how much water a tank really holds. Lengths in cm, volumes in L. */
export type VolumeSheet = Static<typeof VolumeSheet>

export const TankVolume = strict({
  grossL: positive('to the rim'),
  filledL: positive('to the water line'),
  displacedL: nonNegative('by sand, rock and the rest'),
  netL: positive('the water there is to treat'),
  footprintCm2: Type.Union([positive(), Type.Null()]),
})
export type TankVolume = Static<typeof TankVolume>

const level = strict({ mgPerL: nonNegative(), sdMgPerL: nonNegative() })

export const VolumeFromDoseInput = strict({ massMg: positive(), before: level, after: level })
export type VolumeFromDoseInput = Static<typeof VolumeFromDoseInput>

export const VolumeFromDose = strict({ netL: positive(), sdL: finite() })
export type VolumeFromDose = Static<typeof VolumeFromDose>
