import type { Step } from '../../catalogue/courses/definitions.ts'
import { isCopper } from '../../catalogue/treatments/groups.ts'
import type { Settings } from '../../household/settings.ts'
import type { Journal } from '../../journal/journal.ts'
import type { Day } from '../../time/zone.ts'
import { lastTopOffAt } from '../../water/level-line.ts'
import type { DrugCourse } from '../course.ts'
import { agentWord } from '../names.ts'
import type { CourseRecord, DrugRecord, KnownLevel } from '../record/record.ts'
import type { RampState } from '../amounts/ramp.ts'
import type { RuleState } from '../rules/rules.ts'
import type { CourseTask } from '../tasks.ts'
import type { HoldCount } from '../tracks/hold.ts'
import type { DipsState } from '../tracks/dips.ts'
import type { DosesState } from '../tracks/doses.ts'
import type { ElapsedState } from '../tracks/elapsed.ts'
import type { FishlessState } from '../tracks/fishless.ts'
import type { RoundsState } from '../tracks/rounds.ts'
import type { SalinityState } from '../tracks/salinity.ts'
import type { SeriesState } from '../tracks/series.ts'
import type { Observation } from '../tracks/watch.ts'
import type { Watched } from '../record/watched.ts'

/** The held drug of a course as it stands. */
export interface DrugState {
  facts: DrugRecord
  known: KnownLevel | null
  ramp: RampState
  clock: HoldCount
}

/** What the tasks of a course are worked out from. */
export interface TaskInput {
  journal: Journal
  settings: Settings
  facts: CourseRecord
  drug: DrugState | null
  rounds: RoundsState | null
  series: SeriesState | null
  fishless: FishlessState | null
  salinity: SalinityState | null
  doses: readonly DosesState[]
  dips: DipsState | null
  elapsed: ElapsedState | null
  seen: Watched
  rules: readonly RuleState[]
  observation: Observation | null
  living: readonly string[]
  /** Last local day whose tasks are wanted. */
  horizon: Day
}

/** The same for a course whose drug is held. */
export type DrugInput = TaskInput & DrugState

/** A task before it is held against what was said of it. */
export type Draft = Omit<CourseTask, 'state' | 'postponed'>

/**
 * What all drafts of a course share.
 * @param occasion the ordinal, or the id of the entry that caused it
 * @param aliases  what earlier versions called the same occasion, after the course's id
 */
export const base = (
  { facts: { course }, rounds }: TaskInput,
  step: Pick<Step, 'id' | 'act' | 'caution' | 'how' | 'switches' | 'moves'>,
  occasion: string | number,
  aliases: readonly string[] = [],
) => ({
  id: `${course.id}/${step.id}/${occasion}`,
  ...(aliases.length > 0 && { aliases: aliases.map((alias) => `${course.id}/${alias}`) }),
  courseId: course.id,
  tankId: rounds?.tankId ?? course.tankId,
  step: step.id,
  act: step.act,
  ...(step.caution !== undefined && { caution: step.caution }),
  ...(step.how !== undefined && { how: step.how }),
  ...(step.switches && { switches: step.switches }),
  ...(step.moves && { moves: step.moves }),
})

/** The rules that a step needs and that do not hold yet, in words: until then it waits. */
export const waitsForOf = ({ rules }: Pick<TaskInput, 'rules'>, { needs = [] }: Step): string[] =>
  rules.filter(({ id, state }) => needs.includes(id) && state !== 'holds').map(({ rule }) => rule)

/** What an amount waits for after a top-off: filled up and stirred, the level is what the next reading says. */
export function unreadAfterTopOff(
  { journal, facts }: Pick<TaskInput, 'journal' | 'facts'>,
  readAt: number | null,
): string[] {
  const filledAt = lastTopOffAt(journal, facts.course.tankId, facts.now)
  return filledAt !== null && filledAt >= facts.course.startedAt && filledAt > (readAt ?? -Infinity)
    ? ['a reading after the top-off']
    : []
}

/** A step with something to say beside it. */
export const withHow = (step: Step, how: string | undefined): Step => (how === undefined ? step : { ...step, how })

/** What was switched for a course and is put back at its end, in a sentence; undefined where nothing was. */
export const restoreWords = ({ facts: { course } }: TaskInput): string | undefined =>
  course.definition.restore.length === 0
    ? undefined
    : `Put back what was switched for it: ${course.definition.restore.map((item) => item.replaceAll('-', ' ')).join(', ')}.`

/** Whole local days from the course's first. */
export const dayNumber = ({ facts, settings }: TaskInput, day: Day): number =>
  day - settings.clock.dayOf(facts.course.startedAt)

/** What a course's drug is called in a sentence: "copper" for all its forms. */
export const drugWord = ({ dose }: Pick<DrugCourse, 'dose'>): string =>
  isCopper(dose.agent) ? 'copper' : agentWord(dose.agent)
