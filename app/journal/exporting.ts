import type { Entry } from '../../core/journal/entry.ts'
import { exportJournal } from '../../core/journal/export.ts'
import { Journal } from '../../core/journal/journal.ts'
import { downloadText } from '../storage/download.ts'
import { photosOf } from './opened.ts'
import type { Which } from './which.ts'

/** `brinvo-mine-2026-11-23.json`; with pictures a zip. */
export const exportName = (which: Which, now: Date, ending: 'json' | 'zip'): string =>
  `brinvo-${which}-${now.toISOString().slice(0, 10)}.${ending}`

/** The pictures that a journal names, as far as they are on this device. */
async function picturesOf(which: Which, journal: Journal): Promise<Map<string, Uint8Array>> {
  const pictures = new Map<string, Uint8Array>()
  const store = photosOf(which)
  // Struck ones too: a strike-out can be taken back.
  for (const { content } of journal.about('kind:photo'))
    if (content.kind === 'photo') {
      const jpeg = await store.get(content.photoId)
      if (jpeg) pictures.set(content.photoId, jpeg)
    }
  return pictures
}

/**
 * Saves the journal as a file, with its pictures where there are any.
 * @param unkept entries the browser would not store: they go into the file all the same
 */
export async function exportToFile(which: Which, journal: Journal, unkept: readonly Entry[] = []): Promise<void> {
  const now = new Date()
  let whole = journal
  if (unkept.length > 0) {
    whole = new Journal()
    whole.add(journal.entries())
    whole.add(unkept)
  }
  const text = exportJournal(whole, now.toISOString())
  // A browser that keeps nothing has no pictures either; the journal goes out all the same.
  const pictures = await picturesOf(which, whole).catch(() => new Map<string, Uint8Array>())
  if (pictures.size === 0) return downloadText(exportName(which, now, 'json'), text)
  const { packArchive } = await import('./archive.ts')
  downloadText(exportName(which, now, 'zip'), Uint8Array.from(packArchive(text, pictures)), 'application/zip')
}
