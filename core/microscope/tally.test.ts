import type { Content } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { bareTank, scribe } from '../journal/testing.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { readLengths, sayLengths } from './lengths.ts'
import { counted, moreToCount, spotsOf } from './tally.ts'
import {
  compareDinosPerField,
  compareShares,
  courseForCase,
  ratioOf,
  standingOf,
  talliesOf,
  type KeptTally,
} from './tallies.ts'

const START = Date.parse('2026-11-01T12:00:00Z')
const at = (day: number) => new Date(START + day * MS_PER_DAY).toISOString()
const spot = (diatoms: number, dinos: number, fields = 10, other = 0) => ({ diatoms, dinos, other, fields })

function house(...contents: Content[]): Journal {
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  for (const content of [bareTank('hall', 'Hall reef'), ...contents]) journal.add([record(content)])
  return journal
}
const tally = (day: number, ...spots: ReturnType<typeof spot>[]): Content => ({
  kind: 'tally',
  happened: at(day),
  tankId: 'hall',
  objective: 10,
  spots,
})
const kept = (...contents: Content[]): KeptTally[] => talliesOf(house(...contents), 'hall')

describe('presses', () => {
  test('a field counts once something is counted in it or the next is begun; taking one back is one letter less', () => {
    expect(spotsOf('')).toEqual({ spots: [], fieldsDone: 0 })
    expect(spotsOf('dnn')).toEqual({ spots: [{ diatoms: 1, dinos: 2, other: 0, fields: 1 }], fieldsDone: 0 })
    expect(spotsOf('dnnf')).toEqual({ spots: [{ diatoms: 1, dinos: 2, other: 0, fields: 1 }], fieldsDone: 1 })
    // An empty field is a field in which nothing was.
    expect(spotsOf('dfffo').spots).toEqual([{ diatoms: 1, dinos: 0, other: 1, fields: 4 }])
  })
  test('spots are apart, and one that was begun and not looked at is none', () => {
    expect(spotsOf('ddfns' + 'nnd' + 's').spots).toEqual([
      { diatoms: 2, dinos: 1, other: 0, fields: 2 },
      { diatoms: 1, dinos: 2, other: 0, fields: 1 },
    ])
  })
})

describe('what a tally comes to', () => {
  // Examples of outbreaks.md 4.
  test.each([
    [12, 88, 0.12, 0.07, 0.2],
    [30, 90, 0.25, 0.18, 0.33],
    [66, 54, 0.55, 0.46, 0.64],
    [95, 5, 0.95, 0.89, 0.98],
  ])('%d diatoms and %d dinoflagellates: %d (%d–%d)', (diatoms, dinos, share, low, high) => {
    const now = counted([spot(diatoms, dinos)])
    expect(now.share).toBeCloseTo(share, 2)
    expect(now.low).toBeCloseTo(low, 2)
    expect(now.high).toBeCloseTo(high, 2)
  })
  test('spots are pooled, by cells and by fields', () => {
    const now = counted([spot(10, 20, 3, 2), spot(6, 24, 5)])
    expect(now).toMatchObject({ diatoms: 16, dinos: 44, other: 2, fields: 8, dinosPerField: 5.5, cellsPerField: 7.75 })
    expect(now.spread).toBeNull()
  })
  test('spots more than thirty points apart are said apart; a spot of few cells says nothing', () => {
    expect(counted([spot(10, 40), spot(30, 20)]).spread).toEqual({ least: 0.2, most: 0.6 })
    expect(counted([spot(10, 40), spot(3, 2)]).spread).toBeNull()
  })
  test('nothing counted: all is possible', () => {
    expect(counted([])).toMatchObject({ share: null, low: 0, high: 1, cellsPerField: null })
  })
})

describe('how many more', () => {
  test('up to a hundred cells', () => {
    expect(moreToCount(counted([]))).toEqual({ cells: 100, for: 'enough' })
    expect(moreToCount(counted([spot(8, 52, 4)]))).toEqual({ cells: 40, for: 'enough' })
    expect(moreToCount(counted([spot(12, 88, 4)]))).toBeNull()
  })
  test('ten fields are enough, where the share can be told from a half', () => {
    expect(moreToCount(counted([spot(2, 18, 10)]))).toBeNull()
  })
  test('near a half on until the interval leaves it behind', () => {
    const more = moreToCount(counted([spot(45, 60)]))!
    expect(more).toMatchObject({ for: 'half' })
    const cells = 105 + more.cells!
    const share = 45 / 105
    // With those at the same share the interval lies below a half, and with one fewer it does not.
    expect(counted([spot(share * cells, (1 - share) * cells)]).high).toBeLessThan(0.5)
    expect(counted([spot(share * (cells - 1), (1 - share) * (cells - 1))]).high).toBeGreaterThanOrEqual(0.5)
  })
  test('too close to a half: a hundred first, then it is said', () => {
    expect(moreToCount(counted([spot(20, 20, 2)]))).toEqual({ cells: 60, for: 'enough' })
    expect(moreToCount(counted([spot(51, 50)]))).toEqual({ cells: null })
  })
})

describe('tallies of a tank', () => {
  const plain: Content = {
    kind: 'count',
    happened: at(-3),
    tankId: 'hall',
    what: 'cells',
    of: 'diatoms and dinos',
    values: [21, 102],
  }
  test('in order, plain counts of the two among them, other tanks’ and struck ones not', () => {
    const journal = house(bareTank('quar', 'Quarantine'), tally(0, spot(30, 90)), plain, {
      ...tally(-1, spot(1, 1)),
      tankId: 'quar',
    } as Content)
    expect(talliesOf(journal, 'hall').map(({ diatoms, objective }) => [diatoms, objective])).toEqual([
      [21, null],
      [30, 10],
    ])
    const { strike } = scribe('2026-12-01T00:00:00Z')
    const struck = strike(journal.entry(talliesOf(journal, 'hall')[1]!.id)!)
    journal.add([{ ...struck, id: 'struck' }])
    expect(talliesOf(journal, 'hall')).toHaveLength(1)
  })
  test('a rise is real where the intervals lie apart or the difference beats its error', () => {
    const [first, near, far] = kept(tally(0, spot(30, 90)), tally(7, spot(36, 84)), tally(14, spot(66, 54)))
    expect(compareShares(first!, near!)).toMatchObject({ isReal: false })
    expect(compareShares(first!, far!)).toMatchObject({ isReal: true, by: expect.closeTo(0.3, 9) as number })
    expect(compareShares(far!, first!)).toMatchObject({ isReal: true, by: expect.closeTo(-0.3, 9) as number })
    // 45/120 against 30/120: intervals overlap (0.18–0.33, 0.29–0.46), the difference is 2.1 of its error.
    const [a, b] = kept(tally(0, spot(30, 90)), tally(7, spot(45, 75)))
    expect(a!.high).toBeGreaterThan(b!.low)
    expect(compareShares(a!, b!)).toMatchObject({ isReal: true })
    expect(compareShares(a!, kept(tally(9, spot(0, 0)))[0]!)).toBeNull()
  })
  test('cells a field are compared at one power only', () => {
    const [first, last] = kept(tally(0, spot(20, 100)), tally(7, spot(60, 40)))
    expect(compareDinosPerField(first!, last!)).toEqual({ share: 0.4, isReal: true })
    const [, few] = kept(tally(0, spot(20, 100)), tally(7, spot(20, 90)))
    expect(compareDinosPerField(first!, few!)).toEqual({ share: 0.9, isReal: false })
    expect(compareDinosPerField({ ...first!, objective: 40 }, last!)).toBeNull()
    expect(compareDinosPerField(kept(plain)[0]!, last!)).toBeNull()
  })
  test('microscopy.ratio gives the share of dinoflagellates, one less the share of diatoms', () => {
    const tallies = kept(tally(0, spot(30, 90)), tally(7, spot(66, 54)))
    const { points, change } = ratioOf(tallies)
    points.forEach(({ share }, i) => expect(share).toBeCloseTo(1 - tallies[i]!.share!, 12))
    expect(change!.z).toBeLessThan(-1.96)
  })
  test('where the diatoms stand: won by three weekly tallies at ninety in a hundred, not by three in a week', () => {
    const days = (from: number, to: number) => (to - from) / MS_PER_DAY
    const stands = (...contents: Content[]) => standingOf(kept(...contents), days)
    expect(stands()).toBe('nothing')
    expect(stands(tally(0, spot(12, 88)))).toBe('dinos')
    expect(stands(tally(0, spot(55, 61)))).toBe('open')
    expect(stands(tally(0, spot(80, 40)))).toBe('diatoms')
    const good = spot(95, 5)
    expect(stands(tally(0, good), tally(7, good), tally(14, good))).toBe('won')
    expect(stands(tally(0, good), tally(2, good), tally(4, good))).toBe('diatoms')
    expect(stands(tally(0, good), tally(3, good), tally(7, good), tally(14, good))).toBe('won')
    // One lower between them begins the three again.
    expect(stands(tally(0, good), tally(7, spot(80, 20)), tally(14, good), tally(21, good))).toBe('diatoms')
  })
  test('a tally of a case belongs to the running course that answers the case', () => {
    const start: Content = {
      kind: 'course-start',
      happened: at(0),
      courseId: 'c1',
      definition: 'peroxide-spot',
      tankId: 'hall',
      animalIds: [],
      caseId: 'k',
    }
    const journal = house(start)
    expect(courseForCase(journal, 'k')?.id).toBe('c1')
    expect(courseForCase(journal, 'other')).toBeNull()
    const ended: Content = {
      kind: 'course-end',
      happened: at(2),
      courseId: 'c1',
      outcome: 'stopped',
      why: 'enough',
    }
    expect(courseForCase(house(start, ended), 'k')).toBeNull()
  })
})

describe('lengths', () => {
  test('29 µm or more is the large cell, 25 or less the small', () => {
    expect(sayLengths([29, 31, 40])).toEqual({ medianUm: 31, count: 3, cell: 'large', more: 0 })
    expect(sayLengths([29])).toMatchObject({ cell: 'large' })
    expect(sayLengths([25, 20])).toMatchObject({ medianUm: 22.5, cell: 'small' })
    expect(sayLengths([25])).toMatchObject({ cell: 'small' })
  })
  test('between them twenty cells, their median split at 27', () => {
    expect(sayLengths([26, 27, 28])).toEqual({ medianUm: 27, count: 3, cell: null, more: 17 })
    expect(sayLengths(Array<number>(20).fill(27))).toMatchObject({ cell: 'large', more: 0 })
    expect(sayLengths(Array<number>(20).fill(26.9))).toMatchObject({ cell: 'small', more: 0 })
    expect(sayLengths([])).toEqual({ medianUm: null, count: 0, cell: null, more: 20 })
  })
  test('are read as typed, in µm or in divisions of the eyepiece', () => {
    expect(readLengths(' 34 38; 41.5 ', 1)).toEqual({ lengthsUm: [34, 38, 41.5], problem: null })
    expect(readLengths('4 5', 10)).toEqual({ lengthsUm: [40, 50], problem: null })
    expect(readLengths('', 1)).toEqual({ lengthsUm: [], problem: null })
  })
  test('what is no length is named, and the ones before it stay', () => {
    expect(readLengths('34 x 38', 1)).toEqual({
      lengthsUm: [34],
      problem: expect.stringMatching(/“x” is no length/) as string,
    })
    expect(readLengths('34 380', 1).problem).toMatch(/380 makes 380 µm: a dinoflagellate has 5 to 200/)
    expect(readLengths('4', 0.5).problem).toMatch(/makes 2 µm/)
  })
})
