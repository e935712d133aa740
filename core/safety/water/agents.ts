import { ingredientById } from '../../catalogue/ingredient.ts'
import { isAgentIn, isCopper } from '../../catalogue/treatments/groups.ts'
import { coursesOf } from '../../courses/course.ts'
import { productById } from '../../household/shelf.ts'
import type { Journal } from '../../journal/journal.ts'
import { lastEvidence } from '../../readings/evidence.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { COPPER_TRACE_MG_PER_L, copperPresence, isTakenByCarbon, levelOf, shareLeft, staysHours } from './level.ts'
import { salinityOf } from './salinity.ts'

/** An agent that is in some water, and how that is known. */
export interface AgentInWater {
  /** Of the catalogue; `copper` where its form is not known. */
  agent: string
  /** In words: "chelated copper, 2.30 mg/L, is in this water", "praziquantel was dosed 3 days ago". */
  what: string
  /** The course it belongs to, where it belongs to one. */
  courseId?: string
  /** mg/L as far as it is known; null where it is not. */
  mgPerL: number | null
  /** When it last went in, ms; null where nobody can say. */
  since: number | null
}

/** Sea water at or under this is low in salt: FA164, 15–16 g/L acts. */
export const HYPOSALINE_PSU = 16
/** A heater set to this, or a reading over it, is heat as a treatment: quarantine.md 5.2, heat-ich from 29 °C (EA for the margin). */
export const HEAT_C = 28
/** A test older than this says nothing of today's water (EA). */
export const TEST_DAYS = 14
/** A dose of which so little is left that its water is as good as new (EA). */
const LEFT_OVER = 0.02

/** "3 days ago", "5 h ago". */
export const agoWords = (ms: number): string => {
  const days = Math.floor(ms / MS_PER_DAY)
  return days >= 1 ? `${days} ${days === 1 ? 'day' : 'days'} ago` : `${Math.max(0, Math.round(ms / MS_PER_HOUR))} h ago`
}

export const agentName = (agent: string): string =>
  agent === 'copper' ? 'copper' : agent === 'hyposalinity' ? 'low salinity' : (ingredientById(agent)?.name ?? agent)

const levelWords = (agent: string, mgPerL: number): string =>
  `${agentName(agent)}, ${mgPerL.toFixed(2)} mg/L, is in this water`

/** The stretch of time that is looked at. */
export interface Span {
  from: number
  until: number
  /** An entry that does not count: the one being corrected. */
  except?: string | undefined
}

/** Drugs that a course holds in a tank. */
function heldAgents(journal: Journal, tankId: string, { from, until, except }: Span): AgentInWater[] {
  return coursesOf(journal).flatMap((course): AgentInWater[] => {
    if (course.dose === null || course.tankId !== tankId) return []
    if (course.startedAt > until || (course.ended !== null && course.ended.at <= from)) return []
    const { agent } = course.dose
    const { mgPerL, isKnown } = levelOf(journal, tankId, agent, from, { except, isHeld: true })
    return [
      {
        agent,
        courseId: course.id,
        since: course.startedAt,
        mgPerL: isKnown ? mgPerL : null,
        what:
          isKnown && mgPerL !== null && mgPerL > COPPER_TRACE_MG_PER_L
            ? levelWords(agent, mgPerL)
            : `a course of ${agentName(agent)} runs in this water`,
      },
    ]
  })
}

/** The last time each agent went into a tank: dosed, or with the food. */
function lastGiven(
  journal: Journal,
  tankId: string,
  { until, except }: Pick<Span, 'until' | 'except'>,
): Map<string, { at: number; isFed: boolean; courseId: string | undefined }> {
  const given = new Map<string, { at: number; isFed: boolean; courseId: string | undefined }>()
  for (const { content, at, struck, id } of journal.about(`water:${tankId}`))
    if (!struck && id !== except && content.kind === 'dose' && at <= until)
      given.set(content.ingredient, { at, isFed: false, courseId: content.courseId })
  for (const { content, at, id } of journal.ofKind('feed'))
    if (content.tankId === tankId && content.ingredient !== undefined && id !== except && at <= until) {
      const dosed = given.get(content.ingredient)
      if (!dosed || dosed.at < at)
        given.set(content.ingredient, { at, isFed: dosed?.isFed ?? true, courseId: content.courseId })
    }
  return given
}

/** The times at which agents last went into a tank, whether or not they still act: some rows keep two apart for days. */
export const lastGivenAt = (journal: Journal, tankId: string, until: number, except?: string): Map<string, number> =>
  new Map([...lastGiven(journal, tankId, { until, except })].map(([agent, { at }]) => [agent, at]))

/** Agents other than copper that were dosed or fed and still act. */
function givenAgents(journal: Journal, tankId: string, span: Span): AgentInWater[] {
  const { from, until, except } = span
  return [...lastGiven(journal, tankId, { until, except })].flatMap(
    ([agent, { at, isFed, courseId }]): AgentInWater[] => {
      if (isCopper(agent)) return []
      const isOver =
        from - at > staysHours(agent) * MS_PER_HOUR ||
        isTakenByCarbon(journal, tankId, agent, at, from) ||
        shareLeft(journal, tankId, at, from) < LEFT_OVER
      if (isOver) return []
      const name = agentName(agent)
      const given = isFed ? 'fed' : 'dosed'
      const { mgPerL } = levelOf(journal, tankId, agent, Math.max(from, at), { except })
      return [
        {
          agent,
          // A meal leaves less in the water than anybody can tell.
          mgPerL: isFed ? null : mgPerL,
          since: at,
          what: at > from ? `${name} was ${given} after that` : `${name} was ${given} ${agoWords(from - at)}`,
          ...(courseId !== undefined && { courseId }),
        },
      ]
    },
  )
}

/** Copper that no course holds: every form that went in since a reading last showed none. It stays until the next such reading. */
function copperLeft(journal: Journal, tankId: string, span: Span, held: readonly AgentInWater[]): AgentInWater[] {
  const { from, until, except } = span
  const presence = copperPresence(journal, tankId, until, except)
  if (!presence || presence.isGone) return []
  const { lastAt, how, forms } = presence
  const isHeld = held.some(({ agent }) => isCopper(agent))
  // A reading tells no form: where one is held, or was dosed, it is that.
  const agents = forms.size > 0 ? [...forms.keys()] : isHeld ? [] : ['copper']
  return agents
    .filter((agent) => !held.some((one) => one.agent === agent))
    .map((agent): AgentInWater => {
      const { mgPerL } = levelOf(journal, tankId, agent === 'copper' ? 'cu-chelated' : agent, Math.max(from, lastAt), {
        except,
      })
      const name = agentName(agent)
      const dosedAt = forms.get(agent) ?? lastAt
      const verb = how === 'read' && forms.size === 0 ? 'measured' : how === 'changed' ? 'in the new water' : 'dosed'
      const what =
        dosedAt > from
          ? `${name} was ${verb} after that`
          : mgPerL !== null && mgPerL >= COPPER_TRACE_MG_PER_L
            ? levelWords(agent, mgPerL)
            : `${name} was ${verb} ${agoWords(from - dosedAt)}, and no test has shown zero since`
      return { agent, mgPerL, since: dosedAt, what }
    })
}

/** What a dosing pump gives a tank by its plan. */
function pumpedAgents(journal: Journal, tankId: string, { from, until, except }: Span): AgentInWater[] {
  const latest = new Map<string, { productId: string; tankId: string; at: number; ends: number; stopped: boolean }>()
  for (const { content, at, id } of journal.ofKind('pump-plan'))
    if (at <= until && id !== except)
      latest.set(content.deviceId, {
        productId: content.productId,
        tankId: content.tankId,
        at,
        ends: content.days === undefined ? Infinity : at + content.days * MS_PER_DAY,
        stopped: content.stopped ?? false,
      })
  return [...latest.values()].flatMap((plan): AgentInWater[] => {
    const product = productById(journal, plan.productId)
    if (!product || plan.stopped || plan.tankId !== tankId || plan.ends <= from) return []
    return [
      {
        agent: product.ingredient,
        mgPerL: null,
        since: plan.at,
        what: `a pump doses ${agentName(product.ingredient)} into this water`,
      },
    ]
  })
}

/** Whether a course that lowers the salinity runs in a tank. */
const loweringCourse = (journal: Journal, tankId: string, { from, until }: Span) =>
  coursesOf(journal).find(
    ({ definition, tankId: where, startedAt, ended }) =>
      definition.ends === 'raise' && where === tankId && startedAt <= until && (ended === null || ended.at > from),
  )

/** Low salinity and heat: treatments that nobody pours in. */
function states(journal: Journal, tankId: string, isMarine: boolean, span: Span): AgentInWater[] {
  const { from } = span
  const found: AgentInWater[] = []
  const salinity = isMarine ? salinityOf(journal, tankId, from, span.except) : null
  const lowering = loweringCourse(journal, tankId, span)
  if (salinity !== null && !salinity.isAssumed && salinity.psu <= HYPOSALINE_PSU)
    found.push({
      agent: 'hyposalinity',
      mgPerL: null,
      since: salinity.at,
      what: 'the salinity of this water is low',
      ...(lowering && { courseId: lowering.id }),
    })
  else if (lowering)
    found.push({
      agent: 'hyposalinity',
      courseId: lowering.id,
      mgPerL: null,
      since: lowering.startedAt,
      what: 'a course lowers the salinity of this water',
    })
  const temperature = lastEvidence(journal, tankId, 'temp', from)
  const isWarm = temperature !== null && from - temperature.at < TEST_DAYS * MS_PER_DAY && temperature.low > HEAT_C
  const isHeated = journal
    .ofKind('equipment')
    .findLast(({ content, at }) => content.tankId === tankId && content.item === 'heater' && at <= span.until)
  const setTo = isHeated?.content.running === true ? isHeated.content.value : undefined
  if (isWarm || (setTo !== undefined && isHeatSetting(setTo)))
    found.push({ agent: 'heat', mgPerL: null, since: null, what: 'this water is kept warm as a treatment' })
  return found
}

/** Whether a heater's setting, °C, is heat as a treatment. */
export const isHeatSetting = (celsius: number): boolean => celsius > HEAT_C

/**
 * The agents in a tank's water between two instants: held by its courses, dosed, fed, pumped, brought in, or read; low salinity and heat
 * among them. Copper stays until a reading shows it gone; all others as long as decay.data.ts says, unless carbon or changes took them out.
 */
export function agentsIn(journal: Journal, tankId: string, isMarine: boolean, span: Span): AgentInWater[] {
  const held = heldAgents(journal, tankId, span)
  const all = [
    ...held,
    ...copperLeft(journal, tankId, span, held),
    ...givenAgents(journal, tankId, span),
    ...pumpedAgents(journal, tankId, span),
    ...states(journal, tankId, isMarine, span),
  ]
  return all.filter(({ agent }, i) => all.findIndex((one) => one.agent === agent) === i)
}

/** Whether an agent in the water is copper, its form known or not. */
export const isCopperAgent = (agent: string): boolean => agent === 'copper' || isCopper(agent)

/** Whether an agent is what an id of the interactions names; copper of an unknown form is any copper. */
export const isNamedBy = (agent: string, id: string): boolean =>
  isAgentIn(agent, id) || (agent === 'copper' && id === 'cu-any')
