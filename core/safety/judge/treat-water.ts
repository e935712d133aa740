import type { Journal } from '../../journal/journal.ts'
import { gathered, type Concern } from '../concern.ts'
import { agentName, lastGivenAt } from '../water/agents.ts'
import { waterBetween } from '../water/state.ts'
import { agentConcerns } from './interactions.ts'
import { sensitivityConcerns, unknownConcerns } from './sensitivities.ts'
import type { Treatment } from './treatment.ts'

/**
 * What speaks against treating a tank's water, as it is at an instant and up to now.
 * @returns the gravest first
 * @example
 * treatmentConcerns(journal, 'obs', { agent: 'cu-chelated', dose, direct: false }, now)
 */
export function treatmentConcerns(
  journal: Journal,
  tankId: string,
  treatment: Treatment,
  at: number,
  { until = at, except }: { until?: number; except?: string } = {},
): Concern[] {
  const water = waterBetween(journal, tankId, at, until, except)
  if (!water) return []
  return gathered([
    ...agentConcerns(treatment, water, lastGivenAt(journal, tankId, at, except)),
    ...sensitivityConcerns(water.residents, treatment),
    ...unknownConcerns(water.residents, agentName(treatment.agent)),
  ])
}
