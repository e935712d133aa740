import type { ContentOf } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { wilson95 } from '../numbers/normal.ts'
import { houseRecord } from './house-record.ts'

const DAY = 86_400_000
const ORIGIN = Date.parse('2026-01-01T12:00:00Z')
const at = (day: number) => ({ happened: new Date(ORIGIN + day * DAY).toISOString() })

function house() {
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const write = (content: Parameters<typeof record>[0]) => journal.add([record(content)])
  write({
    kind: 'tank-setup',
    ...at(-9),
    tankId: 'q',
    name: 'Quarantine',
    water: 'marine',
    role: 'quarantine',
    sheet: { shape: { kind: 'known', litres: 60 } },
  })
  const come = (animalId: string, day: number, extra: Partial<ContentOf<'arrival'>> = {}) =>
    write({ kind: 'arrival', ...at(day), animalId, tankId: 'q', species: 'fish', group: 'anthias', count: 1, ...extra })
  return { journal, write, come, record: (day: number) => houseRecord(journal, ORIGIN + day * DAY) }
}

test('deaths within thirty days count, later ones and young arrivals do not', () => {
  const it = house()
  for (const id of ['a', 'b', 'c']) it.come(id, 0, { source: 'the corner shop', hoursInTransit: 20 })
  it.come('young', 80)
  it.write({ kind: 'death', ...at(10), animalId: 'a', tankId: 'q' })
  it.write({ kind: 'death', ...at(60), animalId: 'b', tankId: 'q' })
  const rows = it.record(90)
  const source = rows.find(({ by }) => by === 'source')!
  expect(source).toMatchObject({ label: 'the corner shop', n: 3, survived: 2, isTelling: false, ...wilson95(2, 3) })
  expect(rows.find(({ by }) => by === 'transit')).toMatchObject({ label: 'up to 24 h in transit', n: 3 })
})

test('a group counts by heads: of eight one died and two were given away', () => {
  const it = house()
  it.come('shoal', 0, { count: 8 })
  it.write({ kind: 'death', ...at(3), animalId: 'shoal', tankId: 'q', count: 1 })
  it.write({ kind: 'departure', ...at(20), animalId: 'shoal', tankId: 'q', count: 2 })
  expect(it.record(40).find(({ by }) => by === 'group')).toMatchObject({ label: 'anthias', n: 6, survived: 5 })
})

test('by school, with none and no quarantine by choice told apart; ten make it telling', () => {
  const it = house()
  for (let i = 0; i < 10; i++) it.come(`n-${i}`, 0, { noQuarantine: true })
  it.come('c', 0)
  it.come('late', 0)
  it.write({
    kind: 'course-start',
    ...at(1),
    courseId: 'k',
    definition: 'qt-c-ttm',
    tanks: { main: 'q', other: 'q2' },
    animalIds: ['c'],
  })
  const schools = it.record(40).filter(({ by }) => by === 'school')
  expect(schools.map(({ key, n, isTelling }) => [key, n, isTelling])).toEqual([
    ['qt-g-none', 10, true],
    ['none-told', 1, false],
    ['qt-c-ttm', 1, false],
  ])
})
