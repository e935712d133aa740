import { runUnknown } from '../operations/run.ts'
import { bareTank, scribe } from '../journal/testing.ts'

const { record } = scribe()
const file = (entries: unknown[]) => ({
  format: 'brinvo-journal',
  version: 1,
  exported: '2026-11-23T10:00:00Z',
  entries,
})
const ask = (line: string, more: object = {}) =>
  runUnknown('logline.read', {
    journal: file([record(bareTank('quar', 'Quarantine'))]),
    now: '2026-11-23T18:30:00Z',
    line,
    ...more,
  })

describe('logline.read', () => {
  test('answers what Enter would keep', () => {
    expect(ask('quar cu 2.1')).toMatchObject({
      ok: true,
      value: { state: 'keep', contents: [{ kind: 'reading', parameter: 'copper', tankId: 'quar' }], notices: [] },
    })
  })

  test('asks with choices, and says what it cannot read', () => {
    expect(ask('quar cu 2,1')).toMatchObject({
      ok: true,
      value: { state: 'choose', choices: [{ text: 'quar cu 2.1' }, {}] },
    })
    expect(ask('quar cu 2,1', { locale: 'de' })).toMatchObject({ ok: true, value: { state: 'keep' } })
    expect(ask('needle ate 31 nov')).toMatchObject({ ok: true, value: { state: 'unclear' } })
    expect(ask('')).toEqual({ ok: true, value: { state: 'empty' } })
  })

  test('a journal the import would not take in is invalid, with its path', () => {
    expect(ask('quar cu 2.1', { journal: file([{ id: 'x' }]) })).toMatchObject({
      ok: false,
      error: { code: 'invalid-input', path: '/entries/0/logged' },
    })
  })
})
