import { METRIC, type Settings } from '../household/settings.ts'
import type { Content } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { zoneClock } from '../time/zone.ts'
import { choresOf, choreTasks } from './chores.ts'
import { taskName } from './task-name.ts'

const settings: Settings = { timeZone: 'Europe/Lisbon', units: METRIC, clock: zoneClock('Europe/Lisbon') }
const at = (day: number, time = '10:00') => ({ happened: `2026-11-${String(day).padStart(2, '0')}T${time}:00Z` })
const ms = (day: number, time = '10:00') => Date.parse(at(day, time).happened)

function house(...more: Content[]) {
  const { record } = scribe('2026-01-01T00:00:00Z')
  const journal = new Journal()
  const chore: Content = {
    kind: 'chore',
    ...at(1),
    choreId: 'pump',
    name: 'clean the pump',
    tankId: 'hall',
    everyDays: 7,
  }
  journal.add([chore, ...more].map((content) => record(content)))
  return journal
}
const word = (day: number, ordinal: number, state: 'done' | 'postponed', until?: string): Content => ({
  kind: 'task',
  ...at(day),
  taskId: `chore/pump/${ordinal}`,
  tankId: 'hall',
  state,
  ...(until !== undefined && { until, why: 'no time' }),
})
const tasks = (journal: Journal, day: number, time?: string) =>
  choreTasks(journal, settings, ms(day, time), settings.clock.dayOf(ms(day)) + 21)

test('a chore keeps the tool it is done with, until another is named', () => {
  const journal = house({ kind: 'chore', ...at(2), choreId: 'pump', gearId: 'brush' })
  expect(tasks(journal, 3)[0]).toMatchObject({ title: 'clean the pump', gearId: 'brush' })
  expect(tasks(house(), 3)[0]).not.toHaveProperty('gearId')
})

test('due a week after it was set, late after its grace, and again a week after it was done', () => {
  const journal = house()
  expect(tasks(journal, 2)[0]).toMatchObject({
    id: 'chore/pump/0',
    state: 'ahead',
    best: ms(8, '08:00'),
    why: 'every 7 days',
  })
  expect(tasks(journal, 8)[0]).toMatchObject({ state: 'due' })
  expect(tasks(journal, 11)[0]).toMatchObject({ state: 'late' })
  const done = house(word(11, 0, 'done'))
  expect(tasks(done, 12)[0]).toMatchObject({ id: 'chore/pump/1', state: 'ahead', best: ms(18, '08:00') })
})

test('each time it is put off is counted', () => {
  const journal = house(word(8, 0, 'postponed', at(9).happened), word(9, 0, 'postponed', at(12).happened))
  expect(tasks(journal, 10)[0]).toMatchObject({ state: 'ahead', why: 'every 7 days; put off 2 times' })
})

test('changed and given up', () => {
  const changed = house({ kind: 'chore', ...at(2), choreId: 'pump', everyDays: 14 })
  expect(choresOf(changed)).toMatchObject([{ name: 'clean the pump', everyDays: 14 }])
  expect(choresOf(house({ kind: 'chore', ...at(2), choreId: 'pump', retired: true }))).toEqual([])
})

test('its word in the ledger is a chore', () => expect(taskName('chore/pump/3')).toBe('chore'))
