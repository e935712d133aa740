import { isCopper } from '../catalogue/treatments/groups.ts'
import { animalGroupById } from '../catalogue/animal-group.ts'
import type { WaterEvent } from '../concentration/concentration.schema.ts'
import { levelAfter } from '../concentration/events.ts'
import type { LevelReading } from '../clock/level-path.ts'
import { animalById } from '../household/animals.ts'
import { netVolumeAt, tankById } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import { firstAtOrAfter, type Journal, type Line } from '../journal/journal.ts'
import { readingsOf } from '../readings/latest.ts'
import type { Course } from './course.ts'

/** Something that makes the count start over, quarantine.md 7.4. */
export interface Restart {
  at: number
  event: 'carbon-left-in' | 'new-fish-added' | 'cross-contamination'
  /** Still going on: nothing counts until it ends. */
  ongoing: boolean
  /** The fish that came in: a new one, or one of the course that was elsewhere meanwhile. */
  animalId?: string
}

/** A water event with the entry it comes from. */
export interface LoggedEvent {
  event: WaterEvent
  at: number
  entryId: string
}

/** Everything the journal knows that bears on a copper course, from its start to now. */
export interface CopperFacts {
  course: Course
  volumeL: number | null
  readings: (LevelReading & { entryId: string })[]
  /** Copper tests without a plain value: they count as tested, not as a level. */
  otherTests: number[]
  events: LoggedEvent[]
  restarts: Restart[]
  now: number
}

/** Levels at one instant: the last written holds. */
function valueReadings(
  journal: Journal,
  course: Course,
  until: number,
): { readings: CopperFacts['readings']; otherTests: number[] } {
  const byInstant = new Map<number, CopperFacts['readings'][number]>()
  const otherTests: number[] = []
  for (const { at, content, id } of readingsOf(journal, course.tankId, 'copper')) {
    if (at < course.startedAt || at > until) continue
    const { result, uncertainty } = content
    if (result.kind !== 'value') otherTests.push(at)
    else
      byInstant.set(at, {
        ms: at,
        mgPerL: Math.max(0, result.value),
        entryId: id,
        ...(uncertainty !== undefined && { sdMgPerL: uncertainty / 2 }),
      })
  }
  return { readings: [...byInstant.values()], otherTests }
}

function waterEvents(journal: Journal, course: Course, until: number): LoggedEvent[] {
  const lines = journal.about(`water:${course.tankId}`)
  const events: LoggedEvent[] = []
  for (let i = firstAtOrAfter(lines, course.startedAt); i < lines.length && lines[i]!.at <= until; i++) {
    const { content, struck, id, at } = lines[i] as Line<ContentOf<'dose'> | ContentOf<'water-change'>>
    if (struck) continue
    if (content.kind === 'dose') {
      if (isCopper(content.ingredient) && content.massMg !== undefined)
        events.push({ at, entryId: id, event: { at: content.happened, kind: 'dose', massMg: content.massMg } })
    } else {
      const netL = netVolumeAt(journal, course.tankId, at)
      if (netL !== null)
        events.push({
          at,
          entryId: id,
          event: {
            at: content.happened,
            kind: 'water-change',
            fraction: Math.min(1, content.litres / netL),
            ...(content.replacement?.copperMgPerL !== undefined && {
              replacementMgPerL: content.replacement.copperMgPerL,
            }),
          },
        })
    }
  }
  return events
}

/** Times at which carbon or metal resin was taken out after running in the course's water; the present if it still runs. */
function carbonRestarts(journal: Journal, course: Course, until: number): Restart[] {
  const restarts: Restart[] = []
  for (const item of ['carbon', 'resin'] as const) {
    let running = false
    for (const { content, at } of journal.ofKind('equipment')) {
      if (content.tankId !== course.tankId || content.item !== item || at > until) continue
      const runs = content.running && !content.removed
      if (running && !runs && at > course.startedAt) restarts.push({ at, event: 'carbon-left-in', ongoing: false })
      running = runs
    }
    if (running) restarts.push({ at: until, event: 'carbon-left-in', ongoing: true })
  }
  return restarts
}

/**
 * Fish that came into the course's water after it began: new ones, and those of the course that come back from other water,
 * where they may have met what the course is against (EA: quarantine.md 7.4 speaks of new fish).
 */
function fishRestarts(journal: Journal, course: Course, until: number): Restart[] {
  const isFish = (animalId: string) => animalGroupById(animalById(journal, animalId)?.group ?? '')?.kind === 'fish'
  const came = [
    ...journal.ofKind('arrival').filter(({ content }) => content.tankId === course.tankId),
    ...journal
      .ofKind('move')
      .filter(({ content }) => content.toTankId === course.tankId && content.fromTankId !== course.tankId),
  ]
  return came
    .filter(({ at, content }) => at > course.startedAt && at <= until && isFish(content.animalId))
    .map(({ at, content }) => ({
      at,
      event: 'new-fish-added' as const,
      ongoing: false,
      animalId: content.animalId,
    }))
}

function loggedRestarts(journal: Journal, course: Course, until: number): Restart[] {
  return journal.about(`course:${course.id}`).flatMap(({ content, at, struck }): Restart[] => {
    if (struck || content.kind !== 'course-event' || at > until) return []
    return content.event === 'carbon-left-in' ||
      content.event === 'cross-contamination' ||
      content.event === 'new-fish-added'
      ? [{ at, event: content.event, ongoing: false }]
      : []
  })
}

/** Gathers what bears on a copper course. */
export function copperFacts(journal: Journal, course: Course, now: number): CopperFacts {
  const until = course.ended ? Math.min(now, course.ended.at) : now
  return {
    course,
    volumeL: tankById(journal, course.tankId)?.volume?.netL ?? null,
    ...valueReadings(journal, course, until),
    events: waterEvents(journal, course, until),
    restarts: [
      ...carbonRestarts(journal, course, until),
      ...fishRestarts(journal, course, until),
      ...loggedRestarts(journal, course, until),
    ].sort((a, b) => a.at - b.at),
    now: until,
  }
}

/** The level as far as it is known: the last reading, and what was dosed and changed since, held. */
export interface KnownLevel {
  mgPerL: number
  /** The reading it rests on; null before the first: then all that is known is what was dosed. */
  reading: CopperFacts['readings'][number] | null
  /** What happened since that reading, in order. */
  since: LoggedEvent[]
}

export function knownLevel({ readings, events, volumeL }: CopperFacts): KnownLevel | null {
  if (volumeL === null) return null
  const reading = readings.at(-1) ?? null
  // An event at the instant of a reading follows it.
  const since = events.filter(({ at }) => reading === null || at >= reading.ms)
  return {
    mgPerL: since.reduce((level, { event }) => levelAfter(level, event, volumeL), reading?.mgPerL ?? 0),
    reading,
    since,
  }
}
