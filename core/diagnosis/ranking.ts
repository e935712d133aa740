import { FIRST_MINUTES, type FirstMinutes } from '../catalogue/diagnosis/first-minutes.data.ts'
import { PROGNOSES, type Prognosis } from '../catalogue/diagnosis/prognosis.data.ts'
import type { CaseTable } from '../catalogue/diagnosis/diagnosis.types.ts'
import { signTable, type Setting } from '../catalogue/sign-tables/sign-tables.ts'
import { expectOk } from '../result/result.ts'
import { evidenceOf, isWorthAsking, type Answers } from './asking.ts'
import { conditionFacts, type ConditionFacts } from './condition-facts.ts'
import { NONE_OF_THESE, rankDiagnosis } from './rank.ts'
import { raisedFlags, treatForBoth, type ForBoth, type RaisedFlag } from './red-flags.ts'
import { askedSigns, type AskedSign } from './signs.ts'

/** The one scale of the handbooks: quarantine.md 3, outbreaks.md 3. */
export type Certainty = 'likely' | 'possible' | 'not-enough'
const LIKELY = { share: 0.8, timesSecond: 4 }
const POSSIBLE_SHARE = 0.4
/** What is a matter of hours is shown from this share on, whatever its rank. */
const SHOWN_IF_URGENT = 0.05
/** With a sign that speaks for it, it says what to do first from this share on, or where it leads (EA). */
const ACTED_ON_SHARE = 0.2
/** Others are shown from this share on (EA), and so many at most. */
const SHOWN_SHARE = 0.03
const SHOWN_MOST = 5
/** A sign speaks for a condition that shows it this often, and against one that hardly ever does (EA). */
const SPEAKS_FOR = 0.4
const SPEAKS_AGAINST = 0.05
/** Looked for and not seen, it speaks against a condition that shows it at least this often (EA). */
const MISSED_IN = 0.6

/** Groups of signs that confirm, outbreaks.md 3: the microscope, a test, an animal by its shape or motion. */
const CONFIRMING_GROUPS: ReadonlySet<string> = new Set(['micro', 'test', 'shape', 'motion'])

/** A condition as it ranks. */
export interface RankedCondition {
  id: string
  probability: number
  /** Null for none of these. */
  facts: ConditionFacts | null
  /** Signs that are seen and speak for it, the most telling first; and those that speak against it. */
  speaksFor: readonly AskedSign[]
  speaksAgainst: readonly AskedSign[]
  firstMinutes: FirstMinutes | null
  /** What is said plainly of its end where it is likely enough to matter: it has no cure, or schools differ. */
  prognosis: Prognosis | null
}

/** What to look at next. */
export interface NextCheck {
  sign: AskedSign
  /** Expected gain, bits. */
  bits: number
}

/** Everything that answers say. */
export interface CaseRanking {
  certainty: Certainty
  shown: readonly RankedCondition[]
  /** What is a matter of hours and has to be acted on before it is certain; null where nothing is. */
  urgent: RankedCondition | null
  /** All of the table, for what needs a share. */
  ranked: readonly { id: string; probability: number }[]
  flags: readonly RaisedFlag[]
  forBoth: readonly ForBoth[]
  /** What tells the first two apart best, and what each of them would show. */
  pair: { first: string; second: string; sign: AskedSign; firstShows: number; secondShows: number } | null
  next: readonly NextCheck[]
  /** A look through the microscope, a test, or an animal that was seen: wanted before a chemical plan (outbreaks.md 3). */
  isConfirmed: boolean
  answered: number
}

/** How sure the ranking is, by the one scale. */
export function certaintyOf(ranked: readonly { id: string; probability: number }[]): Certainty {
  const [first, second] = ranked
  if (!first || first.id === NONE_OF_THESE) return 'not-enough'
  if (first.probability >= LIKELY.share && first.probability >= LIKELY.timesSecond * (second?.probability ?? 0))
    return 'likely'
  return first.probability >= POSSIBLE_SHARE ? 'possible' : 'not-enough'
}

/**
 * The ranking of a table by what was answered, with all that a keeper needs beside it: red flags first, then how sure it is, what speaks for
 * and against each, what tells the first two apart, and the most telling next check. The numbers are those of `diagnosis.rank`.
 * @example
 * rankCase('coral-and-pests', 'established', { 'c-brown-jelly': 'present' }).shown[0]?.id // 'brown-jelly'
 */
export function rankCase(table: CaseTable, setting: Setting, answers: Answers): CaseRanking {
  const evidence = evidenceOf(table, setting, answers)
  const { ranked, next } = expectOk(rankDiagnosis({ catalogue: table, setting, ...evidence }, signTable))
  const rows = new Map(signTable(table, setting)!.conditions.map(({ id, signs }) => [id, signs]))
  const signs = askedSigns(table)
  const answered = evidence.present.length + evidence.absent.length
  const described = ({ id, probability }: { id: string; probability: number }): RankedCondition => {
    const shows = rows.get(id) ?? {}
    const p = (sign: string) => shows[sign] ?? 0
    const facts = conditionFacts(id)
    return {
      id,
      probability,
      facts,
      speaksFor: evidence.present
        .filter((sign) => p(sign) >= SPEAKS_FOR)
        .sort((a, b) => p(b) - p(a))
        .flatMap((sign) => signs.get(sign) ?? []),
      speaksAgainst:
        id === NONE_OF_THESE
          ? []
          : [
              ...evidence.absent.filter((sign) => p(sign) >= MISSED_IN),
              ...evidence.present.filter((sign) => p(sign) <= SPEAKS_AGAINST),
            ].flatMap((sign) => signs.get(sign) ?? []),
      firstMinutes: facts?.urgency === 'hours' ? (FIRST_MINUTES[id] ?? null) : null,
      prognosis: probability >= ACTED_ON_SHARE ? (PROGNOSES[id] ?? null) : null,
    }
  }
  const isShown = ({ id, probability }: (typeof ranked)[number], i: number): boolean =>
    (i < SHOWN_MOST && probability >= SHOWN_SHARE) ||
    (probability >= SHOWN_IF_URGENT && conditionFacts(id)?.urgency === 'hours')
  const shown = answered === 0 ? [] : ranked.filter(isShown).map(described)
  const leader = shown.find(({ id }) => id !== NONE_OF_THESE)
  const urgent = shown.find(
    (one) =>
      one.firstMinutes !== null &&
      // What went before alarms nobody by itself: something has to be seen.
      one.speaksFor.some(({ group }) => group !== 'context') &&
      (one === leader || one.probability >= ACTED_ON_SHARE),
  )
  const asking = (sign: string) => isWorthAsking(table, setting, answers, sign)
  const [first, second] = ranked.filter(({ id }) => id !== NONE_OF_THESE)
  const telling =
    first && second
      ? [...signs.values()]
          .filter(({ id }) => asking(id))
          .map((sign) => ({
            sign,
            firstShows: rows.get(first.id)![sign.id]!,
            secondShows: rows.get(second.id)![sign.id]!,
          }))
          .sort((a, b) => Math.abs(b.firstShows - b.secondShows) - Math.abs(a.firstShows - a.secondShows))[0]
      : undefined
  return {
    certainty: answered === 0 ? 'not-enough' : certaintyOf(ranked),
    shown,
    urgent: urgent ?? null,
    ranked,
    flags: table === 'marine-fish' || table === 'freshwater-fish' ? raisedFlags(answers, setting) : [],
    forBoth: answered === 0 ? [] : treatForBoth(ranked, answers, setting),
    pair:
      answered > 0 && telling && Math.abs(telling.firstShows - telling.secondShows) >= SPEAKS_FOR
        ? { first: first!.id, second: second!.id, ...telling }
        : null,
    next: next.filter(({ sign }) => asking(sign)).map(({ sign, bits }) => ({ sign: signs.get(sign)!, bits })),
    isConfirmed: evidence.present.some((sign) => CONFIRMING_GROUPS.has(signs.get(sign)!.group)),
    answered,
  }
}

/** What is read before the ranking: why, what to do and what not; and other flags that are up. */
export interface FirstToRead {
  of: { flag: RaisedFlag } | { condition: RankedCondition } | null
  lines: FirstMinutes | null
  others: readonly RaisedFlag[]
}

/** The most pressing red flag of today, else what has to be acted on before it is certain. */
export function firstToRead({ flags, urgent }: CaseRanking): FirstToRead {
  const flag = flags.find(({ urgency }) => urgency === 'hours' || urgency === 'day')
  const others = flags.filter((one) => one !== flag)
  if (flag) return { of: { flag }, lines: flag, others }
  return urgent ? { of: { condition: urgent }, lines: urgent.firstMinutes, others } : { of: null, lines: null, others }
}
