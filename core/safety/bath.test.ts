import type { Content, ContentOf } from '../journal/entry.ts'
import { twoSets } from '../courses/testing/rounds.ts'
import { concernsOf } from './concerns.ts'

const bath = (extra: Partial<ContentOf<'bath'>> = {}): ContentOf<'bath'> => ({
  kind: 'bath',
  happened: '2026-11-04T11:00:00Z',
  tankId: 'a',
  animalIds: ['needle'],
  ingredient: 'peroxide',
  amount: 10,
  unit: 'mL',
  massMg: 300,
  litres: 4,
  minutes: 30,
  ...extra,
})
const now = Date.parse('2026-11-04T12:00:00Z')
const rules = (it: ReturnType<typeof twoSets>, content: Content) =>
  concernsOf(it.journal, content, { now }).map(({ rule, severity }) => `${rule} ${severity}`)

describe('a bath, in water of its own', () => {
  test('at 75 mg/L for half an hour nothing speaks against it', () => {
    expect(rules(twoSets(), bath())).toEqual([])
  })
  test.each<[string, Partial<ContentOf<'bath'>>, string]>([
    ['over 150 mg/L', { massMg: 700 }, 'over-band block'],
    ['longer than its row', { minutes: 45 }, 'bath-too-long block'],
    ['no strength known', { massMg: undefined }, 'cannot-judge ask'],
  ])('%s', (_words, extra, found) => {
    const content = bath(extra)
    if (extra.massMg === undefined && 'massMg' in extra) delete content.massMg
    expect(rules(twoSets(), content)).toEqual([found])
  })
  test('a coral dip has its hard stop at a quarter of an hour', () => {
    const dip = bath({ animalIds: [], partIds: [], ingredient: 'iodine-dip', massMg: 80, minutes: 16 })
    expect(rules(twoSets(), dip)).toEqual(['bath-too-long block'])
    expect(rules(twoSets(), { ...dip, minutes: 10 })).toEqual([])
    expect(rules(twoSets(), { ...dip, minutes: 10, partIds: ['ghost'] })).toEqual(['cannot-judge ask'])
  })
})

describe('tank sets', () => {
  const move = (it: ReturnType<typeof twoSets>, hours: number, toTankId: string): Content => ({
    kind: 'move',
    ...it.at(hours),
    animalId: 'needle',
    fromTankId: toTankId === 'a' ? 'b' : 'a',
    toTankId,
  })
  test('from set to set nothing is asked; back into the wet one it is, until it has stood its day', () => {
    const it = twoSets()
    expect(rules(it, move(it, 70, 'b'))).toEqual([])
    it.move(70)
    expect(rules(it, move(it, 80, 'a'))).toEqual(['set-dry caution'])
    it.write({ kind: 'gear-clean', ...it.at(75), tankId: 'a', how: 'bleached' })
    expect(rules(it, move(it, 98, 'a'))).toEqual(['set-dry caution'])
    expect(rules(it, move(it, 99.1, 'a'))).toEqual([])
  })
  test('out of the course into the display is a block', () => {
    const it = twoSets()
    expect(rules(it, { kind: 'move', ...it.at(30), animalId: 'needle', fromTankId: 'a', toTankId: 'hall' })).toContain(
      'treated-to-display block',
    )
  })
})

describe('a second course', () => {
  const start = (it: ReturnType<typeof twoSets>, extra: Partial<ContentOf<'course-start'>> = {}): Content => ({
    kind: 'course-start',
    ...it.at(20),
    courseId: 'd',
    definition: 'qt-b-drug14',
    tanks: { main: 'a', observe: 'b' },
    animalIds: ['needle'],
    options: { drug: 'chloroquine-std' },
    ...extra,
  })
  test('two schools for the same fish cut across each other; a plan does not', () => {
    const it = twoSets()
    expect(rules(it, start(it))).toContain('two-schools block')
    expect(rules(it, start(it, { definition: 'peroxide-spot', options: {} }))).not.toContain('two-schools block')
  })
  test('copper over chloroquine that runs is the interactions’ block', () => {
    const it = twoSets({
      definition: 'qt-b-drug14',
      start: { options: { drug: 'chloroquine-std' }, tanks: { main: 'a', observe: 'b' } },
    })
    expect(rules(it, start(it, { options: { drug: 'cu-chelated-std' } }))).toContain('cu-chloroquine block')
  })

  test('peroxide on spots where copper stands in the water is the interactions’ block, before it starts', () => {
    const it = twoSets({
      definition: 'qt-b-drug14',
      start: { options: { drug: 'cu-chelated-std' }, tanks: { main: 'a', observe: 'b' } },
    })
    expect(rules(it, start(it, { definition: 'peroxide-spot', options: { tier: 'changed' } }))).toContain(
      'cu-peroxide block',
    )
  })
})
