import { checksumOf } from './checksum.ts'
import type { JournalFile } from './entry.ts'
import { FORMAT_NAME, FORMAT_VERSION } from './format.ts'
import type { Journal } from './journal.ts'

/**
 * The text of a journal file, docs/formats.md: every entry as written, in the order of logging, one a line, so that two
 * exports can be compared line by line.
 * @param exported when it is written, an instant
 */
export function exportJournal(journal: Journal, exported: string): string {
  const entries = journal.entries()
  const frame: Omit<JournalFile, 'entries'> = {
    format: FORMAT_NAME,
    version: FORMAT_VERSION,
    exported,
    checksum: checksumOf(entries),
  }
  const lines = entries.map((entry) => `  ${JSON.stringify(entry)}`).join(',\n')
  const head = JSON.stringify(frame, null, 1).slice(0, -2)
  return `${head},\n "entries": [${lines && `\n${lines}\n `}]\n}\n`
}
