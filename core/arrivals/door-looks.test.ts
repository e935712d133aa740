import { METRIC, type Settings } from '../household/settings.ts'
import type { Content } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { zoneClock } from '../time/zone.ts'
import { doorLookTasks } from './door-looks.ts'
import { arrivalTaskContents } from './tasks.ts'

const ORIGIN = Date.parse('2026-11-01T00:00:00Z')
const ms = (day: number, hour = 12) => ORIGIN + day * 86_400_000 + hour * 3_600_000
const at = (day: number) => ({ happened: new Date(ms(day)).toISOString() })
const clock = zoneClock('UTC')
const settings: Settings = { timeZone: 'UTC', units: METRIC, clock }

const fish = (animalId: string, tankId: string, day: number): Content => ({
  kind: 'arrival',
  ...at(day),
  animalId,
  tankId,
  name: animalId,
  species: animalId,
  group: 'clownfish',
  count: 1,
})

/** A reef whose 76 days were full on day 77, and into which a fish came on day 80. */
function reef(...more: readonly Content[]) {
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const write = (...contents: readonly Content[]) => {
    for (const content of contents) journal.add([record(content)])
  }
  write(
    { kind: 'household', ...at(-400), timeZone: 'UTC', units: METRIC },
    { kind: 'tank-setup', ...at(-400), tankId: 'reef', name: 'Reef', water: 'marine', role: 'display' },
    { kind: 'course-start', ...at(0), courseId: 'f', definition: 'fallow-76', tanks: { main: 'reef' }, animalIds: [] },
    { kind: 'course-end', ...at(78), courseId: 'f', outcome: 'finished' },
    fish('loose', 'reef', 80),
    ...more,
  )
  const looks = (day: number, hour = 12) => doorLookTasks(journal, settings, ms(day, hour), clock.dayOf(ms(day)), [])
  return { write, looks }
}

test('a display in which somebody unproven came in is looked at once a day, until its days are over', () => {
  const it = reef()
  const [look] = it.looks(85, 19)
  expect(look).toMatchObject({ tankId: 'reef', animalIds: ['loose'], state: 'due' })
  expect(look!.why).toMatch(/Reef is unproven, day 5 of 30: loose on 20 January 2027/)
  it.write(...arrivalTaskContents(look!, ms(85, 19)))
  expect(it.looks(85, 20)).toEqual([])
  expect(it.looks(86, 19)).toHaveLength(1)
  expect(it.looks(111, 19)).toEqual([])
})

test('a course that asks for the same look asks alone', () => {
  const watch: Content = {
    kind: 'course-start',
    ...at(81),
    courseId: 'w',
    definition: 'qt-g-none',
    tanks: { main: 'reef' },
    animalIds: ['loose'],
  }
  expect(reef(watch).looks(85, 19)).toEqual([])
})
