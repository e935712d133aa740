import { courseById } from '../course.ts'
import { coursePreview } from '../outlook/preview.ts'
import { wordContent } from '../../schedule/task.ts'
import { doseContent, ruleWord, taskContents } from './task-contents.ts'
import { doseById } from '../../catalogue/treatments/treatments.ts'
import { contentFault } from '../../journal/check.ts'
import { productById } from '../../household/shelf.ts'
import { dilute, doseToward } from '../amounts/planned-dose.ts'
import { ramped, wall, ward, type Ward } from '../testing/ward.ts'

const courseOf = (it: Ward) => courseById(it.journal, 'c')!
const taskOf = (it: Ward, day: number, time: string, step: string) =>
  it.plan(day, time).tasks.find((task) => task.step === step)!

describe('what a task’s button keeps', () => {
  test('a ramp step: the measured amount and its milligrams, now', () => {
    const it = ward()
    const plan = it.plan(0, '18:30')
    const content = doseContent(plan.tasks[0]!, courseOf(it), it.ms(0, '18:30'))!
    expect(content).toMatchObject({ amount: 6, unit: 'mL', ingredient: 'cu-chelated', productId: 'bottle' })
    expect(content.massMg).toBeCloseTo(60, 9)
    expect(contentFault(content)).toBeNull()
  })

  test('a redose is kept at its own minute, and the break that the change left is counted', () => {
    const it = ramped()
    it.read(2, '08:00', 2.25)
    it.change(3, '09:00', 12)
    const plan = it.plan(3, '09:10')
    const task = plan.tasks.find(({ step }) => step === 'redose')!
    const content = doseContent(task, courseOf(it), it.ms(3, '09:10'))!
    expect(content.happened).toBe(it.at(3, '09:10').happened)
    it.write(content)
    it.read(4, '08:00', 2.25)
    const [broken] = it.plan(4, '09:00').clock.breaks
    expect([wall(it, broken!.from), wall(it, broken!.to!)]).toEqual(['3 09:00', '3 09:10'])
  })

  test('copper mixed into the new water leaves no break', () => {
    const it = ramped()
    it.read(2, '08:00', 2.25)
    it.write({
      kind: 'water-change',
      ...it.at(3, '09:00'),
      tankId: 'quar',
      litres: 12,
      replacement: { copperMgPerL: 2.25 },
    })
    it.read(4, '08:00', 2.25)
    expect(it.plan(4, '09:00').clock.breaks).toEqual([])
  })

  test('the watch is a look at every fish, with nothing seen: it is done, and the rule of no signs rests on it', () => {
    const it = ramped()
    const task = taskOf(it, 2, '19:30', 'look')
    const [content] = taskContents(it.journal, task, courseOf(it), it.ms(2, '19:30'))
    expect(contentFault(content!)).toBeNull()
    it.write(content!)
    expect(taskOf(it, 2, '20:00', 'look').best).toBeGreaterThan(it.ms(3, '00:00'))
  })

  test('a level over the band: the matched change that brings it to the target', () => {
    const it = ramped()
    it.read(2, '08:00', 2.7)
    const [content] = taskContents(it.journal, taskOf(it, 2, '08:05', 'dilute'), courseOf(it), it.ms(2, '08:05'))
    expect(content).toMatchObject({ kind: 'water-change', litres: expect.closeTo(60 * (1 - 2.25 / 2.7), 6) as number })
  })

  test('skipped, put off and said rules are words of the journal', () => {
    const it = ramped()
    const task = taskOf(it, 2, '09:00', 'read')
    const until = it.ms(2, '20:00')
    const word = wordContent(task, 'postponed', it.ms(2, '09:00'), { why: 'no strips', until })
    expect(contentFault(word)).toBeNull()
    it.write(word)
    expect(taskOf(it, 2, '09:30', 'read')).toMatchObject({ id: task.id, postponed: true, best: until })
    it.write(wordContent(task, 'skipped', it.ms(2, '21:00'), { why: 'asleep' }))
    expect(taskOf(it, 2, '21:30', 'read').id).not.toBe(task.id)
    expect(contentFault(ruleWord(courseOf(it), 'tr-3', 0, it.ms(2, '21:00')))).toBeNull()
  })
})

describe('the course before it starts', () => {
  const it = ward()
  const preview = (direct = false) =>
    coursePreview({
      dose: doseById('cu-chelated-std')!,
      direct,
      rampHours: 12,
      requiredDays: 14,
      volumeL: 60,
      product: productById(it.journal, 'bottle'),
      startAt: it.ms(0, '18:00'),
    })
  test('is the ramp its schedule then asks for, and its count from the step that reaches the range', () => {
    const { steps, inRangeAt, fullAt, observedFrom } = preview()
    expect(steps.map(({ at, dose }) => `${wall(it, at)} ${Number(dose.amount!.toFixed(3))}`)).toEqual([
      '0 18:00 6',
      '1 06:00 3',
      '1 18:00 3',
      '2 06:00 1.5',
    ])
    expect([wall(it, inRangeAt), wall(it, fullAt)]).toEqual(['1 18:00', '15 18:00'])
    expect([wall(it, observedFrom.least), wall(it, observedFrom.preferred)]).toEqual(['29 18:00', '43 18:00'])
  })
  test('straight to the dose it is in range at once', () => {
    expect(preview(true).inRangeAt).toBe(it.ms(0, '18:00'))
  })
})

describe('doses and changes worked out', () => {
  const product = productById(ward().journal, 'bottle')
  test('where rounding up would pass the high, the next smaller amount is taken', () => {
    // 2.46 → 2.5 in 20 L is 0.08 mL: up to 0.1 mL would make 2.51.
    expect(doseToward(2.46, 2.5, 2.5, 20, product)).toMatchObject({ amount: 0, belowMeasurable: true })
    expect(doseToward(2.4, 2.5, 2.5, 20, product)).toMatchObject({ amount: expect.closeTo(0.2, 9) as number })
  })
  test('at the target nothing is dosed, and nothing is changed', () => {
    expect(doseToward(2.25, 2.25, 2.5, 60, product)).toBeNull()
    expect(dilute(2.25, 2.25, 60)).toBeNull()
  })
  test('a change larger than half the water is made in several', () => {
    const change = dilute(6, 2.25, 60)!
    expect(change.times).toBe(2)
    expect(6 * (1 - change.litres / 60) ** 2).toBeCloseTo(2.25, 9)
  })
})
