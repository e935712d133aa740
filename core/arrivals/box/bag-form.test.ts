import { planBox } from '../../acclimation/together.ts'
import { METRIC } from '../../household/settings.ts'
import { tankById } from '../../household/tanks.ts'
import { bagField, limitField, readBagForm, tankField, type BagContext } from './bag-form.ts'
import { figureHabits, figureUnit, typedFigure } from '../run/figures.ts'
import { home } from '../testing.ts'
import { waterOfTank } from '../run/water.ts'

function context(changes: Partial<BagContext> = {}): BagContext {
  const it = home()
  it.read(0, '08:00', 'side', 'salinity', 33)
  it.read(0, '08:00', 'side', 'tan', 0.1288)
  const tank = tankById(it.journal, 'side')!
  return {
    animals: [{ id: 'orchid', name: 'Orchid', group: 'dottyback-basslet' }],
    tank,
    water: waterOfTank(it.journal, tank, it.ms(1, '10:00')),
    from: null,
    hours: 18,
    canBeMatched: true,
    units: METRIC,
    ...changes,
  }
}

const litres = { 'orchid.litres': '1.2' }

describe('the form of a plan', () => {
  test('hours and litres are all it needs; the rest is assumed, and said to be', () => {
    const { question, faults, assumed } = readBagForm(litres, context())
    expect(faults).toEqual({})
    expect(question!.animals[0]!.bag).toEqual({
      volumeL: 1.2,
      temperatureC: 22,
      salinityPsu: 30,
      pH: 7.3,
      tanMgPerL: 1,
      alkalinityDkh: 7,
    })
    expect(question!.container).toEqual({ capacityL: 4, leaveL: 2 })
    expect(assumed).toMatchObject({ 'orchid.salinityPsu': '30', room: '21', float: '20', 'tank.temperatureC': '25' })
    // What was read is not assumed: salinity, and ammonia taken from NH4 to N.
    expect(assumed).not.toHaveProperty('tank.salinityPsu')
    expect(question!.tank.tanMgPerL).toBeCloseTo(0.1, 4)
    expect(planBox(question!).containers).toHaveLength(1)
  })

  test('the salinity that was announced is taken before a usual one', () => {
    const { question, assumed } = readBagForm(
      litres,
      context({ animals: [{ id: 'orchid', name: 'Orchid', group: 'dottyback-basslet', sellerPsu: 26 }] }),
    )
    expect(question!.animals[0]!.bag.salinityPsu).toBe(26)
    expect(assumed).toMatchObject({ 'orchid.salinityPsu': '26' })
  })

  test('bags of one seller share one assumption: what was measured in one of them holds for the others', () => {
    const animals = [
      { id: 'orchid', name: 'Orchid', group: 'dottyback-basslet' },
      { id: 'zoa', name: 'Zoa', group: 'coral-soft' },
    ]
    const both = { ...litres, 'zoa.litres': '0.5' }
    const psuOf = (values: Record<string, string>) =>
      readBagForm(values, context({ animals })).question!.animals.map(({ bag }) => bag.salinityPsu)
    expect(psuOf(both)).toEqual([30, 30])
    expect(psuOf({ ...both, 'zoa.salinityPsu': '33.2' })).toEqual([33.2, 33.2])
  })

  test('free ammonia over the limit in the sealed bag shortens the float, unless one is typed', () => {
    const dangerous = { ...litres, 'orchid.pH': '8.2', 'orchid.tanMgPerL': '3' }
    expect(readBagForm(dangerous, context()).question!.float.minutes).toBe(5)
    expect(readBagForm({ ...dangerous, float: '15' }, context()).question!.float.minutes).toBe(15)
    expect(readBagForm({ ...dangerous, 'orchid.pH': '6.5' }, context()).question!.float.minutes).toBe(20)
  })

  test('without hours or litres there is no plan, and it says which is needed', () => {
    expect(readBagForm({}, context({ hours: null }))).toMatchObject({
      question: null,
      faults: { hours: { message: expect.stringMatching(/needed/) }, 'orchid.litres': expect.anything() },
    })
  })

  test.each([
    [bagField('orchid', 'pH'), '70', '5.5 to 9 is plausible'],
    [bagField('orchid', 'salinityPsu'), '350', '0 psu to 45 psu is plausible'],
    [tankField('temperatureC'), '78', '5 °C to 36 °C is plausible'],
    [
      bagField('orchid', 'litres'),
      '9',
      'more than the container’s 5 L: a larger container, or the bag’s water in part',
    ],
    ['leave', '5', 'less than the 5 L it holds'],
    ['float', '90', 'longer than 60 minutes, the longest it may wait'],
    [limitField('orchid', 'maxPsuPerHour'), '0', 'over 0: psu/h'],
  ])('%s %s stands in the way, with what would be right', (field, typed, message) => {
    const { question, faults } = readBagForm({ ...litres, capacity: '5', [field]: typed }, context())
    expect(question).toBeNull()
    expect(faults[field]).toMatchObject({ message })
  })

  test('a figure that could be two numbers shows both', () => {
    expect(readBagForm({ 'orchid.litres': '1,250' }, context()).faults['orchid.litres']!.choices).toHaveLength(2)
  })

  test('a household that measures in °F and gravity is read and answered in them', () => {
    const us = { ...METRIC, temperature: 'F', salinity: 'sg', alkalinity: 'meq' } as const
    const typed = {
      ...litres,
      'orchid.temperatureC': '72',
      'orchid.salinityPsu': '1.0226',
      'orchid.alkalinityDkh': '2.5',
    }
    const { bag } = readBagForm(typed, context({ units: us })).question!.animals[0]!
    expect(bag.temperatureC).toBeCloseTo(22.22, 2)
    expect(bag.salinityPsu).toBeCloseTo(30, 0)
    expect(bag.alkalinityDkh).toBeCloseTo(7, 6)
    expect(typedFigure('salinityPsu', 35, us)).toBe('1.0264')
    expect(readBagForm({ ...litres, 'orchid.salinityPsu': '35' }, context({ units: us })).faults).toHaveProperty([
      'orchid.salinityPsu',
    ])
  })

  test('total ammonia is typed as the kit on record states it: the tank’s own before a shared one', () => {
    const it = home()
    const kit = (kitId: string, basis: 'NH3' | 'NH4', tankId?: string) =>
      it.on(-9, '08:00', 'kit-setup', {
        kitId,
        parameter: 'tan',
        name: kitId,
        uncertainty: { abs: 0.1 },
        basis,
        ...(tankId && { tankId }),
      })
    expect(figureUnit('tanMgPerL', figureHabits(it.journal, METRIC, 'side'))).toBe('mg/L N')
    kit('shared', 'NH3')
    kit('own', 'NH4', 'side')
    const habits = figureHabits(it.journal, METRIC, 'side')
    expect(figureUnit('tanMgPerL', habits)).toBe('mg/L NH4')
    expect(figureHabits(it.journal, METRIC, 'hall').tan).toBe('NH3')
    const { question } = readBagForm({ ...litres, 'orchid.tanMgPerL': '6' }, context({ units: habits }))
    expect(question!.animals[0]!.bag.tanMgPerL).toBeCloseTo(6 / 1.2879, 6)
    // What stands in an empty field is said as it would be typed.
    const assumedAs = (units: typeof habits) =>
      Number(readBagForm({ ...litres, hours: '40' }, context({ units })).assumed['orchid.tanMgPerL'])
    expect(assumedAs(habits) / assumedAs({ ...habits, tan: 'N' })).toBeCloseTo(1.288, 2)
    expect(typedFigure('tanMgPerL', 1, habits)).toBe('1.29')
    expect(
      readBagForm({ ...litres, 'orchid.tanMgPerL': '50' }, context({ units: habits })).faults['orchid.tanMgPerL']!
        .message,
    ).toBe('0 mg/L NH4 to 38.64 mg/L NH4 is plausible')
  })

  test('a household of gallons types ounces and quarts as its jug has them, held to what is plausible', () => {
    const us = { ...METRIC, volume: 'us-gal' } as const
    const read = (text: string) => readBagForm({ 'orchid.litres': text }, context({ units: us }))
    expect(read('40 fl oz').question!.animals[0]!.bag.volumeL).toBeCloseTo(1.183, 3)
    expect(read('1.5 qt').question!.animals[0]!.bag.volumeL).toBeCloseTo(1.4195, 3)
    expect(read('100 gal').faults['orchid.litres']!.message).toMatch(/^at most 52\.83:/)
    // A figure alone is in the unit that stands beside the field.
    expect(read('0.3').question!.animals[0]!.bag.volumeL).toBeCloseTo(1.1356, 3)
  })

  test('the animal’s own limits take the place of the handbook’s', () => {
    const { limits, question } = readBagForm({ ...litres, 'orchid.limit.maxMinutes': '90' }, context())
    expect(limits.get('orchid')).toMatchObject({ maxMinutes: 90, maxPsuPerHour: 2 })
    expect(question!.animals[0]!.limits.maxMinutes).toBe(90)
  })

  test('kept warm, aerated and matched are what they say', () => {
    const { question } = readBagForm({ ...litres, warm: 'yes', air: 'yes', match: 'no' }, context())
    expect(question).toMatchObject({ room: { temperatureC: 25 }, gasExchangePerHour: 5, tankCanBeMatched: false })
  })

  test('from another own tank the water is that tank’s, nothing was on the way and nothing floats', () => {
    const it = home()
    it.read(0, '08:00', 'hall', 'salinity', 35)
    const hall = tankById(it.journal, 'hall')!
    const { question } = readBagForm(
      litres,
      context({ hours: null, from: { tank: hall, water: waterOfTank(it.journal, hall, it.ms(0, '09:00')) } }),
    )
    expect(question).toMatchObject({ shippingHours: 0, float: { minutes: 0 } })
    expect(question!.animals[0]!.bag).toMatchObject({ salinityPsu: 35, pH: 8.1 })
  })
})
