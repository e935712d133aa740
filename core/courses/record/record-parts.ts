import { animalGroupById } from '../../catalogue/animal-group.ts'
import { animalById, animalsOf, type Animal } from '../../household/animals.ts'
import { coralsOf, livingCorals } from '../../household/corals.ts'
import type { CountMeasure } from '../../catalogue/courses/definitions.ts'
import type { Part } from '../../household/parts.ts'
import type { ContentOf } from '../../journal/entry.ts'
import { firstAtOrAfter, type Journal } from '../../journal/journal.ts'
import { netVolumeAt } from '../../household/tanks.ts'
import { decisiveLevel, levelsOf } from '../../readings/evidence.ts'
import { psuOfGravity } from '../../salinity/gravity.ts'
import { fullLineShare } from '../../water/level-line.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import type { Course } from '../course.ts'
import type { CourseRecord } from './record.ts'
import { fishlessDays, fishlessTrackOf } from '../tracks/fishless.ts'
import { isWholeDip } from '../tracks/dips.ts'
import { countedMassMg } from '../../dosing/counted-mass.ts'

/** A set stands dry or bleached so long before it is used again: quarantine.md 7.2. */
export const SET_REST_HOURS = 24

/** When the sets of a course were made sterile. */
export function cleanedSets(journal: Journal, course: Course, until: number): CourseRecord['cleaned'] {
  const own = new Set(Object.values(course.tanks))
  return journal.ofKind('gear-clean').flatMap(({ at, content }) => {
    const { tankId } = content
    return content.gearId === undefined && tankId !== undefined && own.has(tankId) && at <= until
      ? [
          {
            tankId,
            at,
            readyAt: content.until === undefined ? at + SET_REST_HOURS * MS_PER_HOUR : Date.parse(content.until),
          },
        ]
      : []
  })
}

/**
 * Contacts that may bring a parasite of fish: quarantine.md 7.5. A wet tool carries fish water; a hand is rinsed and dried before it
 * goes in, and sets nothing back (EA).
 */
export const WET_CONTACTS: ReadonlySet<string> = new Set(['fish', 'water', 'tool', 'snail', 'plug', 'media', 'suspect'])

/** Filter media from a tank without fish for so long carry no parasite of fish: quarantine.md 8, seed, 4 weeks. */
export const MEDIA_CLEAN_DAYS = 28

/** Whether a contact may bring a parasite of fish: media do from a tank with fish in the last four weeks, or from an unknown one. */
export const bringsParasites = (journal: Journal, { what, from }: ContentOf<'contact'>, at: number): boolean =>
  WET_CONTACTS.has(what) &&
  (what !== 'media' || from === undefined || hadFishWithin(journal, from, at, MEDIA_CLEAN_DAYS))

/** Whether fish lived in a tank at some time in the days before an instant. */
export const hadFishWithin = (journal: Journal, tankId: string, at: number, days: number): boolean =>
  animalsOf(journal).some(
    ({ group, stays }) =>
      animalGroupById(group)?.kind === 'fish' &&
      stays.some(
        (stay) => stay.tankId === tankId && stay.from <= at && (stay.to === null || at - stay.to < days * MS_PER_DAY),
      ),
  )

/** Whether nothing of fish could reach an animal of a tank in the days before it leaves: no fish, no wet contact, nobody from outside. */
export const isCleanOfFish = (
  journal: Journal,
  animal: Pick<Animal, 'arrivedAt'> | null,
  tankId: string,
  at: number,
  days: number,
): boolean => {
  const isWithin = (when: number) => when < at && at - when < days * MS_PER_DAY
  return !(
    hadFishWithin(journal, tankId, at, days) ||
    (animal !== null && isWithin(animal.arrivedAt)) ||
    journal
      .ofKind('contact')
      .some(
        ({ content, at: when }) =>
          content.tankId === tankId && isWithin(when) && bringsParasites(journal, content, when),
      ) ||
    journal.ofKind('arrival').some(({ content, at: when }) => content.tankId === tankId && isWithin(when))
  )
}

/** What bears on a count of days without fish. */
export function fallowFacts(
  journal: Journal,
  course: Course,
  until: number,
): Pick<CourseRecord, 'fishIn' | 'wetItems' | 'feeds'> {
  const counted = fishlessTrackOf(course.definition)
  if (!counted) return { fishIn: [], wetItems: [], feeds: [] }
  const { tankId } = course
  const isFish = (group: string) => animalGroupById(group)?.kind === 'fish'
  const fishIn = animalsOf(journal)
    .filter(({ group }) => isFish(group))
    .flatMap(({ stays, id: animalId }) =>
      stays
        .filter((stay) => stay.tankId === tankId && stay.from <= until)
        .map(({ from, to }) => ({ from, to: to !== null && to > until ? null : to, animalId })),
    )
  // What stood as many days without fish as are counted here has been through its quarantine.
  const isClean = (id: string, from: string, at: number): boolean =>
    isCleanOfFish(journal, animalById(journal, id), from, at, fishlessDays(counted, course))
  return {
    fishIn,
    wetItems: [
      ...journal
        .ofKind('contact')
        .filter(({ content, at }) => content.tankId === tankId && at <= until && bringsParasites(journal, content, at))
        .map(({ at, content }) => ({ at, why: 'cross-contact' as const, what: content.what })),
      ...journal
        .ofKind('arrival')
        .filter(
          ({ content, at }) =>
            content.tankId === tankId && at > course.startedAt && at <= until && !isFish(content.group),
        )
        .map(({ at, content }) => ({ at, why: 'new-wet-item' as const, animalId: content.animalId })),
      ...journal
        .ofKind('move')
        .filter(
          ({ content, at }) =>
            content.toTankId === tankId &&
            content.fromTankId !== tankId &&
            at > course.startedAt &&
            at <= until &&
            !isFish(animalById(journal, content.animalId)?.group ?? '') &&
            !isClean(content.animalId, content.fromTankId, at),
        )
        .map(({ at, content }) => ({ at, why: 'new-wet-item' as const, animalId: content.animalId })),
    ],
    feeds: journal.ofKind('feed').flatMap(({ content, at }) => (content.tankId === tankId && at <= until ? [at] : [])),
  }
}

/** Scores and counts by part of a course, or of its tank. */
export const countsOf = (journal: Journal, course: Course, until: number): CourseRecord['counts'] =>
  [...countEntries(journal, course, until), ...tallied(journal, course, until)].sort((a, b) => a.at - b.at)

/** Worms lie still after a dose and may revive: a jar counts only so many hours after it, further-schools.md 6. */
const JAR_WAIT_HOURS = 12

/** Whether a jar was scored too soon after a dose of the plan. */
const isTooSoon = (sessions: CourseRecord['sessions'], measure: string | undefined, at: number): boolean =>
  measure === 'alive' && sessions.some((dosed) => at >= dosed.at && at - dosed.at < JAR_WAIT_HOURS * MS_PER_HOUR)

/** Polyps of a leather coral were kept as a survey before they were a measure of their own. */
const measureFor = ({ definition }: Course, measure: CountMeasure): CountMeasure =>
  measure === 'survey' && definition.steps.some((step) => step.measure === 'polyps') ? 'polyps' : measure

const countEntries = (
  journal: Journal,
  course: Course,
  until: number,
  sessions = sessionsOf(journal, course, until),
): CourseRecord['counts'] =>
  journal
    .ofKind('count')
    .filter(
      ({ at, content }) =>
        !isTooSoon(sessions, content.measure, at) &&
        at >= course.startedAt - MS_PER_DAY &&
        at <= until &&
        content.measure !== undefined &&
        (content.parts !== undefined || content.values !== undefined) &&
        (content.courseId === course.id ||
          // A survey of all corals is no count of polyps.
          (content.courseId === undefined &&
            content.tankId === course.tankId &&
            content.measure === measureFor(course, content.measure))),
    )
    .map(({ at, content, id }) => ({
      at,
      measure: measureFor(course, content.measure!),
      parts: content.parts ?? [],
      ...(content.parts === undefined && { total: content.values!.reduce((sum, value) => sum + value, 0) }),
      ...(content.taskId !== undefined && { taskId: content.taskId }),
      entryId: id,
    }))

/** Tallies under the microscope as two measures: dinoflagellates in a field, and the diatoms' share of both. */
const tallied = (journal: Journal, course: Course, until: number): CourseRecord['counts'] =>
  journal
    .ofKind('tally')
    .filter(({ at, content }) => content.tankId === course.tankId && at >= course.startedAt - MS_PER_DAY && at <= until)
    .flatMap(({ at, content, id }) => {
      const sum = (of: 'diatoms' | 'dinos' | 'fields') => content.spots.reduce((all, spot) => all + spot[of], 0)
      const [diatoms, dinos] = [sum('diatoms'), sum('dinos')]
      const shared = { at, parts: [], entryId: id, ...(content.taskId !== undefined && { taskId: content.taskId }) }
      return [
        { ...shared, measure: 'cells', total: dinos / sum('fields') },
        ...(diatoms + dinos > 0 ? [{ ...shared, measure: 'diatom-share', total: diatoms / (diatoms + dinos) }] : []),
      ]
    })

/** When the corals of a course were suspected of a pest. */
export const suspectedAtOf = (journal: Journal, { tankId, startedAt }: Course, until: number): number[] =>
  journal
    .ofKind('contact')
    .filter(({ content }) => content.what === 'suspect' && content.tankId === tankId)
    .flatMap(({ at }) => (at > startedAt && at <= until ? [at] : []))

/** When the treatment of a course was marked as ended; null while it goes on. */
export const endMarkOf = (journal: Journal, course: Course, until: number): number | null =>
  journal
    .about(`course:${course.id}`)
    .findLast(({ content, at, struck }) => !struck && content.kind === 'course-mark' && at <= until)?.at ?? null

/** What was syringed for a plan. */
export function sessionsOf(journal: Journal, course: Course, until: number): CourseRecord['sessions'] {
  const [product] = course.definition.products
  if (!product || course.definition.kind !== 'plan') return []
  return journal
    .ofKind('dose')
    .filter(
      ({ at, content }) =>
        at >= course.startedAt &&
        at <= until &&
        content.tankId === course.tankId &&
        content.ingredient === product.ingredient,
    )
    .map(({ at, content, id }) => ({
      at,
      entryId: id,
      massMg: countedMassMg(content) ?? null,
    }))
}

/** The living corals of a course: those named at its start that are still in its tanks; else all of its tank. */
export const hostsOf = (journal: Journal, { partIds, tankId, tanks }: Course): Part[] =>
  partIds.length === 0
    ? coralsOf(journal, tankId)
    : livingCorals(journal, partIds).filter((coral) => Object.values(tanks).includes(coral.tankId))

/** Dips of the corals of a course, by its parts, its id, or a task of it. */
export function dipsOf(journal: Journal, course: Course, until: number): CourseRecord['dips'] {
  if (!course.definition.tracks.some((track) => track.kind === 'rounds' && track.of === 'dip')) return []
  const lines = journal.ofKind('bath')
  const own = new Set(hostsOf(journal, course).map(({ id }) => id))
  return lines.slice(firstAtOrAfter(lines, course.startedAt - MS_PER_DAY)).flatMap(({ at, content, id }) => {
    if (at > until) return []
    const isOwn = content.courseId === course.id || content.taskId?.startsWith(`${course.id}/`) === true
    const named = content.partIds ?? []
    const partIds = named.filter((partId) => own.has(partId))
    if (partIds.length === 0 && !(isOwn && named.length === 0 && content.animalIds.length === 0)) return []
    return [{ at, partIds, isWhole: isWholeDip(content), entryId: id }]
  })
}

/** What bears on a salinity that is held low. */
export function salinityFacts(
  journal: Journal,
  course: Course,
  until: number,
): Pick<CourseRecord, 'salinities' | 'swaps'> {
  const held = course.definition.tracks.find((track) => track.kind === 'hold' && track.by === 'salinity')
  if (held?.kind !== 'hold' || held.by !== 'salinity') return { salinities: [], swaps: [] }
  const range = { low: psuOfGravity(held.low), high: psuOfGravity(held.high) }
  const { tankId, startedAt } = course
  const byInstant = new Map<number, CourseRecord['salinities'][number]>()
  for (const evidence of levelsOf(journal, tankId, 'salinity')) {
    const { at, line } = evidence
    const psu = decisiveLevel(evidence, range)
    if (at >= startedAt - MS_PER_DAY && at <= until && psu !== null)
      byInstant.set(at, {
        ms: at,
        psu: Math.max(0, psu),
        fullPsu: Math.max(0, psu) * fullLineShare(journal, line.content, at),
        entryId: line.id,
      })
  }
  return {
    salinities: [...byInstant.values()],
    swaps: journal.ofKind('water-change').flatMap(({ at, content, id }) => {
      const psu = content.replacement?.salinityPsu
      if (content.tankId !== tankId || at < startedAt || at > until || psu === undefined) return []
      const netL = netVolumeAt(journal, tankId, at)
      return netL === null ? [] : [{ at, fraction: Math.min(1, content.litres / netL), psu, entryId: id }]
    }),
  }
}
