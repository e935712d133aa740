import Type, { type Static } from 'typebox'
import { MAX_POINTS } from '../numbers/limits.ts'
import { fraction, nonNegative, strict } from '../schema/types.ts'

export const ChangeSequenceInput = strict({
  startMgPerL: nonNegative(),
  replacementMgPerL: Type.Optional(nonNegative('level in the new water; 0')),
  fractions: Type.Array(fraction('share of the water changed each time'), { maxItems: MAX_POINTS }),
})
export type ChangeSequenceInput = Static<typeof ChangeSequenceInput>

export const ChangeSequence = strict({
  afterEach: Type.Array(nonNegative('mg/L after each change')),
  remainingFraction: fraction('share of the first water still there'),
})
export type ChangeSequence = Static<typeof ChangeSequence>

export const ChangeForTargetInput = strict({
  startMgPerL: nonNegative(),
  targetMgPerL: nonNegative(),
  replacementMgPerL: Type.Optional(nonNegative('0')),
  maxFraction: Type.Number({ exclusiveMinimum: 0, maximum: 1, description: 'largest share of one change' }),
})
export type ChangeForTargetInput = Static<typeof ChangeForTargetInput>

export const ChangeForTarget = strict({
  singleFraction: fraction('the one change that would do'),
  changes: Type.Integer({ minimum: 1 }),
  equalFraction: fraction('of each of the changes'),
})
export type ChangeForTarget = Static<typeof ChangeForTarget>
