import fc from 'fast-check'
import { expectOk } from '../result/result.ts'
import { compareAmmonia, freeAmmonia, freeShare } from './ammonia.ts'

describe('free ammonia', () => {
  test('rises with pH and warmth, falls with salt', () => {
    expect(freeShare(8.2, 25, 35)).toBeGreaterThan(freeShare(8.0, 25, 35))
    expect(freeShare(8.0, 28, 35)).toBeGreaterThan(freeShare(8.0, 22, 35))
    expect(freeShare(8.0, 25, 0)).toBeGreaterThan(freeShare(8.0, 25, 35))
  })

  test('is never more than the total', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 14, noNaN: true }),
        fc.double({ min: -2, max: 40, noNaN: true }),
        (tanMgPerL, pH, temperatureC) => {
          const { freeMgPerL, fraction } = expectOk(freeAmmonia({ tanMgPerL, pH, temperatureC, salinityPsu: 35 }))
          expect(freeMgPerL).toBeLessThanOrEqual(tanMgPerL)
          expect(fraction).toBeGreaterThan(0)
        },
      ),
    )
  })
})

describe('kit and card', () => {
  const at = (low: number, high: number, sd = 0) =>
    expectOk(
      compareAmmonia({
        kit: { tanMgPerL: 1, sdMgPerL: sd },
        indicator: { lowMgPerL: low, highMgPerL: high },
        pH: 8,
        temperatureC: 25,
        salinityPsu: 35,
      }),
    )
  const share = freeShare(8, 25, 35)

  test('ranges that touch agree', () => {
    expect(at(share, 0.2).verdict).toBe('agree')
    expect(at(0, share).verdict).toBe('agree')
    expect(at(0, share * 0.999).verdict).toBe('indicator-low')
    expect(at(share * 1.001, 0.2).verdict).toBe('indicator-high')
  })

  test('a card range the wrong way round is refused', () => {
    expect(
      compareAmmonia({
        kit: { tanMgPerL: 1, sdMgPerL: 0 },
        indicator: { lowMgPerL: 0.2, highMgPerL: 0.1 },
        pH: 8,
        temperatureC: 25,
        salinityPsu: 35,
      }),
    ).toMatchObject({
      error: { path: '/indicator/lowMgPerL' },
    })
  })

  test('the kit’s range is not under zero', () => {
    expect(at(0, 0.01, 2).fromMgPerL).toBe(0)
  })
})
