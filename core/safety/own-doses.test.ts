import { doseById } from '../catalogue/treatments/treatments.ts'
import { coursePlan } from '../courses/plan.ts'
import { courseById } from '../courses/course.ts'
import { doseContent, foodContent } from '../courses/acts/task-contents.ts'
import { quarantine, type Quarantine } from '../courses/testing/schools.ts'
import type { ContentOf } from '../journal/entry.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../time/zone.ts'
import { stopping } from './concern.ts'
import { concernsOf } from './concerns.ts'

type Given = ContentOf<'dose'> | ContentOf<'feed'>

/** What the tasks of a course that are due, or may be done, ask to be dosed at an instant. */
function due(it: Quarantine, at: number): Given[] {
  const course = courseById(it.journal, 'c')!
  return coursePlan(it.journal, course, it.settings, at).tasks.flatMap((task): Given[] => {
    if (task.notBefore > at) return []
    const given =
      task.act === 'feed'
        ? foodContent(task, course, at, 2)
        : task.act === 'dose'
          ? doseContent(task, course, at)
          : null
    return given ? [given] : []
  })
}

/**
 * Lives a course's own doses: each as soon as it may be given.
 * @returns what spoke against each of them, and what speaks against giving each once more an hour later
 */
function live(it: Quarantine, days: number) {
  const given: Given[] = []
  const refused: string[] = []
  const again: string[][] = []
  for (let at = it.ms(0, '08:00'); at < it.ms(0, '08:00') + days * MS_PER_DAY; at += MS_PER_HOUR)
    for (const content of due(it, at)) {
      const found = stopping(concernsOf(it.journal, content, { now: at }))
      refused.push(...found.map(({ rule, what, reason }) => `${rule}: ${what}, ${reason}`))
      it.write(content)
      given.push(content)
      const hour = at + MS_PER_HOUR
      const same = { ...content, happened: new Date(hour).toISOString() }
      again.push(stopping(concernsOf(it.journal, same, { now: hour })).map(({ rule }) => rule))
    }
  return { given, refused, again }
}

describe('a course’s own due doses, at their tasks’ amounts, each as soon as it may be given', () => {
  test.each([
    ['qt-e-uronema', 'metronidazole', 10, 15],
    ['qt-add-metro', 'metronidazole', 5, 12],
    ['qt-add-kanamycin', 'kanamycin', 5, 14],
    ['qt-add-worm', 'praziquantel', 2, 20],
  ] as const)(
    '%s: %s, %d of them, and none is refused; the same occasion twice is',
    (definition, ingredient, need, days) => {
      const it = quarantine({ definition })
      const { given, refused, again } = live(it, days)
      expect(refused).toEqual([])
      const dosed = given.flatMap((content, i) =>
        content.kind === 'dose' && content.ingredient === ingredient ? [i] : [],
      )
      expect(dosed).toHaveLength(need)
      for (const i of dosed) expect(again[i]).toContain('over-band')
    },
  )

  test('dyes by their row: every 48 hours, and not sooner', () => {
    const it = quarantine({ definition: 'qt-f-observe' })
    const dye = (days: number): ContentOf<'dose'> => ({
      kind: 'dose',
      ...it.at(days, '09:00'),
      tankId: 'quar',
      ingredient: 'methylene-blue',
      amount: 1,
      unit: 'mL',
      massMg: 3 * 60,
    })
    const said = (days: number) =>
      concernsOf(it.journal, dye(days), { now: it.ms(days, '09:00') }).map(({ rule }) => rule)
    expect(doseById('methylene-blue-tank')!.high).toBe(3)
    expect(said(1)).not.toContain('over-band')
    it.write(dye(1))
    expect(said(2)).toContain('over-band')
    expect(said(3)).not.toContain('over-band')
  })

  test('praziquantel: the second round is a full dose; within a round only the share that was changed', () => {
    const it = quarantine({ definition: 'qt-add-worm' })
    const at = (days: number, mg: number): ContentOf<'dose'> => ({
      kind: 'dose',
      ...it.at(days, '09:00'),
      tankId: 'quar',
      ingredient: 'praziquantel',
      amount: 1,
      unit: 'g',
      massMg: mg,
    })
    const said = (days: number, mg: number) =>
      concernsOf(it.journal, at(days, mg), { now: it.ms(days, '09:00') }).map(({ rule }) => rule)
    it.write(at(1, 150))
    it.write({ kind: 'water-change', ...it.at(2, '08:00'), tankId: 'quar', litres: 20 })
    expect(said(2, 150)).toContain('over-band')
    expect(said(2, 50)).not.toContain('over-band')
    expect(said(8, 150)).not.toContain('over-band')
  })

  test('copper’s due dose needs its reading: without one of the last two days it is asked about', () => {
    const it = quarantine({ definition: 'qt-a-cu30', start: { options: { drug: 'cu-chelated-std', deworm: 'none' } } })
    it.dose(0, '09:00', 'cu-chelated', 126)
    const redose = (days: number): ContentOf<'dose'> => ({
      kind: 'dose',
      ...it.at(days, '10:00'),
      tankId: 'quar',
      ingredient: 'cu-chelated',
      amount: 1,
      unit: 'mL',
      massMg: 10,
    })
    const said = (days: number) =>
      concernsOf(it.journal, redose(days), { now: it.ms(days, '10:00') }).map(
        ({ rule, severity }) => `${severity} ${rule}`,
      )
    expect(said(1)).toContain('caution read-first')
    it.reading(1, '09:00', 'copper', 2.1)
    expect(said(1)).not.toContain('caution read-first')
    expect(said(4)).toContain('caution read-first')
  })
})

describe('what takes a drug out', () => {
  const carbon = (it: Quarantine, days: number, time = '12:00') =>
    concernsOf(
      it.journal,
      { kind: 'equipment', ...it.at(days, time), tankId: 'quar', item: 'carbon', running: true },
      { now: it.ms(days, time) },
    ).map(({ rule, severity }) => `${severity} ${rule}`)

  test('an overdose of copper: a note with where the water goes; in its range it is refused', () => {
    const it = quarantine({ definition: 'qt-a-cu30', start: { options: { drug: 'cu-chelated-std', deworm: 'none' } } })
    it.dose(0, '09:00', 'cu-chelated', 135)
    it.reading(1, '09:00', 'copper', 2.25)
    expect(carbon(it, 1)).toEqual(['block carbon-any'])
    it.reading(2, '09:00', 'copper', 3.1)
    expect(carbon(it, 2)).toEqual(['note carbon-takes-out'])
  })

  test('thirty days that stay in their tank: a note once the count is complete', () => {
    const it = quarantine({ definition: 'qt-a-cu30', start: { options: { drug: 'cu-chelated-std', deworm: 'none' } } })
    it.dose(0, '09:00', 'cu-chelated', 135)
    for (let day = 1; day <= 33; day++) it.reading(day, '09:00', 'copper', 2.25)
    expect(carbon(it, 20)).toEqual(['block carbon-any'])
    expect(carbon(it, 33)).toEqual(['note carbon-takes-out'])
  })
})
