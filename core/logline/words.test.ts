import fc from 'fast-check'
import { METRIC } from '../household/settings.ts'
import { Journal } from '../journal/journal.ts'
import { contentFault } from '../journal/check.ts'
import { arrival, bareTank, scribe } from '../journal/testing.ts'
import { zoneClock } from '../time/zone.ts'
import { mapFigure, readFigure } from './numbers.ts'
import { readLine } from './read.ts'
import { replaceToken, tokenize } from './tokens.ts'

describe('words of a line', () => {
  test('commas and semicolons part words, but not two digits', () => {
    expect(tokenize('needle ate, scratching; 2,1').map(({ text, comma }) => [text, comma])).toEqual([
      ['needle', false],
      ['ate', true],
      ['scratching', true],
      ['2,1', false],
    ])
  })

  test('every word stands where it says', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (line) => {
        for (const { text, from, to } of tokenize(line)) expect(line.slice(from, to)).toBe(text)
      }),
    )
  })

  test('a word is replaced in its place', () => {
    const line = 'quar cu 21 now'
    expect(replaceToken(line, tokenize(line)[2]!, '2.1')).toBe('quar cu 2.1 now')
  })
})

describe('figures', () => {
  const read = (text: string) => readFigure(text, tokenize(text)[0]!)

  test.each([
    ['2.1', { kind: 'value', value: 2.1, unit: '' }],
    ['.08', { kind: 'value', value: 0.08, unit: '' }],
    ['15L', { kind: 'value', value: 15, unit: 'l' }],
    ['20%', { kind: 'value', value: 20, unit: '%' }],
    ['<0.05', { kind: 'below', limit: 0.05, unit: '' }],
    ['>50mg/l', { kind: 'above', limit: 50, unit: 'mg/l' }],
    ['1-2', { kind: 'range', low: 1, high: 2, unit: '' }],
    ['1.5..2.5ppm', { kind: 'range', low: 1.5, high: 2.5, unit: 'ppm' }],
  ])('%s', (text, figure) => expect(read(text)).toEqual(figure))

  test('what is no number, below zero, or a range the wrong way round', () => {
    expect(read('high')).toBeNull()
    expect(read('-3')).toMatchObject({ stop: 'unclear' })
    expect(read('3-1')).toMatchObject({ stop: 'unclear', choices: [{ label: '1-3' }] })
  })

  test('a range turned into a unit that runs the other way stays a range', () => {
    expect(mapFigure({ kind: 'range', low: 1, high: 2, unit: '' }, (value) => -value)).toMatchObject({
      low: -2,
      high: -1,
    })
  })
})

test('whatever is typed, nothing is kept that the journal would not take', () => {
  const { record } = scribe()
  const journal = new Journal()
  journal.add(
    [
      bareTank('q', 'Quarantine'),
      bareTank('h', 'Hall reef'),
      arrival('n', 'q', 1, 1, 'Needle'),
      arrival('t', 'h', 1, 9),
    ].map((content) => record(content)),
  )
  const context = {
    journal,
    settings: { timeZone: 'UTC', units: METRIC, clock: zoneClock('UTC') },
    now: Date.parse('2026-11-23T18:30:00Z'),
  }
  const word = fc.constantFrom(
    'quar',
    'hall',
    'needle',
    'hawkfish',
    'cu',
    'no3',
    'tan',
    'sal',
    'temp',
    'change',
    'dose',
    'note',
    'to',
    'died',
    'ate',
    'and',
    'all',
    'yesterday',
    '21:00',
    'mon',
    '2h',
    'ago',
    '2.1',
    '2,1',
    '<1',
    '15L',
    '20%',
    '-4',
    '1-2',
    'N',
    'ppm',
    '9',
    'scratching',
    ',',
    'no',
    '18',
    'nov',
  )
  fc.assert(
    fc.property(fc.array(word, { maxLength: 8 }), (words) => {
      const back = readLine(words.join(' '), context)
      if (back.state === 'keep') {
        expect(back.contents.length).toBeGreaterThan(0)
        for (const content of back.contents) {
          expect(contentFault(content)).toBeNull()
          expect(Date.parse(content.happened)).toBeLessThanOrEqual(context.now)
        }
      }
      for (const { text } of 'choices' in back ? back.choices : []) expect(typeof text).toBe('string')
    }),
    { numRuns: 600 },
  )
})
