import type { ContentOf } from '../../journal/entry.ts'
import { twoSets } from '../testing/rounds.ts'
import { fitStart, unkeptBeside } from './fit-away.ts'

const draft = (it: ReturnType<typeof twoSets>, definition: string): ContentOf<'course-start'> => ({
  kind: 'course-start',
  ...it.at(0),
  courseId: 'draft',
  definition,
  tanks: { main: 'a', other: 'b' },
  animalIds: ['needle', 'burr'],
})
const away = (it: ReturnType<typeof twoSets>, from: number, until: number) =>
  it.write({ kind: 'away', ...it.at(-1), from: it.at(from).happened, until: it.at(until).happened })

test('nobody away: it begins when it is meant to', () => {
  const it = twoSets()
  expect(fitStart(it.journal, draft(it, 'qt-c-ttm'), it.settings, it.ms(0))).toEqual({
    shiftDays: 0,
    startAt: it.ms(0),
    unkept: [],
  })
})

test('a whole window of a move away is named, and a later start keeps them all', () => {
  const it = twoSets()
  // Three days from hour 50 on: the move of hour 72 cannot be made.
  away(it, 50, 122)
  const unkept = unkeptBeside(it.journal, draft(it, 'qt-c-ttm'), it.settings, it.ms(0))
  expect(unkept.map(({ words }) => words)).toEqual(['Move Needle and Burr to Set B'])
  const fit = fitStart(it.journal, draft(it, 'qt-c-ttm'), it.settings, it.ms(0))
  expect(fit.unkept).toEqual([])
  // It may not begin while nobody is at home: the latest noon before the leaving whose moves are all after the return.
  expect(fit).toMatchObject({ shiftDays: 2, startAt: it.ms(48) })
})

test('a move whose window begins before the leaving is no reason to wait', () => {
  const it = twoSets()
  away(it, 65, 71)
  expect(fitStart(it.journal, draft(it, 'qt-c-ttm'), it.settings, it.ms(0)).shiftDays).toBe(0)
})

test('three days away are too long for a level that has to be read, not for a watch', () => {
  const it = twoSets()
  away(it, 100, 172)
  const copper = { ...draft(it, 'qt-a-cu30'), options: { drug: 'cu-chelated-std' } }
  expect(unkeptBeside(it.journal, copper, it.settings, it.ms(0)).map(({ words }) => words)).toContain(
    'over 48 h without a reading',
  )
  expect(unkeptBeside(it.journal, draft(it, 'qt-f-observe'), it.settings, it.ms(0))).toEqual([])
})

test('where no start keeps all, the one that breaks the fewest, with what it breaks', () => {
  const it = twoSets()
  // Away half of every week, for months.
  for (let week = 0; week < 20; week++) away(it, week * 168 + 30, week * 168 + 120)
  const fit = fitStart(it.journal, draft(it, 'qt-c-velvet'), it.settings, it.ms(0))
  expect(fit.unkept.length).toBeGreaterThan(0)
})
