import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { asItStands, type Task } from '../schedule/task.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../time/zone.ts'

/** A look may be this much earlier than its hour, as a share of the hours that it waits, and later (EA). */
const EARLY_SHARE = 0.25
const LATE_SHARE = 0.5

/** A look that was missed for so long is not asked for any more (EA). */
const FORGOTTEN_MS = 7 * MS_PER_DAY

/** A look after a procedure, with the run that it leads to. */
export interface BenchTask extends Task {
  benchId: string
}

/** What is looked for after a run that was closed, and when, ms. */
export const looksAfter = (end: ContentOf<'bench-end'>): { afterHours: number; words: string; at: number }[] =>
  (end.looks ?? []).map((look) => ({ ...look, at: Date.parse(end.happened) + look.afterHours * MS_PER_HOUR }))

/**
 * The looks that procedures of the bench are followed by, as tasks of the ledger. They are read from the journal alone: the first
 * screen does not load the procedures.
 * @param now ms
 */
export const benchTasks = (journal: Journal, now: number): BenchTask[] =>
  journal.ofKind('bench-end').flatMap(({ content }): BenchTask[] => {
    const { benchId } = content
    const start = journal.about(`bench:${benchId}`).find((line) => line.content.kind === 'bench-start' && !line.struck)
    if (start?.content.kind !== 'bench-start' || start.content.tankId === undefined) return []
    const { tankId } = start.content
    const looks = looksAfter(content).flatMap(({ afterHours, words, at }) => {
      const waits = afterHours * MS_PER_HOUR
      const draft = {
        id: `bench/${benchId}/${afterHours}`,
        benchId,
        tankId,
        title: `Look: ${words}`,
        why: `${afterHours} h after the bench`,
        notBefore: at - waits * EARLY_SHARE,
        best: at,
        notAfter: at + waits * LATE_SHARE,
      }
      return asItStands(journal, draft, now) ?? []
    })
    // Of missed looks the newest is told, and none that is forgotten.
    const missed = looks.filter(({ state, notAfter }) => state === 'late' && now - notAfter < FORGOTTEN_MS).at(-1)
    return looks.filter((look) => look.state !== 'late' || look === missed)
  })
