import fc from 'fast-check'
import { expectOk } from '../result/result.ts'
import { changeSequence } from './water-change.ts'

const share = fc.double({ min: 0, max: 1, noNaN: true })

test('two halves leave a quarter, not nothing', () => {
  expect(expectOk(changeSequence({ startMgPerL: 8, fractions: [0.5, 0.5] }))).toEqual({
    afterEach: [4, 2],
    remainingFraction: 0.25,
  })
})

test('a sequence is its product: what is left is the share left of the difference to the new water', () => {
  fc.assert(
    fc.property(
      fc.array(share, { maxLength: 30 }),
      fc.double({ min: 0, max: 500, noNaN: true }),
      fc.double({ min: 0, max: 500, noNaN: true }),
      (fractions, start, replacement) => {
        const { afterEach, remainingFraction } = expectOk(
          changeSequence({ startMgPerL: start, replacementMgPerL: replacement, fractions }),
        )
        expect(afterEach).toHaveLength(fractions.length)
        if (fractions.length > 0)
          expect(afterEach.at(-1)).toBeCloseTo(replacement + (start - replacement) * remainingFraction, 6)
      },
    ),
  )
})

test('the order of the changes does not matter to where they end', () => {
  fc.assert(
    fc.property(fc.array(share, { minLength: 1, maxLength: 10 }), (fractions) => {
      const end = (list: number[]) =>
        expectOk(changeSequence({ startMgPerL: 10, replacementMgPerL: 3, fractions: list })).afterEach.at(-1)!
      expect(end([...fractions].reverse())).toBeCloseTo(end(fractions), 8)
    }),
  )
})
