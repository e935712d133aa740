import { experimentsOf } from '../diagnosis/experiments.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../time/zone.ts'
import { asItStands, type Task } from './task.ts'

/** A look at a change may be half a day early, and is late after two days (EA). */
const EARLY_MS = 12 * MS_PER_HOUR
const LATE_MS = 2 * MS_PER_DAY

/** A task of a case, with the case that it leads to. */
export interface CaseTask extends Task {
  caseId: string
}

/**
 * The looks that open cases wait for: at what was changed, after the days that were set.
 * @param now ms
 */
export const caseLookTasks = (journal: Journal, now: number): CaseTask[] =>
  journal.ofKind('case-start').flatMap(({ content: { caseId, tankId } }): CaseTask[] => {
    const lines = journal.about(`case:${caseId}`).filter(({ struck }) => !struck)
    const last = lines.findLast(
      ({ content }) => content.kind === 'case-end' || (content.kind === 'case-mark' && content.mark === 'reopened'),
    )
    const waiting = experimentsOf(lines).find(({ result }) => result === null)
    if (last?.content.kind === 'case-end' || waiting?.lookAt == null) return []
    const task = asItStands(
      journal,
      {
        id: `case-look/${caseId}/${waiting.at}`,
        tankId,
        caseId,
        title: `Look: ${waiting.words}`,
        why: 'one thing was changed; did it help?',
        notBefore: waiting.lookAt - EARLY_MS,
        best: waiting.lookAt,
        notAfter: waiting.lookAt + LATE_MS,
      },
      now,
    )
    return task ? [task] : []
  })
