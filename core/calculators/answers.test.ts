import { sentenceText } from '../words/measure.ts'
import { METRIC } from '../household/settings.ts'
import type { AnswerLine, Values } from './calculators.ts'
import { answerFor, answerOf, faultsOf } from './testing.ts'
import { calculatorWith } from './calculators.ts'

describe('what has no operation of its own is worked out from the handbook', () => {
  test('medicine in food: grams times milligrams, by the product’s strength', () => {
    const answer = answerOf('food', {
      dose: 'praziquantel-food',
      foodG: '20',
      target: '5',
      product: 'prazi',
    })
    expect(answer.lead).toMatchObject({ value: 0.1, unit: 'g' })
  })
  test('two degrees of alkalinity in 200 L: 12 g of bicarbonate, over two days', () => {
    const values = { volumeL: '200', salt: 'sodium-bicarbonate', now: '6', target: '8' }
    expect(answerOf('element', values).lead).toMatchObject({
      what: 'a day',
      value: expect.closeTo(6, 2) as number,
      unit: 'g',
    })
    expect(answerOf('element', { ...values, sps: 'yes' }).lead.value).toBeCloseTo(3, 3)
  })
  test('nitrate from 40 to 10 goes no faster than the handbook’s cap, day by day', () => {
    const { lead, lines } = answerOf('down', { volumeL: '100', what: 'no3', now: '20', target: '10' })
    // 20 → 15 is a quarter of the water; then 15 → 11.25, a quarter again, and the rest.
    expect(lead.value).toBeCloseTo(25, 9)
    const said = (value: AnswerLine['value']) => (typeof value === 'number' ? '' : sentenceText(value, METRIC))
    expect(lines.map(({ value }) => said(value))).toEqual(['25 L → 15 mg/L', '25 L → 11.3 mg/L', '11.1 L → 10 mg/L'])
    expect(faultsOf('down', { volumeL: '100', now: '5', target: '9' })['target']?.message).toMatch(/nothing to lower/)
  })
  test('ten US gallons are 37.85 L; 78 °F are 25.6 °C; 8.4 dKH are 3 meq/L', () => {
    const lead = (from: string, value: string) => answerOf('units', { from, value }).lead.value as number
    expect(lead('us-gal', '10')).toBeCloseTo(37.854, 3)
    expect(lead('f', '78')).toBeCloseTo(25.556, 3)
    expect(lead('dkh', '8.4')).toBeCloseTo(3, 9)
    expect(answerOf('units', { from: 'psu', value: '35' }).lead.value).toBe('1.0264')
  })
})

describe('what the keeper needs beside the number', () => {
  test('what the measured amount really makes, and where it lies in the handbook’s range', () => {
    const { says, lines } = answerOf('dose', { volumeL: '64.75', current: '2.04', target: '2.25', product: 'copper' })
    expect(sentenceText(says!, METRIC)).toBe('2.04 → 2.256 mg/L in 64.75 L')
    expect(lines).toContainEqual({ what: 'range, copper, chelated', value: '2–2.5 mg/L: in range' })
  })
  test('a dose too small to measure gets a stock to make up, and nothing to log', () => {
    const answer = answerOf('dose', { volumeL: '10', target: '0.1', product: 'prazi' })
    expect(answer.says).toMatch(/less than the tool/)
    expect(answer.lines).toContainEqual({
      what: 'dissolve 1 g in 100 mL of water, then dose',
      value: expect.closeTo(0.1, 9) as number,
      unit: 'mL',
    })
    expect(answer.log).toBeUndefined()
  })
  test('peroxide of 12 % is told to be thinned, with the protection it asks for', () => {
    const { cautions, lines } = answerOf('peroxide', { purpose: 'spot', volumeL: '100', percent: '12' })
    expect(cautions[0]).toMatch(/gloves and goggles/i)
    expect(lines.find(({ what }) => what.startsWith('to thin'))?.value).toBeCloseTo(3.13, 1)
  })
  test('a session’s cap of peroxide is never rounded over', () => {
    // 345 L at 0.79 mg/L is 2.18 mL of 12 %: 2.2 would be over.
    const { lead, says } = answerOf('peroxide', { purpose: 'spot', volumeL: '345', percent: '12', step: '0.1' })
    expect(lead.value).toBeCloseTo(2.1, 9)
    expect(says).toBe('makes 0.761 mg/L')
  })
  test('peroxide in a tank is dosed to the lowest level that fits who is in it, a higher one only when it is chosen', () => {
    const made = (values: Values) => {
      const { lead, lines } = answerOf('peroxide', { volumeL: '100', percent: '3', step: '0.01', ...values })
      return [lead.value, Object.fromEntries(lines.map(({ what, value }) => [what, value]))] as const
    }
    // 1 mL of 3 % for each 10 US gallons; 26 mL for each 100 L is one a gallon.
    expect(made({ company: 'nobody' })[0]).toBeCloseTo(2.6, 1)
    const [spot, after] = made({ company: 'fish', tier: 'spot-changed' })
    expect(spot).toBeCloseTo(5.28, 2)
    expect(after['then change, until 0.79 mg/L or less is left']).toBeCloseTo(50.6, 0)
    const [bare, halves] = made({ company: 'nobody', tier: 'bare-tank' })
    expect(bare).toBeCloseTo(26.08, 1)
    expect(halves['half changes, until 1 mg/L or less is left']).toBe(3)
    // A level that is not for this company is not taken over from the address.
    expect(made({ company: 'animals', tier: 'bare-tank' })[0]).toBeCloseTo(2.6, 1)
    expect(faultsOf('peroxide', { company: 'sensitive', volumeL: '100' })['company']?.message).toMatch(/take them out/)
  })
  test('no drug by the spoon; part of a packet by a stock', () => {
    const drug = answerFor('dose', { volumeL: '100', target: '12', product: 'cq' }, [
      {
        id: 'cq',
        name: 'chloroquine',
        ingredient: 'chloroquine',
        strength: { kind: 'powder', activeFraction: 1 },
        step: 0.01,
      },
    ])
    expect(drug.lead).toMatchObject({ value: 1.2, unit: 'g' })
    expect(JSON.stringify(drug)).not.toMatch(/tsp|spoon/)
    const packs = answerFor('dose', { volumeL: '140', target: '2', product: 'p' }, [
      {
        id: 'p',
        name: 'tablets',
        ingredient: 'praziquantel',
        strength: { kind: 'pack', mgPerPack: 200 },
        step: undefined,
      },
    ])
    expect(packs.lead).toMatchObject({ value: expect.closeTo(1.4, 9) as number, unit: 'packs' })
    expect(packs.lines).toContainEqual({
      what: 'by a stock',
      value: expect.stringMatching(/2 packs in 200 mL.*use 140 mL; 60 mL remain and keep 24 h/) as string,
    })
  })
  test('a label’s drops, packets and weighed teaspoons are strengths', () => {
    const dose = { volumeL: '200', current: '0', target: '1', product: 'typed' }
    const drops = answerOf('dose', { ...dose, form: 'drops-raise', labelAmount: '20', labelL: '100', strength: '0.5' })
    expect(drops.lead).toMatchObject({ value: 80, unit: 'drops' })
    const packs = answerOf('dose', { ...dose, form: 'packs-raise', labelL: '40', strength: '1' })
    expect(packs.lead).toMatchObject({ value: 5, unit: 'packs' })
    const spoons = answerOf('dose', { ...dose, target: '60', form: 'spoon', spoonG: '4' })
    expect(spoons.lead).toMatchObject({ value: 12, unit: 'g' })
    expect(spoons.lines).toContainEqual({ what: 'level teaspoons, as weighed', value: 3, unit: 'tsp' })
    expect(spoons.log).toMatchObject({ ingredient: 'salt' })
  })
  test('UV from its label: the slower the water, the larger the dose', () => {
    const values = { volumeL: '300', by: 'label', ratedDose: '30', ratedFlow: '900', flow: '450', lampWatts: '25' }
    const { lead, says, lines } = answerOf('uv', values)
    expect(lead.value).toBe(60)
    expect(says).toMatch(/^enough for dinoflagellates/)
    expect(lines).toMatchObject([
      { value: 1.5 },
      { value: [{ value: 12, unit: 'L' }, ...Array<unknown>(4).fill(expect.anything())] },
    ])
  })
  test('nor is a bath over the handbook’s highest', () => {
    const { lead } = answerOf('bath', { bath: 'formalin-bath', volumeL: '4', target: '167', step: '0.1' })
    expect((lead.value as number) * 1000).toBeLessThanOrEqual(167 * 4)
  })
  test('what is dosed to the tank can be logged, in milligrams too', () => {
    expect(answerOf('dose', { volumeL: '60', target: '1', product: 'copper' }).log).toEqual({
      ingredient: 'cu-chelated',
      amount: 6,
      massMg: 60,
      unit: 'mL',
    })
  })
})

describe('the Dose screen keeps to the handbook', () => {
  test('an element is not raised over its ceiling; its cap, its portions and its salt’s caution stand beside it', () => {
    const silica = { salt: 'sodium-silicate-pentahydrate', volumeL: '100', now: '1' }
    expect(faultsOf('element', { ...silica, target: '4' })).toMatchObject({
      target: { message: expect.stringMatching(/over the 3 mg\/L that .*silica/i) as string },
    })
    const answer = answerOf('element', { ...silica, target: '3' })
    expect(answer.lines).toContainEqual({ what: 'may come to, at most', value: 3, unit: 'mg/L' })
    expect(answer.cautions.join(' ')).toMatch(/caustic, pH over 12/)
    const magnesium = { salt: 'magnesium-chloride-hexahydrate', volumeL: '100', now: '1200' }
    expect(answerOf('element', { ...magnesium, target: '1300' }).lines).toContainEqual({
      what: 'portions a day, hours apart',
      value: 4,
      unit: '',
    })
    expect(answerOf('element', { ...magnesium, target: '1600' }).cautions.join(' ')).toMatch(
      /Over the usual band of magnesium/,
    )
    expect(faultsOf('element', { ...magnesium, target: '2500' })).toHaveProperty('target')
  })

  test('alkalinity down asks what the new salt water holds, in its own unit and words', () => {
    const down = { what: 'alk-kh', volumeL: '100', now: '12', target: '10' }
    expect(faultsOf('down', down)).toHaveProperty('replacement')
    expect(faultsOf('down', { ...down, replacement: '12' })).toMatchObject({
      target: { message: expect.stringMatching(/holds as much alkalinity/) as string },
    })
    const answer = answerOf('down', { ...down, replacement: '7' })
    expect(answer.cautions.join(' ')).not.toMatch(/nitrate/)
    expect(faultsOf('down', { ...down, now: '9', replacement: '7' })['target']!.message).toMatch(/9 dKH/)
  })

  test('salinity never comes up faster than its own caution', () => {
    const up = { volumeL: '100', from: '16', to: '24', replacement: '35' }
    // Without a word on the hours a day lies between the steps.
    expect(answerOf('salinity', up).lines.map(({ what }) => what)).toContain('after 24 h')
    expect(faultsOf('salinity', { ...up, hours: '12' })).toMatchObject({
      hours: { message: expect.stringMatching(/at most 0.002 SG/) as string },
    })
    expect(faultsOf('salinity', { ...up, step: '8' })).toHaveProperty('step')
    expect(faultsOf('salinity', { ...up, to: '19', step: '3' })).toHaveProperty('step')
    expect(answerOf('salinity', { ...up, from: '35', to: '16', replacement: '0', hours: '12' }).lines).not.toEqual([])
  })

  test('formalin is counted in µL of the product, and every unit has its range', () => {
    const formalin = {
      id: 'f',
      name: 'formalin',
      ingredient: 'formalin',
      strength: { kind: 'solution', mgPerMl: 1000 },
      step: 0.1,
    } as const
    const answer = answerFor('dose', { volumeL: '100', target: '15', product: 'f' }, [formalin])
    expect(answer.lead).toMatchObject({ value: 1.5, unit: 'mL' })
    expect(answer.lines).toContainEqual({ what: 'of the 37 % product', value: 1500, unit: 'µL' })
    expect(JSON.stringify(answer)).not.toMatch(/mg\/L/)
    const salt = {
      id: 's',
      name: 'salt',
      ingredient: 'salt',
      strength: { kind: 'powder', activeFraction: 1 },
      step: 1,
    } as const
    expect(
      answerFor('dose', { volumeL: '100', target: '2000', product: 's' }, [salt])
        .lines.map(({ value }) => JSON.stringify(value))
        .join(' '),
    ).toMatch(/g\/L: (under|in range|over)/)
  })

  test('the caution of kit against card follows the higher of the two', () => {
    const water = { pH: '8.2', temperatureC: '25', salinity: '35', sd: '0.1' }
    const caution = (tan: string, low: string, high: string) =>
      answerOf('ammonia', { ...water, tan, cardLow: low, cardHigh: high }).cautions.join(' ')
    expect(caution('0.1', '0', '0.02')).toBe('')
    expect(caution('0.4', '0', '0.02')).toMatch(/^Over 0.02/)
    expect(caution('0.1', '0.05', '0.2')).toMatch(/^Over 0.05/)
    expect(caution('0.1', '0.26', '0.5')).toMatch(/^Over 0.25/)
    expect(caution('5', '0', '0.02')).toMatch(/^Over 0.25/)
  })

  test.each([
    [{ flow: '800', watts: '18' }, 'uv'],
    [{ target: '1' }, 'dose'],
    [{ tan: '1', pH: '8' }, 'ammonia'],
    [{ from: '35', to: '16', replacement: '0' }, 'salinity'],
    [{}, 'dose'],
  ])('a link with %j opens %s', (values, id) => expect(calculatorWith(values).id).toBe(id))
})

describe('a pump’s day, for a pump of any make', () => {
  const stock = {
    id: 'k',
    name: 'potassium stock',
    ingredient: 'potassium-carbonate',
    strength: { kind: 'solution', mgPerMl: 50 },
    step: 0.1,
  } as const
  const asked = { volumeL: '200', daily: '5.586', product: 'k', bottleMl: '500', residueMl: '20' }
  test('mL an hour, from when until when, when the bottle is empty, and what comes along in one line', () => {
    // 5.586 mg/L of 200 L are 1,117 mg, 22.34 mL of 50 mg/mL; eight hours of the night.
    const answer = answerFor('pump-day', { ...asked, from: '22:00', until: '6:00' }, [stock])
    expect(answer.lead).toMatchObject({ what: 'an hour', value: expect.closeTo(22.344 / 8, 3) as number, unit: 'mL' })
    expect(answer.says).toBe('from 22:00 until 06:00')
    // 480 mL: 21 days and 0.483 of a night.
    expect(answer.lines).toContainEqual({ what: 'the bottle is empty', value: 'after 21 full days, about 01:51' })
    const along = answer.lines.find(({ what }) => what === 'brings along a day')!
    expect(sentenceText(along.value as never, METRIC)).toBe('0.4 dKH of alkalinity')
  })
  test('more than a day’s cap, its own or that of what comes along, is said', () => {
    const cautions = (daily: string) => answerFor('pump-day', { ...asked, daily }, [stock]).cautions.join(' ')
    expect(cautions('5')).not.toMatch(/a day, unless/)
    // 15 mg/L of potassium are under its 20, and bring 1.07 dKH.
    expect(cautions('15')).toMatch(/^Raises alkalinity by more than 1 dKH a day/)
    expect(cautions('25')).toMatch(/Raises potassium by more than 20/)
  })
  test('all day long; a small bottle; what is no solution, no time, or too little', () => {
    const all = answerFor('pump-day', asked, [stock])
    expect(all.lead.value).toBeCloseTo(22.344 / 24, 4)
    expect(all.says).toBe('all day')
    expect(answerFor('pump-day', { ...asked, bottleMl: '30' }, [stock]).lines).toContainEqual({
      what: 'the bottle is empty',
      value: 'on the first day, about 10:44',
    })
    expect(faultsOf('pump-day', { volumeL: '200', daily: '2', product: 'prazi' })).toHaveProperty('product')
    expect(faultsOf('pump-day', { ...asked, product: 'copper', from: 'noon' })).toHaveProperty('from')
    expect(faultsOf('pump-day', { ...asked, product: 'copper', residueMl: '600' })).toHaveProperty('residueMl')
  })
})
