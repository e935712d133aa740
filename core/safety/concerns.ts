import { courseById } from '../courses/course.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { gathered, type Asking, type Concern } from './concern.ts'
import { isGuarded, type GuardedKind } from './guarded-kinds.ts'
import { bathConcerns } from './proposals/bath.ts'
import { changeConcerns, topOffConcerns } from './proposals/change.ts'
import { contactConcerns } from './proposals/contact.ts'
import { doseConcerns } from './proposals/dose.ts'
import { equipmentConcerns } from './proposals/equipment.ts'
import { feedConcerns } from './proposals/feed.ts'
import { arrivalConcerns, expectedConcerns, moveConcerns } from './proposals/newcomer.ts'
import { partChangeConcerns, partSetupConcerns } from './proposals/part.ts'
import { pumpConcerns } from './proposals/pump.ts'
import { readingConcerns } from './proposals/reading.ts'
import { changedStart, startConcerns } from './proposals/start.ts'
import { tankChangeConcerns } from './proposals/tank.ts'

export type { Asking, Concern } from './concern.ts'

/** What speaks against each kind of entry that changes a water, or who is in it. */
const JUDGES: { [K in GuardedKind]: (journal: Journal, content: ContentOf<K>, asking: Asking) => Concern[] } = {
  dose: doseConcerns,
  bath: bathConcerns,
  feed: feedConcerns,
  equipment: equipmentConcerns,
  arrival: arrivalConcerns,
  move: moveConcerns,
  expected: expectedConcerns,
  'part-setup': partSetupConcerns,
  'part-change': partChangeConcerns,
  'tank-change': tankChangeConcerns,
  'water-change': changeConcerns,
  'top-off': topOffConcerns,
  reading: readingConcerns,
  contact: contactConcerns,
  'pump-plan': pumpConcerns,
  'course-start': (journal, start, asking) => startConcerns(journal, start, Date.parse(start.happened), asking),
  'course-change': courseChangeConcerns,
}

/** A course that is run otherwise: only what its start did not meet. */
function courseChangeConcerns(journal: Journal, change: ContentOf<'course-change'>, asking: Asking): Concern[] {
  const course = courseById(journal, change.courseId)
  const starts = changedStart(journal, change)
  if (!course || !starts) return []
  const at = Date.parse(change.happened)
  const key = ({ rule, what }: Concern) => `${rule}|${what}`
  const before = new Set(startConcerns(journal, starts.before, at, asking).map(key))
  return startConcerns(journal, starts.after, at, asking).filter(
    (one) => !before.has(key(one)) && !course.overrides.some(({ rule }) => rule === one.rule),
  )
}

/**
 * What speaks against something that is to be kept in the journal, judged in one way: what is in this water at this instant and who is in it, and
 * what the entry changes. It is held against the agents, the equipment and the residents at its own time, and against what came after it while
 * it acts: so whichever of two came first, the second is asked about.
 * @returns the gravest first; empty where nothing speaks against it
 * @example
 * concernsOf(journal, { kind: 'equipment', happened, tankId: 'quar', item: 'carbon', running: true }, { now })
 */
export function concernsOf(journal: Journal, proposed: Content, asking: Asking): Concern[] {
  if (!isGuarded(proposed)) return []
  const judge = JUDGES[proposed.kind as GuardedKind] as (
    journal: Journal,
    content: Content,
    asking: Asking,
  ) => Concern[]
  return gathered(judge(journal, proposed, asking))
}
