import { METRIC } from '../../../core/household/settings.ts'
import { productValues, readProduct, readStrength, type ProductValues } from './product.ts'

const typed = (more: Partial<ProductValues>): ProductValues => ({
  ...productValues(null),
  name: 'bottle',
  strength: '10',
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
