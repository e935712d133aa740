import { LOOK_AFTER_MOVE_DAYS } from '../catalogue/corals/condition.ts'
import { coralsOf, placeLog } from '../household/corals.ts'
import { tanksOf } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { asItStands, type Task } from './task.ts'

/** A look at a moved coral is late after two days (EA). */
const LATE_MS = 2 * MS_PER_DAY
/** A look that was missed for longer than this is not asked for any more (EA). */
const GIVEN_UP_MS = 14 * MS_PER_DAY

/**
 * A look at each coral three days after it got a new place: further-schools.md 8, place log.
 * @param now ms
 */
export function coralLookTasks(journal: Journal, now: number): Task[] {
  const since = now - GIVEN_UP_MS - LOOK_AFTER_MOVE_DAYS * MS_PER_DAY
  // The place log of every coral is long to read, and hardly ever one of them was moved lately.
  const moved = new Set([
    ...journal
      .ofKind('part-setup')
      .flatMap(({ at, content }) => (at >= since && content.place ? [content.partId] : [])),
    ...journal
      .ofKind('part-change')
      .flatMap(({ at, content }) => (at >= since && content.changes.place ? [content.partId] : [])),
  ])
  if (moved.size === 0) return []
  return tanksOf(journal)
    .flatMap(({ id }) => coralsOf(journal, id))
    .filter(({ id }) => moved.has(id))
    .flatMap((coral): Task[] => {
      const stay = placeLog(journal, coral.id)[0]
      if (stay?.lookAt == null || now > stay.lookAt + GIVEN_UP_MS) return []
      const task = asItStands(
        journal,
        {
          id: `coral-look/${coral.id}/${stay.at}`,
          tankId: coral.tankId,
          title: `Look at ${coral.name} in its new place`,
          why: `${LOOK_AFTER_MOVE_DAYS} days after its move`,
          notBefore: stay.lookAt,
          best: stay.lookAt,
          notAfter: stay.lookAt + LATE_MS,
        },
        now,
      )
      return task ? [task] : []
    })
}
