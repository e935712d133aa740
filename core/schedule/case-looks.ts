import { experimentsOf } from '../diagnosis/experiments.ts'
import { goneAnimals } from '../diagnosis/gone.ts'
import { DARK_JAR_HOURS, DARK_JAR_LATE_HOURS, nightTestOf } from '../diagnosis/night-test.ts'
import type { Journal, Line } from '../journal/journal.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../time/zone.ts'
import { asItStands, type Task, type TaskWindow } from './task.ts'

/** A look at a change may be half a day early, and is late after two days (EA). */
const EARLY_MS = 12 * MS_PER_HOUR
const LATE_MS = 2 * MS_PER_DAY

/** A task of a case, with the case that it leads to. */
export interface CaseTask extends Task {
  caseId: string
}

type Look = TaskWindow & { id: string; title: string; why: string }

/** The look at the one thing that was changed. */
function lookAtChange(caseId: string, lines: readonly Line[]): Look[] {
  const waiting = experimentsOf(lines).find(({ result }) => result === null)
  if (waiting?.lookAt == null) return []
  return [
    {
      id: `case-look/${caseId}/${waiting.at}`,
      title: `Look: ${waiting.words}`,
      why: 'one thing was changed; did it help?',
      notBefore: waiting.lookAt - EARLY_MS,
      best: waiting.lookAt,
      notAfter: waiting.lookAt + LATE_MS,
    },
  ]
}

/** The look at the jar in the dark. */
function lookAtJar(caseId: string, lines: readonly Line[]): Look[] {
  const jar = nightTestOf(lines)
  if (jar === null || jar.place !== null) return []
  return [
    {
      id: `case-look/${caseId}/jar-${jar.begunAt}`,
      title: 'Look at the dark jar',
      why: 'brown through the water, or clear over a brown bottom?',
      notBefore: jar.lookAt,
      best: jar.lookAt,
      notAfter: jar.lookAt + (DARK_JAR_LATE_HOURS - DARK_JAR_HOURS) * MS_PER_HOUR,
    },
  ]
}

/**
 * The looks that open cases wait for: at what was changed, after the days that were set, and at a jar that stands in the dark.
 * @param now ms
 */
export const caseLookTasks = (journal: Journal, now: number): CaseTask[] =>
  journal.ofKind('case-start').flatMap(({ content: { caseId, tankId, animalIds } }): CaseTask[] => {
    const lines = journal.about(`case:${caseId}`).filter(({ struck }) => !struck)
    const last = lines.findLast(
      ({ content }) => content.kind === 'case-end' || (content.kind === 'case-mark' && content.mark === 'reopened'),
    )
    if (last?.content.kind === 'case-end' || goneAnimals(journal, { animalIds })) return []
    return [...lookAtChange(caseId, lines), ...lookAtJar(caseId, lines)].flatMap(
      (look) => asItStands(journal, { ...look, tankId, caseId }, now) ?? [],
    )
  })
