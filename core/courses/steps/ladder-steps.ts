import type { Step } from '../../catalogue/courses/definitions.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { listed } from '../../words/numbers.ts'
import { ladderOf, type Ladder, type Rung } from '../outlook/plans/ladder.ts'
import { addSchedule } from './late-schedules.ts'
import { closePlanTask, planTasks } from './plan-steps.ts'
import { base, type Draft, type TaskInput } from './step-input.ts'

/** Days between two rungs: what one of them feeds shows within a week (outbreaks.md 5.2, dino-uv 7). */
const RUNG_DAYS = 7

const ladder = ({ journal, facts, rules, settings }: TaskInput): Ladder => ladderOf(journal, facts, rules, settings)

const titleOf = ({ step, nth }: Rung): string => (nth === 0 ? step.title : `${step.title}, another one`)

/** The next rung, a week after the last one: it waits for a clean measure since then. */
function rungTask(input: TaskInput, step: Step): Draft | null {
  const { height, moves, movedAt, isClean, isBack, rungs } = ladder(input)
  const next = rungs[height]
  if (!next || next.step.id !== step.id) return null
  const { clock } = input.settings
  const { startedAt, readAtMinute } = input.facts.course
  const day = clock.dayOf(movedAt ?? startedAt) + RUNG_DAYS
  const best = clock.instantAt(day, readAtMinute)
  return {
    ...base(input, step, moves),
    title: titleOf(next),
    why: `step ${height + 1} of ${rungs.length} back to normal, one a week`,
    notBefore: clock.instantAt(day),
    best,
    notAfter: best + RUNG_DAYS * MS_PER_DAY,
    ...(!isClean && {
      waitsFor: [isBack ? 'it is back: nothing more is brought back' : 'a clean look since the last step'],
    }),
  }
}

/** When it is back, the last one or two rungs go down again. */
function downTask(input: TaskInput, step: Step): Draft | null {
  const { down, moves } = ladder(input)
  const { now } = input.facts
  if (down.length === 0) return null
  const switches = down.flatMap((rung) => (rung.step.switches ?? []).map((one) => ({ ...one, running: !one.running })))
  const isCrew = down.some((rung) => rung.step.moves === 'crew-back')
  return {
    ...base(
      input,
      { ...step, ...(switches.length > 0 && { switches }), ...(isCrew && { moves: 'crew-out' as const }) },
      `${moves}-${down.length}`,
    ),
    title: `Back down: undo ${listed(down.map((rung) => `“${titleOf(rung)}”`))}`,
    why: 'it is back: what was brought back last may feed it',
    notBefore: now,
    best: now,
    notAfter: now + 2 * MS_PER_DAY,
  }
}

/** What comes back on its own days, held while it is back. */
function heldTasks(input: TaskInput, step: Step): Draft[] {
  if (!step.heldDays) return []
  const drafts = planTasks(input, { ...step, due: step.heldDays })
  return ladder(input).isBack
    ? drafts.map((draft) => ({ ...draft, waitsFor: ['it is back: nothing more is brought back'] }))
    : drafts
}

/** The end: reached, with every rung up; else only by a written reason. */
function closeTask(input: TaskInput, step: Step): Draft | null {
  const draft = closePlanTask(input, step)
  if (!draft) return null
  const { height, rungs, isBack } = ladder(input)
  const isReached = input.rules.some(({ role, state }) => role === 'success' && state === 'holds')
  if (isReached && height >= rungs.length) return draft
  const open = isBack
    ? 'it is back'
    : height < rungs.length
      ? `${rungs.length - height} of ${rungs.length} steps back to normal are left`
      : 'it is not reached'
  return { ...draft, why: `${open}: finished only by a reason`, needsReason: true }
}

addSchedule('rungs', rungTask)
addSchedule('rung-down', downTask)
addSchedule('held-days', heldTasks)
addSchedule('close-ladder', closeTask)
