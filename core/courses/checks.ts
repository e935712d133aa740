import { animalGroupById } from '../catalogue/animal-group.ts'
import { isAgentIn, isCopper } from '../catalogue/treatments/groups.ts'
import { INTERACTIONS } from '../catalogue/treatments/interactions.data.ts'
import { SENSITIVITIES } from '../catalogue/treatments/sensitivities.data.ts'
import { rampOf, type Dose } from '../catalogue/treatments/treatments.ts'
import type { Intolerance, Severity } from '../catalogue/treatments/treatment.types.ts'
import { ingredientById } from '../catalogue/ingredient.ts'
import { animalLabel, residentsOf, type Animal } from '../household/animals.ts'
import { equipmentOf, tankById, type Tank } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { lastValue } from '../readings/latest.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { coursesOf } from './course.ts'

/** Something that speaks against a treatment in this water, and how strongly. */
export interface Concern {
  /** Row of the interactions or sensitivities. */
  rule: string
  severity: Severity
  /** What it is here: "Button, tuxedo urchin", "carbon is running". */
  what: string
  reason: string
  /** Whether a written reason may set it aside, and whether a veterinarian has to agree. */
  override: 'none' | 'reason' | 'reason-and-vet' | 'confirm'
}

/** How long what was dosed is taken to be in the water still, unless carbon or a course says otherwise (EA). */
const AGENT_DAYS = 14
const BINDER_DAYS = 7
const TEST_DAYS = 14
/** Below these more copper is free: row cu-lowalk. */
const LOW_ALKALINITY_DKH = 5
const LOW_PH = 7.8
/** Steps closer than this are a fast ramp for those who do not tolerate one (EA, the slower end of 12–24 h). */
const FAST_RAMP_HOURS = 24

interface Context {
  id: string
  what: string
}

/** States of the water and agents already in it, by the names the interactions use. */
function contextsOf(
  journal: Journal,
  tank: Tank,
  { dose, courseId }: Treatment,
  residents: readonly Animal[],
  now: number,
): Context[] {
  const contexts: Context[] = []
  const add = (id: string, what: string) => contexts.push({ id, what })
  if (tank.contents.includes('rock') || tank.contents.includes('sand') || tank.sheet?.rock || tank.sheet?.substrate)
    add('ctx-rock', `${tank.name} holds rock or sand`)
  const running = new Set(equipmentOf(journal, tank.id).flatMap(({ item, running: runs }) => (runs ? [item] : [])))
  if (running.has('carbon')) add('ctx-carbon', 'carbon is running')
  if (running.has('resin')) add('ctx-carbon', 'metal resin is running')
  if (running.has('skimmer')) add('ctx-skimmer', 'the skimmer is running')
  if (running.has('uv')) add('uv', 'UV is running')
  if (running.has('ozone')) add('ctx-ozone', 'ozone is running')
  if (running.has('ammonia-binder')) add('ctx-ammonia-binder', 'an ammonia binder is in the filter')
  for (const animal of residents) {
    const kind = animalGroupById(animal.group)?.kind
    if (kind === 'invertebrate' || kind === 'coral')
      add('ctx-invertebrate', `${animalLabel(animal)}${animal.name ? `, ${animal.species}` : ''}`)
    if (animal.group === 'elasmobranch') add('ctx-elasmobranch', animalLabel(animal))
  }
  const recent = (parameter: string) => {
    const last = lastValue(journal, tank.id, parameter, now + 1)
    return last && now - last.at < TEST_DAYS * MS_PER_DAY ? last.value : null
  }
  const [alkalinity, pH] = [recent('alk-kh'), recent('ph')]
  if (alkalinity !== null && alkalinity < LOW_ALKALINITY_DKH)
    add('ctx-low-alkalinity', `alkalinity is ${alkalinity.toFixed(1)} dKH`)
  if (pH !== null && pH < LOW_PH) add('ctx-low-alkalinity', `pH is ${pH.toFixed(1)}`)
  const dosed = new Map<string, number>()
  for (const { content, at, struck } of journal.about(`water:${tank.id}`))
    if (!struck && content.kind === 'dose') dosed.set(content.ingredient, at)
  for (const [ingredient, at] of dosed) {
    const name = ingredientById(ingredient)?.name ?? ingredient
    const days = (now - at) / MS_PER_DAY
    if (ingredient === 'ammonia-binder' && days < BINDER_DAYS)
      add('ctx-ammonia-binder', `${name} was dosed ${Math.floor(days)} days ago`)
    else if (ingredient !== dose.agent && days < AGENT_DAYS)
      add(ingredient, `${name} was dosed ${Math.floor(days)} days ago`)
  }
  for (const course of coursesOf(journal))
    if (!course.ended && course.tankId === tank.id && course.id !== courseId)
      add(course.dose.agent, 'a course of it runs in this water')
  return contexts
}

const OVERRIDES: Record<Severity, Concern['override']> = {
  never: 'none',
  block: 'reason-and-vet',
  caution: 'confirm',
  note: 'confirm',
}

function interactionConcerns(agent: string, contexts: readonly Context[]): Concern[] {
  return INTERACTIONS.flatMap((row): Concern[] => {
    const matches = (ids: readonly string[], id: string) => ids.some((one) => isAgentIn(id, one))
    return contexts
      .filter(
        ({ id }) => (matches(row.a, agent) && matches(row.b, id)) || (matches(row.b, agent) && matches(row.a, id)),
      )
      .map(({ what }) => {
        const severity: Severity = row.neverFor?.some((id) => isAgentIn(agent, id)) ? 'never' : row.severity
        // Quarantine.md 6: copper with rock needs the written reason alone.
        return {
          rule: row.id,
          severity,
          what,
          reason: row.reason,
          override: row.id === 'cu-rock' ? 'reason' : OVERRIDES[severity],
        }
      })
  })
}

/** What a treatment is, as far as tolerance goes. */
export interface Treatment {
  dose: Dose
  direct: boolean
  rampHours: number
  /** The course it is already given as, which does not speak against itself. */
  courseId?: string
}

function applies({ agents, only }: Intolerance, { dose, direct, rampHours }: Treatment): boolean {
  if (!agents.some((id) => id === dose.id || isAgentIn(dose.agent, id))) return false
  if (only === 'high-band') return !dose.id.endsWith('-gentle')
  if (only === 'fast-ramp') return direct || rampHours < FAST_RAMP_HOURS
  return only === undefined
}

const ONLY_WORDS: Record<NonNullable<Intolerance['only']>, string> = {
  'high-band': 'does not tolerate the high band; the gentle one is for it',
  'fast-ramp': 'does not tolerate a fast ramp: steps a day apart, never straight to the dose',
  'full-dose': 'does not tolerate the full dose',
  'over-1-to-2-g-per-l': 'does not tolerate over 1–2 g/L',
}

function sensitivityConcerns(residents: readonly Animal[], treatment: Treatment): Concern[] {
  return residents.flatMap((animal): Concern[] => {
    const row = SENSITIVITIES.find(({ id }) => id === animalGroupById(animal.group)?.sensitivity)
    // Invertebrates are the interactions' own row, with no way round it.
    if (!row || row.id === 'invertebrate') return []
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

const SEVERITY_RANK: Record<Severity, number> = { never: 0, block: 1, caution: 2, note: 3 }

/**
 * What speaks against dosing an agent in a tank as it stands: the interactions of quarantine.md 6 with residents, equipment,
 * conditioners and other treatments, and the sensitivities of 5.6. The gravest first.
 */
export function concernsOf(journal: Journal, tankId: string, treatment: Treatment, now: number): Concern[] {
  const tank = tankById(journal, tankId)
  if (!tank) return []
  const residents = residentsOf(journal, tankId)
  const concerns = [
    ...interactionConcerns(treatment.dose.agent, contextsOf(journal, tank, treatment, residents, now)),
    ...sensitivityConcerns(residents, treatment),
  ]
  // One row speaks once, of everything it meets here.
  const byRow = new Map<string, Concern>()
  for (const concern of concerns) {
    const key = `${concern.rule}|${concern.severity}|${concern.reason}`
    const same = byRow.get(key)
    if (!same) byRow.set(key, { ...concern })
    else if (!same.what.split('; ').includes(concern.what)) same.what += `; ${concern.what}`
  }
  return [...byRow.values()].sort((a, b) => SEVERITY_RANK[a.severity] - SEVERITY_RANK[b.severity])
}

/** Whether straight-to-the-dose is allowed for these animals, quarantine.md 5.5, and in which words. */
export function directDose(journal: Journal, tankId: string, dose: Dose): { allowed: boolean; why: string } {
  const { emergency } = rampOf(dose.agent)
  if (emergency.allowed !== 'yes')
    return {
      allowed: false,
      why:
        emergency.allowed === 'vet'
          ? 'only by a veterinarian’s or the label’s word'
          : 'never: the ramp is slow on purpose',
    }
  const sensitive = residentsOf(journal, tankId).find((animal) => animalGroupById(animal.group)?.sensitivity)
  if (sensitive)
    return { allowed: false, why: `not with ${animalLabel(sensitive)} in the water: its group does not tolerate it` }
  return { allowed: isCopper(dose.agent) && emergency.to !== null, why: emergency.words }
}
