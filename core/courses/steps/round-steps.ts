import type { Step } from '../../catalogue/courses/definitions.ts'
import { doseById } from '../../catalogue/treatments/treatments.ts'
import { animalById, animalLabel } from '../../household/animals.ts'
import { productById } from '../../household/shelf.ts'
import { tankById } from '../../household/tanks.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import { momentBeside, spanText } from '../../time/words.ts'
import { plannedBath } from '../amounts/planned-bath.ts'
import { SET_REST_HOURS } from '../record/record-parts.ts'
import { expectedRounds } from '../tracks/rounds.ts'
import { nextTankId, setState } from '../tracks/sets.ts'
import { addSchedule } from './late-schedules.ts'
import { base, type Draft, type TaskInput } from './step-input.ts'

const namesOf = ({ journal, living }: TaskInput): string => {
  const names = living.flatMap((id) => {
    const animal = animalById(journal, id)
    return animal ? [animalLabel(animal)] : []
  })
  return names.length > 2 ? `all ${names.length}` : names.join(' and ')
}

/** The moves to come, each at most the rule's interval after the one before: quarantine.md 7.2. */
function moveTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, rounds, living, journal, settings } = input
  if (!rounds || living.length === 0) return []
  const { maxIntervalHours } = rounds.track.rule
  let from = rounds.tankId
  return expectedRounds(rounds, facts.now, input.settings)
    .filter(({ of }) => of === 'move')
    .map(({ ordinal, of: _, ...window }, i) => {
      const to = nextTankId(facts, { tankId: from })
      const target = to === null ? null : tankById(journal, to)
      const isLate = i === 0 && rounds.overdueHours !== null
      const draft: Draft = {
        ...base(input, step, ordinal),
        tankId: from,
        title: `Move ${namesOf(input)}${target ? ` to ${target.name}` : ''}`,
        why: isLate
          ? `${spanText(rounds.overdueHours!)} late: it becomes hour 0, and the moves before it no longer count`
          : i === 0
            ? `by ${momentBeside(window.notAfter, facts.now, settings.clock)}: at most ${maxIntervalHours} h after the one before`
            : `at most ${maxIntervalHours} h after the one before`,
        ...window,
        animalIds: living,
        ...(to !== null && { toTankId: to }),
      }
      if (to !== null) from = to
      return draft
    })
}

/** The baths to come: the first on the way of a move, the second six days after it. */
function bathTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, rounds, living, journal } = input
  const baths = rounds?.baths
  if (!rounds || !baths || living.length === 0) return []
  const { course } = facts
  const dose = doseById(baths.track.dose)!
  const productId = course.products[baths.track.dose]
  const tub = course.tanks.tub === undefined ? null : tankById(journal, course.tanks.tub)
  const bath = plannedBath(
    dose,
    productId === undefined ? null : productById(journal, productId),
    tub?.volume?.netL ?? null,
  )
  const to = nextTankId(facts, { tankId: rounds.tankId })
  return expectedRounds(rounds, facts.now, input.settings)
    .filter(({ of }) => of === 'bath')
    .map(({ ordinal, of: _, ...window }, i) => ({
      ...base(input, step, ordinal),
      title: `Peroxide bath, ${bath.minutes[0]} min, then the move`,
      why:
        baths.done.length + i === 0
          ? 'the first of two, on the way to the next tank'
          : 'six days after the first, give or take six hours',
      ...window,
      animalIds: living,
      bath,
      ...(to !== null && { toTankId: to }),
    }))
}

/** The set that the fish left is emptied and bleached or dried, early enough to stand for a day before it is used again. */
function setTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, rounds, journal } = input
  if (!rounds || rounds.doneAt !== null || rounds.dueBy === null) return []
  const next = nextTankId(facts, rounds)
  const left = next === null ? null : setState(facts, next)
  if (next === null || left === null || left.usedAt === null || left.readyAt !== null) return []
  const name = tankById(journal, next)?.name ?? 'the tank they left'
  return [
    {
      ...base(input, step, rounds.madeInAll),
      tankId: next,
      title: `Empty ${name} and make it sterile`,
      why: `bleached or dried, it has to stand ${SET_REST_HOURS} h before the next move`,
      notBefore: left.usedAt,
      best: left.usedAt,
      notAfter: Math.max(left.usedAt, rounds.dueBy - SET_REST_HOURS * MS_PER_HOUR),
    },
  ]
}

addSchedule('moves', moveTasks)
addSchedule('baths', bathTasks)
addSchedule('sets', setTasks)
