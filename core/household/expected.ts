import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'

export type ExpectedArrival = Omit<ContentOf<'expected'>, 'kind' | 'happened'> & { dueAt: number }

/** Arrivals still awaited: announced, not cancelled, not yet fulfilled; soonest first. */
export function expectedOf(journal: Journal): ExpectedArrival[] {
  return journal.derive('expected', ['kind:expected', 'kind:arrival', 'kind:dead-on-arrival'], () => {
    const byId = new Map<string, ExpectedArrival>()
    for (const { content } of journal.ofKind('expected')) {
      const { kind: _kind, happened: _happened, ...expected } = content
      byId.set(expected.expectedId, { ...expected, dueAt: Date.parse(expected.due) })
    }
    for (const { content } of journal.ofKind('arrival'))
      if (content.expectedId !== undefined) byId.delete(content.expectedId)
    for (const { content } of journal.ofKind('dead-on-arrival')) {
      const awaited = byId.get(content.expectedId)
      if (!awaited) continue
      if (content.count >= awaited.count) byId.delete(content.expectedId)
      else byId.set(content.expectedId, { ...awaited, count: awaited.count - content.count })
    }
    return [...byId.values()].filter(({ cancelled }) => !cancelled).sort((a, b) => a.dueAt - b.dueAt)
  })
}
