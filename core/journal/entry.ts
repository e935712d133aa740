import type { Content } from './entry.schema.ts'

export type { Content, ContentKind, ContentOf } from './entry.schema.ts'

interface Stamp {
  id: string
  logged: string
}
export type Recorded = Stamp & { content: Content }
export type Correction = Stamp & { corrects: string; content: Content }
export type StrikeOut = Stamp & { strikes: string; why?: string }
/** One line of the journal. */
export type Entry = Recorded | Correction | StrikeOut

export const isStrikeOut = (entry: Entry): entry is StrikeOut => 'strikes' in entry
export const isCorrection = (entry: Entry): entry is Correction => 'corrects' in entry

/** A journal file as it is written. */
export interface JournalFile {
  format: string
  version: number
  exported: string
  /** CRC-32 of the entries, a line of JSON each, in eight hexadecimal digits; files from before have none. */
  checksum?: string
  entries: Entry[]
}
