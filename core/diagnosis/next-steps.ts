import { definitionById } from '../catalogue/courses/definitions.ts'
import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import { SCHOOL_LABELS } from '../catalogue/courses/coverage.data.ts'
import { ACTIONS } from '../catalogue/handbook/actions.data.ts'
import { ingredientById } from '../catalogue/ingredient.ts'
import type { CaseTable } from '../catalogue/diagnosis/diagnosis.types.ts'
import { capital } from '../words/numbers.ts'
import type { ConditionFacts } from './condition-facts.ts'

/** One step from a case on. */
export interface NextStep {
  /** A course that Brinvo runs, with its first dose worked out where it is started. */
  definition?: string
  /** A plan that stands in the handbook, with its steps. */
  plan?: string
  label: string
}

/** Copper in any of its forms. */
const ANY_COPPER = 'cu-any'
/** Treatments that are ways of quarantine, by their school. */
const SCHOOL_OF: Readonly<Record<string, string>> = { 'tank-transfer': 'qt-c-ttm', hyposalinity: 'qt-d-hypo' }

/** Whether the step starts a treatment with a drug or a chemical: it waits until one confirming check is stored (outbreaks.md 1). */
export const isChemical = (step: NextStep): boolean => step.definition === 'peroxide-spot'

/** A treatment in words: "copper", "air: stone and surface ripple full on". */
export const treatmentName = (id: string | null): string =>
  id === null
    ? ''
    : id === ANY_COPPER
      ? 'copper, in one of its forms'
      : (ACTIONS.rows.find((row) => row.id === id)?.what ??
        ingredientById(id)?.name ??
        (SCHOOL_OF[id] === undefined ? undefined : definitionById(SCHOOL_OF[id])?.name) ??
        id.replaceAll('-', ' '))

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
  return plans.map((plan): NextStep => {
    const definition = DEFINITIONS.find((one) => one.id === plan)
    return definition
      ? { definition: plan, label: capital(definition.name) }
      : { plan, label: plan.replaceAll('-', ' ') }
  })
}
