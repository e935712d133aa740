import { courseById } from '../courses/course.ts'
import type { Journal } from '../journal/journal.ts'
import { TRANSFER_RULES } from '../catalogue/treatments/transfer-rules.data.ts'
import { PREPARATION_TICKS } from '../arrivals/run/ticks.ts'

/** What a task is about, by the kind that stands in its id. */
const NAMES: Readonly<Record<string, string>> = {
  ramp: 'step of the ramp',
  redose: 'redose',
  read: 'daily reading',
  ammonia: 'test ammonia',
  dilute: 'change water, over range',
  join: 'newcomer in a course',
  move: 'move the fish',
  clear: 'take the drug out',
  finish: 'finish the course',
  watch: 'watch half an hour',
  look: 'watch half an hour',
  close: 'finish the course',
  bath: 'peroxide bath',
  sterilise: 'make a tank sterile',
  'step-1': 'first step of the plan',
  'step-2': 'session of the plan',
  'step-2-change': 'change after a session',
  'step-3': 'score of the plan',
  'step-4': 'last step of the plan',
  chore: 'chore',
  'coral-look': 'look at a moved coral',
  'case-look': 'look at what was changed',
  bench: 'look after the bench',
  'first-meal': 'first meal',
  'evening-check': 'look before the night',
  'morning-check': 'head count',
  'light-on': 'lights on again',
  'flow-up': 'flow up again',
  'light-step': 'light step',
  'settle-watch': 'watch them together',
  'box-check': 'watch through the door',
  open: 'open the door',
  stop: 'part them',
  'wound-check': 'look for wounds',
  training: 'feeding training',
}

/** Ids that begin with their kind; those of a course, a run and an introduction have whose it is first. */
const KIND_FIRST: ReadonlySet<string> = new Set(['training', 'chore', 'coral-look', 'case-look', 'bench'])

/**
 * What a task was, from its id, for the entries that say that it was done, skipped or put off.
 * @param taskId as the schedule made it: `copper-quar/read/2026-11-23`, `arrival/r1/first-meal/1`
 * @returns null for the id of a task that this version does not know
 * @example
 * taskName('copper-quar/read/2026-11-23') // 'read copper'
 */
export function taskName(taskId: string): string | null {
  const parts = taskId.split('/')
  const rule = parts[1] === 'rule' ? TRANSFER_RULES.find(({ id }) => id === parts[2]) : undefined
  if (rule) return rule.rule
  if (parts[0] === 'prep')
    return PREPARATION_TICKS.find(({ id }) => id === parts.at(-1))?.title ?? 'preparation of a tank'
  const kind = KIND_FIRST.has(parts[0]!)
    ? parts[0]
    : parts[0] === 'arrival' || parts[0] === 'introduction'
      ? parts[2]
      : parts[1]
  return NAMES[kind ?? ''] ?? null
}

/**
 * What a task was in words: a plan's own step by its title, all others by their kind.
 * @returns null for a task that this version does not know
 */
export function taskTitle(journal: Journal, taskId: string): string | null {
  const [courseId = '', stepId] = taskId.split('/')
  const definition = courseById(journal, courseId)?.definition
  const step = definition?.kind === 'plan' ? definition.steps.find(({ id }) => id === stepId) : undefined
  return step?.title ?? taskName(taskId)
}
