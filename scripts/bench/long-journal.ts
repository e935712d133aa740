import type { Content, Entry } from '../../core/journal/entry.ts'
import { METRIC } from '../../core/household/settings.ts'

const TANKS = 4
const FISH_PER_TANK = 4
const MS_PER_HOUR = 3_600_000

/** A household's journal of so many entries: four tanks, their fish, then readings, changes and sightings up to now. */
export function longJournal(size: number, now: number): Entry[] {
  const setUp: Content[] = []
  // Ten entries a day, as a busy household writes.
  const start = now - (size / 10) * 24 * MS_PER_HOUR
  const at = (ms: number) => new Date(ms).toISOString()
  setUp.push({ kind: 'household', happened: at(start), timeZone: 'Europe/Lisbon', units: METRIC })
  for (let t = 1; t <= TANKS; t++) {
    setUp.push({
      kind: 'tank-setup',
      happened: at(start + t),
      tankId: `tank${t}`,
      name: `Tank ${t}`,
      short: `tank${t}`,
      water: 'marine',
      role: 'display',
      profile: 'reef-lps',
      sheet: { shape: { kind: 'box', lengthCm: 100, widthCm: 50, heightCm: 50 } },
    })
    for (let f = 1; f <= FISH_PER_TANK; f++)
      setUp.push({
        kind: 'arrival',
        happened: at(start + 10 + f),
        animalId: `fish-${t}-${f}`,
        tankId: `tank${t}`,
        name: `Fish ${t}${f}`,
        species: 'royal gramma',
        group: 'marine-fish',
        count: 1,
      })
  }
  const entries = setUp.map((content, i): Entry => ({ id: `s${i}`, logged: content.happened, content }))
  const parameters = [
    ['no3', 'mg/L', 8],
    ['po4', 'mg/L', 0.08],
    ['alk-kh', 'dKH', 8.2],
    ['temp', '°C', 25.2],
  ] as const
  for (let i = entries.length; i < size; i++) {
    const happened = at(start + ((now - start) * i) / size)
    const tankId = `tank${1 + (i % TANKS)}`
    const [parameter, unit, value] = parameters[i % parameters.length]!
    const content: Content =
      i % 10 === 7
        ? { kind: 'water-change', happened, tankId, litres: 20 + (i % 5) }
        : i % 10 === 8
          ? {
              kind: 'sighting',
              happened,
              tankId,
              animalIds: [`fish-${1 + (i % TANKS)}-1`],
              signs: [],
              appetite: 3,
              words: 'ate',
            }
          : i % 10 === 9
            ? { kind: 'note', happened, tankId, text: `cleaned the glass ${i}` }
            : { kind: 'reading', happened, tankId, parameter, result: { kind: 'value', value }, unit, uncertainty: 0.1 }
    entries.push({ id: `e${i}`, logged: happened, content })
  }
  return entries
}
