import { animalsOf, countAt, isFish, residentsOf, type Animal } from '../../household/animals.ts'
import { massOf } from '../../household/fish-mass.ts'
import type { Journal } from '../../journal/journal.ts'
import { MS_PER_DAY, type ZoneClock } from '../../time/zone.ts'
import { lookedOf, type Looked } from '../../watching/short-looks.ts'
import { passportOf } from '../passport/passport.ts'
import { countFishless } from '../tracks/fishless.ts'
import type { CourseRecord } from '../record/record.ts'

/** Looks and both tests of ammonia go on for so many days after each fish: quarantine.md 7.5. */
export const WATCHED_DAYS = 7

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
  /** Who they were, dead ones too. */
  stock: readonly Animal[]
  /** The living ones of them in steps, lightest first; empty where their mass is not known. */
  order: readonly RestockStep[]
  days: readonly [number, number]
}

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
 * restocking(journal, plan.facts)?.before // { fish: 5, massG: 112 }
 */
export function restocking(journal: Journal, facts: CourseRecord): Restocking | null {
  const { course } = facts
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
    stock: stock.map(({ animal }) => animal),
    before: { fish: heads, massG },
    now: { fish: residents.reduce((sum, { count }) => sum + count, 0), massG: massTogether(residents) },
    atATime: { fish: mostHeads, massG: mostG },
    steps: order.length > 0 ? order.length : Math.ceil(heads / mostHeads),
    order,
    days: RESTOCK.days,
  }
}

/** How the coming back stands once the days are full. */
export interface ComingBack {
  /** Fish that came in since, by day. */
  returned: readonly { at: number; animalIds: readonly string[] }[]
  /** Who may come back next: proven, lightest first, no more than the filter bears at once; none where nobody is proven. */
  next: readonly Animal[]
  nextG: number | null
  /** Former stock that is not proven yet. */
  unproven: readonly Animal[]
  /** From when the next may come, and when better: ten and fourteen days after the last. */
  from: number
  best: number
  /** Local days on which the filter was fed, of those without fish. */
  fed: { days: number; of: number }
  /** Fish that live here now, and the looks at them. */
  here: readonly string[]
  looks: readonly Looked[]
}

/**
 * How the fish of a tank come back after their days: who is proven, in which order and mass, and how far it is.
 * @param fullAt ms: when the days without fish were full
 * @returns null where no fish of the tank is on record
 */
export function comingBackOf(
  journal: Journal,
  facts: CourseRecord,
  fullAt: number,
  clock: ZoneClock,
): ComingBack | null {
  const { course, now } = facts
  const plan = restocking(journal, facts)
  if (!plan) return null
  const byDay = new Map<number, { at: number; animalIds: string[] }>()
  for (const { from, animalId } of facts.fishIn) {
    if (animalId === undefined || from < fullAt || from > now) continue
    const day = clock.dayOf(from)
    const same = byDay.get(day) ?? { at: from, animalIds: [] }
    byDay.set(day, { at: Math.max(same.at, from), animalIds: [...same.animalIds, animalId] })
  }
  const returned = [...byDay.values()].sort((a, b) => a.at - b.at)
  const out = plan.stock.filter(
    ({ stays, end, count }) => end === null && count > 0 && stays.at(-1)?.tankId !== course.tankId,
  )
  const isProven = ({ id }: Animal) => passportOf(journal, id, now)?.state === 'proven'
  const proven = out.filter(isProven)
  const next = firstStep(proven, plan.atATime)
  const last = returned.at(-1)
  const here = residentsOf(journal, course.tankId).filter(isFish)
  return {
    returned,
    next,
    nextG: massTogether(next.map((animal) => ({ animal, count: animal.count }))),
    unproven: out.filter((animal) => !isProven(animal)),
    from: last ? last.at + RESTOCK.days[0] * MS_PER_DAY : fullAt,
    best: last ? last.at + RESTOCK.days[1] * MS_PER_DAY : fullAt,
    fed: feedsWithoutFish(facts, clock),
    here: here.map(({ id }) => id),
    looks: here.flatMap(({ id }) =>
      journal
        .about(`animal:${id}`)
        .flatMap(({ content, at, struck }) =>
          !struck && content.kind === 'sighting' && at >= fullAt && at <= now ? [lookedOf(at, content)] : [],
        ),
    ),
  }
}

/** On how many local days of those without fish the filter was fed, of those there were so far. */
export function feedsWithoutFish(facts: CourseRecord, clock: ZoneClock): { days: number; of: number } {
  const counted = countFishless(facts, clock)
  if (!counted || counted.begunAt === null) return { days: 0, of: 0 }
  const from = clock.dayOf(counted.begunAt)
  const until = from + counted.days
  const fed = new Set(facts.feeds.map((at) => clock.dayOf(at)).filter((day) => day >= from && day < until))
  return { days: fed.size, of: counted.days }
}

/** The lightest of some fish, as many as may come at once: by mass where every one has a length on record, else by heads. */
function firstStep(fish: readonly Animal[], { fish: mostHeads, massG: mostG }: Restocking['atATime']): Animal[] {
  if (mostG === null) return fish.slice(0, mostHeads)
  const steps = inSteps(
    fish.map((animal) => ({ animal, massG: massOf(animal, animal.count)! })),
    mostG,
  )
  return [...(steps[0]?.animals ?? [])]
}
