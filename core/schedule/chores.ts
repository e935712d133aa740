import type { Settings } from '../household/settings.ts'
import type { Journal } from '../journal/journal.ts'
import { isolated } from '../words/isolated.ts'
import { asItStands, wordOn, type Task } from './task.ts'
import { MS_PER_DAY, type Day } from '../time/zone.ts'

/** A task of the keeper's own that comes again: clean the pump, change the lamp. */
export interface Chore {
  id: string
  name: string
  tankId: string
  everyDays: number
  setAt: number
  /** The tool it is done with. */
  gearId?: string
}

/** Chores are due in the morning. */
const CHORE_MINUTE = 8 * 60
/** A chore is late so long after its day's morning, as a share of its interval, a day at least. */
const GRACE_SHARE = 0.25

/** The chores that are kept up, in the order they were set. */
export function choresOf(journal: Journal): Chore[] {
  return journal.derive('chores', ['kind:chore'], () => {
    const chores = new Map<string, Chore & { retired: boolean }>()
    for (const { content, at } of journal.ofKind('chore')) {
      const before = chores.get(content.choreId)
      const tankId = content.tankId ?? before?.tankId
      const name = content.name ?? before?.name
      const everyDays = content.everyDays ?? before?.everyDays
      if (tankId === undefined || name === undefined || everyDays === undefined) continue
      chores.set(content.choreId, {
        id: content.choreId,
        name: isolated(name),
        tankId,
        everyDays,
        setAt: before?.setAt ?? at,
        ...((content.gearId ?? before?.gearId) && { gearId: content.gearId ?? before?.gearId }),
        retired: content.retired ?? before?.retired ?? false,
      })
    }
    return [...chores.values()].filter(({ retired }) => !retired)
  })
}

const choreTaskId = (id: string, ordinal: number): string => `chore/${id}/${ordinal}`

/** How often an occasion was put off. */
const putOffs = (journal: Journal, taskId: string): number =>
  journal
    .about(`task:${taskId}`)
    .filter(({ content, struck }) => !struck && content.kind === 'task' && content.state === 'postponed').length

/** The next occasion of a chore: its number, and the day it counts from. */
function nextOccasion(journal: Journal, chore: Chore, settings: Settings, now: number): { ordinal: number; from: Day } {
  let ordinal = 0
  let from = settings.clock.dayOf(chore.setAt)
  for (;;) {
    const word = wordOn(journal, choreTaskId(chore.id, ordinal))
    if (!word || word.state === 'postponed' || word.at > now) return { ordinal, from }
    from = settings.clock.dayOf(word.at)
    ordinal++
  }
}

/**
 * What is due of the keeper's own chores: each so many days after it was last done or skipped.
 * @param horizon last local day that is looked at
 */
export function choreTasks(journal: Journal, settings: Settings, now: number, horizon: Day): Task[] {
  const { clock } = settings
  return choresOf(journal).flatMap((chore): Task[] => {
    const { ordinal, from } = nextOccasion(journal, chore, settings, now)
    const day = from + chore.everyDays
    if (day > horizon) return []
    const id = choreTaskId(chore.id, ordinal)
    const best = clock.instantAt(day, CHORE_MINUTE)
    const off = putOffs(journal, id)
    const standing = asItStands(
      journal,
      {
        id,
        tankId: chore.tankId,
        ...(chore.gearId !== undefined && { gearId: chore.gearId }),
        title: chore.name,
        why: `every ${chore.everyDays === 1 ? 'day' : `${chore.everyDays} days`}${
          off > 0 ? `; put off ${off === 1 ? 'once' : `${off} times`}` : ''
        }`,
        notBefore: clock.instantAt(day),
        best,
        notAfter: best + Math.max(1, GRACE_SHARE * chore.everyDays) * MS_PER_DAY,
      },
      now,
    )
    return standing ? [standing] : []
  })
}
