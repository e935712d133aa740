import Type, { type Static } from 'typebox'
import { MAX_POINTS } from '../numbers/limits.ts'
import { finite, fraction, nonNegative, oneOf, positive, strict } from '../schema/types.ts'
import { Product } from './product.schema.ts'

const unit = () => oneOf(['mL', 'g', 'pack', 'drop'] as const)

export const DoseAmountInput = strict({
  volumeL: positive(),
  currentMgPerL: Type.Optional(nonNegative('0')),
  targetMgPerL: nonNegative(),
  product: Product,
  measureStep: Type.Optional(positive('smallest amount that can be measured, in the product’s unit')),
})
export type DoseAmountInput = Static<typeof DoseAmountInput>

const amount = strict({ amount: nonNegative(), unit: unit() })

export const DoseAmount = strict({
  massMg: positive(),
  exact: amount,
  measured: Type.Union([
    strict({
      amount: nonNegative('nearest multiple of the step, halves up'),
      unit: unit(),
      mgPerL: nonNegative('what the measured amount really reaches'),
      errorFraction: finite('of the target'),
      belowMeasurable: Type.Boolean(),
    }),
    Type.Null(),
  ]),
})
export type DoseAmount = Static<typeof DoseAmount>

export const DoseRampInput = strict({
  volumeL: positive(),
  currentMgPerL: nonNegative(),
  targetMgPerL: nonNegative(),
  maxStepMgPerL: positive(),
  hoursBetween: positive(),
  product: Product,
  measureStep: Type.Optional(positive()),
})
export type DoseRampInput = Static<typeof DoseRampInput>

export const DoseRamp = strict({
  steps: Type.Array(
    strict({
      afterHours: nonNegative(),
      massMg: nonNegative(),
      amount: nonNegative(),
      unit: unit(),
      mgPerL: nonNegative('running level'),
    }),
    { maxItems: MAX_POINTS },
  ),
})
export type DoseRamp = Static<typeof DoseRamp>

export const RedoseInput = strict({
  volumeL: positive(),
  mgPerL: nonNegative('before the change'),
  fraction: fraction('share of the water changed'),
  replacementMgPerL: Type.Optional(nonNegative('0')),
  restoreToMgPerL: nonNegative(),
})
export type RedoseInput = Static<typeof RedoseInput>

export const Redose = strict({ afterMgPerL: nonNegative(), massMg: positive() })
export type Redose = Static<typeof Redose>
