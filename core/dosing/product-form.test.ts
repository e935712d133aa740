import { ingredientById, INGREDIENTS } from '../catalogue/ingredient.ts'
import { usualStrengthOf } from '../catalogue/usual-strengths.data.ts'
import { METRIC } from '../household/settings.ts'
import { productValues, readProduct, readStrength, usualValues, type ProductValues } from './product-form.ts'
import { unitInWater, usualInWater } from './unit-in-water.ts'

const typed = (more: Partial<ProductValues>): ProductValues => ({
  ...productValues(null),
  name: 'bottle',
  strength: '10',
  isSure: true,
  ...more,
})

describe('a product’s strength as its label states it', () => {
  test.each([
    [{ stated: 'mg-per-ml' }, { kind: 'solution', mgPerMl: 10 }],
    [{ stated: 'g-per-l' }, { kind: 'solution', mgPerMl: 10 }],
    [
      { stated: 'wv', strength: '1' },
      { kind: 'solution', mgPerMl: 10 },
    ],
    [
      { stated: 'dose', strength: '0.5', perAmount: '2', perLitres: '40' },
      { kind: 'solution', mgPerMl: 10 },
    ],
    [
      { form: 'drops', stated: 'dose', strength: '0.5', perAmount: '20', perLitres: '100', dropsPerMl: '10' },
      { kind: 'drops', mgPerMl: 25, dropsPerMl: 10 },
    ],
    [
      { form: 'pack', stated: 'dose', strength: '2', perAmount: '1', perLitres: '40' },
      { kind: 'pack', mgPerPack: 80 },
    ],
    [
      { form: 'powder', stated: 'percent', strength: '22.2' },
      { kind: 'powder', activeFraction: 0.222 },
    ],
    [
      { form: 'powder', stated: 'pure', strength: '' },
      { kind: 'powder', activeFraction: 1 },
    ],
    [
      { form: 'pack', stated: 'mg-per-pack', strength: '250' },
      { kind: 'pack', mgPerPack: 250 },
    ],
    [
      { form: 'drops', stated: 'wv', strength: '5', dropsPerMl: '18' },
      { kind: 'drops', mgPerMl: 50, dropsPerMl: 18 },
    ],
  ] as [Partial<ProductValues>, object][])('%j', (values, strength) => {
    expect(readStrength(typed(values), METRIC)).toEqual({ strength })
  })

  test('3 % peroxide by mass holds a little more than 30 mg in a mL; over 35 % is refused', () => {
    const read = readStrength(typed({ ingredient: 'peroxide', stated: 'by-mass', strength: '3' }), METRIC)
    expect('strength' in read && read.strength.kind === 'solution' && read.strength.mgPerMl).toBeCloseTo(30.28, 1)
    expect(readStrength(typed({ ingredient: 'peroxide', stated: 'by-mass', strength: '50' }), METRIC)).toHaveProperty(
      'problems.strength',
    )
  })

  test('what a packet makes in gallons is typed in gallons; more than a gram holds is refused', () => {
    const units = { ...METRIC, volume: 'us-gal' } as const
    const read = readStrength(
      typed({ form: 'pack', stated: 'dose', strength: '2', perAmount: '1', perLitres: '10' }),
      units,
    )
    expect('strength' in read && read.strength.kind === 'pack' && read.strength.mgPerPack).toBeCloseTo(75.7, 1)
    const powder = typed({ form: 'powder', stated: 'dose', strength: '2', perAmount: '1', perLitres: '1000' })
    expect(readStrength(powder, METRIC)).toHaveProperty('problems.strength')
  })

  test('percent by mass of anything else is not guessed', () => {
    expect(readStrength(typed({ stated: 'by-mass', strength: '5' }), METRIC)).toHaveProperty('problems.strength')
  })

  test('formalin is the 37 % product itself, whatever was typed', () => {
    expect(readStrength(typed({ ingredient: 'formalin', stated: 'wv', strength: '37' }), METRIC)).toEqual({
      strength: { kind: 'solution', mgPerMl: 1000 },
    })
  })

  test('a strength of nothing, of words, or of 2,5', () => {
    expect(readStrength(typed({ strength: '0' }), METRIC)).toHaveProperty('problems.strength')
    expect(readStrength(typed({ strength: 'strong' }), METRIC)).toHaveProperty('problems.strength')
    expect(readStrength(typed({ strength: '2,5' }), METRIC)).toMatchObject({
      problems: { strength: { choices: [{ value: '2.5' }, { value: '25' }] } },
    })
  })
})

describe('a product’s fields', () => {
  test('everything filled in', () => {
    expect(
      readProduct(typed({ tool: '5 mL syringe', step: '0.1', left: '236', useBy: '2027-05-01' }), [], METRIC),
    ).toEqual({
      properties: {
        name: 'bottle',
        ingredient: 'cu-chelated',
        strength: { kind: 'solution', mgPerMl: 10 },
        measure: { tool: '5 mL syringe', step: 0.1 },
        left: 236,
        useBy: '2027-05-01',
      },
    })
  })

  test('a name that is taken, a tool without its step, a date that does not exist', () => {
    const read = readProduct(typed({ name: 'Copper', tool: 'syringe', useBy: '2027-02-30' }), ['copper'], METRIC)
    expect(read).toMatchObject({
      problems: { name: expect.anything(), step: expect.anything(), useBy: expect.anything() },
    })
  })
})

describe('strengths that cannot be', () => {
  const read = (more: Partial<ProductValues>) => {
    const values = { ...productValues(null, more.ingredient), name: 'bottle', ...more }
    const found = readProduct(values, [], METRIC)
    return 'problems' in found ? found.problems['strength'] : found.properties.strength
  }

  test('peroxide opens on percent by mass; other ingredients on what is usual for them', () => {
    expect(productValues(null, 'peroxide')).toMatchObject({ form: 'solution', stated: 'by-mass' })
    expect(productValues(null, 'metronidazole')).toMatchObject({ form: 'powder', stated: 'pure' })
    expect(productValues(null, 'fluconazole')).toMatchObject({ form: 'pack', stated: 'mg-per-pack' })
    expect(productValues(null, 'cu-chelated')).toMatchObject({ form: 'solution', stated: 'mg-per-ml' })
  })

  test('3 mg in a mL of peroxide: 3 %, or 0.3 %? Either answer is one tap, and what is meant is kept', () => {
    const odd = { ingredient: 'peroxide', stated: 'mg-per-ml', strength: '3' } as const
    expect(read(odd)).toEqual({
      message: '3 mg in a mL is 0.3 %: 3 %, or 0.3 %?',
      choices: [
        { label: '3 %', value: '3 %' },
        { label: '0.3 %', value: '0.3 %' },
      ],
    })
    expect(read({ ...odd, strength: '3 %' })).toMatchObject({
      kind: 'solution',
      mgPerMl: expect.closeTo(30.3, 1) as number,
    })
    // The weaker one is asked about once more: nobody sells it.
    expect(read({ ...odd, strength: '0.3 %' })).toMatchObject({
      message: expect.stringMatching(/usually has 9 to 150/) as string,
    })
    expect(read({ ...odd, strength: '0.3 %', isSure: true })).toMatchObject({ mgPerMl: expect.closeTo(3, 1) as number })
  })

  test.each([
    ['peroxide', { stated: 'by-mass', strength: '3' }, { stated: 'by-mass', strength: '0.3' }],
    ['cu-chelated', { strength: '10' }, { strength: '500' }],
    [
      'metronidazole',
      { form: 'pack', stated: 'mg-per-pack', strength: '250' },
      { form: 'pack', stated: 'mg-per-pack', strength: '0.25' },
    ],
    [
      'fenbendazole',
      { form: 'powder', stated: 'percent', strength: '22.2' },
      { form: 'powder', stated: 'percent', strength: '0.222' },
    ],
    ['iodine-dip', { stated: 'wv', strength: '5' }, { stated: 'wv', strength: '50' }],
    ['methylene-blue', { stated: 'wv', strength: '2' }, { stated: 'wv', strength: '20' }],
    ['sodium-bicarbonate', { form: 'powder', stated: 'pure' }, { form: 'powder', stated: 'percent', strength: '8' }],
  ] as [string, Partial<ProductValues>, Partial<ProductValues>][])('%s: usual, and odd', (ingredient, usual, odd) => {
    expect(read({ ingredient, ...usual })).toHaveProperty('kind')
    expect(read({ ingredient, ...odd })).toHaveProperty('message')
  })

  test('every ingredient has its usual form, and its usual strength is plausible', () => {
    for (const { id } of INGREDIENTS) {
      const { usual } = usualStrengthOf(id, ingredientById(id)!.kind)
      expect([id, read({ ingredient: id, ...usualValues(id), strength: usual })]).toEqual([
        id,
        expect.objectContaining({ kind: expect.any(String) as string }),
      ])
    }
  })
})

describe('what a unit does in a round volume, beside a usual figure', () => {
  const US = { ...METRIC, volume: 'us-gal' } as const
  test.each([
    [
      'peroxide',
      { mgPerUnit: 30, unit: 'mL' },
      METRIC,
      '1 mL in 100 L adds 0.3 mg/L',
      'in spots at most 0.79 mg/L a day: 2.63 mL in 100 L',
    ],
    [
      'cu-chelated',
      { mgPerUnit: 10, unit: 'mL' },
      METRIC,
      '1 mL in 100 L adds 0.1 mg/L',
      'the usual dose is 2.25 mg/L: 22.5 mL in 100 L',
    ],
    [
      'cu-chelated',
      { mgPerUnit: 10, unit: 'mL' },
      US,
      '1 mL in 25 US gal adds 0.106 mg/L',
      'the usual dose is 2.25 mg/L: 21.3 mL in 25 US gal',
    ],
    [
      'formalin',
      { mgPerUnit: 1000, unit: 'mL' },
      METRIC,
      '1 mL in 100 L adds 10 µL/L',
      'the usual dose is 25 µL/L: 2.5 mL in 100 L',
    ],
    [
      'salt',
      { mgPerUnit: 1000, unit: 'g' },
      METRIC,
      '1 g in 100 L adds 10 mg/L',
      'the usual dose is 2 g/L: 200 g in 100 L',
    ],
    ['sodium-bicarbonate', { mgPerUnit: 1000, unit: 'g' }, METRIC, '1 g in 100 L raises alkalinity by 0.333 dKH', null],
  ] as const)('%s %j', (ingredient, product, units, adds, usual) => {
    expect(unitInWater(ingredient, product, units)).toBe(adds)
    expect(usualInWater(ingredient, product, units)).toBe(usual)
  })
})
