import type { Content } from '../../journal/entry.ts'
import { runOperation } from '../../operations/run.ts'
import { lifeModelOf } from '../../catalogue/treatments/treatments.ts'
import { quarantine, type Quarantine } from '../testing/schools.ts'
import { alkalinityOutlook, fallowCurve, priceOfWaiting } from './fallow-price.ts'
import { fishlessRisk, usualSlowShare } from './fishless-risk.ts'

/** The fish left on day 0: the days count from the midnight after. */
function fallow(extra: readonly Content[] = []): Quarantine {
  const it = quarantine({ definition: 'fallow-76', start: { animalIds: [] } })
  for (const animalId of ['cobalt', 'ash'])
    it.write({ kind: 'move', ...it.at(0, '10:00'), animalId, fromTankId: 'quar', toTankId: 'obs' })
  for (const content of extra) it.write(content)
  return it
}
const prices = (it: Quarantine, day: number, shares = {}) =>
  priceOfWaiting(it.journal, it.plan(day, '12:00'), it.settings.clock, shares)

test('today and the longer waits side by side, each on its midnight', () => {
  const it = fallow()
  const rows = prices(it, 31)
  expect(rows.map(({ days, at }) => [days, it.wall(at)])).toEqual([
    [30, null],
    [45, '46 00:00'],
    [60, '61 00:00'],
    [76, '77 00:00'],
  ])
})

test('each risk is what fallow.risk answers on the command line, and the printed figures of the handbook', () => {
  const it = fallow()
  const model = lifeModelOf('marine-ich')!.fallow
  for (const { days, risks } of prices(it, 10)) {
    const asked = runOperation('fallow.risk', { ...model, days })
    expect(asked.ok && asked.value.risk).toBe(risks.find(({ parasite }) => parasite === 'marine-ich')!.risk)
  }
  // quarantine.md 7.5: about 16 % at 30 d, 5 % at 45, 0.1 % at 76.
  const share = usualSlowShare('marine-ich')
  expect(fishlessRisk('marine-ich', 30, share)).toBeCloseTo(0.16, 2)
  expect(fishlessRisk('marine-ich', 45, share)).toBeCloseTo(0.05, 2)
  expect(fishlessRisk('marine-ich', 76, share)).toBeCloseTo(0.001, 3)
})

test('the keeper’s word on the slow strain moves the curve, and only there', () => {
  const at = (share: number) => fallowCurve('marine-ich', share, 90)[45]!.risk
  expect(at(0)).toBeLessThan(0.01)
  expect(at(0.2)).toBeCloseTo(0.2, 1)
  expect(at(0.1)).toBeGreaterThan(at(0.05))
  expect(fishlessRisk('uronema', 45, 0.05)).toBeNull()
  const it = fallow()
  expect(prices(it, 40, { 'marine-ich': 0.3 })[1]!.risks[0]!.risk).toBeGreaterThan(prices(it, 40)[1]!.risks[0]!.risk)
})

test('alkalinity goes on along its line, and its crossing of the band is dated', () => {
  const it = fallow()
  for (const [day, value] of [
    [1, 9],
    [6, 8.5],
    [11, 8],
  ] as const)
    it.reading(day, '12:00', 'alk-kh', value)
  const outlook = alkalinityOutlook(it.journal, 'quar', it.ms(11, '12:00'))!
  expect(outlook).toMatchObject({ bandLow: 7 })
  expect(outlook.perDay).toBeCloseTo(-0.1, 9)
  expect(it.wall(outlook.crossesAt)).toBe('21 12:00')
  const [today, thirty] = prices(it, 11)
  expect(today).toMatchObject({ isUnderBand: false })
  expect(today!.alkalinity).toBeCloseTo(8, 9)
  // The midnight of day 31 is nineteen and a half days ahead.
  expect(thirty!.alkalinity).toBeCloseTo(8 - 1.95, 6)
  expect(thirty!.isUnderBand).toBe(true)
})

test('two readings are no line, and a rising one crosses nothing', () => {
  const it = fallow()
  it.reading(1, '12:00', 'alk-kh', 8)
  it.reading(2, '12:00', 'alk-kh', 8.1)
  expect(alkalinityOutlook(it.journal, 'quar', it.ms(3, '12:00'))).toBeNull()
  it.reading(3, '12:00', 'alk-kh', 8.2)
  expect(alkalinityOutlook(it.journal, 'quar', it.ms(3, '12:00'))!.crossesAt).toBeNull()
  expect(prices(fallow(), 5)[0]!.alkalinity).toBeNull()
})

test('a measured edge is carried on; the worst one counts', () => {
  const it = fallow()
  for (const partId of ['a', 'b'])
    it.write({ kind: 'part-setup', ...it.at(0, '08:00'), partId, tankId: 'quar', what: 'coral', name: partId })
  const edge = (day: number, a: number, b: number) =>
    it.write({
      kind: 'count',
      ...it.at(day, '12:00'),
      tankId: 'quar',
      measure: 'edge-mm',
      parts: [
        { partId: 'a', value: a },
        { partId: 'b', value: b },
      ],
    })
  edge(1, 0, 0)
  edge(11, 2, 5)
  expect(prices(it, 11)[1]!.recessionMm).toBeCloseTo(0.5 * 19.5, 6)
  expect(prices(it, 11)[0]!.recessionMm).toBe(0)
})
