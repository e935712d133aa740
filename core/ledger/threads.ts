import { animalGroupById } from '../catalogue/animal-group.ts'
import { animalsOf, type Animal } from '../household/animals.ts'
import type { Journal } from '../journal/journal.ts'

/** A stretch of an animal's thread in one tank's column: which lane it runs in, from when to when. */
export interface ThreadStay {
  tankId: string
  lane: number
  from: number
  to: number | null
}

/** An animal, or a group counted as one, as a thread through the columns of the ledger. */
export interface Thread {
  animal: Animal
  stays: readonly ThreadStay[]
}

/** More lanes than this and the words have no room: the rest share the last one. */
export const MAX_LANES = 7

/**
 * A lane for every stay: the first that is free in its tank for as long as the stay lasts. Corals stay put and are many;
 * those of one tank share one lane.
 */
function layOut(animals: readonly Animal[]): Thread[] {
  interface Lane {
    corals: boolean
    freeFrom: number
  }
  const lanes = new Map<string, Lane[]>()
  const laneOf = new Map<string, number>()
  const isCoral = (animal: Animal) => animalGroupById(animal.group)?.kind === 'coral'
  const stays = animals
    .flatMap((animal) => animal.stays.map((stay, index) => ({ animal, stay, index })))
    .sort((a, b) => a.stay.from - b.stay.from || (a.animal.id < b.animal.id ? -1 : 1))
  for (const { animal, stay, index } of stays) {
    const inTank = lanes.get(stay.tankId) ?? []
    lanes.set(stay.tankId, inTank)
    const corals = isCoral(animal)
    let lane = inTank.findIndex((one) => (corals ? one.corals : !one.corals && one.freeFrom <= stay.from))
    if (lane < 0) {
      if (inTank.length < MAX_LANES) inTank.push({ corals, freeFrom: 0 })
      lane = inTank.length - 1
    }
    inTank[lane]!.freeFrom = Math.max(inTank[lane]!.freeFrom, stay.to ?? Infinity)
    laneOf.set(`${animal.id} ${index}`, lane)
  }
  return animals.map((animal) => ({
    animal,
    stays: animal.stays.map((stay, index) => ({ ...stay, lane: laneOf.get(`${animal.id} ${index}`)! })),
  }))
}

/** The threads of the ledger, and how many lanes each tank needs. */
export function threadsOf(journal: Journal): { threads: Thread[]; lanes: ReadonlyMap<string, number> } {
  return journal.derive(
    'threads',
    ['kind:arrival', 'kind:animal-change', 'kind:move', 'kind:death', 'kind:departure'],
    () => {
      const threads = layOut(animalsOf(journal))
      const lanes = new Map<string, number>()
      for (const { stays } of threads)
        for (const { tankId, lane } of stays) lanes.set(tankId, Math.max(lanes.get(tankId) ?? 0, lane + 1))
      return { threads, lanes }
    },
  )
}

/** A piece of a thread within one day's row. `top` and `bottom`: whether it comes from the row above and goes on below. */
export interface ThreadPiece {
  animal: Animal
  tankId: string
  lane: number
  top: boolean
  bottom: boolean
  /** Where it begins or ends within the day, and how. */
  begins: 'arrival' | 'move' | null
  ends: 'death' | 'departure' | 'move' | null
  /** Where a thread that moves away on this day goes on. */
  movesTo: { tankId: string; lane: number } | null
}

/** The pieces of all threads within a day, from its first instant to the next day's. */
export function piecesWithin(threads: readonly Thread[], from: number, to: number): ThreadPiece[] {
  const pieces: ThreadPiece[] = []
  for (const { animal, stays } of threads) {
    for (const [index, stay] of stays.entries()) {
      if (stay.from >= to || (stay.to !== null && stay.to < from)) continue
      const begun = stay.from >= from
      const ended = stay.to !== null && stay.to < to
      const next = stays[index + 1]
      pieces.push({
        animal,
        tankId: stay.tankId,
        lane: stay.lane,
        top: !begun,
        bottom: !ended,
        begins: !begun ? null : index === 0 ? 'arrival' : 'move',
        ends: !ended ? null : next ? 'move' : animal.end?.how === 'died' ? 'death' : 'departure',
        movesTo: ended && next ? { tankId: next.tankId, lane: next.lane } : null,
      })
    }
  }
  return pieces
}
