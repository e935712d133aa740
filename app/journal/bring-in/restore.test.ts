import { strToU8 } from 'fflate'
import { coursesOf } from '../../../core/courses/course.ts'
import { exportJournal } from '../../../core/journal/export.ts'
import { FORMAT_VERSION } from '../../../core/journal/format.ts'
import { Journal } from '../../../core/journal/journal.ts'
import type { Content, Entry } from '../../../core/journal/entry.ts'
import { bareTank, copper, note, scribe } from '../../../core/journal/testing.ts'
import { loadDefinitions } from '../../../core/catalogue/courses/load-definitions.ts'
import { packArchive } from './archive.ts'
import { ImportService } from './import-service.ts'

const NOW = Date.parse('2026-11-23T10:00:00Z')
const JPEG = Uint8Array.from([0xff, 0xd8, 5, 5])
const { record, correct, strike } = scribe()

const tank = record(bareTank('q', 'Quarantine'))
const reading = record(copper('q', 1, 2.1))
const wrong = record(note('q', 2, 'struck'))
const photo: Content = {
  kind: 'photo',
  happened: '2026-07-03T10:00:00Z',
  photoId: 'p1',
  tankId: 'q',
  widthPx: 4,
  heightPx: 3,
  bytes: JPEG.length,
}
/** A household of every kind of line: first entries, a correction, a strike-out, a course in the words of each version. */
const HOUSEHOLD: Entry[] = [
  tank,
  reading,
  correct(reading, copper('q', 1, 2.2)),
  wrong,
  strike(wrong),
  record(photo),
  record({
    kind: 'course-start',
    happened: '2026-07-01T18:00:00Z',
    courseId: 'old',
    protocol: 'qt-b-drug14',
    tankId: 'q',
    doseId: 'cu-amine-std',
    animalIds: [],
  }),
]
const NEWER = record({
  kind: 'course-start',
  happened: '2026-07-01T18:00:00Z',
  courseId: 'new',
  definition: 'fallow-76',
  tanks: { main: 'q' },
  animalIds: [],
  options: {},
  products: {},
})
const plain = (version: number, entries: readonly Entry[]) =>
  JSON.stringify({ format: 'brinvo-journal', version, exported: '2026-07-04T10:00:00Z', entries })
const exported = (entries: readonly Entry[]) => {
  const journal = new Journal()
  journal.add(entries)
  return exportJournal(journal, '2026-07-04T10:00:00Z')
}
const pictures = new Map([['p1', JPEG]])

const KEPT: [what: string, bytes: Uint8Array, entries: Entry[], hasPicture: boolean][] = [
  ['format 1', strToU8(plain(1, HOUSEHOLD)), HOUSEHOLD, false],
  ['format 1 in a zip', packArchive(plain(1, HOUSEHOLD), pictures), HOUSEHOLD, true],
  ['format 2 without a checksum', strToU8(plain(2, [...HOUSEHOLD, NEWER])), [...HOUSEHOLD, NEWER], false],
  ['format 2 as it is written now', strToU8(exported([...HOUSEHOLD, NEWER])), [...HOUSEHOLD, NEWER], false],
  ['format 2 in a zip', packArchive(exported([...HOUSEHOLD, NEWER]), pictures), [...HOUSEHOLD, NEWER], true],
]

test('every version that was ever written is among those that are restored here', () => {
  expect(KEPT.filter(([what]) => what.startsWith(`format ${FORMAT_VERSION}`)).length).toBeGreaterThan(0)
  expect(FORMAT_VERSION).toBe(2)
})

test.each(KEPT)('%s is restored whole into an empty journal', async (_what, bytes, entries, hasPicture) => {
  const service = new ImportService()
  const found = service.read(bytes, [], NOW, () => {})
  expect(found).toMatchObject({ look: { fresh: entries.length, isAltered: false, photoIds: hasPicture ? ['p1'] : [] } })
  const restored = new Journal()
  await loadDefinitions(['qt-b-drug14', 'fallow-76'])
  restored.add(service.fresh)
  expect(new Set(restored.entries())).toEqual(new Set(entries))
  // And it amounts to the same: the correction holds, the strike-out strikes, the courses run.
  expect(restored.ofKind('reading')[0]!.content.result).toEqual({ kind: 'value', value: 2.2 })
  expect(restored.ofKind('note')).toEqual([])
  expect(coursesOf(restored).map(({ id }) => id)).toEqual(entries.includes(NEWER) ? ['old', 'new'] : ['old'])
  if (hasPicture) expect(service.photos.get('p1')).toEqual(JPEG)
})
