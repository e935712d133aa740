import { journalFrom } from '../journal/read.ts'
import { courseById, courseFrom, coursesOf, unknownCoursesOf } from './course.ts'
import { handlingLoad } from '../handling/planned.ts'
import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import { definitionById } from '../catalogue/courses/definitions.ts'
import { bathAmount, plannedBath } from './amounts/planned-bath.ts'
import { materialsOf } from '../catalogue/courses/materials.ts'
import { shelfNeeds } from './amounts/shelf-needs.ts'
import { twoSets } from './testing/rounds.ts'
import { doseById } from '../catalogue/treatments/treatments.ts'

const happened = '2026-11-01T18:00:00Z'

describe('a journal of format 1 reads on', () => {
  const file = (start: object) => ({
    format: 'brinvo-journal',
    version: 1,
    exported: '2026-11-02T00:00:00Z',
    entries: [
      {
        id: 'e1',
        logged: happened,
        content: { kind: 'course-start', happened, courseId: 'c', animalIds: ['n'], ...start },
      },
    ],
  })
  const read = (start: object) => {
    const journal = journalFrom(file(start))
    if (!journal.ok) throw new Error(JSON.stringify(journal.error))
    return journal.value
  }

  test('protocol, tank, dose, product and the tank to move to are brought forward', () => {
    const journal = read({
      protocol: 'qt-b-drug14',
      tankId: 'quar',
      doseId: 'cu-amine-std',
      productId: 'p',
      moveToTankId: 'obs',
    })
    expect(courseById(journal, 'c')).toMatchObject({
      definition: { id: 'qt-b-drug14' },
      tankId: 'quar',
      tanks: { main: 'quar', observe: 'obs' },
      dose: { id: 'cu-amine-std' },
      productId: 'p',
      moveToTankId: 'obs',
      requiredDays: 14,
    })
  })

  test('a definition of a later version is told apart, and not hidden', () => {
    const journal = read({ definition: 'qt-z-later', tanks: { main: 'quar' } })
    expect(coursesOf(journal)).toEqual([])
    expect(unknownCoursesOf(journal)).toEqual([
      { id: 'c', definition: 'qt-z-later', tankId: 'quar', startedAt: Date.parse(happened) },
    ])
  })

  test.each([
    [{ definition: 'qt-c-ttm', tanks: {} }, '/entries/0/content/tanks/main'],
    [{ protocol: 'qt-b-drug14', tankId: 'quar' }, '/entries/0/content/doseId'],
  ])('half a start names what is missing: %j', (start, path) => {
    expect(journalFrom(file(start))).toMatchObject({ ok: false, error: { path } })
  })
})

test('a draft is a course before it is kept', () => {
  const draft = {
    kind: 'course-start' as const,
    happened,
    courseId: 'd',
    definition: 'qt-c-velvet',
    tanks: { main: 'a', other: 'b' },
    animalIds: [],
  }
  expect(courseFrom(draft, 0)).toMatchObject({ definition: { id: 'qt-c-velvet' }, dose: null, requiredDays: 12 })
})

test('handling load in the worst week: quarantine.md 8 with further-schools.md', () => {
  const load = (id: string, capture?: string) =>
    handlingLoad(definitionById(id)!, capture === undefined ? {} : { capture })
  expect(load('qt-c-hybrid')).toBe(12)
  expect(load('qt-c-velvet')).toBe(10)
  expect(load('qt-c-ttm')).toBe(6)
  expect(load('qt-c-hybrid', 'net')).toBe(15)
  expect(load('peroxide-spot')).toBe(0)
})

test('every definition’s lead is one of its tracks, and each dose it names is in the catalogue', () => {
  for (const { lead, tracks, drugs, roles } of DEFINITIONS) {
    expect(tracks.map(({ id }) => id)).toContain(lead)
    for (const drug of drugs) expect(doseById(drug)).toBeDefined()
    expect(roles[0]?.role).toBe('main')
  }
})

test('a bath in the keeper’s litres, as the syringe measures it, never over its high', () => {
  const product = { id: 'p', unit: 'mL', mgPerUnit: 30, measure: { tool: 'syringe', step: 0.5 } } as never
  const bath = plannedBath(doseById('peroxide-bath')!, product, 4)
  expect(bathAmount(bath, 4)).toEqual({ amount: 10, makesMgPerL: 75 })
  // 3.3 L want 8.25 mL: 8.5 measured makes 77.3 mg/L.
  expect(bathAmount(bath, 3.3)!.amount).toBe(8.5)
  // 4.05 L want 10.125 mL: 10 would make 74.1, under the least that treats.
  expect(bathAmount(bath, 4.05)!.amount).toBe(10.5)
  expect(bathAmount({ ...bath, amountPerL: null }, 4)).toBeNull()
})

describe('what a course needs from the shelf in all', () => {
  const it = twoSets({ definition: 'qt-c-hybrid' })
  const course = (extra: object) =>
    courseFrom(
      {
        kind: 'course-start',
        happened,
        courseId: 'd',
        definition: 'qt-c-hybrid',
        tanks: { main: 'a', other: 'b' },
        animalIds: [],
        products: { 'peroxide-bath': 'perox', 'peroxide-spot': 'perox' },
        ...extra,
      },
      0,
    )!
  test('two baths of a tub, or so much in a litre where no tub is named', () => {
    // 75 mg/L of 30 mg in a mL is 2.5 mL in a litre.
    expect(shelfNeeds(it.journal, course({}), 40, 4)).toMatchObject([{ needed: 20, perLitre: 2.5, enough: null }])
    expect(shelfNeeds(it.journal, course({}), 40, null)).toMatchObject([{ needed: null, perLitre: 2.5 }])
  })
  test('a plan: the cap of every session there could be', () => {
    // 0.79 mg/L in 40 L is 31.6 mg, 1 mL by a syringe of half millilitres; fifteen days.
    expect(shelfNeeds(it.journal, course({ definition: 'peroxide-spot' }), 40, null)).toMatchObject([{ needed: 15 }])
  })
  test('a plan whose half changes are dosed again: the first dose, and three redoses of a half or in full', () => {
    const needs = (options: Record<string, string>) =>
      shelfNeeds(
        it.journal,
        course({ definition: 'planaria-fenbendazole', options, products: { fenbendazole: 'perox' } }),
        100,
        null,
      )[0]!.needed
    // 0.55 mg/L in 100 L are 55 mg, of a product with 30 mg in a unit 1.833.
    const dose = 55 / 30
    expect(needs({})).toBeCloseTo(dose * (1 + 3 * 0.5), 9)
    expect(needs({ redose: 'full' })).toBeCloseTo(dose * 4, 9)
  })
  test('silicate: half a milligram first, then at most one a day for sixty days', () => {
    const silicate = course({ definition: 'dino-sand', products: { silicate: 'perox' } })
    expect(shelfNeeds(it.journal, silicate, 30, null)[0]!.needed).toBeCloseTo(0.5 + 60, 9)
  })
  test('what has to be at hand is the row’s own list', () => {
    expect(materialsOf('coral-relocate')).toEqual(['glue', 'torch'])
    for (const { id, kind } of DEFINITIONS)
      if (kind === 'plan') expect([id, materialsOf(id).length > 0]).toEqual([id, true])
  })
})

test('observation alone: thirty days from the start, a sign sets them to nothing', () => {
  const it = twoSets({ definition: 'qt-f-observe', start: { tanks: { main: 'a' } } })
  expect(it.standing(48)).toMatchObject({ stage: 'watching', counts: [{ track: 'watch', has: 48, needs: 720 }] })
  it.write({
    kind: 'sighting',
    ...it.at(60),
    tankId: 'a',
    animalIds: ['burr'],
    signs: [{ sign: 'flashing', present: true }],
  })
  expect(it.standing(72).counts[0]).toMatchObject({ has: 12, restarts: [{ why: 'sign-seen' }] })
  expect(it.standing(60 + 720).stage).toBe('to-close')
})
