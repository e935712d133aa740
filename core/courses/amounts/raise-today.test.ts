import type { Content } from '../../journal/entry.ts'
import { planCourse } from '../testing/plans.ts'

/** A stock of potassium chloride with 50 mg of potassium in a mL, and one of sodium nitrate with 10 mg of nitrate. */
const STOCKS: readonly Content[] = [
  ['kcl', 'potassium-chloride', 50],
  ['nitrate', 'sodium-nitrate', 10],
].map(([productId, ingredient, mgPerMl]) => ({
  kind: 'product-setup',
  happened: '2026-10-20T00:00:00Z',
  productId,
  name: `${productId} stock`,
  ingredient,
  strength: { kind: 'solution', mgPerMl },
  measure: { tool: 'syringe', step: 0.5 },
})) as Content[]

function course(definition: string, options: Record<string, string> = {}) {
  const it = planCourse(definition, { options })
  for (const stock of STOCKS) it.write(stock)
  const due = (day: number) => it.plan(day).tasks.filter(({ act }) => act === 'dose')
  const dose = (day: number, ingredient: string, massMg: number) =>
    it.write({ kind: 'dose', ...it.at(day), tankId: 'tank', ingredient, amount: massMg / 50, unit: 'mL', massMg })
  return { ...it, due, dose }
}

describe('potassium by hand, in 100 L', () => {
  test('350 mg/L: no dose before today’s test; then 10 mg/L under the careful cap, of 20 mL a portion of 5', () => {
    const it = course('element-correct', { element: 'k' })
    it.read(-3, 'k', 350)
    expect(it.due(0.6)).toEqual([])
    it.read(0.6, 'k', 350)
    const [task] = it.due(0.7)
    // To the middle of 370 to 430 it is 50: five days. 10 mg/L × 100 L ÷ 50 mg/mL.
    expect(task).toMatchObject({
      step: 'step-2-dose',
      ingredient: 'potassium-chloride',
      title: 'Raise potassium today: kcl stock, portion 1 of 4',
      why: 'by today’s test; 5 days like this make 400 mg/L',
      makes: '350 mg/L → 353 mg/L',
      dose: { amount: 5, unit: 'mL', productId: 'kcl' },
      state: 'due',
    })
    expect(task!.how).toBe('One portion now, slowly, into strong flow; the next two hours later.')
    // What is minded stands beside it.
    expect(task!.caution).toMatch(/second kit or a lab .*Test before each day’s dose/)
  })
  test('each press logs one portion; the next two hours later, four in any twenty hours, from the test before the first', () => {
    const it = course('element-correct', { element: 'k' })
    const hour = (n: number) => 0.5 + n / 24
    /** The portion that is due, its mL and the hour from which it may go in; logged by its own task. */
    const press = (at: number, mL?: number) => {
      const [task] = it.due(hour(at))
      it.write({
        kind: 'dose',
        ...it.at(hour(at)),
        tankId: 'tank',
        taskId: task!.id,
        ingredient: 'potassium-chloride',
        productId: 'kcl',
        amount: mL ?? task!.dose!.amount!,
        unit: 'mL',
        massMg: 50 * (mL ?? task!.dose!.amount!),
      })
    }
    const next = (at: number) =>
      it.due(hour(at)).map(({ title, dose, notBefore, makes }) => ({
        portion: title.slice(-6),
        mL: dose!.amount,
        from: Math.round((notBefore - it.ms(0.5)) / 3_600_000),
        makes,
      }))
    it.read(hour(0), 'k', 350)
    press(1)
    expect(next(1.1)).toEqual([{ portion: '2 of 4', mL: 5, from: 3, makes: '353 mg/L → 355 mg/L' }])
    expect(it.due(hour(1.1))[0]!.state).not.toBe('due')
    press(3)
    // A test in between is no new start, and of what is left each portion has its share: 10 mL less 1 in two.
    it.read(hour(4), 'k', 355)
    press(5, 1)
    expect(next(7)).toEqual([{ portion: '4 of 4', mL: 9, from: 7, makes: '356 mg/L → 360 mg/L' }])
    press(11)
    expect(next(11.5)).toEqual([])
    // The next day: from its test, and not before the first of the last four is twenty hours ago.
    it.read(hour(13), 'k', 359)
    expect(next(13)).toMatchObject([{ portion: '1 of 4', from: 21 }])
    press(21)
    expect(next(21.5)).toMatchObject([{ portion: '2 of 4', from: 23 }])
    press(23)
    press(25)
    // The fourth would be the fifth portion within twenty hours of yesterday evening's.
    expect(next(25)).toMatchObject([{ portion: '4 of 4', from: 31 }])
  })
  test('a syringe that cannot measure a quarter of it has fewer, larger portions', () => {
    const it = planCourse('element-correct', { options: { element: 'k' } })
    it.write({ ...STOCKS[0]!, measure: { tool: 'syringe', step: 6 } } as Content)
    it.read(0.6, 'k', 350)
    const [task] = it.plan(0.7).tasks.filter(({ act }) => act === 'dose')
    expect(task).toMatchObject({ title: expect.stringMatching(/portion 1 of 3$/) as string, dose: { amount: 6 } })
  })
  test('once a whole dose of another hand is in, none until the test of the next day', () => {
    const it = course('element-correct', { element: 'k' })
    it.read(0.6, 'k', 350)
    it.dose(0.7, 'potassium-chloride', 1000)
    expect(it.due(0.8)).toEqual([])
    expect(it.due(1.2)).toEqual([])
    it.read(1.3, 'k', 359)
    // Not two days' caps within one night: twenty hours after it at the earliest.
    expect(it.due(0.7 + 19 / 24 + 0.01)).toEqual([])
    expect(it.due(0.7 + 20 / 24 + 0.01)).toMatchObject([
      { makes: expect.stringMatching(/^359 mg\/L → 36\d/) as string },
    ])
  })
  test('never two carbonates together: one that brings alkalinity waits where that was raised today', () => {
    const it = planCourse('element-correct', { options: { element: 'k' } })
    it.write({
      kind: 'product-setup',
      ...it.at(-5),
      productId: 'carbonate',
      name: 'potassium carbonate',
      ingredient: 'potassium-carbonate',
      strength: { kind: 'solution', mgPerMl: 50 },
    })
    const due = (day: number) => it.plan(day).tasks.filter(({ act }) => act === 'dose')
    it.read(0.6, 'k', 350)
    it.read(0.6, 'alk-kh', 8)
    expect(due(0.7)).toMatchObject([{ ingredient: 'potassium-carbonate' }])
    expect(due(0.7)[0]!.caution).toMatch(/Caustic dust: goggles/)
    it.write({
      kind: 'dose',
      ...it.at(0.65),
      tankId: 'tank',
      ingredient: 'sodium-bicarbonate',
      amount: 1,
      unit: 'g',
      massMg: 1000,
    })
    expect(due(0.7)).toEqual([])
  })
  test.each<[string, readonly [day: number, dkh: number][], RegExp | null]>([
    ['in its band', [[0.6, 8]], null],
    ['over its band', [[0.6, 11]], /^0 of potassium carbonate today: alkalinity is over its band; /i],
    [
      'rising by 1.2 dKH in a day',
      [
        [-0.4, 7.6],
        [0.6, 8.8],
      ],
      /alkalinity already rises by more than its daily cap; /i,
    ],
    ['not tested', [], /alkalinity was not tested in the last two days; /i],
    ['tested three days ago', [[-2.4, 8]], /alkalinity was not tested in the last two days; /i],
  ])('potassium carbonate with alkalinity %s', (_, tests, why) => {
    const it = planCourse('element-correct', { options: { element: 'k' } })
    it.write({
      kind: 'product-setup',
      ...it.at(-5),
      productId: 'carbonate',
      name: 'carbonate stock',
      ingredient: 'potassium-carbonate',
      strength: { kind: 'solution', mgPerMl: 50 },
    })
    it.read(0.6, 'k', 350)
    for (const [day, dkh] of tests) it.read(day, 'alk-kh', dkh, 'dKH')
    const [task, ...more] = it.plan(0.7).tasks.filter(({ act }) => act === 'dose')
    expect(more).toEqual([])
    if (why === null) {
      expect(task).toMatchObject({ ingredient: 'potassium-carbonate', dose: { productId: 'carbonate' } })
      return
    }
    // The chloride raises potassium alone: 10 mg/L in 100 L are 1.91 g of it.
    expect(task).toMatchObject({
      ingredient: 'potassium-chloride',
      dose: { amount: expect.closeTo(1.91 / 4, 2), unit: 'g' },
    })
    expect(task!.why).toMatch(why)
  })
  test('small-polyp corals and the tank’s own band set the caps and the goal', () => {
    const reef = (profile?: 'reef-sps') => {
      const it = planCourse('element-correct', { options: { element: 'alk-kh' } })
      if (profile) {
        it.write({ kind: 'tank-change', ...it.at(-10), tankId: 'tank', changes: { profile } })
        it.write({
          kind: 'arrival',
          ...it.at(-9),
          animalId: 'horn',
          tankId: 'tank',
          name: 'Horn',
          species: 'acropora',
          group: 'coral-sps',
          count: 1,
        })
      }
      it.read(1.4, 'alk-kh', 7, 'dKH')
      it.read(2.4, 'alk-kh', 7.7, 'dKH')
      return it
    }
    expect(reef().rule('stop-1', 2.5).state).toBe('not-yet')
    expect(reef('reef-sps').rule('stop-1', 2.5)).toMatchObject({ state: 'holds', limit: 0.5 })
    const goal = (it: ReturnType<typeof reef>) => {
      for (let day = 3; day <= 12; day++) it.read(day, 'alk-kh', 9.5, 'dKH')
      return it.rule('success', 12.1).state
    }
    expect(goal(reef())).toBe('holds')
    expect(goal(reef('reef-sps'))).toBe('not-yet')
  })
  test('a jump over the cap makes it wait for the rule that says to skip a day', () => {
    const it = course('element-correct', { element: 'k' })
    it.read(0.6, 'k', 350)
    it.read(1.5, 'k', 372)
    expect(it.due(1.55)).toMatchObject([{ waitsFor: ['potassium over its cap a day'] }])
  })
  test('at the middle of the band there is nothing to dose, and another element’s course doses none of it', () => {
    const it = course('element-correct', { element: 'k' })
    it.read(0.6, 'k', 401)
    expect(it.due(0.7)).toEqual([])
    const other = course('element-correct', { element: 'ca' })
    other.read(0.6, 'k', 350)
    expect(other.due(0.7)).toEqual([])
  })
  test('alkalinity under the careful cap, in portions of a quarter of a degree', () => {
    const it = course('element-correct', { element: 'alk-kh' })
    it.write({
      kind: 'product-setup',
      ...it.at(-5),
      productId: 'soda',
      name: 'baking soda',
      ingredient: 'sodium-bicarbonate',
      strength: { kind: 'powder', activeFraction: 1 },
      measure: { tool: 'scale', step: 0.01 },
    })
    it.read(0.6, 'alk-kh', 7, 'dKH')
    // To 8.75 at half a degree a day: four days of 0.4375, 30 mg/L a degree in 100 L.
    expect(it.due(0.7)).toMatchObject([
      {
        ingredient: 'sodium-bicarbonate',
        title: 'Raise alkalinity today: baking soda, portion 1 of 2',
        // Never more than the share of 0.655 g.
        dose: { amount: 0.65, unit: 'g' },
      },
    ])
    expect(it.due(0.7)[0]!.makes).toMatch(/^7\.0 dKH → 7\.2 dKH$/)
  })
  test.each([
    ['moves a little: its last value is dosed by', 0.01, 1],
    ['stands still: nothing is dosed by it', 0, 0],
  ])('a probe that %s', (_words, move, doses) => {
    const it = course('element-correct', { element: 'alk-kh' })
    for (let i = 0; i < 40; i++)
      it.write({
        kind: 'reading',
        ...it.at(-3 + i * 0.1),
        tankId: 'tank',
        parameter: 'alk-kh',
        result: { kind: 'value', value: 7 + (i % 2) * move },
        unit: 'dKH',
        origin: 'probe',
        deviceId: 'probe',
      })
    expect(it.due(0.95)).toHaveLength(doses)
  })
  test('a pump that raises it is not helped by hand', () => {
    const it = course('element-correct', { element: 'k' })
    it.read(0.6, 'k', 350)
    it.write({
      kind: 'pump-plan',
      ...it.at(0.55),
      deviceId: 'pump',
      tankId: 'tank',
      productId: 'kcl',
      mlByHour: Array.from({ length: 24 }, (_, hour) => (hour % 6 === 0 ? 5 : 0)),
    })
    expect(it.due(0.7)).toEqual([])
  })
})

describe('nutrients, a little at a time', () => {
  test('1 mg/L of nitrate up to 5; phosphate without a salt on the shelf is said in grams', () => {
    const it = course('nutrient-raise')
    it.read(0.6, 'no3', 1.5)
    it.read(0.6, 'po4', 0.01)
    const [nitrate, phosphate] = it.due(0.7)
    // 1 mg/L × 100 L ÷ 10 mg/mL.
    expect(nitrate).toMatchObject({ step: 'step-1-no3', dose: { amount: 10, unit: 'mL' } })
    expect(phosphate).toMatchObject({ step: 'step-1-po4', dose: { unit: 'g', productId: null } })
    // Of the dry salt 1.43 mg for 0.01 mg/L in 100 L: outbreaks.md 5.3.
    expect(phosphate!.dose!.amount).toBeCloseTo(0.00286, 4)
    expect(phosphate!.how).toMatch(/^Too little to weigh dry: make a stock/)
    it.read(1.6, 'no3', 4.6)
    expect(it.due(1.7)[0]!.dose).toMatchObject({ amount: 4 })
    it.read(2.6, 'no3', 5)
    expect(it.due(2.7).filter(({ step }) => step === 'step-1-no3')).toEqual([])
  })
  test.each([
    ['phosphate', 'po4', 0.25, ['step-1-no3']],
    ['nitrate', 'no3', 26, ['step-1-po4']],
  ])('%s over its stop holds itself alone', (_, parameter, value, open) => {
    const it = course('nutrient-raise')
    it.read(0.6, 'no3', 1.5)
    it.read(0.6, 'po4', 0.01)
    it.read(0.65, parameter, value)
    expect(it.due(0.7).flatMap(({ step, waitsFor }) => (waitsFor ? [] : [step]))).toEqual(open)
  })
  test.each<[string, number, number, number, 'holds' | 'not-yet']>([
    ['nitrate by a quarter and more', 8, 5.5, 0, 'holds'],
    ['nitrate by less than a quarter', 8, 6.5, 0, 'not-yet'],
    ['phosphate over 0.2 by a fifth', 0, 0.4, 0.33, 'not-yet'],
    ['phosphate over 0.2 by more', 0, 0.4, 0.3, 'holds'],
    ['phosphate under 0.2 by 0.06', 0, 0.15, 0.09, 'holds'],
  ])('lowering them: %s', (words, from, to, po4, state) => {
    const it = planCourse('nutrient-lower')
    const [parameter, values] = words.startsWith('nitrate') ? ['no3', [from, to]] : ['po4', [to, po4]]
    values.forEach((value, i) => it.read(1.4 + i, parameter, value))
    const other = parameter === 'no3' ? 'po4' : 'no3'
    for (const day of [1.4, 2.4]) it.read(day, other, 0.1)
    expect(it.rule('stop-1', 2.5).state).toBe(state)
  })
})
