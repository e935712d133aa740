import type { Settings } from '../household/settings.ts'
import type { Content } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'

/** What the log line is read against. */
export interface LogContext {
  journal: Journal
  settings: Settings
  /** ms */
  now: number
  /** BCP 47 name of the locale numbers are typed in: decides whether `0,4` is 0.4; without one a comma is asked about. */
  locale?: string
  /** The entry that what is typed will stand in for, when one is corrected. */
  correcting?: string
}

/** Another way to write the line, for the keeper to pick: picking replaces the typed text. */
export interface Choice {
  label: string
  text: string
}

/**
 * What a typed line is read as. `keep` is what Enter will write; in every other state Enter waits and nothing typed is
 * lost. The line never guesses: where it could mean two things the reading is `choose`.
 */
export type ReadBack =
  | { state: 'empty'; completions: Choice[] }
  | { state: 'keep'; contents: Content[]; notices: string[]; completions: Choice[] }
  | { state: 'choose'; question: string; choices: Choice[]; completions: Choice[] }
  | { state: 'unclear'; message: string; choices: Choice[]; completions: Choice[] }

/** A stop on the way of reading a line: something is missing, wrong or could be two things. */
export type Stop =
  { stop: 'choose'; question: string; choices: Choice[] } | { stop: 'unclear'; message: string; choices: Choice[] }

export const choose = (question: string, choices: Choice[]): Stop => ({ stop: 'choose', question, choices })
export const unclear = (message: string, choices: Choice[] = []): Stop => ({ stop: 'unclear', message, choices })

export const isStop = (value: object): value is Stop => 'stop' in value
