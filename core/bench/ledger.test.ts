import { productById } from '../household/shelf.ts'
import { tanksOf } from '../household/tanks.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import { measureOut, needsOf, optionOfCourse, presetOption, proposedBy, ringsOf } from './begin.ts'
import { ledgerOf } from './ledger.ts'
import { subjectNameOf, subjectsOf } from './subjects.ts'
import { at, fish, now, part, session, tank } from './testing.ts'
import { procedureById } from '../catalogue/procedures/procedures.ts'
import { concernsOf } from '../safety/concerns.ts'

const product = (productId: string, ingredient: string, strength: ContentOf<'product-setup'>['strength']): Content => ({
  kind: 'product-setup',
  ...at(-9000),
  productId,
  name: productId,
  ingredient,
  strength,
})

const kinds = (contents: readonly Content[]) => contents.map(({ kind }) => kind)

test('a session with the syringe is one dose, at the minute of its last spot', () => {
  const overrides = [{ rule: 'r', why: 'no shrimp left', vetAgreed: false }]
  const it = session('peroxide-spot', { partIds: ['A', 'B'], courseId: 'c', taskId: 'c/step-2/1', overrides })
  it.prepare(1)
  it.mark(5, 'spot', 'done', { partId: 'A', values: [{ id: 'ml', value: 0.8 }] })
  it.mark(7, 'spot', 'done', { partId: 'B', values: [{ id: 'ml', value: 0.5 }] })
  const [dose, ...rest] = ledgerOf(it.journal(), it.run(), 50, now(40))
  expect(dose).toMatchObject({
    kind: 'dose',
    happened: at(7).happened,
    ingredient: 'peroxide',
    amount: 1.3,
    // 3 % by mass: 30.28 mg in a mL.
    massMg: expect.closeTo(39.4, 1) as number,
    courseId: 'c',
    taskId: 'c/step-2/1',
    overrides,
  })
  // No such course is on record: the task is the keeper’s word.
  expect(kinds(rest)).toEqual(['task'])
})

test('a session draws the only bottle on the shelf down: its own mL, of 6 % half as many', () => {
  const drawn = (mgPerMl: number, ...more: Content[]) => {
    const bottle = product('perox', 'peroxide', { kind: 'solution', mgPerMl })
    const it = session('peroxide-spot', { partIds: ['A'] }, [bottle, ...more])
    it.prepare(1)
    it.mark(5, 'spot', 'done', { partId: 'A', values: [{ id: 'ml', value: 1 }] })
    return ledgerOf(it.journal(), it.run(), 50, now(40))[0]
  }
  expect(drawn(30)).toMatchObject({ productId: 'perox', amount: 1, massMg: 30 })
  expect(drawn(60.56)).toMatchObject({ productId: 'perox', amount: expect.closeTo(0.5, 3) as number })
  // Of two bottles nobody can say which.
  expect(drawn(30, product('other', 'peroxide', { kind: 'solution', mgPerMl: 60 }))).not.toHaveProperty('productId')
})

test('a dip round is one dip of those that were in it, as long as the longest, and counts of each', () => {
  const measuredOut = { ingredient: 'iodine-dip', productId: 'iodine', amount: 1.6, unit: 'mL' as const, massMg: 80 }
  const it = session('coral-dip', {
    partIds: ['A', 'B', 'C'],
    choices: [{ id: 'dip', option: 'iodine' }],
    figures: [{ id: 'tubL', value: 4 }],
    measuredOut,
    courseId: 'c9',
    taskId: 'c9/dip/1',
  })
  it.prepare(0)
  it.mark(1, 'dip', 'begun', { partId: 'A' })
  it.mark(2, 'dip', 'begun', { partId: 'B' })
  it.mark(6, 'dip', 'done', { partId: 'A' })
  it.mark(9, 'dip', 'done', { partId: 'B' })
  it.mark(10, 'count', 'done', {
    partId: 'A',
    values: [
      { id: 'came-off', value: 3 },
      { id: 'eggs', value: 1 },
      { id: 'brushed', value: 1 },
    ],
  })
  it.mark(11, 'count', 'done', {
    partId: 'B',
    values: [
      { id: 'came-off', value: 0 },
      { id: 'eggs', value: 0 },
      { id: 'brushed', value: 1 },
    ],
  })
  for (const step of ['dip', 'count', 'rinse', 'back']) it.mark(12, step, 'skipped', { partId: 'C', why: 'glued down' })
  const contents = ledgerOf(it.journal(), it.run(), 120, now(20))
  expect(contents[0]).toMatchObject({
    kind: 'bath',
    happened: at(9).happened,
    partIds: ['A', 'B'],
    animalIds: [],
    ...measuredOut,
    litres: 4,
    water: 'tank',
    minutes: 7,
    courseId: 'c9',
    taskId: 'c9/dip/1',
  })
  expect(contents.filter(({ kind }) => kind === 'count')).toMatchObject([
    {
      measure: 'came-off',
      parts: [
        { partId: 'A', value: 3 },
        { partId: 'B', value: 0 },
      ],
    },
    {
      measure: 'eggs',
      parts: [
        { partId: 'A', value: 1 },
        { partId: 'B', value: 0 },
      ],
    },
    {
      measure: 'brushed',
      parts: [
        { partId: 'A', value: 1 },
        { partId: 'B', value: 1 },
      ],
    },
  ])
})

test('a bath and the move after it, each when it happened; ended early it says why', () => {
  const measuredOut = { ingredient: 'peroxide', productId: 'perox', amount: 10, unit: 'mL' as const, massMg: 300 }
  const it = session(
    'bath-peroxide',
    { animalIds: ['spike', 'needle'], figures: [{ id: 'tubL', value: 4 }], measuredOut, toTankId: 'other' },
    [tank('study', 60), tank('other', 60), fish('spike'), fish('needle')],
  )
  it.prepare(0)
  it.mark(2, 'in')
  it.mark(3, 'bath', 'begun')
  it.mark(23, 'bath', 'done', { why: 'needle lay over' })
  it.mark(25, 'moved')
  const contents = ledgerOf(it.journal(), it.run(), 60, now(40))
  expect(contents).toMatchObject([
    {
      kind: 'bath',
      happened: at(23).happened,
      animalIds: ['spike', 'needle'],
      minutes: 20,
      water: 'new',
      stopped: 'needle lay over',
    },
    {
      kind: 'move',
      happened: at(25).happened,
      animalId: 'spike',
      fromTankId: 'study',
      toTankId: 'other',
      cleanTransfer: true,
    },
    { kind: 'move', animalId: 'needle' },
  ])
})

test('fish are moved one by one; one that was left out stays', () => {
  const it = session('transfer', { animalIds: ['spike', 'needle'], toTankId: 'other' }, [
    tank('study', 60),
    tank('other', 60),
    fish('spike'),
    fish('needle'),
  ])
  it.prepare(0)
  it.mark(1, 'catch', 'done', { animalId: 'spike' })
  it.mark(2, 'moved', 'done', { animalId: 'spike' })
  it.mark(3, 'catch', 'skipped', { animalId: 'needle', why: 'behind the rock' })
  it.mark(3, 'moved', 'skipped', { animalId: 'needle', why: 'behind the rock' })
  expect(ledgerOf(it.journal(), it.run(), 60, now(9))).toMatchObject([
    { kind: 'move', animalId: 'spike', happened: at(2).happened },
  ])
})

test('half changes, a redose and mixed water', () => {
  const measuredOut = { ingredient: 'fenbendazole', productId: 'fen', amount: 0.25, unit: 'g' as const, massMg: 55 }
  const half = session('planaria-half-change', { partIds: ['jar'], measuredOut })
  half.prepare(0)
  half.mark(1, 'score', 'done', { partId: 'jar', values: [{ id: 'alive', value: 4 }] })
  half.mark(5, 'change', 'done', { values: [{ id: 'changedL', value: 50 }] })
  half.mark(8, 'pour')
  expect(ledgerOf(half.journal(), half.run(), 100, now(10))).toMatchObject([
    { kind: 'water-change', litres: 50, happened: at(5).happened },
    { kind: 'dose', ingredient: 'fenbendazole', amount: 0.25, massMg: 55, happened: at(8).happened },
    { kind: 'count', measure: 'alive', parts: [{ partId: 'jar', value: 4 }] },
  ])
  const bare = session('cyano-peroxide')
  bare.prepare(0)
  bare.mark(2, 'pour', 'done', { values: [{ id: 'ml', value: 3.9 }] })
  for (const step of ['half-1', 'half-2', 'half-3']) bare.mark(15, step)
  const left = ledgerOf(bare.journal(), bare.run(), 15, now(20))
  expect(kinds(left)).toEqual(['dose', 'water-change', 'water-change', 'water-change'])
  expect(left[1]).toMatchObject({ litres: 7.5 })
  const mixed = session('mix-water', {
    figures: [
      { id: 'litres', value: 20 },
      { id: 'psu', value: 35 },
    ],
  })
  mixed.prepare(0)
  mixed.mark(70, 'measure', 'done', {
    values: [
      { id: 'mixedPsu', value: 34.6 },
      { id: 'mixedC', value: 25 },
    ],
  })
  expect(ledgerOf(mixed.journal(), mixed.run(), null, now(80))).toMatchObject([
    {
      kind: 'new-water',
      litres: 20,
      saltG: 721,
      salinityPsu: 34.6,
      readings: [{ parameter: 'temperature', value: 25 }],
    },
  ])
})

test('heads counted before the dark are a count of the whole tank, before and after comparable', () => {
  const it = session('blackout-cover', { courseId: 'c' })
  it.prepare(1)
  it.mark(2, 'heads', 'done', { values: [{ id: 'heads', value: 7 }] })
  it.mark(3, 'cover')
  expect(ledgerOf(it.journal(), it.run(), 50, now(4))).toContainEqual({
    kind: 'count',
    happened: at(2).happened,
    tankId: 'study',
    measure: 'head-count',
    values: [7],
    courseId: 'c',
  })
})

test('without a product nothing is taken for a freshwater dip; a freshwater dip is its water alone', () => {
  const start = { animalIds: ['spike'], figures: [{ id: 'tubL', value: 4 }] }
  const propose = (procedure: string) =>
    proposedBy(
      session(procedure, start).journal(),
      procedureById(procedure)!,
      { kind: 'bench-start', ...at(0), benchId: 'd', procedure, tankId: 'study', ...start },
      60,
      now(0),
    )
  expect(propose('bath-formalin')).toEqual([])
  expect(propose('dip-freshwater')).toMatchObject([
    { kind: 'bath', ingredient: 'fw-dip', amount: 4000, unit: 'mL', minutes: 5 },
  ])
  // Its fish is on nobody's record here; nothing else speaks against it.
  const found = concernsOf(session('dip-freshwater').journal(), propose('dip-freshwater')[0]!, { now: now(0) })
  expect(found.map(({ rule }) => rule)).toEqual(['cannot-judge'])
})

test('stopped before its first step it leaves nothing in the ledger', () => {
  const it = session('bath-peroxide', { animalIds: ['spike'], figures: [{ id: 'tubL', value: 4 }], taskId: 'c/bath/1' })
  it.mark(1, 'before-wear')
  expect(ledgerOf(it.journal(), it.run(), 60, now(2))).toEqual([])
})

describe('before it begins', () => {
  const journal = (...more: Content[]) => session('mix-water', {}, [tank('study', 60), ...more]).journal()
  test('corals that must not have the dip are told apart, controls and lost pieces are not offered', () => {
    const it = journal(
      part('zoa', 'coral', { group: 'coral-soft' }),
      part('nem', 'coral', { group: 'anemone' }),
      part('rock-1', 'rock'),
      part('spot', 'patch'),
      part('spot-2', 'patch', { control: true }),
      fish('spike'),
    )
    const ids = (id: string, dip?: string) =>
      subjectsOf(it, 'study', procedureById(id)!, dip).map((one) => `${one.id}${one.mustNot === null ? '' : '!'}`)
    expect(ids('coral-dip', 'iodine')).toEqual(['zoa', 'nem!'])
    expect(ids('peroxide-spot')).toEqual(['spot'])
    expect(ids('peroxide-bench')).toEqual(['rock-1', 'zoa', 'nem'])
    expect(ids('transfer')).toEqual(['spike'])
    expect(subjectNameOf(it)('zoa')).toBe('the zoa')
    expect(subjectNameOf(it)('spike')).toBe('spike')
    expect(subjectNameOf(it)('gone')).toBe('gone')
  })
  test('air time and tier stand at the careful choice', () => {
    const it = journal(
      part('zoa', 'coral', { group: 'coral-soft' }),
      part('acro', 'coral', { group: 'coral-sps' }),
      fish('spike'),
    )
    const air = (...ids: string[]) => presetOption(it, 'study', procedureById('bubble-rock')!, 'air', ids)
    expect(air('zoa')).toBe('hardy')
    expect(air('zoa', 'acro')).toBe('small-polyp')
    expect(air()).toBe('small-polyp')
    expect(presetOption(it, 'study', procedureById('peroxide-spot')!, 'tier', [])).toBe('spot')
    expect(presetOption(it, 'study', procedureById('bath-peroxide')!, 'afterwards', [])).toBe('move')
  })
  test('what a course has chosen is taken over: its tier by its own name', () => {
    expect(optionOfCourse({ options: { tier: 'changed', dose: 'high' } }, 'tier')).toBe('spot-changed')
    expect(optionOfCourse({ options: { tier: 'animals-in' } }, 'tier')).toBe('spot')
    expect(optionOfCourse({ options: { dose: 'high' } }, 'dose')).toBe('high')
    expect(optionOfCourse({ options: {} }, 'tier')).toBeUndefined()
  })
  test('a bath, a dip and a dose are measured out of the product', () => {
    const it = journal(
      product('perox', 'peroxide', { kind: 'solution', mgPerMl: 30 }),
      product('fen', 'fenbendazole', { kind: 'powder', activeFraction: 0.22 }),
    )
    const peroxide = productById(it, 'perox')
    const bath = measureOut(procedureById('bath-peroxide')!, {}, peroxide, 4, null)
    // 75 mg/L in 4 L is 300 mg.
    expect(bath).toMatchObject({ ingredient: 'peroxide', productId: 'perox', massMg: expect.closeTo(300, 6) as number })
    expect(bath!.amount * peroxide!.mgPerUnit).toBeCloseTo(300, 3)
    expect(measureOut(procedureById('bath-peroxide')!, {}, null, 4, null)).toBeNull()
    expect(measureOut(procedureById('bath-peroxide')!, {}, peroxide, null, null)).toBeNull()
    const fen = measureOut(procedureById('planaria-dose')!, {}, productById(it, 'fen'), 100, null)
    // 0.55 mg/L in 100 L is 55 mg.
    expect(fen!.massMg).toBeCloseTo(55, 6)
    const high = measureOut(
      procedureById('planaria-dose')!,
      { choices: [{ id: 'dose', option: 'high' }] },
      productById(it, 'fen'),
      100,
      null,
    )
    expect(high!.massMg).toBeCloseTo(260, 6)
    // After a half change the replaced half, or all of it; less than the tool measures is nothing.
    const again = (option: string, litres: number) =>
      measureOut(
        procedureById('planaria-half-change')!,
        { choices: [{ id: 'redose', option }] },
        productById(it, 'fen'),
        litres,
        null,
      )
    expect(again('replaced', 100)!.massMg).toBeCloseTo(27.5, 6)
    expect(again('full', 100)!.massMg).toBeCloseTo(55, 6)
    expect(needsOf(procedureById('bath-formalin')!, {})!.levelUnit).toBe('µL/L')
    // Only its label knows how strong it is.
    expect(needsOf(procedureById('coral-dip')!, {})).toEqual({
      ingredient: 'essential-oil-dip',
      byLabel: true,
      levelUnit: 'mg/L',
    })
    expect(measureOut(procedureById('coral-dip')!, {}, null, 4, 12)).toEqual({
      ingredient: 'essential-oil-dip',
      amount: 12,
      unit: 'mL',
    })
    expect(measureOut(procedureById('coral-dip')!, {}, null, 4, null)).toBeNull()
  })
  test('what it would put into the ledger is asked about: the bath, the moves, the most peroxide', () => {
    const it = journal(tank('other', 60), fish('spike'))
    const start = {
      kind: 'bench-start' as const,
      ...at(0),
      benchId: 'd',
      procedure: 'bath-peroxide',
      tankId: 'study',
      animalIds: ['spike'],
      toTankId: 'other',
      figures: [{ id: 'tubL', value: 4 }],
      measuredOut: { ingredient: 'peroxide', amount: 10, unit: 'mL' as const, massMg: 300 },
    }
    expect(proposedBy(it, procedureById('bath-peroxide')!, start, 60, now(0))).toMatchObject([
      { kind: 'bath', minutes: 30 },
      { kind: 'move', animalId: 'spike' },
    ])
    expect(
      proposedBy(
        it,
        procedureById('bath-peroxide')!,
        { ...start, choices: [{ id: 'afterwards', option: 'home' }] },
        60,
        now(0),
      ),
    ).toMatchObject([{ kind: 'bath' }])
    expect(
      proposedBy(
        it,
        procedureById('peroxide-spot')!,
        { ...start, procedure: 'peroxide-spot', partIds: ['A'] },
        100,
        now(0),
      ),
    ).toMatchObject([{ kind: 'dose', amount: 2.6 }])
    expect(tanksOf(it)).toHaveLength(2)
  })
})

test('a calendar rings when a timer runs out and a minute before a limit', () => {
  const it = session('brown-jelly-cut')
  it.prepare(0)
  it.mark(1, 'siphon')
  it.mark(2, 'bag')
  expect(ringsOf(it.run().clocks, (id) => id, now(3))).toEqual([
    { at: now(12), title: 'out of the tank' },
    { at: now(16), title: 'out of the tank: end it now' },
  ])
  expect(ringsOf(it.run().clocks, (id) => id, now(13))).toHaveLength(1)
})
