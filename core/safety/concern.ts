import type { Severity } from '../catalogue/treatments/treatment.types.ts'
import type { EquipmentItem } from '../household/tanks.ts'

/** How a concern may be set aside: not at all, by a written reason, by that and the answer about a veterinarian, by a confirmation. */
export type Override = 'none' | 'reason' | 'reason-and-vet' | 'confirm'

/** Something that speaks against what is to be done in some water, and how strongly. */
export interface Concern {
  /** Row of the interactions or sensitivities, or a rule of the guard: docs/formats.md lists them. */
  rule: string
  /** `ask`: it cannot be judged, or has to be confirmed as it stands. */
  severity: Severity | 'ask'
  /** What it is here: "Button, tuxedo urchin", "carbon is running". */
  what: string
  /** Who would come into it, where `what` is in the water already: "Pip, cleaner shrimp". */
  who?: string
  /** Why it speaks against it, or what would be right. */
  reason: string
  override: Override
  /** The amount that would be right, in the product's unit, and the level it makes; where one would be. */
  rather?: { amount: number; makesMgPerL: number }
  /** Running equipment that speaks against it: once it is off, the concern is gone. */
  item?: EquipmentItem
  /** Tanks that the entry may have been meant for. */
  tankIds?: readonly string[]
}

const OVERRIDES: Record<Severity, Override> = {
  never: 'none',
  block: 'reason-and-vet',
  caution: 'confirm',
  note: 'confirm',
}

/** How a concern of a severity is set aside unless its rule says otherwise. */
export const overrideOf = (severity: Severity): Override => OVERRIDES[severity]

/**
 * A concern with the usual way to set it aside.
 * @example
 * concern('over-band', 'block', 'That makes 3.1 mg/L', 'above the 2.50 of this course', 'reason')
 */
export const concern = (
  rule: string,
  severity: Severity | 'ask',
  what: string,
  reason: string,
  override: Override = severity === 'ask' ? 'reason' : overrideOf(severity),
): Concern => ({ rule, severity, what, reason, override })

/** What cannot be judged, and what is missing. */
export const cannotJudge = (what: string, reason: string): Concern => concern('cannot-judge', 'ask', what, reason)

/** 0 for the gravest. */
export const SEVERITY_RANK: Readonly<Record<Concern['severity'], number>> = {
  never: 0,
  block: 1,
  ask: 2,
  caution: 3,
  note: 4,
}

/** The gravest first. */
export const bySeverity = (a: Pick<Concern, 'severity'>, b: Pick<Concern, 'severity'>): number =>
  SEVERITY_RANK[a.severity] - SEVERITY_RANK[b.severity]

/** Puts what one row says for one reason together, naming everything it meets; the gravest first. */
export function gathered(concerns: readonly Concern[]): Concern[] {
  const byRow = new Map<string, Concern>()
  for (const one of concerns) {
    const key = `${one.rule}|${one.severity}|${one.who ?? ''}|${one.reason}`
    const same = byRow.get(key)
    if (!same) byRow.set(key, { ...one })
    else if (!same.what.split('; ').includes(one.what)) same.what += `; ${one.what}`
  }
  return [...byRow.values()].sort(bySeverity)
}

/** The concerns that stop something until they are answered: all but those that only ask to be read or tell. */
export const stopping = (concerns: readonly Concern[]): Concern[] =>
  concerns.filter(({ severity }) => severity !== 'caution' && severity !== 'note')

/** How a concern is asked about. */
export interface Asking {
  /** ms: what has come between the proposed thing's own time and now meets it too. */
  now: number
  /** An entry that does not count: the one the proposed content is to stand in for. */
  except?: string
}
