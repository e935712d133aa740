import type { Step } from '../../../catalogue/courses/definitions.ts'
import type { Settings } from '../../../household/settings.ts'
import type { Journal } from '../../../journal/journal.ts'
import type { CourseRecord } from '../../record/record.ts'
import type { RuleState } from '../../rules/rules.ts'
import { roundsOf, type MeasureTrack } from '../../tracks/measure.ts'

/** One thing that was off in an outbreak and comes back: a step of the definition, perhaps several times. */
export interface Rung {
  step: Step
  /** Which of its times, 0 the first. */
  nth: number
}

/** What comes back after an outbreak, one thing at a time, and how far it has come. */
export interface Ladder {
  /** From the lowest up. */
  rungs: readonly Rung[]
  /** Rungs that are up. */
  height: number
  /** Ups and downs so far: they name the next task. */
  moves: number
  /** When the last of them was, ms; null before any. */
  movedAt: number | null
  /** The measure is clean since then: the next rung may go up. */
  isClean: boolean
  /** When it was counted, ms. */
  cleanAt: number | null
  /** Rungs that have to go down: it is back, and was seen since the last of them went up. */
  down: readonly Rung[]
  /** Whether what it looks for is back. */
  isBack: boolean
}

/** The step by which rungs go down again. */
export const DOWN_STEP = 'step-down'

/** From this many times the limit on two rungs go down at once (EA). */
const TWICE = 2

/** What a measure has to stay under to be clean, and from where on it is back, in its unit: outbreaks.md 5.1; cells are an assumption (EA). */
export const CLEAN_LIMITS: Readonly<Record<string, { clean: number; back: number }>> = {
  coverage: { clean: 5, back: 5 },
  'pest-count': { clean: 1, back: 1 },
  cells: { clean: 3, back: 5 },
}

/** The rungs of a definition, each as often as it comes back. */
const rungsOf = (steps: readonly Step[]): Rung[] =>
  steps.flatMap((step) =>
    step.rung === undefined ? [] : Array.from({ length: step.rung.times ?? 1 }, (_, nth): Rung => ({ step, nth })),
  )

/** Ups and downs that were kept, in time order: 1 for a rung that went up or is left out, minus for rungs that went down. */
function movesOf(journal: Journal, courseId: string, steps: readonly Step[], until: number) {
  const isRung = new Set(steps.flatMap(({ id, rung }) => (rung === undefined ? [] : [id])))
  return journal.ofKind('task').flatMap(({ at, content }) => {
    if (content.courseId !== courseId || content.state === 'postponed' || at > until) return []
    const [, step = '', which = ''] = content.taskId.split('/')
    if (isRung.has(step)) return [{ at, by: 1 }]
    // “down/3-2”: the third move, two rungs.
    return step === DOWN_STEP && content.state === 'done' ? [{ at, by: -Number(which.split('-')[1] ?? 1) }] : []
  })
}

/**
 * How far the ladder of an aftercare has come, and what goes up or down next: one rung at a time, each after a clean measure of the kind that found
 * the pest; when it is back one or two go down.
 */
export function ladderOf(
  journal: Journal,
  facts: CourseRecord,
  rules: readonly RuleState[],
  { clock }: Pick<Settings, 'clock'>,
): Ladder {
  const { course, now } = facts
  const { steps, tracks } = course.definition
  const rungs = rungsOf(steps)
  const moves = movesOf(journal, course.id, steps, now)
  const height = Math.max(
    0,
    Math.min(
      rungs.length,
      moves.reduce((sum, { by }) => Math.max(0, sum + by), 0),
    ),
  )
  const movedAt = moves.at(-1)?.at ?? null
  const track = tracks.find((one): one is MeasureTrack => one.kind === 'measure')
  const limits = track && CLEAN_LIMITS[track.measure]
  const last = track && roundsOf(facts, track.measure, track.of, clock).at(-1)
  const isNew = last !== undefined && last.at > (movedAt ?? -Infinity)
  const isBack = rules.some(({ role, state }) => role === 'escalate' && state === 'holds')
  const isClean = isNew && limits !== undefined && last.value < limits.clean && !isBack
  const count = isBack && isNew && limits ? (last.value >= TWICE * limits.back ? 2 : 1) : 0
  return {
    rungs,
    height,
    moves: moves.length,
    movedAt,
    isClean,
    cleanAt: isClean ? last.at : null,
    down: rungs.slice(Math.max(0, height - count), height).reverse(),
    isBack,
  }
}
