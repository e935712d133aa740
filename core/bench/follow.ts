import type { ChecklistItem, Procedure, ProcedureStep } from '../catalogue/procedures/procedure.types.ts'
import { PEROXIDE_CAPS } from '../catalogue/handbook/dosing.data.ts'
import { procedureById } from '../catalogue/procedures/procedures.data.ts'
import { peroxideStrength } from '../dosing/peroxide.ts'
import type { EquipmentItem } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_MINUTE } from '../time/zone.ts'

/** One thing that a run asks for: an item of a list, or a step, of one part where it is done part by part. */
export interface Occasion {
  place: 'before' | 'step' | 'after'
  /** What a mark names it by. */
  step: string
  partId: string | null
  title: string
  item: ChecklistItem | ProcedureStep
}

export type OccasionState = 'open' | 'begun' | 'done' | 'skipped'

/** An occasion as the marks leave it. */
export interface FollowedOccasion extends Occasion {
  state: OccasionState
  begunAt: number | null
  endedAt: number | null
  why: string | null
  values: readonly { id: string; value: number }[]
}

/** Something that runs by the clock: a timed step, or a coral that is out of the water. */
export interface BenchClock {
  label: string
  begunAt: number
  /** When it rings first, and when it must be over, ms; null where nothing ends it by itself. */
  ringsAt: number
  stopsAt: number | null
}

/** A procedure under way, as its entries leave it. */
export interface BenchRun {
  id: string
  procedure: Procedure
  start: ContentOf<'bench-start'>
  startedAt: number
  endedAt: number | null
  outcome: ContentOf<'bench-end'>['outcome'] | null
  occasions: readonly FollowedOccasion[]
  /** What is done next; null when everything is done or skipped. */
  next: FollowedOccasion | null
  /** What has to be put back, of what was put off. */
  owed: readonly FollowedOccasion[]
  clocks: readonly BenchClock[]
  /** The sum of each figure over the parts. */
  totals: ReadonlyMap<string, number>
}

/** All that a procedure asks for in its order: the list before, the steps, part by part where they are, the list after. */
export function occasionsOf({ before, steps, after }: Procedure, partIds: readonly string[]): Occasion[] {
  const listed = (place: 'before' | 'after', items: readonly ChecklistItem[]): Occasion[] =>
    items.map((item) => ({ place, step: `${place}-${item.id}`, partId: null, title: item.words, item }))
  const once = (item: ProcedureStep, partId: string | null): Occasion => ({
    place: 'step',
    step: item.id,
    partId,
    title: item.title,
    item,
  })
  const done: Occasion[] = []
  for (let i = 0; i < steps.length; i++) {
    const step = steps[i]!
    if (!step.eachPart) {
      done.push(once(step, null))
      continue
    }
    // Steps of each part stand together: the first part through all of them, then the second.
    let last = i
    while (steps[last + 1]?.eachPart) last++
    const together = steps.slice(i, last + 1)
    for (const partId of partIds) done.push(...together.map((one) => once(one, partId)))
    i = last
  }
  return [...listed('before', before), ...done, ...listed('after', after)]
}

const isOpen = ({ state }: FollowedOccasion) => state === 'open' || state === 'begun'

/** The clocks that run: timed steps that were begun, and clocks that a step began and none has ended. */
function clocksOf(occasions: readonly FollowedOccasion[]): BenchClock[] {
  const clocks: BenchClock[] = []
  for (const { item, state, begunAt, endedAt, place, title, partId } of occasions) {
    if (place !== 'step') continue
    const { timer, begins } = item as ProcedureStep
    if (timer && state === 'begun' && begunAt !== null)
      clocks.push({
        label: title,
        begunAt,
        ringsAt: begunAt + timer.minutes * MS_PER_MINUTE,
        stopsAt: timer.stopMinutes === undefined ? null : begunAt + timer.stopMinutes * MS_PER_MINUTE,
      })
    const since = state === 'done' ? endedAt : null
    if (!begins || since === null) continue
    const isEnded = occasions.some(
      (other) =>
        (other.item as ProcedureStep).ends === begins.clock && other.partId === partId && other.state === 'done',
    )
    if (!isEnded)
      clocks.push({
        label: begins.label,
        begunAt: since,
        ringsAt: since + begins.warnMinutes * MS_PER_MINUTE,
        stopsAt: since + begins.stopMinutes * MS_PER_MINUTE,
      })
  }
  return clocks
}

/**
 * A run as its entries leave it: a reload, a killed browser or a second tab changes nothing.
 * @returns null where the journal holds no such run, or its procedure is none
 * @example
 * benchRun(journal, 'b1')?.next?.title // what is done next
 */
export function benchRun(journal: Journal, benchId: string): BenchRun | null {
  const lines = journal.about(`bench:${benchId}`).filter(({ struck }) => !struck)
  const first = lines.find(({ content }) => content.kind === 'bench-start')
  if (first?.content.kind !== 'bench-start') return null
  const start = first.content
  const procedure = procedureById(start.procedure)
  if (!procedure) return null
  const occasions = occasionsOf(procedure, start.partIds ?? []).map((occasion): FollowedOccasion => ({
    ...occasion,
    state: 'open',
    begunAt: null,
    endedAt: null,
    why: null,
    values: [],
  }))
  let endedAt: number | null = null
  let outcome: BenchRun['outcome'] = null
  for (const { content, at } of lines) {
    if (content.kind === 'bench-end') [endedAt, outcome] = [at, content.outcome]
    if (content.kind !== 'bench-mark') continue
    const one = occasions.find(({ step, partId }) => step === content.step && partId === (content.partId ?? null))
    // A mark that was made twice, in two tabs, counts once.
    if (!one || !isOpen(one)) continue
    one.state = content.state
    if (content.state === 'begun') one.begunAt = at
    else {
      one.endedAt = at
      one.why = content.why ?? null
      one.values = content.values ?? []
    }
  }
  const totals = new Map<string, number>()
  for (const { values } of occasions) for (const { id, value } of values) totals.set(id, (totals.get(id) ?? 0) + value)
  const hasBegun = occasions.some(({ state }) => state !== 'open')
  return {
    id: benchId,
    procedure,
    start,
    startedAt: first.at,
    endedAt,
    outcome,
    occasions,
    next: occasions.find(isOpen) ?? null,
    owed: hasBegun ? occasions.filter((one) => one.place === 'after' && isOpen(one)) : [],
    clocks: endedAt === null ? clocksOf(occasions) : [],
    totals,
  }
}

/** The runs that are under way, the earliest first. */
export const openBenches = (journal: Journal): BenchRun[] =>
  journal.ofKind('bench-start').flatMap(({ content }) => {
    const run = benchRun(journal, content.benchId)
    return run && run.endedAt === null ? [run] : []
  })

/**
 * The steps that are left out when a run is stopped: all that are open, but not one that ends a running clock. A coral that is out of the water has to go
 * back into water first.
 */
export function stepsToLeave({ occasions }: Pick<BenchRun, 'occasions'>): FollowedOccasion[] {
  const begun = occasions.flatMap(({ item, state, partId }) => {
    const clock = (item as ProcedureStep).begins?.clock
    return clock !== undefined && state === 'done' ? [`${clock} ${partId}`] : []
  })
  return occasions.filter(
    (one) =>
      one.place === 'step' && isOpen(one) && !begun.includes(`${(one.item as ProcedureStep).ends} ${one.partId}`),
  )
}

/** A piece of equipment that a run has switched off and not on again. */
export interface StillOff {
  item: EquipmentItem
  since: number
}

/** What a run has switched off and not put back. */
export const stillOff = ({ occasions }: Pick<BenchRun, 'occasions'>): StillOff[] =>
  occasions.flatMap(({ place, state, item, endedAt }): StillOff[] => {
    const { switches } = item as ChecklistItem
    if (place !== 'before' || state !== 'done' || switches?.running !== false || endedAt === null) return []
    const isBack = occasions.some(
      (one) =>
        one.place === 'after' && one.state === 'done' && (one.item as ChecklistItem).switches?.item === switches.item,
    )
    return isBack ? [] : [{ item: switches.item, since: endedAt }]
  })

/** A limit of the whole session. */
export interface SessionLimit {
  most: number
  unit: string
  words: string
}

/** mL of 3 % peroxide in 100 L in one session with animals in the water: outbreaks.md 5.3. */
const PEROXIDE_ML_PER_100_L = PEROXIDE_CAPS.rows.find(({ id }) => id === 'normal-cap-per-session')!.ml3!

/** The limit that a figure's sum is held against in a tank. @param netL null where it is not known: then nothing may be given */
export const sessionLimit = (netL: number | null): SessionLimit => ({
  most: netL === null ? 0 : (PEROXIDE_ML_PER_100_L * netL) / 100,
  unit: 'mL',
  words: 'of 3 % peroxide in one session with animals in the water',
})

/** What speaks against a mark that is about to be made. */
export interface BenchRefusal {
  words: string
  /** What may be said to do it all the same: a written reason; null where it may not be done. */
  passes: 'reason' | null
}

/**
 * Whether an occasion may be marked done now.
 * @param values the figures that are written down with it
 * @param netL of the run's tank
 * @param now ms
 * @returns null where nothing speaks against it
 */
export function refusalOf(
  run: BenchRun,
  occasion: FollowedOccasion,
  values: readonly { id: string; value: number }[],
  netL: number | null,
  now: number,
): BenchRefusal | null {
  if (run.next && run.next !== occasion)
    return { words: `First: ${run.next.title}. The order keeps animals safe.`, passes: null }
  if (occasion.place !== 'step') return null
  const { timer, records = [] } = occasion.item as ProcedureStep
  for (const record of records) {
    if (!record.sessionLimit) continue
    const { most, unit, words } = sessionLimit(netL)
    const given = values.find(({ id }) => id === record.id)?.value ?? 0
    const sum = (run.totals.get(record.id) ?? 0) + given
    if (sum > most + 1e-9)
      return {
        words: `${Number(sum.toPrecision(3))} ${unit} is over the ${Number(most.toPrecision(3))} ${unit} ${words}. Stop here: go on tomorrow, or change water first.`,
        passes: null,
      }
  }
  const least = timer?.leastMinutes ?? timer?.minutes
  if (timer && least !== undefined && occasion.begunAt !== null) {
    const left = occasion.begunAt + least * MS_PER_MINUTE - now
    if (left > 0)
      return {
        words: `${Math.min(least, Math.ceil(left / MS_PER_MINUTE))} min too early: it works for ${least} min at least.`,
        passes: 'reason',
      }
  }
  return null
}

/**
 * What a run put into its tank's water, as a dose of the ledger; what was set aside before it began stays with it.
 * @param ml in all; for a run that is about to begin the most that it may use
 * @returns null for a procedure that doses nothing, or a run without a tank
 */
export function doseOfRun(
  procedure: Procedure,
  { tankId, overrides }: Pick<ContentOf<'bench-start'>, 'tankId' | 'overrides'>,
  ml: number,
  happened: string,
): ContentOf<'dose'> | null {
  if (!procedure.doses || tankId === undefined || !(ml > 0)) return null
  const strength = peroxideStrength({ percentByMass: procedure.doses.percentByMass })
  if (!strength.ok) return null
  return {
    kind: 'dose',
    happened,
    tankId,
    ingredient: procedure.doses.ingredient,
    amount: Number(ml.toPrecision(8)),
    unit: 'mL',
    massMg: ml * strength.value.mgPerMl,
    ...(overrides && { overrides }),
  }
}
