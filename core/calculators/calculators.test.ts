import { DOSES } from '../catalogue/treatments/doses.data.ts'
import { command } from '../operations/command.ts'
import { RandomStream } from '../numbers/random.ts'
import { typedVolume } from './litres.ts'
import { METRIC, type UnitHabits } from '../household/settings.ts'
import { sentenceText } from '../words/measure.ts'
import { CALCULATORS, computed, fieldsShown, type Values } from './calculators.ts'
import { answerOf, faultsOf, SHELF } from './testing.ts'

/** Sensible figures for each field, to draw from: [least, most]. */
const DRAWN: Record<string, readonly [number, number]> = {
  volumeL: [5, 900],
  current: [0, 1],
  target: [1.5, 3],
  maxStep: [0.2, 1],
  hours: [6, 24],
  strength: [1, 30],
  step: [0.05, 0.5],
  daily: [0.05, 0.2],
  days: [3, 14],
  pumpMl: [20, 200],
  level: [2, 2.5],
  changedL: [1, 5],
  restore: [2.6, 3],
  start: [10, 60],
  percent: [5, 34],
  times: [1, 6],
  replacement: [0, 0],
  most: [20, 60],
  from: [30, 36],
  to: [14, 20],
  tan: [0, 4],
  sd: [0, 0.2],
  pH: [7, 8.4],
  temperatureC: [20, 28],
  salinity: [25, 36],
  cardLow: [0, 0.02],
  cardHigh: [0.03, 0.2],
  amount: [1, 20],
  before: [5, 7],
  after: [8, 9],
  now: [0.01, 0.02],
  watts: [3, 20],
  gap: [0.8, 3],
  flow: [100, 1200],
  transmission: [70, 100],
  foodG: [5, 60],
  value: [1, 40],
  length: [40, 140],
  width: [30, 60],
  bow: [2, 12],
  diameter: [30, 60],
  height: [35, 60],
  water: [25, 34],
  sand: [0, 4],
  rock: [0, 5],
  sump: [0, 40],
}

/** Twenty sets of fields for a calculator, the same each time; choices go round. */
function twenty(calculator: (typeof CALCULATORS)[number]): Values[] {
  const random = new RandomStream(calculator.id.length * 7919 + 5)
  return Array.from({ length: 20 }, (_, round) => {
    const values: Record<string, string> = {}
    // Choices decide which further fields there are: they are made first.
    for (let pass = 0; pass < 2; pass++)
      for (const field of calculator.fields(values, SHELF, METRIC)) {
        if (values[field.id] !== undefined) continue
        if (field.choices) values[field.id] = field.choices[round % field.choices.length]!.value
        else {
          const [least, most] = DRAWN[field.id] ?? [1, 2]
          const isGravity = calculator.id === 'units' && values['from'] === 'sg'
          const drawn = least + (most - least) * random.next()
          values[field.id] = isGravity
            ? (1.001 + 0.03 * random.next()).toFixed(4)
            : String(Number(drawn.toPrecision(4)))
        }
      }
    if (calculator.id === 'bath' || calculator.id === 'food')
      delete (values as Record<string, string | undefined>)['target']
    if (calculator.id === 'peroxide') {
      values['percent'] = String(3 + round)
      // With the sensitive in the water there is no level at all.
      if (values['company'] === 'sensitive') values['company'] = 'nobody'
    }
    if (values['form'] === 'spoon') values['spoonG'] = '5'
    // A pump gives a solution, by the clock, from a bottle that holds more than it cannot draw.
    if (calculator.id === 'pump-day')
      Object.assign(values, { product: 'copper', from: `${round}:30`, until: '21', bottleMl: '500', residueMl: '10' })
    if (values['form']?.endsWith('-raise')) values['labelL'] = String(100 + round)
    if (calculator.id === 'down') Object.assign(values, { now: String(20 + round), target: String(10 + round / 2) })
    if (calculator.id === 'element') values['target'] = String(Number(values['now']) + 0.01 * (round + 1))
    if (values['form'] === 'by-mass') values['strength'] = String(3 + round)
    return values
  })
}

/** What the leading number of each calculator should be, from what the core answered and nothing else. */
interface Out {
  steps: { amount: number; replaceL: number }[]
  exact: { amount: number }
  measured: { amount: number; belowMeasurable: boolean } | null
  afterEach: number[]
  equalFraction: number
  singleFraction: number
  freeMgPerL: number
  netL: number
  doseMjPerCm2: number
}
const LEADS: Record<string, (outputs: Out[], values: Values) => number> = {
  dose: ([out]) => amountOf(out!),
  ramp: ([out]) => out!.steps[0]!.amount,
  'week-bottle': ([out]) => out!.exact.amount,
  'pump-day': ([out], values) => {
    const hours = 21 - Number.parseInt(values['from']!, 10) - 0.5
    return out!.exact.amount / (hours > 0 ? hours : hours + 24)
  },
  'after-change': (outs) => amountOf(outs[1]!),
  'changes-left': ([out]) => out!.afterEach.at(-1)!,
  'change-for': ([out], values) => out!.equalFraction * Number(values['volumeL']),
  down: ([out], values) => out!.singleFraction * Number(values['volumeL']),
  // To the syringe's mark at or under the cap.
  peroxide: (outs, values) => {
    const { exact, measured } = outs[1]!
    const under =
      measured!.amount > exact.amount * (1 + 1e-9) ? measured!.amount - Number(values['step']) : measured!.amount
    return under > 0 ? under : exact.amount
  },
  // Likewise at or under the handbook's highest.
  bath: ([out], values) => {
    const { high, target } = DOSES.find(({ id }) => id === values['bath'])!
    const { exact, measured } = out!
    if (!measured) return exact.amount
    const step =
      SHELF.find(({ id }) => id === values['product'])?.step ??
      (values['form'] === 'spoon' ? Number(values['spoonG']) / 4 : Number(values['step']))
    const over = measured.amount > ((exact.amount * high) / target) * (1 + 1e-9)
    const amount = over ? measured.amount - step : measured.amount
    return amount > 0 ? amount : exact.amount
  },
  salinity: (outs) => outs.at(-1)!.steps[0]!.replaceL,
  ammonia: ([out]) => out!.freeMgPerL,
  volume: ([out]) => out!.netL,
  'volume-by-dose': ([out]) => out!.netL,
  // From a label it is a product of the typed figures; the core has nothing to add.
  uv: ([out], values) =>
    values['by'] === 'label'
      ? (Number(values['ratedDose']) * Number(values['ratedFlow'])) / Number(values['flow'])
      : out!.doseMjPerCm2,
}
function amountOf({ measured, exact }: Out): number {
  return measured && !measured.belowMeasurable ? measured.amount : exact.amount
}

describe('each calculator, for twenty inputs, says what the core says on the command line', () => {
  test.each(CALCULATORS.map((calculator) => [calculator.id, calculator] as const))('%s', (id, calculator) => {
    for (const values of twenty(calculator)) {
      const answer = answerOf(id, values)
      const outputs = answer.asked.map(({ operation, input, output }) => {
        const { output: printed, exitCode } = command([operation], () => JSON.stringify(input))
        expect(exitCode).toBe(0)
        expect(JSON.parse(printed)).toEqual(JSON.parse(JSON.stringify(output)))
        return JSON.parse(printed) as Out
      })
      const lead = LEADS[id]
      if (lead) expect(answer.lead.value).toBe(lead(outputs, values))
      expect(typeof answer.lead.value === 'number' ? Number.isFinite(answer.lead.value) : true).toBe(true)
    }
  })
})

describe('bad input is told beside the field, with what would be right', () => {
  test.each<[string, Values, string, RegExp]>([
    ['dose', { volumeL: '0', target: '2', product: 'copper' }, 'volumeL', /over 0/],
    ['dose', { volumeL: '60', current: '2', target: '1', product: 'copper' }, 'target', /to come down, change water/],
    ['dose', { volumeL: '60', target: '2', product: 'typed', form: 'by-mass', strength: '36' }, 'strength', /35 %/],
    ['peroxide', { volumeL: '60', percent: '50' }, 'percent', /at most 35.*3 % is usual/],
    ['bath', { bath: 'formalin-bath', volumeL: '2 tablespoons' }, 'volumeL', /spoons differ/],
    ['bath', { bath: 'formalin-bath', volumeL: '10', target: '400' }, 'target', /no higher than 167/],
    ['dose', { volumeL: '60', target: '2,125', product: 'copper' }, 'target', /which number/],
    ['dose', { volumeL: 'sixty', target: '2', product: 'copper' }, 'volumeL', /no number/],
    [
      'after-change',
      { volumeL: '60', level: '2', changedL: '70', restore: '2', product: 'copper' },
      'changedL',
      /more than there is/,
    ],
    ['salinity', { volumeL: '60', from: '350', to: '14', replacement: '0' }, 'from', /such as 35 psu/],
    ['change-for', { volumeL: '60', start: '5', target: '10' }, 'target', /no change of this water/],
    ['element', { volumeL: '60', now: '9', target: '8' }, 'target', /water changes/],
    ['volume', { length: '50', width: '35', height: '40', water: '44' }, 'water', /no higher than the rim/],
    ['week-bottle', { volumeL: '500', daily: '5', pumpMl: '1', product: 'copper' }, 'pumpMl', /mL a day/],
    ['units', { from: 'litres', value: '-2' }, 'value', /less than none/],
    ['volume-by-dose', { amount: '6', before: '8', after: '7' }, 'after', /too small/],
  ])('%s with %j: %s', (id, values, field, message) => {
    expect(faultsOf(id, values)[field]?.message).toMatch(message)
  })
  test('gallons are taken where litres are asked for, once it is said which', () => {
    expect(faultsOf('dose', { volumeL: '16 gal', target: '2', product: 'copper' })['volumeL']).toEqual({
      message: 'which gallon?',
      choices: [
        { label: 'US gallons', value: '16 US gal' },
        { label: 'UK gallons', value: '16 UK gal' },
      ],
    })
    const { asked } = answerOf('dose', { volumeL: '16 US gal', target: '2', product: 'copper' })
    expect((asked[0]!.input as { volumeL: number }).volumeL).toBeCloseTo(60.567, 3)
  })
  test.each([
    ['800 mL', 0.8],
    ['2.5 litres', 2.5],
    ['1.5 US qt', 1.41953],
    ['40 us fl oz', 1.18294],
    ['40 UK fl. oz', 1.13652],
    ['3 uk pints', 1.70478],
  ])('%s are %d L', (text, litres) => {
    const read = typedVolume(text, null)
    expect(read).toEqual({ litres: expect.closeTo(litres, 4) })
  })
  test('the household’s own ounces need no asking; a thousand that may be one is asked about; what is no volume is none', () => {
    expect(typedVolume('10 fl oz', 'uk')).toEqual({ litres: expect.closeTo(0.28413, 4) })
    expect(typedVolume('10 oz', null)).toMatchObject({
      message: 'which fl oz?',
      choices: [{ value: '10 US fl oz' }, {}],
    })
    expect(typedVolume('1,200 ml', null)).toMatchObject({ choices: [{ value: '1.200 ml' }, { value: '1200 ml' }] })
    expect(typedVolume('10 mg', null)).toBeNull()
    expect(typedVolume('10 us litres', null)).toBeNull()
  })
  test('a volume typed in gallons is held to the same limits', () => {
    expect(faultsOf('dose', { volumeL: '0 US gal', target: '2', product: 'copper' })['volumeL']!.message).toMatch(
      /^over 0/,
    )
  })
  test('an empty field is asked for, and nothing else is said of it', () => {
    expect(Object.keys(faultsOf('dose', { product: 'copper' })).sort()).toEqual(['target', 'volumeL'])
  })
})

describe('in a household that measures otherwise', () => {
  const US: UnitHabits = { volume: 'us-gal', length: 'in', temperature: 'F', salinity: 'sg', alkalinity: 'ppm' }
  const calculator = (id: string) => CALCULATORS.find((one) => one.id === id)!
  const answer = (id: string, values: Values) => {
    const result = computed(calculator(id), values, SHELF, US)
    if (!('answer' in result)) throw new Error(JSON.stringify(result.faults))
    return result.answer
  }
  const unitsOf = (id: string, values: Values = {}) =>
    Object.fromEntries(fieldsShown(calculator(id), values, SHELF, US).map(({ id: field, unit }) => [field, unit]))

  test('each field has the household’s unit beside it, and starts in it', () => {
    expect(unitsOf('salinity')).toMatchObject({ volumeL: 'US gal', from: 'SG', to: 'SG', step: 'SG', hours: 'h' })
    expect(unitsOf('element', { salt: 'sodium-bicarbonate' })).toMatchObject({ now: 'ppm', target: 'ppm' })
    expect(unitsOf('element', { salt: 'potassium-nitrate' })).toMatchObject({ now: 'mg/L' })
    expect(unitsOf('volume')).toMatchObject({ length: 'in', rock: 'lb', sump: 'US gal' })
    expect(fieldsShown(calculator('ammonia'), {}, SHELF, US).find(({ id }) => id === 'temperatureC')).toMatchObject({
      unit: '°F',
      start: '77',
    })
  })

  test('alkalinity typed in ppm is taken as ppm', () => {
    // 2 dKH are 35.7 ppm; 3.0 g in 100 L raise one degree: outbreaks.md 5.3.
    const typed = { volumeL: '26.417', salt: 'sodium-bicarbonate', now: '107.2', target: '142.9' }
    expect(answer('element', typed).lead.value as number).toBeCloseTo(3, 1)
  })

  test('salinity down by SG: the same litres as by psu', () => {
    const inSg = answer('salinity', {
      volumeL: '15.85',
      from: '1.0264',
      to: '1.0188',
      replacement: '1.000',
      step: '0.03',
    })
    const inPsu = computed(
      calculator('salinity'),
      { volumeL: '60', from: '35', to: '25', replacement: '0', step: '40' },
      SHELF,
    )
    expect(
      'answer' in inPsu && Math.abs((inSg.lead.value as number) - (inPsu.answer.lead.value as number)),
    ).toBeLessThan(0.15)
    expect(sentenceText(inSg.lines[0]!.value as never, US)).toMatch(/^4\.5\d* US gal → 1\.0188 SG$/)
  })

  test('what a limit is, is told in what was typed', () => {
    const result = computed(
      calculator('after-change'),
      { volumeL: '10', level: '2', changedL: '12', restore: '2.2', product: 'copper' },
      SHELF,
      US,
    )
    expect('faults' in result && result.faults['changedL']?.message).toMatch(/^at most 10:/)
    const salinity = computed(calculator('salinity'), { volumeL: '10', from: '35' }, SHELF, US)
    expect('faults' in salinity && salinity.faults['from']?.message).toMatch(/^“35” is no SG/)
  })
})

test('what a salt brings besides is for the amount that was asked for', () => {
  const { lines } = answerOf('element', { volumeL: '100', salt: 'potassium-nitrate', now: '0', target: '10' })
  const brings = lines.find(({ what }) => what === 'it also brings')!.value
  expect(sentenceText(brings as never, METRIC)).toBe('K +6.31 mg/L in all; oxidiser, sale limited')
})

test('potassium by carbonate goes no faster than the alkalinity it brings may', () => {
  const daily = (sps: string) =>
    answerOf('element', { volumeL: '100', salt: 'potassium-carbonate', now: '380', target: '401', sps }).lines.find(
      ({ what }) => what.startsWith('at most a day'),
    )!.value
  expect(daily('no')).toBe(10)
  expect(daily('yes')).toBeCloseTo(6.98, 2)
})
