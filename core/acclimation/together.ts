import { invalid, ok, type Result } from '../result/result.ts'
import type { CompareInput, WordUnits } from './acclimation.schema.ts'
import { mixed, waterOf, type MixedWater } from './mixing.ts'
import { acclimationFault, pointOf, type Setting } from './simulate.ts'
import { strictest } from './limits.ts'
import { gentlest, tryAll, WINDOW_MINUTES, type Limits, type Trial } from './trials.ts'
import { compareWays, type Comparison } from './ways.ts'
import { psuWords, salinityWords } from './words.ts'

/** An animal in its bag. */
export interface Bagged {
  id: string
  name: string
  bag: Setting['bag']
  limits: Limits
}

/** A container and who shares it. */
export interface ContainerPlan {
  ids: string[]
  /** The bags poured together. */
  bag: Setting['bag']
  /** The strictest of those who share it. */
  limits: Limits
  /** What the container is planned to: the tank as it is, or as it is set to another container's bag. */
  tank: Setting['tank']
  comparison: Comparison
}

export type BoxQuestion = CompareInput

/** How a box's animals go across: in one container or two, and why. */
export interface BoxPlan {
  containers: ContainerPlan[]
  why: string[]
}

/** Bags poured into one container: everything mixes by volume, and pH follows from what it makes. */
export function pouredTogether(bags: readonly Setting['bag'][]): Setting['bag'] {
  const [first, ...rest] = bags as [Setting['bag'], ...Setting['bag'][]]
  let water: MixedWater = waterOf(first, 1)
  let { volumeL } = first
  let alkalinityTimesL = first.alkalinityDkh * volumeL
  for (const bag of rest) {
    water = mixed(water, volumeL, waterOf(bag, 1), bag.volumeL)
    volumeL += bag.volumeL
    alkalinityTimesL += bag.alkalinityDkh * bag.volumeL
  }
  const { temperatureC, salinityPsu, pH, tanMgPerL } = pointOf({ minute: 0, volumeL, water })
  return { volumeL, temperatureC, salinityPsu, pH, tanMgPerL, alkalinityDkh: alkalinityTimesL / volumeL }
}

/** Who would be shocked when the bags are poured together: the change is sudden and has to keep the animal's pace. */
const shockedBy = (animals: readonly Bagged[], psu: number): Bagged[] =>
  animals.filter(
    ({ bag, limits }) => (Math.abs(bag.salinityPsu - psu) * 60) / WINDOW_MINUTES > limits.maxPsuPerHour + 1e-9,
  )

/** A group of animals in one container, tried. */
interface Tried {
  animals: readonly Bagged[]
  bag: Setting['bag']
  limits: Limits
  shocked: readonly Bagged[]
  best: Trial | null
}

/** The ways to put some things into two heaps, neither empty; the first thing is always in the first. */
function* splits<T>(things: readonly T[]): Generator<[T[], T[]]> {
  for (let mask = 0; mask < 2 ** (things.length - 1) - 1; mask++) {
    const first = things.filter((_, i) => i === 0 || (mask >> (i - 1)) & 1)
    yield [first, things.filter((thing) => !first.includes(thing))]
  }
}

/** More animals than this are split by how much they bear, not every way. */
const SPLIT_EVERY_WAY = 4

function waysToSplit(animals: readonly Bagged[]): [Bagged[], Bagged[]][] {
  if (animals.length <= SPLIT_EVERY_WAY) return [...splits(animals)]
  const ordered = [...animals].sort(
    (a, b) => a.limits.maxPsuPerHour - b.limits.maxPsuPerHour || b.limits.maxMinutes - a.limits.maxMinutes,
  )
  return ordered.slice(1).map((_, i) => [ordered.slice(0, i + 1), ordered.slice(i + 1)])
}

const named = (animals: readonly Bagged[]) => {
  const names = animals.map(({ name }) => name)
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`
}

/** In which way the animals of a box are in each other's way, in words. */
function clash({ animals, bag, limits, shocked }: Tried, units?: WordUnits): string {
  if (shocked.length > 0) {
    const worst = shocked.reduce((a, b) =>
      Math.abs(a.bag.salinityPsu - bag.salinityPsu) >= Math.abs(b.bag.salinityPsu - bag.salinityPsu) ? a : b,
    )
    return `the bags poured together would take ${named([worst])} from ${salinityWords(worst.bag.salinityPsu, units)} to ${salinityWords(bag.salinityPsu, units)} at once; it bears ${psuWords(worst.limits.maxPsuPerHour, units)} an hour`
  }
  const slowest = animals.reduce((a, b) => (a.limits.maxPsuPerHour <= b.limits.maxPsuPerHour ? a : b))
  const soonest = animals.reduce((a, b) => (a.limits.maxMinutes <= b.limits.maxMinutes ? a : b))
  return slowest === soonest
    ? `no one way keeps the limits of all: ${psuWords(limits.maxPsuPerHour, units)} an hour, free ammonia ${limits.maxFreeAmmoniaMgPerL} mg/L, ${limits.maxMinutes} minutes`
    : `${named([slowest])} bears no more than ${psuWords(slowest.limits.maxPsuPerHour, units)} an hour, and ${named([soonest])} no more than ${soonest.limits.maxMinutes} minutes`
}

/**
 * One container where one way keeps the limits of every animal in it, the strictest of each; else two, so split that as
 * many animals as can be go a way that keeps their limits. A tank that has to be set to one bag is planned so for both.
 */
export function planBox(question: BoxQuestion): BoxPlan {
  const { animals, container, room, float, gasExchangePerHour, shippingHours, tankCanBeMatched, units } = question
  const settingOf = (bag: Setting['bag'], tank: Setting['tank']): Setting => ({
    bag,
    tank,
    container,
    room,
    float,
    ...(gasExchangePerHour !== undefined && { gasExchangePerHour }),
  })
  const known = new Map<string, Tried>()
  const tryGroup = (group: readonly Bagged[]): Tried => {
    const key = group.map(({ id }) => id).join(' ')
    const before = known.get(key)
    if (before) return before
    const bag = group.length === 1 ? group[0]!.bag : pouredTogether(group.map((one) => one.bag))
    const limits = strictest(group.map((one) => one.limits))
    const shocked = group.length === 1 ? [] : shockedBy(group, bag.salinityPsu)
    const fits = bag.volumeL <= container.capacityL && limits.maxMinutes >= float.minutes
    const best = shocked.length > 0 || !fits ? null : gentlest(tryAll(settingOf(bag, question.tank), limits), limits)
    const tried = { animals: group, bag, limits, shocked, best }
    known.set(key, tried)
    return tried
  }
  const whole = tryGroup(animals)
  const plan = (group: Tried, tank: Setting['tank'], canBeMatched: boolean): ContainerPlan => ({
    ids: group.animals.map(({ id }) => id),
    bag: group.bag,
    limits: group.limits,
    tank,
    comparison: compareWays({
      setting: settingOf(group.bag, tank),
      limits: group.limits,
      shippingHours,
      tankCanBeMatched: canBeMatched,
      units,
    }),
  })
  if (animals.length === 1) return { containers: [plan(whole, question.tank, tankCanBeMatched)], why: [] }
  if (whole.best)
    return {
      containers: [plan(whole, question.tank, tankCanBeMatched)],
      why: [
        `One container: one way keeps the limits of ${named(animals)}. Only for animals that leave each other alone in a small space; else the same plan in two.`,
      ],
    }
  const safe = (tried: Tried) => (tried.best ? tried.animals.length : 0)
  const [first, second] = waysToSplit(animals)
    .map(([a, b]) => [tryGroup(a), tryGroup(b)] as const)
    .reduce((a, b) => (safe(a[0]) + safe(a[1]) >= safe(b[0]) + safe(b[1]) ? a : b))
  const why = [`Two containers: ${clash(whole, units)}.`]
  const toMatch = tankCanBeMatched ? [first, second].find((group) => !group.best) : undefined
  if (!toMatch) return { containers: [first, second].map((group) => plan(group, question.tank, false)), why }
  const matched = { ...question.tank, salinityPsu: toMatch.bag.salinityPsu }
  return {
    containers: [first, second].map((group) =>
      group === toMatch ? plan(group, question.tank, true) : plan(group, matched, false),
    ),
    why: [
      ...why,
      `The tank is set to ${salinityWords(matched.salinityPsu, units)} for ${named(toMatch.animals)}; the other container is planned to that.`,
    ],
  }
}

/** What is wrong with a question about a box, beyond what each field may be; null when nothing is. */
function boxFault({ animals, container, float }: BoxQuestion) {
  const seen = new Set<string>()
  for (const [i, { id, bag, limits }] of animals.entries()) {
    if (seen.has(id)) return invalid(`/animals/${i}/id`, `"${id}" stands twice; expected each animal once`)
    seen.add(id)
    const fault = acclimationFault({ bag, container })
    if (fault)
      return fault.error.path.startsWith('/bag')
        ? invalid(`/animals/${i}${fault.error.path}`, fault.error.message)
        : fault
    if (limits.maxMinutes < float.minutes)
      return invalid(
        `/animals/${i}/limits/maxMinutes`,
        `expected at least the float’s ${float.minutes} minutes; came ${limits.maxMinutes}`,
      )
  }
  return null
}

/** The ways for the animals of a box, side by side, in one container or two: the operation behind the plan's page. */
export const compareBox = (question: BoxQuestion): Result<BoxPlan> => boxFault(question) ?? ok(planBox(question))
