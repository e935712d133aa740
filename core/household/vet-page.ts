import type { Content } from '../journal/entry.ts'
import type { Journal, Line } from '../journal/journal.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { countedMassMg } from '../dosing/counted-mass.ts'
import { animalById, type Animal } from './animals.ts'
import { netVolumeAt } from './tanks.ts'

/** How far back a veterinarian is told, days (EA): a course of medicine and what went before it. */
export const VET_DAYS = 45

/** What a veterinarian asks for, taken from the journal; every list in time order, the latest first. */
export interface VetPage {
  animals: readonly Animal[]
  /** Medicine into the water of their tanks, with the food, and as baths. */
  given: readonly Line[]
  /** What was seen of them. */
  seen: readonly Line[]
  /** The last reading of each parameter in the tank where they live. */
  water: readonly Line[]
  /** Changes, moves, arrivals and deaths in their tanks. */
  happened: readonly Line[]
}

const MEDICINE: ReadonlySet<Content['kind']> = new Set(['dose', 'bath', 'feed'])
const HAPPENED: ReadonlySet<Content['kind']> = new Set(['water-change', 'move', 'arrival', 'death', 'equipment'])

const isMedicine = (content: Content): boolean =>
  MEDICINE.has(content.kind) && (content.kind !== 'feed' || content.ingredient !== undefined)

/**
 * The level that a dose of the journal made by itself in its tank, mg/L.
 * @returns null where its mass or the tank's volume is not known, and for what is no dose
 */
export function doseLevel(journal: Journal, { content, at }: Line): number | null {
  if (content.kind !== 'dose') return null
  const netL = netVolumeAt(journal, content.tankId, at)
  const massMg = countedMassMg(content)
  return netL === null || massMg === undefined ? null : massMg / netL
}

/** The tanks an animal lived in since then. */
const tanksSince = ({ stays }: Animal, from: number): string[] =>
  stays.filter(({ to }) => to === null || to >= from).map(({ tankId }) => tankId)

/**
 * What a veterinarian is shown of some animals: what they were given, what was seen of them, the water they live in.
 * @param now ms
 * @example
 * vetPageOf(journal, ['cobalt'], Date.now()).given.length // doses, baths and medicated meals of the last 45 days
 */
export function vetPageOf(journal: Journal, animalIds: readonly string[], now: number): VetPage {
  const from = now - VET_DAYS * MS_PER_DAY
  const animals = animalIds.flatMap((id) => animalById(journal, id) ?? [])
  const tankIds = [...new Set(animals.flatMap((animal) => tanksSince(animal, from)))]
  const recent = (lines: readonly Line[]) => lines.filter(({ at, struck }) => !struck && at >= from && at <= now)
  const ofTanks = tankIds.flatMap((id) => recent(journal.about(`tank:${id}`)))
  const ofAnimals = animals.flatMap(({ id }) => recent(journal.about(`animal:${id}`)))
  const own = new Set(animalIds)
  const isOfThem = ({ content }: Line) =>
    !('animalIds' in content) || (content.animalIds ?? []).length === 0 || content.animalIds!.some((id) => own.has(id))
  const latestFirst = (lines: readonly Line[]): Line[] =>
    [...new Map(lines.map((line) => [line.id, line])).values()].sort((a, b) => b.at - a.at)
  const here = new Set(animals.flatMap(({ stays }) => stays.at(-1)?.tankId ?? []))
  const water = new Map<string, Line>()
  for (const line of latestFirst(ofTanks))
    if (line.content.kind === 'reading' && here.has(line.content.tankId)) {
      const key = `${line.content.tankId}/${line.content.parameter}`
      if (!water.has(key)) water.set(key, line)
    }
  return {
    animals,
    given: latestFirst([...ofTanks, ...ofAnimals].filter((line) => isMedicine(line.content) && isOfThem(line))),
    seen: latestFirst(ofAnimals.filter(({ content }) => content.kind === 'sighting')),
    water: [...water.values()],
    happened: latestFirst(ofTanks.filter(({ content }) => HAPPENED.has(content.kind))),
  }
}
