import { comesAlong } from './comes-along.ts'

const of = (ingredient: string, mgPerL: number) =>
  comesAlong(ingredient, mgPerL).map(({ name, value, unit }) => [name, Number(value.toPrecision(3)), unit])

test.each([
  ['potassium-carbonate', 5.586, [['alkalinity', 0.4, 'dKH']]],
  ['potassium-nitrate', 10, [['potassium', 6.31, 'mg/L']]],
  ['sodium-bicarbonate', 30, [['sodium', 8.21, 'mg/L']]],
  ['sodium-nitrate', 5, [['sodium', 1.85, 'mg/L']]],
  [
    'sodium-silicate-pentahydrate',
    1,
    [
      ['alkalinity', 0.0932, 'dKH'],
      ['sodium', 0.765, 'mg/L'],
    ],
  ],
  ['magnesium-chloride-hexahydrate', 10, []],
  ['praziquantel', 2, []],
] as const)('%s at %d mg/L brings along %j', (ingredient, mgPerL, along) =>
  expect(of(ingredient, mgPerL)).toEqual(along),
)

test('what a salt is dosed for is left out, whatever its own name says', () =>
  expect(comesAlong('kalk', 5, 'alk-kh').map(({ name }) => name)).toEqual(['calcium']))
