import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'

export type ExpectedArrival = Omit<ContentOf<'expected'>, 'kind' | 'happened'> & { dueAt: number }

/** Arrivals still awaited: announced, not cancelled, not yet fulfilled; soonest first. */
export function expectedOf(journal: Journal): ExpectedArrival[] {
  return journal.derive('expected', ['kind:expected', 'kind:arrival'], () => {
    const byId = new Map<string, ExpectedArrival>()
    for (const { content } of journal.ofKind('expected')) {
      const { kind: _kind, happened: _happened, ...expected } = content
      byId.set(expected.expectedId, { ...expected, dueAt: Date.parse(expected.due) })
    }
    for (const { content } of journal.ofKind('arrival'))
      if (content.expectedId !== undefined) byId.delete(content.expectedId)
    return [...byId.values()].filter(({ cancelled }) => !cancelled).sort((a, b) => a.dueAt - b.dueAt)
  })
}
