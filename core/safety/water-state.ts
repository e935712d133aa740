import { animalGroupById } from '../catalogue/animal-group.ts'
import { ingredientById } from '../catalogue/ingredient.ts'
import {
  AGENT_STAYS_HOURS,
  AGENT_STAYS_HOURS_DEFAULT,
  CARBON_CLEARS_HOURS,
  CARBON_TAKES,
} from '../catalogue/treatments/decay.data.ts'
import { isCopper } from '../catalogue/treatments/groups.ts'
import { levelAfter } from '../concentration/events.ts'
import { coursesOf } from '../courses/course.ts'
import { animalLabel, residentsBetween, type Animal } from '../household/animals.ts'
import { equipmentAt, netVolumeAt, tankAt, type EquipmentItem, type Tank } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { lastValue } from '../readings/evidence.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../time/zone.ts'

/** An agent that is in some water, and how that is known. */
export interface AgentInWater {
  /** Of the catalogue. */
  agent: string
  /** In words: "copper 2.30 mg/L stands in this water", "praziquantel was dosed 3 days ago". */
  what: string
  /** The course it belongs to, where it belongs to one. */
  courseId?: string
  /** mg/L as far as it is known; null where it is not. */
  mgPerL: number | null
}

/** A state of the water by the name the interactions use (`ctx-carbon`), and what it is here. */
export interface Context {
  id: string
  what: string
  /** Row of the sensitivities of the animal that makes it. */
  sensitivity?: string
  /** The running equipment that makes it: switched off, it is gone. */
  item?: EquipmentItem
}

/** What a tank's water is, and meets, in a stretch of time. */
export interface WaterState {
  tank: Tank
  from: number
  until: number
  /** Net litres at `from`; null where they are not worked out. */
  netL: number | null
  residents: readonly Animal[]
  agents: readonly AgentInWater[]
  contexts: readonly Context[]
}

/** Copper under this is a trace no kit tells from none: the low-range photometer's width, quarantine.md 5.4. */
const COPPER_TRACE_MG_PER_L = 0.05
/** Sea water at or under this is hyposaline: FA164, 15–16 g/L acts. */
const HYPOSALINE_PSU = 16
/** Below these more copper is free: row cu-lowalk. */
const LOW_ALKALINITY_DKH = 5
const LOW_PH = 7.8
/** Row formalin-warm. */
const WARM_C = 27
const LOW_OXYGEN_MG_PER_L = 6
/** A test older than this says nothing of today's water (EA). */
const TEST_DAYS = 14
/** An open sore seen this recently is still open (EA). */
const SORE_DAYS = 7
/** Bacteria that have met praziquantel clear it sooner for so long (EA). */
const ADAPTED_DAYS = 60

const ITEM_CONTEXTS: Readonly<Partial<Record<EquipmentItem, Omit<Context, 'item'>>>> = {
  carbon: { id: 'ctx-carbon', what: 'carbon is running' },
  resin: { id: 'ctx-carbon', what: 'metal resin is running' },
  skimmer: { id: 'ctx-skimmer', what: 'the skimmer is running' },
  uv: { id: 'uv', what: 'UV is running' },
  ozone: { id: 'ctx-ozone', what: 'ozone is running' },
  'ammonia-binder': { id: 'ctx-ammonia-binder', what: 'an ammonia binder is in the filter' },
}

/** The context that a running piece of equipment makes; undefined for those the interactions do not name. */
export function contextOfItem(item: EquipmentItem): Context | undefined {
  const context = ITEM_CONTEXTS[item]
  return context && { ...context, item }
}

/** The contexts that an animal makes by living in the water. */
export function contextsOfAnimal(animal: Animal): Context[] {
  const group = animalGroupById(animal.group)
  const kind = group?.kind
  const what = `${animalLabel(animal)}${animal.name ? `, ${animal.species}` : ''}`
  return [
    ...(kind === 'invertebrate' || kind === 'coral'
      ? [{ id: 'ctx-invertebrate', what, ...(group?.sensitivity && { sensitivity: group.sensitivity }) }]
      : []),
    ...(animal.group === 'elasmobranch' ? [{ id: 'ctx-elasmobranch', what }] : []),
  ]
}

/** How long an agent is taken to act in the water, h, where no level says otherwise. */
export const staysHours = (agent: string): number => AGENT_STAYS_HOURS[agent] ?? AGENT_STAYS_HOURS_DEFAULT

const agoWords = (ms: number): string => {
  const days = Math.floor(ms / MS_PER_DAY)
  return days >= 1 ? `${days} ${days === 1 ? 'day' : 'days'} ago` : `${Math.max(0, Math.round(ms / MS_PER_HOUR))} h ago`
}

/**
 * The level of a dosed agent by reckoning: the last reading (copper alone has one), and what was dosed and changed since, held.
 * @param except an entry that does not count: the one being corrected
 * @returns mg/L; null where a dose has no mass or the tank no net volume
 */
export function reckonedLevel(
  journal: Journal,
  tankId: string,
  agent: string,
  at: number,
  except?: string,
): { mgPerL: number | null; isKnown: boolean } {
  const reading = isCopper(agent) ? lastValue(journal, tankId, 'copper', at + 1) : null
  const since = reading?.at ?? -Infinity
  let mgPerL: number | null = reading?.value ?? 0
  let isKnown = reading !== null
  for (const { content, struck, id, at: when } of journal.about(`water:${tankId}`)) {
    if (struck || id === except || when < since || when > at) continue
    const netL = netVolumeAt(journal, tankId, when)
    if (content.kind === 'dose' && content.ingredient === agent) {
      isKnown = true
      mgPerL =
        mgPerL === null || netL === null || content.massMg === undefined
          ? null
          : levelAfter(mgPerL, { at: content.happened, kind: 'dose', massMg: content.massMg }, netL)
    } else if (content.kind === 'water-change' && mgPerL !== null && netL !== null)
      mgPerL = levelAfter(
        mgPerL,
        {
          at: content.happened,
          kind: 'water-change',
          fraction: Math.min(1, content.litres / netL),
          ...(isCopper(agent) && { replacementMgPerL: content.replacement?.copperMgPerL ?? 0 }),
        },
        netL,
      )
  }
  return { mgPerL, isKnown }
}

/** Whether carbon has run long enough since a dose to have taken it out by an instant. */
function isTakenByCarbon(journal: Journal, tankId: string, agent: string, dosedAt: number, at: number): boolean {
  if (!CARBON_TAKES.includes(agent)) return false
  return equipmentAt(journal, tankId, at).some(
    ({ item, running, since }) =>
      item === 'carbon' && running && at - Math.max(since, dosedAt) >= CARBON_CLEARS_HOURS * MS_PER_HOUR,
  )
}

/** Share of the water that is still the water of an instant, after the changes up to another. */
function shareLeft(journal: Journal, tankId: string, from: number, until: number): number {
  let share = 1
  for (const { content, struck, at } of journal.about(`water:${tankId}`)) {
    if (struck || content.kind !== 'water-change' || at <= from || at > until) continue
    const netL = netVolumeAt(journal, tankId, at)
    if (netL !== null) share *= 1 - Math.min(1, content.litres / netL)
  }
  return share
}
/** So little of a dose that its water is as good as new (EA). */
const LEFT_OVER = 0.02

/** The agents in a tank's water between two instants: of its courses, and what was dosed. */
function agentsBetween(journal: Journal, tankId: string, from: number, until: number, except?: string): AgentInWater[] {
  const agents = new Map<string, AgentInWater>()
  for (const course of coursesOf(journal))
    if (
      course.dose !== null &&
      course.tankId === tankId &&
      course.startedAt <= until &&
      (course.ended === null || course.ended.at > from)
    ) {
      const { agent } = course.dose
      const { mgPerL, isKnown } = reckonedLevel(journal, tankId, agent, from, except)
      const name = ingredientById(agent)?.name ?? agent
      agents.set(agent, {
        agent,
        courseId: course.id,
        mgPerL: isKnown ? mgPerL : null,
        what:
          isKnown && mgPerL !== null && mgPerL > COPPER_TRACE_MG_PER_L
            ? `a course of ${name} runs, ${mgPerL.toFixed(2)} mg/L`
            : `a course of ${name} runs in this water`,
      })
    }
  const dosedAt = new Map<string, number>()
  for (const { content, at, struck, id } of journal.about(`water:${tankId}`))
    if (!struck && id !== except && content.kind === 'dose' && at <= until) dosedAt.set(content.ingredient, at)
  for (const [agent, at] of dosedAt) {
    if (agents.has(agent)) continue
    const name = ingredientById(agent)?.name ?? agent
    if (isCopper(agent)) {
      const { mgPerL } = reckonedLevel(journal, tankId, agent, Math.max(from, at), except)
      if (mgPerL === null || mgPerL > COPPER_TRACE_MG_PER_L)
        agents.set(agent, {
          agent,
          mgPerL,
          what:
            mgPerL === null
              ? `${name} was dosed, how much is not known`
              : `${name}, ${mgPerL.toFixed(2)} mg/L, stands in this water`,
        })
      continue
    }
    const isOver =
      from - at > staysHours(agent) * MS_PER_HOUR ||
      isTakenByCarbon(journal, tankId, agent, at, from) ||
      shareLeft(journal, tankId, at, from) < LEFT_OVER
    if (!isOver)
      agents.set(agent, {
        agent,
        mgPerL: null,
        what: at > from ? `${name} was dosed after that` : `${name} was dosed ${agoWords(from - at)}`,
      })
  }
  const read = lastValue(journal, tankId, 'copper', from + 1)
  if (read && read.value > COPPER_TRACE_MG_PER_L && ![...agents.keys()].some(isCopper)) {
    const { mgPerL } = reckonedLevel(journal, tankId, 'cu-chelated', from, except)
    // Its form is not known: what holds for any copper holds for it.
    if (mgPerL !== null && mgPerL > COPPER_TRACE_MG_PER_L)
      agents.set('copper', {
        agent: 'copper',
        mgPerL,
        what: `copper, ${mgPerL.toFixed(2)} mg/L, was measured in this water`,
      })
  }
  return [...agents.values()]
}

/** Whether a course that lowers the salinity runs in a tank. */
const isLowered = (journal: Journal, tankId: string, from: number, until: number): boolean =>
  coursesOf(journal).some(
    ({ definition, tankId: where, startedAt, ended }) =>
      definition.ends === 'raise' && where === tankId && startedAt <= until && (ended === null || ended.at > from),
  )

/** Whether a treatment of the whole water kills nitrifiers that matter here: a display, or rock or sand in the tank. */
const hasLivingFilter = (tank: Tank): boolean => tank.role === 'display' || tank.role === 'frag' || hasRock(tank)

const hasRock = (tank: Tank): boolean =>
  tank.contents.includes('rock') ||
  tank.contents.includes('sand') ||
  tank.sheet?.rock !== undefined ||
  tank.sheet?.substrate !== undefined

function contextsBetween(
  journal: Journal,
  tank: Tank,
  residents: readonly Animal[],
  agents: readonly AgentInWater[],
  { from, until, except }: { from: number; until: number; except: string | undefined },
): Context[] {
  const contexts: Context[] = []
  const add = (id: string, what: string) => contexts.push({ id, what })
  if (hasRock(tank)) add('ctx-rock', `${tank.name} holds rock or sand`)
  if (hasLivingFilter(tank)) add('ctx-biofilter', `${tank.name} lives by its filter bacteria`)
  if (tank.contents.includes('plants')) add('ctx-plants', `${tank.name} holds plants`)
  if (tank.water === 'marine') add('ctx-hard-or-sea-water', `${tank.name} is sea water`)
  const running = new Map(
    equipmentAt(journal, tank.id, from).flatMap(({ item, running: runs }) => (runs ? [[item, true] as const] : [])),
  )
  for (const { content, at, id } of journal.ofKind('equipment'))
    if (content.tankId === tank.id && at > from && at <= until && content.running && !content.removed && id !== except)
      running.set(content.item, true)
  for (const item of running.keys()) {
    const context = contextOfItem(item)
    if (context) contexts.push(context)
  }
  for (const animal of residents) contexts.push(...contextsOfAnimal(animal))
  const recent = (parameter: string) => {
    const last = lastValue(journal, tank.id, parameter, from + 1)
    return last && from - last.at < TEST_DAYS * MS_PER_DAY ? last.value : null
  }
  const [alkalinity, pH, temperature, oxygen, salinity] = ['alk-kh', 'ph', 'temp', 'oxygen', 'salinity'].map(recent)
  if (alkalinity != null && alkalinity < LOW_ALKALINITY_DKH) add('ctx-low-alkalinity', 'alkalinity is low')
  if (pH != null && pH < LOW_PH && tank.water === 'marine') add('ctx-low-alkalinity', `pH is ${pH.toFixed(1)}`)
  if (temperature != null && temperature > WARM_C) add('ctx-warm-or-low-oxygen', 'the water is warm')
  if (oxygen != null && oxygen < LOW_OXYGEN_MG_PER_L)
    add('ctx-warm-or-low-oxygen', `oxygen is ${oxygen.toFixed(1)} mg/L`)
  if (salinity != null && salinity <= HYPOSALINE_PSU && tank.water === 'marine')
    add('hyposalinity', 'the water is hyposaline')
  else if (isLowered(journal, tank.id, from, until)) add('hyposalinity', 'a course lowers the salinity of this water')
  if (agents.some(({ agent }) => agent === 'ammonia-binder'))
    add('ctx-ammonia-binder', agents.find(({ agent }) => agent === 'ammonia-binder')!.what)
  if (agents.some(({ agent }) => agent === 'dechlorinator'))
    add('ctx-thiosulfate', agents.find(({ agent }) => agent === 'dechlorinator')!.what)
  for (const animal of residents)
    for (const { content, at, struck } of journal.about(`animal:${animal.id}`))
      if (
        !struck &&
        content.kind === 'sighting' &&
        at <= until &&
        from - at < SORE_DAYS * MS_PER_DAY &&
        content.signs.some(({ sign, present }) => sign === 'open-ulcer' && present)
      )
        add('ctx-open-ulcer', `${animalLabel(animal)} has an open sore`)
  for (const { content, at, struck, id } of journal.about(`water:${tank.id}`))
    if (
      !struck &&
      id !== except &&
      content.kind === 'dose' &&
      content.ingredient === 'praziquantel' &&
      at < from &&
      from - at < ADAPTED_DAYS * MS_PER_DAY
    )
      add('ctx-earlier-praziquantel', `praziquantel was dosed ${agoWords(from - at)}`)
  return contexts.filter(({ id, what }, i) => contexts.findIndex((one) => one.id === id && one.what === what) === i)
}

/**
 * A tank's water between two instants: its residents, what runs, and the agents in it, those of its own courses among them.
 * @param until later than `from` where something acts on: what comes in meanwhile meets it too
 * @param except an entry that does not count: the one being corrected
 * @returns null where the journal holds no such tank
 */
export function waterBetween(
  journal: Journal,
  tankId: string,
  from: number,
  until = from,
  except?: string,
): WaterState | null {
  const tank = tankAt(journal, tankId, from)
  if (!tank) return null
  const residents = residentsBetween(journal, tankId, from, until)
  const agents = agentsBetween(journal, tankId, from, until, except)
  return {
    tank,
    from,
    until,
    netL: netVolumeAt(journal, tankId, from),
    residents,
    agents,
    contexts: contextsBetween(journal, tank, residents, agents, { from, until, except }),
  }
}

/** Whether copper of any form is in a tank's water, by dose, reading or course. */
export const isUnderCopper = (journal: Journal, tankId: string, at: number): boolean =>
  waterBetween(journal, tankId, at, at)?.agents.some(({ agent }) => isCopper(agent) || agent === 'copper') ?? false
