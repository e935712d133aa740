import { DEFAULT_SETTINGS } from '../household/settings.ts'
import { sessionCap, tierOf } from '../courses/amounts/planned-session.ts'
import type { BenchStart } from './occasions.ts'
import { amountOf, sessionLimit } from './amounts.ts'
import { amountInput, doneTooRecently, missingFigures, overLimit, recordsOf, refusalOf, spentOf } from './refusals.ts'
import { now, part, session } from './testing.ts'

const { units } = DEFAULT_SETTINGS
const water = (minute: number, netL: number | null = 50, of = units) => ({ netL, units: of, now: now(minute) })
const ml = (value: number) => [{ id: 'ml', value }]

describe('a wrong order, too much and too soon', () => {
  test('are refused, with what to do', () => {
    const it = session('peroxide-spot', { partIds: ['A', 'B'] })
    expect(refusalOf(it.run(), it.find('still'), [], water(0))).toEqual({
      words: 'First: Gloves and goggles on. The order keeps animals safe.',
      passes: null,
    })
    it.prepare(1)
    // 50 L bear 1.3 mL.
    expect(refusalOf(it.run(), it.find('spot', 'A'), ml(1.3), water(2))).toBeNull()
    it.mark(2, 'spot', 'done', { partId: 'A', values: ml(0.9) })
    expect(refusalOf(it.run(), it.find('spot', 'B'), ml(0.5), water(3))).toMatchObject({
      words: expect.stringMatching(/^1\.4 mL is over the 1\.3 mL of 3 % peroxide/) as string,
      passes: null,
    })
    it.mark(3, 'spot', 'skipped', { partId: 'B', why: 'cap reached' })
    expect(it.find('spot', 'B')).toMatchObject({ state: 'skipped', why: 'cap reached' })
    it.mark(4, 'still', 'begun')
    expect(refusalOf(it.run(), it.find('still'), [], water(14))).toEqual({
      words: '5 min too early: it works for 15 min at least.',
      passes: 'reason',
    })
    expect(refusalOf(it.run(), it.find('still'), [], water(19))).toBeNull()
  })

  test('without a net volume nothing may be dosed', () => {
    const it = session('peroxide-spot', { partIds: ['A'] })
    it.prepare(1)
    expect(refusalOf(it.run(), it.find('spot', 'A'), ml(0.1), water(2, null))).toMatchObject({ passes: null })
  })
})

describe('a cold tub', () => {
  const cold = (celsius: number, of = units) => {
    const it = session('bubble-rock', { partIds: ['A'], figures: [{ id: 'tubL', value: 4 }] })
    it.mark(0, 'before-wear')
    return refusalOf(it.run(), it.find('before-tubs'), [{ id: 'tubC', value: celsius }], water(1, 50, of))
  }
  test('of 15 °C stops it before anything is lifted', () => {
    expect(cold(15)).toEqual({
      words:
        '15 °C, the tub: under 24 °C. Corals suffer in a cold tub: heater or a fresh warm pack first, and nothing comes out of the tank until it is warm.',
      passes: null,
    })
    expect(cold(24)).toBeNull()
    expect(cold(31)?.words).toMatch(/over 29 °C/)
  })
  test('is said in the household’s degrees', () => {
    expect(cold(15, { ...units, temperature: 'F' })?.words).toMatch(/^59 °F, the tub: under 75\.2 °F/)
  })
  test('and its temperature cannot be left out', () => {
    const it = session('bubble-rock', { partIds: ['A'] })
    expect(missingFigures(it.find('before-tubs'), []).map(({ id }) => id)).toEqual(['tubC'])
    expect(missingFigures(it.find('before-tubs'), [{ id: 'tubC', value: 25 }])).toEqual([])
    // What a count begins at, and what may be left out, is not missing.
    expect(missingFigures(it.find('pick', 'A'), [])).toEqual([])
  })
})

test('a freshwater dip within a degree and 0.2 of the tank’s pH', () => {
  const it = session('dip-freshwater', { animalIds: ['tang'] })
  const refused = (tubC: number, tubPh: number) =>
    refusalOf(
      it.run(),
      it.find('before-water'),
      [
        { id: 'tankC', value: 25.4 },
        { id: 'tubC', value: tubC },
        { id: 'tankPh', value: 8.1 },
        { id: 'tubPh', value: tubPh },
      ],
      water(0),
    )?.words
  expect(refused(25, 8)).toBeUndefined()
  expect(refused(23, 8)).toMatch(/^23 °C, the tub: 2\.4 °C apart\. Bring the tub within a degree/)
  expect(refused(25, 7.5)).toMatch(/^7\.5 pH, pH of the tub: 0\.6 pH apart\. Match the pH/)
})

test('minutes in air past the limit are said with what to do', () => {
  const it = session('anemone-rock', { partIds: ['A'] })
  it.prepare(0)
  it.mark(1, 'lift', 'done', { partId: 'A' })
  const name = (id: string) => `rock ${id}`
  expect(overLimit(it.run(), now(15), name)).toEqual([])
  expect(overLimit(it.run(), now(18), name)).toEqual([
    'rock A: 17 min, out of the water: over the 15 min. Now: Back into the tank.',
  ])
})

test('a leather coral is not dripped on again within seven days', () => {
  const it = session('leather-drip', { partIds: ['leather'] }, [part('leather', 'coral')])
  const again = (minute: number, id = 'leather') => doneTooRecently(it.journal(), it.run().procedure, [id], now(minute))
  // Begun, and nothing done yet.
  expect(again(60)).toBeNull()
  it.prepare(1)
  it.mark(2, 'lift', 'done', { partId: 'leather' })
  expect(again(60)).toEqual({ at: now(0), againAt: now(7 * 24 * 60) })
  expect(again(7 * 24 * 60)).toBeNull()
  expect(again(60, 'another')).toBeNull()
})

test('each rock has a tub of its own, each leather coral its own drip', () => {
  const it = session('peroxide-bench', { partIds: ['A', 'B'], figures: [{ id: 'tubL', value: 2 }] })
  it.prepare(1)
  it.mark(2, 'lift', 'done', { partId: 'A' })
  const step = it.run().procedure.steps.find(({ records }) => records?.some(({ id }) => id === 'ml'))!.id
  const over = (partId: string, value: number) =>
    refusalOf(it.run(), it.find(step, partId), ml(value), water(3))?.words.includes('is over') ?? false
  expect(over('A', 2.1)).toBe(true)
  it.mark(2, step, 'done', { partId: 'A', values: ml(2) })
  const { totals, occasions } = it.run()
  expect(totals.get('ml')).toBe(2)
  const [record, limit] = [recordsOf(it.find(step, 'B'))[0]!, { per: 'subject' as const }]
  expect(spentOf({ totals, occasions }, record, limit, 'A')).toBe(2)
  expect(spentOf({ totals, occasions }, record, limit, 'B')).toBe(0)
  expect(spentOf({ totals, occasions }, record, { per: 'session' }, 'B')).toBe(2)
})

describe('amounts', () => {
  const input = (procedure: string, start: object = {}, netL: number | null = 100, totals: [string, number][] = []) => {
    const run = session(procedure, start).run()
    return amountInput({ ...run, totals: new Map(totals) }, netL)
  }
  test('caps of peroxide by tier, rounded down: further-schools.md 4', () => {
    const most = (procedure: string, tier: string) =>
      sessionLimit('peroxide-by-tier', input(procedure, { choices: [{ id: 'tier', option: tier }] })).most
    expect(most('peroxide-spot', 'spot')).toBe(2.6)
    // 1.6 mg/L × 100 L ÷ 30.28 mg/mL = 5.28.
    expect(most('peroxide-spot', 'spot-changed')).toBe(5.2)
    expect(most('cyano-peroxide', 'bare-tank')).toBe(26)
    expect(sessionLimit('peroxide-by-tier', input('peroxide-spot', {}, null)).most).toBe(0)
  })
  test('2 mL in a tub of 2 L; 2 mL on a leather coral; half a gram of paste in 100 L', () => {
    const tub = input('peroxide-bench', { figures: [{ id: 'tubL', value: 2 }] })
    expect(sessionLimit('peroxide-in-tub', tub).most).toBe(2)
    expect(sessionLimit('leather-drip', tub).most).toBe(2)
    expect(sessionLimit('kalk-paste', input('anemone-rock', {}, 300)).most).toBeCloseTo(1.5, 9)
  })
  test('salt: litres × psu × 1.03', () => {
    const salt = amountOf(
      'salt',
      input('mix-water', {
        figures: [
          { id: 'litres', value: 20 },
          { id: 'psu', value: 35 },
        ],
      }),
    )
    expect(salt).toMatchObject({ value: 721, unit: 'g' })
    expect(amountOf('salt', input('mix-water'))).toBeNull()
  })
  test('four fills of the tub are mixed before a rock is lifted', () => {
    expect(amountOf('tub-water', input('bubble-rock', { figures: [{ id: 'tubL', value: 4 }] }))).toMatchObject({
      value: 16,
    })
  })
  test('with the salt for it, where the tank’s salinity is known', () => {
    const tub = { ...input('bubble-rock', { figures: [{ id: 'tubL', value: 4 }] }), psu: 35 }
    expect(amountOf('tub-water', tub)!.words).toMatch(/with 577 g of salt; the refractometer decides/)
  })
  test('the change after the second tier brings what was used under 0.79 mg/L', () => {
    const changed = { choices: [{ id: 'tier', option: 'spot-changed' }] }
    // 5.2 mL × 30.28 mg/mL in 100 L is 1.575 mg/L: 1 − 0.79/1.575 = 0.498 of 100 L.
    expect(amountOf('tier-change', input('peroxide-spot', changed, 100, [['ml', 5.2]]))!.value).toBeCloseTo(49.8, 1)
    expect(amountOf('tier-change', input('peroxide-spot', changed, 100, [['ml', 2]]))).toBeNull()
    expect(amountOf('tier-change', input('peroxide-spot', {}, 100, [['ml', 2.6]]))).toBeNull()
  })
  test('the session’s cap is the card’s, by the bottle and its syringe, never up; a stronger bottle is diluted first', () => {
    const capOf = (bottle: NonNullable<BenchStart['bottle']> | undefined, netL: number) => {
      const { most, words } = sessionLimit('peroxide-by-tier', input('peroxide-spot', bottle && { bottle }, netL))
      const card = sessionCap(
        tierOf('animals-in'),
        netL,
        bottle
          ? {
              id: 'p',
              unit: 'mL',
              mgPerUnit: bottle.mgPerMl,
              measure: bottle.step === undefined ? null : { tool: 'syringe', step: bottle.step },
            }
          : null,
      )
      return { most, words, card: card.amount }
    }
    const three = { name: 'peroxide', mgPerMl: 30, step: 0.5 }
    expect(capOf(three, 400)).toMatchObject({ most: 10.5, card: 10.5 })
    expect(capOf({ ...three, step: 0.1 }, 44)).toMatchObject({ most: 1.1, card: 1.1 })
    expect(capOf({ name: 'peroxide', mgPerMl: 30 }, 400)).toMatchObject({ most: 10, card: 10 })
    expect(capOf({ name: 'strong', mgPerMl: 61, step: 0.1 }, 100)).toMatchObject({
      most: 2.6,
      card: 1.2,
      words: expect.stringMatching(/1.2 mL of strong diluted to it/) as string,
    })
    expect(capOf({ name: 'weak', mgPerMl: 10, step: 0.1 }, 100)).toMatchObject({
      most: 2.6,
      card: 7.9,
      words: expect.stringMatching(/7.9 mL of weak hold as much/) as string,
    })
    expect(capOf(undefined, 100)).toMatchObject({ most: 2.6, card: null })
  })
  test('a redose is the replaced half, or all of it', () => {
    const measuredOut = { ingredient: 'fenbendazole', amount: 0.25, unit: 'g' as const, massMg: 55 }
    const redose = (option: string) =>
      amountOf('redose', input('planaria-half-change', { measuredOut, choices: [{ id: 'redose', option }] }))
    expect(redose('replaced')).toMatchObject({ value: 0.25, words: 'for the replaced half' })
    expect(redose('full')).toMatchObject({ value: 0.25, words: 'in full' })
    // A third changed instead of a half, 0.1667 g: down to the scale's step.
    const changed = (litres: number, option = 'replaced') =>
      amountOf(
        'redose',
        input(
          'planaria-half-change',
          { measuredOut: { ...measuredOut, step: 0.01 }, choices: [{ id: 'redose', option }] },
          54,
          [['changedL', litres]],
        ),
      )
    expect(changed(18)).toMatchObject({ value: 0.16, words: 'for what was really changed' })
    expect(changed(27)).toMatchObject({ value: 0.25 })
    expect(changed(18, 'full')).toMatchObject({ value: 0.25, words: 'in full' })
    expect(amountOf('half-change', input('planaria-half-change', {}, 54))).toMatchObject({ value: 27, unit: 'L' })
  })
})
