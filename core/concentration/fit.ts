import { invalid, ok, type Result } from '../result/result.ts'
import { MS_PER_HOUR } from '../time/zone.ts'
import type { ConcentrationFit, ConcentrationFitInput } from './concentration.schema.ts'
import { inTimeOrder } from './events.ts'

const READING = 0
const DOSE = 1
const CHANGE = 2

/**
 * Everything that happens from the start on as one row of moments, in flat arrays: the model is run hundreds of times over
 * the same moments.
 */
interface Moments {
  length: number
  /** Hours since the moment before. */
  hours: Float64Array
  kind: Uint8Array
  /** Of a dose its mass; of a change the share that stays; of a reading its level. */
  value: Float64Array
  /** Of a change what it brings, mg/L; of a reading its weight, 1/sd². */
  other: Float64Array
}

function momentsOf(
  input: ConcentrationFitInput,
  readings: readonly { ms: number; mgPerL: number; sdMgPerL: number }[],
): Moments {
  const start = Date.parse(input.start.at)
  const rows: { ms: number; kind: number; value: number; other: number }[] = readings.map(
    ({ ms, mgPerL, sdMgPerL }) => ({
      ms,
      kind: READING,
      value: mgPerL,
      other: 1 / sdMgPerL ** 2,
    }),
  )
  for (const event of inTimeOrder(input.events)) {
    if (event.ms < start || event.kind === 'top-off') continue
    rows.push(
      event.kind === 'dose'
        ? { ms: event.ms, kind: DOSE, value: event.massMg, other: 0 }
        : {
            ms: event.ms,
            kind: CHANGE,
            value: 1 - event.fraction,
            other: (event.replacementMgPerL ?? 0) * event.fraction,
          },
    )
  }
  // An event at the instant of a reading follows it: readings were put in first and stay first.
  rows.sort((a, b) => a.ms - b.ms)
  const moments: Moments = {
    length: rows.length,
    hours: new Float64Array(rows.length),
    kind: new Uint8Array(rows.length),
    value: new Float64Array(rows.length),
    other: new Float64Array(rows.length),
  }
  rows.forEach(({ ms, kind, value, other }, i) => {
    moments.hours[i] = (ms - (rows[i - 1]?.ms ?? start)) / MS_PER_HOUR
    moments.kind[i] = kind
    moments.value[i] = value
    moments.other[i] = other
  })
  return moments
}

/**
 * The posterior at one place: half the squared misfit with the priors', its gradient and Gauss–Newton Hessian, in this order:
 * cost, gradient by ln V and by ln half-life, Hessian VV, VH, HH. A flat array, used again and again.
 */
type State = Float64Array
const COST = 0
const GRADIENT_V = 1
const GRADIENT_H = 2
const HESSIAN_VV = 3
const HESSIAN_VH = 4
const HESSIAN_HH = 5
const STATE_SIZE = 6

/**
 * Runs the model at (ln V, ln half-life). The level is what was there and what changes bring (base) plus what doses bring
 * (dosed ÷ V); both decay alike. Carrying the slope of each by the decay rate along gives the derivatives without differences.
 * @param state     where to write the posterior
 * @param residuals where to write model − reading, in time order; null when nobody asks
 */
function evaluate(
  { length, hours, kind, value, other }: Moments,
  startMgPerL: number,
  prior: { v: number; h: number; weightV: number; weightH: number },
  logVolume: number,
  logHalfLife: number,
  state: State,
  residuals: Float64Array | null,
): void {
  const volume = Math.exp(logVolume)
  const rate = Math.LN2 / Math.exp(logHalfLife)
  let base = startMgPerL
  let dosed = 0
  let baseByRate = 0
  let dosedByRate = 0
  let offV = logVolume - prior.v
  let offH = logHalfLife - prior.h
  let cost = (offV * offV * prior.weightV + offH * offH * prior.weightH) / 2
  let gradientV = offV * prior.weightV
  let gradientH = offH * prior.weightH
  let hessianVV = prior.weightV
  let hessianVH = 0
  let hessianHH = prior.weightH
  let read = 0
  for (let i = 0; i < length; i++) {
    const passed = hours[i]!
    if (passed > 0) {
      const left = Math.exp(-rate * passed)
      baseByRate = (baseByRate - passed * base) * left
      dosedByRate = (dosedByRate - passed * dosed) * left
      base *= left
      dosed *= left
    }
    const what = kind[i]
    const amount = value[i]!
    if (what === DOSE) dosed += amount
    else if (what === CHANGE) {
      base = base * amount + other[i]!
      baseByRate *= amount
      dosed *= amount
      dosedByRate *= amount
    } else {
      const weight = other[i]!
      const residual = base + dosed / volume - amount
      offV = -dosed / volume
      offH = (baseByRate + dosedByRate / volume) * -rate
      cost += (residual * residual * weight) / 2
      gradientV += residual * offV * weight
      gradientH += residual * offH * weight
      hessianVV += offV * offV * weight
      hessianVH += offV * offH * weight
      hessianHH += offH * offH * weight
      if (residuals) residuals[read++] = residual
    }
  }
  state[COST] = cost
  state[GRADIENT_V] = gradientV
  state[GRADIENT_H] = gradientH
  state[HESSIAN_VV] = hessianVV
  state[HESSIAN_VH] = hessianVH
  state[HESSIAN_HH] = hessianHH
}

const MAX_ITERATIONS = 200
const CONVERGED = 1e-12
/** Starts along the half-life: the posterior can have a second, lesser hill where decay and dilution trade places. */
const STARTS = [0, -1.5, 1.5]

/**
 * The volume and half-life that best explain the readings, a priori beliefs included: the maximum a posteriori of
 * (ln V, ln half-life) with Gaussian readings and Gaussian priors on the logarithms, found by damped Gauss–Newton steps;
 * the spreads from the inverse Gauss–Newton Hessian at it. Volume is constant.
 */
export function concentrationFit(input: ConcentrationFitInput): Result<ConcentrationFit> {
  const start = Date.parse(input.start.at)
  const readings = input.readings
    .map((reading, index) => ({ ...reading, ms: Date.parse(reading.at), index }))
    .sort((a, b) => a.ms - b.ms)
  const early = readings.find(({ ms }) => ms < start)
  if (early)
    return invalid(`/readings/${early.index}/at`, `expected at or after the start, ${input.start.at}; came ${early.at}`)
  const moments = momentsOf(input, readings)
  const { volumePrior, halfLifePrior } = input
  const prior = {
    v: Math.log(volumePrior.medianL),
    h: Math.log(halfLifePrior.medianHours),
    weightV: 1 / volumePrior.logSd ** 2,
    weightH: 1 / halfLifePrior.logSd ** 2,
  }
  const at = (v: number, h: number, into: State, residuals: Float64Array | null = null) =>
    evaluate(moments, input.start.mgPerL, prior, v, h, into, residuals)

  const descend = (fromH: number): { v: number; h: number; state: State } => {
    let v = prior.v
    let h = fromH
    let state = new Float64Array(STATE_SIZE)
    let tried = new Float64Array(STATE_SIZE)
    at(v, h, state)
    let damping = 1e-4
    for (let i = 0; i < MAX_ITERATIONS; i++) {
      const a = state[HESSIAN_VV]! * (1 + damping)
      const b = state[HESSIAN_VH]!
      const c = state[HESSIAN_HH]! * (1 + damping)
      const determinant = a * c - b * b
      const stepV = (-c * state[GRADIENT_V]! + b * state[GRADIENT_H]!) / determinant
      const stepH = (b * state[GRADIENT_V]! - a * state[GRADIENT_H]!) / determinant
      at(v + stepV, h + stepH, tried)
      if (tried[COST]! <= state[COST]!) {
        v += stepV
        h += stepH
        ;[state, tried] = [tried, state]
        damping = Math.max(damping / 10, 1e-12)
        if (Math.abs(stepV) + Math.abs(stepH) < CONVERGED) break
      } else {
        damping *= 10
        if (damping > 1e12) break
      }
    }
    return { v, h, state }
  }

  const { v, h, state } = STARTS.map((shift) => descend(prior.h + shift * halfLifePrior.logSd)).reduce((best, one) =>
    one.state[COST]! < best.state[COST]! - 1e-9 ? one : best,
  )
  const [hessianVV, hessianVH, hessianHH] = [state[HESSIAN_VV]!, state[HESSIAN_VH]!, state[HESSIAN_HH]!]
  const determinant = hessianVV * hessianHH - hessianVH ** 2
  const residuals = new Float64Array(readings.length)
  at(v, h, new Float64Array(STATE_SIZE), residuals)
  return ok({
    volumeL: Math.exp(v),
    halfLifeHours: Math.exp(h),
    logSdVolume: Math.sqrt(hessianHH / determinant),
    logSdHalfLife: Math.sqrt(hessianVV / determinant),
    residuals: Array.from(residuals, (residual) => -residual),
  })
}
