import { METRIC, type Settings } from '../household/settings.ts'
import type { Content } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { zoneClock } from '../time/zone.ts'
import { caseLookTasks } from '../schedule/case-looks.ts'
import { taskName } from '../schedule/task-name.ts'
import {
  answersOf,
  caseById,
  caseContents,
  casesOf,
  casesThatCameBack,
  reopenContent,
  seenShortlyBefore,
} from './cases.ts'
import { happenedBefore, waterThen } from './happened.ts'
import { answersWith } from './asking.ts'
import { contextOf, settingOf, type CaseSubject } from './context.ts'

const START = Date.parse('2026-11-01T12:00:00Z')
const ms = (day: number) => START + day * MS_PER_DAY
const at = (day: number) => ({ happened: new Date(ms(day)).toISOString() })
const settings: Settings = { timeZone: 'UTC', units: METRIC, clock: zoneClock('UTC') }

function house(...contents: Content[]) {
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const write = (content: Content) => journal.add([record(content)])
  for (const [tankId, water] of [
    ['quar', 'marine'],
    ['hall', 'marine'],
    ['study', 'freshwater'],
  ] as const)
    write({
      kind: 'tank-setup',
      ...at(-200),
      tankId,
      name: tankId,
      water,
      role: 'display',
      sheet: { shape: { kind: 'known', litres: 60 } },
      ...(tankId === 'study' && { lightsOn: '08:00', lightsOff: '19:00' }),
    })
  for (const [animalId, day, group] of [
    ['needle', -5, 'hawkfish'],
    ['nemo', -90, 'clownfish'],
  ] as const)
    write({ kind: 'arrival', ...at(day), animalId, tankId: 'quar', name: animalId, species: group, group, count: 1 })
  contents.forEach(write)
  return { journal, write }
}
const opened: Content = {
  kind: 'case-start',
  ...at(0),
  caseId: 'k',
  tankId: 'quar',
  table: 'marine-fish',
  animalIds: ['needle'],
}
const mark = (day: number, rest: Partial<Content>): Content =>
  ({ kind: 'case-mark', ...at(day), caseId: 'k', tankId: 'quar', mark: 'signs', ...rest }) as Content
const seen = (day: number, sign: string, present = true, animalId = 'needle'): Content => ({
  kind: 'sighting',
  ...at(day),
  tankId: 'quar',
  animalIds: [animalId],
  signs: [{ sign, present }],
})

describe('a case', () => {
  test('opens with what was answered until then, and keeps every answer with its time', () => {
    const { journal, write } = house()
    caseContents(
      { caseId: 'k', tankId: 'quar', table: 'marine-fish', animalIds: ['needle'] },
      { flashing: 'present', 'fine-dust-sheen': 'absent' },
      at(0).happened,
    ).forEach(write)
    write(mark(1, { signs: [{ sign: 'fine-dust-sheen', answer: 'present' }] } as never))
    const one = caseById(journal, 'k')!
    expect(answersOf(one)).toEqual({ flashing: 'present', 'fine-dust-sheen': 'present' })
    expect(answersOf(one, ms(0.5))).toEqual({ flashing: 'present', 'fine-dust-sheen': 'absent' })
    expect(one.answers.map(({ sign }) => sign)).toEqual(['flashing', 'fine-dust-sheen', 'fine-dust-sheen'])
  })

  test('is fed by what the log line says of its animal, from two days before it was opened; of no other', () => {
    const { journal } = house(
      seen(-3, 'hides-corner'),
      seen(-1, 'flashing'),
      opened,
      seen(1, 'white-grains-countable'),
      seen(1, 'fins-ragged', true, 'nemo'),
      seen(2, 'flashing', false),
      seen(2, 'tank-is-loud'),
    )
    expect(answersOf(caseById(journal, 'k')!)).toEqual({ flashing: 'absent', 'white-grains-countable': 'present' })
  })

  test('causes: the last word on each; one thing changed and what came of it', () => {
    const { journal } = house(
      opened,
      mark(1, { mark: 'thought-of', cause: 'marine-ich' } as never),
      mark(1, { mark: 'thought-of', cause: 'skin-flukes' } as never),
      mark(2, { mark: 'ruled-out', cause: 'skin-flukes', words: 'no flecks in the dip' } as never),
      mark(2, { mark: 'experiment', words: 'moved the pump', lookAt: at(5).happened } as never),
      mark(5, { mark: 'experiment-result', words: 'no change' } as never),
    )
    const one = caseById(journal, 'k')!
    expect(one.causes.map(({ id, state, words }) => [id, state, words])).toEqual([
      ['marine-ich', 'thought-of', null],
      ['skin-flukes', 'ruled-out', 'no flecks in the dip'],
    ])
    expect(one.experiments).toEqual([{ at: ms(2), words: 'moved the pump', lookAt: ms(5), result: 'no change' }])
  })

  test('a change that is to be looked at stands in the ledger until it was, and not once the case is closed', () => {
    const changed = mark(2, { mark: 'experiment', words: 'moved the pump', lookAt: at(5).happened } as never)
    const { journal, write } = house(opened, changed)
    const asked = (day: number) =>
      caseLookTasks(journal, ms(day)).map(({ title, state, caseId }) => [title, state, caseId])
    expect(asked(3)).toEqual([['Look: moved the pump', 'ahead', 'k']])
    expect(asked(5)).toEqual([['Look: moved the pump', 'due', 'k']])
    expect(asked(8)).toEqual([['Look: moved the pump', 'late', 'k']])
    expect(taskName('case-look/k/1')).toBe('look at what was changed')
    write(mark(8, { mark: 'experiment-result', words: 'better' } as never))
    expect(asked(9)).toEqual([])
    const closed = house(opened, changed, {
      kind: 'case-end',
      ...at(3),
      caseId: 'k',
      tankId: 'quar',
      outcome: 'healed',
    })
    expect(caseLookTasks(closed.journal, ms(5))).toEqual([])
  })

  test('closed, it takes no more signs; opened again it does', () => {
    const closing: Content = {
      kind: 'case-end',
      ...at(3),
      caseId: 'k',
      tankId: 'quar',
      outcome: 'healed',
      cause: 'marine-ich',
    }
    const { journal, write } = house(opened, seen(1, 'white-grains-countable'), closing, seen(10, 'flashing'))
    expect(caseById(journal, 'k')!.ended).toMatchObject({ outcome: 'healed', cause: 'marine-ich' })
    expect(answersOf(caseById(journal, 'k')!)).toEqual({ 'white-grains-countable': 'present' })
    expect(casesThatCameBack(journal)).toEqual([])
    write(seen(12, 'white-grains-countable'))
    expect(casesThatCameBack(journal)).toMatchObject([
      { closed: { id: 'k' }, signs: ['white-grains-countable'], at: ms(12) },
    ])
    write(mark(12, { mark: 'reopened' } as never))
    expect(caseById(journal, 'k')).toMatchObject({ ended: null })
    expect(answersOf(caseById(journal, 'k')!)).toMatchObject({ flashing: 'present' })
    expect(casesThatCameBack(journal)).toEqual([])
  })

  test('what shows nine weeks later is another story', () => {
    const closing: Content = { kind: 'case-end', ...at(3), caseId: 'k', tankId: 'quar', outcome: 'healed' }
    const { journal } = house(opened, seen(1, 'flashing'), closing, seen(3 + 57, 'flashing'))
    expect(casesThatCameBack(journal)).toEqual([])
  })

  test('open ones first, then the latest', () => {
    const { journal } = house(
      { ...opened, caseId: 'old', ...at(-9) },
      { ...opened, caseId: 'done', ...at(-1) },
      { kind: 'case-end', ...at(0), caseId: 'done', tankId: 'quar', outcome: 'harmless' },
      opened,
    )
    expect(casesOf(journal).map(({ id }) => id)).toEqual(['k', 'old', 'done'])
    expect(caseById(journal, 'none')).toBeNull()
  })
})

describe('what the journal knows by itself', () => {
  const reading = (day: number, parameter: string, value: number, tankId = 'quar'): Content => ({
    kind: 'reading',
    ...at(day),
    tankId,
    parameter,
    result: { kind: 'value', value },
    unit: 'mg/L',
  })
  const known = (subject: Partial<CaseSubject>, ...contents: Content[]) => {
    const { journal } = house(...contents)
    const whole: CaseSubject = { table: 'marine-fish', tankId: 'quar', animalIds: ['nemo'], ...subject }
    return Object.fromEntries(contextOf(journal, whole, settings, ms(0)).map(({ sign, answer }) => [sign, answer]))
  }

  test('a fish of thirty days and less is a newcomer', () => {
    const { journal } = house()
    const of = (id: string, day: number) =>
      settingOf(journal, { table: 'marine-fish', tankId: 'quar', animalIds: [id] }, ms(day))
    expect([of('needle', 0), of('needle', 25), of('needle', 25.1), of('nemo', 0)]).toEqual([
      'new-arrival',
      'new-arrival',
      'established',
      'established',
    ])
  })

  test('the host, the newcomer beside it, and how many are chosen', () => {
    expect(known({})).toMatchObject({
      'host-clownfish': 'present',
      'new-fish-14d': 'present',
      'several-fish': 'absent',
    })
    expect(known({ animalIds: ['nemo', 'needle'] })).toMatchObject({ 'several-fish': 'present' })
  })

  test.each([
    [reading(-1, 'tan', 0.5), 'ammonia-raised', 'present'],
    [reading(-1, 'tan', 0.49), 'ammonia-raised', 'absent'],
    [reading(-2.1, 'tan', 2), 'ammonia-raised', undefined],
  ] as const)('a test of two days at most: %#', (content, sign, answer) => {
    expect(known({}, content)[sign]).toBe(answer)
  })

  test('formalin within a day, a stopped pump, or heat is an oxygen event', () => {
    const dose: Content = {
      kind: 'dose',
      ...at(-0.5),
      tankId: 'quar',
      ingredient: 'formalin',
      amount: 2,
      unit: 'mL',
      massMg: 2000,
    }
    expect(known({}, dose)['oxygen-event']).toBe('present')
    expect(
      known({}, { kind: 'equipment', ...at(-1), tankId: 'quar', item: 'flow', running: false })['oxygen-event'],
    ).toBe('present')
    expect(known({}, reading(-0.5, 'temp', 29.5))['oxygen-event']).toBe('present')
    // What has stood still for days is no event.
    expect(
      known({}, { kind: 'equipment', ...at(-3), tankId: 'quar', item: 'air', running: false })['oxygen-event'],
    ).toBeUndefined()
    expect(known({})['oxygen-event']).toBeUndefined()
  })

  test('a drug that takes oxygen counts only beside gasping; the keeper’s word comes before the journal’s', () => {
    const { journal } = house({
      kind: 'dose',
      ...at(-0.5),
      tankId: 'quar',
      ingredient: 'praziquantel',
      amount: 1,
      unit: 'g',
      massMg: 1000,
    })
    const found = contextOf(journal, { table: 'marine-fish', tankId: 'quar', animalIds: ['nemo'] }, settings, ms(0))
    expect(answersWith(found, {})).not.toHaveProperty('oxygen-event')
    expect(answersWith(found, { 'surface-gasping': 'present' })).toMatchObject({ 'oxygen-event': 'present' })
    expect(answersWith(found, { 'several-fish': 'present' })).toMatchObject({ 'several-fish': 'present' })
    expect(answersWith(found, { 'host-clownfish': 'not-looked' })).toMatchObject({ 'host-clownfish': 'not-looked' })
  })

  test('a counted breath answers the breathing, either way', () => {
    const counted = (breathsPerMinute: number): Content => ({
      kind: 'sighting',
      ...at(-0.2),
      tankId: 'quar',
      animalIds: ['nemo'],
      signs: [],
      breathsPerMinute,
    })
    expect(known({}, counted(81))['breathing-fast']).toBe('present')
    expect(known({}, counted(80))['breathing-fast']).toBe('absent')
  })

  test('a film: nutrients of the last month by the table’s own limits, the age of the tank', () => {
    const film = { table: 'marine-film' as const, tankId: 'hall', animalIds: [] }
    const at0 = known(film, reading(-3, 'no3', 0.9, 'hall'), reading(-3, 'po4', 0.01, 'hall'))
    expect(at0).toMatchObject({
      'ctx-no3-po4-near-zero': 'present',
      'ctx-no3-zero-po4-left': 'absent',
      'ctx-no3-po4-high': 'absent',
      'ctx-tank-under-4-months': 'absent',
    })
    expect(known(film, reading(-3, 'no3', 0.9, 'hall'), reading(-3, 'po4', 0.05, 'hall'))).toMatchObject({
      'ctx-no3-po4-near-zero': 'absent',
      'ctx-no3-zero-po4-left': 'present',
    })
    expect(known(film, reading(-31, 'no3', 0, 'hall'))).not.toHaveProperty('ctx-no3-po4-high')
  })

  test('fresh water: the hours of light, and nitrate near nothing', () => {
    const algae = { table: 'freshwater-algae' as const, tankId: 'study', animalIds: [] }
    expect(known(algae, reading(-3, 'no3', 1.9, 'study'))).toMatchObject({
      'ctx-photoperiod-long': 'present',
      'ctx-no3-near-zero': 'present',
    })
  })

  test.each([
    ['1.1 dKH in a day', 8, 9.1, 1, 'present'],
    ['1.0 dKH in a day', 8, 9, 1, 'absent'],
    ['1.5 dKH in five days', 8, 9.5, 5, 'absent'],
    ['2.1 dKH in a week', 8, 10.1, 7, 'present'],
  ] as const)('a coral: %s', (_words, from, to, days, answer) => {
    const coral = { table: 'coral-and-pests' as const, tankId: 'hall', animalIds: [] }
    const found = known(coral, reading(-8, 'alk-kh', from, 'hall'), reading(-8 + days, 'alk-kh', to, 'hall'))
    expect(found).toMatchObject({ 'ctx-alk-change': answer, 'c-freshwater-tank': 'absent' })
  })

  test('a coral that came counts in the tank it came into', () => {
    const came: Content = {
      kind: 'arrival',
      ...at(-3),
      animalId: 'torch',
      tankId: 'hall',
      species: 'torch coral',
      group: 'coral-lps',
      count: 1,
    }
    const of = (tankId: string) => known({ table: 'coral-and-pests', tankId, animalIds: [] }, came)
    expect(of('hall')).toMatchObject({ 'ctx-arrived-14d': 'present', 'ctx-undipped-addition': 'present' })
    expect(of('quar')).not.toHaveProperty('ctx-arrived-14d')
  })

  test('what happened before, and the water as it was', () => {
    const { journal } = house(
      { kind: 'water-change', ...at(-22), tankId: 'hall', litres: 9 },
      { kind: 'water-change', ...at(-2), tankId: 'hall', litres: 8 },
      reading(-1, 'no3', 5, 'hall'),
      reading(-15, 'po4', 0.1, 'hall'),
    )
    expect(happenedBefore(journal, 'hall', ms(0)).map(({ at: when }) => when)).toEqual([ms(-2)])
    expect(waterThen(journal, 'hall', ms(0)).map(({ parameter, value }) => [parameter.id, value])).toEqual([['no3', 5]])
  })

  test('nitrate that doubled within two weeks, and potassium under 370', () => {
    const coral = { table: 'coral-and-pests' as const, tankId: 'hall', animalIds: [] }
    expect(
      known(coral, reading(-12, 'no3', 10, 'hall'), reading(-1, 'no3', 20, 'hall'), reading(-1, 'k', 365, 'hall')),
    ).toMatchObject({ 'ctx-nutrients-jumped': 'present', 'ctx-k-or-trace-low': 'present' })
    expect(known(coral, reading(-15, 'no3', 10, 'hall'), reading(-0.5, 'no3', 20, 'hall'))).not.toHaveProperty(
      'ctx-nutrients-jumped',
    )
  })
})

test('a case moves with its fish; a look begins with what was logged of the fish in the two days before', () => {
  const { journal, write } = house(opened, seen(0.2, 'flashing'))
  expect(caseById(journal, 'k')!.tankId).toBe('quar')
  write({ kind: 'move', ...at(1), animalId: 'needle', fromTankId: 'quar', toTankId: 'hall' })
  expect(caseById(journal, 'k')!.tankId).toBe('hall')
  expect(reopenContent(caseById(journal, 'k')!, ms(2)).tankId).toBe('hall')
  const shown = { table: 'marine-fish', tankId: 'hall', animalIds: ['needle'] } as const
  expect(seenShortlyBefore(journal, { ...shown, animalIds: [...shown.animalIds] }, ms(2))).toEqual({
    flashing: 'present',
  })
  expect(seenShortlyBefore(journal, { ...shown, animalIds: [...shown.animalIds] }, ms(3))).toEqual({})
  write({ kind: 'death', ...at(4), animalId: 'needle', tankId: 'hall' })
  expect(caseById(journal, 'k')!.tankId).toBe('quar')
})
