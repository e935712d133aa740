import { expectedOf, type ExpectedArrival } from '../../household/expected.ts'
import type { Journal } from '../../journal/journal.ts'

/** What comes, or came, in one box: one way, one time, one or more animals, each with its tank. */
export interface Box {
  id: string
  dueAt: number
  hoursInTransit: number | null
  source: string | null
  animals: readonly ExpectedArrival[]
}

/** The box an awaited animal comes in: its own, where none was named. */
export const boxIdOf = ({ boxId, expectedId }: Pick<ExpectedArrival, 'boxId' | 'expectedId'>): string =>
  boxId ?? expectedId

function boxOf(id: string, animals: readonly ExpectedArrival[]): Box {
  const hours = animals.flatMap(({ hoursInTransit }) => hoursInTransit ?? [])
  return {
    id,
    dueAt: Math.min(...animals.map(({ dueAt }) => dueAt)),
    hoursInTransit: hours.length > 0 ? Math.max(...hours) : null,
    source: animals.find(({ source }) => source !== undefined)?.source ?? null,
    animals,
  }
}

/** The boxes still awaited, soonest first. */
export function boxesOf(journal: Journal): Box[] {
  return journal.derive('boxes', ['kind:expected', 'kind:arrival', 'kind:dead-on-arrival'], () => {
    const boxes = new Map<string, ExpectedArrival[]>()
    for (const expected of expectedOf(journal)) {
      const id = boxIdOf(expected)
      boxes.set(id, [...(boxes.get(id) ?? []), expected])
    }
    return [...boxes].map(([id, animals]) => boxOf(id, animals)).sort((a, b) => a.dueAt - b.dueAt)
  })
}

/** An awaited box; null once everything in it has come, or when there is none of that id. */
export const boxById = (journal: Journal, id: string): Box | null =>
  boxesOf(journal).find((box) => box.id === id) ?? null
