import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { zoneClock } from '../time/zone.ts'
import { coralSurveys, surveyContents } from './coral-survey.ts'

const clock = zoneClock('Europe/London')

function journalOf(...surveys: (readonly [instant: string, looked: Record<string, number>])[]) {
  const { record } = scribe('2026-01-01T00:00:00Z')
  const journal = new Journal()
  for (const [instant, looked] of surveys)
    journal.add(surveyContents('reef', new Map(Object.entries(looked)), Date.parse(instant)).map((one) => record(one)))
  return journal
}

test('looks of one local day are one survey, and each coral is held against its own look before', () => {
  const journal = journalOf(
    ['2026-06-01T12:00:00Z', { acan: 4, cap: 3 }],
    // 23:30 UTC is the next day in London in summer.
    ['2026-06-08T20:00:00Z', { cap: 3 }],
    ['2026-06-08T22:30:00Z', { cap: 2 }],
    ['2026-06-08T23:30:00Z', { acan: 4 }],
  )
  const [third, second, first] = coralSurveys(journal, 'reef', clock)
  expect(first).toMatchObject({ tally: [0, 0, 0, 1, 1], worse: [], better: [] })
  expect(second).toMatchObject({ tally: [0, 0, 1, 0, 0], worse: ['cap'] })
  expect(third!.day).toBe(second!.day + 1)
  expect(third).toMatchObject({ tally: [0, 0, 0, 0, 1], worse: [], better: [] })
  expect(coralSurveys(journal, 'tub', clock)).toEqual([])
})

test('one that is gone leaves the tank with the survey', () => {
  const contents = surveyContents(
    'reef',
    new Map([
      ['cap', 0],
      ['acan', 1],
    ]),
    Date.parse('2026-06-01T12:00:00Z'),
  )
  expect(contents.map(({ kind }) => kind)).toEqual(['count', 'part-change'])
  expect(contents[1]).toMatchObject({ partId: 'cap', changes: { gone: true } })
})
