import type { Step } from '../../catalogue/courses/definitions.ts'
import { agentWord } from '../names.ts'
import { doseById } from '../../catalogue/treatments/treatments.ts'
import { animalById, animalLabel } from '../../household/animals.ts'
import { bindersAt, tankById } from '../../household/tanks.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { lesionText } from '../../watching/lesion-words.ts'
import { lesionLooks } from '../../watching/lesions.ts'
import { listed } from '../../words/numbers.ts'
import { carriedInto } from '../amounts/carried-drugs.ts'
import type { DosesState } from '../tracks/doses.ts'
import '../rules/lesion-rules.ts'
import { closeDosesTask } from './end-steps.ts'
import { addSchedule } from './late-schedules.ts'
import { base, dayNumber, type Draft, type TaskInput } from './step-input.ts'

/** When a lesion is best looked at, and until when that day, minutes since midnight. */
const LOOK = { from: 6 * 60, best: 18 * 60, until: 24 * 60 - 1 } as const
/** A change counts as the share that was asked for from this part of it on: buckets are not measuring jugs (EA). */
const WHOLE_CHANGE = 0.9
/** How long before a dose the change may be made (EA). */
const CHANGE_BEFORE_HOURS = 12

/** A look at the lesion of every fish of the course on each local day, in one task. */
function lesionTasks(input: TaskInput, step: Step): Draft[] {
  const { journal, facts, settings, living, horizon } = input
  const { course, now } = facts
  const { clock } = settings
  const drafts: Draft[] = []
  if (living.length === 0) return drafts
  const lookedOn = new Map(
    living.map((id) => [id, new Set(lesionLooks(journal, id, course.startedAt, now).map(({ at }) => clock.dayOf(at)))]),
  )
  for (let day = Math.max(clock.dayOf(now), clock.dayOf(course.startedAt)); day <= horizon; day++) {
    const open = living.filter((id) => !lookedOn.get(id)!.has(day))
    if (open.length === 0) continue
    const last = open.flatMap((id) => {
      const look = lesionLooks(journal, id, course.startedAt, now).at(-1)
      const animal = animalById(journal, id)
      return look && animal ? [`${animalLabel(animal)} ${lesionText(look)} at the last look`] : []
    })
    const from = clock.instantAt(day, LOOK.from)
    drafts.push({
      ...base(input, step, dayNumber(input, day)),
      title: step.title,
      why: last.length > 0 ? listed(last) : 'the first look is what the others are held against',
      notBefore: from,
      best: Math.max(clock.instantAt(day, LOOK.best), course.startedAt),
      notAfter: clock.instantAt(day, LOOK.until),
      animalIds: open,
    })
  }
  return drafts
}

/** The doses into the water that a step of the course is of. */
const dosesOf = ({ doses }: TaskInput, step: Step): DosesState | undefined =>
  doses.find(({ track }) => track.id === step.track)

/** Litres changed in the tank in a span of time, ms. */
const changedBetween = ({ journal }: TaskInput, tankId: string, from: number, until: number): number =>
  journal
    .ofKind('water-change')
    .filter(({ at, content }) => content.tankId === tankId && at > from && at <= until)
    .reduce((sum, { content }) => sum + content.litres, 0)

/** A change before each dose but the first: it takes out what the drug and the fish left behind. */
function changeTasks(input: TaskInput, step: Step): Draft[] {
  const state = dosesOf(input, step)
  const { facts, journal, living } = input
  const { tankId } = facts.course
  const netL = tankById(journal, tankId)?.volume?.netL ?? null
  if (!state || state.state === 'full' || netL === null || living.length === 0) return []
  const litres = (step.share ?? 0) * netL
  return state.ahead.flatMap(({ ordinal, notBefore, best, notAfter }, i): Draft[] => {
    if (state.done.length + i === 0) return []
    const from = Math.max(notBefore - CHANGE_BEFORE_HOURS * MS_PER_HOUR, state.done.at(-1) ?? 0)
    if (i === 0 && changedBetween(input, tankId, from, facts.now) >= WHOLE_CHANGE * litres) return []
    return [
      {
        ...base(input, step, ordinal),
        title: step.title,
        why: `before dose ${state.done.length + i + 1} of ${state.track.need}`,
        notBefore: from,
        best: best - MS_PER_HOUR / 2,
        notAfter,
        change: { litres, times: 1, fromMgPerL: 0, toMgPerL: 0 },
      },
    ]
  })
}

/** When the last of the doses into the water has worked as long as one does, ms; null before the doses are full. */
function workedOutAt(state: DosesState): number | null {
  const { track, fullAt } = state
  return fullAt === null ? null : fullAt + track.apart.at(-1)![1] * MS_PER_HOUR
}

/** Whether the drug was taken out after its last dose: carbon that came in, or that much water changed. */
function isCleared(input: TaskInput, step: Step, state: DosesState): boolean {
  const { journal, facts } = input
  const { tankId } = facts.course
  const netL = tankById(journal, tankId)?.volume?.netL ?? Infinity
  if (state.state !== 'full') return false
  if (bindersAt(journal, tankId, facts.now).length > 0) return true
  const asked = (step.share ?? 0) * netL
  return changedBetween(input, tankId, state.fullAt!, facts.now) >= WHOLE_CHANGE * asked
}

/** At the end the drug comes out: carbon and a change; a change alone where another course holds a drug that carbon would take. */
function clearTask(input: TaskInput, step: Step): Draft | null {
  const state = dosesOf(input, step)
  const at = state && workedOutAt(state)
  if (!state || at == null || isCleared(input, step, state)) return null
  const { facts, journal } = input
  const { tankId } = facts.course
  const litres = (step.share ?? 0) * (tankById(journal, tankId)?.volume?.netL ?? 0)
  const held = carriedInto(journal, tankId, litres, facts.now)
  const drug = agentWord(doseById(state.track.dose)!.agent)
  const shared = { notBefore: at, best: at, notAfter: at + 2 * MS_PER_DAY }
  const why = `${state.state === 'full' ? 'every dose was given' : 'when every dose was given'}, and the last has worked its time`
  return held.length === 0
    ? { ...base(input, step, 0), ...shared, title: `Take the ${drug} out: carbon in, change a quarter to a half`, why }
    : {
        ...base(input, { ...step, act: 'change' }, 0),
        ...shared,
        title: `Change water to take the ${drug} out`,
        why: `${why}; no carbon: it would take the ${listed(held.map(({ word }) => word))} out too`,
        change: { litres, times: 1, fromMgPerL: 0, toMgPerL: 0 },
      }
}

/** The end: every dose given, and what was dosed into the water taken out. */
function closeTask(input: TaskInput, step: Step): Draft | null {
  const draft = closeDosesTask(input, step)
  const clear = input.facts.course.definition.steps.find(({ due }) => 'by' in due && due.by === 'clear-doses')
  const state = clear && dosesOf(input, clear)
  if (!draft || !clear || !state) return draft
  const at = workedOutAt(state)!
  const isOut = isCleared(input, clear, state)
  return {
    ...draft,
    notBefore: Math.max(draft.notBefore, at),
    best: Math.max(draft.best, at),
    notAfter: draft.notAfter + 2 * MS_PER_DAY,
    ...(!isOut && { waitsFor: ['the drug taken out of the water'] }),
  }
}

addSchedule('lesion-looks', lesionTasks)
addSchedule('change-before-dose', changeTasks)
addSchedule('clear-doses', clearTask)
addSchedule('close-antibiotic', closeTask)
