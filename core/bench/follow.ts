import type { ChecklistItem, Procedure, ProcedureStep } from '../catalogue/procedures/procedure.types.ts'
import { procedureById } from '../catalogue/procedures/procedures.ts'
import type { EquipmentItem } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_MINUTE } from '../time/zone.ts'
import { occasionsOf, type BenchStart, type Occasion } from './occasions.ts'

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
  subjectId: string | null
  begunAt: number
  /** When it rings first, and when it must be over, ms; null where nothing ends it by itself. */
  ringsAt: number
  stopsAt: number | null
  /** It rings each so many minutes besides. */
  wetEveryMinutes: number | null
  /** The step whose timer it is; null for a clock that another step ends. */
  step: string | null
}

/** A procedure under way, as its entries leave it. */
export interface BenchRun {
  id: string
  /** The entry that began it: what pictures of it belong to. */
  entryId: string
  procedure: Procedure
  start: BenchStart
  subjectIds: readonly string[]
  startedAt: number
  endedAt: number | null
  end: ContentOf<'bench-end'> | null
  occasions: readonly FollowedOccasion[]
  /** What has to be put back, of what was put off. */
  owed: readonly FollowedOccasion[]
  clocks: readonly BenchClock[]
  /** The sum of each figure over the subjects. */
  totals: ReadonlyMap<string, number>
  /** The mark that was made last, and what it switched: it can be taken back. */
  lastMark: { entryIds: readonly string[]; title: string } | null
}

export const isOpen = ({ state }: Pick<FollowedOccasion, 'state'>): boolean => state === 'open' || state === 'begun'

/** The clocks that run: timed steps that were begun, and clocks that a step began and none has ended. */
function clocksOf(occasions: readonly FollowedOccasion[]): BenchClock[] {
  return occasions.flatMap(({ timer, begins, state, begunAt, endedAt, title, subjectId, step }): BenchClock[] => {
    const clocks: BenchClock[] = []
    if (timer && state === 'begun' && begunAt !== null)
      clocks.push({
        label: title,
        subjectId,
        begunAt,
        ringsAt: begunAt + timer.minutes * MS_PER_MINUTE,
        stopsAt: timer.stopMinutes === null ? null : begunAt + timer.stopMinutes * MS_PER_MINUTE,
        wetEveryMinutes: null,
        step,
      })
    if (begins && state === 'done' && endedAt !== null && endOf(occasions, begins.clock, subjectId) === null)
      clocks.push({
        label: begins.label,
        subjectId,
        begunAt: endedAt,
        ringsAt: endedAt + begins.warnMinutes * MS_PER_MINUTE,
        stopsAt: endedAt + begins.stopMinutes * MS_PER_MINUTE,
        wetEveryMinutes: begins.wetEveryMinutes,
        step: null,
      })
    return clocks
  })
}

/** Where a clock rings at its limit, it is over a minute later: nobody is out in the same second. */
export const isOverLimit = ({ ringsAt, stopsAt }: Pick<BenchClock, 'ringsAt' | 'stopsAt'>, now: number): boolean =>
  stopsAt !== null && now >= (stopsAt > ringsAt ? stopsAt : stopsAt + MS_PER_MINUTE)

/** When a clock of a subject was ended; null while it runs. */
function endOf(occasions: readonly FollowedOccasion[], clock: string, subjectId: string | null): number | null {
  const last = occasions.find(
    (one) => (one.item as ProcedureStep).ends === clock && one.subjectId === subjectId && one.state === 'done',
  )
  return last?.endedAt ?? null
}

/** A clock that has ended: how long somebody was out of the water, or in the tub. */
export interface BenchSpan {
  label: string
  subjectId: string | null
  begunAt: number
  endedAt: number
  stopMinutes: number
}

/** The clocks of a run that have ended. */
export const spansOf = ({ occasions }: Pick<BenchRun, 'occasions'>): BenchSpan[] =>
  occasions.flatMap(({ begins, subjectId, endedAt, state }): BenchSpan[] => {
    if (!begins || state !== 'done' || endedAt === null) return []
    const until = endOf(occasions, begins.clock, subjectId)
    return until === null
      ? []
      : [{ label: begins.label, subjectId, begunAt: endedAt, endedAt: until, stopMinutes: begins.stopMinutes }]
  })

/**
 * A run as its entries leave it: a reload, a killed browser or a second tab changes nothing.
 * @returns null where the journal holds no such run, or its procedure is none
 * @example
 * nextOccasion(benchRun(journal, 'b1')!, now)?.title // what is done next
 */
export const benchRun = (journal: Journal, benchId: string): BenchRun | null =>
  journal.derive(`bench-run:${benchId}`, [`bench:${benchId}`, 'kind:equipment'], () => followRun(journal, benchId))

function followRun(journal: Journal, benchId: string): BenchRun | null {
  const lines = journal.about(`bench:${benchId}`).filter(({ struck }) => !struck)
  const first = lines.find(({ content }) => content.kind === 'bench-start')
  if (first?.content.kind !== 'bench-start') return null
  const start = first.content
  const procedure = procedureById(start.procedure)
  if (!procedure) return null
  const subjectIds = [...(start.partIds ?? []), ...(start.animalIds ?? [])]
  const occasions = occasionsOf(procedure, start, subjectIds).map((occasion): FollowedOccasion => ({
    ...occasion,
    state: 'open',
    begunAt: null,
    endedAt: null,
    why: null,
    values: [],
  }))
  let endedAt: number | null = null
  let end: BenchRun['end'] = null
  let lastMark: BenchRun['lastMark'] = null
  for (const { content, at, id } of lines) {
    if (content.kind === 'bench-end') [endedAt, end] = [at, content]
    if (content.kind !== 'bench-mark') continue
    const subjectId = content.partId ?? content.animalId ?? null
    const one = occasions.find(({ step, subjectId: of }) => step === content.step && subjectId === of)
    // A mark that was made twice, in two tabs, counts once.
    if (!one || !isOpen(one) || (content.state === 'begun' && one.state === 'begun')) continue
    one.state = content.state
    if (content.state === 'begun') one.begunAt = at
    else {
      one.endedAt = at
      one.why = content.why ?? null
      one.values = content.values ?? []
    }
    lastMark = { entryIds: [id, ...switchedWith(journal, start.tankId, at)], title: one.title }
  }
  leaveUnswitched(occasions)
  const totals = new Map<string, number>()
  for (const { values } of occasions) for (const { id, value } of values) totals.set(id, (totals.get(id) ?? 0) + value)
  const hasBegun = occasions.some(({ state }) => state !== 'open')
  return {
    id: benchId,
    entryId: first.id,
    procedure,
    start,
    subjectIds,
    startedAt: first.at,
    endedAt,
    end,
    occasions,
    owed: hasBegun ? occasions.filter((one) => one.place === 'after' && isOpen(one)) : [],
    clocks: endedAt === null ? clocksOf(occasions) : [],
    totals,
    lastMark: endedAt === null ? lastMark : null,
  }
}

/** What was never switched off is not asked to be put back. */
function leaveUnswitched(occasions: FollowedOccasion[]): void {
  const switchOf = ({ item }: FollowedOccasion) => (item as ChecklistItem).switches?.item
  for (const one of occasions) {
    if (one.place !== 'after' || !isOpen(one) || switchOf(one) === undefined) continue
    const before = occasions.find((other) => other.place === 'before' && switchOf(other) === switchOf(one))
    if (before?.state === 'skipped') [one.state, one.why] = ['skipped', 'was not switched']
  }
}

/** The entries of equipment that a mark of the same instant wrote with it. */
const switchedWith = (journal: Journal, tankId: string | undefined, at: number): string[] =>
  journal.ofKind('equipment').flatMap((line) => (line.at === at && line.content.tankId === tankId ? [line.id] : []))

/** The first occasion of each thread (the subjects, and what is done once) that is still open. */
const firstOpenOf = (occasions: readonly FollowedOccasion[], subjectId: string | null): FollowedOccasion | undefined =>
  occasions.find((one) => one.subjectId === subjectId && isOpen(one))

/** A subject whose open step lasts, and lets the next subject be begun. */
const isResting = (one: FollowedOccasion | undefined): boolean =>
  one?.state === 'begun' && one.timer?.meanwhile === true

/**
 * The occasion that stands in the way of another: the first one open before it that is not of another subject which rests.
 * @returns null where it may be done now
 */
export function occasionBefore(
  { occasions }: Pick<BenchRun, 'occasions'>,
  occasion: FollowedOccasion,
): FollowedOccasion | null {
  // What lasts was begun in its order: it may end whatever else is open meanwhile.
  if (occasion.state === 'begun') return null
  for (const one of occasions) {
    if (one.step === occasion.step && one.subjectId === occasion.subjectId) return null
    if (!isOpen(one)) continue
    const isOther = one.subjectId !== null && occasion.subjectId !== null && one.subjectId !== occasion.subjectId
    if (!isOther || !isResting(firstOpenOf(occasions, one.subjectId))) return one
  }
  return null
}

/**
 * What is done next: a timer that has run out first, then the first thing that nothing stands in the way of, then what still
 * lasts.
 * @param now ms
 * @returns null when everything is done or left out
 */
export function nextOccasion(run: Pick<BenchRun, 'occasions'>, now: number): FollowedOccasion | null {
  const { occasions } = run
  const open = occasions.filter(isOpen)
  const hasRung = ({ begunAt, timer, state }: FollowedOccasion) =>
    state === 'begun' && begunAt !== null && timer !== null && now >= begunAt + timer.minutes * MS_PER_MINUTE
  return (
    open.find(hasRung) ??
    open.find((one) => !isResting(one) && occasionBefore(run, one) === null) ??
    open.find(({ state }) => state === 'begun') ??
    null
  )
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
export function stepsToLeave({ occasions, clocks }: Pick<BenchRun, 'occasions' | 'clocks'>): FollowedOccasion[] {
  const runs = (one: FollowedOccasion) =>
    occasions.some(
      ({ begins, state, subjectId }) =>
        state === 'done' && begins?.clock === (one.item as ProcedureStep).ends && subjectId === one.subjectId,
    ) && clocks.some(({ step, subjectId }) => step === null && subjectId === one.subjectId)
  return occasions.filter(
    (one) => one.place === 'step' && isOpen(one) && !((one.item as ProcedureStep).ends !== undefined && runs(one)),
  )
}

/** A piece of equipment that a run has switched off and not on again. */
export interface StillOff {
  item: EquipmentItem
  since: number
}

/** What a run has switched off and not put back; not what is meant to stay off. */
export const stillOff = ({ occasions }: Pick<BenchRun, 'occasions'>): StillOff[] =>
  occasions.flatMap(({ place, state, item, endedAt }): StillOff[] => {
    const { switches, stays } = item as ChecklistItem
    if (place !== 'before' || state !== 'done' || stays || switches?.running !== false || endedAt === null) return []
    const isBack = occasions.some(
      (one) =>
        one.place === 'after' && one.state === 'done' && (one.item as ChecklistItem).switches?.item === switches.item,
    )
    return isBack ? [] : [{ item: switches.item, since: endedAt }]
  })
