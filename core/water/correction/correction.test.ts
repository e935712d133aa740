import { planChanges } from './lower.ts'
import { planRaise } from './raise.ts'
import { CORRECTION_SALTS, raiseCap, saltsFor } from './salts.ts'

const salt = (id: string) => CORRECTION_SALTS.find((one) => one.id === id)!
const raised = (input: Parameters<typeof planRaise>[0]) => {
  const plan = planRaise(input)
  if (!plan.ok) throw new Error(plan.error.message)
  return plan.value
}

describe('salts of the handbook', () => {
  test('all eleven are read with their steps and what they bring besides', () => {
    expect(CORRECTION_SALTS).toHaveLength(11)
    expect(salt('potassium-carbonate')).toMatchObject({
      parameter: 'k',
      gPer100LPerUnit: expect.closeTo(0.177, 3) as number,
      side: { parameter: 'alk-kh', perUnit: expect.closeTo(0.0716, 4) as number },
    })
    // Per mg/L and not per step.
    expect(salt('sodium-silicate-pentahydrate').side).toEqual({
      parameter: 'alk-kh',
      perUnit: expect.closeTo(0.0932, 4) as number,
    })
    expect(salt('potassium-nitrate').side).toEqual({
      parameter: 'k',
      perUnit: expect.closeTo(0.6306, 4) as number,
    })
    expect(salt('potassium-chloride').side).toBeNull()
    expect(saltsFor('alk-kh').map(({ id }) => id)).toEqual(['sodium-bicarbonate', 'sodium-carbonate'])
  })
  test('small-polyp corals halve alkalinity and hold nitrate, at any pace', () => {
    expect(raiseCap('alk-kh', 'usual', true)).toBe(0.5)
    expect(raiseCap('alk-kh', 'usual', false)).toBe(1)
    expect(raiseCap('no3', 'usual', true)).toBe(2)
    expect(raiseCap('k', 'usual', true)).toBe(20)
    expect(raiseCap('copper', 'usual', false)).toBeNull()
  })
})

describe('raising with a salt', () => {
  test('potassium by chloride, 350 to 400 in 300 L: five days of 10 mg/L, 5.72 g each', () => {
    const plan = raised({ salt: salt('potassium-chloride'), now: 350, target: 400, netL: 300 })
    expect(plan).toMatchObject({ days: 5, risePerDay: 10, capBy: 'own', portions: 4, side: null })
    // 1.907 g in 100 L for 10 mg/L: 74.548 g of the salt hold 39.098 g of potassium.
    expect(plan.gramsPerDay).toBeCloseTo(5.72, 3)
    expect(plan.gramsInAll).toBeCloseTo(28.6, 2)
    expect(plan.levels).toEqual([360, 370, 380, 390, 400])
  })
  test('by carbonate the smaller of both caps holds: 14 mg/L a day, with small-polyp corals 7', () => {
    const input = { salt: salt('potassium-carbonate'), now: 350, target: 400, netL: 300, pace: 'usual' as const }
    expect(raised(input)).toMatchObject({ days: 4, capBy: 'side', capPerDay: expect.closeTo(13.96, 2) as number })
    const tender = raised({ ...input, hasSmallPolyps: true, sideNow: 7.5 })
    expect(tender).toMatchObject({ days: 8, capPerDay: expect.closeTo(6.98, 2) as number })
    // 50 mg/L bring 3.58 dKH, from 7.5 on; half a degree a day wants two portions, a pump four.
    expect(tender.side!.inAll).toBeCloseTo(3.58, 2)
    expect(tender.side!.levels.at(-1)).toBeCloseTo(11.08, 2)
    expect(tender.portions).toBe(4)
  })
  test('what the tank takes up is dosed on top, and counts for the portions', () => {
    const plan = raised({
      salt: salt('sodium-bicarbonate'),
      now: 7,
      target: 8,
      netL: 100,
      pace: 'usual',
      uptakePerDay: 0.5,
    })
    expect(plan).toMatchObject({ days: 1, risePerDay: 1, portions: 6 })
    expect(plan.gramsPerDay).toBeCloseTo(4.5, 3)
    // What rises by itself is not taken off the dose.
    expect(
      raised({ salt: salt('sodium-bicarbonate'), now: 7, target: 8, netL: 100, pace: 'usual', uptakePerDay: -1 })
        .gramsPerDay,
    ).toBeCloseTo(3, 3)
  })
  test('a target under the level is no matter for a salt', () => {
    const plan = planRaise({ salt: salt('sodium-nitrate'), now: 5, target: 5, netL: 100 })
    expect(plan.ok ? null : plan.error.message).toMatch(/comes down with water changes/)
  })
})

describe('water changes to a target', () => {
  const plan = (input: Partial<Parameters<typeof planChanges>[0]>) =>
    planChanges({ parameter: 'no3', now: 40, target: 20, netL: 200, replacement: 0, maxFraction: 0.3, ...input })
  test('nitrate falls by 5 or a quarter a day, the smaller', () => {
    const changes = plan({})
    if (!changes.ok) throw new Error('no plan')
    expect(changes.value.map(({ reaches }) => reaches)).toEqual([35, 30, 25, 20])
    // 5 of 40: an eighth of 200 L.
    expect(changes.value[0]!.litres).toBeCloseTo(25, 9)
    const low = plan({ now: 8, target: 4 })
    expect(low.ok && low.value.map(({ reaches }) => Number(reaches.toFixed(3)))).toEqual([6, 4.5, 4])
  })
  test('without a cap the size of a change decides, and a change too large is cut', () => {
    const changes = plan({ parameter: 'k', now: 480, target: 420, replacement: 400, maxFraction: 0.5 })
    if (!changes.ok) throw new Error('no plan')
    expect(changes.value).toEqual([
      { day: 0, litres: 100, fraction: 0.5, reaches: 440 },
      { day: 1, litres: 100, fraction: 0.5, reaches: 420 },
    ])
  })
  test('new water can raise a level too', () => {
    const changes = plan({ parameter: 'k', now: 340, target: 360, replacement: 400, maxFraction: 0.2 })
    expect(changes.ok && changes.value.map(({ reaches }) => Number(reaches.toFixed(1)))).toEqual([352, 360])
    // Salinity by 1 ppt a day, however salty the new water.
    const salty = plan({ parameter: 'salinity', now: 32, target: 34.5, replacement: 38, maxFraction: 0.5 })
    expect(salty.ok && salty.value.map(({ reaches }) => Number(reaches.toFixed(2)))).toEqual([33, 34, 34.5])
  })
  test('water that cannot bring it there is said so, and so is a plan without an end', () => {
    expect(plan({ replacement: 30 })).toMatchObject({ ok: false, error: { code: 'no-solution' } })
    expect(plan({ parameter: 'k', now: 480, target: 401, replacement: 400, maxFraction: 0.01 })).toMatchObject({
      ok: false,
      error: { code: 'invalid-input' },
    })
  })
})
