import { measureOut, needsOf } from '../bench/begin.ts'
import { answerFor } from '../calculators/testing.ts'
import { coralDipById } from '../catalogue/corals/coral-dips.data.ts'
import { ingredientById, INGREDIENTS } from '../catalogue/ingredient.ts'
import { PROCEDURES } from '../catalogue/procedures/procedures.ts'
import { doseById } from '../catalogue/treatments/treatments.ts'
import { doseToLevel } from '../courses/amounts/planned-dose.ts'
import { METRIC } from '../household/settings.ts'
import { productById, type ShelfProduct } from '../household/shelf.ts'
import { recountedDoses } from '../household/recounted.ts'
import { tankById } from '../household/tanks.ts'
import type { Content } from '../journal/entry.ts'
import { arrival } from '../journal/testing.ts'
import { readLine } from '../logline/read.ts'
import { tokenize } from '../logline/tokens.ts'
import { isStop } from '../logline/types.ts'
import { readDose } from '../logline/water.ts'
import { raisedBy } from '../readings/raises.ts'
import { balanceEvents } from '../water/balance.ts'
import { planRaise } from '../water/correction/raise.ts'
import { zoneClock } from '../time/zone.ts'
import { CORRECTION_SALTS } from '../water/correction/salts.ts'
import { ms, on, reef } from '../water/testing.ts'
import { countedMassMg } from './counted-mass.ts'
import { measuredDown } from './measured-down.ts'
import { mgPerUnit } from './product.ts'
import { productValues, readProduct, strengthsFor, type ProductForm, type ProductValues } from './product-form.ts'
import type { Stated } from '../catalogue/usual-strengths.data.ts'
import { unitInWater } from './unit-in-water.ts'

/** g/mol, worked out by hand from the standard atomic weights, and the part of it that a strength is counted in. */
const BY_HAND: Readonly<Record<string, readonly [salt: number, counted: number]>> = {
  'calcium-chloride-dihydrate': [147.008, 40.078],
  'magnesium-chloride-hexahydrate': [203.295, 24.305],
  'potassium-chloride': [74.548, 39.098],
  'potassium-carbonate': [138.204, 78.196],
  'potassium-bicarbonate': [100.114, 39.098],
  'sodium-nitrate': [84.994, 62.004],
  'potassium-nitrate': [101.102, 62.004],
  'monopotassium-phosphate': [136.084, 94.97],
  'sodium-silicate-pentahydrate': [212.137, 60.083],
  'ammonium-chloride': [53.489, 14.007],
  'cu-ion': [249.677, 63.546],
}
const shareByHand = (ingredient: string): number => {
  const row = BY_HAND[ingredient]
  return row ? row[1] / row[0] : 1
}

const setUp = (ingredient: string, typed: Partial<ProductValues>): Content => {
  const read = readProduct({ ...productValues(null, ingredient), name: 'jar', isSure: true, ...typed }, [], METRIC)
  if ('problems' in read) throw new Error(`${ingredient} ${JSON.stringify(typed)}: ${JSON.stringify(read.problems)}`)
  return { kind: 'product-setup', ...on(-30), productId: 'jar', ...read.properties }
}
const split = (line: string) => [line, tokenize(line)] as const
const onShelf = (ingredient: string, typed: Partial<ProductValues>): ShelfProduct =>
  productById(reef(setUp(ingredient, typed)), 'jar')!

const FORMS: readonly { form: ProductForm; stated: Stated; strength: string }[] = [
  { form: 'powder', stated: 'pure', strength: '' },
  { form: 'powder', stated: 'percent', strength: '98' },
  { form: 'solution', stated: 'mg-per-ml', strength: '20' },
  { form: 'solution', stated: 'wv', strength: '2' },
  { form: 'drops', stated: 'mg-per-ml', strength: '20' },
  { form: 'pack', stated: 'mg-per-pack', strength: '250' },
]
const CASES = INGREDIENTS.filter(({ amountIs }) => amountIs !== 'volume').flatMap(({ id }) =>
  FORMS.map((form) => [id, form] as const),
)

/** Of what the strength is counted in. */
const RISE_MG_PER_L = 1.7
const NET_L = 200

describe.each(CASES)('one amount through every door: %s, %j', (ingredient, typed) => {
  const product = onShelf(ingredient, typed)
  const share = shareByHand(ingredient)
  const perUnit = {
    powder: 1000 * share * (typed.stated === 'percent' ? 0.98 : 1),
    solution: 20,
    drops: 1,
    pack: 250,
  }[typed.form]
  const exact = (RISE_MG_PER_L * NET_L) / perUnit

  test('the shelf, and its line, as the formula says', () => {
    expect(product.mgPerUnit / perUnit).toBeCloseTo(1, 9)
    expect(unitInWater(ingredient, product, METRIC)).toMatch(/^1 (mL|g|pack|drop) in 100 L (adds|raises) /)
    // The form opens on what was kept, and keeps the same again.
    const again = readProduct(productValues(product), [], METRIC)
    expect('properties' in again && mgPerUnit(again.properties.strength) / product.mgPerUnit).toBeCloseTo(1, 5)
  })

  test('Dose, the course’s card and the bench', () => {
    const known = { id: 'jar', name: 'jar', ingredient, strength: product.strength, step: undefined }
    const answer = answerFor(
      'dose',
      { volumeL: String(NET_L), current: '0', target: String(RISE_MG_PER_L), product: 'jar' },
      [known],
    )
    expect((answer.lead.value as number) / exact).toBeCloseTo(1, 9)
    expect(answer.log!.massMg / (RISE_MG_PER_L * NET_L)).toBeCloseTo(1, 9)
    expect(doseToLevel(RISE_MG_PER_L, NET_L, product)!.amount! / exact).toBeCloseTo(1, 9)
    expect(measuredDown(RISE_MG_PER_L * NET_L, product)!.amount / exact).toBeCloseTo(1, 6)
  })

  test('the log line, which the ledger’s form of a dose reads as well, and its bath', () => {
    const journal = reef(setUp(ingredient, typed), arrival('plum', 'hall', 1))
    const settings = { timeZone: 'UTC', units: METRIC, clock: zoneClock('UTC') }
    const context = { journal, settings, now: ms(0) }
    const amount = Number(exact.toPrecision(5))
    const word = { mL: 'mL', g: 'g', pack: 'packs', drop: 'drops' }[product.unit]
    const dose = readDose(
      ...split(`jar ${amount}${word}`),
      tankById(journal, 'hall')!,
      new Date(ms(0)).toISOString(),
      context,
    )
    if (isStop(dose)) throw new Error(JSON.stringify(dose))
    expect(dose.content.massMg! / (RISE_MG_PER_L * NET_L)).toBeCloseTo(1, 4)
    expect(dose.content.massMg! / (amount * perUnit)).toBeCloseTo(1, 9)
    const line = `hall bath jar ${amount}${word} in 200L 8min`
    const plain = readLine(line, context)
    // Where the water speaks against the bath it asks first.
    const bath = plain.state === 'keep' ? plain : readLine(`${line} happened because it was so`, context)
    expect('contents' in bath ? bath.contents[0] : bath).toMatchObject({ kind: 'bath', massMg: dose.content.massMg })
  })
})

const PROCEDURES_MEASURED_OUT = PROCEDURES.filter(({ measuredOut }) => measuredOut)
test.each(
  PROCEDURES_MEASURED_OUT.flatMap((procedure) =>
    (procedure.choices.find(({ id }) => ['dip', 'dose'].includes(id))?.options ?? [{ id: '' }]).map(
      ({ id }) => [procedure.id, id] as const,
    ),
  ),
)('the bench measures out for %s (%s) what makes the level of its row', (id, option) => {
  const procedure = PROCEDURES_MEASURED_OUT.find((one) => one.id === id)!
  const start = {
    choices: procedure.choices.map((choice) => ({
      id: choice.id,
      option: choice.options.some((one) => one.id === option) ? option : choice.options[0]!.id,
    })),
  }
  const needs = needsOf(procedure, start)!
  const product = onShelf(needs.ingredient, { form: 'solution', stated: 'mg-per-ml', strength: '20' })
  const out = measureOut(procedure, start, product, NET_L, 7)!
  // Only the label knows how much of it.
  if (needs.byLabel) return expect(out).toMatchObject({ amount: 7 })
  const [row] = [procedure.measuredOut!].map((measured) =>
    measured.for === 'tank'
      ? measured.mgPerL[option]! *
        (start.choices.some((choice) => choice.id === 'redose' && choice.option === 'replaced') ? 0.5 : 1)
      : measured.for === 'bath'
        ? doseById(measured.dose)!.target
        : coralDipById(option).mgPerL!.target,
  )
  // Formalin is counted in µL.
  const perMl = ingredientById(needs.ingredient)!.amountIs === 'volume' ? 1000 : 20
  expect((out.amount * perMl) / NET_L / row!).toBeCloseTo(1, 6)
  expect(out.massMg! / (out.amount * perMl)).toBeCloseTo(1, 6)
})

test.each(CORRECTION_SALTS)('Water’s correction weighs the same $id', (salt) => {
  const plan = planRaise({ salt, now: 1, target: 1.001, netL: NET_L })
  if (!plan.ok) throw new Error(plan.error.message)
  const countedMg = (plan.value.dosedPerDay * NET_L) / raisedBy(salt.id, salt.parameter, 1)
  expect((plan.value.gramsPerDay * 1000 * shareByHand(salt.id)) / countedMg).toBeCloseTo(1, 9)
})

test.each(CASES.filter(([id]) => ![null, 'copper'].includes(ingredientById(id)!.raises)))(
  'a logged dose of %s, %j, raises what it was for by as much',
  (ingredient, typed) => {
    const product = onShelf(ingredient, typed)
    const raises = ingredientById(ingredient)!.raises!
    const amount = (RISE_MG_PER_L * NET_L) / product.mgPerUnit
    const journal = reef(setUp(ingredient, typed), {
      kind: 'dose',
      ...on(1),
      tankId: 'hall',
      ingredient,
      productId: 'jar',
      amount,
      unit: product.unit,
      massMg: amount * product.mgPerUnit,
    })
    expect(balanceEvents(journal, 'hall', raises, ms(0), ms(2))[0]!.add).toBeCloseTo(
      raisedBy(ingredient, raises, RISE_MG_PER_L),
      9,
    )
  },
)

/**
 * Sixty amounts from first principles: the grams of a pure salt in some net litres for some rise of a test, worked out by hand from molar masses
 * (1 dKH is 1/2.8 meq/L).
 */
const BY_FIRST_PRINCIPLES: readonly (readonly [
  salt: string,
  parameter: string,
  netL: number,
  rise: number,
  grams: number,
])[] = [
  ['sodium-bicarbonate', 'alk-kh', 100, 1, 3.0002],
  ['sodium-bicarbonate', 'alk-kh', 45, 0.5, 0.67505],
  ['sodium-bicarbonate', 'alk-kh', 250, 2, 15.001],
  ['sodium-bicarbonate', 'alk-kh', 378.54, 0.7, 7.9499],
  ['sodium-carbonate', 'alk-kh', 100, 1, 1.8926],
  ['sodium-carbonate', 'alk-kh', 60, 0.5, 0.56778],
  ['sodium-carbonate', 'alk-kh', 345, 1.2, 7.8353],
  ['sodium-carbonate', 'alk-kh', 757.08, 0.25, 3.5821],
  ['calcium-chloride-dihydrate', 'ca', 100, 10, 3.668],
  ['calcium-chloride-dihydrate', 'ca', 100, 20, 7.3361],
  ['calcium-chloride-dihydrate', 'ca', 345, 15, 18.982],
  ['calcium-chloride-dihydrate', 'ca', 64.8, 25, 5.9422],
  ['calcium-chloride-dihydrate', 'ca', 200, 40, 29.344],
  ['magnesium-chloride-hexahydrate', 'mg', 100, 10, 8.3643],
  ['magnesium-chloride-hexahydrate', 'mg', 100, 50, 41.822],
  ['magnesium-chloride-hexahydrate', 'mg', 53, 10, 4.4331],
  ['magnesium-chloride-hexahydrate', 'mg', 345, 30, 86.57],
  ['magnesium-chloride-hexahydrate', 'mg', 189.27, 20, 31.662],
  ['potassium-chloride', 'k', 100, 10, 1.9067],
  ['potassium-chloride', 'k', 300, 10, 5.7201],
  ['potassium-chloride', 'k', 345, 13, 8.5515],
  ['potassium-chloride', 'k', 64.8, 5, 0.61777],
  ['potassium-carbonate', 'k', 100, 10, 1.7674],
  ['potassium-carbonate', 'k', 200, 5, 1.7674],
  ['potassium-carbonate', 'k', 345, 8, 4.8781],
  ['potassium-carbonate', 'k', 64.8, 3, 0.34358],
  ['potassium-bicarbonate', 'k', 100, 10, 2.5606],
  ['potassium-bicarbonate', 'k', 345, 6, 5.3004],
  ['potassium-bicarbonate', 'k', 80, 12, 2.4582],
  ['sodium-nitrate', 'no3', 100, 1, 0.13708],
  ['sodium-nitrate', 'no3', 345, 2, 0.94585],
  ['sodium-nitrate', 'no3', 64.8, 5, 0.44413],
  ['sodium-nitrate', 'no3', 378.54, 3, 1.5567],
  ['sodium-nitrate', 'no3', 1000, 0.5, 0.68539],
  ['potassium-nitrate', 'no3', 100, 1, 0.16306],
  ['potassium-nitrate', 'no3', 345, 2, 1.1251],
  ['potassium-nitrate', 'no3', 64.8, 5, 0.5283],
  ['potassium-nitrate', 'no3', 37.85, 4, 0.24687],
  ['potassium-nitrate', 'no3', 200, 1.5, 0.48917],
  ['monopotassium-phosphate', 'po4', 100, 0.01, 0.0014329],
  ['monopotassium-phosphate', 'po4', 345, 0.03, 0.014831],
  ['monopotassium-phosphate', 'po4', 64.8, 0.05, 0.0046427],
  ['monopotassium-phosphate', 'po4', 200, 0.02, 0.0057317],
  ['monopotassium-phosphate', 'po4', 757.08, 0.02, 0.021697],
  ['sodium-silicate-pentahydrate', 'sio2', 100, 1, 0.35307],
  ['sodium-silicate-pentahydrate', 'sio2', 345, 0.5, 0.60905],
  ['sodium-silicate-pentahydrate', 'sio2', 64.8, 1, 0.22879],
  ['sodium-silicate-pentahydrate', 'sio2', 300, 0.25, 0.2648],
  ['sodium-silicate-pentahydrate', 'sio2', 189.27, 2, 1.3365],
  ['ammonium-chloride', 'tan-n', 60, 2, 0.45826],
  ['ammonium-chloride', 'tan-n', 100, 1, 0.38187],
  ['ammonium-chloride', 'tan-n', 84, 0.5, 0.16039],
  ['kalk', 'alk-kh', 100, 0.38, 0.50277],
  ['kalk', 'alk-kh', 345, 0.2, 0.91295],
  ['kalk', 'ca', 100, 2.7, 0.49915],
  ['potassium-nitrate', 'k', 100, 0.63059, 0.16306],
  ['monopotassium-phosphate', 'k', 100, 0.0041169, 0.0014329],
  ['potassium-carbonate', 'alk-kh', 100, 0.71614, 1.7674],
  ['potassium-bicarbonate', 'alk-kh', 100, 0.71614, 2.5606],
  ['sodium-silicate-pentahydrate', 'alk-kh', 100, 0.093204, 0.35307],
]

test.each(BY_FIRST_PRINCIPLES)('%s for %s in %d L by %d: %d g', (ingredient, parameter, netL, rise, grams) => {
  const counted = onShelf(ingredient, { form: 'powder', stated: 'pure', strength: '' }).mgPerUnit * grams
  const raised = parameter === 'tan-n' ? counted / netL : raisedBy(ingredient, parameter, counted / netL)
  expect(raised / rise).toBeCloseTo(1, 3)
})

describe('what was kept before a salt counted by its formula', () => {
  const kept = (ingredient: string, activeFraction: number) =>
    productById(
      reef({
        kind: 'product-setup',
        ...on(-30),
        productId: 'jar',
        name: 'jar',
        ingredient,
        strength: { kind: 'powder', activeFraction },
      }),
      'jar',
    )!.mgPerUnit
  test('a pure salt was meant where more of the ion is kept than any of it can hold', () => {
    expect(kept('magnesium-chloride-hexahydrate', 1)).toBeCloseTo(119.56, 1)
    expect(kept('calcium-chloride-dihydrate', 0.77)).toBeCloseTo(0.77 * 272.6, 0)
    // As an ion's share it is possible, of the anhydrous salt too: it stays.
    expect(kept('calcium-chloride-dihydrate', 0.272)).toBeCloseTo(272, 9)
    expect(kept('calcium-chloride-dihydrate', 0.36)).toBeCloseTo(360, 9)
    expect(kept('sodium-bicarbonate', 1)).toBe(1000)
    // Other copper salts hold more than the sulphate: read too low they would be dosed too high.
    expect(kept('cu-ion', 0.41)).toBe(410)
    expect(kept('cu-ion', 0.6)).toBe(600)
    expect(kept('cu-ion', 1)).toBeCloseTo(254.5, 1)
  })
  test('its doses are read with the right share, and stay as they were written', () => {
    const dose = { ingredient: 'potassium-nitrate', amount: 2, unit: 'g' as const, massMg: 2000 }
    expect(countedMassMg(dose)).toBeCloseTo(1226.6, 1)
    expect(countedMassMg({ ...dose, massMg: 1226.6 })).toBe(1226.6)
    expect(countedMassMg({ ...dose, unit: 'mL' })).toBe(2000)
    const journal = reef({ kind: 'dose', ...on(1), tankId: 'hall', ...dose })
    expect(balanceEvents(journal, 'hall', 'no3', ms(0), ms(2))[0]!.add).toBeCloseTo(6.133, 3)
    expect(journal.entries().at(-1)).toMatchObject({ content: { massMg: 2000 } })
    expect(recountedDoses(journal)).toEqual([
      expect.objectContaining({
        name: 'potassium nitrate',
        of: 'nitrate',
        doses: 1,
        since: ms(1),
        keptMg: 2000,
        countedMg: expect.closeTo(1226.6, 1) as number,
      }),
    ])
    expect(recountedDoses(reef({ kind: 'dose', ...on(1), tankId: 'hall', ...dose, massMg: 1226.6 }))).toEqual([])
  })
})

describe('what the label of a salt states', () => {
  test('each way says whether it is of the salt or of its ion', () => {
    expect(strengthsFor('potassium-nitrate', 'powder').map(({ label }) => label)).toEqual([
      'the pure salt',
      'percent pure salt',
      'percent nitrate',
      'what so much of it adds',
    ])
    expect(onShelf('potassium-nitrate', { form: 'powder', stated: 'ion-percent', strength: '60' }).mgPerUnit).toBe(600)
    // A stock of 100 g of the dry salt in a litre.
    expect(
      onShelf('potassium-nitrate', { form: 'solution', stated: 'salt-g-per-l', strength: '100' }).mgPerUnit,
    ).toBeCloseTo(61.33, 2)
    expect(strengthsFor('sodium-bicarbonate', 'powder')[1]!.label).toBe('percent active')
  })
  test('more of the ion than the salt can hold is refused', () =>
    expect(
      readProduct(
        {
          ...productValues(null, 'potassium-nitrate'),
          name: 'jar',
          form: 'powder',
          stated: 'ion-percent',
          strength: '80',
        },
        [],
        METRIC,
      ),
    ).toHaveProperty('problems.strength'))
})
