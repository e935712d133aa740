import { invalid, ok, type Result } from '../result/result.ts'
import type { Diagnosis, DiagnosisInput, SignTable } from './diagnosis.schema.ts'

/** A sign table as the ranking takes it: which it is may depend on the setting. */
export type FindTable = (name: string, setting: 'new-arrival' | 'established') => SignTable | undefined

/** The condition every table also has: something the table does not know (design contract). */
export const NONE_OF_THESE = 'none-of-these'
const NONE_PRIOR = 0.05
const NONE_P = 0.2
/** Signs are not independent: beyond so many, all together count no more than this many would. */
const FULL_WEIGHT_SIGNS = 5

interface Row {
  id: string
  prior: number
  p: (sign: string) => number
}

const entropy = (p: number): number => {
  const part = (share: number) => (share > 0 ? -share * Math.log2(share) : 0)
  return part(p) + part(1 - p)
}

/** Entropies of the few frequencies that a table is written in: the same eight or so are asked for thousands of times. */
const known = new Map<number, number>()
const KNOWN_MOST = 1000

function entropyOf(p: number): number {
  const before = known.get(p)
  if (before !== undefined) return before
  const value = entropy(p)
  if (known.size < KNOWN_MOST) known.set(p, value)
  return value
}

/** What is wrong with a table; null when nothing is. */
function fault({ conditions }: SignTable): { path: string; message: string } | null {
  const names = Object.keys(conditions[0]!.signs).sort().join('\n')
  const ids = new Set<string>([NONE_OF_THESE])
  for (const [i, { id, signs }] of conditions.entries()) {
    if (ids.has(id)) return { path: `/catalogue/conditions/${i}/id`, message: `expected another id; “${id}” is taken` }
    ids.add(id)
    if (Object.keys(signs).sort().join('\n') !== names)
      return { path: `/catalogue/conditions/${i}/signs`, message: 'expected the same signs in every row' }
  }
  const sum = conditions.reduce((all, { prior }) => all + prior, 0)
  return sum > 0 && Number.isFinite(sum)
    ? null
    : { path: '/catalogue/conditions', message: 'expected priors that add up to more than nothing' }
}

/**
 * Conditions ranked by what is seen and what is looked for and not seen, by tempered naive Bayes over a sign table; and the
 * signs that would tell most, by mutual information with the condition (design contract).
 * @param find the sign tables of the catalogue, by name
 */
export function rankDiagnosis(
  { catalogue, setting = 'new-arrival', present, absent = [] }: DiagnosisInput,
  find: FindTable,
): Result<Diagnosis> {
  const table = typeof catalogue === 'string' ? find(catalogue, setting) : catalogue
  if (!table) return invalid('/catalogue', `expected a sign table or the name of one; came “${catalogue as string}”`)
  const wrong = fault(table)
  if (wrong) return invalid(wrong.path, wrong.message)
  const signs = Object.keys(table.conditions[0]!.signs)
  const named = new Set(signs)
  const [seen, missing] = [new Set(present), new Set(absent)]
  for (const [path, list] of [
    ['/present', present],
    ['/absent', absent],
  ] as const) {
    const unknown = list.findIndex((sign) => !named.has(sign))
    if (unknown >= 0) return invalid(`${path}/${unknown}`, `expected a sign of the table; came “${list[unknown]}”`)
  }
  const both = absent.findIndex((sign) => seen.has(sign))
  if (both >= 0) return invalid(`/absent/${both}`, `“${absent[both]}” is said to be present as well`)

  const sum = table.conditions.reduce((all, { prior }) => all + prior, 0)
  const rows: Row[] = [
    ...table.conditions.map(({ id, prior, signs: of }) => ({
      id,
      prior: ((1 - NONE_PRIOR) * prior) / sum,
      p: (sign: string) => of[sign]!,
    })),
    { id: NONE_OF_THESE, prior: NONE_PRIOR, p: () => NONE_P },
  ]
  const mentioned = seen.size + missing.size
  const temper = mentioned === 0 ? 1 : Math.min(1, FULL_WEIGHT_SIGNS / mentioned)
  const scores = rows.map(({ prior, p }) => {
    let evidence = 0
    for (const sign of seen) evidence += Math.log(p(sign))
    for (const sign of missing) evidence += Math.log1p(-p(sign))
    return Math.log(prior) + temper * evidence
  })
  const best = Math.max(...scores)
  const weights = scores.map((score) => Math.exp(score - best))
  const all = weights.reduce((total, weight) => total + weight, 0)
  const posterior = weights.map((weight) => weight / all)
  const next = signs
    .filter((sign) => !seen.has(sign) && !missing.has(sign))
    .map((sign) => {
      const overall = rows.reduce((total, { p }, i) => total + posterior[i]! * p(sign), 0)
      const within = rows.reduce((total, { p }, i) => total + posterior[i]! * entropyOf(p(sign)), 0)
      return { sign, bits: Math.max(0, entropy(Math.min(1, overall)) - within) }
    })
    .sort((a, b) => b.bits - a.bits)
  return ok({
    ranked: rows.map(({ id }, i) => ({ id, probability: posterior[i]! })).sort((a, b) => b.probability - a.probability),
    next,
  })
}
