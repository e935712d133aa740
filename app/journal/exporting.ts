import type { Entry } from '../../core/journal/entry.ts'
import { Journal } from '../../core/journal/journal.ts'
import { downloadText } from '../storage/download.ts'
import { rememberExport } from './last-export.ts'
import { photosOf } from './opened.ts'
import type { Which } from './which.ts'

/** `brinvo-mine-2026-11-23`. */
export const exportName = (which: Which, now: Date): string => `brinvo-${which}-${now.toISOString().slice(0, 10)}`

/** The ids of the pictures that entries name; of struck ones too, for a strike-out can be taken back. */
export const photoIdsIn = (entries: readonly Entry[]): string[] =>
  entries.flatMap((entry) => ('content' in entry && entry.content.kind === 'photo' ? [entry.content.photoId] : []))

/** The ids of the short films that entries name. */
export const clipIdsIn = (entries: readonly Entry[]): string[] =>
  entries.flatMap((entry) => ('content' in entry && entry.content.kind === 'clip' ? [entry.content.clipId] : []))

/** Pictures by their ids, as far as they are on this device. */
async function picturesOf(which: Which, ids: readonly string[]): Promise<Map<string, Uint8Array>> {
  const pictures = new Map<string, Uint8Array>()
  const store = photosOf(which)
  for (const id of ids) {
    const jpeg = await store.get(id)
    if (jpeg) pictures.set(id, jpeg)
  }
  return pictures
}

/**
 * Saves a journal's text as a file; as a zip with the pictures it names, where there are any on this device.
 * @param name without its ending
 */
export async function saveJournal(name: string, which: Which, text: string, photoIds: readonly string[]) {
  // A browser that keeps nothing has no pictures either; the journal goes out all the same.
  const pictures = await picturesOf(which, photoIds).catch(() => new Map<string, Uint8Array>())
  if (pictures.size === 0) return downloadText(`${name}.json`, text)
  const { packArchive } = await import('./bring-in/archive.ts')
  downloadText(`${name}.zip`, Uint8Array.from(packArchive(text, pictures)), 'application/zip')
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
  // The first view does without it.
  const { exportJournal } = await import('../../core/journal/export.ts')
  const text = exportJournal(whole, now.toISOString())
  await saveJournal(exportName(which, now), which, text, photoIdsIn(whole.entries()))
  rememberExport(which, now.getTime())
}
