import { isCopper } from '../../catalogue/treatments/groups.ts'
import { INTERACTIONS } from '../../catalogue/treatments/interactions.data.ts'
import type { Interaction, Severity } from '../../catalogue/treatments/treatment.types.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import { concern, overrideOf, type Concern } from '../concern.ts'
import { agentName, agoWords, isCopperAgent, isNamedBy, type AgentInWater } from '../water/agents.ts'
import { AS_CONTEXT, type Context } from '../water/contexts.ts'
import type { WaterState } from '../water/state.ts'
import type { Treatment } from './treatment.ts'

/** A peroxide spot treatment at or under this is exempt from the rows of whole-tank strength: head of quarantine.md 6, mg/L. */
export const SPOT_PEROXIDE_MG_PER_L = 0.8
const SPOT_WORDS = 'spot peroxide is tolerated up to 0.79 mg/L, no more in a day'
const EXEMPT_FOR_SPOT = new Set([
  'drug-invert',
  'dye-biofilter',
  'cu-peroxide',
  'formalin-peroxide',
  'peroxide-permanganate',
])

const matches = (ids: readonly string[], id: string) => ids.some((one) => isNamedBy(id, one))

function severityOf(row: Interaction, agents: readonly string[], contextId: string | null): Severity {
  if (row.neverFor && agents.some((agent) => row.neverFor!.some((id) => isNamedBy(agent, id)))) return 'never'
  // Head of quarantine.md 6: copper with an invertebrate in the water has no way round it, whichever row names the two.
  if (contextId === 'ctx-invertebrate' && agents.some(isCopperAgent)) return 'never'
  return row.severity
}

/** One row's word on an agent and what it meets: for some animals it reads otherwise than for the rest. */
function concernOf(
  row: Interaction,
  agents: readonly string[],
  context: Context & { mgPerL?: number | null },
  treatment?: Treatment,
  isSpotInWater = false,
): Concern {
  const apart = row.apart?.find(
    (one) => one.sensitivity === context.sensitivity && agents.some((agent) => matches(one.agents, agent)),
  )
  const severity = apart?.severity ?? severityOf(row, agents, context.id)
  const isSpot =
    (treatment !== undefined && isSpotPeroxide(treatment)) || isSpotLevel(context.id, context.mgPerL) || isSpotInWater
  const isEased = isSpot && EXEMPT_FOR_SPOT.has(row.id)
  // Formalin at its dose for a tank is a caution: row dye-biofilter.
  const isTankFormalin = row.id === 'dye-biofilter' && treatment?.agent === 'formalin'
  const said: Severity = isEased ? 'note' : isTankFormalin ? 'caution' : severity
  const reason = isEased
    ? SPOT_WORDS
    : (apart?.reason ?? (severity === 'never' ? (row.neverReason ?? row.reason) : row.reason))
  // Copper with rock needs the written reason alone.
  return concern(row.id, said, context.what, reason, row.id === 'cu-rock' ? 'reason' : overrideOf(said))
}

const isSpotLevel = (agent: string, mgPerL: number | null | undefined): boolean =>
  agent === 'peroxide' && mgPerL != null && mgPerL <= SPOT_PEROXIDE_MG_PER_L

/** Peroxide in spots: what is dosed in a day stays under the mark of whole-tank strength. */
export const isSpotPeroxide = ({ agent, makesMgPerL, isBath }: Treatment): boolean =>
  agent === 'peroxide' && isBath !== true && makesMgPerL != null && makesMgPerL <= SPOT_PEROXIDE_MG_PER_L

/** A row whose two sides are an agent and something it meets, either way round. */
const isBetween = (row: Interaction, agent: string, other: string): boolean =>
  (matches(row.a, agent) && matches(row.b, other)) || (matches(row.b, agent) && matches(row.a, other))

/** Rows that keep two medicines apart for days, though the first acts no more. */
function apartConcerns(treatment: Treatment, given: ReadonlyMap<string, number>, at: number): Concern[] {
  return INTERACTIONS.flatMap((row) => {
    const { apartHours } = row
    if (apartHours === undefined) return []
    return [...given]
      .filter(
        ([agent, when]) =>
          agent !== treatment.agent &&
          Math.abs(at - when) < apartHours * MS_PER_HOUR &&
          isBetween(row, treatment.agent, agent),
      )
      .map(([agent, when]) =>
        concern(row.id, row.severity, `${agentName(agent)} was given ${agoWords(Math.max(0, at - when))}`, row.reason),
      )
  })
}

const isFed = ({ isFed: is, dose }: Treatment): boolean => is === true || dose?.route === 'food'

/**
 * The rows in which an agent that is to go in meets what is in the water.
 * @param given when each agent last went in, whether it still acts or not
 */
export function agentConcerns(
  treatment: Treatment,
  water: WaterState,
  given: ReadonlyMap<string, number> = new Map(),
): Concern[] {
  const { agent, courseId } = treatment
  // What is dosed into a course of its own kind is that course's; another form of it is not.
  const others: (Context & { mgPerL?: number | null })[] = water.agents
    .filter((one) => one.agent !== agent && !(courseId !== undefined && one.courseId === courseId))
    .filter((one) => !(one.agent === 'copper' && isCopper(agent)))
    .map((one) => ({ id: one.agent, what: one.what, mgPerL: one.mgPerL }))
  const contexts = [
    ...water.contexts.filter(
      ({ id }) =>
        !(treatment.isMediaOut === true && id === 'ctx-biofilter') &&
        !(isFed(treatment) && id === 'ctx-hard-or-sea-water'),
    ),
    ...others,
    ...(treatment.isSolvent === true ? [{ id: 'ctx-solvent-form', what: 'it is carried in alcohol or glycol' }] : []),
  ]
  const named = AS_CONTEXT[agent] ?? agent
  const met = INTERACTIONS.flatMap((row) =>
    contexts
      .filter(({ id }) => id !== AS_CONTEXT[agent] && isBetween(row, named, id))
      .map((context) => ({
        ...concernOf(row, [agent, context.id], context, treatment),
        ...(context.item && { item: context.item }),
      })),
  )
  const apart = apartConcerns(treatment, given, water.from).filter(({ rule }) => !met.some((one) => one.rule === rule))
  return [...met, ...apart]
}

/** The rows in which a state that is to come meets an agent that is in the water. */
export function contextConcerns(context: Context, agents: readonly AgentInWater[]): Concern[] {
  return INTERACTIONS.flatMap((row) =>
    agents
      .filter(({ agent }) => {
        const named = AS_CONTEXT[agent] ?? agent
        return (
          (matches(row.a, named) && row.b.includes(context.id)) || (matches(row.b, named) && row.a.includes(context.id))
        )
      })
      .map((one) =>
        concernOf(row, [one.agent], { ...context, what: one.what }, undefined, isSpotLevel(one.agent, one.mgPerL)),
      ),
  )
}
