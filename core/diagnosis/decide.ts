import { PLANS } from '../catalogue/handbook/plans.data.ts'
import type { CaseTable } from '../catalogue/diagnosis/diagnosis.types.ts'
import type { ConditionFacts } from './condition-facts.ts'

/** How an outbreak is met: outbreaks.md 1, decision. */
export type Way = 'emergency' | 'do-nothing' | 'by-hand' | 'treat-spot' | 'treat-tank'

/** What the keeper sees that decides between hand and treatment; null where it was not said. */
export interface DecisionAnswers {
  /** How much of what can be seen it covers, %. */
  coveragePercent: number | null
  /** How many animals of it are seen. */
  animals: number | null
  /** What it sits on can leave the tank. */
  canComeOut: boolean
  /** Pieces of it grow again. */
  growsFromPieces: boolean
  /** Taken out by hand for fourteen days, it comes up in new places. */
  cameBackByHand: boolean
  isToxic: boolean
  /** The tank is younger than four months. */
  isYoungTank: boolean
}

export interface Decision {
  way: Way
  /** Why, in a sentence. */
  because: string
  /** Besides: no treatment of an alga, of cyano or of dinoflagellates lasts while its cause stays. */
  changesConditions: boolean
  /** A whole tank is treated only after one check has confirmed what it is. */
  waitsForCheck: boolean
  /** Nothing that decides was said yet: the way is only the middle one. */
  isOpen: boolean
}

/** Limits of outbreaks.md 1, decision: by hand under a tenth, or up to five animals; the whole tank from three tenths on. */
const HAND_PERCENT = 10
const HAND_ANIMALS = 5
const TANK_PERCENT = 30

const FILMS: ReadonlySet<CaseTable> = new Set(['marine-film', 'freshwater-algae'])

function wayOf({ id, urgency, plans }: ConditionFacts, answers: DecisionAnswers): Pick<Decision, 'way' | 'because'> {
  const { coveragePercent, animals, canComeOut, growsFromPieces, cameBackByHand, isToxic, isYoungTank } = answers
  if (urgency === 'hours') return { way: 'emergency', because: 'it kills within hours: act first, identify beside it' }
  if (id.endsWith('-harmless') || (id === 'diatoms' && isYoungTank) || plans[0] === 'watch-wait')
    return { way: 'do-nothing', because: 'it is harmless, or goes by itself: the same photo once a week' }
  if (isToxic) return { way: 'treat-tank', because: 'it is toxic' }
  if (cameBackByHand) return { way: 'treat-tank', because: 'fourteen days by hand, and it comes up in new places' }
  if (coveragePercent !== null && coveragePercent >= TANK_PERCENT)
    return { way: 'treat-tank', because: `it covers ${TANK_PERCENT} % or more` }
  const isLittle =
    (coveragePercent !== null && coveragePercent < HAND_PERCENT) || (animals !== null && animals <= HAND_ANIMALS)
  if (isLittle && canComeOut && !growsFromPieces)
    return { way: 'by-hand', because: 'it is little, on what can be taken out, and pieces of it do not grow again' }
  return {
    way: 'treat-spot',
    because: canComeOut
      ? 'what it sits on can leave the tank: at the bench, not in the tank'
      : growsFromPieces && isLittle
        ? 'it is little, but pieces of it grow again'
        : 'it is firmly attached, and not everywhere',
  }
}

/**
 * By hand, on the spot, or the whole tank: outbreaks.md 1, decision.
 * @param isConfirmed one check has confirmed what it is
 * @example
 * decideWay('marine-film', conditionFacts('turf-algae')!, { ...answers, coveragePercent: 35 }, false).way // 'treat-tank'
 */
export function decideWay(
  table: CaseTable,
  facts: ConditionFacts,
  answers: DecisionAnswers,
  isConfirmed: boolean,
): Decision {
  const found = wayOf(facts, answers)
  return {
    ...found,
    changesConditions: FILMS.has(table) && found.way !== 'do-nothing',
    waitsForCheck: found.way === 'treat-tank' && !isConfirmed,
    isOpen:
      found.way === 'treat-spot' &&
      answers.coveragePercent === null &&
      answers.animals === null &&
      !answers.canComeOut &&
      !answers.growsFromPieces,
  }
}

const KINDS: Readonly<Record<Way, readonly string[]>> = {
  emergency: ['emergency'],
  'do-nothing': [],
  'by-hand': ['hand'],
  'treat-spot': ['treat', 'hand'],
  'treat-tank': ['treat'],
}

/** Whether a plan is of the kind that a decision asks for. */
export function fitsDecision({ way, changesConditions, isOpen }: Decision, definitionId: string): boolean {
  if (isOpen) return false
  if (way === 'do-nothing' || definitionId === 'watch-wait')
    return way === 'do-nothing' && definitionId === 'watch-wait'
  const kind = PLANS.rows.find(({ id }) => id === definitionId)?.kind
  return kind !== undefined && (KINDS[way].includes(kind) || (changesConditions && kind === 'conditions'))
}
