import { DEFAULT_SETTINGS, settingsOf } from '../household/settings.ts'
import { journalFrom } from '../journal/read.ts'
import { ok, type Result } from '../result/result.ts'
import type { LogLineInput, LogLineOutput } from './logline.schema.ts'
import { readLine } from './read.ts'

/**
 * What the log line at the foot of the screen reads a typed line as, against a journal; nothing is kept.
 * @returns the reading-back; `invalid-input` where the journal would not be taken in
 */
export function readLogLine({ journal: file, now, line, locale }: LogLineInput): Result<LogLineOutput> {
  const journal = journalFrom(file)
  if (!journal.ok) return journal
  const { completions: _completions, ...back } = readLine(line, {
    journal: journal.value,
    settings: settingsOf(journal.value) ?? DEFAULT_SETTINGS,
    now: Date.parse(now),
    ...(locale !== undefined && { locale }),
  })
  return ok(back)
}
