import { coverOf } from '../../catalogue/courses/coverage.data.ts'
import { coursesOf, type Course } from '../course.ts'
import { isCountFull } from '../progress.ts'
import { bringsParasites } from '../record/record-parts.ts'
import { countFishless, fishlessDays, fishlessTrackOf } from '../tracks/fishless.ts'
import { recordOf } from '../record/record.ts'
import { animalById, animalLabel, animalsOf, isFish, type Animal, type Stay } from '../../household/animals.ts'
import { clockOf } from '../../household/settings.ts'
import type { Part } from '../../household/parts.ts'
import { tankById } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import type { ZoneClock } from '../../time/zone.ts'

/** Whole days without fish after which a coral, a snail or a rock carries no parasite of fish: quarantine.md 7.5, fallow-76 and plants-fw. */
const CLEAR_DAYS = { marine: 76, freshwater: 28 } as const
/** Who came in unproven is looked at for so many days at least: quarantine.md 7.1, qt-f-observe 30–45 d. */
export const LOOK_DAYS = 30

/** What took a proof away, or what a count of days without fish begins after. */
export interface Exposure {
  /** ms */
  at: number
  why: 'outside' | 'fish' | 'contact' | 'newcomer'
  tankId: string
  /** What touched the water, or who came in. */
  what?: string
  /** Who came in; left out for a contact. */
  animalId?: string
}

/** Where somebody has been, and what it has behind it: worked out from the journal. */
export interface Passport {
  animalId: string
  label: string
  /** Fish are proven by a course, everything else by days without fish. */
  kind: 'fish' | 'other'
  waters: readonly Stay[]
  /** `counting`: a course of its own runs, or days without fish are counted. */
  state: 'proven' | 'counting' | 'unproven'
  /** The finished course that proves it; for `counting` the one that runs; null for none. */
  course: Course | null
  /** From when it is proven, ms; null where it is not. */
  provenAt: number | null
  /** What it was last exposed to; null where nothing is on record. */
  exposed: Exposure | null
  /** Whole days without fish so far, of those it needs; null for fish. */
  days: { has: number; needs: number } | null
  /** When it would be proven if nothing comes in between, ms; null where only a course can say. */
  clearAt: number | null
}

/** How clean a tank is: the water that a newcomer would come into. */
export interface TankProof {
  tankId: string
  /**
   * `counting`: days without fish are counted. `proven`: they are full, and only who was proven came in since. `unproven`: somebody else did.
   * `watched`: so did they, and the days of looking are over. `unknown`: it never stood its days without fish.
   */
  state: 'counting' | 'proven' | 'unproven' | 'watched' | 'unknown'
  /** Whole days without fish, of those that are asked; null where none are counted. */
  days: { has: number; needs: number } | null
  /** ms: when the count is or was full; for `unproven` and `watched` when the first unproven one came in. */
  since: number | null
  /** What came in unproven, first to last. */
  cameIn: readonly Exposure[]
  /** Looks go on until then, ms; null where none are asked for. */
  until: number | null
}

/** So many are kept: a page that stays open asks for another instant every minute. */
const MOST_ANSWERS = 5000

/** Answers of one state of a journal: passports ask one another about earlier instants. */
const known = new WeakMap<Journal, { revision: number; answers: Map<string, unknown> }>()

function once<T>(journal: Journal, key: string, compute: () => T): T {
  let kept = known.get(journal)
  if (kept?.revision !== journal.revision || kept.answers.size > MOST_ANSWERS)
    known.set(journal, (kept = { revision: journal.revision, answers: new Map() }))
  if (!kept.answers.has(key)) kept.answers.set(key, compute())
  return kept.answers.get(key) as T
}

/** Whether a finished course is a whole quarantine: it covers ich, or it is the school that watches for whatever shows. */
const isQuarantine = ({ id, kind, ends }: Course['definition']): boolean =>
  kind === 'school' && id !== 'qt-g-none' && (ends === 'watch' || coverOf(id, 'marine-ich').how === 'yes')

/**
 * Whether a fish went through a finished course to its end: in its tanks from when it joined, without a day elsewhere, and with the course’s count full.
 * One that was taken out early is proven by nothing that came after.
 */
function wentThrough(journal: Journal, course: Course, stays: readonly Stay[]): boolean {
  const { ended, startedAt, tanks } = course
  if (ended === null) return false
  const isIn = ({ tankId }: Stay) => Object.values(tanks).includes(tankId)
  const within = stays.filter(({ from, to }) => from < ended.at && (to === null || to > startedAt))
  const joined = within.findIndex(isIn)
  return (
    joined >= 0 &&
    within.slice(joined).every(isIn) &&
    // A school of watching has no count beside the watch.
    (course.definition.ends === 'watch' || isCountFull(journal, course.id, ended.at))
  )
}

/** The animal that a part of a group was part of until it was moved, and when. */
const parentOf = (journal: Journal, id: string): { animalId: string; at: number } | null => {
  const parted = journal.ofKind('move').findLast(({ content }) => content.newAnimalId === id && content.animalId !== id)
  return parted ? { animalId: parted.content.animalId, at: parted.at } : null
}

/** The id of an animal and of the groups it was once part of. */
function lineOf(journal: Journal, id: string): string[] {
  const ids = [id]
  for (let from = parentOf(journal, id); from && !ids.includes(from.animalId); from = parentOf(journal, from.animalId))
    ids.push(from.animalId)
  return ids
}

/** Where an animal was up to an instant, with the stays of the group it was part of before it was moved away from it. */
function staysUntil(journal: Journal, id: string, at: number): Stay[] {
  const animal = animalById(journal, id)
  if (!animal) return []
  const parent = parentOf(journal, id)
  const before = parent ? staysUntil(journal, parent.animalId, parent.at) : []
  const own = animal.stays.filter(({ from }) => from <= at)
  return [...before, ...own].map((stay) => (stay.to !== null && stay.to <= at ? stay : { ...stay, to: null }))
}

/** When anybody came into a tank, and who. */
const entriesOf = (
  journal: Journal,
  tankId: string,
): readonly { at: number; animalId: string; isFromOutside: boolean }[] =>
  once(journal, `entries/${tankId}`, () => [
    ...journal
      .ofKind('arrival')
      .filter(({ content }) => content.tankId === tankId)
      .map(({ at, content }) => ({ at, animalId: content.animalId, isFromOutside: true })),
    ...journal
      .ofKind('move')
      .filter(({ content }) => content.toTankId === tankId && content.fromTankId !== tankId)
      .map(({ at, content }) => ({ at, animalId: content.newAnimalId ?? content.animalId, isFromOutside: false })),
  ])

const labelOf = (journal: Journal, id: string): string => {
  const animal = animalById(journal, id)
  return animal ? animalLabel(animal) : id
}

/**
 * Who and what came into a tank without a proof, later than one instant and not later than another.
 * @param except an animal that is not asked about, with the group it was part of
 */
function unprovenEntries(
  journal: Journal,
  tankId: string,
  from: number,
  until: number,
  except: readonly string[] = [],
): Exposure[] {
  const contacts = journal
    .ofKind('contact')
    .filter(
      ({ at, content }) =>
        content.tankId === tankId && at > from && at <= until && bringsParasites(journal, content, at),
    )
    .map(({ at, content }): Exposure => ({ at, why: 'contact', tankId, what: content.what }))
  const comings = entriesOf(journal, tankId)
    .filter(({ at, animalId }) => at > from && at <= until && !except.includes(animalId))
    .filter(
      ({ at, animalId, isFromOutside }) => isFromOutside || passportBefore(journal, animalId, at)?.state !== 'proven',
    )
    .map(({ at, animalId }): Exposure => ({
      at,
      why: isFishOf(journal, animalId) ? 'fish' : 'newcomer',
      tankId,
      what: labelOf(journal, animalId),
      animalId,
    }))
  return [...contacts, ...comings].sort((a, b) => a.at - b.at)
}

const isFishOf = (journal: Journal, id: string): boolean => {
  const animal = animalById(journal, id)
  return animal !== null && isFish(animal)
}

/** What the water of a tank exposed everything in it to last, up to an instant: fish, what touched it, who came in without a proof. */
function lastExposureIn(journal: Journal, tankId: string, until: number, except: readonly string[]): Exposure | null {
  const fish = animalsOf(journal)
    .filter(isFish)
    .flatMap(({ stays }) => stays.filter((stay) => stay.tankId === tankId && stay.from <= until))
    .map(({ to }): Exposure => ({ at: Math.min(to ?? until, until), why: 'fish', tankId }))
  return latest([
    ...fish,
    ...unprovenEntries(journal, tankId, -Infinity, until, except).filter(({ why }) => why !== 'fish'),
  ])
}

const latest = (exposures: readonly Exposure[]): Exposure | null =>
  exposures.reduce<Exposure | null>((last, one) => (last === null || one.at >= last.at ? one : last), null)

/** Whole days without fish that a tank’s own course asks for, or those of the handbook. */
function daysAskedIn(journal: Journal, tankId: string | undefined, at: number): number {
  const course = coursesOf(journal).find(
    (one) => one.tankId === tankId && one.startedAt <= at && fishlessTrackOf(one.definition) !== undefined,
  )
  const water = (tankId === undefined ? null : tankById(journal, tankId))?.water ?? 'marine'
  return course ? fishlessDays(fishlessTrackOf(course.definition)!, course) : CLEAR_DAYS[water]
}

/** The passport of a fish: a quarantine that it was in to its end, and who it has met since. */
function fishPassport(journal: Journal, animal: Animal, at: number): Passport {
  const ids = lineOf(journal, animal.id)
  const stays = staysUntil(journal, animal.id, at)
  const own = coursesOf(journal).filter(
    ({ definition, animalIds, startedAt }) =>
      isQuarantine(definition) && startedAt <= at && animalIds.some((id) => ids.includes(id)),
  )
  const ended = ({ ended: end }: Course) => (end !== null && end.at <= at ? end : null)
  const finished =
    own.find((course) => ended(course)?.outcome === 'finished' && wentThrough(journal, course, stays)) ?? null
  const running = own.find((course) => ended(course) === null) ?? null
  const provenAt = finished ? finished.ended!.at : null
  const metSince =
    provenAt === null
      ? []
      : stays
          .filter(({ to }) => to === null || to > provenAt)
          .flatMap(({ tankId, from, to }) => {
            const since = Math.max(from, provenAt)
            const until = Math.min(to ?? at, at)
            return [
              ...metThere(journal, tankId, since, at, ids),
              ...unprovenEntries(journal, tankId, since, until, ids).filter((one) => one.at < at),
            ]
          })
  const exposed = metSince[0] ?? null
  const isProven = provenAt !== null && exposed === null
  return {
    animalId: animal.id,
    label: animalLabel(animal),
    kind: 'fish',
    waters: stays,
    state: isProven ? 'proven' : running ? 'counting' : 'unproven',
    course: isProven ? finished : (running ?? finished),
    provenAt: isProven ? provenAt : null,
    exposed,
    days: null,
    clearAt: isProven ? provenAt : null,
  }
}

/** Fish without a proof that lived in a tank when another came into it, or was proven there. */
function metThere(
  journal: Journal,
  tankId: string,
  when: number,
  before: number,
  except: readonly string[],
): Exposure[] {
  if (when >= before) return []
  return animalsOf(journal)
    .filter(isFish)
    .filter(({ id }) => !except.includes(id))
    .filter(({ stays }) =>
      stays.some((stay) => stay.tankId === tankId && stay.from < when && (stay.to === null || stay.to > when)),
    )
    .filter(({ id }) => passportAt(journal, id, when)?.state !== 'proven')
    .map((other): Exposure => ({ at: when, why: 'fish', tankId, what: animalLabel(other) }))
}

/** Something that is no fish, as its passport describes it. */
interface Thing {
  id: string
  label: string
  /** With the groups that it was part of. */
  ids: readonly string[]
  stays: readonly Stay[]
  /** Whether its first stay began when it came from outside. */
  isFromOutside: boolean
}

/** The passport of what is no fish: whole local days since anything of fish could reach it, or a tank that is proven itself. */
function otherPassport(journal: Journal, { id, label, ids, stays, isFromOutside }: Thing, at: number): Passport {
  const outside: Exposure[] = isFromOutside
    ? stays.slice(0, 1).map(({ from, tankId }) => ({ at: from, why: 'outside', tankId }))
    : []
  const exposed = latest([
    ...outside,
    ...stays.flatMap(({ tankId, to }) => lastExposureIn(journal, tankId, Math.min(to ?? at, at), ids) ?? []),
  ])
  const here = stays.at(-1)
  const clock = clockOf(journal)
  const needs = daysAskedIn(journal, here?.tankId, at)
  const has = exposed === null ? needs : Math.max(0, clock.dayOf(at) - clock.dayOf(exposed.at) - 1)
  const clearAt = exposed === null ? at : clock.instantAt(clock.dayOf(exposed.at) + 1 + needs)
  // In a display that stood its days, with nobody unproven in it since, everything is as clean as its water.
  const proof = here && here.from < at ? tankProofAt(journal, here.tankId, at) : null
  const isOfProven = proof?.state === 'proven' && here !== undefined && proof.since !== null
  const isProven = has >= needs || isOfProven
  const course =
    coursesOf(journal).find(
      (one) =>
        one.tankId === here?.tankId &&
        one.startedAt <= at &&
        (one.ended === null || one.ended.at > at) &&
        fishlessTrackOf(one.definition) !== undefined,
    ) ?? null
  const isCounting = !isProven && (course !== null || (exposed !== null && exposed.why !== 'fish' && has > 0))
  return {
    animalId: id,
    label,
    kind: 'other',
    waters: stays,
    state: isProven ? 'proven' : isCounting ? 'counting' : 'unproven',
    course,
    provenAt: isProven ? (has >= needs ? clearAt : proof!.since) : null,
    exposed,
    days: { has: Math.min(has, needs), needs },
    clearAt: isProven ? null : clearAt,
  }
}

const passportAt = (journal: Journal, animalId: string, at: number): Passport | null =>
  once(journal, `passport/${animalId}/${at}`, () => {
    const animal = animalById(journal, animalId)
    if (!animal) return null
    if (isFish(animal)) return fishPassport(journal, animal, at)
    const ids = lineOf(journal, animal.id)
    const stays = staysUntil(journal, animal.id, at)
    return otherPassport(journal, { id: animalId, label: animalLabel(animal), ids, stays, isFromOutside: true }, at)
  })

/** The passport that somebody had when it came into a tank: the entry itself, and what waits there, do not count. */
function passportBefore(journal: Journal, animalId: string, at: number): Passport | null {
  const parent = parentOf(journal, animalId)
  return passportAt(journal, parent?.at === at ? parent.animalId : animalId, at - 1)
}

/**
 * Where an animal, a coral or a snail has been, which course it has behind it and how many days are left.
 * @param at ms: as it stood then
 * @returns null where the journal holds none of that id
 * @example
 * passportOf(journal, 'frag', now) // { state: 'counting', days: { has: 36, needs: 76 }, clearAt: … }
 */
export const passportOf = (journal: Journal, animalId: string, at: number): Passport | null =>
  passportAt(journal, animalId, at)

/**
 * The passport of a rock, a plug or a coral that is named on its tank’s drawing: the days without fish of its water.
 * @param at ms
 */
export function passportOfPart(journal: Journal, { id, name, tankId, since, animalId }: Part, at: number): Passport {
  const own = animalId === undefined ? null : passportAt(journal, animalId, at)
  const stays = [{ tankId, from: since, to: null }]
  return own ?? otherPassport(journal, { id, label: name, ids: [], stays, isFromOutside: false }, at)
}

function tankProofAt(journal: Journal, tankId: string, at: number): TankProof {
  return once(journal, `tank/${tankId}/${at}`, () => {
    const clock = clockOf(journal)
    const nothing: TankProof = { tankId, state: 'unknown', days: null, since: null, cameIn: [], until: null }
    const [course] = coursesOf(journal).filter(
      (one) => one.tankId === tankId && one.startedAt <= at && fishlessTrackOf(one.definition) !== undefined,
    )
    if (!course) return nothing
    const counted = countFishless(recordOf(journal, course, at), clock)!
    const days = { has: counted.days, needs: counted.needsDays }
    if (counted.state !== 'full') {
      const isRunning = course.ended === null || course.ended.at > at
      return isRunning && counted.state === 'running'
        ? { ...nothing, state: 'counting', days, since: counted.fullAt }
        : nothing
    }
    const provenAt = counted.fullAt!
    const cameIn = unprovenEntries(journal, tankId, provenAt, at).filter((one) => one.at < at)
    if (cameIn.length === 0) return { ...nothing, state: 'proven', days, since: provenAt }
    const until = Math.max(...cameIn.map((one) => clock.instantAt(clock.dayOf(one.at) + lookDays(journal, one, clock))))
    return { tankId, state: until > at ? 'unproven' : 'watched', days: null, since: cameIn[0]!.at, cameIn, until }
  })
}

/** Days of looking after somebody unproven came in: what was left of its own days, and thirty at least. */
function lookDays(journal: Journal, { at, why, animalId, tankId }: Exposure, clock: ZoneClock): number {
  if (why !== 'newcomer' || animalId === undefined) return LOOK_DAYS
  const passport = passportBefore(journal, animalId, at)
  const left =
    passport?.clearAt == null ? daysAskedIn(journal, tankId, at) : clock.dayOf(passport.clearAt) - clock.dayOf(at)
  return Math.max(LOOK_DAYS, left)
}

/**
 * How clean a tank is: whether it stood its days without fish, and who came in unproven since.
 * @param at ms
 */
export const tankProofOf = (journal: Journal, tankId: string, at: number): TankProof => tankProofAt(journal, tankId, at)
