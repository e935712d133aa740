import { MAX_POINTS } from '../numbers/limits.ts'
import { ceilQuotient, roundHalfUp } from '../numbers/rounding.ts'
import { invalid, noSolution, ok, type Result } from '../result/result.ts'
import { afterChange } from '../water-change/water-change.ts'
import type { DoseAmount, DoseAmountInput, DoseRamp, DoseRampInput, Redose, RedoseInput } from './dosing.schema.ts'
import { amountUnit, mgPerUnit } from './product.ts'

/** An amount as it can be measured: the nearest multiple of the step, halves up, in the product's unit. */
export const measurable = (amount: number, step: number): number => roundHalfUp(amount / step) * step

/**
 * How much of a product raises a volume from one level to another: (target − current)·V mg, and that in the product's unit.
 * `measured` is what the keeper's tool can give, and the level it really makes.
 * @returns `no-solution` when the target is not over the present level
 */
export function doseAmount(input: DoseAmountInput): Result<DoseAmount> {
  const { volumeL, currentMgPerL = 0, targetMgPerL, product, measureStep } = input
  if (targetMgPerL <= currentMgPerL)
    return noSolution(
      '/targetMgPerL',
      `a dose only raises: ${targetMgPerL} mg/L is not over the present ${currentMgPerL} mg/L`,
    )
  const massMg = (targetMgPerL - currentMgPerL) * volumeL
  const unit = amountUnit(product)
  const each = mgPerUnit(product)
  const exact = { amount: massMg / each, unit }
  if (measureStep === undefined) return ok({ massMg, exact, measured: null })
  const amount = measurable(exact.amount, measureStep)
  const mgPerL = currentMgPerL + (amount * each) / volumeL
  return ok({
    massMg,
    exact,
    measured: {
      amount,
      unit,
      mgPerL,
      errorFraction: (mgPerL - targetMgPerL) / targetMgPerL,
      belowMeasurable: amount === 0,
    },
  })
}

/**
 * Equal doses, none raising the level by more than allowed, the first at 0 h: n = ceil((target − current)/maxStep). With a
 * measure step each dose is measured on its own, and the running level is what the measured doses make.
 * @returns `no-solution` when the target is not over the present level
 */
export function doseRamp(input: DoseRampInput): Result<DoseRamp> {
  const { volumeL, currentMgPerL, targetMgPerL, maxStepMgPerL, hoursBetween, product, measureStep } = input
  if (targetMgPerL <= currentMgPerL)
    return noSolution(
      '/targetMgPerL',
      `a ramp only rises: ${targetMgPerL} mg/L is not over the present ${currentMgPerL} mg/L`,
    )
  const count = ceilQuotient((targetMgPerL - currentMgPerL) / maxStepMgPerL)
  if (count > MAX_POINTS) return invalid('/maxStepMgPerL', `gives ${count} steps; expected at most ${MAX_POINTS}`)
  const unit = amountUnit(product)
  const each = mgPerUnit(product)
  const exact = ((targetMgPerL - currentMgPerL) * volumeL) / count / each
  const amount = measureStep === undefined ? exact : measurable(exact, measureStep)
  const massMg = amount * each
  const steps = Array.from({ length: count }, (_, i) => ({
    afterHours: i * hoursBetween,
    massMg,
    amount,
    unit,
    mgPerL: currentMgPerL + ((i + 1) * massMg) / volumeL,
  }))
  return ok({ steps })
}

/**
 * What a water change leaves, and the mass that puts the level back: (restoreTo − after)·V mg.
 * @returns `no-solution` when the water is at or over the level without any
 */
export function redose(input: RedoseInput): Result<Redose> {
  const { volumeL, mgPerL, fraction, replacementMgPerL = 0, restoreToMgPerL } = input
  const afterMgPerL = afterChange(mgPerL, fraction, replacementMgPerL)
  if (restoreToMgPerL <= afterMgPerL)
    return noSolution(
      '/restoreToMgPerL',
      `the water is at ${afterMgPerL} mg/L after the change; ${restoreToMgPerL} mg/L needs no dose`,
    )
  return ok({ afterMgPerL, massMg: (restoreToMgPerL - afterMgPerL) * volumeL })
}
