import { DEFINITIONS } from '../../../catalogue/courses/all-definitions.ts'
import { definitionById } from '../../../catalogue/courses/definitions.ts'
import { planCourse } from '../../testing/plans.ts'
import { AFTERCARE_ID, aftercareChoices, aftercareOffer, relapseOf } from './aftercare.ts'

const after = (outcome: 'closed' | 'open' | 'none') => {
  const it = planCourse(AFTERCARE_ID, {
    options: { watch: 'pest-count' },
    start: outcome === 'none' ? {} : { caseId: 'k' },
  })
  if (outcome === 'none') return it
  const of = { caseId: 'k', tankId: 'tank' }
  it.write({ kind: 'case-start', ...it.at(-30), ...of, table: 'coral-and-pests', animalIds: [], title: 'white worms' })
  if (outcome === 'closed') it.write({ kind: 'case-end', ...it.at(0), ...of, outcome: 'healed', cause: 'planaria' })
  return it
}

test('one that is seen again opens its closed case', () => {
  const it = after('closed')
  expect(relapseOf(it.journal, it.plan(8))).toBeNull()
  it.count(7, 'pest-count', 0)
  expect(relapseOf(it.journal, it.plan(8))).toBeNull()
  it.count(14, 'pest-count', 2)
  expect(relapseOf(it.journal, it.plan(15))).toMatchObject({ what: 'one is seen again', closed: { id: 'k' } })
  it.write({ kind: 'case-mark', ...it.at(15), caseId: 'k', tankId: 'tank', mark: 'reopened' })
  expect(relapseOf(it.journal, it.plan(16))).toMatchObject({ closed: null })
})

test('without a case, or with one that is open, there is none to open', () => {
  for (const outcome of ['none', 'open'] as const) {
    const it = after(outcome)
    it.count(7, 'pest-count', 1)
    expect([outcome, relapseOf(it.journal, it.plan(8))?.closed]).toEqual([outcome, null])
  }
})

test('four clean weekly looks and a cause that is gone end it; three do not', () => {
  const it = after('none')
  const says = (day: number) => it.rule('success', day).state
  for (const day of [7, 14, 21]) it.count(day, 'pest-count', 0)
  expect(says(22)).toBe('not-yet')
  it.count(28, 'pest-count', 0)
  expect(says(29)).toBe('ask')
})

test('it is offered when the plan is finished or reached, and names the one that was begun', () => {
  const it = planCourse('bubble-rock')
  const offer = (day: number) => aftercareOffer(it.journal, it.plan(day))
  expect(offer(10)).toBeNull()
  it.write({ kind: 'course-end', ...it.at(60), courseId: 'p', outcome: 'finished' })
  expect(offer(61)).toEqual({ choices: ['pest-count'], begunId: null })
  it.write({
    kind: 'course-start',
    ...it.at(61),
    courseId: 'after',
    definition: AFTERCARE_ID,
    tanks: { main: 'tank' },
    animalIds: [],
  })
  expect(offer(62)?.begunId).toBe('after')
  const stopped = planCourse('bubble-rock')
  stopped.write({ kind: 'course-end', ...stopped.at(3), courseId: 'p', outcome: 'stopped' })
  expect(aftercareOffer(stopped.journal, stopped.plan(4))).toBeNull()
})

test('each plan against an outbreak says what would come back; others have no weeks after', () => {
  const choices = (id: string) => aftercareChoices(definitionById(id)!)
  expect(choices('dino-uv')).toEqual(['coverage'])
  expect(choices('peroxide-spot')).toEqual(['coverage'])
  expect(choices('planaria-fenbendazole')).toEqual(['pest-count', 'crew-out'])
  expect(choices('cyano-fresh-blackout')).toEqual(['coverage', 'was-dark'])
  expect(choices('coral-dip-cycle')).toEqual(['pest-count'])
  for (const id of ['element-correct', 'nutrient-raise', 'brown-jelly', 'qt-b-drug14', AFTERCARE_ID])
    expect([id, choices(id)]).toEqual([id, null])
  const offered = new Set(definitionById(AFTERCARE_ID)!.options.flatMap(({ choices: of }) => of.map(({ id }) => id)))
  for (const definition of DEFINITIONS)
    for (const choice of aftercareChoices(definition) ?? []) expect(offered).toContain(choice)
})
