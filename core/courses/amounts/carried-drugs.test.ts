import { courseById } from '../course.ts'
import { coursePlan } from '../plan.ts'
import { ramped, type Ward } from '../testing/ward.ts'
import { taskContents } from '../acts/task-contents.ts'
import { carriedInto, carriedWords } from './carried-drugs.ts'

/** Copper held at 2.10 mg/L on day 5, in 60 L. */
function held(): Ward {
  const it = ramped({ protocol: 'qt-a-cu30' })
  for (const day of [2, 3, 4]) it.read(day, '08:00', 2.2)
  it.read(5, '08:00', 2.1)
  return it
}
const beside = (it: Ward, definition: string) => {
  it.write({
    kind: 'product-setup',
    ...it.at(-3, '08:00'),
    productId: 'prazi',
    name: 'dewormer',
    ingredient: 'praziquantel',
    strength: { kind: 'powder', activeFraction: 1 },
  })
  it.write({
    kind: 'course-start',
    ...it.at(5, '09:00'),
    courseId: 'second',
    definition,
    tanks: { main: 'quar' },
    animalIds: ['needle', 'burr'],
    options: {},
    products: { 'praziquantel-tank': 'prazi' },
    withCourseId: 'c',
  })
  it.look(5, '09:10')
  return (time: string) => coursePlan(it.journal, courseById(it.journal, 'second')!, it.settings, it.ms(5, time)).tasks
}

describe('new water for a change in a tank where a drug is held', () => {
  test('is mixed to the tank’s own level, and never over it: 20 L at 2.10 mg/L are 4.2 mL of 10 mg/mL', () => {
    const it = held()
    const [copper, ...more] = carriedInto(it.journal, 'quar', 20, it.ms(5, '10:00'))
    expect(more).toEqual([])
    expect(copper).toMatchObject({ agent: 'cu-chelated', dose: { amount: expect.closeTo(4.2, 6), unit: 'mL' } })
    expect(carriedWords([copper!])).toBe('mixed with 4.2 mL of copper bottle, 2.10 mg/L of copper')
  })

  test('over the range it is mixed to the target; with carbon running, or after the course, it brings none', () => {
    const over = held()
    over.read(5, '09:00', 2.8)
    expect(carriedInto(over.journal, 'quar', 20, over.ms(5, '10:00'))[0]!.dose.makesMgPerL).toBeCloseTo(2.25, 2)
    const cleared = held()
    cleared.write({ kind: 'equipment', ...cleared.at(5, '09:00'), tankId: 'quar', item: 'carbon', running: true })
    expect(carriedInto(cleared.journal, 'quar', 20, cleared.ms(5, '10:00'))).toEqual([])
    expect(carriedInto(held().journal, 'obs', 20, over.ms(5, '10:00'))).toEqual([])
  })

  test('the deworming beside copper names the change with its copper', () => {
    const it = held()
    const [first] = beside(it, 'qt-add-worm')('09:30').filter(({ step }) => step === 'deworm')
    expect(first!.how).toMatch(
      /^Change a third of the water first, 20 L mixed with 4.2 mL of copper bottle, 2.10 mg\/L of copper: without it the change would lower the copper\. /,
    )
  })

  test('a change made as a task says keeps the count; one without copper breaks it', () => {
    const after = (withCopper: boolean) => {
      const it = held()
      const course = courseById(it.journal, 'c')!
      const change = { litres: 20, times: 1, fromMgPerL: 0, toMgPerL: 0 }
      const carried = carriedInto(it.journal, 'quar', 20, it.ms(5, '10:00'))
      const task = {
        ...it.plan(5, '10:00').tasks[0]!,
        act: 'change' as const,
        step: 'step-1-change',
        tankId: 'quar',
        change: withCopper ? { ...change, carried } : change,
      }
      for (const content of taskContents(it.journal, task, course, it.ms(5, '10:00'))) it.write(content)
      return it.plan(5, '11:00').clock.state
    }
    expect(after(true)).toBe('running')
    expect(after(false)).toBe('broken')
  })
})
