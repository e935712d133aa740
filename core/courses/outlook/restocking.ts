import { animalGroupById } from '../../catalogue/animal-group.ts'
import { animalsOf, countAt, residentsOf, type Animal } from '../../household/animals.ts'
import { massOf } from '../../household/fish-mass.ts'
import type { Journal } from '../../journal/journal.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import type { CoursePlan } from '../plan.ts'

/** Share of the former fish mass that comes back at once, and the days until the next: quarantine.md 7.5 (HP). */
const RESTOCK = { share: 0.3, days: [10, 14] as const }
/** Fish that left within this of the last of them were the tank's stock (EA). */
const LEFT_TOGETHER_MS = 7 * MS_PER_DAY

/** Fish that come back together. */
export interface RestockStep {
  animals: readonly Animal[]
  massG: number | null
}

/** How fish come back: what lived here, what lives here now, and how much at a time the filter is asked to bear. */
export interface Restocking {
  /** Fish that lived in the tank when the last of them left; g where every one of them has a length on record. */
  before: { fish: number; massG: number | null }
  now: { fish: number; massG: number | null }
  /** What may come back at once: heads, and g where the mass is known. */
  atATime: { fish: number; massG: number | null }
  steps: number
  /** The living ones of them in steps, lightest first; empty where their mass is not known. */
  order: readonly RestockStep[]
  days: readonly [number, number]
}

const isFish = ({ group }: Animal): boolean => animalGroupById(group)?.kind === 'fish'

/** Their mass together, g; null where one has no length on record. */
function massTogether(fish: readonly { animal: Animal; count: number }[]): number | null {
  const masses = fish.map(({ animal, count }) => massOf(animal, count))
  return masses.some((mass) => mass === null) ? null : masses.reduce<number>((sum, mass) => sum + mass!, 0)
}

/** Living fish in steps of at most so much mass, lightest first (EA: the filter grows with them); one that is heavier alone comes alone. */
function inSteps(fish: readonly { animal: Animal; massG: number }[], mostG: number): RestockStep[] {
  const steps: { animals: Animal[]; massG: number }[] = []
  for (const { animal, massG } of [...fish].sort((a, b) => a.massG - b.massG)) {
    const last = steps.at(-1)
    if (last && last.massG + massG <= mostG * (1 + 1e-9)) {
      last.animals.push(animal)
      last.massG += massG
    } else steps.push({ animals: [animal], massG })
  }
  return steps
}

/**
 * Restocking in steps; null where no fish of the tank is on record.
 * @example
 * restocking(journal, plan)?.before // { fish: 5, massG: 112 }
 */
export function restocking(journal: Journal, { course, facts }: CoursePlan): Restocking | null {
  const left = Math.max(-Infinity, ...facts.fishIn.map(({ to }) => to ?? -Infinity))
  if (!Number.isFinite(left)) return null
  const stock = animalsOf(journal)
    .filter(isFish)
    .filter(({ stays }) =>
      stays.some(
        ({ tankId, from, to }) =>
          tankId === course.tankId && from < left && to !== null && left - to < LEFT_TOGETHER_MS && to <= left,
      ),
    )
    .map((animal) => ({ animal, count: Math.max(1, countAt(animal, left)) }))
  if (stock.length === 0) return null
  const heads = stock.reduce((sum, { count }) => sum + count, 0)
  const massG = massTogether(stock)
  const mostG = massG === null ? null : RESTOCK.share * massG
  const mostHeads = Math.max(1, Math.floor(RESTOCK.share * heads + 1e-9))
  const residents = residentsOf(journal, course.tankId)
    .filter(isFish)
    .map((animal) => ({ animal, count: animal.count }))
  const living = stock.filter(({ animal }) => animal.end === null && animal.count > 0)
  const order =
    mostG === null
      ? []
      : inSteps(
          living.map(({ animal }) => ({ animal, massG: massOf(animal, animal.count)! })),
          mostG,
        )
  return {
    before: { fish: heads, massG },
    now: { fish: residents.reduce((sum, { count }) => sum + count, 0), massG: massTogether(residents) },
    atATime: { fish: mostHeads, massG: mostG },
    steps: order.length > 0 ? order.length : Math.ceil(heads / mostHeads),
    order,
    days: RESTOCK.days,
  }
}
