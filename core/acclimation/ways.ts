import type { AcclimationMethod, WayKind, WordUnits } from './acclimation.schema.ts'
import { mindsSalinity } from './limits.ts'
import { transitReason, whyNot } from './plan.ts'
import { playOut, type Point, type Setting } from './simulate.ts'
import {
  candidates,
  gentler,
  gentlest,
  judge,
  keepsAll,
  keepsAmmonia,
  keepsPace,
  offBy,
  tryAll,
  tryOut,
  WINDOW_MINUTES,
  type Limits,
  type Off,
  type Trial,
} from './trials.ts'
import {
  beyondDegreesWords,
  beyondWords,
  degreesWords,
  freeWords,
  minutesWords,
  psuWords,
  salinityWords,
} from './words.ts'

/** A limit that a way does not keep, in words. */
export interface Broken {
  what: 'pace' | 'free-ammonia' | 'time' | 'reach'
  words: string
}

/** One way from the bag to the tank, as it would go. */
export interface Way {
  kind: WayKind
  /** Null where nothing is mixed. */
  method: AcclimationMethod | null
  /** The minute, float included, at which the animal goes across. */
  moveAt: number
  /** A point a minute up to the move. */
  points: Point[]
  /** The same water after the move would have been: what waiting does. */
  beyond: Point[]
  peakPsuPerHour: number
  peakFree: number
  peakFreeAt: number
  broken: Broken[]
  /** How near it comes to each limit, 1 at the limit: free ammonia, pace of salinity, temperature, hardness, waiting. */
  ratios: readonly number[]
}

/** Everything that decides how an animal goes from a bag to a tank. */
export interface Question {
  setting: Setting
  limits: Limits
  shippingHours: number
  /** Whether the tank can be set to the bag's salinity beforehand: nobody lives there who would mind. */
  tankCanBeMatched: boolean
  /** Minutes that the opened bag stands before anything is done. */
  waitMinutes?: number
  /** What figures are said in; metric where nothing is said. */
  units?: WordUnits | undefined
}

/** The ways side by side, the advised one first. */
export interface Comparison {
  advised: WayKind | null
  ways: Way[]
  reasons: string[]
  /** Where nothing keeps all limits, but would if the container were kept at the tank's warmth: what would. */
  keptWarm: WayKind | null
}

/** Ways that take too long are followed so much longer than the animal may wait, so that it can be said how long. */
const LONGER = 4
const LONGEST_MINUTES = 480
/** What waiting does is shown for so long after the move. */
const BEYOND_MINUTES = 60
/** Warmer and colder than any water: no difference counts. */
const ANY_C = 50

const horizonOf = ({ maxMinutes }: Limits) => Math.max(maxMinutes, Math.min(LONGEST_MINUTES, LONGER * maxMinutes))

/** A sudden change as a pace an hour: it falls within one window. */
const paceOf = (psu: number) => (Math.abs(psu) * 60) / WINDOW_MINUTES

function brokenBy(trial: Omit<Trial, 'method'>, moveAt: number, { limits, units, setting }: Question): Broken[] {
  const broken: Broken[] = []
  const add = (what: Broken['what'], words: string) => broken.push({ what, words })
  if (!keepsPace(trial as Trial, limits))
    add(
      'pace',
      `salinity moves ${beyondWords(trial.peakPsuPerHour, limits.maxPsuPerHour, units)} an hour at its quickest; it bears ${psuWords(limits.maxPsuPerHour, units)}`,
    )
  if (!keepsAmmonia(trial as Trial, limits))
    add(
      'free-ammonia',
      trial.peakFreeAt <= setting.float.minutes
        ? `free ammonia is ${freeWords(trial.peakFree)} in the sealed bag already; the limit is ${freeWords(limits.maxFreeAmmoniaMgPerL)}`
        : `free ammonia rises to ${freeWords(trial.peakFree)}, highest ${minutesWords(trial.peakFreeAt - setting.float.minutes)} after opening; the limit is ${freeWords(limits.maxFreeAmmoniaMgPerL)}`,
    )
  if (trial.readyAt === null)
    for (const { what, by, within } of trial.off)
      add(
        'reach',
        what === 'salinity'
          ? `still ${beyondWords(Math.abs(by), within, units)} off; it has to be within ${psuWords(within, units)}`
          : what === 'temperature'
            ? `still ${beyondDegreesWords(Math.abs(by), within, units)} off; it has to be within ${degreesWords(within, units)}`
            : `hardness still ${Math.abs(by).toFixed(1)} dKH off; it has to be within ${within}`,
      )
  if (moveAt > limits.maxMinutes)
    add('time', `takes ${minutesWords(moveAt)}; it may wait ${minutesWords(limits.maxMinutes)}`)
  return broken
}

/** How near a way comes to each limit; what is still off when it goes across counts as the jump that it is. */
function ratiosOf(trial: Omit<Trial, 'method'>, moveAt: number, { limits }: Question): number[] {
  const off = (what: Off['what']) => trial.off.find((one) => one.what === what)
  const share = (one: Off | undefined) => (one ? Math.abs(one.by) / Math.max(one.within, LEAST_LIMIT) : 0)
  const jump = paceOf(off('salinity')?.by ?? 0)
  return [
    trial.peakFree / Math.max(limits.maxFreeAmmoniaMgPerL, LEAST_LIMIT),
    mindsSalinity(limits) ? Math.max(trial.peakPsuPerHour, jump) / limits.maxPsuPerHour : 0,
    share(off('temperature')),
    share(off('hardness')),
    moveAt / limits.maxMinutes,
  ]
}
const LEAST_LIMIT = 1e-6

/**
 * Which of two ways is the better: the one whose worst ratio to a limit is smaller. Of two that are equally near, or both within all limits, free
 * ammonia decides, then salinity, temperature, hardness, waiting.
 */
export function compareRatios(a: Pick<Way, 'ratios'>, b: Pick<Way, 'ratios'>): number {
  const worst = ({ ratios }: Pick<Way, 'ratios'>) => Math.max(1 + LEAST_LIMIT, ...ratios)
  const byWorst = worst(a) - worst(b)
  if (Math.abs(byWorst) > LEAST_LIMIT) return byWorst
  for (const [i, ratio] of a.ratios.entries())
    if (Math.abs(ratio - b.ratios[i]!) > LEAST_LIMIT) return ratio - b.ratios[i]!
  return 0
}

/**
 * The minute at which the animal could move. Where it never could, the first at which only warmth is wanting, which can be
 * kept from outside; else the last.
 */
function moveMinute(points: readonly Point[], { setting, limits }: Question): number {
  const open = points.filter(({ minute }) => minute >= setting.float.minutes)
  const first = (isNear: (off: readonly Off[]) => boolean) =>
    open.find((point) => isNear(offBy(point, setting, limits)))?.minute
  return (
    first((off) => off.length === 0) ??
    first((off) => off.every(({ what }) => what === 'temperature')) ??
    points.at(-1)!.minute
  )
}

/** A way of mixing, played out until the animal could move. */
function mixingWay(question: Question, method: AcclimationMethod): Way {
  const { setting, limits, waitMinutes = 0 } = question
  const horizon = horizonOf(limits) + waitMinutes
  const all = playOut(setting, method, horizon + BEYOND_MINUTES - setting.float.minutes, { wait: waitMinutes })
  const moveAt = moveMinute(all.slice(0, horizon + 1), question)
  const points = all.filter(({ minute }) => minute <= moveAt)
  const trial = judge({ points }, method, { ...setting, animal: limits })
  return {
    kind: method.kind,
    method,
    moveAt,
    points,
    beyond: all.filter(({ minute }) => minute >= moveAt && minute <= moveAt + BEYOND_MINUTES),
    peakPsuPerHour: trial.peakPsuPerHour,
    peakFree: trial.peakFree,
    peakFreeAt: trial.peakFreeAt,
    broken: brokenBy(trial, moveAt, question),
    ratios: ratiosOf(trial, moveAt, question),
  }
}

/** A way without mixing: afloat, then across at once, or after the opened bag has stood. */
function crossingWay(question: Question, kind: 'match-and-release' | 'at-once'): Way {
  const { setting, limits, waitMinutes = 0 } = question
  const moveAt = setting.float.minutes + waitMinutes
  const all = playOut(setting, null, waitMinutes + BEYOND_MINUTES)
  const points = all.filter(({ minute }) => minute <= moveAt)
  const last = points.at(-1)!
  // A matched tank has the bag's salinity: nothing jumps when the animal goes across.
  const tank = kind === 'at-once' ? setting.tank : { ...setting.tank, salinityPsu: setting.bag.salinityPsu }
  const peak = points.reduce((a, b) => (b.freeAmmoniaMgPerL > a.freeAmmoniaMgPerL ? b : a))
  const off = offBy(last, { tank, bag: setting.bag }, limits)
  const trial = {
    readyAt: off.length === 0 ? moveAt : null,
    // What is left within the match is borne at once, after any way; more than that is a jump.
    peakPsuPerHour: off.some(({ what }) => what === 'salinity') ? paceOf(last.salinityPsu - tank.salinityPsu) : 0,
    peakFree: peak.freeAmmoniaMgPerL,
    peakFreeAt: peak.minute,
    off,
  }
  return {
    kind,
    method: null,
    moveAt,
    points,
    beyond: all.filter(({ minute }) => minute >= moveAt && minute <= moveAt + BEYOND_MINUTES),
    peakPsuPerHour: trial.peakPsuPerHour,
    peakFree: trial.peakFree,
    peakFreeAt: trial.peakFreeAt,
    broken: brokenBy(trial, moveAt, question),
    ratios: ratiosOf(trial, moveAt, question),
  }
}

/** How far a trial is outside an animal's limits: the worst of its overshoots, 1 at the limit. */
function excess(trial: Trial, limits: Limits): number {
  return Math.max(
    trial.peakPsuPerHour / limits.maxPsuPerHour,
    trial.peakFree / Math.max(limits.maxFreeAmmoniaMgPerL, 1e-6),
    trial.readyAt === null
      ? LONGER + Math.max(...trial.off.map(({ by, within }) => Math.abs(by) / within))
      : trial.readyAt / limits.maxMinutes,
  )
}

/** The best of one kind of mixing: the gentlest that keeps all limits, else the one that breaks them least. */
function bestOf(kind: 'drip' | 'scoop', trials: readonly Trial[], { setting, limits }: Question): Trial | null {
  const kept = trials.filter((trial) => trial.method.kind === kind && keepsAll(trial, limits))
  if (kept.length > 0) return kept.reduce(gentler)
  // Every third is near enough for a way that will not do. Warmth can be kept from outside: it does not choose here.
  const minutes = horizonOf(limits) - setting.float.minutes
  const methods = candidates(setting, minutes).filter((method) => method.kind === kind)
  const some = methods.filter((_, i) => i % 3 === 0)
  const tried = some.map((method) => tryOut(setting, { ...limits, matchC: ANY_C }, method, minutes))
  return tried.length > 0 ? tried.reduce((a, b) => (excess(a, limits) <= excess(b, limits) ? a : b)) : null
}

/** Which way is advised, by the rule of `acclimation.plan`: the gentlest mixing that keeps all limits, else a matched tank. */
function adviceOf(best: Trial | null, { setting, tankCanBeMatched }: Question): WayKind | null {
  if (best) return best.readyAt! <= setting.float.minutes ? 'at-once' : best.method.kind
  return tankCanBeMatched ? 'match-and-release' : null
}

function salinityReason(
  { peakPsuPerHour, readyAt }: Trial,
  { setting: { bag, tank, float }, limits, units }: Question,
): string {
  return readyAt! <= float.minutes
    ? `bag and tank are ${psuWords(Math.abs(tank.salinityPsu - bag.salinityPsu), units)} apart; up to ${psuWords(limits.matchPsu, units)} are borne at once`
    : `salinity moves at most ${psuWords(peakPsuPerHour, units)} an hour; it bears ${psuWords(limits.maxPsuPerHour, units)}`
}

function reasonsFor(best: Trial | null, trials: readonly Trial[], question: Question): string[] {
  const { setting, limits, shippingHours, tankCanBeMatched, units } = question
  const transit = shippingHours > 0 ? [transitReason({ shippingHours, bag: setting.bag })] : []
  if (best)
    return [
      ...transit,
      ...(mindsSalinity(limits) ? [salinityReason(best, question)] : []),
      `free ammonia stays under ${freeWords(Math.max(best.peakFree, 0.001))}; the limit is ${freeWords(limits.maxFreeAmmoniaMgPerL)}`,
      best.readyAt! <= setting.float.minutes
        ? setting.float.minutes > 0
          ? 'the bag is within reach of the tank once it has floated'
          : 'the two waters are within reach of each other'
        : `within reach of the tank after ${minutesWords(best.readyAt!)}${setting.float.minutes > 0 ? ', the float included' : ''}`,
    ]
  const salinity = salinityWords(setting.bag.salinityPsu, units)
  return [
    ...transit,
    ...whyNot(trials, limits, setting, units),
    tankCanBeMatched
      ? mindsSalinity(limits)
        ? `set the tank to ${salinity} beforehand, float, and move at once without the bag’s water`
        : 'match the tank’s hardness to the bag beforehand, float, and move at once without the bag’s water'
      : 'the tank cannot be set to the bag: every way left breaks a limit. Choose which with open eyes, or ask who knows the animal',
  ]
}

/** The ways from the bag to the tank, side by side, and which of them is advised and why. */
export function compareWays(question: Question): Comparison {
  const { setting, limits, tankCanBeMatched } = question
  const trials = tryAll(setting, limits, { why: true })
  const best = gentlest(trials, limits)
  const advised = adviceOf(best, question)
  // Within reach as it is: mixing would change nothing.
  const kinds = advised === 'at-once' ? [] : (['drip', 'scoop'] as const)
  const ways: Way[] = kinds.flatMap((kind) => {
    const trial = bestOf(kind, trials, question)
    return trial ? [mixingWay(question, trial.method)] : []
  })
  if (tankCanBeMatched) ways.push(crossingWay(question, 'match-and-release'))
  ways.push(crossingWay(question, 'at-once'))
  ways.sort((a, b) => Number(b.kind === advised) - Number(a.kind === advised) || compareRatios(a, b))
  return { advised, ways, reasons: reasonsFor(best, trials, question), keptWarm: best ? null : keptWarm(question) }
}

/** What would keep all limits if the room took no warmth from the container: a float collar, warm packs. */
function keptWarm({ setting, limits }: Question): WayKind | null {
  const { temperatureC } = setting.tank
  if (setting.room.temperatureC === temperatureC) return null
  return gentlest(tryAll({ ...setting, room: { temperatureC } }, limits), limits)?.method.kind ?? null
}

/** A way again with another wait: what standing open so long does to it. */
export const waited = (question: Question, { kind, method }: Pick<Way, 'kind' | 'method'>): Way =>
  method ? mixingWay(question, method) : crossingWay(question, kind as 'match-and-release' | 'at-once')
