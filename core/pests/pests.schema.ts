import Type, { type Static } from 'typebox'
import { MAX_POINTS, MAX_RUNS } from '../numbers/limits.ts'
import { finite, fraction, nonNegative, positive, strict } from '../schema/types.ts'

export const DipPlanInput = strict({
  hatchMaxHours: positive('the slowest egg'),
  maturationMinHours: positive('from hatching to the first eggs, at the fastest'),
  safetyHours: Type.Optional(nonNegative('12')),
  confirmRounds: Type.Optional(Type.Integer({ minimum: 0, maximum: 1000, description: '1' })),
})
export type DipPlanInput = Static<typeof DipPlanInput>

export const DipPlan = strict({
  intervalHours: positive(),
  rounds: Type.Integer({ minimum: 1 }),
  lastAtHours: nonNegative(),
  safe: Type.Boolean({ description: 'no hatchling can lay between two dips' }),
})
export type DipPlan = Static<typeof DipPlan>

const span = () => strict({ min: nonNegative(), max: positive() })

export const PestClearanceInput = strict({
  adults: Type.Integer({ minimum: 0, maximum: 1_000_000 }),
  eggs: Type.Integer({ minimum: 0, maximum: 1_000_000 }),
  hatchHours: span(),
  maturationHours: span(),
  eggsPerAdultPerDay: nonNegative(),
  juvenileSurvival: Type.Optional(fraction('1')),
  dipsHours: Type.Array(nonNegative(), { maxItems: 10_000 }),
  killMobile: fraction(),
  removeEggs: fraction(),
  horizonHours: positive(),
  cap: Type.Optional(Type.Integer({ minimum: 1, maximum: MAX_POINTS, description: '5000' })),
  runs: Type.Integer({ minimum: 1, maximum: MAX_RUNS }),
  seed: Type.Integer({ minimum: Number.MIN_SAFE_INTEGER, maximum: Number.MAX_SAFE_INTEGER }),
})
export type PestClearanceInput = Static<typeof PestClearanceInput>

export const PestClearance = strict({
  clearedShare: fraction(),
  low: fraction(),
  high: fraction(),
  meanMobileBeforeDip: Type.Array(finite()),
})
export type PestClearance = Static<typeof PestClearance>

export const PestByCountsInput = strict({
  cameOff: Type.Integer({
    minimum: 0,
    maximum: 10_000,
    description: 'in the last dip that brought something off, at hour 0',
  }),
  eggsMean: Type.Number({
    minimum: 0,
    maximum: 10_000,
    description: 'guessed to be there before that dip; drawn again for each run, from none to several times as many',
  }),
  hatchHours: span(),
  maturationHours: span(),
  eggsPerAdultPerDay: nonNegative(),
  killMobile: fraction(),
  removeEggs: fraction(),
  cleanDipsHours: Type.Array(positive(), { maxItems: 100, description: 'dips since, in which nothing came off' }),
  runs: Type.Integer({ minimum: 1, maximum: MAX_RUNS }),
  seed: Type.Integer({ minimum: Number.MIN_SAFE_INTEGER, maximum: Number.MAX_SAFE_INTEGER }),
})
export type PestByCountsInput = Static<typeof PestByCountsInput>

export const PestByCounts = strict({
  overShare: fraction('nothing living is left after the last dip'),
  effectiveRuns: positive('runs that the answer rests on'),
})
export type PestByCounts = Static<typeof PestByCounts>
