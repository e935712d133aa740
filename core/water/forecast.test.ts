import { parameterById } from '../catalogue/parameter.ts'
import { tankById } from '../household/tanks.ts'
import type { Content } from '../journal/entry.ts'
import { METRIC } from '../household/settings.ts'
import { expectedReading } from '../readings/expected.ts'
import { zoneClock } from '../time/zone.ts'
import { correctionStart, floorOf } from './correction/situation.ts'
import { reachedAt } from './forecast.ts'
import { labFigure, mendWords, shareWords } from './lab/words.ts'
import { judgeLab, labResultsOf } from './lab/judge.ts'
import { sayPrediction } from './prediction-words.ts'
import { ms, on, reef } from './testing.ts'

const at = (day: number) => ({ ...on(day), tankId: 'hall' })
const no3 = parameterById('no3')!
const reading = (day: number, value: number): Content => ({
  kind: 'reading',
  ...at(day),
  parameter: 'no3',
  result: { kind: 'value', value },
  unit: 'mg/L',
  uncertainty: 1,
})

describe('a target by itself', () => {
  const rising = reef(...[0, 2, 4, 6, 8].map((day) => reading(day, 2 + 0.5 * day)))
  test('is reached at the pace of the last tests', () => {
    // 6 on day 8, half a mg a day: 8 on day 12.
    expect(reachedAt(rising, 'hall', no3, 8, ms(8))).toBe(ms(12))
  })
  test('not where it moves away, is steady, or takes too long', () => {
    expect(reachedAt(rising, 'hall', no3, 1, ms(8))).toBeNull()
    expect(reachedAt(rising, 'hall', no3, 90, ms(8))).toBeNull()
    expect(reachedAt(reef(...[0, 2, 4].map((day) => reading(day, 5 + day / 100))), 'hall', no3, 6, ms(8))).toBeNull()
  })
})

test('while dinoflagellates are confirmed the floors are higher, S16', () => {
  const opened: Content = {
    kind: 'case-start',
    ...at(-3),
    caseId: 'k',
    animalIds: [],
    table: 'marine-film',
  }
  const confirmed: Content = {
    kind: 'case-mark',
    ...at(-2),
    caseId: 'k',
    mark: 'confirmed',
    cause: 'dino-prorocentrum',
  }
  const ended: Content = { kind: 'case-end', ...at(-1), caseId: 'k', outcome: 'healed' }
  expect(floorOf(reef(), 'hall', 'no3')).toBe(2)
  expect(floorOf(reef(opened, confirmed), 'hall', 'no3')).toBe(5)
  expect(floorOf(reef(opened, confirmed), 'hall', 'po4')).toBe(0.05)
  expect(floorOf(reef(opened, confirmed, ended), 'hall', 'no3')).toBe(2)
  expect(floorOf(reef(), 'hall', 'ca')).toBeNull()
  expect(correctionStart(reef(opened, confirmed, reading(-1, 1)), tankById(reef(), 'hall')!, no3, ms(0))).toMatchObject(
    {
      floor: 5,
      middle: 12.5,
      netL: 200,
      hasSmallPolyps: false,
      newWater: { value: 0, isTested: false },
      last: { value: 1 },
    },
  )
})

test('what is expected after a change stands in a sentence', () => {
  const settings = { timeZone: 'UTC', units: METRIC, clock: zoneClock('UTC') }
  const water: Content = {
    kind: 'new-water',
    happened: at(0.1).happened,
    litres: 50,
    readings: [{ parameter: 'no3', value: 0 }],
  }
  const journal = reef(reading(0, 20), water, { kind: 'water-change', ...at(0.5), litres: 50 })
  expect(sayPrediction(expectedReading(journal, 'hall', 'no3', ms(1))!, no3, settings, ms(1))).toBe(
    '15.0 mg/L expected: 20.0 mg/L yesterday, one water change since.',
  )
  expect(sayPrediction(expectedReading(reef(reading(0, 20)), 'hall', 'no3', ms(1))!, no3, settings, ms(1))).toBeNull()
})

test('a lab’s figures in words', () => {
  expect([labFigure(1310), labFigure(0.014), labFigure(8.1), labFigure(0)]).toEqual([
    '1310 mg/L',
    '14 µg/L',
    '8.1 mg/L',
    '0 mg/L',
  ])
  const result: Content = {
    kind: 'lab-result',
    ...at(0),
    results: [
      { element: 'k', mgPerL: 352 },
      { element: 'sr', mgPerL: 4 },
      { element: 'cu', mgPerL: 0.02 },
      { element: 'sn' },
      { element: 'br' },
      { element: 'na', mgPerL: 14_000 },
    ],
  }
  const journal = reef(result)
  const judged = judgeLab(journal, tankById(journal, 'hall')!, labResultsOf(journal, 'hall')[0]!)
  const said = Object.fromEntries(
    judged.elements.map((one) => [one.element.id, [one.state, shareWords(one), mendWords(one)]]),
  )
  expect(judged.isSalinityKnown).toBe(false)
  expect(said).toMatchObject({
    k: ['low', 'under the band of this kind of tank', null],
    sr: ['low', '51 % under sea water', expect.stringMatching(/^Do not dose it by guess/)],
    cu: ['high', '100 × sea water', expect.stringMatching(/^Look for its source: brass/)],
    sn: ['not-found', 'not found', null],
    // A salt of sea water that is not found at all is low.
    br: ['low', 'not found: sea water holds it', expect.anything()],
    na: ['high', '27 % over sea water', 'Stop what brings it, and change water.'],
  })
})
