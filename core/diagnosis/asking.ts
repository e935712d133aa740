import { REFINES, SIBLING_GROUPS } from '../catalogue/diagnosis/checks.data.ts'
import type { Answer, CaseTable } from '../catalogue/diagnosis/diagnosis.types.ts'
import type { Setting } from '../catalogue/sign-tables/sign-tables.ts'
import type { KnownFromJournal } from './context.ts'
import { askedSigns } from './signs.ts'

/** Answers by sign; what is not in it was not looked at. */
export type Answers = Readonly<Record<string, Answer>>

/** Counted by the newcomer's priors already: quarantine.md 3. */
const COUNTED_FOR_NEWCOMERS = 'new-fish-14d'
const isHost = (sign: string): boolean => sign.startsWith('host-')

/**
 * The answers as the ranking takes them, by the handbook's asking rules: a newcomer's priors hold the new fish already, a host is never
 * counted as absent, and what was not looked at carries nothing.
 */
export function evidenceOf(
  table: CaseTable,
  setting: Setting,
  answers: Answers,
): { present: string[]; absent: string[] } {
  const known = askedSigns(table)
  const counted = Object.entries(answers).filter(
    ([sign]) => known.has(sign) && !(setting === 'new-arrival' && sign === COUNTED_FOR_NEWCOMERS),
  )
  return {
    present: counted.flatMap(([sign, answer]) => (answer === 'present' ? [sign] : [])),
    absent: counted.flatMap(([sign, answer]) => (answer === 'absent' && !isHost(sign) ? [sign] : [])),
  }
}

/**
 * Whether a sign is worth asking about now: not answered yet, no host (the ledger knows it), and no sibling of a yes. In the groups colour,
 * texture, shape and host a yes leaves the others unasked (outbreaks.md 3), but what refines that very yes.
 */
export function isWorthAsking(table: CaseTable, setting: Setting, answers: Answers, sign: string): boolean {
  const known = askedSigns(table)
  const asked = known.get(sign)
  if (!asked || answers[sign] === 'present' || answers[sign] === 'absent' || isHost(sign)) return false
  if (setting === 'new-arrival' && sign === COUNTED_FOR_NEWCOMERS) return false
  const refined = REFINES[sign]
  if (refined !== undefined) {
    const siblings = Object.keys(REFINES).filter((other) => other !== sign && REFINES[other] === refined)
    return answers[refined] === 'present' && !siblings.some((other) => answers[other] === 'present')
  }
  if (!SIBLING_GROUPS.has(asked.group)) return true
  return ![...known.values()].some(
    ({ id, group }) => group === asked.group && id !== sign && answers[id] === 'present' && REFINES[id] === undefined,
  )
}

/**
 * The journal's answers with the keeper's over them: each of the keeper's own comes before what the journal knows.
 * @example
 * answersWith(contextOf(journal, subject, settings, now), { flashing: 'present' })
 */
export function answersWith(known: readonly KnownFromJournal[], own: Answers): Answers {
  const counted = known.filter(({ onlyWith }) => onlyWith === undefined || own[onlyWith] === 'present')
  return { ...Object.fromEntries(counted.map(({ sign, answer }) => [sign, answer])), ...own }
}
