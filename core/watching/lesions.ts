import type { Journal } from '../journal/journal.ts'
import type { LesionChange } from './lesion-words.ts'

/** One look at a lesion. */
export interface LesionLook {
  /** ms */
  at: number
  /** Across its widest part; null where it was not measured. */
  mm: number | null
  /** As the keeper said it, else by the millimetres; null for a first look that only measured. */
  change: LesionChange | null
}

/** A ruler beside the glass is not better than this, mm (EA): less is "the same". */
const RULER_MM = 1

function changeByMm(before: number | null, mm: number | null): LesionChange | null {
  if (mm === 0) return 'healed'
  if (before === null || mm === null) return null
  if (Math.abs(mm - before) < RULER_MM) return 'same'
  return mm > before ? 'worse' : 'better'
}

/**
 * The looks at an animal's lesion, in time order.
 * @param from  ms
 * @param until ms
 * @example
 * lesionLooks(journal, 'cobalt', start, now).at(-1) // { at, mm: 8, change: 'worse' }
 */
export function lesionLooks(journal: Journal, animalId: string, from: number, until: number): LesionLook[] {
  const looks: LesionLook[] = []
  for (const { content, at, struck } of journal.about(`animal:${animalId}`)) {
    if (struck || content.kind !== 'sighting' || !content.lesion || at < from || at > until) continue
    const { mm = null, change } = content.lesion
    const before = looks.findLast((look) => look.mm !== null)?.mm ?? null
    looks.push({ at, mm, change: change ?? changeByMm(before, mm) })
  }
  return looks
}

/** How many of the last looks in a row said the same; 0 without any. */
export function looksInARow(looks: readonly LesionLook[], change: LesionChange): number {
  let count = 0
  for (const look of looks.toReversed()) {
    if (look.change !== change) break
    count++
  }
  return count
}
