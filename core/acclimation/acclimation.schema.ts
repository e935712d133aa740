import Type, { type Static } from 'typebox'
import { MAX_MINUTES } from '../numbers/limits.ts'
import { fraction, nonNegative, oneOf, pH, positive, strict } from '../schema/types.ts'

const temperature = () => Type.Number({ minimum: 0, maximum: 40, description: '°C' })
const salinity = () => Type.Number({ minimum: 0, maximum: 50, description: 'psu' })
const minutes = (description?: string) =>
  Type.Number({ minimum: 0, maximum: MAX_MINUTES, ...(description && { description }) })

const water = {
  temperatureC: temperature(),
  salinityPsu: salinity(),
  pH: pH(),
  alkalinityDkh: positive(),
}
const bag = () => strict({ volumeL: positive(), ...water, tanMgPerL: nonNegative() })
const tank = () => strict({ ...water, tanMgPerL: Type.Optional(nonNegative('0')) })
const container = () => strict({ capacityL: positive(), leaveL: positive('what is left after a pour-off') })
const float = () => strict({ minutes: minutes(), tauMinutes: Type.Optional(positive('12')) })
const room = () => strict({ temperatureC: temperature(), tauMinutes: Type.Optional(positive('90')) })

export const AcclimationMethod = Type.Union([
  strict({ kind: Type.Literal('drip'), mlPerMinute: positive() }),
  strict({ kind: Type.Literal('scoop'), scoopL: positive(), everyMinutes: positive() }),
])
export type AcclimationMethod = Static<typeof AcclimationMethod>

export const SimulateInput = strict({
  bag: bag(),
  tank: tank(),
  container: container(),
  float: float(),
  room: room(),
  gasExchangePerHour: Type.Optional(Type.Number({ minimum: 0, maximum: 1000, description: '0.8' })),
  airCo2Uatm: Type.Optional(nonNegative('600')),
  method: AcclimationMethod,
  minutes: minutes('open, after the float'),
  excretionMgPerHour: Type.Optional(nonNegative('0')),
})
export type SimulateInput = Static<typeof SimulateInput>

export const Simulation = strict({
  points: Type.Array(
    strict({
      minute: nonNegative(),
      volumeL: positive(),
      temperatureC: Type.Number(),
      salinityPsu: nonNegative(),
      pH: Type.Number(),
      tanMgPerL: nonNegative(),
      freeAmmoniaMgPerL: nonNegative(),
      bagWaterFraction: fraction(),
    }),
  ),
  peak: strict({ freeAmmoniaMgPerL: nonNegative(), minute: nonNegative() }),
})
export type Simulation = Static<typeof Simulation>

export const AnimalLimits = strict({
  maxPsuPerHour: positive(),
  matchPsu: positive(),
  matchC: positive(),
  maxFreeAmmoniaMgPerL: nonNegative(),
  maxMinutes: minutes('float included'),
})
export type AnimalLimits = Static<typeof AnimalLimits>

/** What an animal bears, with the hardness that decides in fresh water. */
export const WayLimits = strict({
  ...AnimalLimits.properties,
  matchDkh: Type.Optional(positive('ends within so many dKH of the tank; fresh water only')),
})

export type WayLimits = Static<typeof WayLimits>

export const WayKind = oneOf(['drip', 'scoop', 'match-and-release', 'at-once'] as const)
export type WayKind = Static<typeof WayKind>

/** Everything about bag, tank and room that the way does not change, as a run keeps it. */
export const AcclimationSetting = strict({
  bag: bag(),
  tank: tank(),
  container: container(),
  room: room(),
  float: float(),
  gasExchangePerHour: Type.Optional(Type.Number({ minimum: 0, maximum: 1000, description: '0.8' })),
})

/** What the figures of an answer's sentences are said in. */
export const WordUnits = strict({
  salinity: oneOf(['psu', 'sg'] as const),
  temperature: oneOf(['C', 'F'] as const),
})
export type WordUnits = Static<typeof WordUnits>

export const CompareInput = strict({
  animals: Type.Array(
    strict({
      id: Type.String({ minLength: 1, maxLength: 64 }),
      name: Type.String({ minLength: 1, maxLength: 120 }),
      bag: bag(),
      limits: WayLimits,
    }),
    { minItems: 1, maxItems: 12 },
  ),
  tank: tank(),
  container: container(),
  room: room(),
  float: float(),
  gasExchangePerHour: Type.Optional(Type.Number({ minimum: 0, maximum: 1000, description: '0.8' })),
  shippingHours: nonNegative(),
  tankCanBeMatched: Type.Boolean(),
  units: Type.Optional(WordUnits),
})
export type CompareInput = Static<typeof CompareInput>

const wayKindOrNull = () => Type.Union([WayKind, Type.Null()])
const way = strict({
  kind: WayKind,
  method: Type.Union([AcclimationMethod, Type.Null()]),
  moveAt: nonNegative('minute, float included'),
  points: Simulation.properties.points,
  beyond: Simulation.properties.points,
  peakPsuPerHour: nonNegative(),
  peakFree: nonNegative(),
  peakFreeAt: nonNegative(),
  broken: Type.Array(strict({ what: oneOf(['pace', 'free-ammonia', 'time', 'reach'] as const), words: Type.String() })),
})
export const CompareOutput = strict({
  containers: Type.Array(
    strict({
      ids: Type.Array(Type.String()),
      bag: bag(),
      limits: WayLimits,
      tank: tank(),
      comparison: strict({
        advised: wayKindOrNull(),
        ways: Type.Array(way),
        reasons: Type.Array(Type.String()),
        keptWarm: wayKindOrNull(),
      }),
    }),
  ),
  why: Type.Array(Type.String()),
})

export const PlanInput = strict({
  bag: bag(),
  tank: tank(),
  container: container(),
  room: room(),
  float: float(),
  shippingHours: nonNegative(),
  animal: AnimalLimits,
  tankCanBeMatched: Type.Boolean(),
})
export type PlanInput = Static<typeof PlanInput>

export const AcclimationPlan = strict({
  advice: oneOf(['drip', 'scoop', 'match-and-release', 'no-safe-plan'] as const),
  method: Type.Union([AcclimationMethod, Type.Null()]),
  minutes: nonNegative('open, after the float'),
  reasons: Type.Array(Type.String()),
  simulation: Simulation,
})
export type AcclimationPlan = Static<typeof AcclimationPlan>
