import type { Entry } from '../../core/journal/entry.ts'

/** Equal entries that come within this time of the first having been kept are the same press, ms: on a slow page its button stands a while longer. */
const SAME_KEEPING_MS = 1000

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12}$/i

/** When an id was made, ms: the first twelve figures of a UUID of version 7; null for another id. */
const madeAt = (id: string): number | null => (UUID.test(id) ? parseInt(id.replaceAll('-', '').slice(0, 12), 16) : null)

/**
 * Entries as a text that two presses of one button share: without their own ids, their times, and ids that were made for them a moment ago.
 * @param now ms
 */
export function keyOfEntries(entries: readonly Entry[], now: number): string {
  const isFresh = (value: string) => {
    const at = madeAt(value)
    return at !== null && now - at < 2 * SAME_KEEPING_MS
  }
  return JSON.stringify(entries, (key, value: unknown) =>
    key === 'id' || key === 'logged' || key === 'happened' || (typeof value === 'string' && isFresh(value))
      ? undefined
      : value,
  )
}

/** When an entry happened, ms; a strike-out when it was logged. */
const momentOf = (entry: Entry): number => Date.parse('content' in entry ? entry.content.happened : entry.logged)

/** Whether entries are of the same moment, as those of two presses of one button are: what is logged for two days is twice meant. */
const areOfOneMoment = (one: readonly Entry[], other: readonly Entry[]) =>
  one.every((entry, i) => Math.abs(momentOf(entry) - momentOf(other[i]!)) < 2 * SAME_KEEPING_MS)

interface Keeping {
  key: string
  entries: readonly Entry[]
  /** ms on a clock that is never set; Infinity while it is under way. */
  until: number
  kept: Promise<Entry[]>
}

/**
 * The lock of a journal's keeping: the same entries that come again while the first are being kept, or a moment after, are the same press and
 * are not written again.
 * @param clock ms; `performance.now` where nothing else is given
 * @example
 * const once = oneKeeping()
 * await once(entries, () => store.append(entries))
 */
export function oneKeeping(clock: () => number = () => performance.now()) {
  let latest: Keeping[] = []
  return (entries: readonly Entry[], write: () => Promise<Entry[]>): Promise<Entry[]> => {
    const at = clock()
    latest = latest.filter(({ until }) => until > at)
    const key = keyOfEntries(entries, Date.now())
    const same = latest.find((one) => one.key === key && areOfOneMoment(one.entries, entries))
    if (same) return same.kept
    const keeping: Keeping = { key, entries, until: Infinity, kept: write() }
    latest.push(keeping)
    keeping.kept.then(
      () => {
        keeping.until = clock() + SAME_KEEPING_MS
      },
      // What was refused may be tried again at once.
      () => {
        latest = latest.filter((one) => one !== keeping)
      },
    )
    return keeping.kept
  }
}
