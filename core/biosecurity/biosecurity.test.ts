import { fragTub } from '../courses/testing/corals.ts'
import { countEffects } from '../courses/outlook/count-effects.ts'
import { concernsOf } from '../safety/concerns.ts'
import { doubtOf } from '../safety/guard.ts'
import type { Content } from '../journal/entry.ts'
import { isSterile, toolsOf } from './tools.ts'
import { roundOrder } from './round-order.ts'

const places = (it: ReturnType<typeof fragTub>, day: number) =>
  roundOrder(it.journal, it.ms(day, '12:00')).map(({ tank, place }) => [tank.id, place])

describe('the order of the round: quarantine.md 8, clean to dirty, new fish last', () => {
  test('a settled display before corals in quarantine', () => {
    const it = fragTub({ definition: 'coral-76', options: {} })
    expect(places(it, 2)).toEqual([
      ['hall', 'settled'],
      ['frag', 'corals-in-quarantine'],
    ])
  })

  test('a display kept without fish comes first of all; a tank with a new fish last, for a fortnight', () => {
    const it = fragTub({ definition: 'fallow-76', options: {} })
    expect(places(it, 2)[0]).toEqual(['frag', 'without-fish'])
    it.write({
      kind: 'arrival',
      ...it.at(3, '10:00'),
      animalId: 'goby',
      tankId: 'hall',
      species: 'goby',
      group: 'goby-blenny',
      count: 1,
    })
    expect(places(it, 10).at(-1)).toEqual(['hall', 'new-fish'])
    expect(places(it, 18).at(-1)).toEqual(['hall', 'settled'])
  })

  test('under treatment after settled, and before new fish', () => {
    const it = fragTub()
    it.write({
      kind: 'arrival',
      ...it.at(-30, '10:00'),
      animalId: 'goby',
      tankId: 'hall',
      species: 'goby',
      group: 'goby-blenny',
      count: 1,
    })
    it.write({
      kind: 'course-start',
      ...it.at(0, '10:00'),
      courseId: 'o',
      definition: 'qt-c-ttm',
      tanks: { main: 'hall', other: 'x' },
      animalIds: ['goby'],
    })
    expect(places(it, 1)).toEqual([
      ['frag', 'corals-in-quarantine'],
      ['hall', 'treated'],
    ])
  })
})

test('a sterile tank that fish are to move to is clean until they are in it, and then watched', () => {
  const it = fragTub()
  it.write({
    kind: 'arrival',
    ...it.at(-30, '10:00'),
    animalId: 'goby',
    tankId: 'frag',
    species: 'goby',
    group: 'goby-blenny',
    count: 1,
  })
  it.write({
    kind: 'course-start',
    ...it.at(0, '10:00'),
    courseId: 'o',
    definition: 'qt-b-drug14',
    tanks: { main: 'frag', observe: 'hall' },
    animalIds: ['goby'],
  })
  expect(places(it, 1)).toEqual([
    ['hall', 'settled'],
    ['frag', 'treated'],
  ])
  it.write({ kind: 'move', ...it.at(2, '10:00'), animalId: 'goby', fromTankId: 'frag', toTankId: 'hall' })
  expect(places(it, 3)[0]).toEqual(['hall', 'observed'])
})

describe('tools belong to tanks', () => {
  test('wet until it was bleached and dried for a day, or as long as was written', () => {
    const it = fragTub()
    it.write({ kind: 'gear-setup', ...it.at(0, '08:00'), gearId: 'net', name: 'green net', tankId: 'hall' })
    const net = () => toolsOf(it.journal).find(({ id }) => id === 'net')!
    expect(net()).toMatchObject({ name: 'green net', tankId: 'hall', cleaned: null })
    expect(isSterile(net(), it.ms(1, '08:00'))).toBe(false)
    it.write({ kind: 'gear-clean', ...it.at(1, '08:00'), gearId: 'net', how: 'bleached' })
    expect(isSterile(net(), it.ms(2, '07:59'))).toBe(false)
    expect(isSterile(net(), it.ms(2, '08:00'))).toBe(true)
    it.write({ kind: 'gear-change', ...it.at(4, '08:00'), gearId: 'net', changes: { retired: true } })
    expect(toolsOf(it.journal)).toEqual([])
  })
})

describe('a kit that goes from tank to tank is asked about', () => {
  const kit = (it: ReturnType<typeof fragTub>, tankId?: string) =>
    it.write({
      kind: 'kit-setup',
      ...it.at(-5, '08:00'),
      kitId: 'alk',
      name: 'alkalinity kit',
      parameter: 'alk-kh',
      uncertainty: { abs: 0.3 },
      ...(tankId !== undefined && { tankId }),
    })
  const reading = (it: ReturnType<typeof fragTub>, day: number, time: string, tankId: string): Content => ({
    kind: 'reading',
    ...it.at(day, time),
    tankId,
    parameter: 'alk-kh',
    result: { kind: 'value', value: 8 },
    unit: 'dKH',
    kitId: 'alk',
  })
  const rules = (it: ReturnType<typeof fragTub>, content: Content) =>
    concernsOf(it.journal, content, { now: Date.parse(content.happened) }).map(({ rule }) => rule)

  test('one that belongs to another tank', () => {
    const it = fragTub()
    kit(it, 'hall')
    expect(rules(it, reading(it, 1, '10:00', 'frag'))).toEqual(['kit-crosses'])
    expect(rules(it, reading(it, 1, '10:00', 'hall'))).toEqual([])
  })

  test('a shared one that was in other water within a day, where something is counted', () => {
    const it = fragTub()
    kit(it)
    expect(rules(it, reading(it, 1, '10:00', 'frag'))).toEqual([])
    it.write(reading(it, 1, '10:00', 'hall'))
    const next = reading(it, 1, '18:00', 'frag')
    expect(rules(it, next)).toEqual(['kit-crosses'])
    expect(doubtOf(it.journal, next, { now: it.ms(1, '18:00') }).asks).toMatchObject([
      { override: 'confirm', reason: expect.stringMatching(/never pour it back/) as string },
    ])
    // A day later its vials are dry; disinfected it may go at once.
    expect(rules(it, reading(it, 2, '11:00', 'frag'))).toEqual([])
    it.write({ kind: 'gear-clean', ...it.at(1, '12:00'), gearId: 'alk', how: 'bleached' })
    expect(rules(it, next)).toEqual([])
  })
})

test('tanks within three metres are told before something is counted in one of them', () => {
  const it = fragTub()
  it.write({ kind: 'tank-change', ...it.at(-1, '09:00'), tankId: 'frag', changes: { near: ['hall'] } })
  const start: Content = {
    kind: 'course-start',
    ...it.at(1, '10:00'),
    courseId: 'n',
    definition: 'fallow-76',
    tanks: { main: 'frag' },
    animalIds: [],
  }
  const near = concernsOf(it.journal, start, { now: it.ms(1, '10:00') }).find(({ rule }) => rule === 'too-near')
  expect(near).toMatchObject({ severity: 'note', what: 'hall stands less than 3 m away' })
})

describe('what a contact costs, on every count that it touches', () => {
  const contact = (it: ReturnType<typeof fragTub>, what: 'tool' | 'hand'): Content => ({
    kind: 'contact',
    ...it.at(9, '10:00'),
    tankId: 'frag',
    from: 'hall',
    what,
  })

  test('a wet tool in the coral tub: its days begin again, its dips do not', () => {
    const it = fragTub({ definition: 'coral-76', options: {} })
    const effects = countEffects(it.journal, [contact(it, 'tool')], it.settings, it.ms(9, '10:00'))
    expect(effects).toMatchObject([
      { courseId: 'c', count: 'days without fish', unit: 'h', before: { has: 8 * 24 }, after: { has: 0 } },
    ])
    expect(effects[0]!.after.fullAt! - effects[0]!.before.fullAt!).toBe(9 * 86_400_000)
    // Nothing was kept.
    expect(it.journal.ofKind('contact')).toEqual([])
  })

  test('a hand costs it nothing', () => {
    const it = fragTub({ definition: 'coral-76', options: {} })
    expect(countEffects(it.journal, [contact(it, 'hand')], it.settings, it.ms(9, '10:00'))).toEqual([])
  })
})
