import type { Content, ContentOf } from '../journal/entry.ts'
import type { Concern } from './concern.ts'

/** One thing that was knowingly set aside. */
export type SetAside = NonNullable<ContentOf<'dose'>['overrides']>[number]

/** What a keeper has said to one concern. */
export interface Answer {
  /** The reason as typed; empty where none was given. */
  why: string
  /** Whether a licensed aquatic veterinarian has agreed; null where that was not said. */
  vetAgreed: boolean | null
  /** "I have read this" was ticked. */
  isRead: boolean
  /** It has happened already: it is recorded as an accident, with what happened in `why`. */
  hasHappened: boolean
}

export const NO_ANSWER: Answer = { why: '', vetAgreed: null, isRead: false, hasHappened: false }

/**
 * Whether an answer sets a concern aside. A `never` can only be recorded as something that has happened already, after what happened was
 * typed; so can what needs a reason, without the question about a veterinarian.
 * @example
 * isAnswered(concern, { ...NO_ANSWER, why: 'no other tank', vetAgreed: false }) // a block
 */
export function isAnswered({ override }: Pick<Concern, 'override'>, answer: Answer): boolean {
  const hasReason = answer.why.trim() !== ''
  if (override === 'confirm') return answer.isRead || (answer.hasHappened && hasReason)
  if (answer.hasHappened) return hasReason
  switch (override) {
    case 'none':
      return false
    case 'reason':
      return hasReason
    case 'reason-and-vet':
      return hasReason && answer.vetAgreed !== null
  }
}

const READ_WORDS = 'read and confirmed'

/** What is kept of an answer: only the answer about a veterinarian says that one has agreed. */
export function setAside({ rule, override }: Pick<Concern, 'rule' | 'override'>, answer: Answer): SetAside {
  const why = answer.why.trim()
  if (answer.hasHappened) return { rule, why, vetAgreed: false, answer: 'happened' }
  if (override === 'confirm') return { rule, why: why || READ_WORDS, vetAgreed: false, answer: 'read' }
  return {
    rule,
    why,
    vetAgreed: override === 'reason-and-vet' && answer.vetAgreed === true,
    answer: 'reason',
  }
}

/** Words that earlier versions kept in place of a reason. */
const OLD_MARKS: ReadonlySet<string> = new Set([READ_WORDS, 'read', 'kept as it happened'])

/**
 * What was said to something that was set aside, in words. A mark of care that an earlier version kept as a veterinarian's word is shown as
 * read and confirmed.
 * @example
 * setAsideWords({ rule: 'cu-rock', why: 'bare rock only', vetAgreed: false }) // "bare rock only"
 */
export function setAsideWords({ why, vetAgreed, answer }: SetAside): string {
  if (answer === 'read' || (answer === undefined && OLD_MARKS.has(why))) return READ_WORDS
  if (answer === 'happened') return `it had happened already: ${why}`
  return vetAgreed ? `${why}; a veterinarian agreed` : why
}

/** What was set aside of a content. */
export const overridesOf = (content: Content): readonly SetAside[] =>
  'overrides' in content && content.overrides !== undefined ? content.overrides : []

/** A content with what was set aside of it, on record. */
export function withAnswers<C extends Content>(
  content: C,
  asks: readonly Concern[],
  answerTo: (one: Concern) => Answer,
): C {
  if (asks.length === 0) return content
  return { ...content, overrides: [...overridesOf(content), ...asks.map((one) => setAside(one, answerTo(one)))] }
}
