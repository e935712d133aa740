import Type, { type Static } from 'typebox'
import { MAX_POINTS } from '../numbers/limits.ts'
import { finite, fraction, instant, nonNegative, strict } from '../schema/types.ts'

export const TrendFitInput = strict({
  readings: Type.Array(strict({ at: instant(), value: finite(), sd: Type.Optional(nonNegative()) }), {
    maxItems: 5_000, // pairs grow with the square: over ten million slopes
  }),
  targets: Type.Optional(Type.Array(finite(), { maxItems: 1_000 })),
  now: instant(),
})
export type TrendFitInput = Static<typeof TrendFitInput>

export const TrendFit = strict({
  slopePerDay: finite(),
  valueNow: finite(),
  suspects: Type.Array(Type.Integer({ minimum: 0 }), { description: 'places in the list as it was given' }),
  reach: Type.Array(strict({ target: finite(), at: Type.Union([instant(), Type.Null()]) })),
})
export type TrendFit = Static<typeof TrendFit>

export const MicroscopyInput = strict({
  counts: Type.Array(strict({ at: instant(), diatoms: nonNegative(), dinos: nonNegative() }), { maxItems: MAX_POINTS }),
})
export type MicroscopyInput = Static<typeof MicroscopyInput>

export const Microscopy = strict({
  points: Type.Array(
    strict({ at: instant(), share: Type.Union([fraction(), Type.Null()]), low: fraction(), high: fraction() }),
  ),
  change: Type.Union([strict({ z: finite(), p: fraction() }), Type.Null()]),
})
export type Microscopy = Static<typeof Microscopy>

export const UptakeInput = strict({
  readings: Type.Array(strict({ at: instant(), value: nonNegative() }), { maxItems: MAX_POINTS }),
  additions: Type.Array(strict({ at: instant(), value: nonNegative('rise of the level it makes') }), {
    maxItems: MAX_POINTS,
  }),
  waterChanges: Type.Array(strict({ at: instant(), fraction: fraction(), replacement: nonNegative() }), {
    maxItems: MAX_POINTS,
  }),
})
export type UptakeInput = Static<typeof UptakeInput>

export const Uptake = strict({
  intervals: Type.Array(strict({ from: instant(), to: instant(), perDay: finite() })),
  meanPerDay: finite(),
})
export type Uptake = Static<typeof Uptake>
