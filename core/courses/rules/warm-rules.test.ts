import { ruleWord } from '../acts/task-contents.ts'
import { quarantine, type Quarantine } from '../testing/schools.ts'

/** A tank without fish since the start: temperatures by day, °C. */
function fallow(definition: string, days?: string): Quarantine {
  return quarantine({
    definition,
    start: { animalIds: [], tanks: { main: 'obs' }, ...(days !== undefined && { options: { days } }) },
  })
}
const measured = (it: Quarantine, day: number, value: number) =>
  it.write({
    kind: 'reading',
    ...it.at(day, '09:00'),
    tankId: 'obs',
    parameter: 'temp',
    result: { kind: 'value', value },
    unit: '°C',
  })
const weekly = (it: Quarantine, value: number, days: number) => {
  for (let day = 0; day <= days; day += 7) measured(it, day, value)
}
const warm = (it: Quarantine, day: number) => it.standing(day, '10:00').rules.find(({ rule }) => rule === 'warm')?.state
const close = (it: Quarantine, day: number) => it.tasks(day, '10:00', 'close')[0]?.state

describe('45 days without fish rest on warm water', () => {
  test('measured once a week at 27.5 °C they are over on day 46', () => {
    const it = fallow('fallow-45')
    weekly(it, 27.5, 45)
    expect(warm(it, 46)).toBe('holds')
    expect(close(it, 46)).toBe('due')
  })

  test('never measured they cannot be told, until the keeper says so', () => {
    const it = fallow('fallow-45')
    expect(warm(it, 46)).toBe('ask')
    expect(close(it, 46)).toBe('waiting')
    it.write(ruleWord(it.plan(46, '10:00').course, 'warm', 0, it.ms(46, '10:00')))
    expect(close(it, 46)).toBe('due')
  })

  test('over a week without a reading is said', () => {
    const it = fallow('fallow-45')
    for (const day of [0, 7, 14, 30, 37, 44]) measured(it, day, 27.5)
    expect(warm(it, 46)).toBe('ask')
  })

  test('cold on one day it takes 76', () => {
    const it = fallow('fallow-45')
    weekly(it, 27.5, 45)
    measured(it, 20, 24.8)
    expect(it.plan(46, '10:00').rules.find(({ id }) => id === 'warm')).toMatchObject({
      state: 'broken',
      says: expect.stringMatching(/^24\.8 °C .*: it takes 76 days$/) as string,
    })
    expect(close(it, 46)).toBe('waiting')
    expect(close(it, 77)).not.toBe('waiting')
  })

  test('what a thermometer may be off by is no cold day', () => {
    const it = fallow('fallow-45')
    weekly(it, 26.7, 45)
    expect(warm(it, 46)).toBe('holds')
  })
})

test.each<[string, string | undefined, number]>([
  ['fallow-fluke', undefined, 45],
  ['fallow-fluke', '28', 28],
  ['fallow-fw', undefined, 28],
  ['fallow-fw', '14', 14],
])('%s, length chosen: %s: %i whole days', (definition, chosen, days) => {
  const it = fallow(definition, chosen)
  weekly(it, 25.5, days)
  expect(it.count(days, '23:00', 'fishless')).toMatchObject({ state: 'running', needs: days * 24 })
  expect(it.count(days + 1, '00:01', 'fishless').state).toBe('full')
  expect(close(it, days + 1)).toBe('due')
})

test('fresh water: 14 days ask for 25 °C, 28 for none', () => {
  const short = fallow('fallow-fw', '14')
  weekly(short, 22, 14)
  expect(close(short, 15)).toBe('waiting')
  expect(close(short, 29)).toBe('due')
  const long = fallow('fallow-fw')
  expect(warm(long, 20)).toBeUndefined()
})
