import type { RuleState } from './rules.ts'

const ROLES: Record<RuleState['role'], number> = { hard: 0, stop: 0, gate: 1, success: 2, escalate: 3, event: 4 }

/** What holds first, then what is measured by how near it is, then what only the keeper can say. */
const rank = ({ state, near }: RuleState): number =>
  state === 'holds' || state === 'broken' ? 2 : (near ?? (state === 'ask' ? -1 : 0))

/**
 * The rules of a plan, those that stop it first, each kind by how near it is to holding.
 * @example
 * byNearness(plan.rules)[0] // the stop rule that is nearest
 */
export const byNearness = (rules: readonly RuleState[]): RuleState[] =>
  [...rules].sort((a, b) => ROLES[a.role] - ROLES[b.role] || rank(b) - rank(a))
