import { quarantine } from '../courses/testing/schools.ts'
import { minderSheet } from './minder-sheet.ts'

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
