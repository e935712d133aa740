import Type, { type Static } from 'typebox'
import { WaterEvents } from '../concentration/concentration.schema.ts'
import { MAX_POINTS } from '../numbers/limits.ts'
import { finite, instant, nonNegative, oneOf, positive, strict } from '../schema/types.ts'

export const ClockInput = strict({
  band: strict({ lowMgPerL: nonNegative(), highMgPerL: nonNegative() }),
  toleranceMgPerL: Type.Optional(nonNegative('0')),
  requiredHours: positive(),
  maxGapHours: positive(),
  volumeL: positive(),
  readings: Type.Array(strict({ at: instant(), mgPerL: nonNegative(), sdMgPerL: Type.Optional(nonNegative()) }), {
    maxItems: MAX_POINTS,
  }),
  events: WaterEvents,
  now: instant(),
})
export type ClockInput = Static<typeof ClockInput>

const instantOrNull = () => Type.Union([instant(), Type.Null()])

export const Clock = strict({
  state: oneOf(['not-started', 'running', 'broken', 'complete'] as const),
  startedAt: instantOrNull(),
  verifiedHours: nonNegative('length of the reported run, up to the last reading'),
  remainingHours: nonNegative(),
  completesAt: instantOrNull(),
  breaks: Type.Array(strict({ from: instant(), to: instantOrNull(), lowestMgPerL: finite() })),
  hoursAboveHigh: nonNegative(),
  highestMgPerL: Type.Union([finite(), Type.Null()]),
  gaps: Type.Array(strict({ from: instant(), to: instant(), hours: nonNegative() })),
  weakest: Type.Union([strict({ at: instant(), mgPerL: nonNegative(), z: finite() }), Type.Null()]),
})
export type Clock = Static<typeof Clock>
