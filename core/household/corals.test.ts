import { fragTub } from '../courses/testing/corals.ts'
import { feedsWithFilms, filmContent } from '../courses/outlook/feeds-and-films.ts'
import { refugeScores } from '../courses/outlook/refuge.ts'
import { courseById } from '../courses/course.ts'
import { taskContents } from '../courses/acts/task-contents.ts'
import { coralLookTasks } from '../schedule/coral-looks.ts'
import { coralSetup, coralsOf, placeLog, spareCopies, unnamedCorals } from './corals.ts'
import { animalById } from './animals.ts'
import { surveyContents } from './coral-survey.ts'
import { partById, type Part } from './parts.ts'

const looked = ({ id, tankId }: Part, value: number, at: number) =>
  surveyContents(tankId, new Map([[id, value]]), at)[0]!

const arrive = (it: ReturnType<typeof fragTub>, animalId: string, group: string, count = 1, tankId = 'frag') =>
  it.write({
    kind: 'arrival',
    ...it.at(0, '09:00'),
    animalId,
    tankId,
    species: animalId,
    group,
    count,
    ...(group === 'goby-blenny' && { name: animalId }),
  })

test('corals of the ledger are named once, with their pieces; fish are none', () => {
  const it = fragTub()
  arrive(it, 'acans', 'coral-lps', 2)
  arrive(it, 'goby', 'goby-blenny')
  expect(unnamedCorals(it.journal, 'frag').map(({ id }) => id)).toEqual(['acans'])
  it.write(coralSetup(animalById(it.journal, 'acans')!, 'frag', it.ms(0, '10:00')))
  expect(unnamedCorals(it.journal, 'frag')).toEqual([])
  expect(coralsOf(it.journal, 'frag').at(-1)).toMatchObject({ name: 'acans', pieces: 2, group: 'coral-lps' })
})

test('a coral goes with the animal that it is: moved with it, and gone with it', () => {
  const it = fragTub()
  arrive(it, 'acans', 'coral-lps')
  it.write(coralSetup(animalById(it.journal, 'acans')!, 'frag', it.ms(0, '10:00')))
  it.write({ kind: 'move', ...it.at(1, '09:00'), animalId: 'acans', fromTankId: 'frag', toTankId: 'hall' })
  expect(coralsOf(it.journal, 'hall').map(({ name }) => name)).toEqual(['acans'])
  it.write({ kind: 'death', ...it.at(2, '09:00'), animalId: 'acans', tankId: 'hall', cause: 'brown jelly' })
  expect(coralsOf(it.journal, 'hall')).toEqual([])
  expect(spareCopies(it.journal).find(({ name }) => name === 'acans')).toMatchObject({
    pieces: 0,
    where: [],
    wasLost: true,
  })
})

test('three days after its move a coral is to be looked at, in the ledger, until it was', () => {
  const it = fragTub()
  it.write({
    kind: 'part-change',
    ...it.at(1, '10:00'),
    partId: 'zoa',
    changes: { place: { compartment: 'left rack' } },
  })
  const asked = (day: number) =>
    coralLookTasks(it.journal, it.ms(day, '12:00')).map(({ title, state }) => [title, state])
  expect(asked(2)).toEqual([['Look at zoa in its new place', 'ahead']])
  expect(asked(4)).toEqual([['Look at zoa in its new place', 'due']])
  expect(asked(7)).toEqual([['Look at zoa in its new place', 'late']])
  expect(asked(30)).toEqual([])
  it.write(looked(coralsOf(it.journal, 'frag')[0]!, 3, it.ms(5, '12:00')))
  expect(asked(6)).toEqual([])
})

test('spare copies: of one name over all tanks; a single piece first, unless somebody else holds one', () => {
  const it = fragTub()
  const coral = (partId: string, name: string, tankId: string, pieces: number, elsewhere?: string) =>
    it.write({
      kind: 'part-setup',
      ...it.at(0, '09:00'),
      partId,
      tankId,
      what: 'coral',
      name,
      pieces,
      ...(elsewhere !== undefined && { elsewhere }),
    })
  coral('a', 'Green cap', 'frag', 1)
  coral('b', 'green cap', 'hall', 2)
  coral('c', 'red cap', 'frag', 1)
  coral('d', 'blue cap', 'frag', 1, 'the neighbour')
  const copies = spareCopies(it.journal)
  expect(copies[0]).toMatchObject({ name: 'red cap', isOnly: true })
  expect(copies.find(({ name }) => name === 'Green cap')).toMatchObject({
    pieces: 3,
    where: [
      { tankId: 'frag', pieces: 1 },
      { tankId: 'hall', pieces: 2 },
    ],
  })
  expect(copies.find(({ name }) => name === 'blue cap')).toMatchObject({ isOnly: false, elsewhere: 'the neighbour' })
})

describe('the place log: condition before and three days after each move', () => {
  test('the last look before, the first look from the third day on, and when it is due', () => {
    const it = fragTub()
    const look = (day: number, value: number) =>
      it.write(looked(partById(it.journal, 'zoa')!, value, it.ms(day, '12:00')))
    look(0, 2)
    it.write({
      kind: 'part-change',
      ...it.at(1, '12:00'),
      partId: 'zoa',
      changes: { place: { compartment: 'left rack', flow: 'gentle' } },
    })
    look(2, 3)
    expect(placeLog(it.journal, 'zoa')).toMatchObject([
      { place: { compartment: 'left rack', flow: 'gentle' }, before: 2, after: null, lookAt: it.ms(4, '12:00') },
    ])
    look(4, 4)
    expect(placeLog(it.journal, 'zoa')).toMatchObject([{ before: 2, after: 4, lookAt: null }])
    it.write({
      kind: 'part-change',
      ...it.at(6, '12:00'),
      partId: 'zoa',
      changes: { place: { lightHours: 9, lightShare: 0.5 } },
    })
    // What was not said again stays, in the coral as in its log.
    expect(partById(it.journal, 'zoa')!.place).toMatchObject({ compartment: 'left rack', lightHours: 9 })
    expect(placeLog(it.journal, 'zoa')[0]).toMatchObject({
      place: { compartment: 'left rack', lightHours: 9 },
      before: 4,
    })
  })

  test('of a place that was left within three days nobody looks again', () => {
    const it = fragTub()
    for (const [day, compartment] of [
      [1, 'left'],
      [2, 'right'],
    ] as const)
      it.write({ kind: 'part-change', ...it.at(day, '12:00'), partId: 'zoa', changes: { place: { compartment } } })
    expect(placeLog(it.journal, 'zoa').map(({ lookAt }) => lookAt)).toEqual([it.ms(5, '12:00'), null])
  })
})

describe('the steadiest of the own tanks: further-schools.md 5', () => {
  const read = (it: ReturnType<typeof fragTub>, tankId: string, day: number, value: number) =>
    it.write({
      kind: 'reading',
      ...it.at(day, '12:00'),
      tankId,
      parameter: 'alk-kh',
      result: { kind: 'value', value },
      unit: 'dKH',
    })

  test('the worst change a day over its cap, and a point for each loss; less tested comes later', () => {
    const it = fragTub()
    read(it, 'hall', 0, 8)
    read(it, 'hall', 2, 8.4)
    read(it, 'frag', 0, 8)
    read(it, 'frag', 1, 7.5)
    const scores = () => refugeScores(it.journal, it.ms(10, '12:00')).map(({ tank, score }) => [tank.id, score])
    expect(scores()).toEqual([
      ['hall', expect.closeTo(0.2, 6)],
      ['frag', expect.closeTo(0.5, 6)],
    ])
    arrive(it, 'goby', 'goby-blenny', 1, 'hall')
    it.write({ kind: 'death', ...it.at(5, '12:00'), animalId: 'goby', tankId: 'hall' })
    expect(scores()).toEqual([
      ['frag', expect.closeTo(0.5, 6)],
      ['hall', expect.closeTo(1.2, 6)],
    ])
  })

  test('a tank under a school is no refuge', () => {
    const it = fragTub()
    it.write({
      kind: 'course-start',
      ...it.at(0, '10:00'),
      courseId: 'o',
      definition: 'qt-f-observe',
      tanks: { main: 'hall' },
      animalIds: [],
    })
    expect(refugeScores(it.journal, it.ms(1, '12:00')).map(({ tank }) => tank.id)).toEqual(['frag'])
  })
})

describe('feeding a tub of corals', () => {
  test('a film one to three days after a feed stands beside it', () => {
    const it = fragTub({ definition: 'coral-76', options: {} })
    const fed = (day: number) =>
      it.write({
        kind: 'task',
        ...it.at(day, '18:00'),
        taskId: `c/feed/${day}`,
        tankId: 'frag',
        courseId: 'c',
        state: 'done',
      })
    fed(1)
    fed(5)
    it.write(filmContent('frag', 20, it.ms(3, '18:00')))
    it.write(filmContent('frag', 10, it.ms(9, '18:00')))
    const course = courseById(it.journal, 'c')!
    expect(feedsWithFilms(it.journal, course, it.ms(10, '18:00'))).toMatchObject([
      { at: it.ms(5, '18:00'), film: null },
      { at: it.ms(1, '18:00'), film: { percent: 20, days: 2 } },
    ])
  })

  test('pumps that were put off for it are called for again after 20 minutes, late after 30', () => {
    const it = fragTub({ definition: 'coral-76', options: {} })
    const task = (time: string) => it.plan(1, time).tasks.find(({ step }) => step === 'pumps-on')
    expect(task('18:00')).toBeUndefined()
    it.write({ kind: 'equipment', ...it.at(1, '18:00'), tankId: 'frag', item: 'flow', running: false })
    expect(task('18:10')).toMatchObject({ best: it.ms(1, '18:20'), notAfter: it.ms(1, '18:30'), state: 'due' })
    expect(task('18:31')).toMatchObject({ state: 'late' })
    const due = task('18:31')!
    taskContents(it.journal, due, courseById(it.journal, 'c')!, it.ms(1, '18:32')).forEach(it.write)
    expect(task('18:33')).toBeUndefined()
  })
})
