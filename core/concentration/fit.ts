import { invalid, ok, type Result } from '../result/result.ts'
import { MS_PER_HOUR } from '../time/zone.ts'
import type { ConcentrationFit, ConcentrationFitInput } from './concentration.schema.ts'
import { inTimeOrder } from './events.ts'

/** What the model says at one reading: the level and its slopes by ln V and ln half-life. */
interface Prediction {
  level: number
  byLogVolume: number
  byLogHalfLife: number
}

type Model = (logVolume: number, logHalfLife: number) => Prediction[]

/**
 * The level is what was there and what changes bring (base) plus what doses bring (dosed ÷ V); both decay alike. Carrying
 * the slope of each by the decay rate along gives the model's derivatives without differences.
 */
function modelOf(input: ConcentrationFitInput, readings: { ms: number }[]): Model {
  const start = Date.parse(input.start.at)
  const events = inTimeOrder(input.events).filter(({ ms }) => ms >= start)
  return (logVolume, logHalfLife) => {
    const volume = Math.exp(logVolume)
    const rate = Math.LN2 / Math.exp(logHalfLife)
    let base = input.start.mgPerL
    let dosed = 0
    let baseByRate = 0
    let dosedByRate = 0
    let at = start
    let next = 0
    const pass = (until: number) => {
      const hours = (until - at) / MS_PER_HOUR
      const left = Math.exp(-rate * hours)
      baseByRate = (baseByRate - hours * base) * left
      dosedByRate = (dosedByRate - hours * dosed) * left
      base *= left
      dosed *= left
      at = until
    }
    return readings.map(({ ms }) => {
      // An event at the instant of a reading follows it.
      for (; next < events.length && events[next]!.ms < ms; next++) {
        const event = events[next]!
        pass(event.ms)
        if (event.kind === 'dose') dosed += event.massMg
        else if (event.kind === 'water-change') {
          const kept = 1 - event.fraction
          base = base * kept + (event.replacementMgPerL ?? 0) * event.fraction
          baseByRate *= kept
          dosed *= kept
          dosedByRate *= kept
        }
      }
      pass(ms)
      return {
        level: base + dosed / volume,
        byLogVolume: -dosed / volume,
        byLogHalfLife: (baseByRate + dosedByRate / volume) * -rate,
      }
    })
  }
}

interface State {
  cost: number
  gradient: [number, number]
  /** Gauss–Newton Hessian of half the squared residuals: [volume, cross, half-life]. */
  hessian: [number, number, number]
  predictions: Prediction[]
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
  const model = modelOf(input, readings)
  const { volumePrior, halfLifePrior } = input
  const center: [number, number] = [Math.log(volumePrior.medianL), Math.log(halfLifePrior.medianHours)]
  const priorWeight: [number, number] = [1 / volumePrior.logSd ** 2, 1 / halfLifePrior.logSd ** 2]

  const evaluate = (theta: readonly [number, number]): State => {
    const predictions = model(theta[0], theta[1])
    const off: [number, number] = [theta[0] - center[0], theta[1] - center[1]]
    let cost = (off[0] ** 2 * priorWeight[0] + off[1] ** 2 * priorWeight[1]) / 2
    const gradient: [number, number] = [off[0] * priorWeight[0], off[1] * priorWeight[1]]
    const hessian: [number, number, number] = [priorWeight[0], 0, priorWeight[1]]
    for (const [i, { level, byLogVolume, byLogHalfLife }] of predictions.entries()) {
      const reading = readings[i]!
      const weight = 1 / reading.sdMgPerL ** 2
      const residual = level - reading.mgPerL
      cost += (residual ** 2 * weight) / 2
      gradient[0] += residual * byLogVolume * weight
      gradient[1] += residual * byLogHalfLife * weight
      hessian[0] += byLogVolume ** 2 * weight
      hessian[1] += byLogVolume * byLogHalfLife * weight
      hessian[2] += byLogHalfLife ** 2 * weight
    }
    return { cost, gradient, hessian, predictions }
  }

  const descend = (from: [number, number]): { theta: [number, number]; state: State } => {
    let theta = from
    let state = evaluate(theta)
    let damping = 1e-4
    for (let i = 0; i < MAX_ITERATIONS; i++) {
      const [a, b, c] = [state.hessian[0] * (1 + damping), state.hessian[1], state.hessian[2] * (1 + damping)]
      const determinant = a * c - b * b
      const step: [number, number] = [
        (-c * state.gradient[0] + b * state.gradient[1]) / determinant,
        (b * state.gradient[0] - a * state.gradient[1]) / determinant,
      ]
      const trial: [number, number] = [theta[0] + step[0], theta[1] + step[1]]
      const tried = evaluate(trial)
      if (tried.cost <= state.cost) {
        const settled = Math.abs(step[0]) + Math.abs(step[1]) < CONVERGED
        theta = trial
        state = tried
        damping = Math.max(damping / 10, 1e-12)
        if (settled) break
      } else {
        damping *= 10
        if (damping > 1e12) break
      }
    }
    return { theta, state }
  }

  const { theta, state } = STARTS.map((shift) => descend([center[0], center[1] + shift * halfLifePrior.logSd])).reduce(
    (best, one) => (one.state.cost < best.state.cost - 1e-9 ? one : best),
  )
  const [a, b, c] = state.hessian
  const determinant = a * c - b * b
  return ok({
    volumeL: Math.exp(theta[0]),
    halfLifeHours: Math.exp(theta[1]),
    logSdVolume: Math.sqrt(c / determinant),
    logSdHalfLife: Math.sqrt(a / determinant),
    residuals: state.predictions.map(({ level }, i) => readings[i]!.mgPerL - level),
  })
}
