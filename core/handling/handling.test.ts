import { definitionById } from '../catalogue/courses/definitions.ts'
import { coursePlan } from '../courses/plan.ts'
import { courseById } from '../courses/course.ts'
import { quarantine } from '../courses/testing/schools.ts'
import { twoSets } from '../courses/testing/rounds.ts'
import { MS_PER_HOUR } from '../time/zone.ts'
import { handlingLoad, isByVet } from './planned.ts'
import { worstWeek } from './points.ts'
import { handlingOf } from './recorded.ts'

test('the worst week slides: eight days apart are never in one', () => {
  const at = (...hours: number[]) => hours.map((atHours) => ({ atHours, points: 3 }))
  expect(worstWeek([])).toBe(0)
  expect(worstWeek(at(0, 100, 167))).toBe(9)
  expect(worstWeek(at(0, 168))).toBe(3)
  expect(worstWeek(at(0, 100, 200))).toBe(6)
})

test.each([
  ['qt-add-nitrofurazone', {}, 15],
  ['qt-add-ciprofloxacin', {}, 12],
  ['qt-add-ciprofloxacin', { pace: 'every-24' }, 15],
  ['qt-add-enrofloxacin', {}, 0],
  ['qt-add-enrofloxacin', { way: 'bath-24' }, 15],
  ['qt-add-kanamycin', {}, 0],
])('%s with %o asks %i, and is a veterinarian’s', (id, options, expected) => {
  expect(handlingLoad(definitionById(id)!, options)).toBe(expected)
  expect(isByVet(definitionById(id)!)).toBe(true)
})

test.each([
  ['qt-d-hypo', 'container', 7],
  ['qt-e-uronema', 'container', 3],
  ['qt-b-drug14', 'container', 2],
  ['qt-b-drug14', 'net', 3],
  ['qt-f-observe', 'container', 0],
  ['rest', 'container', 0],
])('%s with a %s asks %i', (id, capture, expected) => {
  expect(handlingLoad(definitionById(id)!, { capture })).toBe(expected)
})

describe('of one fish, by the record and the plan', () => {
  const load = (it: ReturnType<typeof twoSets>, hours: number) =>
    handlingOf(it.journal, 'needle', [it.plan(hours)], it.ms(hours))!

  test('a transfer: what was done last week, what comes, and the worst seven days of both', () => {
    const it = twoSets()
    it.move(72)
    const now = load(it, 100)
    expect(now.past).toBe(2)
    // The move of hour 72, and those of 142, 212: three within a week.
    expect(now.worst).toBe(6)
    expect(now.worstFrom).toBe(it.ms(72))
    expect(now.events.filter(({ isAhead }) => isAhead).every(({ what }) => what === 'move')).toBe(true)
  })

  test('a net costs one more each time', () => {
    const it = twoSets({ start: { options: { capture: 'net' } } })
    it.move(72)
    expect(load(it, 100).past).toBe(3)
  })

  test('baths count three, and only for those that were in it', () => {
    const it = twoSets({ definition: 'qt-c-hybrid' })
    it.bath(71, ['burr'])
    expect(load(it, 72).past).toBe(0)
    it.bath(71.5, ['needle'])
    expect(load(it, 72).past).toBe(3)
  })

  test('large changes by their share, and a new tank-mate', () => {
    const it = quarantine({ definition: 'qt-f-observe' })
    const change = (day: number, litres: number) =>
      it.write({ kind: 'water-change', ...it.at(day, '10:00'), tankId: 'quar', litres })
    change(1, 12)
    change(2, 24)
    change(3, 36)
    it.write({
      kind: 'arrival',
      ...it.at(4, '10:00'),
      animalId: 'new',
      tankId: 'quar',
      species: 'goby',
      group: 'goby-blenny',
      count: 1,
    })
    const plan = coursePlan(it.journal, courseById(it.journal, 'c')!, it.settings, it.ms(5, '08:00'))
    const found = handlingOf(it.journal, 'cobalt', [plan], it.ms(5, '08:00'))!
    expect(found.events.filter(({ isAhead }) => !isAhead).map(({ what, points }) => [what, points])).toEqual([
      ['change', 1],
      ['change', 2],
      ['tank-mate', 2],
    ])
    // The newcomer itself was not handled by its own coming.
    expect(handlingOf(it.journal, 'new', [], it.ms(5, '08:00'))!.past).toBe(0)
  })

  test('a swap to low salinity is one step, however many litres it took', () => {
    const it = quarantine({ definition: 'qt-d-hypo' })
    it.write({
      kind: 'water-change',
      ...it.at(0, '10:00'),
      tankId: 'quar',
      litres: 36,
      replacement: { salinityPsu: 0 },
    })
    expect(handlingOf(it.journal, 'cobalt', [], it.ms(1, '08:00'))!.events).toMatchObject([
      { what: 'salinity', points: 1 },
    ])
  })

  test('what lies over a week back no longer counts; nobody of that name has no load', () => {
    const it = twoSets()
    it.move(72)
    expect(handlingOf(it.journal, 'needle', [], it.ms(72) + 168 * MS_PER_HOUR)!.past).toBe(0)
    expect(handlingOf(it.journal, 'nobody', [], it.ms(0))).toBeNull()
  })
})
