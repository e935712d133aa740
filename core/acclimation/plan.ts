import { invalid, ok, type Result } from '../result/result.ts'
import type {
  AcclimationMethod,
  AcclimationPlan,
  AnimalLimits,
  PlanInput,
  SimulateInput,
  Simulation,
} from './acclimation.schema.ts'
import { acclimationFault, simulateAcclimation } from './simulate.ts'

/** Drips that are tried, as a share of the bag's water a minute: from hours to minutes for a mixture. */
const DRIPS = { slowest: 0.0008, fastest: 0.25, count: 38 }
/** Scoops that are tried, as a share of the bag's water, at the handbook's five minutes and at twice that. */
const SCOOP_SHARES = [0.02, 0.035, 0.06, 0.1, 0.16, 0.25, 0.4]
const SCOOP_MINUTES = [5, 10]
/** Salinity's pace is judged over so many minutes. */
const WINDOW_MINUTES = 15
/** A day in the bag is long: ammonia has gathered, and a low pH holds it harmless. */
const LONG_TRANSIT_HOURS = 24
const HAIR = 1e-9

/** What can be set at the tap or dipped: two figures. */
const practical = (value: number) => Number(value.toPrecision(2))

function candidates({ bag, container }: PlanInput): AcclimationMethod[] {
  const { slowest, fastest, count } = DRIPS
  const drips = new Set<number>()
  for (let i = 0; i < count; i++)
    drips.add(practical(1000 * bag.volumeL * slowest * (fastest / slowest) ** (i / (count - 1))))
  const room = container.capacityL - container.leaveL
  const scoops = SCOOP_SHARES.map((share) => practical(share * bag.volumeL)).filter((scoopL) => scoopL <= room)
  return [
    ...[...drips].map((mlPerMinute) => ({ kind: 'drip' as const, mlPerMinute })),
    ...SCOOP_MINUTES.flatMap((everyMinutes) =>
      scoops.map((scoopL) => ({ kind: 'scoop' as const, scoopL, everyMinutes })),
    ),
  ]
}

/** How a way of mixing went, up to the minute at which the animal could move, or to the end if it never could. */
export interface Trial {
  method: AcclimationMethod
  /** Null where salinity and temperature never came within reach. */
  readyAt: number | null
  peakPsuPerHour: number
  peakFree: number
  peakFreeAt: number
}

/** Judges a simulation by an animal's limits. */
export function judge(
  { points }: Simulation,
  method: AcclimationMethod,
  { tank, float, animal }: Pick<PlanInput, 'tank' | 'float' | 'animal'>,
): Trial {
  let peakPsuPerHour = 0
  let peakFree = 0
  let peakFreeAt = 0
  for (let i = 0; i < points.length; i++) {
    const point = points[i]!
    const before = points[Math.max(0, i - WINDOW_MINUTES)]!
    peakPsuPerHour = Math.max(peakPsuPerHour, (Math.abs(point.salinityPsu - before.salinityPsu) * 60) / WINDOW_MINUTES)
    if (point.freeAmmoniaMgPerL > peakFree) [peakFree, peakFreeAt] = [point.freeAmmoniaMgPerL, point.minute]
    if (
      point.minute >= float.minutes - HAIR &&
      Math.abs(point.salinityPsu - tank.salinityPsu) <= animal.matchPsu + HAIR &&
      Math.abs(point.temperatureC - tank.temperatureC) <= animal.matchC + HAIR
    )
      return { method, readyAt: point.minute, peakPsuPerHour, peakFree, peakFreeAt }
  }
  return { method, readyAt: null, peakPsuPerHour, peakFree, peakFreeAt }
}

const keepsPace = ({ peakPsuPerHour }: Trial, { maxPsuPerHour }: AnimalLimits) => peakPsuPerHour <= maxPsuPerHour + HAIR
const keepsAmmonia = ({ peakFree }: Trial, { maxFreeAmmoniaMgPerL }: AnimalLimits) =>
  peakFree <= maxFreeAmmoniaMgPerL + HAIR

/** The gentler of two ways: the slower salinity, then less free ammonia, then the shorter, then a drip. */
function gentler(a: Trial, b: Trial): Trial {
  const order =
    a.peakPsuPerHour - b.peakPsuPerHour ||
    a.peakFree - b.peakFree ||
    a.readyAt! - b.readyAt! ||
    (a.method.kind === b.method.kind ? 0 : a.method.kind === 'drip' ? -1 : 1)
  return order <= 0 ? a : b
}

const psu = (value: number) => `${Number(value.toFixed(1))} psu`
const free = (value: number) => `${value.toFixed(3)} mg/L`

function transitReason({ shippingHours, bag }: PlanInput): string {
  const hours = Number(shippingHours.toFixed(1))
  return shippingHours > LONG_TRANSIT_HOURS
    ? `${hours} h in transit: ammonia has gathered, and the bag’s pH of ${bag.pH.toFixed(1)} decides how much of it is harmless until it is opened`
    : `${hours} h in transit: little ammonia is to be expected`
}

/** Why no way of mixing will do, by what stands in each one's way. */
function whyNot(trials: readonly Trial[], { animal, bag, tank }: PlanInput): string[] {
  const inTime = trials.filter(({ readyAt }) => readyAt !== null)
  const paced = inTime.filter((trial) => keepsPace(trial, animal))
  const apart = Math.abs(tank.salinityPsu - bag.salinityPsu)
  if (inTime.length === 0)
    return [
      `no drip or scoop comes within ${psu(animal.matchPsu)} and ${animal.matchC} °C inside ${animal.maxMinutes} minutes`,
    ]
  const mildest = (paced.length > 0 ? paced : inTime).reduce((a, b) => (a.peakFree <= b.peakFree ? a : b))
  return [
    ...(paced.length === 0
      ? [
          `${psu(apart)} apart: at ${psu(animal.maxPsuPerHour)} an hour that takes longer than the ${animal.maxMinutes} minutes there are`,
        ]
      : []),
    ...(keepsAmmonia(mildest, animal)
      ? []
      : [
          `opened, the gas leaves, pH rises, and free ammonia reaches ${free(mildest.peakFree)} by minute ${mildest.peakFreeAt}; the limit is ${free(animal.maxFreeAmmoniaMgPerL)}`,
        ]),
  ]
}

/**
 * The gentlest way to bring an animal from its bag to the tank: every drip and scoop that is tried is simulated and judged by
 * the animal's limits. Where none keeps them, the tank is set to the bag beforehand; where that cannot be, there is no safe plan.
 */
export function planAcclimation(input: PlanInput, progress?: (done: number) => void): Result<AcclimationPlan> {
  const { animal, float, tank, bag } = input
  const fault = acclimationFault(input)
  if (fault) return fault
  if (animal.maxMinutes < float.minutes)
    return invalid(
      '/animal/maxMinutes',
      `expected at least the float’s ${float.minutes} minutes; came ${animal.maxMinutes}`,
    )
  const shared = { bag, tank, container: input.container, room: input.room, float }
  const simulate = (method: AcclimationMethod, minutes: number) =>
    simulateAcclimation({ ...shared, method, minutes } satisfies SimulateInput)
  const longest = animal.maxMinutes - float.minutes
  const trials: Trial[] = []
  const methods = candidates(input)
  for (const [i, method] of methods.entries()) {
    progress?.(i / methods.length)
    const simulation = simulate(method, longest)
    if (!simulation.ok) continue
    trials.push(judge(simulation.value, method, input))
  }
  const kept = trials.filter(
    (trial) => trial.readyAt !== null && keepsPace(trial, animal) && keepsAmmonia(trial, animal),
  )
  if (kept.length > 0) {
    const best = kept.reduce(gentler)
    const minutes = Math.max(0, best.readyAt! - float.minutes)
    const simulation = simulate(best.method, minutes)
    if (!simulation.ok) return simulation
    return ok({
      advice: best.method.kind,
      method: best.method,
      minutes,
      reasons: [
        transitReason(input),
        `salinity moves at most ${psu(best.peakPsuPerHour)} an hour; the animal bears ${psu(animal.maxPsuPerHour)}`,
        `free ammonia stays under ${free(Math.max(best.peakFree, 0.001))}; the limit is ${free(animal.maxFreeAmmoniaMgPerL)}`,
        `within ${psu(animal.matchPsu)} and ${animal.matchC} °C after ${best.readyAt} minutes, the float included`,
      ],
      simulation: simulation.value,
    })
  }
  // Afloat only: what the bag is like when the animal goes across at once.
  const afloat = simulate({ kind: 'drip', mlPerMinute: 1 }, 0)
  if (!afloat.ok) return afloat
  return ok({
    advice: input.tankCanBeMatched ? 'match-and-release' : 'no-safe-plan',
    method: null,
    minutes: 0,
    reasons: [
      transitReason(input),
      ...whyNot(trials, input),
      input.tankCanBeMatched
        ? `set the tank to ${psu(bag.salinityPsu)} beforehand, float, and move at once without the bag’s water`
        : 'the tank cannot be set to the bag: every way left breaks a limit; choose which, or ask who knows the animal',
    ],
    simulation: afloat.value,
  })
}
