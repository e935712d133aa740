import { Journal } from './journal.ts'
import { exportJournal } from './export.ts'
import { readJournal, readJournalText } from './read.ts'
import { bareTank, copper, note, scribe } from './testing.ts'
import type { Entry } from './entry.ts'

const read = (text: string) => {
  const result = readJournal({ text })
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}
const file = (entries: unknown[], frame: object = {}) =>
  JSON.stringify({ format: 'brinvo-journal', version: 1, exported: '2026-11-23T10:00:00Z', entries, ...frame }, null, 1)

const { record, correct, strike } = scribe()
const reading = record(copper('q', 1, 2.1))

describe('reading a journal file', () => {
  test('an export reads back as the same entries, amendments included', () => {
    const journal = new Journal()
    const entries: Entry[] = [
      record(bareTank('q', '<b>Quarantine</b>')),
      reading,
      correct(reading, copper('q', 1, 2.2)),
      strike(reading),
    ]
    journal.add(entries)
    const back = read(exportJournal(journal, '2026-11-23T10:00:00Z'))
    expect(back.problems).toEqual([])
    expect(back.entries).toEqual(journal.entries())
  })

  test('a checksum that fits, one that does not, and none', () => {
    const journal = new Journal()
    journal.add([record(bareTank('q', 'Quarantäne')), reading])
    const text = exportJournal(journal, '2026-11-23T10:00:00Z')
    expect(text).toMatch(/"checksum": "[0-9a-f]{8}"/)
    expect(read(text).isAltered).toBe(false)
    const altered = read(text.replace('2.1', '21'))
    expect(altered).toMatchObject({ isAltered: true, problems: [] })
    expect(altered.entries).toHaveLength(2)
    expect(read(text.replace(/ "checksum": .*\n/, '')).isAltered).toBe(false)
    // Laid out otherwise it is still the same file.
    expect(read(JSON.stringify(JSON.parse(text))).isAltered).toBe(false)
  })

  test('how far the checks are is told', () => {
    const told: number[] = []
    readJournalText(file(Array.from({ length: 2500 }, (_, i) => ({ ...reading, id: `r${i}` }))), (checked, of) =>
      told.push(checked / of),
    )
    expect(told).toEqual([0, 0.4, 0.8])
  })

  test('a text that is not JSON: the line is named', () => {
    const broken = file([reading]).replace('"value": 2.1', '"value": 2.1.')
    const line = broken.split('\n').findIndex((text) => text.includes('2.1.')) + 1
    expect(read(broken)).toMatchObject({ entries: [], problems: [{ line }] })
    expect(read('').problems[0]).toMatchObject({ line: 1 })
    expect(read(file([]).slice(0, -3)).problems[0]!.line).toBeGreaterThan(4)
  })

  test('another kind of file, a newer version and a frame with something missing', () => {
    expect(read('{"a":1}').problems[0]).toMatchObject({ path: '/format' })
    expect(read('[]').problems[0]).toMatchObject({ path: '/format' })
    expect(read('null').problems[0]).toMatchObject({ path: '/format' })
    expect(read(file([], { version: 3 })).problems[0]!.message).toMatch(/newer Brinvo \(format 3\).*up to format 2/)
    expect(read(file([], { version: 0 })).problems[0]).toMatchObject({
      path: '/version',
      message: expect.stringContaining('at least 1'),
    })
    expect(read(file([], { entries: undefined })).problems[0]).toMatchObject({ path: '/entries' })
  })

  test('a wrong unit, an unknown parameter and a missing basis: the path and what was expected', () => {
    const unit = { ...reading, content: { ...reading.content, unit: 'ppb' } }
    expect(read(file([unit]))).toEqual({
      entries: [],
      isAltered: false,
      problems: [{ path: '/entries/0/content/unit', message: 'expected mg/L, the unit copper is kept in; came "ppb"' }],
    })
    const parameter = { ...reading, content: { ...reading.content, parameter: 'gold' } }
    expect(read(file([parameter])).problems[0]!.path).toBe('/entries/0/content/parameter')
    const ammonia = { ...reading, content: { ...reading.content, parameter: 'tan' } }
    expect(read(file([ammonia])).problems[0]!.path).toBe('/entries/0/content/basis')
  })

  test('one broken entry among good ones: nothing is kept, and every fault is named', () => {
    const faults = read(
      file([
        reading,
        { ...reading, id: 'x1', content: { ...reading.content, happened: '2026-02-30T00:00:00Z' } },
        { id: 'x2', logged: 'now' },
      ]),
    )
    expect(faults.entries).toEqual([])
    expect(faults.problems.map(({ path }) => path)).toEqual(['/entries/1/content/happened', '/entries/2/logged'])
  })

  test('an unknown kind and an unknown property are refused by name', () => {
    expect(
      read(file([{ ...reading, content: { kind: 'wish', happened: '2026-07-01T00:00:00Z' } }])).problems[0],
    ).toEqual({
      path: '/entries/0/content/kind',
      message: 'expected a known kind; came "wish"',
    })
    expect(read(file([{ ...reading, colour: 'red' }])).problems[0]!.path).toBe('/entries/0/colour')
  })

  test('the same entry twice is one; the same id with another content is a problem', () => {
    expect(read(file([reading, reading])).entries).toHaveLength(1)
    expect(read(file([reading, { ...reading, content: copper('q', 1, 3) }])).problems[0]!.path).toBe('/entries/1/id')
  })

  test('a correction must name a first entry of its own kind', () => {
    const correction = correct(reading, note('q', 1, 'not a reading'))
    expect(read(file([reading, correction])).problems[0]!.message).toContain('kind "reading"')
    const chained = correct(correct(reading, copper('q', 1, 1)), copper('q', 1, 2))
    expect(
      read(file([reading, { ...chained, corrects: 'e9' }, { ...correction, id: 'e9', content: copper('q', 1, 1) }]))
        .problems,
    ).toHaveLength(1)
  })
})

describe('files made to hurt', () => {
  /** A file with 5,000 lists in each other where the word stands. */
  const deepened = (text: string) => text.replace('"DEEP"', '['.repeat(5000) + ']'.repeat(5000))

  test('nesting of 5,000 levels is refused by its path', () => {
    const [problem] = read(deepened(file([{ ...reading, content: { ...reading.content, note: 'DEEP' } }]))).problems
    expect(problem!.path).toMatch(/^\/entries\/0\/content\/note\/0/)
    expect(problem!.message).toContain('at most 32 levels')
    expect(read(deepened(file([], { more: 'DEEP' }))).problems).toHaveLength(1)
    expect(read(deepened(file(['DEEP']))).problems).toHaveLength(1)
  })

  test.each([1e308, -1e300, 5e-324])('a figure of %d is refused by its path', (value) => {
    const fault = read(
      file([{ ...reading, content: { ...reading.content, result: { kind: 'value', value } } }]),
    ).problems
    expect(fault[0]!.path).toBe('/entries/0/content/result/value')
    expect(fault[0]!.message).toContain('expected 0, or a figure from')
  })

  test('a long unknown key is cut in the message', () => {
    const key = 'k'.repeat(10_000)
    const [problem] = read(file([{ ...reading, content: { ...reading.content, [key]: 1 } }])).problems
    expect(problem!.message.length).toBeLessThan(120)
  })

  test('each fault of the text names the line it stands in', () => {
    const text = file(Array.from({ length: 20 }, (_, i) => ({ ...reading, id: `r${i}` })))
    const lines = text.split('\n')
    for (let line = 2; line < lines.length - 1; line++) {
      const broken = [...lines]
      // A colon that is gone, or a stray letter in front of the line.
      broken[line] = broken[line]!.includes('": ') ? broken[line]!.replace('": ', '" ') : `x${broken[line]!}`
      expect(read(broken.join('\n')).problems[0]!.line).toBe(line + 1)
    }
  })

  test('20,000 strike-outs of one entry and 100,000 entries in backward order are taken in within the time of a test', () => {
    const journal = new Journal()
    const strikes: Entry[] = Array.from({ length: 20_000 }, (_, i) => ({
      id: `s${i}`,
      logged: '2026-11-23T10:00:00Z',
      strikes: reading.id,
    }))
    const backward: Entry[] = Array.from({ length: 100_000 }, (_, i) => ({
      id: `n${i}`,
      logged: '2026-11-23T10:00:00Z',
      content: { ...note('q', 1, 'x'), happened: new Date(Date.UTC(2026, 10, 23) - i * 60_000).toISOString() } as never,
    }))
    journal.add([reading, ...strikes, ...backward])
    expect(journal.line(reading.id)!.struck).toBe(true)
    const at = journal.about('tank:q').map((line) => line.at)
    expect(at).toEqual([...at].sort((a, b) => a - b))
  })
})
