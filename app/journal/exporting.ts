import type { Entry } from '../../core/journal/entry.ts'
import { exportJournal } from '../../core/journal/export.ts'
import { Journal } from '../../core/journal/journal.ts'
import { downloadText } from '../storage/download.ts'
import type { Which } from './which.ts'

/** `brinvo-mine-2026-11-23.json` */
export const exportName = (which: Which, now: Date): string => `brinvo-${which}-${now.toISOString().slice(0, 10)}.json`

/**
 * Saves the journal as a file.
 * @param unkept entries the browser would not store: they go into the file all the same
 */
export function exportToFile(which: Which, journal: Journal, unkept: readonly Entry[] = []): void {
  const now = new Date()
  let whole = journal
  if (unkept.length > 0) {
    whole = new Journal()
    whole.add(journal.entries())
    whole.add(unkept)
  }
  downloadText(exportName(which, now), exportJournal(whole, now.toISOString()))
}
