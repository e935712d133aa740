import { invalid, ok, type Result } from '../result/result.ts'
import type { AcclimationMethod, AcclimationPlan, PlanInput, SimulateInput, WordUnits } from './acclimation.schema.ts'
import { acclimationFault, simulateAcclimation, type Setting } from './simulate.ts'
import { gentlest, keepsAmmonia, keepsPace, tryAll, type Limits, type Off, type Trial } from './trials.ts'
import { mindsSalinity } from './limits.ts'
import { degreesWords, freeWords, METRIC_WORDS, psuWords, salinityWords } from './words.ts'

/** A day in the bag is long: ammonia has gathered, and a low pH holds it harmless. */
const LONG_TRANSIT_HOURS = 24

/** What the hours on the way mean for the bag. */
export function transitReason({ shippingHours, bag }: Pick<PlanInput, 'shippingHours' | 'bag'>): string {
  const hours = Number(shippingHours.toFixed(1))
  return shippingHours > LONG_TRANSIT_HOURS
    ? `${hours} h in transit: ammonia has gathered, and the bag’s pH of ${bag.pH.toFixed(1)} decides how much of it is harmless until it is opened`
    : `${hours} h in transit: little ammonia is to be expected`
}

/** What keeps every way of mixing from coming near enough in time: what the nearest of them is still off by. */
function notInTime(trials: readonly Trial[], limits: Limits, units: WordUnits): string {
  const near = [
    ...(mindsSalinity(limits) ? [psuWords(limits.matchPsu, units)] : []),
    ...(limits.matchDkh === undefined ? [] : [`${limits.matchDkh} dKH`]),
    degreesWords(limits.matchC, units),
  ].join(' and ')
  const mildest = trials.reduce<Trial | null>((a, b) => (a && a.off.length <= b.off.length ? a : b), null)
  const only = mildest?.off.length === 1 ? mildest.off[0]! : null
  const cold = only?.what === 'temperature' ? `: ${coldWords(only, units)}` : ''
  return `no drip or scoop comes within ${near} inside ${limits.maxMinutes} minutes${cold}`
}

/** What a room takes from a container, and what helps against it. */
const coldWords = ({ by }: Pick<Off, 'by'>, units: WordUnits) =>
  `the container loses its warmth to the room and stays ${degreesWords(Math.abs(by), units)} off. A float collar or warm packs, a larger container, a warmer room`

/** Why none of the ways that come near in time is slow enough: the minutes, or the room that a slow way loses its warmth to. */
function tooQuick(trials: readonly Trial[], limits: Limits, apart: number, units: WordUnits): string {
  const slow = trials.filter((trial) => keepsPace(trial, limits) && trial.off.length === 1)
  const coldOnly = slow.flatMap(({ off: [only] }) => (only!.what === 'temperature' ? [only!] : []))
  const pace = `${psuWords(apart, units)} apart: at ${psuWords(limits.maxPsuPerHour, units)} an hour`
  if (coldOnly.length === 0) return `${pace} that takes longer than the ${limits.maxMinutes} minutes there are`
  const mildest = coldOnly.reduce((a, b) => (Math.abs(a.by) <= Math.abs(b.by) ? a : b))
  return `${pace} ${coldWords(mildest, units)}`
}

/** Why no way of mixing will do, by what stands in each one's way. */
export function whyNot(
  trials: readonly Trial[],
  limits: Limits,
  { bag, tank, float }: Pick<Setting, 'bag' | 'tank' | 'float'>,
  units: WordUnits = METRIC_WORDS,
): string[] {
  const inTime = trials.filter(({ readyAt }) => readyAt !== null)
  const paced = inTime.filter((trial) => keepsPace(trial, limits))
  const apart = Math.abs(tank.salinityPsu - bag.salinityPsu)
  if (inTime.length === 0) return [notInTime(trials, limits, units)]
  const mildest = (paced.length > 0 ? paced : inTime).reduce((a, b) => (a.peakFree <= b.peakFree ? a : b))
  return [
    ...(paced.length === 0 ? [tooQuick(trials, limits, apart, units)] : []),
    ...(keepsAmmonia(mildest, limits)
      ? []
      : [`${ammoniaWords(mildest, float.minutes)}; the limit is ${freeWords(limits.maxFreeAmmoniaMgPerL)}`]),
  ]
}

/** When and why free ammonia is highest: a sealed bag loses no gas, and warms; an opened one loses its gas. */
const ammoniaWords = (
  { peakFree, peakFreeAt }: Pick<Trial, 'peakFree' | 'peakFreeAt'>,
  floatMinutes: number,
): string =>
  peakFreeAt <= floatMinutes
    ? `in the sealed bag free ammonia is ${freeWords(peakFree)} at minute ${peakFreeAt} of the float already: keep the float short`
    : `opened, the gas leaves, pH rises, and free ammonia reaches ${freeWords(peakFree)} by minute ${peakFreeAt}`

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
  const trials = tryAll(shared, animal, { why: true, progress })
  const best = gentlest(trials, animal)
  if (best) {
    const minutes = Math.max(0, best.readyAt! - float.minutes)
    const simulation = simulate(best.method, minutes)
    if (!simulation.ok) return simulation
    return ok({
      advice: best.method.kind,
      method: best.method,
      minutes,
      reasons: [
        transitReason(input),
        `salinity moves at most ${psuWords(best.peakPsuPerHour)} an hour; the animal bears ${psuWords(animal.maxPsuPerHour)}`,
        `free ammonia stays under ${freeWords(Math.max(best.peakFree, 0.001))}; the limit is ${freeWords(animal.maxFreeAmmoniaMgPerL)}`,
        `within ${psuWords(animal.matchPsu)} and ${animal.matchC} °C after ${best.readyAt} minutes, the float included`,
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
      ...whyNot(trials, animal, input),
      input.tankCanBeMatched
        ? `set the tank to ${salinityWords(bag.salinityPsu)} beforehand, float, and move at once without the bag’s water`
        : 'the tank cannot be set to the bag: every way left breaks a limit; choose which, or ask who knows the animal',
    ],
    simulation: afloat.value,
  })
}
