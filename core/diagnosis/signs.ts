import type { CaseTable } from '../catalogue/diagnosis/diagnosis.types.ts'
import { SIGN_REGIONS, type SignRegion } from '../catalogue/diagnosis/sign-regions.data.ts'
import { HOW_TO_CHECK, HOW_TO_CHECK_BY_GROUP } from '../catalogue/diagnosis/checks.data.ts'
import { SIGN_SHEETS } from '../catalogue/sign-tables/sign-tables.ts'
import { SIGN_DEFINITIONS } from '../catalogue/sign-definitions.data.ts'
import { SIGN_WORDS } from '../catalogue/sign-words.data.ts'
import { signById } from '../catalogue/sign.ts'
import { capital } from '../words/numbers.ts'

/** A sign as the keeper is asked about it. */
export interface AskedSign {
  id: string
  /** Group of the handbook: colour, texture, micro, context …; of fish signs their kind. */
  group: string
  label: string
  /** What exactly is meant; null where the label says it all. */
  definition: string | null
  /** How it is looked for; null where that goes without saying. */
  how: string | null
  /** What it is searched by, in lower case. */
  searched: string
}

const made = new Map<CaseTable, ReadonlyMap<string, AskedSign>>()

function signsOf(table: CaseTable): ReadonlyMap<string, AskedSign> {
  return new Map(
    SIGN_SHEETS.get(table)!.signs.map(({ id, group, question }) => {
      const sign = signById(id)
      const of = group ?? sign?.kind ?? 'physical'
      const label = question === undefined ? capital(sign?.label ?? id) : capital(question.replace(/\?$/, ''))
      const definition = SIGN_DEFINITIONS[id] ?? null
      return [
        id,
        {
          id,
          group: of,
          label,
          definition,
          how: HOW_TO_CHECK[id] ?? HOW_TO_CHECK_BY_GROUP[of] ?? null,
          searched: [label, definition ?? '', ...(SIGN_WORDS[id] ?? [])].join(' ').toLowerCase(),
        },
      ]
    }),
  )
}

/**
 * The signs of a table by id, in its order.
 * @example
 * askedSigns('marine-fish').get('flashing')?.label // "Scratching"
 */
export function askedSigns(table: CaseTable): ReadonlyMap<string, AskedSign> {
  const known = made.get(table) ?? signsOf(table)
  made.set(table, known)
  return known
}

/** The regions of a table, each with the signs that the table has. */
export const regionsOf = (table: CaseTable): readonly (Omit<SignRegion, 'signs'> & { signs: readonly AskedSign[] })[] =>
  SIGN_REGIONS[table]
    .map((region) => ({ ...region, signs: region.signs.flatMap((id) => askedSigns(table).get(id) ?? []) }))
    .filter(({ signs }) => signs.length > 0)

/** Words that say nothing of a sign. */
const SMALL_WORDS = new Set(['the', 'a', 'an', 'and', 'or', 'on', 'in', 'of', 'is', 'it', 'with', 'at', 'my', 'has'])

/**
 * The signs that plain words speak of, those that more words meet first.
 * @example
 * findSigns('marine-fish', 'white spots on the fins')[0]?.id // 'white-grains-countable'
 */
export function findSigns(table: CaseTable, words: string): AskedSign[] {
  const asked = words
    .toLowerCase()
    .split(/[^\p{L}\d]+/u)
    .filter((word) => word.length > 1 && !SMALL_WORDS.has(word))
  if (asked.length === 0) return []
  return [...askedSigns(table).values()]
    .map((sign) => ({
      sign,
      met: asked.filter((word) => sign.searched.includes(word.replace(/(ing|s)$/, ''))).length,
    }))
    .filter(({ met }) => met > 0)
    .sort((a, b) => b.met - a.met)
    .map(({ sign }) => sign)
}
