import { DOSE_SOURCES } from '../../catalogue/treatments/dose-sources.data.ts'
import { definitionById, type Definition } from '../../catalogue/courses/definitions.ts'
import { doseById, type Dose } from '../../catalogue/treatments/treatments.ts'
import { drugName } from '../names.ts'

/** A drug of a definition, and whether the handbook holds it as long as the definition asks. */
export interface DrugChoice {
  definition: Definition
  dose: Dose
  allowed: boolean
  /** Why not, or what the dose's own row adds. */
  why: string
}

/**
 * A definition with one of its drugs; only what the dose's row of the handbook allows is allowed.
 * @returns undefined where there is no such definition or dose
 */
export function drugChoice(definitionId: string, doseId: string): DrugChoice | undefined {
  const definition = definitionById(definitionId)
  const dose = doseById(doseId)
  if (!definition || !dose) return undefined
  const [least, most] = dose.courseDays ?? [definition.days, definition.days]
  const isListed = definition.drugs.includes(dose.id)
  const allowed = isListed && definition.days >= least && definition.days <= most
  const held = least === most ? `${least} days` : `${least} to ${most} days`
  return {
    definition,
    dose,
    allowed,
    why: allowed ? DOSE_SOURCES[dose.id]! : `${drugName(dose.id)} is held for ${held}, not ${definition.days}`,
  }
}

/** The drugs of a definition that may be started. */
export const drugsOf = (definition: Definition): DrugChoice[] =>
  definition.drugs.flatMap((doseId) => drugChoice(definition.id, doseId) ?? [])
