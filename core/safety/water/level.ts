import {
  AGENT_STAYS_HOURS,
  AGENT_STAYS_HOURS_DEFAULT,
  CARBON_CLEARS_HOURS,
  CARBON_TAKES,
} from '../../catalogue/treatments/decay.data.ts'
import { isCopper } from '../../catalogue/treatments/groups.ts'
import { levelAfter } from '../../concentration/events.ts'
import { equipmentAt, netVolumeAt } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { holds, levelsOf, type Evidence } from '../../readings/evidence.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import { countedMassMg } from '../../dosing/counted-mass.ts'

/** Copper at or over this where invertebrates or corals live is an alarm; under it no kit tells it from none: quarantine.md 5.4. */
export const COPPER_TRACE_MG_PER_L = 0.05

/** How long an agent is taken to act in the water, h, where no level says otherwise; `Infinity` where only changes take it out. */
export const staysHours = (agent: string): number => AGENT_STAYS_HOURS[agent] ?? AGENT_STAYS_HOURS_DEFAULT

/** What is known of the level of an agent. */
export interface AgentLevel {
  /** mg/L, by the last reading and what was dosed and changed since; null where a dose has no mass or the tank no net volume. */
  mgPerL: number | null
  /** Whether anything says that it ever was in this water. */
  isKnown: boolean
  /** The reading it rests on; null where it rests on doses alone. */
  reading: Evidence | null
}

/** The worse end of what a reading shows of something harmful: "< x" is no alarm, "> x" is at least x. */
export const worseEnd = ({ low, high }: Pick<Evidence, 'low' | 'high'>): number =>
  low === -Infinity ? 0 : high === Infinity ? low : high

/** Agents besides copper that a test at home shows as what they are counted in, and that are used up between two doses. */
const TESTED_AS: Readonly<Record<string, string>> = { 'sodium-silicate-pentahydrate': 'sio2' }

/** The last trusted reading of an agent up to an instant; null where no test shows it. */
function evidenceOfAgent(journal: Journal, tankId: string, agent: string, at: number): Evidence | null {
  const parameter = isCopper(agent) ? 'copper' : TESTED_AS[agent]
  return parameter === undefined ? null : (levelsOf(journal, tankId, parameter).findLast((one) => one.at <= at) ?? null)
}

/**
 * The level of an agent at an instant: its last reading (copper and silicate have one), the doses since, each fading in a straight line over the
 * hours that the agent stays, and what water changes took out or brought in. Copper and salts do not fade.
 * @param except an entry that does not count: the one being corrected
 * @param isHeld doses do not fade: a course holds the level
 * @example
 * levelOf(journal, 'quar', 'cu-chelated', now).mgPerL
 */
export function levelOf(
  journal: Journal,
  tankId: string,
  agent: string,
  at: number,
  { except, isHeld = false }: { except?: string | undefined; isHeld?: boolean } = {},
): AgentLevel {
  const reading = evidenceOfAgent(journal, tankId, agent, at)
  const since = reading?.at ?? -Infinity
  const staysMs = isCopper(agent) || isHeld ? Infinity : staysHours(agent) * MS_PER_HOUR
  // What each dose left, mg/L as it was put in; changes thin all of them.
  let doses: { at: number; mgPerL: number }[] = []
  let base = reading ? worseEnd(reading) : 0
  let isJudged = true
  let isKnown = reading !== null
  for (const { content, struck, id, at: when } of journal.about(`water:${tankId}`)) {
    if (struck || id === except || when < since || when > at) continue
    const netL = netVolumeAt(journal, tankId, when)
    if (content.kind === 'dose' && content.ingredient === agent) {
      isKnown = true
      if (at - when >= staysMs) continue
      if (netL === null || countedMassMg(content) === undefined) isJudged = false
      else doses.push({ at: when, mgPerL: countedMassMg(content)! / netL })
    } else if (content.kind === 'water-change') {
      if (netL === null) continue
      const fraction = Math.min(1, content.litres / netL)
      const replacementMgPerL = isCopper(agent) ? (content.replacement?.copperMgPerL ?? 0) : 0
      if (replacementMgPerL > 0) isKnown = true
      base = levelAfter(base, { at: content.happened, kind: 'water-change', fraction, replacementMgPerL }, netL)
      doses = doses.map((dose) => ({ ...dose, mgPerL: dose.mgPerL * (1 - fraction) }))
    }
  }
  const left = doses.reduce(
    (sum, dose) => sum + dose.mgPerL * (staysMs === Infinity ? 1 : Math.max(0, 1 - (at - dose.at) / staysMs)),
    0,
  )
  return { mgPerL: isJudged ? base + left : null, isKnown, reading }
}

/** Whether carbon has run long enough since a dose to have taken it out by an instant. */
export function isTakenByCarbon(journal: Journal, tankId: string, agent: string, dosedAt: number, at: number): boolean {
  if (!CARBON_TAKES.includes(agent)) return false
  return equipmentAt(journal, tankId, at).some(
    ({ item, running, since }) =>
      item === 'carbon' && running && at - Math.max(since, dosedAt) >= CARBON_CLEARS_HOURS * MS_PER_HOUR,
  )
}

/** Share of the water that is still the water of an instant, after the changes up to another. */
export function shareLeft(journal: Journal, tankId: string, from: number, until: number): number {
  let share = 1
  for (const { content, struck, at } of journal.about(`water:${tankId}`)) {
    if (struck || content.kind !== 'water-change' || at <= from || at > until) continue
    const netL = netVolumeAt(journal, tankId, at)
    if (netL !== null) share *= 1 - Math.min(1, content.litres / netL)
  }
  return share
}

/** When and how copper got into a tank's water, and whether a reading has shown it gone since. */
export interface CopperPresence {
  lastAt: number
  how: 'dosed' | 'changed' | 'read'
  /** Forms that were dosed since a reading last showed none, with the last time of each. */
  forms: ReadonlyMap<string, number>
  isGone: boolean
  /** When a reading first showed it gone; null while none does. */
  goneAt: number | null
}

/**
 * When copper last got into a tank's water by the journal: a dose, a change with copper in it, a reading at or over the trace. Only a
 * reading under the trace, taken later, shows it gone.
 * @returns null where it never did
 */
export function copperPresence(
  journal: Journal,
  tankId: string,
  until: number,
  except?: string,
): CopperPresence | null {
  const events: { at: number; how: CopperPresence['how']; form: string | null }[] = []
  for (const { content, struck, id, at } of journal.about(`water:${tankId}`)) {
    if (struck || id === except || at > until) continue
    if (content.kind === 'dose' && isCopper(content.ingredient))
      events.push({ at, how: 'dosed', form: content.ingredient })
    if (content.kind === 'water-change' && (content.replacement?.copperMgPerL ?? 0) >= COPPER_TRACE_MG_PER_L)
      events.push({ at, how: 'changed', form: null })
  }
  const readings = levelsOf(journal, tankId, 'copper').filter(({ at, line }) => at <= until && line.id !== except)
  for (const one of readings)
    if (worseEnd(one) >= COPPER_TRACE_MG_PER_L) events.push({ at: one.at, how: 'read', form: null })
  if (events.length === 0) return null
  events.sort((a, b) => a.at - b.at)
  const last = events.at(-1)!
  const goneAt = readings.find((one) => one.at > last.at && isClean(one))?.at ?? null
  const cleanBefore = readings.findLast((one) => one.at <= last.at && isClean(one))?.at ?? -Infinity
  const forms = new Map<string, number>()
  for (const { at, form } of events) if (form !== null && at >= cleanBefore) forms.set(form, at)
  return { lastAt: last.at, how: last.how, forms, isGone: goneAt !== null, goneAt }
}

/** Whether a reading shows that there is no copper: under the trace, or "< 0.05" and less. */
const isClean = (evidence: Evidence): boolean =>
  holds(evidence, '<', COPPER_TRACE_MG_PER_L) === 'yes' ||
  (evidence.low === -Infinity && evidence.high <= COPPER_TRACE_MG_PER_L)
