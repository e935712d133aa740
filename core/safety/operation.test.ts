import { ramped } from '../courses/testing/ward.ts'
import { FORMAT_NAME, FORMAT_VERSION } from '../journal/format.ts'
import { runOperation } from '../operations/run.ts'

const it = ramped()
const journal = {
  format: FORMAT_NAME,
  version: FORMAT_VERSION,
  exported: '2026-12-31T00:00:00Z',
  entries: it.journal.entries(),
}
const asked = (proposed: object, file: object = journal) =>
  runOperation('courses.concerns', { journal: file, now: it.at(3, '12:00').happened, proposed })

test('an urchin into copper, and a binder into it, are told as the interface tells them', () => {
  const urchin = {
    kind: 'arrival',
    ...it.at(3, '09:00'),
    animalId: 'u',
    tankId: 'quar',
    species: 'urchin',
    group: 'star-urchin',
    count: 1,
  }
  expect(asked(urchin)).toMatchObject({ ok: true, value: [{ rule: 'drug-invert', severity: 'never' }] })
  const binder = {
    kind: 'dose',
    ...it.at(3, '09:00'),
    tankId: 'quar',
    ingredient: 'ammonia-binder',
    amount: 5,
    unit: 'mL',
  }
  expect(asked(binder)).toMatchObject({ ok: true, value: [{ rule: 'cu-binder', severity: 'never' }] })
  expect(asked({ ...binder, tankId: 'hall' })).toMatchObject({ ok: true, value: [] })
})

test('a content or a journal that would not be kept is refused with its place', () => {
  expect(asked({ kind: 'dose', ...it.at(3, '09:00'), tankId: 'quar' })).toMatchObject({
    ok: false,
    error: { code: 'invalid-input', path: expect.stringMatching(/^\/proposed/) as string },
  })
  expect(asked({}, { ...journal, version: 99 })).toMatchObject({ ok: false, error: { path: '/version' } })
})
