import fc from 'fast-check'
import type { Content, Entry } from './entry.ts'
import { Journal, type Line } from './journal.ts'
import { bareTank, copper, note, scribe } from './testing.ts'

const journalOf = (entries: Entry[]) => {
  const journal = new Journal()
  journal.add(entries)
  return journal
}
const values = (lines: readonly Line[]) =>
  lines
    .filter((line) => !line.struck)
    .map(({ content }) => (content.kind === 'reading' && content.result.kind === 'value' ? content.result.value : null))

describe('the fold of the journal', () => {
  test('lines stand in the order things happened, not the order they were written', () => {
    const { record } = scribe()
    const [late, early, middle] = [
      record(copper('q', 9, 2.2)),
      record(copper('q', 1, 1.0)),
      record(copper('q', 5, 2.1)),
    ]
    expect(values(journalOf([late, early, middle]).about('readings:q:copper'))).toEqual([1.0, 2.1, 2.2])
  })

  test('at one instant the earlier logged comes first, and then the smaller id', () => {
    const first = { id: 'b', logged: '2026-07-02T00:00:00Z', content: copper('q', 1, 1) }
    const second = { id: 'a', logged: '2026-07-03T00:00:00Z', content: copper('q', 1, 2) }
    const third = { id: 'c', logged: '2026-07-03T00:00:00Z', content: copper('q', 1, 3) }
    expect(values(journalOf([third, second, first]).about('readings:q:copper'))).toEqual([1, 2, 3])
  })

  test('a correction takes the place of the content and moves the line', () => {
    const { record, correct } = scribe()
    const wrong = record(copper('q', 3, 21))
    const journal = journalOf([wrong, record(copper('q', 4, 2.2))])
    journal.add([correct(wrong, copper('q', 5, 2.1))])
    expect(values(journal.about('readings:q:copper'))).toEqual([2.2, 2.1])
    expect(journal.line(wrong.id)).toMatchObject({ corrected: true, struck: false })
  })

  test('a correction to another tank leaves nothing behind in the first', () => {
    const { record, correct } = scribe()
    const wrong = record(copper('q', 3, 2.1))
    const journal = journalOf([wrong])
    journal.add([correct(wrong, copper('hall', 3, 2.1))])
    expect(journal.about('readings:q:copper')).toHaveLength(0)
    expect(journal.about('tank:q')).toHaveLength(0)
    expect(values(journal.about('tank:hall'))).toEqual([2.1])
  })

  test('of two corrections the later logged holds, whichever comes first', () => {
    const { record, correct } = scribe()
    const entry = record(copper('q', 3, 1))
    const later = correct(entry, copper('q', 3, 3), '2026-07-09T00:00:00Z')
    const earlier = correct(entry, copper('q', 3, 2), '2026-07-08T00:00:00Z')
    for (const order of [
      [entry, later, earlier],
      [earlier, later, entry],
    ])
      expect(values(journalOf(order).about('tank:q'))).toEqual([3])
  })

  test('a correction of another kind is not taken', () => {
    const { record, correct } = scribe()
    const entry = record(copper('q', 3, 1))
    expect(values(journalOf([entry, correct(entry, note('q', 3, 'no'))]).about('tank:q'))).toEqual([1])
  })

  test('a struck line stays, struck; striking the strike-out brings it back', () => {
    const { record, strike } = scribe()
    const entry = record(copper('q', 3, 2))
    const struck = strike(entry)
    const journal = journalOf([entry, struck])
    expect(journal.line(entry.id)).toMatchObject({ struck: true, amendedBy: struck.id })
    expect(journal.about('tank:q')).toHaveLength(1)
    expect(journal.ofKind('reading')).toHaveLength(0)
    journal.add([strike(struck)])
    expect(journal.line(entry.id)).toMatchObject({ struck: false, amendedBy: null })
    expect(journal.ofKind('reading')).toHaveLength(1)
  })

  test('striking a correction brings the first content back', () => {
    const { record, correct, strike } = scribe()
    const entry = record(copper('q', 3, 2))
    const correction = correct(entry, copper('q', 3, 9))
    expect(values(journalOf([strike(correction), correction, entry]).about('tank:q'))).toEqual([2])
  })

  test('the same entry twice adds nothing; another content under its id is reported and not taken', () => {
    const { record } = scribe()
    const entry = record(copper('q', 3, 2))
    const journal = journalOf([entry])
    expect(journal.add([JSON.parse(JSON.stringify(entry)) as Entry])).toMatchObject({
      added: [],
      same: 1,
      conflicts: [],
    })
    const other = { ...entry, content: copper('q', 3, 5) }
    expect(journal.add([other]).conflicts).toEqual([{ kept: entry, came: other }])
    expect(values(journal.about('tank:q'))).toEqual([2])
  })

  test('what is worked out is worked out again only when its subject changed', () => {
    const { record } = scribe()
    const journal = journalOf([record(bareTank('q', 'Quarantine'))])
    let times = 0
    const read = () =>
      journal.derive('count', ['readings:q:copper'], () => (times++, journal.about('readings:q:copper').length))
    expect([read(), read()]).toEqual([0, 0])
    journal.add([record(copper('hall', 1, 2))])
    expect([read(), times]).toEqual([0, 1])
    journal.add([record(copper('q', 1, 2))])
    expect([read(), times]).toEqual([1, 2])
  })
})

describe('laws of the fold', () => {
  /** A journal with corrections and strike-outs of anything before, some of them of each other. */
  const history = fc
    .array(
      fc.record({
        what: fc.constantFrom('record', 'record', 'correct', 'strike'),
        at: fc.nat(40),
        of: fc.nat(1000),
        logged: fc.nat(30),
      }),
      {
        minLength: 1,
        maxLength: 40,
      },
    )
    .map((steps) => {
      const { record, correct, strike } = scribe()
      const entries: Entry[] = []
      for (const { what, at, of, logged } of steps) {
        const target = entries[of % Math.max(1, entries.length)]
        const when = `2026-08-${String(1 + logged).padStart(2, '0')}T00:00:00Z`
        const content: Content = copper(at % 2 ? 'q' : 'hall', at, at / 10)
        if (what === 'record' || !target) entries.push(record(content, when))
        else if (what === 'correct' && 'content' in target && !('corrects' in target))
          entries.push(correct(target, content, when))
        else entries.push(strike(target, when))
      }
      return entries
    })
  const picture = (journal: Journal) =>
    JSON.stringify(
      ['tank:q', 'tank:hall', 'kind:reading', 'readings:q:copper'].map((subject) => journal.about(subject as 'tank:q')),
    )

  test('the order in which entries come makes no difference', () => {
    fc.assert(
      fc.property(
        history.chain((entries) =>
          fc.tuple(fc.constant(entries), fc.shuffledSubarray(entries, { minLength: entries.length })),
        ),
        ([entries, shuffled]) => {
          expect(picture(journalOf(shuffled))).toBe(picture(journalOf(entries)))
        },
      ),
    )
  })

  test('the union of two halves is the whole, and adding either again changes nothing', () => {
    fc.assert(
      fc.property(history, fc.nat(40), (entries, cut) => {
        const journal = journalOf(entries.slice(cut))
        journal.add(entries.slice(0, cut))
        expect(journal.add(entries)).toMatchObject({ added: [], same: entries.length })
        expect(picture(journal)).toBe(picture(journalOf(entries)))
      }),
    )
  })
})
