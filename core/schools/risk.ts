import type { Definition } from '../catalogue/courses/definitions.ts'
import { courseRisk } from '../risk/course-risk.ts'
import type { CourseRiskInput } from '../risk/risk.schema.ts'
import { shelterOf, type RiskAssumption } from '../risk/shelter.ts'

/** Parasites with a model, of salt water. */
export const MODELLED = ['marine-ich', 'marine-velvet'] as const
export type Modelled = (typeof MODELLED)[number]

/**
 * Input of `course.risk` for a school by the book.
 * @returns null where its steps are not in the model: nothing shields the fish or moves it
 */
export function riskInputOf(definition: Definition, assumption: RiskAssumption): CourseRiskInput | null {
  const shelter = shelterOf(definition)
  return shelter && { ...assumption, ...shelter }
}

/** Risk that a parasite is still there after a school, if the fish carried it and every rule was kept. */
export interface SchoolRisk {
  parasite: Modelled
  /** Null where it is not worked out. */
  risk: number | null
  /** What the number leaves out, or why there is none. */
  why: string | null
}

export function schoolRisk(definition: Definition, parasite: Modelled, assumption: RiskAssumption): SchoolRisk {
  const input = riskInputOf(definition, assumption)
  if (!input) return { parasite, risk: null, why: 'nothing in it stops this one: it stays if it came' }
  // Low salinity does not touch velvet.
  if (definition.ends === 'raise' && parasite === 'marine-velvet')
    return { parasite, risk: null, why: 'low salinity does nothing against it' }
  const result = courseRisk(input)
  const hasBaths = definition.tracks.some((track) => track.kind === 'rounds' && track.of === 'bath')
  return {
    parasite,
    risk: result.ok ? result.value.risk : null,
    why: hasBaths
      ? 'the moves alone: what the two baths take off is not in the model'
      : definition.ends === 'raise'
        ? 'strains that bear low salinity are not in the model'
        : null,
  }
}
