import { isCopper } from '../../catalogue/treatments/groups.ts'
import { animalGroupById } from '../../catalogue/animal-group.ts'
import type { WaterEvent } from '../../concentration/concentration.schema.ts'
import { levelAfter } from '../../concentration/events.ts'
import type { LevelReading } from '../../clock/level-path.ts'
import { doseById } from '../../catalogue/treatments/treatments.ts'
import { animalById, type Stay } from '../../household/animals.ts'
import { partsOf, type Part } from '../../household/parts.ts'
import { carbonRestarts } from './carbon-restarts.ts'
import { netVolumeAt, tankById } from '../../household/tanks.ts'
import type { ContentOf } from '../../journal/entry.ts'
import { firstAtOrAfter, type Journal, type Line } from '../../journal/journal.ts'
import { fullLineShare } from '../../water/level-line.ts'
import { decisiveLevel, levelsOf } from '../../readings/evidence.ts'
import { isDrugCourse, type Course, type DrugCourse } from '../course.ts'
import { givenDoses, WHOLE_SHARE } from './record-doses.ts'
import {
  bringsParasites,
  cleanedSets,
  countsOf,
  dipsOf,
  endMarkOf,
  fallowFacts,
  hostsOf,
  salinityFacts,
  sessionsOf,
  suspectedAtOf,
} from './record-parts.ts'
import { countedMassMg } from '../../dosing/counted-mass.ts'

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

/** One animal’s move between two tanks. */
export interface LoggedMove {
  at: number
  animalId: string
  from: string
  to: string
}

/** A bath of some animals of the course. */
export interface LoggedBath {
  at: number
  /** Those of the course that were in it. */
  animalIds: readonly string[]
  /** Whether it was as strong and as long as its row of the doses asks, and not ended early: only then it counts. */
  isWhole: boolean
}

/** A dose into the water, with the food or as a bath, of one of a course's counts of doses. */
export interface GivenDose {
  track: string
  at: number
  /** As strong, and as long, as its row of the doses asks at least. */
  isWhole: boolean
}

/** Scores of some parts at one time. */
export interface LoggedCount {
  at: number
  measure: string
  parts: readonly { partId: string; value: number }[]
  /** Of the whole batch, where it was not counted by part. */
  total?: number
  /** The occasion that it was counted for. */
  taskId?: string
  entryId: string
}

/** A dip of some corals of the course. */
export interface LoggedDip {
  at: number
  /** Those of the course that were in it; empty for all. */
  partIds: readonly string[]
  isWhole: boolean
  entryId: string
}

/** An animal of the course: when it came, where it was, and when it died or left. */
export interface Member {
  id: string
  stays: readonly Stay[]
  /** ms; null while it lives here. */
  goneAt: number | null
}

/** Everything the journal knows that bears on a course, from its start to now. */
export interface CourseRecord {
  course: Course
  volumeL: number | null
  readings: (LevelReading & { entryId: string })[]
  /** Copper tests that leave the level open, as “> 1.8” does: they count as tested, not as a level. */
  otherTests: number[]
  events: LoggedEvent[]
  restarts: Restart[]
  members: Member[]
  moves: LoggedMove[]
  baths: LoggedBath[]
  counts: LoggedCount[]
  /** When the treatment ended, as it was marked; null while it goes on. */
  endedTreatmentAt: number | null
  parts: Part[]
  dips: LoggedDip[]
  /** Doses for an occasion of the course, or of its agent, by day: what was syringed. */
  sessions: { at: number; entryId: string; massMg: number | null }[]
  /** Stretches in which nobody is at home. */
  away: { from: number; until: number }[]
  /** Stays of any fish in the course's tank; of a count without fish alone. */
  fishIn: { from: number; to: number | null; animalId?: string }[]
  /** What came into that water and may carry a parasite, though it is no fish. */
  wetItems: {
    at: number
    why: 'cross-contact' | 'new-wet-item'
    what?: ContentOf<'contact'>['what']
    animalId?: string
  }[]
  /** When something in that water was suspected: of a coral course alone. */
  suspectedAt: number[]
  /** Local feeds of that tank. */
  feeds: number[]
  /** Doses of the course's counts of doses, in order. */
  given: GivenDose[]
  /** Salinity readings of its tank, from a day before the start: psu. Of a course that holds it alone. */
  /** `psu` as it was tested; `fullPsu` what it comes to at the full line, where the level was down. */
  salinities: { ms: number; psu: number; fullPsu: number; entryId: string }[]
  /** Changes whose new water has a salinity on record, as shares of the net volume. Of a course that holds the salinity alone. */
  swaps: { at: number; fraction: number; psu: number; entryId: string }[]
  /** Times at which a tank set was made sterile, and from when it may be used. */
  cleaned: { tankId: string; at: number; readyAt: number }[]
  now: number
}

/** A record of a course whose drug is held in the water. */
export type DrugRecord = CourseRecord & { course: DrugCourse }

export const isDrugRecord = (record: CourseRecord): record is DrugRecord => isDrugCourse(record.course)

/** Levels at one instant: the last written holds. A limit or a range is a level where it decides on which side of the low it lies. */
function levelReadings(
  journal: Journal,
  course: Course,
  until: number,
): { readings: CourseRecord['readings']; otherTests: number[] } {
  const byInstant = new Map<number, CourseRecord['readings'][number]>()
  const otherTests: number[] = []
  // Of the drugs that are held only copper has a test at home: quarantine.md 5.4.
  if (!course.dose || !isCopper(course.dose.agent)) return { readings: [], otherTests }
  for (const evidence of levelsOf(journal, course.tankId, 'copper')) {
    const { at, line } = evidence
    if (at < course.startedAt || at > until) continue
    const { uncertainty } = line.content
    const mgPerL = decisiveLevel(evidence, course.dose)
    if (mgPerL === null) otherTests.push(at)
    else
      byInstant.set(at, {
        ms: at,
        // What evaporated leaves the drug behind: filled up again the level is lower than it was tested.
        mgPerL: Math.max(0, mgPerL) * fullLineShare(journal, line.content, at),
        entryId: line.id,
        ...(uncertainty !== undefined && { sdMgPerL: uncertainty / 2 }),
      })
  }
  return { readings: [...byInstant.values()], otherTests }
}

function waterEvents(journal: Journal, course: Course, until: number): LoggedEvent[] {
  if (!course.dose) return []
  const { agent } = course.dose
  const isOfDrug = (ingredient: string) => (isCopper(agent) ? isCopper(ingredient) : ingredient === agent)
  const lines = journal.about(`water:${course.tankId}`)
  const events: LoggedEvent[] = []
  for (let i = firstAtOrAfter(lines, course.startedAt); i < lines.length && lines[i]!.at <= until; i++) {
    const { content, struck, id, at } = lines[i] as Line<
      ContentOf<'dose'> | ContentOf<'water-change'> | ContentOf<'top-off'>
    >
    if (struck || content.kind === 'top-off') continue
    if (content.kind === 'dose') {
      if (isOfDrug(content.ingredient) && countedMassMg(content) !== undefined)
        events.push({ at, entryId: id, event: { at: content.happened, kind: 'dose', massMg: countedMassMg(content)! } })
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
            ...(isCopper(agent) &&
              content.replacement?.copperMgPerL !== undefined && {
                replacementMgPerL: content.replacement.copperMgPerL,
              }),
          },
        })
    }
  }
  return events
}

/** Whether a fish of the course was in a tank at an instant. */
const wasIn = (members: readonly Member[], tankId: string, at: number): boolean =>
  members.some(({ stays }) =>
    stays.some((stay) => stay.tankId === tankId && stay.from <= at && (stay.to === null || stay.to > at)),
  )

/**
 * Fish that came into the course's water after it began: new ones, and those of the course that come back from other water,
 * where they may have met what the course is against (EA: quarantine.md 7.4 speaks of new fish).
 */
function fishRestarts(journal: Journal, course: Course, members: readonly Member[], until: number): Restart[] {
  const isFish = (animalId: string) => animalGroupById(animalById(journal, animalId)?.group ?? '')?.kind === 'fish'
  const isOwn = new Set(course.animalIds)
  const ownTanks = new Set(Object.values(course.tanks))
  const isDrugTank = (tankId: string) => course.dose !== null && tankId === course.tankId
  const came = [
    ...journal
      .ofKind('arrival')
      .map(({ at, content }) => ({ at, animalId: content.animalId, to: content.tankId, from: null })),
    ...journal
      .ofKind('move')
      .filter(({ content }) => content.toTankId !== content.fromTankId)
      .map(({ at, content }) => ({
        at,
        animalId: content.animalId,
        to: content.toTankId,
        from: content.fromTankId,
      })),
  ]
  return came
    .filter(({ at, animalId, to, from }) => {
      if (at <= course.startedAt || at > until || !isFish(animalId)) return false
      if (isDrugTank(to)) return true
      // A move of its own from tank to tank of the course is the course.
      if (isOwn.has(animalId) && from !== null && ownTanks.has(from)) return false
      return wasIn(members, to, at)
    })
    .map(({ at, animalId }) => ({ at, event: 'new-fish-added' as const, ongoing: false, animalId }))
}

/** Wet things of another system that touched the water the fish were in. */
const contactRestarts = (journal: Journal, course: Course, members: readonly Member[], until: number): Restart[] =>
  journal
    .ofKind('contact')
    .filter(
      ({ at, content }) =>
        at > course.startedAt &&
        at <= until &&
        (content.what !== 'media' || bringsParasites(journal, content, at)) &&
        ((course.dose !== null && content.tankId === course.tankId) || wasIn(members, content.tankId, at)),
    )
    .map(({ at }) => ({ at, event: 'cross-contamination' as const, ongoing: false }))

function bathsOf(journal: Journal, course: Course, members: readonly Member[], until: number): LoggedBath[] {
  const track = course.definition.tracks.find((one) => one.kind === 'rounds' && one.of === 'bath')
  if (!track) return []
  const dose = doseById((track as { dose: string }).dose)
  if (!dose) return []
  const own = new Set(course.animalIds)
  return journal.ofKind('bath').flatMap(({ at, content }): LoggedBath[] => {
    if (at < course.startedAt || at > until || content.ingredient !== dose.agent) return []
    if (content.courseId !== undefined && content.courseId !== course.id) return []
    const named = content.animalIds.filter((animalId) => own.has(animalId))
    // A bath that names nobody is of all fish of the course that live in that tank; one of corals is none of theirs.
    const animalIds =
      content.animalIds.length > 0
        ? named
        : (content.partIds ?? []).length > 0
          ? []
          : members.filter((member) => wasIn([member], content.tankId, at)).map(({ id: memberId }) => memberId)
    if (animalIds.length === 0) return []
    return [
      {
        at,
        animalIds,
        isWhole:
          content.stopped === undefined &&
          content.minutes >= WHOLE_SHARE * (dose.bathMinutes?.[0] ?? 0) &&
          (countedMassMg(content) === undefined || countedMassMg(content)! / content.litres >= WHOLE_SHARE * dose.low),
      },
    ]
  })
}

const memberOf = (journal: Journal, id: string): Member[] => {
  const animal = animalById(journal, id)
  return animal ? [{ id, stays: animal.stays, goneAt: animal.end?.at ?? null }] : []
}

function movesOf(members: readonly Member[], course: Course, until: number): LoggedMove[] {
  return members
    .flatMap(({ id, stays }) =>
      stays
        .slice(1)
        .flatMap((stay, i): LoggedMove[] =>
          stay.from > course.startedAt && stay.from <= until && stay.tankId !== stays[i]!.tankId
            ? [{ at: stay.from, animalId: id, from: stays[i]!.tankId, to: stay.tankId }]
            : [],
        ),
    )
    .sort((a, b) => a.at - b.at)
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

/**
 * Gathers what bears on a course: the one place that reads the journal for its counts.
 * @param now ms; what happens later is not known yet
 */
export function recordOf(journal: Journal, course: Course, now: number): CourseRecord {
  const until = course.ended ? Math.min(now, course.ended.at) : now
  const members = course.animalIds.flatMap((id) => memberOf(journal, id))
  const { kind } = course.definition
  const isPlan = kind === 'plan'
  const hasParts = isPlan || kind === 'coral'
  return {
    course,
    volumeL: tankById(journal, course.tankId)?.volume?.netL ?? null,
    ...levelReadings(journal, course, until),
    events: waterEvents(journal, course, until),
    restarts: [
      ...(course.dose ? carbonRestarts(journal, course, until) : []),
      ...(isPlan ? [] : fishRestarts(journal, course, members, until)),
      ...(isPlan ? [] : contactRestarts(journal, course, members, until)),
      ...loggedRestarts(journal, course, until),
    ].sort((a, b) => a.at - b.at),
    members,
    moves: movesOf(members, course, until),
    baths: bathsOf(journal, course, members, until),
    counts: hasParts ? countsOf(journal, course, until) : [],
    endedTreatmentAt: endMarkOf(journal, course, until),
    parts: isPlan ? partsOf(journal, course.tankId, course.partIds) : hasParts ? hostsOf(journal, course) : [],
    dips: dipsOf(journal, course, until),
    suspectedAt: kind === 'coral' ? suspectedAtOf(journal, course, until) : [],
    sessions: sessionsOf(journal, course, until),
    away: journal
      .ofKind('away')
      .map(({ content }) => ({ from: Date.parse(content.from), until: Date.parse(content.until) })),
    ...fallowFacts(journal, course, until),
    given: givenDoses(journal, course, until),
    ...salinityFacts(journal, course, until),
    cleaned: cleanedSets(journal, course, until),
    now: until,
  }
}

/** The level as far as it is known: the last reading, and what was dosed and changed since, held. */
export interface KnownLevel {
  mgPerL: number
  /** The reading it rests on; null before the first: then all that is known is what was dosed. */
  reading: CourseRecord['readings'][number] | null
  /** What happened since that reading, in order. */
  since: LoggedEvent[]
}

export function knownLevel({ readings, events, volumeL }: CourseRecord): KnownLevel | null {
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
