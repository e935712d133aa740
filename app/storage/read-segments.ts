import type { Entry } from '../../core/journal/entry.ts'
import type { Explained } from '../../core/schema/explain.ts'
import type { CheckEntries } from './check-here.ts'

/** A stored value that is no entry: it stays where it is until it is mended or discarded. */
export interface Unreadable {
  /** Segment it is stored in. */
  key: string
  value: unknown
  /** Where in it, and what would be right. */
  fault: Explained
}

/** Whether a key of the database names a segment of entries. */
export const isSegment = (key: string): boolean => key.includes('.')

/**
 * Reads the segments of a journal's database that were not read yet.
 * @param read names of the segments that were read; those that are read now are added
 * @param take is handed the entries of a segment, in the order of the segments' names
 * @returns the stored values that are no entries
 */
export async function readNewSegments(
  db: LocalForage,
  check: CheckEntries,
  read: Set<string>,
  take: (entries: Entry[]) => void,
): Promise<Unreadable[]> {
  const unreadable: Unreadable[] = []
  // Another tab may pack segments together meanwhile: look again until nothing new has turned up.
  for (;;) {
    const fresh = (await db.keys()).filter((key) => isSegment(key) && !read.has(key)).sort()
    if (fresh.length === 0) return unreadable
    // The next segments are read while those before them are checked.
    const checking: { key: string; values: readonly unknown[]; checked: ReturnType<CheckEntries> }[] = []
    for (const key of fresh) {
      read.add(key)
      const stored = await db.getItem<unknown>(key)
      // Packed into another segment meanwhile.
      if (stored === null) continue
      if (!Array.isArray(stored)) {
        unreadable.push({ key, value: stored, fault: { path: '', message: 'expected a list of entries' } })
        continue
      }
      const values = stored as unknown[]
      checking.push({ key, values, checked: check(values) })
    }
    for (const { key, values, checked } of checking) {
      const faults = await checked
      const entries: Entry[] = []
      values.forEach((value, i) => {
        const fault = faults[i] ?? null
        if (fault === null) entries.push(value as Entry)
        else unreadable.push({ key, value, fault })
      })
      take(entries)
    }
  }
}
