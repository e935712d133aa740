import type { Content, Correction, Entry, Recorded, StrikeOut } from './entry.ts'

/** Entries for tests: ids count up, and each is logged a minute after the one before unless said otherwise. */
export function scribe(start = '2026-07-01T08:00:00Z') {
  let number = 0
  const stamp = (logged?: string) => ({
    id: `e${String(++number).padStart(4, '0')}`,
    logged: logged ?? new Date(Date.parse(start) + number * 60_000).toISOString(),
  })
  return {
    record: (content: Content, logged?: string): Recorded => ({ ...stamp(logged), content }),
    correct: (entry: Entry, content: Content, logged?: string): Correction => ({
      ...stamp(logged),
      corrects: entry.id,
      content,
    }),
    strike: (entry: Entry, logged?: string): StrikeOut => ({ ...stamp(logged), strikes: entry.id }),
  }
}

const minute = (day: number, at: number) =>
  new Date(Date.parse('2026-07-01T00:00:00Z') + day * 86_400_000 + at * 60_000).toISOString()

/** A reading of copper in a tank, days after the 1st of July 2026. */
export const copper = (tankId: string, day: number, value: number): Content => ({
  kind: 'reading',
  happened: minute(day, 480),
  tankId,
  parameter: 'copper',
  result: { kind: 'value', value },
  unit: 'mg/L',
})

export const note = (tankId: string, day: number, text: string): Content => ({
  kind: 'note',
  happened: minute(day, 500),
  tankId,
  text,
})

export const bareTank = (tankId: string, name: string, day = 0): Content => ({
  kind: 'tank-setup',
  happened: minute(day, 0),
  tankId,
  name,
  water: 'marine',
  role: 'quarantine',
  sheet: { shape: { kind: 'box', lengthCm: 50, widthCm: 35, heightCm: 40 }, waterHeightCm: 37 },
})

export const arrival = (animalId: string, tankId: string, day: number, count = 1, name?: string): Content => ({
  kind: 'arrival',
  happened: minute(day, 600),
  animalId,
  tankId,
  species: 'longnose hawkfish',
  group: 'hawkfish',
  count,
  ...(name !== undefined && { name }),
})
