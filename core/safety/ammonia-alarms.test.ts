import { ammoniaAlarms } from './ammonia-alarms.ts'
import { dose, journalOf, lives, NOW, reads, type Doing } from './testing/house.ts'

const FISH = [-900, lives('quar', 'hawkfish')] as const
const alarmed = (...before: (readonly [number, Doing])[]) =>
  ammoniaAlarms(journalOf([FISH, ...before]), NOW).map(({ tank, says }) => [tank.id, says])
const nh4 = (result: Parameters<typeof reads>[2]) => reads('quar', 'tan', result, { basis: 'NH4' })

test.each<[string, readonly [number, Doing][], string[][]]>([
  ['none tested', [], []],
  ['0.1', [[-5, nh4(0.1)]], []],
  ['0.25', [[-5, nh4(0.25)]], [['quar', 'Total ammonia 0.25 mg/L']]],
  [
    '0.2 as nitrogen is 0.26',
    [[-5, reads('quar', 'tan', 0.2, { basis: 'N' })]],
    [['quar', 'Total ammonia 0.20 mg/L as N']],
  ],
  ['“> 2”', [[-5, nh4({ kind: 'above', limit: 2 })]], [['quar', 'Total ammonia > 2.00 mg/L']]],
  ['“< 0.5”, which leaves it open', [[-5, nh4({ kind: 'below', limit: 0.5 })]], []],
  ['0.5–1', [[-5, nh4({ kind: 'range', low: 0.5, high: 1 })]], [['quar', 'Total ammonia 0.50–1.00 mg/L']]],
  ['free 0.05', [[-5, reads('quar', 'nh3', 0.05)]], [['quar', 'Free ammonia 0.050 mg/L']]],
  [
    'both',
    [
      [-5, nh4(0.5)],
      [-5, reads('quar', 'nh3', 0.05)],
    ],
    [['quar', 'Total ammonia 0.50 mg/L, free ammonia 0.050 mg/L']],
  ],
  [
    'tested again and fallen',
    [
      [-5, nh4(0.5)],
      [-1, nh4(0.1)],
    ],
    [],
  ],
  ['four days old and not tested since', [[-96, nh4(0.5)]], [['quar', 'Total ammonia 0.50 mg/L']]],
  ['nine days old', [[-216, nh4(0.5)]], []],
  ['in a tank without animals', [[-5, reads('reef', 'tan', 0.5, { basis: 'NH4' })]], []],
])('%s', (_, before, expected) => {
  expect(alarmed(...before)).toEqual(expected)
})

test('what to do has the litres of the tank; with copper in it no binder', () => {
  const steps = (...before: (readonly [number, Doing])[]) =>
    ammoniaAlarms(journalOf([FISH, [-5, nh4(0.5)], ...before]), NOW)[0]!.steps.join(' ')
  expect(steps()).toMatch(/Air.*Change 30–50 % of the water \(\d+ L to \d+ L\).*Feed nothing/)
  expect(steps([-20, dose('quar', 'cu-chelated', 200)])).toMatch(/Feed nothing today\. No ammonia binder/)
})
