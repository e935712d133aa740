import { contentFault } from '../journal/check.ts'
import type { Content } from '../journal/entry.ts'
import { journalFrom } from '../journal/read.ts'
import { invalid, ok, type Result } from '../result/result.ts'
import { concernsOf } from './concerns.ts'
import type { ConcernsInput, ConcernsOutput } from './safety.schema.ts'

/**
 * What the water speaks against a content that is about to be kept, the gravest first; nothing is kept.
 * @returns `invalid-input` where the journal would not be taken in, or the content would not be kept as it stands
 */
export function readConcerns({ journal: file, now, proposed }: ConcernsInput): Result<ConcernsOutput> {
  const journal = journalFrom(file)
  if (!journal.ok) return journal
  const fault = contentFault(proposed)
  if (fault) return invalid(`/proposed${fault.path}`, fault.message)
  const found = concernsOf(journal.value, proposed as Content, { now: Date.parse(now) })
  return ok(
    found.map(({ rule, severity, what, who, reason }) => ({
      rule,
      severity,
      what: who === undefined ? what : `${what}; ${who}`,
      reason,
    })),
  )
}
