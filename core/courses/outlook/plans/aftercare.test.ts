import { DEFINITIONS } from '../../../catalogue/courses/all-definitions.ts'
import { definitionById } from '../../../catalogue/courses/definitions.ts'
import { readAct } from '../../acts/read-act.ts'
import { crewFor, readSwitches, type CrewAnswer } from '../../acts/read-switches.ts'
import { courseById } from '../../course.ts'
import { coursePlan } from '../../plan.ts'
import { planCourse } from '../../testing/plans.ts'
import { AFTERCARE_ID, aftercareChoices, aftercareOffer, relapseOf } from './aftercare.ts'
import { ladderOf } from './ladder.ts'

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
  expect(choices('dino-uv')).toEqual(['cells', 'uv-on', 'crew-out'])
  expect(choices('dino-sand')).toEqual(['cells'])
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

describe('what comes back is a ladder', () => {
  const begun = (options: Record<string, string> = {}) =>
    planCourse(AFTERCARE_ID, { options: { watch: 'cells', uv: 'uv-on', crew: 'crew-out', ...options } })
  type It = ReturnType<typeof begun>
  const rung = (it: It, day: number) => {
    const task = it.plan(day).tasks.find(({ step }) => step.startsWith('rung-'))
    return task && `${task.title}${task.waitsFor ? ` (waits: ${task.waitsFor.join()})` : ''}`
  }
  /** Presses the button of a step on a day. */
  const press = (it: It, day: number, step: string) => {
    const plan = it.plan(day)
    const task = plan.tasks.find((one) => one.step === step)!
    const read = readAct(it.journal, plan, task, {}, it.ms(day))
    if ('problems' in read) throw new Error(JSON.stringify(read.problems))
    for (const content of read.contents) it.write(content)
    return read.contents
  }

  test('one rung a week, each after a clean count of cells since the last; coverage alone does not do', () => {
    const it = begun()
    expect(rung(it, 8)).toBe('Carbon and skimmer back on (waits: a clean look since the last step)')
    it.count(7, 'coverage', 0)
    expect(rung(it, 8)).toMatch(/waits/)
    it.count(8, 'cells', 2)
    expect(rung(it, 8.1)).toBe('Carbon and skimmer back on')
    const kept = press(it, 8.2, 'rung-carbon')
    expect(
      kept.map((content) => (content.kind === 'equipment' ? `${content.item} ${content.running}` : content.kind)),
    ).toEqual(['carbon true', 'skimmer true', 'task'])
    expect(rung(it, 8.3)).toBe('UV at night alone (waits: a clean look since the last step)')
    it.count(14, 'cells', 1)
    expect(rung(it, 14.1)).toBe('UV at night alone')
    expect(it.plan(14.1).tasks.filter(({ step }) => step.startsWith('rung-'))).toHaveLength(1)
  })

  test('when it is back, nothing more is brought back and one or two rungs go down', () => {
    const it = begun()
    it.count(7, 'cells', 0)
    press(it, 7.2, 'rung-carbon')
    it.count(14, 'cells', 0)
    press(it, 14.2, 'rung-uv')
    it.count(21, 'cells', 0)
    press(it, 21.2, 'rung-uv-off')
    it.count(28, 'cells', 6)
    const down = () => it.plan(28.2).tasks.find(({ step }) => step === 'step-down')!
    expect(down().title).toBe('Back down: undo “UV off”')
    expect(rung(it, 28.2)).toMatch(/it is back: nothing more is brought back/)
    it.count(29, 'cells', 20)
    const two = it.plan(29.2).tasks.find(({ step }) => step === 'step-down')!
    expect(two.title).toBe('Back down: undo “UV off” and “UV at night alone”')
    const kept = press(it, 29.3, 'step-down')
    expect(kept).toMatchObject([{ kind: 'equipment', item: 'uv', running: true }, { kind: 'task' }])
    const after = ladderOf(it.journal, it.plan(29.4).facts, it.plan(29.4).rules, it.settings)
    expect([after.height, after.down]).toEqual([1, []])
    it.count(36, 'cells', 1)
    expect(rung(it, 36.2)).toBe('UV at night alone')
  })

  test('finished only by a reason while rungs are left or it is back', () => {
    const it = begun()
    const close = it.plan(57).tasks.find(({ step }) => step === 'close')!
    expect(close.why).toMatch(/steps back to normal are left: finished only by a reason/)
    const read = (why: string) => readAct(it.journal, it.plan(57), close, { why }, it.ms(57))
    expect(read('  ')).toHaveProperty('problems.why')
    expect(read('the tank is sold')).toMatchObject({ contents: [{ kind: 'course-end', why: 'the tank is sold' }, {}] })
  })

  test('the plan before comes back with what was chosen for it', () => {
    const it = planCourse('dino-sand', { options: { wand: 'yes' } })
    it.write({ kind: 'course-end', ...it.at(90), courseId: 'p', outcome: 'finished' })
    it.write({
      kind: 'course-start',
      ...it.at(91),
      courseId: 'after',
      definition: AFTERCARE_ID,
      tanks: { main: 'tank' },
      animalIds: [],
      options: { watch: 'cells' },
    })
    it.write({ kind: 'count', ...it.at(98), tankId: 'tank', courseId: 'after', measure: 'cells', values: [9] })
    const after = coursePlan(it.journal, courseById(it.journal, 'after')!, it.settings, it.ms(98.2))
    expect(relapseOf(it.journal, after)!.again).toMatchObject({ definitionId: 'dino-sand', choices: ['yes'] })
  })
})

describe('a step that moves the cleanup crew asks which', () => {
  test('out of the tank, and back into it one by one', () => {
    const it = planCourse('dino-uv')
    it.write({
      kind: 'arrival',
      ...it.at(-9),
      animalId: 'trochus',
      tankId: 'tank',
      species: 'snail',
      group: 'snail',
      count: 3,
      name: 'Snails',
    })
    const task = it.plan(0.1).tasks.find(({ step }) => step === 'step-1-out')!
    expect(crewFor(it.journal, task).map(({ id }) => id)).toEqual(['trochus'])
    const of = (crew: CrewAnswer) => readSwitches(it.journal, task, { crew }, it.ms(0.1))
    expect(of({ animalIds: ['trochus'], toTankId: '' })).toEqual({
      problems: { toTankId: { message: 'which tank they go to' } },
    })
    expect(of({ animalIds: ['trochus'], toTankId: 'other' })).toMatchObject({
      contents: [
        { kind: 'equipment', item: 'phosphate-remover', running: false },
        { kind: 'move', animalId: 'trochus', fromTankId: 'tank', toTankId: 'other' },
        { kind: 'task', state: 'done' },
      ],
    })
    expect(readSwitches(it.journal, task, { switched: [] }, it.ms(0.1))).toMatchObject({ contents: [{ kind: 'task' }] })
  })
})
