import { strToU8 } from 'fflate'
import { exportJournal } from '../../../core/journal/export.ts'
import { Journal } from '../../../core/journal/journal.ts'
import { bareTank, copper, note, scribe } from '../../../core/journal/testing.ts'
import type { Content, Entry } from '../../../core/journal/entry.ts'
import { ImportService } from './import-service.ts'

const NOW = Date.parse('2026-11-23T10:00:00Z')
const { record } = scribe()
const bytesOf = (entries: readonly Entry[], change = (text: string) => text) => {
  const journal = new Journal()
  journal.add(entries)
  return strToU8(change(exportJournal(journal, '2026-11-23T10:00:00Z')))
}
const tank = record(bareTank('q', 'Quarantine'))
const reading = record(copper('q', 1, 2.1))
const FALLOW: Content = {
  kind: 'course-start',
  happened: '2026-07-01T18:00:00.000Z',
  courseId: 'c',
  definition: 'fallow-76',
  tanks: { main: 'q' },
  animalIds: [],
  options: {},
  products: {},
}
const read = (service: ImportService, bytes: Uint8Array, known: Entry[] = []) =>
  service.read(bytes, known, NOW, () => {})

test('what a file adds is counted, and held until it is taken in', () => {
  const service = new ImportService()
  const added = record(note('q', 2, 'from the phone'))
  expect(read(service, bytesOf([tank, reading, added]), [tank, reading])).toEqual({
    look: expect.objectContaining({ fresh: 1, same: 2, conflicts: [], isAltered: false, photoIds: [] }) as object,
  })
  expect(service.fresh).toEqual([added])
})

test('a file that was altered is read, and said to be', () => {
  const altered = bytesOf([tank, reading], (text) => text.replace('"value":2.1', '"value":21'))
  expect(read(new ImportService(), altered)).toMatchObject({ look: { fresh: 2, isAltered: true } })
})

test('what cannot be is refused with its place', () => {
  const far = record({ ...note('q', 1, 'x'), happened: '0999-01-01T00:00:00.000Z' })
  expect(read(new ImportService(), bytesOf([tank, far]))).toMatchObject({
    problems: [{ path: '/entries/1/content/happened' }],
  })
})

test('the courses are worked out for trial, each named before', async () => {
  const service = new ImportService()
  const start = record(FALLOW)
  read(service, bytesOf([tank, start]))
  const told: string[] = []
  expect(await service.workOut(NOW, (name) => told.push(name))).toEqual([])
  expect(told).toHaveLength(1)
})
