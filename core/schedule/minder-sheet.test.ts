import { quarantine } from '../courses/testing/schools.ts'
import { MS_PER_HOUR } from '../time/zone.ts'
import { daysAway, minderSheet, minderSpans } from './minder-sheet.ts'

const sheet = (it: ReturnType<typeof quarantine>, from: number, until: number) => {
  const day = (n: number) => it.settings.clock.dayOf(it.ms(n, '12:00'))
  return minderSheet(it.journal, it.settings, { from: day(from), until: day(until), now: it.ms(from, '07:00') })
}

test('day by day in the order of the clock, with how much, until when, and what to do if not', () => {
  const it = quarantine({ definition: 'qt-add-metro', start: { options: { pace: 'every-24' } } })
  const days = sheet(it, 1, 3)
  expect(days).toHaveLength(3)
  const [first] = days
  const line = first!.lines.find(({ task }) => task.title.startsWith('Metronidazole'))!
  expect(line).toMatchObject({ tank: 'Quarantine', expects: null })
  expect(line.ifNot).toMatch(/in doubt give none, and call/)
  for (const { lines } of days) expect([...lines].sort((a, b) => a.at - b.at)).toEqual(lines)
})

test('a reading says between what it should lie', () => {
  const it = quarantine({
    definition: 'qt-a-cu30',
    start: { options: { drug: 'cu-chelated-std', deworm: 'none' } },
  })
  const lines = sheet(it, 1, 1)[0]!.lines
  expect(lines.find(({ task }) => task.title.startsWith('Read'))!.expects).toBe('2.00 to 2.50 mg/L')
  expect(lines.find(({ task }) => task.title === 'Test ammonia')!.expects).toBe('under 0.25 mg/L')
  const low = quarantine({ definition: 'qt-d-hypo' })
  expect(sheet(low, 1, 1)[0]!.lines.find(({ task }) => task.title === 'Read the salinity')!.expects).toBe(
    '1.008 to 1.010',
  )
})

test('the end of a course and who joins it stay the keeper’s own', () => {
  const it = quarantine({ definition: 'qt-f-observe' })
  it.write({
    kind: 'arrival',
    ...it.at(0, '09:00'),
    animalId: 'n',
    tankId: 'quar',
    species: 'goby',
    group: 'goby-blenny',
    count: 1,
  })
  const titles = [...sheet(it, 1, 14), ...sheet(it, 15, 31)].flatMap(({ lines }) => lines.map(({ task }) => task.title))
  expect(titles.some((title) => /join|Finish/.test(title))).toBe(false)
  expect(titles).toContain('Watch half an hour')
})

test('own chores are told with the rest', () => {
  const it = quarantine({ definition: 'qt-f-observe' })
  it.write({
    kind: 'chore',
    ...it.at(0, '08:00'),
    choreId: 'pump',
    name: 'Clean the pump',
    tankId: 'quar',
    everyDays: 3,
  })
  const lines = sheet(it, 1, 5).flatMap(({ lines: all }) => all)
  expect(lines.find(({ task }) => task.title === 'Clean the pump')!.ifNot).toBe('In doubt leave it, and call.')
})

test('nothing that the keeper still does before leaving, and the last day is whole', () => {
  const it = quarantine({ definition: 'qt-f-observe' })
  it.write({
    kind: 'chore',
    ...it.at(0, '08:00'),
    choreId: 'pump',
    name: 'Clean the pump',
    tankId: 'quar',
    everyDays: 1,
  })
  const day = (n: number) => it.settings.clock.dayOf(it.ms(n, '12:00'))
  // Asked two days before leaving: what falls due until then is the keeper's.
  const days = minderSheet(it.journal, it.settings, { from: day(3), until: day(5), now: it.ms(1, '07:00') })
  expect(days.map(({ lines }) => lines.filter(({ task }) => task.title === 'Clean the pump').length)).toEqual([1, 1, 1])
  for (const { day: of, lines } of days)
    for (const { task } of lines) expect(it.settings.clock.dayOf(task.best)).toBe(of)
  const last = days.at(-1)!.lines
  expect(last.some(({ at }) => at > it.ms(5, '00:00'))).toBe(true)
})

test('days away are whole from the leaving to the one before the return', () => {
  const it = quarantine({ definition: 'qt-f-observe' })
  const day = (n: number) => it.settings.clock.dayOf(it.ms(n, '12:00'))
  const away = (until: string, n: number) => daysAway({ from: it.ms(2, '09:00'), until: it.ms(n, until) }, it.settings)
  expect(away('00:00', 5)).toEqual({ from: day(2), until: day(4) })
  expect(away('18:00', 5)).toEqual({ from: day(2), until: day(5) })
})

test('each thing once a day; days with the same work at the same hours are one heading', () => {
  const it = quarantine({
    definition: 'qt-a-cu30',
    start: { options: { drug: 'cu-chelated-std', deworm: 'none' } },
  })
  const days = sheet(it, 5, 9)
  for (const { lines } of days)
    for (const [i, line] of lines.entries())
      for (const before of lines.slice(0, i))
        if (before.tank === line.tank && before.task.title === line.task.title)
          expect(line.at - before.at).toBeGreaterThanOrEqual(4 * MS_PER_HOUR)
  const spans = minderSpans(days, () => '')
  expect(spans.length).toBeLessThan(days.length)
  expect(spans[0]!.from).toBe(days[0]!.day)
  // What differs in the hour or the amount stays apart.
  expect(minderSpans(days, ({ at }) => String(at)).length).toBe(days.filter(({ lines }) => lines.length > 0).length)
})
