import type { Judged, RuleInput } from './rules.ts'

/** Judges that are loaded with the definitions that have their rules: the first view goes without. */
type LateJudge = 'lesion-worse'

const judges = new Map<LateJudge, (input: RuleInput) => Judged>()

/** Makes a judge known to the rules. */
export const addJudge = (name: LateJudge, judge: (input: RuleInput) => Judged): void => void judges.set(name, judge)

/**
 * What a late judge says.
 * @throws where it was not loaded: its rule would silently never hold
 */
export function judgedLate(name: LateJudge, input: RuleInput): Judged {
  const judge = judges.get(name)
  if (!judge) throw new Error(`the judge ${name} was not loaded with its definition`)
  return judge(input)
}
