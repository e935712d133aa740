import { packStock, packStockWords } from './pack-stock.ts'

test.each([
  [1.4, { packs: 2, stockMl: 200, useMl: 140, leftMl: 60 }],
  [0.375, { packs: 1, stockMl: 100, useMl: 37, leftMl: 63 }],
  [12.999, { packs: 13, stockMl: 1300, useMl: 1299, leftMl: 1 }],
])('%d packs by a stock', (packs, stock) => expect(packStock(packs)).toEqual(stock))

test.each([0, 3, -1, NaN, 1.9999999, 0.001])('%d packs need none, or cannot be measured so', (packs) =>
  expect(packStock(packs)).toBeNull(),
)

test('a sentence says what to make, what to use, what remains and how long it keeps', () =>
  expect(packStockWords(packStock(1.4)!)).toBe(
    'dissolve 2 packs in 200 mL of fresh water, use 140 mL; 60 mL remain and keep 24 h in the dark and cold, unless the label says otherwise',
  ))
