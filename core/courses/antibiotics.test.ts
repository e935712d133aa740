import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import { DOSES } from '../catalogue/treatments/treatments.ts'
import { RESISTANCE } from '../catalogue/courses/school-parts.ts'
import { isByVet } from '../handling/planned.ts'
import { doseLevel, vetPageOf } from '../household/vet-page.ts'
import type { Content } from '../journal/entry.ts'
import { concernsOf } from '../safety/concerns.ts'
import { lesionLooks, looksInARow } from '../watching/lesions.ts'
import { isActOff } from './acts/act-off.ts'
import { readLesions } from './acts/read-lesions.ts'
import { sharedTasks } from './board/shared-tasks.ts'
import { quarantine, type Quarantine } from './testing/schools.ts'

const IDS = ['qt-add-kanamycin', 'qt-add-nitrofurazone', 'qt-add-enrofloxacin', 'qt-add-ciprofloxacin']

/** A look at the sore of the damsel by the form of its task. */
function looksAtSore(it: Quarantine, day: number, answer: Parameters<typeof readLesions>[1][string]) {
  const task = it.plan(day, '18:00').tasks.find(({ step }) => step === 'lesion')!
  const read = readLesions(task, { cobalt: answer }, it.ms(day, '18:00'))
  if ('problems' in read) return read.problems
  for (const content of read.contents) it.write(content)
  return null
}

test('each antibiotic waits for a veterinarian, warns of resistance, tests ammonia and looks at the sore daily', () => {
  for (const id of IDS) {
    const definition = DEFINITIONS.find((one) => one.id === id)!
    expect(isByVet(definition)).toBe(true)
    const given = definition.steps.filter(({ track }) => track === 'doses' && definition.steps)
    expect(
      given.filter(({ act }) => act !== 'change' && act !== 'switch').every((step) => step.needs!.includes('vet')),
    ).toBe(true)
    expect(definition.steps.some(({ caution }) => caution?.includes(RESISTANCE))).toBe(true)
    expect(definition.steps.map((step) => step.id)).toEqual(expect.arrayContaining(['ammonia', 'lesion']))
    expect(definition.rules.map((rule) => rule.id)).toContain('lesion-worse')
  }
})

test('every medicine with a row for the food has a course that feeds it', () => {
  const fed = new Set(
    DEFINITIONS.flatMap(({ tracks }) =>
      tracks.flatMap((track) => (track.kind === 'rounds' && track.of === 'dose' ? [track.dose] : [])),
    ),
  )
  for (const { id } of DOSES.filter(({ route }) => route === 'food')) expect(fed).toContain(id)
})

describe('kanamycin in the water', () => {
  const begun = () => {
    const it = quarantine({ definition: 'qt-add-kanamycin' })
    it.dose(0, '08:00', 'kanamycin', 498)
    return it
  }
  const change = (it: Quarantine, day: number, time: string, litres: number) =>
    it.write({ kind: 'water-change', ...it.at(day, time), tankId: 'quar', litres })

  test('a quarter of 60 L is changed before the second dose; a change of 14 L counts, one of 5 L does not', () => {
    const it = begun()
    const asked = (day: number, time: string) => it.plan(day, time).tasks.filter(({ step }) => step === 'change')
    expect(asked(1, '20:00')[0]!.change!.litres).toBe(15)
    change(it, 1, '20:30', 5)
    expect(asked(2, '07:00')[0]!.change!.litres).toBe(15)
    change(it, 2, '07:30', 14)
    expect(asked(2, '08:00').map(({ why }) => why)[0]).toBe('before dose 3 of 5')
  })

  test('at the end carbon and a change, and only then the finish', () => {
    const it = begun()
    for (const day of [2, 4, 6, 8]) it.dose(day, '08:00', 'kanamycin', 498)
    const at = (day: number, time: string, step: string) => it.plan(day, time).tasks.find((one) => one.step === step)
    expect(at(10, '09:00', 'clear')).toMatchObject({
      act: 'switch',
      title: 'Take the kanamycin out: carbon in, change a quarter to a half',
    })
    const close = at(10, '09:00', 'close')!
    expect(close.waitsFor).toEqual(['the drug taken out of the water'])
    expect(isActOff(close, it.ms(10, '09:00'))).toBe(true)
    const carbon = { kind: 'equipment', ...it.at(10, '08:00'), tankId: 'quar', item: 'carbon', running: true } as const
    expect(concernsOf(it.journal, carbon, { now: it.ms(10, '08:00') }).map(({ severity }) => severity)).toEqual([
      'note',
    ])
    it.write(carbon)
    expect(at(10, '10:00', 'clear')).toBeUndefined()
    expect(isActOff(at(10, '10:00', 'close')!, it.ms(10, '10:00'))).toBe(false)
  })

  test('carbon before the last dose is blocked: the drug is still at work', () => {
    const it = begun()
    const carbon = { kind: 'equipment', ...it.at(1, '09:00'), tankId: 'quar', item: 'carbon', running: true } as const
    expect(concernsOf(it.journal, carbon, { now: it.ms(1, '09:00') }).map(({ severity }) => severity)).toEqual([
      'block',
    ])
  })
})

describe('the sore', () => {
  test('millimetres are held against the look before; a word goes before them', () => {
    const it = quarantine({ definition: 'qt-add-nitrofurazone' })
    expect(looksAtSore(it, 0, { mm: 8 })).toBeNull()
    expect(looksAtSore(it, 1, { mm: 8.4 })).toBeNull()
    expect(looksAtSore(it, 2, { mm: 10 })).toBeNull()
    expect(looksAtSore(it, 3, { mm: 9.5, change: 'worse' })).toBeNull()
    expect(looksAtSore(it, 4, { mm: 0 })).toBeNull()
    const looks = lesionLooks(it.journal, 'cobalt', 0, it.ms(5, '00:00'))
    expect(looks.map(({ change }) => change)).toEqual([null, 'same', 'worse', 'worse', 'healed'])
    expect(looksInARow(looks.slice(0, 4), 'worse')).toBe(2)
  })

  test('three looks in a row worse: it says so, with the veterinarian’s page, and names no second drug', () => {
    const it = quarantine({ definition: 'qt-add-nitrofurazone' })
    const rule = (day: number) => it.plan(day, '20:00').rules.find(({ id }) => id === 'lesion-worse')!
    for (const day of [0, 1]) looksAtSore(it, day, { change: 'worse' })
    expect(rule(1)).toMatchObject({ state: 'not-yet', is: 2, limit: 3 })
    looksAtSore(it, 2, { change: 'worse' })
    expect(rule(2)).toMatchObject({ state: 'holds', then: expect.stringContaining('page for the veterinarian') })
    expect(it.plan(2, '20:00').warnings.find(({ id }) => id === 'lesion-worse')!.text).toMatch(
      /No second antibiotic without them/,
    )
    looksAtSore(it, 3, { change: 'same' })
    expect(rule(3).state).toBe('not-yet')
  })

  test('what is no figure stays in its field; nothing at all is asked for', () => {
    const it = quarantine({ definition: 'qt-add-nitrofurazone' })
    expect(looksAtSore(it, 0, { mm: null })).toEqual({ cobalt: { message: 'millimetres, 0 to 300' } })
    expect(looksAtSore(it, 0, {})).toEqual({ cobalt: { message: 'worse, the same or better, or how wide it is' } })
  })

  test('a look at the sore is no half hour of watching', () => {
    const it = quarantine({ definition: 'qt-add-nitrofurazone' })
    const lesion = it.plan(0, '18:00').tasks.find(({ step }) => step === 'lesion')!
    const watch = { ...lesion, id: 'other', step: 'look', courseId: 'other' }
    expect(sharedTasks([lesion, watch])).toHaveLength(2)
    expect(sharedTasks([lesion, { ...watch, step: 'lesion' }])).toHaveLength(1)
  })
})

test('in sea water a fluoroquinolone bath is asked about before it begins; with the food it is not', () => {
  const started = (options: Record<string, string>) => {
    const it = quarantine({ definition: 'qt-f-observe' })
    const start = {
      kind: 'course-start' as const,
      ...it.at(1, '08:00'),
      courseId: 'more',
      definition: 'qt-add-enrofloxacin',
      tanks: { main: 'quar' },
      animalIds: ['cobalt'],
      options,
    } satisfies Content
    return concernsOf(it.journal, start, { now: it.ms(1, '08:00') }).map(({ rule }) => rule)
  }
  expect(started({ way: 'bath-48' })).toContain('fluoroquinolone-hard')
  expect(started({ way: 'food' })).not.toContain('fluoroquinolone-hard')
})

test('the page for the veterinarian: what these fish were given, seen and live in, the latest first', () => {
  const it = quarantine({ definition: 'qt-add-kanamycin' })
  it.dose(0, '08:00', 'kanamycin', 498)
  it.feed(1, '08:00', 'metronidazole', 5)
  it.reading(1, '09:00', 'tan', 0.1)
  it.reading(2, '09:00', 'tan', 0.2)
  looksAtSore(it, 1, { mm: 8 })
  const page = vetPageOf(it.journal, ['cobalt'], it.ms(3, '08:00'))
  expect(page.given.map(({ content }) => content.kind)).toEqual(['feed', 'dose'])
  expect(page.given.map((line) => doseLevel(it.journal, line))).toEqual([null, 498 / 60])
  expect(page.water.map(({ content }) => content)).toMatchObject([{ parameter: 'tan', result: { value: 0.2 } }])
  expect(page.seen.map(({ content }) => content)).toMatchObject([{ lesion: { mm: 8 } }])
  expect(vetPageOf(it.journal, ['cobalt'], it.ms(90, '08:00')).given).toEqual([])
})
