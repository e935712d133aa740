import fc from 'fast-check'
import { expectOk } from '../result/result.ts'
import { footprintCm2, tankVolume, volumeFromDose } from './volume.ts'

const cm = fc.double({ min: 1, max: 400, noNaN: true })

describe('net volume', () => {
  test('a half-round bow front is a box and half a disc', () => {
    const footprint = footprintCm2({ kind: 'bow-front', lengthCm: 80, widthCm: 30, bowCm: 40, heightCm: 50 })!
    expect(footprint).toBeCloseTo(80 * 30 + (Math.PI * 40 * 40) / 2, 6)
  })

  test('a flat bow’s short-cut meets the exact formula where it takes over', () => {
    const area = (bowCm: number) =>
      footprintCm2({ kind: 'bow-front', lengthCm: 100, widthCm: 10, bowCm, heightCm: 50 })! - 1000
    expect(area(0)).toBe(0)
    expect(area(0.0999999) / area(0.1000001)).toBeCloseTo(1, 5)
  })

  test('sand over the water line displaces only what is under it', () => {
    const shape = { kind: 'box', lengthCm: 50, widthCm: 20, heightCm: 30 } as const
    const { netL } = expectOk(tankVolume({ shape, waterHeightCm: 10, substrate: { depthCm: 25 } }))
    expect(netL).toBeCloseTo(10 * 0.4)
  })

  test('refusals: a water line over the rim, a bow too deep, sand or a water line where only litres are known', () => {
    const box = { kind: 'box', lengthCm: 50, widthCm: 20, heightCm: 30 } as const
    expect(tankVolume({ shape: box, waterHeightCm: 31 })).toMatchObject({ error: { path: '/waterHeightCm' } })
    expect(
      tankVolume({ shape: { kind: 'bow-front', lengthCm: 50, widthCm: 20, bowCm: 26, heightCm: 30 } }),
    ).toMatchObject({ error: { path: '/shape/bowCm' } })
    const known = { kind: 'known', litres: 40 } as const
    expect(tankVolume({ shape: known, waterHeightCm: 30 })).toMatchObject({ error: { code: 'invalid-input' } })
    expect(tankVolume({ shape: known, substrate: { depthCm: 2 } })).toMatchObject({ error: { code: 'invalid-input' } })
    expect(tankVolume({ shape: known, otherDisplacementL: 40 })).toMatchObject({ error: { code: 'no-solution' } })
  })

  test('laws: net = filled − displaced + sump; more rock never makes more water; filled never passes gross', () => {
    fc.assert(
      fc.property(
        cm,
        cm,
        cm,
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        fc.double({ min: 0.01, max: 500, noNaN: true }),
        (lengthCm, widthCm, heightCm, share, dryMassKg) => {
          const shape = { kind: 'box', lengthCm, widthCm, heightCm } as const
          const bare = expectOk(tankVolume({ shape, waterHeightCm: heightCm * share, sumpL: 1000 }))
          const rocky = tankVolume({ shape, waterHeightCm: heightCm * share, sumpL: 1000, rock: { dryMassKg } })
          expect(bare.netL).toBeCloseTo(bare.filledL - bare.displacedL + 1000, 6)
          expect(bare.filledL).toBeLessThanOrEqual(bare.grossL * (1 + 1e-12))
          if (rocky.ok) expect(rocky.value.netL).toBeLessThan(bare.netL)
        },
      ),
    )
  })
})

describe('net volume from a dose', () => {
  test('the spread grows with both kits’ and shrinks with a larger rise', () => {
    const of = (after: number, sd: number) =>
      expectOk(
        volumeFromDose({ massMg: 100, before: { mgPerL: 0, sdMgPerL: sd }, after: { mgPerL: after, sdMgPerL: sd } }),
      )
    expect(of(1, 0.1)).toEqual({ netL: 100, sdL: 100 * Math.hypot(0.1, 0.1) })
    expect(of(2, 0.1).sdL / of(2, 0.1).netL).toBeLessThan(of(1, 0.1).sdL / of(1, 0.1).netL)
  })

  test('without a rise there is no volume', () => {
    expect(
      volumeFromDose({ massMg: 100, before: { mgPerL: 2, sdMgPerL: 0 }, after: { mgPerL: 2, sdMgPerL: 0 } }),
    ).toMatchObject({ error: { code: 'no-solution' } })
  })
})
