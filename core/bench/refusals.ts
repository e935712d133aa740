import type { ProcedureStep, StepRecord } from '../catalogue/procedures/procedure.types.ts'
import type { UnitHabits } from '../household/settings.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_DAY, MS_PER_MINUTE } from '../time/zone.ts'
import { measureText } from '../words/measure.ts'
import { askedFigure, sessionLimit, type AmountInput, type SessionLimit } from './amounts.ts'
import { benchRun, isOverLimit, occasionBefore, type BenchRun, type FollowedOccasion } from './follow.ts'

/** What speaks against a mark that is about to be made. */
export interface BenchRefusal {
  words: string
  /** What may be said to do it all the same: a written reason; null where it may not be done. */
  passes: 'reason' | null
}

export type Figures = readonly { id: string; value: number }[]

/** What is known where a mark is judged. */
export interface BenchWater {
  /** Net volume of the run's tank, L; null where it is not known. */
  netL: number | null
  units: UnitHabits
  /** ms */
  now: number
}

/** The figures that a step or an item of a list asks for. */
export const recordsOf = ({ item }: Pick<FollowedOccasion, 'item'>): readonly StepRecord[] => item.records ?? []

/** What amounts of a run are worked out from. */
export const amountInput = (
  { procedure, start, totals }: Pick<BenchRun, 'procedure' | 'start' | 'totals'>,
  netL: number | null,
  psu: number | null = null,
): AmountInput => ({ procedure, start, totals, netL, psu })

/** A figure of a run by its name: typed now, written down earlier, or asked before it began. */
function figureOf(run: BenchRun, values: Figures, id: string): number | null {
  const written = run.occasions.flatMap((one) => one.values).findLast((one) => one.id === id)
  return values.find((one) => one.id === id)?.value ?? written?.value ?? askedFigure(run.start, id)
}

/** A difference of these units has no zero to be moved. */
const apart = (unit: string) => (unit === '°C' || unit === 'psu' ? `${unit} apart` : unit)

/**
 * What was given so far against the limit of a figure: of the whole session, or of one subject where each has its own.
 * @returns in the figure's unit
 */
export function spentOf(
  run: Pick<BenchRun, 'occasions' | 'totals'>,
  { id }: StepRecord,
  { per }: Pick<SessionLimit, 'per'>,
  subjectId: string | null,
): number {
  if (per === 'session') return run.totals.get(id) ?? 0
  return run.occasions
    .filter((one) => one.subjectId === subjectId)
    .flatMap(({ values }) => values.filter((figure) => figure.id === id))
    .reduce((sum, { value }) => sum + value, 0)
}

function figureRefusal(
  run: BenchRun,
  record: StepRecord,
  subjectId: string | null,
  values: Figures,
  { netL, units }: BenchWater,
): string | null {
  const { id, label, unit, least, most, near } = record
  const value = values.find((one) => one.id === id)?.value
  if (value === undefined) return null
  const said = `${measureText(value, unit, units, 3)}, ${label}`
  if (least && value < least.value) return `${said}: under ${measureText(least.value, unit, units, 3)}. ${least.words}`
  if (most && value > most.value) return `${said}: over ${measureText(most.value, unit, units, 3)}. ${most.words}`
  const other = near && figureOf(run, values, near.record)
  if (near && other !== null && other !== undefined && Math.abs(value - other) > near.within + 1e-9)
    return `${said}: ${measureText(Math.abs(value - other), apart(unit), units, 2)} apart. ${near.words}`
  if (!record.sessionLimit) return null
  const limit = sessionLimit(record.sessionLimit, amountInput(run, netL))
  const { most: cap, unit: capUnit, words } = limit
  const sum = spentOf(run, record, limit, subjectId) + value
  return sum > cap + 1e-9
    ? `${Number(sum.toPrecision(3))} ${capUnit} is over the ${Number(cap.toPrecision(3))} ${capUnit} ${words}. Stop here: go on tomorrow, or change water first.`
    : null
}

/**
 * Whether an occasion may be marked done now.
 * @param values the figures that are written down with it
 * @returns null where nothing speaks against it
 */
export function refusalOf(
  run: BenchRun,
  occasion: FollowedOccasion,
  values: Figures,
  water: BenchWater,
): BenchRefusal | null {
  const first = occasionBefore(run, occasion)
  if (first) return { words: `First: ${first.title}. The order keeps animals safe.`, passes: null }
  for (const record of recordsOf(occasion)) {
    const words = figureRefusal(run, record, occasion.subjectId, values, water)
    if (words !== null) return { words, passes: null }
  }
  const { timer, begunAt } = occasion
  if (!timer || begunAt === null) return null
  const left = begunAt + timer.leastMinutes * MS_PER_MINUTE - water.now
  return left > 0
    ? {
        words: `${Math.min(timer.leastMinutes, Math.ceil(left / MS_PER_MINUTE))} min too early: it works for ${timer.leastMinutes} min at least.`,
        passes: 'reason',
      }
    : null
}

/** Figures that have to be given before a step is done. */
export const missingFigures = (occasion: Pick<FollowedOccasion, 'item'>, values: Figures): StepRecord[] =>
  recordsOf(occasion).filter(
    ({ id, mayBeEmpty, begins }) => mayBeEmpty !== true && begins === undefined && !values.some((one) => one.id === id),
  )

/**
 * What is over its limit now, in words, with what to do: somebody is in the air or in the tub for too long.
 * @param name what a subject is called
 */
export const overLimit = (run: Pick<BenchRun, 'clocks' | 'occasions'>, now: number, name: (id: string) => string) =>
  run.clocks.flatMap((clock): string[] => {
    const { label, subjectId, begunAt, stopsAt, step } = clock
    if (stopsAt === null || !isOverLimit(clock, now)) return []
    const who = subjectId === null ? '' : `${name(subjectId)}: `
    const minutes = Math.floor((now - begunAt) / MS_PER_MINUTE)
    const ends = run.occasions.find(
      (one) => one.subjectId === subjectId && one.state === 'open' && (one.item as ProcedureStep).ends !== undefined,
    )
    const todo = step !== null ? 'end it now' : ends ? `now: ${ends.title}` : 'back into its water now'
    return [
      `${who}${minutes} min, ${label}: over the ${Math.round((stopsAt - begunAt) / MS_PER_MINUTE)} min. ${capital(todo)}.`,
    ]
  })

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/**
 * The last time that a procedure was done to some of these within the days that it asks for.
 * @returns null where it may be done again
 */
export function doneTooRecently(
  journal: Journal,
  { id, notWithinDays }: BenchRun['procedure'],
  subjectIds: readonly string[],
  now: number,
): { at: number; againAt: number } | null {
  if (notWithinDays === undefined) return null
  const last = journal
    .ofKind('bench-start')
    .filter(
      ({ content }) => content.procedure === id && (content.partIds ?? []).some((one) => subjectIds.includes(one)),
    )
    .flatMap(({ content }) => benchRun(journal, content.benchId) ?? [])
    .findLast(({ occasions }) => occasions.some(({ place, state }) => place === 'step' && state === 'done'))
  const againAt = (last?.startedAt ?? -Infinity) + notWithinDays * MS_PER_DAY
  return last && now < againAt ? { at: last.startedAt, againAt } : null
}
