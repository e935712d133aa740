import { coursesOf } from '../courses/course.ts'
import { tankProofOf } from '../courses/passport/passport.ts'
import { exposureWords } from '../courses/passport/passport-words.ts'
import { animalLabel, isFish, residentsOf } from '../household/animals.ts'
import type { Settings } from '../household/settings.ts'
import { tanksOf } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import type { Day } from '../time/zone.ts'
import { listed } from '../words/numbers.ts'
import { asItStands } from '../schedule/task.ts'
import type { ArrivalTask, ArrivalTaskDraft } from './tasks.ts'

const WATCH = { from: 6 * 60, best: 19 * 60, until: 23 * 60 + 59 }

/** Whether a course already asks for a look at the fish of a tank every day. */
const isWatchedByCourse = (journal: Journal, tankId: string): boolean =>
  coursesOf(journal).some(
    ({ ended, tanks, definition }) =>
      ended === null &&
      Object.values(tanks).includes(tankId) &&
      definition.steps.some(({ due }) => 'by' in due && (due.by === 'look' || due.by === 'look-twice')),
  )

function doorLookDrafts(journal: Journal, { clock }: Settings, now: number, horizon: Day): ArrivalTaskDraft[] {
  return tanksOf(journal).flatMap((tank) => {
    const proof = tankProofOf(journal, tank.id, now)
    if (tank.role !== 'display' || proof.state !== 'unproven' || isWatchedByCourse(journal, tank.id)) return []
    const fish = residentsOf(journal, tank.id).filter(isFish)
    if (fish.length === 0) return []
    const since = clock.dayOf(proof.since!)
    const until = Math.min(clock.dayOf(proof.until!), horizon)
    const drafts: ArrivalTaskDraft[] = []
    // Of days that are over nobody asks any more: a look is for what shows today.
    for (let day = Math.max(since + 1, clock.dayOf(now)); day <= until; day++)
      drafts.push({
        id: `door/${tank.id}/${since}/${day - since}`,
        tankId: tank.id,
        kind: 'watch',
        animalIds: fish.map(({ id }) => id),
        title: `Watch half an hour: ${listed(fish.map(animalLabel))}`,
        why: `${tank.name} is unproven, day ${day - since} of ${clock.dayOf(proof.until!) - since}: ${proof.cameIn.map((one) => exposureWords(one, clock)).join('; ')}`,
        notBefore: clock.instantAt(day, WATCH.from),
        best: clock.instantAt(day, WATCH.best),
        notAfter: clock.instantAt(day, WATCH.until),
      })
    return drafts
  })
}

/**
 * A look a day at the fish of a display that was proven and in which somebody unproven came in, until its days are over. It is a list of its own: what it
 * is worked out from is large, and the first view goes without.
 * @param others the tasks of arrivals: one look a day serves who came in and the tank
 * @param horizon last local day that is looked at
 */
export function doorLookTasks(
  journal: Journal,
  settings: Settings,
  now: number,
  horizon: Day,
  others: readonly ArrivalTask[],
): ArrivalTask[] {
  const { clock } = settings
  const isWatched = ({ tankId, best }: ArrivalTaskDraft) =>
    others.some((one) => one.kind === 'watch' && one.tankId === tankId && clock.dayOf(one.best) === clock.dayOf(best))
  return doorLookDrafts(journal, settings, now, horizon)
    .filter((draft) => !isWatched(draft))
    .flatMap((draft) => asItStands(journal, draft, now) ?? [])
}
