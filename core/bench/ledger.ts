import type { CountMeasure } from '../catalogue/courses/definition.ts'
import type { Procedure, ProcedureStep } from '../catalogue/procedures/procedure.types.ts'
import { animalById, tankOfAnimal } from '../household/animals.ts'
import { peroxideStrength } from '../dosing/peroxide.ts'
import { productById, shelfOf, type ShelfProduct } from '../household/shelf.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { courseById, coursesOf } from '../courses/course.ts'
import { coursePlan } from '../courses/plan.ts'
import type { CourseTask } from '../courses/tasks.ts'
import { DEFAULT_SETTINGS, settingsOf } from '../household/settings.ts'
import { wordContent } from '../schedule/task.ts'
import { iso, MS_PER_MINUTE } from '../time/zone.ts'
import { amountOf, askedFigure, SAME_STRENGTH, type AmountInput } from './amounts.ts'
import type { BenchRun, FollowedOccasion } from './follow.ts'
import type { BenchStart } from './occasions.ts'
import { amountInput, recordsOf } from './refusals.ts'

type Draft = Pick<
  BenchStart,
  'procedure' | 'tankId' | 'animalIds' | 'partIds' | 'toTankId' | 'courseId' | 'taskId' | 'overrides'
> &
  AmountInput['start']

/** Entries say for which occasion of which course they were done, and what was set aside for them. */
const stamped = ({ courseId, taskId, overrides }: Draft) => ({
  ...(courseId !== undefined && { courseId }),
  ...(taskId !== undefined && { taskId }),
  ...(overrides && { overrides }),
})

/** The bottle that a session was drawn from: the course's own, else the only one of its kind on the shelf; null where nobody can say. */
export function bottleOf(
  journal: Journal,
  { procedure }: Pick<BenchRun, 'procedure'>,
  courseId: string | undefined,
): ShelfProduct | null {
  const ingredient = procedure.doses?.ingredient
  const course = courseId === undefined ? null : courseById(journal, courseId)
  const wanted = course?.definition.products.find((one) => one.ingredient === ingredient)
  const named = wanted && course?.products[wanted.dose]
  if (named !== undefined) return productById(journal, named)
  const onShelf = shelfOf(journal).filter((one) => one.ingredient === ingredient)
  return onShelf.length === 1 ? onShelf[0]! : null
}

/** The bottle of a session, as its start keeps it; nothing where none is known, or it is not measured in mL. */
export const drawnFromBottle = (bottle: ShelfProduct | null): Pick<BenchStart, 'bottle'> =>
  bottle?.unit === 'mL'
    ? {
        bottle: {
          name: bottle.name,
          mgPerMl: bottle.mgPerUnit,
          ...(bottle.measure && { step: bottle.measure.step }),
        },
      }
    : {}

/** The same dose as what was drawn from the bottle: of 6 % half as many mL. */
function drawnFrom(dose: ContentOf<'dose'>, bottle: ShelfProduct | null): ContentOf<'dose'> {
  if (!bottle || bottle.unit !== 'mL' || dose.massMg === undefined || !(bottle.mgPerUnit > 0)) return dose
  const { id: productId, mgPerUnit } = bottle
  // The same strength as the bench counts in: the mL are the bottle's own.
  const isSame = Math.abs((mgPerUnit * dose.amount) / dose.massMg - 1) < SAME_STRENGTH
  return isSame
    ? { ...dose, productId, massMg: dose.amount * mgPerUnit }
    : { ...dose, productId, amount: Number((dose.massMg / mgPerUnit).toPrecision(4)) }
}

/** What a figure's sum of 3 % peroxide is as a dose into the tank. */
export function peroxideDose(
  { procedure }: Pick<BenchRun, 'procedure'>,
  start: Draft,
  ml: number,
  happened: string,
): ContentOf<'dose'> | null {
  if (!procedure.doses || start.tankId === undefined || !(ml > 0)) return null
  const strength = peroxideStrength({ percentByMass: procedure.doses.percentByMass })
  if (!strength.ok) return null
  return {
    kind: 'dose',
    happened,
    tankId: start.tankId,
    ingredient: procedure.doses.ingredient,
    amount: Number(ml.toPrecision(8)),
    unit: 'mL',
    massMg: ml * strength.value.mgPerMl,
    ...stamped(start),
  }
}

/** A bath or a dip of what was measured out; a freshwater dip is its water alone. */
export function bathOf(
  { measuredOut }: Pick<Procedure, 'measuredOut'>,
  start: Draft,
  minutes: number,
  happened: string,
  stopped?: string,
): ContentOf<'bath'> | null {
  const litres = askedFigure(start, 'tubL')
  if (start.tankId === undefined || litres === null || !(litres > 0) || !(minutes > 0)) return null
  // Nothing was measured out yet.
  if (measuredOut && !start.measuredOut) return null
  const isDip = (start.partIds ?? []).length > 0
  return {
    kind: 'bath',
    happened,
    tankId: start.tankId,
    animalIds: [...(start.animalIds ?? [])],
    ...(isDip && { partIds: [...start.partIds!] }),
    ...(start.measuredOut
      ? withoutStep(start.measuredOut)
      : { ingredient: 'fw-dip', amount: litres * ML_PER_L, unit: 'mL' as const }),
    litres,
    water: isDip ? 'tank' : 'new',
    minutes,
    ...(stopped !== undefined && { stopped }),
    ...stamped(start),
  }
}

const ML_PER_L = 1000

/** What was measured out, without the step of its tool. */
function withoutStep({
  ingredient,
  productId,
  amount,
  unit,
  massMg,
}: NonNullable<BenchStart['measuredOut']>): Omit<NonNullable<BenchStart['measuredOut']>, 'step'> {
  return {
    ingredient,
    ...(productId !== undefined && { productId }),
    amount,
    unit,
    ...(massMg !== undefined && { massMg }),
  }
}

/** The moves of a run's animals into the tank that was named. */
export const movesOf = (journal: Journal, start: Draft, animalIds: readonly string[], happened: string): Content[] =>
  start.toTankId === undefined
    ? []
    : animalIds.flatMap((animalId): Content[] => {
        const animal = animalById(journal, animalId)
        const from = animal && tankOfAnimal(animal)
        return from && from !== start.toTankId
          ? [
              {
                kind: 'move',
                happened,
                animalId,
                fromTankId: from,
                toTankId: start.toTankId!,
                cleanTransfer: true,
                ...stamped(start),
              },
            ]
          : []
      })

/** What was measured out for the tank, or a share of it, as a dose. */
export function measuredDose(start: Draft, amount: number, happened: string): ContentOf<'dose'> | null {
  const { measuredOut, tankId } = start
  if (!measuredOut || tankId === undefined || !(amount > 0)) return null
  const { ingredient, productId, unit, massMg } = measuredOut
  return {
    kind: 'dose',
    happened,
    tankId,
    ingredient,
    ...(productId !== undefined && { productId }),
    amount: Number(amount.toPrecision(8)),
    unit,
    ...(massMg !== undefined && { massMg: (massMg * amount) / measuredOut.amount }),
    ...stamped(start),
  }
}

/** The counts of the ledger that a run's figures become, each measure with all its parts; of the whole tank a number alone. */
function countsOf({ occasions, start }: BenchRun): Content[] {
  const { tankId, courseId, taskId } = start
  if (tankId === undefined) return []
  const counts = new Map<CountMeasure, { at: number; parts: { partId: string; value: number }[] }>()
  const ofTank: Content[] = []
  const stamp = { ...(courseId !== undefined && { courseId }), ...(taskId !== undefined && { taskId }) }
  for (const one of occasions) {
    if (one.state !== 'done' || one.endedAt === null) continue
    for (const { id, keeps } of recordsOf(one)) {
      const value = one.values.find((figure) => figure.id === id)?.value
      if (!keeps || value === undefined) continue
      if (one.subjectId === null) {
        ofTank.push({ kind: 'count', happened: iso(one.endedAt), tankId, measure: keeps, values: [value], ...stamp })
        continue
      }
      const count = counts.get(keeps) ?? { at: one.endedAt, parts: [] }
      counts.set(keeps, { at: one.endedAt, parts: [...count.parts, { partId: one.subjectId, value }] })
    }
  }
  return [
    ...ofTank,
    ...[...counts].map(([measure, { at, parts }]): Content => ({
      kind: 'count',
      happened: iso(at),
      tankId,
      measure,
      parts,
      ...stamp,
    })),
  ]
}

/** A dip or a bath of those whose timer ran: as long as the longest was in it, when the last one came out. */
function bathsOf({ procedure, occasions, start }: BenchRun): Content[] {
  const done = occasions.filter(
    (one) =>
      (one.item as ProcedureStep).makes === 'bath' &&
      one.state === 'done' &&
      one.begunAt !== null &&
      one.endedAt !== null,
  )
  if (done.length === 0) return []
  const partIds = done.flatMap(({ subjectId }) => subjectId ?? [])
  const longest = Math.max(...done.map(({ begunAt, endedAt }) => (endedAt! - begunAt!) / MS_PER_MINUTE))
  const at = Math.max(...done.map(({ endedAt }) => endedAt!))
  const { why } = done.find((one) => one.why !== null) ?? { why: null }
  const bath = bathOf(
    procedure,
    partIds.length > 0 ? { ...start, partIds } : start,
    Math.max(0.1, Math.round(longest * 10) / 10),
    iso(at),
    why ?? undefined,
  )
  return bath ? [bath] : []
}

/** The entry of one step that makes one by itself. */
function madeBy(journal: Journal, run: BenchRun, one: FollowedOccasion, netL: number | null): Content[] {
  const { makes, amount } = one.item as ProcedureStep
  const { start } = run
  if (one.state !== 'done' || one.endedAt === null || makes === undefined || start.tankId === undefined) return []
  const happened = iso(one.endedAt)
  const written = (id: string) => one.values.find((figure) => figure.id === id)?.value
  const worked = amount === undefined ? null : amountOf(amount, amountInput(run, netL))
  switch (makes) {
    case 'move':
      return movesOf(journal, start, one.subjectId === null ? (start.animalIds ?? []) : [one.subjectId], happened)
    case 'water-change': {
      const litres = written('changedL') ?? worked?.value ?? 0
      return litres > 0
        ? [{ kind: 'water-change', happened, tankId: start.tankId, litres: Number(litres.toPrecision(8)) }]
        : []
    }
    case 'dose': {
      const dose = worked && measuredDose(start, worked.value, happened)
      return dose ? [dose] : []
    }
    case 'new-water': {
      const litres = askedFigure(start, 'litres')
      const salt = amountOf('salt', amountInput(run, netL))
      const [psu, celsius] = [written('mixedPsu'), written('mixedC')]
      return litres === null
        ? []
        : [
            {
              kind: 'new-water',
              happened,
              litres,
              ...(salt && { saltG: Number(salt.value.toPrecision(6)) }),
              ...(psu !== undefined && { salinityPsu: psu }),
              ...(celsius !== undefined && { readings: [{ parameter: 'temperature', value: celsius }] }),
            },
          ]
    }
    case 'bath':
      return []
  }
}

/** Acts of a course that only the keeper's word finishes: doses, baths, moves and counts are found by their entries. */
const BY_WORD: ReadonlySet<string> = new Set(['bench', 'tick'])

/** Open tasks of the plans of a tank that a procedure does: a run that was begun from the bench's own list belongs to them too. */
function openTasksOf(
  journal: Journal,
  procedureId: string,
  { tankId, courseId }: BenchStart,
  now: number,
): CourseTask[] {
  const settings = settingsOf(journal) ?? DEFAULT_SETTINGS
  return coursesOf(journal)
    .filter(
      ({ id, tankId: where, ended, startedAt, definition }) =>
        where === tankId &&
        ended === null &&
        startedAt <= now &&
        (courseId === undefined || id === courseId) &&
        definition.steps.some(({ act, procedure }) => act === 'bench' && procedure === procedureId),
    )
    .flatMap((course) => coursePlan(journal, course, settings, now).tasks)
    .filter(
      ({ act, procedure, notBefore, state }) =>
        act === 'bench' && procedure === procedureId && notBefore <= now && state !== 'ahead',
    )
}

/** The word that a task is done, and with it what the same run does of the plan. */
function doneWords(
  journal: Journal,
  { id, courseId }: { id: string; courseId: string | undefined },
  tankId: string,
  now: number,
): Content[] {
  const [, stepId, ordinal] = id.split('/')
  const course = courseId === undefined ? null : courseById(journal, courseId)
  const steps = course?.definition.steps ?? []
  if (course && !BY_WORD.has(steps.find((one) => one.id === stepId)?.act ?? '')) return []
  const parts = steps
    .filter(({ partOfBench }) => partOfBench === stepId)
    .map((one) => `${courseId}/${one.id}/${ordinal}`)
  return [id, ...parts].map((taskId) =>
    wordContent({ id: taskId, tankId, ...(courseId !== undefined && { courseId }) }, 'done', now),
  )
}

/** The words that the tasks are done that a run did, where its own entries do not say so. */
function taskWords(journal: Journal, procedureId: string, start: BenchStart, now: number): Content[] {
  const { taskId, tankId, courseId } = start
  if (tankId === undefined) return []
  const tasks = taskId === undefined ? openTasksOf(journal, procedureId, start, now) : [{ id: taskId, courseId }]
  return tasks.flatMap((task) => doneWords(journal, task, tankId, now))
}

/**
 * What a procedure leaves in the ledger when it is closed: doses, baths and dips, moves, counts, changed and mixed water, each when
 * it happened; and the word that the course's task is done.
 * @param netL of its tank, for amounts that are shares of it
 * @param now  ms
 * @example
 * keep([...ledgerOf(journal, run, 84, now), { kind: 'bench-end', benchId: run.id, outcome: 'finished', happened: iso(now) }])
 */
export function ledgerOf(journal: Journal, run: BenchRun, netL: number | null, now: number): Content[] {
  const { procedure, start, occasions } = run
  const recordId = procedure.doses?.recordId
  const lastDosed = occasions.findLast(({ values }) => values.some(({ id }) => id === recordId))?.endedAt ?? now
  const dose = peroxideDose(run, start, run.totals.get(recordId ?? '') ?? 0, iso(lastDosed))
  const isDone = occasions.some(({ place, state }) => place === 'step' && state === 'done')
  return [
    ...(dose ? [drawnFrom(dose, bottleOf(journal, run, start.courseId))] : []),
    ...bathsOf(run),
    ...occasions.flatMap((one) => madeBy(journal, run, one, netL)),
    ...countsOf(run),
    ...(isDone ? taskWords(journal, procedure.id, start, now) : []),
  ]
}
