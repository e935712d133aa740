import type { Content } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { casesOf } from './cases.ts'
import { openCases } from './open-cases.ts'

const happened = (hour: number) => new Date(Date.parse('2026-11-01T00:00:00Z') + hour * 3_600_000).toISOString()
const begun = (caseId: string): Content => ({
  kind: 'case-start',
  happened: happened(1),
  caseId,
  tankId: 'reef',
  table: 'marine-film',
  animalIds: [],
})
const ended = (caseId: string, hour = 2): Content => ({
  kind: 'case-end',
  happened: happened(hour),
  caseId,
  tankId: 'reef',
  outcome: 'healed',
})
const reopened = (caseId: string): Content => ({
  kind: 'case-mark',
  happened: happened(3),
  caseId,
  tankId: 'reef',
  mark: 'reopened',
})

test.each<[string, readonly Content[], string[]]>([
  ['none', [], []],
  ['one that was begun', [begun('a')], ['a']],
  ['one of two that is closed', [begun('a'), begun('b'), ended('a')], ['b']],
  ['one that was opened again', [begun('a'), ended('a'), reopened('a')], ['a']],
  ['one closed for good', [begun('a'), ended('a'), reopened('a'), ended('a', 4)], []],
])('%s', (_, contents, expected) => {
  const journal = new Journal()
  const { record } = scribe('2026-11-01T00:00:00Z')
  journal.add(contents.map((content) => record(content)))
  expect(openCases(journal).map(({ id }) => id)).toEqual(expected)
  // The same as by all that a case is judged by.
  expect(casesOf(journal).flatMap(({ id, ended: end }) => (end === null ? [id] : []))).toEqual(expected)
})
