import Type, { type Static } from 'typebox'
import { MAX_POINTS } from '../numbers/limits.ts'
import { finite, fraction, instant, nonNegative, positive, strict } from '../schema/types.ts'

const dose = strict({ at: instant(), kind: Type.Literal('dose'), massMg: nonNegative() })
const waterChange = strict({
  at: instant(),
  kind: Type.Literal('water-change'),
  fraction: fraction(),
  replacementMgPerL: Type.Optional(nonNegative('0')),
})
const topOff = strict({ at: instant(), kind: Type.Literal('top-off') })

export const WaterEvent = Type.Union([dose, waterChange, topOff])
/** Something that changes how much is dissolved, or in how much water. */
export type WaterEvent = Static<typeof WaterEvent>

export const WaterEvents = Type.Array(WaterEvent, { maxItems: MAX_POINTS })

export const ConcentrationPathInput = strict({
  volumeL: positive(),
  startMgPerL: nonNegative(),
  start: instant(),
  until: instant(),
  stepHours: positive(),
  halfLifeHours: Type.Optional(Type.Union([positive(), Type.Null()])),
  evaporationLPerDay: Type.Optional(nonNegative('0')),
  events: WaterEvents,
})
export type ConcentrationPathInput = Static<typeof ConcentrationPathInput>

export const ConcentrationPath = strict({
  points: Type.Array(strict({ at: instant(), mgPerL: nonNegative(), volumeL: positive() }), { maxItems: MAX_POINTS }),
})
export type ConcentrationPath = Static<typeof ConcentrationPath>

const prior = <N extends string>(median: N) =>
  strict({ [median]: positive(), logSd: positive('of the natural logarithm') } as Record<
    N | 'logSd',
    ReturnType<typeof positive>
  >)

export const ConcentrationFitInput = strict({
  start: strict({ at: instant(), mgPerL: nonNegative() }),
  events: WaterEvents,
  readings: Type.Array(strict({ at: instant(), mgPerL: nonNegative(), sdMgPerL: positive() }), {
    maxItems: MAX_POINTS,
  }),
  volumePrior: prior('medianL'),
  halfLifePrior: prior('medianHours'),
})
export type ConcentrationFitInput = Static<typeof ConcentrationFitInput>

export const ConcentrationFit = strict({
  volumeL: positive(),
  halfLifeHours: positive(),
  logSdVolume: positive(),
  logSdHalfLife: positive(),
  residuals: Type.Array(finite('reading − model, mg/L'), { maxItems: MAX_POINTS }),
})
export type ConcentrationFit = Static<typeof ConcentrationFit>
