import type { Content } from '../../journal/entry.ts'
import { METRIC } from '../../household/settings.ts'
import { PLAN_WANTS } from '../../catalogue/courses/wants.data.ts'
import { definitionById } from '../../catalogue/courses/definitions.ts'
import { householdTasks } from '../../schedule/household-tasks.ts'
import { ward } from '../testing/ward.ts'
import type { CourseTask } from '../tasks.ts'
import { alsoForWords } from './also-for-words.ts'
import { conflictWords, heldWords, testsWords, wantWords } from './board-words.ts'
import { sharedTasks } from './shared-tasks.ts'
import { boardOf } from './tank-board.ts'

type Ward = ReturnType<typeof ward>

const begins = (it: Ward, day: number, courseId: string, definition: string, tankId = 'quar'): Content => ({
  kind: 'course-start',
  ...it.at(day, '08:00'),
  courseId,
  definition,
  tanks: { main: tankId },
  animalIds: tankId === 'quar' ? ['needle', 'burr'] : [],
})

/** A ward under copper at 2.10 mg/L on its fifth day. */
function underCopper(...more: readonly ((it: Ward) => Content)[]) {
  const it = ward()
  it.write({
    kind: 'dose',
    ...it.at(0, '09:00'),
    tankId: 'quar',
    ingredient: 'cu-chelated',
    amount: 12.6,
    unit: 'mL',
    massMg: 126,
  })
  it.write({
    kind: 'reading',
    ...it.at(4, '08:00'),
    tankId: 'quar',
    parameter: 'copper',
    unit: 'mg/L',
    result: { kind: 'value', value: 2.1 },
  })
  for (const content of more) it.write(content(it))
  const at = (day: number, time: string) => Date.parse(it.at(day, time).happened)
  const board = (day = 4, time = '12:00') => boardOf(it.journal, 'quar', it.settings, at(day, time))!
  return { it, board, at }
}

describe('the board of a tank', () => {
  test('nothing without a course', () => {
    const { it, at } = underCopper()
    expect(boardOf(it.journal, 'obs', it.settings, at(4, '12:00'))).toBeNull()
  })

  test('copper: what is held, what is off, and who must not come in', () => {
    const { board } = underCopper()
    const { held, orders, conflicts } = board()
    expect(held.map((one) => heldWords(one, METRIC))).toEqual([
      'Copper 2.10 mg/L: held at 2.00 mg/L to 2.50 mg/L, aim at 2.25 mg/L',
    ])
    expect(orders.map(wantWords)).toEqual([
      'carbon and resin off',
      'UV off',
      'no invertebrates or corals',
      'no grazers',
    ])
    expect(conflicts).toEqual([])
  })

  test('two courses: each order once, ammonia tested once for both', () => {
    const { board } = underCopper((it) => begins(it, 3, 'more', 'qt-add-kanamycin'))
    const { courses, orders } = board()
    expect(courses).toHaveLength(2)
    expect(orders.find(({ thing }) => thing === 'carbon')!.courses).toHaveLength(2)
    expect(testsWords(board(5, '09:00'))).toMatch(/copper/)
    const tests = board(5, '09:00').testsToday
    expect(new Set(tests).size).toBe(tests.length)
  })

  test('orders that cannot both be followed are said, the one that keeps animals alive first', () => {
    const { board } = underCopper((it) => begins(it, 3, 'after', 'aftercare'))
    const said = board().conflicts.map(conflictWords)
    expect(said).toContainEqual(
      expect.stringMatching(
        /asks for carbon and resin on, Copper, chelated for carbon and resin off: it takes copper out\. Follow Copper, chelated/,
      ),
    )
    // The order that waits is not among those that are to be followed.
    expect(board().orders.map(wantWords)).not.toContain('carbon and resin on')
  })

  test('phosphate kept up and lowered', () => {
    const { it, at } = underCopper()
    it.write({
      kind: 'tank-setup',
      ...it.at(-5, '08:00'),
      tankId: 'reef',
      name: 'Reef',
      water: 'marine',
      role: 'display',
    })
    it.write(begins(it, 0, 'dino', 'dino-sand', 'reef'))
    it.write(begins(it, 1, 'low', 'nutrient-lower', 'reef'))
    const { conflicts } = boardOf(it.journal, 'reef', it.settings, at(2, '12:00'))!
    expect(conflicts.map(({ wait }) => wait.thing).sort()).toEqual(['no3', 'po4'])
  })
})

test('every plan with orders of its own is in the catalogue', () => {
  for (const id of Object.keys(PLAN_WANTS)) expect(definitionById(id)).not.toBeNull()
})

describe('one task for all courses', () => {
  const task = (courseId: string, more: Partial<CourseTask>): CourseTask => ({
    id: `${courseId}/x/0`,
    tankId: 'quar',
    title: courseId,
    why: '',
    courseId,
    step: 'x',
    act: 'read',
    notBefore: 0,
    best: 0,
    notAfter: 0,
    state: 'due',
    postponed: false,
    ...more,
  })
  const namesOf = (...tasks: CourseTask[]) => sharedTasks(tasks).map(({ title, alsoFor }) => [title, alsoFor ?? []])

  test('a test serves whoever asks for no more than it', () => {
    const two = { parameters: ['no3', 'po4'] }
    const three = { parameters: ['no3', 'po4', 'tan'] }
    expect(namesOf(task('a', two), task('b', three))).toEqual([['b', ['a']]])
    expect(namesOf(task('a', three), task('b', two), task('c', two))).toEqual([['a', ['b', 'c']]])
    expect(namesOf(task('a', two), task('b', { parameters: ['ca'] }))).toHaveLength(2)
    expect(namesOf(task('a', { step: 'ammonia' }), task('b', { step: 'ammonia' }))).toEqual([['a', ['b']]])
    // A level of its own is tested by its own course.
    expect(namesOf(task('a', { step: 'read' }), task('b', { step: 'read' }))).toHaveLength(2)
  })

  test('a look takes in the animals of all', () => {
    const [look] = sharedTasks([
      task('a', { act: 'look', animalIds: ['needle'] }),
      task('b', { act: 'look', animalIds: ['burr', 'needle'] }),
    ])
    expect(look!.animalIds).toEqual(['needle', 'burr'])
  })

  test('the larger change serves, but never one that lowers a level or changes the salinity', () => {
    const change = (litres: number, more = {}) => ({
      act: 'change' as const,
      change: { litres, times: 1, share: litres / 60, fromMgPerL: 0, toMgPerL: 0, ...more },
    })
    expect(namesOf(task('a', change(10)), task('b', change(20)))).toEqual([['b', ['a']]])
    expect(namesOf(task('a', change(20)), task('b', { ...change(10), step: 'dilute' }))).toHaveLength(2)
    expect(
      namesOf(
        task('a', change(20)),
        task('b', change(10, { salinity: { fromPsu: 35, toPsu: 30, replacementPsu: 0 } })),
      ),
    ).toHaveLength(2)
  })

  test('another tank, another time, and what still waits stay as they are', () => {
    const ammonia = { step: 'ammonia' }
    expect(namesOf(task('a', ammonia), task('b', { ...ammonia, tankId: 'obs' }))).toHaveLength(2)
    expect(namesOf(task('a', ammonia), task('b', { ...ammonia, best: 86_400_000 }))).toHaveLength(2)
    expect(namesOf(task('a', ammonia), task('b', { ...ammonia, waitsFor: ['a word'] }))).toHaveLength(2)
  })

  test('the calendar holds it once, and says for whom', () => {
    const { it, at } = underCopper((one) => begins(one, 3, 'more', 'qt-add-kanamycin'))
    const today = householdTasks(it.journal, it.settings, at(5, '09:00'), it.settings.clock.dayOf(at(5, '09:00')))
    expect(today.filter(({ title }) => title === 'Test ammonia')).toHaveLength(1)
    expect(alsoForWords(it.journal, ['more'])).toMatch(/^Counts for .*kanamycin.* as well\.$/i)
  })
})
