import type { AnimalKind } from '../catalogue/animal-group.types.ts'
import type { Water } from '../catalogue/parameter.types.ts'

/**
 * What is taken for a bag where nobody has measured: editorial assumptions, each shown as assumed until a figure stands in
 * its place. They lean to the side that asks for more care.
 */
interface Anchor {
  hours: number
  /** Sealed: carbon dioxide piles up and pH falls to 6.5–7.2 (acclimation.md); scene S2 has 6.6 after two days. */
  marinePH: number
  freshPH: number
  /** Total ammonia beside a fish, mg/L as N: scene S2 has 6 after two days; little in a night. */
  tanMgPerL: number
}
const BY_HOURS: readonly Anchor[] = [
  { hours: 0, marinePH: 8.1, freshPH: 7.2, tanMgPerL: 0 },
  { hours: 12, marinePH: 7.5, freshPH: 6.9, tanMgPerL: 0.4 },
  { hours: 24, marinePH: 7.1, freshPH: 6.7, tanMgPerL: 1.5 },
  { hours: 36, marinePH: 6.8, freshPH: 6.5, tanMgPerL: 3.5 },
  { hours: 48, marinePH: 6.6, freshPH: 6.4, tanMgPerL: 6 },
  { hours: 72, marinePH: 6.5, freshPH: 6.3, tanMgPerL: 9 },
]
/** Invertebrates and corals give off less: a third. */
const LESS_AMMONIA = 1 / 3
const BAG_C = 22
/** Sellers keep fish low, invertebrates and corals near the sea. */
const SELLER_PSU = { fish: 30, invertebrate: 34, coral: 34 } as const
const FRESH_PSU = 0.2
const BAG_DKH = { marine: 7, freshwater: 5 } as const
export const ASSUMED_ROOM_C = 21
/** A tank of which nothing was read. */
export const ASSUMED_TANK = {
  marine: { temperatureC: 25, salinityPsu: 35, pH: 8.1, alkalinityDkh: 8 },
  freshwater: { temperatureC: 25, salinityPsu: FRESH_PSU, pH: 7.2, alkalinityDkh: 5 },
} as const

/** Between the anchors in a straight line; after the last as the last. */
function byHours(hours: number, of: (anchor: Anchor) => number): number {
  const after = BY_HOURS.findIndex((anchor) => anchor.hours >= hours)
  if (after === 0) return of(BY_HOURS[0]!)
  if (after < 0) return of(BY_HOURS.at(-1)!)
  const [a, b] = [BY_HOURS[after - 1]!, BY_HOURS[after]!]
  return of(a) + ((of(b) - of(a)) * (hours - a.hours)) / (b.hours - a.hours)
}

const rounded = (value: number, decimals: number) => Number(value.toFixed(decimals))

/** The figures of a bag as they are assumed from its hours on the way and what is in it. */
export const assumedBag = (hours: number, kind: AnimalKind, water: Water) => ({
  temperatureC: BAG_C,
  salinityPsu: water === 'freshwater' ? FRESH_PSU : SELLER_PSU[kind],
  pH: rounded(
    byHours(hours, (anchor) => (water === 'marine' ? anchor.marinePH : anchor.freshPH)),
    1,
  ),
  alkalinityDkh: BAG_DKH[water],
  tanMgPerL: rounded(byHours(hours, ({ tanMgPerL }) => tanMgPerL) * (kind === 'fish' ? 1 : LESS_AMMONIA), 1),
})

/** A container that is likely at hand: room for three bags' water, poured off by half (acclimation.md 4). */
export function assumedContainer(bagL: number): { capacityL: number; leaveL: number } {
  const capacityL = Math.max(2, Math.ceil(3 * bagL))
  return { capacityL, leaveL: Math.max(bagL, capacityL / 2) }
}

/** Afloat where the sealed bag is dangerous already, minutes (EA): long enough to take off the worst of the cold. */
const SHORT_FLOAT = 5

/**
 * Minutes afloat: 15 to 30, bigger bags longer (acclimation.md 2); less where free ammonia is over the limit in the sealed bag already.
 * @param isDangerous whether it is
 */
export const assumedFloat = (bagL: number, isDangerous = false): number =>
  isDangerous ? SHORT_FLOAT : bagL <= 1 ? 15 : bagL <= 2.5 ? 20 : 30

/**
 * The salinity that one seller's bags are taken to have, psu: a box has one, whoever is in it.
 * @param kinds of the animals in the box
 * @param told  what the seller announced for some of them, psu
 * @example
 * sharedPsu(['coral', 'fish'], [undefined, 31]) // 31
 */
export const sharedPsu = (kinds: readonly AnimalKind[], told: readonly (number | undefined)[]): number =>
  told.find((psu) => psu !== undefined) ?? SELLER_PSU[kinds.includes('fish') ? 'fish' : (kinds[0] ?? 'fish')]

/**
 * What an animal gives off, mg of ammonia N an hour, by what gathered in its bag on the way; nothing where that is not
 * known. Only waiting asks for it: mixing is too short for it to matter.
 */
export const excretionFrom = (tanMgPerL: number, volumeL: number, hours: number): number =>
  hours > 0 ? (tanMgPerL * volumeL) / hours : 0
