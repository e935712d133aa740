import type { Journal } from '../../journal/journal.ts'
import { equipmentAt, type EquipmentItem, type Tank } from '../../household/tanks.ts'
import { coursesOf } from '../../courses/course.ts'
import { holds, lastEvidence } from '../../readings/evidence.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { agoWords, TEST_DAYS, type AgentInWater, type Span } from './agents.ts'
import { isInvertebrate, type Resident } from './residents.ts'

/** A state of the water by the name the interactions use (`ctx-carbon`), and what it is here. */
export interface Context {
  id: string
  what: string
  /** Row of the sensitivities of the animal that makes it. */
  sensitivity?: string
  /** The running equipment that makes it: switched off, it is gone. */
  item?: EquipmentItem
}

/** Below these more copper is free: row cu-lowalk. */
const LOW_ALKALINITY_DKH = 5
const LOW_PH = 7.8
/** Row formalin-warm. */
export const WARM_C = 27
const LOW_OXYGEN_MG_PER_L = 6
/** An open sore seen this recently is still open (EA). */
export const SORE_DAYS = 7
/** Bacteria that have met praziquantel clear it sooner for so long (EA). */
const ADAPTED_DAYS = 60
/** Signs of columnaris seen this recently (EA): quarantine.md 3.3, rf-columnaris. */
const COLUMNARIS_DAYS = 14
const COLUMNARIS_SIGNS: ReadonlySet<string> = new Set(['saddle-patch', 'mouth-white-patch'])
/** A lamp at this share of its light or under is dim (EA). */
const DIM_PERCENT = 50

const ITEM_CONTEXTS: Readonly<Partial<Record<EquipmentItem, Omit<Context, 'item'>>>> = {
  carbon: { id: 'ctx-carbon', what: 'carbon is running' },
  resin: { id: 'ctx-carbon', what: 'metal resin is running' },
  skimmer: { id: 'ctx-skimmer', what: 'the skimmer is running' },
  uv: { id: 'uv', what: 'UV is running' },
  ozone: { id: 'ctx-ozone', what: 'ozone is running' },
  'ammonia-binder': { id: 'ctx-ammonia-binder', what: 'an ammonia binder is in the filter' },
  zeolite: { id: 'ctx-zeolite', what: 'zeolite is in the filter' },
}

/** Whether a lamp's setting is strong light: quarantine.md 6, chloroquine-loss. A lamp whose setting nobody told is. */
const isStrongLight = ({ value, unit }: { value?: number; unit?: string }): boolean =>
  value === undefined || (unit !== undefined && unit !== '%') || value > DIM_PERCENT

/**
 * The context that a running piece of equipment makes; undefined for those the interactions do not name.
 * @param setting what it is set to, where that is told
 */
export function contextOfItem(
  item: EquipmentItem,
  setting: { value?: number; unit?: string } = {},
): Context | undefined {
  if (item === 'light')
    return isStrongLight(setting) ? { id: 'ctx-strong-light', what: 'the light is on in full', item } : undefined
  const context = ITEM_CONTEXTS[item]
  return context && { ...context, item }
}

/** The contexts that somebody makes by living in the water. */
export const contextsOfResident = (resident: Resident): Context[] => [
  ...(isInvertebrate(resident)
    ? [
        {
          id: 'ctx-invertebrate',
          what: resident.label,
          ...(resident.sensitivity !== null && { sensitivity: resident.sensitivity }),
        },
      ]
    : []),
  ...(resident.sensitivity === 'elasmobranch' ? [{ id: 'ctx-elasmobranch', what: resident.label }] : []),
  ...(resident.kind === 'plant' ? [{ id: 'ctx-plants', what: resident.label }] : []),
]

export const hasRock = (tank: Tank): boolean =>
  tank.contents.includes('rock') ||
  tank.contents.includes('sand') ||
  tank.sheet?.rock !== undefined ||
  tank.sheet?.substrate !== undefined

/** Whether a treatment of the whole water kills filter bacteria that matter here: a display, a frag tank, or rock or sand in the tank. */
const hasLivingFilter = (tank: Tank): boolean => tank.role === 'display' || tank.role === 'frag' || hasRock(tank)

/** What stands in the tank itself. */
function ofTank(tank: Tank): Context[] {
  return [
    ...(hasRock(tank) ? [{ id: 'ctx-rock', what: `${tank.name} holds rock or sand` }] : []),
    ...(hasLivingFilter(tank) ? [{ id: 'ctx-biofilter', what: `${tank.name} relies on its filter bacteria` }] : []),
    ...(tank.contents.includes('plants') ? [{ id: 'ctx-plants', what: `${tank.name} holds plants` }] : []),
    tank.water === 'marine'
      ? { id: 'ctx-hard-or-sea-water', what: `${tank.name} is sea water` }
      : { id: 'ctx-fresh-water', what: `${tank.name} is fresh water` },
  ]
}

/** What runs, or was switched on in the time looked at. */
function ofEquipment(journal: Journal, tankId: string, { from, until, except }: Span): Context[] {
  const running = new Map<EquipmentItem, { value?: number; unit?: string }>()
  for (const { item, running: runs } of equipmentAt(journal, tankId, from)) if (runs) running.set(item, {})
  for (const { content, at, id } of journal.ofKind('equipment')) {
    if (content.tankId !== tankId || at > until || id === except) continue
    const isOn = content.running && !content.removed
    if (!isOn && at <= from) running.delete(content.item)
    if (isOn)
      running.set(content.item, {
        ...(content.value !== undefined && { value: content.value }),
        ...(content.unit !== undefined && { unit: content.unit }),
      })
  }
  return [...running].flatMap(([item, setting]) => contextOfItem(item, setting) ?? [])
}

/** What recent tests say of the water. */
function ofTests(journal: Journal, tank: Tank, from: number): Context[] {
  const recent = (parameter: string) => {
    const last = lastEvidence(journal, tank.id, parameter, from)
    return last && from - last.at < TEST_DAYS * MS_PER_DAY ? last : null
  }
  const [alkalinity, pH, temperature, oxygen] = ['alk-kh', 'ph', 'temp', 'oxygen'].map(recent)
  const contexts: Context[] = []
  if (alkalinity && holds(alkalinity, '<', LOW_ALKALINITY_DKH) === 'yes')
    contexts.push({ id: 'ctx-low-alkalinity', what: 'alkalinity is low' })
  if (pH && tank.water === 'marine' && holds(pH, '<', LOW_PH) === 'yes')
    contexts.push({ id: 'ctx-low-alkalinity', what: `pH is ${pH.high.toFixed(1)}` })
  if (temperature && holds(temperature, '>', WARM_C) === 'yes')
    contexts.push({ id: 'ctx-warm-or-low-oxygen', what: 'the water is warm' })
  if (oxygen && holds(oxygen, '<', LOW_OXYGEN_MG_PER_L) === 'yes')
    contexts.push({ id: 'ctx-warm-or-low-oxygen', what: `oxygen is ${oxygen.high.toFixed(1)} mg/L` })
  const tested = recent('tan') ?? recent('nh3')
  if (tested) contexts.push({ id: 'ctx-ammonia-test', what: 'ammonia is tested in this water' })
  return contexts
}

/** What was seen on those that live here, or is thought of in an open case. */
function ofSigns(journal: Journal, tank: Tank, residents: readonly Resident[], { from, until }: Span): Context[] {
  const contexts: Context[] = []
  for (const { animal, label } of residents) {
    if (!animal) continue
    for (const { content, at, struck } of journal.about(`animal:${animal.id}`)) {
      if (struck || content.kind !== 'sighting' || at > until) continue
      const shows = (is: (sign: string) => boolean) => content.signs.some(({ sign, present }) => present && is(sign))
      if (from - at < SORE_DAYS * MS_PER_DAY && shows((sign) => sign === 'open-ulcer'))
        contexts.push({ id: 'ctx-open-ulcer', what: `${label} has an open sore` })
      if (from - at < COLUMNARIS_DAYS * MS_PER_DAY && shows((sign) => COLUMNARIS_SIGNS.has(sign)))
        contexts.push({ id: 'ctx-columnaris', what: `${label} shows signs of columnaris` })
    }
  }
  if (openCases(journal, tank.id, until).some(({ causes }) => causes.includes('columnaris')))
    contexts.push({ id: 'ctx-columnaris', what: 'columnaris is thought of in an open case' })
  return contexts
}

/** A case of a tank that is open at an instant, with the causes that were thought of or confirmed and not ruled out. */
export interface OpenCase {
  id: string
  title: string | null
  startedAt: number
  animalIds: readonly string[]
  causes: readonly string[]
}

/** The cases of a tank that are open at an instant. */
export function openCases(journal: Journal, tankId: string, at: number): OpenCase[] {
  return journal.ofKind('case-start').flatMap(({ content, at: startedAt }): OpenCase[] => {
    if (content.tankId !== tankId || startedAt > at) return []
    let isOpen = true
    const causes = new Set<string>()
    for (const { content: mark, struck, at: when } of journal.about(`case:${content.caseId}`)) {
      if (struck || when > at) continue
      if (mark.kind === 'case-end') isOpen = false
      if (mark.kind !== 'case-mark') continue
      if (mark.mark === 'reopened') isOpen = true
      if (mark.cause === undefined) continue
      if (mark.mark === 'ruled-out') causes.delete(mark.cause)
      else causes.add(mark.cause)
    }
    return isOpen
      ? [
          {
            id: content.caseId,
            title: content.title ?? null,
            startedAt,
            animalIds: content.animalIds,
            causes: [...causes],
          },
        ]
      : []
  })
}

/** Whether a course of whole-water treatment is under way in a tank, by its main tank. */
export const coursesIn = (journal: Journal, tankId: string, at: number) =>
  coursesOf(journal).filter(
    ({ tankId: where, startedAt, ended }) => where === tankId && startedAt <= at && (ended === null || ended.at > at),
  )

/** Doses of praziquantel before this one: bacteria that have met it clear it sooner. */
function ofEarlierDoses(journal: Journal, tankId: string, { from, except }: Span): Context[] {
  const earlier = journal
    .about(`water:${tankId}`)
    .findLast(
      ({ content, at, struck, id }) =>
        !struck &&
        id !== except &&
        content.kind === 'dose' &&
        content.ingredient === 'praziquantel' &&
        at < from &&
        from - at < ADAPTED_DAYS * MS_PER_DAY,
    )
  return earlier
    ? [{ id: 'ctx-earlier-praziquantel', what: `praziquantel was dosed ${agoWords(from - earlier.at)}` }]
    : []
}

/** Conditioners stand in the interactions as states of the water. */
export const AS_CONTEXT: Readonly<Record<string, string>> = {
  'ammonia-binder': 'ctx-ammonia-binder',
  dechlorinator: 'ctx-thiosulfate',
}

const HOURS_OF_LOSS = 12
/** Equipment that destroys or removes chloroquine unseen. */
const LOSES_CHLOROQUINE: ReadonlySet<string> = new Set(['uv', 'ozone', 'light', 'carbon'])

/** How long something ran since an instant that takes chloroquine out of the water unseen, and is off again, h. */
export function chloroquineLoss(
  journal: Journal,
  tankId: string,
  since: number,
  until: number,
): { item: EquipmentItem; hours: number } | null {
  const onSince = new Map<EquipmentItem, number>()
  const hours = new Map<EquipmentItem, number>()
  for (const { content, at } of journal.ofKind('equipment')) {
    const { item } = content
    if (content.tankId !== tankId || at > until || !LOSES_CHLOROQUINE.has(item)) continue
    const isOn = content.running && !content.removed && (item !== 'light' || isStrongLight(content))
    const began = onSince.get(item)
    if (began !== undefined) {
      const ms = at - Math.max(began, since)
      if (ms > 0) hours.set(item, (hours.get(item) ?? 0) + ms / MS_PER_HOUR)
      onSince.delete(item)
    }
    if (isOn) onSince.set(item, at)
  }
  const [worst] = [...hours].filter(([, ran]) => ran >= HOURS_OF_LOSS).sort((a, b) => b[1] - a[1])
  return worst ? { item: worst[0], hours: worst[1] } : null
}

/** The states of a tank's water between two instants, each once. */
export function contextsBetween(
  journal: Journal,
  tank: Tank,
  residents: readonly Resident[],
  agents: readonly AgentInWater[],
  span: Span,
): Context[] {
  const conditioners = agents.flatMap(({ agent, what }): Context[] => {
    const id = AS_CONTEXT[agent]
    return id === undefined ? [] : [{ id, what }]
  })
  const all = [
    ...ofTank(tank),
    ...ofEquipment(journal, tank.id, span),
    ...residents.flatMap(contextsOfResident),
    ...ofTests(journal, tank, span.from),
    ...conditioners,
    ...ofSigns(journal, tank, residents, span),
    ...ofEarlierDoses(journal, tank.id, span),
  ]
  return all.filter(({ id, what }, i) => all.findIndex((one) => one.id === id && one.what === what) === i)
}
