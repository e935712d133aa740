import { animalGroupById } from '../catalogue/animal-group.ts'
import type { CoursePlan } from '../courses/plan.ts'
import { coursesOf, type Course } from '../courses/course.ts'
import { animalById, animalsOf, type Animal } from '../household/animals.ts'
import { netVolumeAt } from '../household/tanks.ts'
import { firstAtOrAfter, type Journal } from '../journal/journal.ts'
import { MS_PER_HOUR } from '../time/zone.ts'
import { CHANGE_SHARES, POINTS, WINDOW_HOURS } from './points.ts'

/** What handled a fish, or will, and how many points that is. */
export interface HandlingEvent {
  at: number
  what: 'move' | 'bath' | 'change' | 'salinity' | 'tank-mate'
  points: number
  isAhead: boolean
}

/** The handling load of one fish around now. */
export interface HandlingLoad {
  animalId: string
  /** Points of the seven days up to now. */
  past: number
  /** Points of the worst seven days on end that touch the last week or the coming one. */
  worst: number
  /** When those begin, ms; null without any. */
  worstFrom: number | null
  events: readonly HandlingEvent[]
}

const WEEK_MS = WINDOW_HOURS * MS_PER_HOUR

/** Points of a water change by its share of the net volume. */
const changePoints = (share: number): number =>
  share > CHANGE_SHARES.half ? POINTS.halfChange : share > CHANGE_SHARES.large ? POINTS.largeChange : 0

const tankAt = ({ stays }: Animal, at: number): string | null =>
  stays.find(({ from, to }) => from <= at && (to === null || to > at))?.tankId ?? null

/** The courses of a fish that ran at an instant. */
const coursesAt = (journal: Journal, animalId: string, at: number): Course[] =>
  coursesOf(journal).filter(
    ({ animalIds, startedAt, ended }) =>
      animalIds.includes(animalId) && startedAt <= at && (ended === null || ended.at >= at),
  )

/** Whether a swap of that time was a step of low salinity. */
const isLowered = (journal: Journal, animalId: string, at: number): boolean =>
  coursesAt(journal, animalId, at).some(({ definition }) => definition.ends === 'raise')

/** Catching is by container unless a course of the fish says net: quarantine.md 8. */
const caughtPoints = (journal: Journal, animalId: string, at: number): number =>
  coursesAt(journal, animalId, at).some(({ options }) => options['capture'] === 'net') ? POINTS.net : POINTS.container

/** What the journal says was done to a fish between two instants. */
function recorded(journal: Journal, animal: Animal, from: number, until: number): HandlingEvent[] {
  const within = (at: number) => at > from && at <= until
  const events: HandlingEvent[] = []
  const add = (at: number, what: HandlingEvent['what'], points: number) =>
    points > 0 && events.push({ at, what, points, isAhead: false })
  animal.stays.slice(1).forEach((stay, i) => {
    if (within(stay.from) && stay.tankId !== animal.stays[i]!.tankId)
      add(stay.from, 'move', POINTS.move + caughtPoints(journal, animal.id, stay.from))
  })
  const baths = journal.ofKind('bath')
  for (const { at, content } of baths.slice(firstAtOrAfter(baths, from)))
    if (within(at) && content.animalIds.includes(animal.id)) add(at, 'bath', POINTS.bath)
  const changes = journal.ofKind('water-change')
  for (const { at, content } of changes.slice(firstAtOrAfter(changes, from))) {
    if (!within(at) || tankAt(animal, at) !== content.tankId) continue
    if (content.replacement?.salinityPsu !== undefined && isLowered(journal, animal.id, at)) {
      add(at, 'salinity', POINTS.salinityStep)
      continue
    }
    const netL = netVolumeAt(journal, content.tankId, at)
    const share = netL === null ? 0 : content.litres / netL
    add(at, 'change', changePoints(share))
  }
  for (const other of animalsOf(journal))
    if (other.id !== animal.id && animalGroupById(other.group)?.kind === 'fish')
      for (const stay of other.stays)
        if (
          within(stay.from) &&
          tankAt(animal, stay.from) === stay.tankId &&
          tankAt(animal, stay.from - 1) === stay.tankId
        )
          add(stay.from, 'tank-mate', POINTS.newTankMate)
  return events
}

/** What the courses that run will do to a fish. */
function planned(plans: readonly CoursePlan[], animal: Animal, now: number, until: number): HandlingEvent[] {
  return plans.flatMap(({ course, tasks, facts }) => {
    if (!course.animalIds.includes(animal.id)) return []
    const caught = course.options['capture'] === 'net' ? POINTS.net : POINTS.container
    return tasks.flatMap((task): HandlingEvent[] => {
      const at = Math.max(now, task.best)
      if (at > until) return []
      const share = task.change && facts.volumeL !== null ? task.change.litres / facts.volumeL : 0
      const event = (what: HandlingEvent['what'], points: number): HandlingEvent[] =>
        points > 0 ? [{ at, what, points, isAhead: true }] : []
      if (task.act === 'move') return event('move', POINTS.move + caught)
      if (task.act === 'bath') return event('bath', POINTS.bath)
      if (task.change?.salinity) return event('salinity', POINTS.salinityStep)
      return event('change', changePoints(share))
    })
  })
}

/**
 * The handling load of a fish: what was done to it in the last week, and what its courses will do in the next.
 * @param plans the courses that run, as they stand
 * @returns null where the journal holds no such animal
 */
export function handlingOf(
  journal: Journal,
  animalId: string,
  plans: readonly CoursePlan[],
  now: number,
): HandlingLoad | null {
  const animal = animalById(journal, animalId)
  if (!animal) return null
  const events = [...recorded(journal, animal, now - WEEK_MS, now), ...planned(plans, animal, now, now + WEEK_MS)].sort(
    (a, b) => a.at - b.at,
  )
  const weekFrom = (from: number) =>
    events.filter(({ at }) => at >= from && at < from + WEEK_MS).reduce((sum, { points }) => sum + points, 0)
  const worst = events.reduce<{ points: number; from: number | null }>(
    (most, { at }) => {
      const points = weekFrom(at)
      return points > most.points ? { points, from: at } : most
    },
    { points: 0, from: null },
  )
  return {
    animalId,
    past: events.filter(({ isAhead }) => !isAhead).reduce((sum, { points }) => sum + points, 0),
    worst: worst.points,
    worstFrom: worst.from,
    events,
  }
}
