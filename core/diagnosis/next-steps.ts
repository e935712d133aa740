import { definitionById } from '../catalogue/courses/definitions.ts'
import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import { SCHOOL_LABELS } from '../catalogue/courses/coverage.data.ts'
import { PLANS } from '../catalogue/handbook/plans.data.ts'
import { ACTIONS } from '../catalogue/handbook/actions.data.ts'
import { ingredientById, INGREDIENTS } from '../catalogue/ingredient.ts'
import type { CaseTable } from '../catalogue/diagnosis/diagnosis.types.ts'
import { isChemicalPlan } from '../safety/judge/plans.ts'
import { capital } from '../words/numbers.ts'
import type { ConditionFacts } from './condition-facts.ts'

/** One step from a case on: a course that Brinvo runs, with its first dose worked out where it is started. */
export interface NextStep {
  definition: string
  label: string
  /** The handbook's caution for it, said before it is opened. */
  caution?: string
}

/** Ids of treatments that are neither an action nor a product. */
const NAMED: Readonly<Record<string, string>> = { 'cu-any': 'copper, in one of its forms', 'fw-dip': 'freshwater dip' }
/** The form that speaks for all of copper where any of them is named. */
const COPPER_FORM = 'cu-chelated'
/** Treatments that are ways of quarantine, by their school. */
const SCHOOL_OF: Readonly<Record<string, string>> = { 'tank-transfer': 'qt-c-ttm', hyposalinity: 'qt-d-hypo' }

/** Whether the step starts a treatment with a drug or a chemical: it waits until one confirming check is stored (outbreaks.md 1). */
export const isChemical = ({ definition }: Pick<NextStep, 'definition'>): boolean => {
  const found = DEFINITIONS.find(({ id }) => id === definition)
  return found !== undefined && isChemicalPlan(found)
}

/** A treatment in words: “copper, in one of its forms”, “air: stone and surface ripple full on”; empty where the handbook names none. */
export function treatmentName(id: string | null): string {
  if (id === null) return ''
  const school = SCHOOL_OF[id]
  return (
    NAMED[id] ??
    ACTIONS.rows.find((row) => row.id === id)?.what ??
    ingredientById(id)?.name ??
    (school === undefined ? undefined : definitionById(school)?.name) ??
    id.replaceAll('-', ' ')
  )
}

/** The schools, add-ons and plans that fit a condition, in the order of its treatments. */
export function nextSteps(table: CaseTable, { id, plans }: ConditionFacts): NextStep[] {
  if (table === 'marine-fish' || table === 'freshwater-fish') {
    const water = table === 'marine-fish' ? 'marine' : 'freshwater'
    return DEFINITIONS.filter(
      (one) =>
        (one.kind === 'school' || one.kind === 'add-on') &&
        one.treats.includes(id) &&
        (one.water === undefined || one.water === water),
    ).map(({ id: definition, name }) => ({ definition, label: SCHOOL_LABELS[definition] ?? capital(name) }))
  }
  // The organism's own two plans first, then the further ones that are for it.
  const further = DEFINITIONS.filter((one) => one.kind === 'plan' && one.treats.includes(id) && !plans.includes(one.id))
  return [...plans.flatMap((plan) => DEFINITIONS.find((one) => one.id === plan) ?? []), ...further].map(
    ({ id: definition, name }): NextStep => {
      const caution = PLANS.rows.find((row) => row.id === definition)?.caution
      return { definition, label: capital(name), ...(caution != null && { caution }) }
    },
  )
}

/** Ids of the handbook that stand within its sentences. */
const IDS_IN_SENTENCES = /\b(act-[a-z]+(?:-[a-z]+)*|cu-any|fw-dip)\b/g

/**
 * A sentence of the handbook with its ids in words: “discuss act-euthanasia” names a row that a keeper does not know.
 * @example
 * inPlainWords('cu-any or chloroquine first') // "copper, in one of its forms or chloroquine first"
 */
export const inPlainWords = (sentence: string): string => sentence.replace(IDS_IN_SENTENCES, (id) => treatmentName(id))

/** The usual caution and what the law says of each medicine that some words or treatments name: it stands beside them. */
export const cautionsOf = (words: string): { id: string; name: string; caution: string }[] =>
  INGREDIENTS.filter(
    ({ id, kind }) => kind === 'medicine' && (words.includes(id) || (id === COPPER_FORM && words.includes('cu-any'))),
  ).flatMap(({ id, name, caution, law }) => {
    const said = [caution, law].filter((one) => one !== null).join(' ')
    return said === '' ? [] : [{ id, name, caution: said }]
  })
