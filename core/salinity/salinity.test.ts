import fc from 'fast-check'
import { expectOk } from '../result/result.ts'
import { convertSalinity, swapSalinity } from './salinity.ts'
import { seawaterDensity } from './seawater.ts'

describe('sea water', () => {
  test('the check values of EOS-80', () => {
    expect(seawaterDensity(35, 5)).toBeCloseTo(1027.67547, 4)
    expect(seawaterDensity(35, 25)).toBeCloseTo(1023.34306, 4)
    expect(seawaterDensity(0, 5)).toBeCloseTo(999.96675, 4)
  })

  test('from salinity to gravity and back is where one began', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        (psu, temperatureC, referenceC) => {
          const { sg } = expectOk(convertSalinity({ value: psu, unit: 'psu', temperatureC, referenceC }))
          expect(expectOk(convertSalinity({ value: sg, unit: 'sg', temperatureC, referenceC })).psu).toBeCloseTo(psu, 6)
        },
      ),
    )
  })

  test('a gravity that no salinity has at these temperatures is refused, with what would be possible', () => {
    expect(convertSalinity({ value: 1.2, unit: 'sg' })).toMatchObject({
      error: { path: '/value', message: expect.stringContaining('1.0000') },
    })
    expect(convertSalinity({ value: 0.99, unit: 'sg' })).toMatchObject({ ok: false })
    expect(convertSalinity({ value: -0.1, unit: 'psu' })).toMatchObject({ ok: false })
  })
})

describe('salinity swaps', () => {
  test('swapping by the plan arrives at the target, by steps no larger than allowed', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 45, noNaN: true }),
        fc.double({ min: 5, max: 45, noNaN: true }),
        fc.double({ min: 0.3, max: 5, noNaN: true }),
        (fromPsu, toPsu, maxStepPsu) => {
          const replacementPsu = toPsu < fromPsu ? 0 : 50
          const { steps, totalL } = expectOk(
            swapSalinity({ volumeL: 100, fromPsu, toPsu, replacementPsu, maxStepPsu, hoursBetween: 12 }),
          )
          let psu = fromPsu
          for (const step of steps) {
            const after = psu + ((replacementPsu - psu) * step.replaceL) / 100
            expect(Math.abs(after - psu)).toBeLessThanOrEqual(maxStepPsu + 1e-8)
            expect(after).toBeCloseTo(step.psu, 8)
            psu = after
          }
          expect(psu).toBeCloseTo(toPsu, 8)
          expect(totalL).toBeCloseTo(
            steps.reduce((sum, step) => sum + step.replaceL, 0),
            8,
          )
        },
      ),
    )
  })

  test('nothing to do is no steps; the wrong water is no solution; a million steps are refused', () => {
    const swap = (fromPsu: number, toPsu: number, replacementPsu: number, maxStepPsu = 1) =>
      swapSalinity({ volumeL: 100, fromPsu, toPsu, replacementPsu, maxStepPsu, hoursBetween: 12 })
    expect(swap(35, 35, 0)).toEqual({ ok: true, value: { steps: [], totalL: 0 } })
    expect(swap(35, 20, 20)).toMatchObject({ ok: true })
    expect(swap(35, 20, 21)).toMatchObject({ error: { code: 'no-solution' } })
    expect(swap(35, 36, 35)).toMatchObject({ error: { code: 'no-solution' } })
    expect(swap(35, 0, 0, 1e-9)).toMatchObject({ error: { code: 'invalid-input', path: '/maxStepPsu' } })
  })
})
