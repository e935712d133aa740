import type { Content } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { MS_PER_DAY } from '../time/zone.ts'

const START = Date.parse('2026-06-01T12:00:00Z')

/** The instant of a day of these tests, ms. @param day from the first on, in days */
export const ms = (day: number): number => START + day * MS_PER_DAY

/** When something happened, as an entry has it. */
export const on = (day: number): { happened: string } => ({ happened: new Date(ms(day)).toISOString() })

/** A reef of 200 L, "hall", with what was written of it, in the order of writing. */
export function reef(...contents: Content[]): Journal {
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const tank: Content = {
    kind: 'tank-setup',
    ...on(-90),
    tankId: 'hall',
    name: 'Hall, the reef',
    water: 'marine',
    role: 'display',
    profile: 'reef-lps',
    sheet: { shape: { kind: 'known', litres: 200 } },
  }
  for (const content of [tank, ...contents]) journal.add([record(content)])
  return journal
}
