import { Journal } from '../journal/journal.ts'
import type { Content } from '../journal/entry.ts'
import { arrival, bareTank, copper, scribe } from '../journal/testing.ts'
import { dayFromText, zoneClock } from '../time/zone.ts'
import { firstDay, linesOn } from './days.ts'
import { MAX_LANES, piecesWithin, threadsOf } from './threads.ts'

const DAY = 86_400_000
const START = Date.parse('2026-07-01T00:00:00Z')
const at = (day: number, hour = 12) => new Date(START + day * DAY + hour * 3_600_000).toISOString()

function journalOf(...contents: Content[]) {
  const { record } = scribe()
  const journal = new Journal()
  journal.add(contents.map((content) => record(content)))
  return journal
}
const move = (day: number, animalId: string, fromTankId: string, toTankId: string): Content => ({
  kind: 'move',
  happened: at(day),
  animalId,
  fromTankId,
  toTankId,
})
const dayOf = (journal: Journal, day: number) =>
  piecesWithin(threadsOf(journal).threads, START + day * DAY, START + (day + 1) * DAY)

describe('the lines of a day', () => {
  test('a day is a local day: what happens at 23:30 in Auckland is not tomorrow', () => {
    const clock = zoneClock('Pacific/Auckland')
    const journal = journalOf(
      { ...copper('q', 0, 2), happened: '2026-07-01T11:30:00Z' },
      { ...copper('q', 0, 3), happened: '2026-07-01T12:30:00Z' },
    )
    const first = dayFromText('2026-07-01')!
    expect([linesOn(journal, 'q', first, clock).length, linesOn(journal, 'q', first + 1, clock).length]).toEqual([1, 1])
  })

  test('the ledger begins with the first thing that happened in a tank', () => {
    const clock = zoneClock('UTC')
    expect(firstDay(journalOf(bareTank('q', 'Q', 3), copper('q', 9, 2)), clock, 30_000)).toBe(dayFromText('2026-07-04'))
    expect(firstDay(new Journal(), clock, 77)).toBe(77)
  })
})

describe('threads', () => {
  test('an animal’s thread begins on its first day, crosses on the day it moves, and ends in its death', () => {
    const journal = journalOf(arrival('needle', 'q', 1), move(3, 'needle', 'q', 'obs'), {
      kind: 'death',
      happened: at(5),
      animalId: 'needle',
      tankId: 'obs',
      cause: 'old age',
    })
    expect(dayOf(journal, 0)).toEqual([])
    expect(dayOf(journal, 1)).toMatchObject([{ tankId: 'q', top: false, bottom: true, begins: 'arrival', ends: null }])
    expect(dayOf(journal, 2)).toMatchObject([{ tankId: 'q', top: true, bottom: true, begins: null, ends: null }])
    expect(dayOf(journal, 3)).toMatchObject([
      { tankId: 'q', top: true, bottom: false, ends: 'move', movesTo: { tankId: 'obs', lane: 0 } },
      { tankId: 'obs', top: false, bottom: true, begins: 'move' },
    ])
    expect(dayOf(journal, 5)).toMatchObject([{ tankId: 'obs', top: true, bottom: false, ends: 'death' }])
    expect(dayOf(journal, 6)).toEqual([])
  })

  test('two fish in a tank run in two lanes; a lane is used again once it is free', () => {
    const journal = journalOf(
      arrival('a', 'q', 0),
      arrival('b', 'q', 1),
      move(2, 'a', 'q', 'hall'),
      arrival('c', 'q', 3),
    )
    const lanes = Object.fromEntries(threadsOf(journal).threads.map(({ animal, stays }) => [animal.id, stays[0]!.lane]))
    expect(lanes).toEqual({ a: 0, b: 1, c: 0 })
    expect(threadsOf(journal).lanes.get('q')).toBe(2)
  })

  test('the corals of a tank share a lane of their own', () => {
    const coral = (id: string, day: number) => ({ ...arrival(id, 'hall', day), group: 'coral-soft' }) as Content
    const journal = journalOf(coral('zoas', 0), arrival('plum', 'hall', 1), coral('torch', 2))
    const lanes = Object.fromEntries(threadsOf(journal).threads.map(({ animal, stays }) => [animal.id, stays[0]!.lane]))
    expect(lanes).toEqual({ zoas: 0, plum: 1, torch: 0 })
  })

  test('a crowd shares the last lane and no tank needs more than there is room for', () => {
    const journal = journalOf(
      ...Array.from({ length: 12 }, (_, i) => arrival(`f${String(i).padStart(2, '0')}`, 'hall', i)),
    )
    expect(threadsOf(journal).lanes.get('hall')).toBe(MAX_LANES)
  })
})
