import { animalGroupById } from '../catalogue/animal-group.ts'
import { ingredientById } from '../catalogue/ingredient.ts'
import { isAgentIn, isCopper } from '../catalogue/treatments/groups.ts'
import { INTERACTIONS } from '../catalogue/treatments/interactions.data.ts'
import { SENSITIVITIES } from '../catalogue/treatments/sensitivities.data.ts'
import { DOSES, type Dose } from '../catalogue/treatments/treatments.ts'
import type { Interaction, Intolerance, Severity } from '../catalogue/treatments/treatment.types.ts'
import { animalById, animalLabel, type Animal } from '../household/animals.ts'
import { tankById, type EquipmentItem } from '../household/tanks.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_HOUR } from '../time/zone.ts'
import { bathConcerns } from './bath.ts'
import { startConcerns } from './course-concerns.ts'
import { kitConcerns } from './crossing.ts'
import { levelConcerns } from './level.ts'
import { isCountFull, movedAwayConcerns, newcomerConcerns } from './moves.ts'
import {
  contextOfItem,
  contextsOfAnimal,
  staysHours,
  waterBetween,
  type AgentInWater,
  type Context,
  type WaterState,
} from './water-state.ts'

/** How a concern may be set aside: not at all, by a written reason, by that and a veterinarian's word, by a confirmation. */
export type Override = 'none' | 'reason' | 'reason-and-vet' | 'confirm'

/** Something that speaks against what is to be done in some water, and how strongly. */
export interface Concern {
  /** Row of the interactions or sensitivities, or one of `over-band`, `cannot-judge`, `new-fish`, `mid-course`, `treated-to-display`, `agent-present`. */
  rule: string
  /** `ask`: it cannot be judged, for want of a volume or a strength. */
  severity: Severity | 'ask'
  /** What it is here: "Button, tuxedo urchin", "carbon is running". */
  what: string
  reason: string
  override: Override
  /** The amount that would be right, in the product's unit, and the level it makes; where one would be. */
  rather?: { amount: number; makesMgPerL: number }
  /** Running equipment that speaks against it: once it is off, the concern is gone. */
  item?: EquipmentItem
}

const OVERRIDES: Record<Severity, Override> = {
  never: 'none',
  block: 'reason-and-vet',
  caution: 'confirm',
  note: 'confirm',
}

/** What is given, as far as tolerance and interactions go. */
export interface Treatment {
  agent: string
  /** The dose's row, where it is known which: a band may matter. */
  dose?: Dose
  /** Straight to the dose; steps closer than a day. */
  direct?: boolean
  rampHours?: number
  /** Its own course, which does not speak against itself. */
  courseId?: string
  /** mg/L this one dose adds, where that is known. */
  addsMgPerL?: number | null
  /** The product is carried in alcohol or glycol. */
  isSolvent?: boolean
}

/** A peroxide spot treatment at or under this is exempt from the rows of whole-tank strength: head of quarantine.md 6, mg/L. */
const SPOT_PEROXIDE_MG_PER_L = 0.8
const SPOT_WORDS = 'peroxide in spots is borne up to 0.79 mg/L, and not more in a day'
const EXEMPT_FOR_SPOT = new Set([
  'drug-invert',
  'dye-biofilter',
  'cu-peroxide',
  'formalin-peroxide',
  'peroxide-permanganate',
])
/** Steps closer than this are a fast ramp for those who do not tolerate one (EA, the slower end of 12–24 h). */
const FAST_RAMP_HOURS = 24

function severityOf(row: Interaction, agents: readonly string[], contextId: string | null): Severity {
  if (
    row.neverFor &&
    agents.some((agent) => row.neverFor!.some((id) => isAgentIn(agent, id) || (agent === 'copper' && id === 'cu-any')))
  )
    return 'never'
  // Head of quarantine.md 6: copper with an invertebrate in the water has no way round it, whichever row names the two.
  if (contextId === 'ctx-invertebrate' && agents.some((agent) => isCopper(agent) || agent === 'copper')) return 'never'
  return row.severity
}

const matches = (ids: readonly string[], id: string) =>
  ids.some((one) => isAgentIn(id, one) || (id === 'copper' && one === 'cu-any'))

/** One row's word on an agent and what it meets: for some animals it reads otherwise than for the rest. */
function concernOf(row: Interaction, agents: readonly string[], context: Context, isSpot: boolean): Concern {
  const { what } = context
  const apart = row.apart?.find(
    (one) => one.sensitivity === context.sensitivity && agents.some((agent) => matches(one.agents, agent)),
  )
  const severity = apart?.severity ?? severityOf(row, agents, context.id)
  const isEased = isSpot && EXEMPT_FOR_SPOT.has(row.id)
  const eased = isEased ? 'note' : severity
  return {
    rule: row.id,
    severity: eased,
    what,
    reason: isEased
      ? SPOT_WORDS
      : (apart?.reason ?? (severity === 'never' ? (row.neverReason ?? row.reason) : row.reason)),
    // Copper with rock needs the written reason alone.
    override: row.id === 'cu-rock' ? 'reason' : OVERRIDES[eased],
  }
}

/** Conditioners stand in the interactions as states of the water. */
const AS_CONTEXT: Readonly<Record<string, string>> = {
  'ammonia-binder': 'ctx-ammonia-binder',
  dechlorinator: 'ctx-thiosulfate',
}

/** The rows in which an agent meets what is in the water. */
function agentConcerns(treatment: Treatment, water: WaterState): Concern[] {
  const { agent, courseId, addsMgPerL } = treatment
  const isSpot = agent === 'peroxide' && addsMgPerL != null && addsMgPerL <= SPOT_PEROXIDE_MG_PER_L
  // What is dosed into a course of its own kind is that course's; another form of it is not.
  const others: Context[] = water.agents
    .filter((one) => one.agent !== agent && !(courseId !== undefined && one.courseId === courseId))
    .filter((one) => !(one.agent === 'copper' && isCopper(agent)))
    .map((one) => ({ id: one.agent, what: one.what }))
  const contexts = [
    ...water.contexts,
    ...others,
    ...(treatment.isSolvent ? [{ id: 'ctx-solvent-form', what: 'it is carried in alcohol or glycol' }] : []),
  ]
  const named = AS_CONTEXT[agent] ?? agent
  return INTERACTIONS.flatMap((row) =>
    contexts
      .filter(({ id }) => id !== AS_CONTEXT[agent])
      .filter(
        ({ id }) => (matches(row.a, named) && matches(row.b, id)) || (matches(row.b, named) && matches(row.a, id)),
      )
      .map((context) => ({
        ...concernOf(row, [agent, context.id], context, isSpot),
        ...(context.item && { item: context.item }),
      })),
  )
}

/** The rows in which a context that is to come meets an agent that is in the water. */
function contextConcerns(context: Context, agents: readonly AgentInWater[]): Concern[] {
  return INTERACTIONS.flatMap((row) =>
    agents
      .filter(
        ({ agent }) =>
          (matches(row.a, agent) && row.b.includes(context.id)) ||
          (matches(row.b, agent) && row.a.includes(context.id)),
      )
      .map((one) => concernOf(row, [one.agent], { ...context, what: one.what }, false)),
  )
}

function applies(
  { agents, only }: Intolerance,
  { agent, dose, direct = false, rampHours = FAST_RAMP_HOURS }: Treatment,
): boolean {
  if (!agents.some((id) => id === dose?.id || isAgentIn(agent, id) || (agent === 'copper' && id === 'cu-any')))
    return false
  if (only === 'high-band') return dose !== undefined && !dose.id.endsWith('-gentle')
  if (only === 'fast-ramp') return direct || rampHours < FAST_RAMP_HOURS
  return only === undefined
}

const ONLY_WORDS: Record<NonNullable<Intolerance['only']>, string> = {
  'high-band': 'does not tolerate the high band; the gentle one is for it',
  'fast-ramp': 'does not tolerate a fast ramp: steps a day apart, never straight to the dose',
  'full-dose': 'does not tolerate the full dose',
  'over-1-to-2-g-per-l': 'does not tolerate over 1–2 g/L',
}

/** What some animals do not tolerate of a treatment: quarantine.md 5.6. */
export function sensitivityConcerns(residents: readonly Animal[], treatment: Treatment): Concern[] {
  return residents.flatMap((animal): Concern[] => {
    const row = SENSITIVITIES.find(({ id }) => id === animalGroupById(animal.group)?.sensitivity)
    // Invertebrates are the interactions' own row.
    if (!row || animalGroupById(animal.group)?.kind !== 'fish') return []
    const what = animal.name ? `${animal.name}, ${animal.species}` : animalLabel(animal)
    const prefer = row.prefer ? ` Preferred: ${row.prefer}.` : ''
    const avoid = row.avoid
      .filter((one) => applies(one, treatment))
      .map((one) => ({
        rule: row.id,
        severity: 'block' as const,
        what,
        reason: `${one.only ? ONLY_WORDS[one.only] : 'does not tolerate it'}.${prefer}`,
        override: 'reason-and-vet' as const,
      }))
    if (avoid.length > 0) return avoid
    return row.caution
      .filter((one) => applies(one, treatment))
      .map(({ words }) => ({
        rule: row.id,
        severity: 'caution' as const,
        what,
        reason: `${words ?? 'with care: watch appetite and breath'}.${prefer}`,
        override: 'confirm' as const,
      }))
  })
}

const SEVERITY_RANK: Record<Concern['severity'], number> = { never: 0, block: 1, ask: 2, caution: 3, note: 4 }

/** One row speaks once, of everything it meets here; the gravest first. */
function gathered(concerns: readonly Concern[]): Concern[] {
  const byRow = new Map<string, Concern>()
  for (const concern of concerns) {
    const key = `${concern.rule}|${concern.severity}|${concern.reason}`
    const same = byRow.get(key)
    if (!same) byRow.set(key, { ...concern })
    else if (!same.what.split('; ').includes(concern.what)) same.what += `; ${concern.what}`
  }
  return [...byRow.values()].sort((a, b) => SEVERITY_RANK[a.severity] - SEVERITY_RANK[b.severity])
}

/** What speaks against treating a tank's water, as it stands at an instant and up to now. */
export function treatmentConcerns(
  journal: Journal,
  tankId: string,
  treatment: Treatment,
  at: number,
  { until = at, except }: { until?: number; except?: string } = {},
): Concern[] {
  const water = waterBetween(journal, tankId, at, until, except)
  if (!water) return []
  return gathered([...agentConcerns(treatment, water), ...sensitivityConcerns(water.residents, treatment)])
}

/** How a concern is asked about. */
export interface Asking {
  /** ms: what has come between the proposed thing's own time and now meets it too. */
  now: number
  /** An entry that does not count: the one the proposed content is to stand in for. */
  except?: string
}

/**
 * What speaks against something that is to be kept in the journal: a dose, a bath, a switch, an arrival, a move, a course. It is judged
 * against the agents, the equipment and the residents of that water at its own time, and against what came after it while
 * it acts: so whichever of two came first, the second is asked about.
 * @returns the gravest first; empty where nothing speaks against it
 * @example concernsOf(journal, { kind: 'equipment', happened, tankId: 'quar', item: 'carbon', running: true }, { now })
 */
export function concernsOf(journal: Journal, proposed: Content, asking: Asking): Concern[] {
  const at = Date.parse(proposed.happened)
  switch (proposed.kind) {
    case 'dose':
      return gathered(doseConcerns(journal, proposed, at, asking))
    case 'bath':
      return gathered(bathConcerns(journal, proposed))
    case 'feed':
      return gathered(feedConcerns(journal, proposed, at, asking))
    case 'equipment':
      return gathered(equipmentConcerns(journal, proposed, at, asking))
    case 'arrival': {
      const animal = newcomer(proposed, at)
      return gathered([
        ...residentConcerns(journal, proposed.tankId, animal, at, asking),
        ...newcomerConcerns(journal, proposed.tankId, animal, at),
      ])
    }
    case 'move': {
      const animal = animalById(journal, proposed.animalId)
      if (!animal) return []
      return gathered([
        ...residentConcerns(journal, proposed.toTankId, animal, at, asking),
        ...newcomerConcerns(journal, proposed.toTankId, animal, at),
        ...movedAwayConcerns(journal, proposed, animal, at),
      ])
    }
    case 'course-start':
      return startConcerns(journal, proposed, at, asking)
    case 'reading':
      return kitConcerns(journal, proposed, at)
    default:
      return []
  }
}

function doseConcerns(journal: Journal, dose: ContentOf<'dose'>, at: number, { now, except }: Asking): Concern[] {
  const until = Math.max(at, Math.min(now, at + staysHours(dose.ingredient) * MS_PER_HOUR))
  const water = waterBetween(journal, dose.tankId, at, until, except)
  if (!water) return []
  const own = water.agents.find(({ agent, courseId }) => agent === dose.ingredient && courseId !== undefined)
  const addsMgPerL = dose.massMg === undefined || water.netL === null ? null : dose.massMg / water.netL
  const treatment: Treatment = {
    agent: dose.ingredient,
    addsMgPerL,
    ...(own?.courseId !== undefined && { courseId: own.courseId }),
  }
  const level = levelConcerns(journal, dose, water, at, except)
  return [...level, ...agentConcerns(treatment, water), ...sensitivityConcerns(water.residents, treatment)]
}

/** Medicine in food ends in the water: what lives in it, and what else is in it, meets it. */
function feedConcerns(journal: Journal, feed: ContentOf<'feed'>, at: number, { now, except }: Asking): Concern[] {
  if (feed.ingredient === undefined) return []
  const until = Math.max(at, Math.min(now, at + staysHours(feed.ingredient) * MS_PER_HOUR))
  const water = waterBetween(journal, feed.tankId, at, until, except)
  if (!water) return []
  const treatment: Treatment = {
    agent: feed.ingredient,
    ...(feed.courseId !== undefined && { courseId: feed.courseId }),
  }
  return [...agentConcerns(treatment, water), ...sensitivityConcerns(water.residents, treatment)]
}

function equipmentConcerns(
  journal: Journal,
  { tankId, item, running, removed }: ContentOf<'equipment'>,
  at: number,
  { now, except }: Asking,
): Concern[] {
  const context = contextOfItem(item)
  if (!running || removed || !context) return []
  const water = waterBetween(journal, tankId, at, Math.max(at, now), except)
  // At the end of its course carbon takes the copper out, as the handbook has it.
  return water
    ? contextConcerns(
        context,
        water.agents.filter((one) => !isCountFull(journal, one.courseId, at)),
      )
    : []
}

/** An animal that is not in the journal yet, as its arrival describes it. */
function newcomer({ animalId, name, species, group, count, tankId }: ContentOf<'arrival'>, at: number): Animal {
  return {
    id: animalId,
    name: name ?? null,
    species,
    group,
    count,
    firstCount: count,
    sizeCm: null,
    arrivedAt: at,
    stays: [{ tankId, from: at, to: null }],
    changes: [],
    end: null,
  }
}

/** What is in the water that an animal comes into, and does not tolerate or must not meet. */
function residentConcerns(
  journal: Journal,
  tankId: string,
  animal: Animal,
  at: number,
  { now, except }: Asking,
): Concern[] {
  const water = waterBetween(journal, tankId, at, Math.max(at, now), except)
  if (!water) return []
  const met = contextsOfAnimal(animal).flatMap((context) => contextConcerns(context, water.agents))
  const tolerated = water.agents.flatMap(({ agent, what }) =>
    sensitivityConcerns([animal], { agent, ...bandOf(agent) }).map((concern) => ({
      ...concern,
      what: `${what}; ${concern.what}`,
    })),
  )
  const told = water.agents.filter(
    ({ agent }) => !met.concat(tolerated).some(({ what }) => what.includes(ingredientById(agent)?.name ?? agent)),
  )
  return [
    ...met,
    ...tolerated,
    ...told.map(({ what }) => ({
      rule: 'agent-present',
      severity: 'note' as const,
      what,
      reason: `${tankById(journal, tankId)?.name ?? 'this tank'} is under medicine`,
      override: 'confirm' as const,
    })),
  ]
}

/** The usual dose of an agent in the water: decides whether its high band is meant. */
function bandOf(agent: string): Pick<Treatment, 'dose'> {
  const dose = DOSES.find((one) => one.agent === agent && one.route === 'tank')
  return dose ? { dose } : {}
}

/** The concerns that stop something until they are answered: all but those that only tell. */
export const stopping = (concerns: readonly Concern[]): Concern[] =>
  concerns.filter(({ severity }) => severity !== 'caution' && severity !== 'note')
