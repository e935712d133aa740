import type { Track } from '../../catalogue/courses/definitions.ts'
import { leastMoves, moveTrackOf, type MoveTrack } from '../../catalogue/courses/move-track.ts'
import { checkTransfers } from '../../transfer/transfer.ts'
import { wakingOf, type Settings } from '../../household/settings.ts'
import { awakeAt, nearestAwake, type Waking } from '../../time/waking.ts'
import { iso, MS_PER_HOUR, type ZoneClock } from '../../time/zone.ts'
import { SET_REST_HOURS } from '../record/record-parts.ts'
import type { CourseRecord, Member } from '../record/record.ts'

export type BathTrack = Extract<Track, { of: 'bath' }>

/** A round that every living animal of the course went through: complete with the last of them. */
export interface Round {
  at: number
  /** Where they went, for a move. */
  to: string | null
}

/** What set a chain of rounds to zero. */
export interface RoundRestart {
  at: number
  why: 'late-move' | 'bath-spacing' | 'bath-without-move' | 'new-fish' | 'cross-contact'
  /** By how much, h: over the longest interval, or off the spacing (signed). */
  hoursOff?: number
}

/** Moves and baths of a tank transfer as they stand. */
export interface RoundsState {
  track: MoveTrack
  /** Hour 0 of the chain that counts. */
  zero: number
  /** Moves since hour 0. */
  made: readonly Round[]
  /** All moves since the course began, those before hour 0 too. */
  everMade: readonly Round[]
  /** How many those are. */
  madeInAll: number
  needs: number
  state: 'running' | 'broken' | 'full'
  /** When the chain was full; null while it is not. */
  doneAt: number | null
  /** When it is or would be full; null while it is broken. */
  fullAt: number | null
  /** The latest time of the next move; null once it is full. */
  dueBy: number | null
  restarts: readonly RoundRestart[]
  /** The move that is not made yet is too late by so many hours; null where none is. */
  overdueHours: number | null
  /** Where the fish are now. */
  tankId: string
  baths: BathsState | null
}

export interface BathsState {
  track: BathTrack
  /** Those that count, in order. */
  done: readonly number[]
  /** All baths that were given, those that no longer count too. */
  givenInAll: number
  state: 'waiting' | 'running' | 'broken' | 'full'
  restarts: readonly RoundRestart[]
}

/** The animals that have to go through a round at an instant: those that live, and are in the course's tanks. */
const required = (members: readonly Member[], left: ReadonlySet<string>, at: number): string[] =>
  members.filter(({ id, goneAt }) => (goneAt === null || goneAt > at) && !left.has(id)).map(({ id }) => id)

interface Step {
  at: number
  animalId: string
  to: string | null
}

/** Steps of single animals put together to rounds: a round is complete when the last living animal has taken it. */
function completeRounds(
  steps: readonly Step[],
  members: readonly Member[],
  ownTanks: ReadonlySet<string> | null,
): Round[] {
  const rounds: Round[] = []
  const left = new Set<string>()
  let taken = new Map<string, Step>()
  const ends = members.flatMap(({ id, goneAt }) =>
    goneAt === null ? [] : [{ at: goneAt, animalId: id, ends: true as const }],
  )
  const all = [...steps, ...ends].sort((a, b) => a.at - b.at)
  for (const one of all) {
    if ('ends' in one) taken.delete(one.animalId)
    else if (one.to !== null && ownTanks && !ownTanks.has(one.to)) {
      left.add(one.animalId)
      taken.delete(one.animalId)
    } else {
      left.delete(one.animalId)
      taken.set(one.animalId, one)
    }
    const wanted = required(members, left, one.at)
    if (taken.size === 0 || wanted.length === 0 || !wanted.every((id) => taken.has(id))) continue
    const last = [...taken.values()].reduce((latest, step) => (step.at >= latest.at ? step : latest))
    rounds.push({ at: last.at, to: last.to })
    taken = new Map()
  }
  return rounds
}

const RESET_WHY = { 'new-fish-added': 'new-fish', 'cross-contamination': 'cross-contact' } as const

/** The baths since hour 0 as pairs six days apart, each followed by a move: quarantine.md 7.2 and 7.4, peroxide-gap. */
function countBaths(
  track: BathTrack,
  baths: readonly number[],
  moves: readonly Round[],
  zero: number,
  now: number,
): Pick<BathsState, 'done' | 'state' | 'restarts'> {
  const restarts: RoundRestart[] = []
  const [least, , most] = track.apartHours
  let done: number[] = []
  for (const at of baths) {
    if (at < zero || done.length >= track.need) continue
    const until = at + track.moveWithinHours * MS_PER_HOUR
    if (now > until && !moves.some((move) => move.at >= at && move.at <= until)) {
      restarts.push({ at, why: 'bath-without-move' })
      continue
    }
    const before = done.at(-1)
    const apart = before === undefined ? null : (at - before) / MS_PER_HOUR
    if (apart !== null && (apart < least - 1e-9 || apart > most + 1e-9)) {
      restarts.push({ at, why: 'bath-spacing', hoursOff: apart - track.apartHours[1] })
      // The bath given now is the first of a new pair.
      done = []
    }
    done.push(at)
  }
  if (done.length >= track.need) return { done, state: 'full', restarts }
  const last = done.at(-1)
  const isMissed = last !== undefined && now > last + most * MS_PER_HOUR
  return {
    done: isMissed ? [] : done,
    state: isMissed ? 'broken' : done.length > 0 ? 'running' : 'waiting',
    restarts,
  }
}

/**
 * A tank transfer as it stands, by `transfer.check`: a move later than the longest interval becomes hour 0 of a new chain, and
 * so do a new fish and a contact; baths before hour 0 no longer count (quarantine.md 7.4).
 */
export function countRounds(record: CourseRecord): RoundsState | null {
  const { course, members, moves, now } = record
  const track = moveTrackOf(course.definition)
  if (!track) return null
  const bathTrack = course.definition.tracks.find((one): one is BathTrack => one.kind === 'rounds' && one.of === 'bath')
  const maxMs = track.rule.maxIntervalHours * MS_PER_HOUR
  const ownTanks = course.tanks.other === undefined ? null : new Set(Object.values(course.tanks))
  const rounds = completeRounds(moves, members, ownTanks)
  const baths = bathTrack
    ? completeRounds(
        record.baths
          .filter(({ isWhole }) => isWhole)
          .flatMap(({ at, animalIds }) => animalIds.map((animalId) => ({ at, animalId, to: null }))),
        members,
        null,
      ).map(({ at }) => at)
    : []
  const resets = record.restarts.flatMap(({ at, event }) => {
    const why = event in RESET_WHY ? RESET_WHY[event as keyof typeof RESET_WHY] : null
    return why ? [{ at, why }] : []
  })
  const firstCame = Math.min(...members.flatMap(({ stays }) => stays[0]?.from ?? []))
  const start = Number.isFinite(firstCame) ? Math.max(course.startedAt, firstCame) : course.startedAt
  let zero = start
  let made: Round[] = []
  const restarts: RoundRestart[] = []
  let doneAt: number | null = null
  const pair = (at: number) =>
    bathTrack
      ? countBaths(
          bathTrack,
          baths.filter((bath) => bath <= at),
          rounds,
          zero,
          at,
        ).done
      : []
  const check = (at: number) =>
    checkTransfers({
      rule: {
        maxIntervalHours: track.rule.maxIntervalHours,
        minTotalHours: track.rule.minTotalHours,
        minTransfers: track.rule.minTransfers,
        ...(bathTrack && {
          baths: {
            count: bathTrack.need,
            apartHours: bathTrack.apartHours[1],
            toleranceHours: bathTrack.apartHours[1] - bathTrack.apartHours[0],
          },
        }),
      },
      arrivalAt: iso(zero),
      transfers: made.map((move) => iso(move.at)),
      baths: pair(at).map(iso),
      now: iso(Math.max(zero, at)),
    })
  const timeline = [
    ...rounds.map((round) => ({ at: round.at, round })),
    ...resets.filter(({ at }) => at > start).map((reset) => ({ at: reset.at, reset })),
  ].sort((a, b) => a.at - b.at)
  for (const one of timeline) {
    if (doneAt !== null) break
    const last = made.at(-1)?.at ?? zero
    if ('reset' in one) {
      restarts.push(one.reset)
      zero = one.at
      made = []
    } else if (one.at > last + maxMs) {
      restarts.push({ at: one.at, why: 'late-move', hoursOff: (one.at - last - maxMs) / MS_PER_HOUR })
      zero = one.at
      made = []
    } else if (one.at > zero) {
      made.push(one.round)
      const checked = check(one.at)
      if (checked.ok && checked.value.done) doneAt = Date.parse(checked.value.earliestFinishAt)
    }
  }
  const checked = check(now)
  if (checked.ok && checked.value.done) doneAt ??= Date.parse(checked.value.earliestFinishAt)
  const last = made.at(-1)?.at ?? zero
  const overdueMs = doneAt === null && course.ended === null ? now - last - maxMs : 0
  const isBroken = overdueMs > 0
  const passed = (last - zero) / MS_PER_HOUR
  const { minTotalHours, maxIntervalHours } = track.rule
  const least = leastMoves(track.rule)
  const wanted = Math.max(0, Math.ceil((minTotalHours - passed) / maxIntervalHours - 1e-9))
  const here = members.find(({ goneAt }) => goneAt === null || goneAt > now)?.stays.findLast(({ from }) => from <= now)
  return {
    track,
    zero,
    made,
    everMade: rounds,
    madeInAll: rounds.length,
    needs:
      doneAt !== null
        ? Math.max(least, made.length)
        : Math.max(least, (isBroken ? 0 : made.length) + (isBroken ? least : wanted)),
    state: doneAt !== null ? 'full' : isBroken ? 'broken' : 'running',
    doneAt,
    fullAt: doneAt ?? (isBroken || !checked.ok ? null : Date.parse(checked.value.earliestFinishAt)),
    dueBy: doneAt === null ? last + maxMs : null,
    restarts,
    overdueHours: isBroken ? overdueMs / MS_PER_HOUR : null,
    tankId: here?.tankId ?? course.tankId,
    baths: bathTrack
      ? (() => {
          const counted = countBaths(bathTrack, baths, rounds, zero, now)
          const dropped = restarts.filter(({ at }) => baths.some((bath) => bath < at))
          return {
            track: bathTrack,
            givenInAll: baths.length,
            ...counted,
            restarts: [...dropped, ...counted.restarts].sort((a, b) => a.at - b.at),
          }
        })()
      : null,
  }
}

/** A move or a bath that is to come, and its window, ms. */
export interface ExpectedRound {
  of: 'move' | 'bath'
  /** Counts from the course's start, over restarts. */
  ordinal: number
  notBefore: number
  best: number
  notAfter: number
}

/** More than any chain has. */
const MOST_ROUNDS = 60

/** A second set stands dry for a day before it is used again, and somebody has to empty it first. */
const SET_READY_HOURS = SET_REST_HOURS + 1

interface Window {
  notBefore: number
  best: number
  notAfter: number
}

/** What a window is laid out by: the rule of the moves, and when somebody is up. */
interface Laying {
  rule: MoveTrack['rule']
  clock: ZoneClock
  waking: Waking
}

/**
 * A move on its own: at its usual hour, laid into waking hours, the evening before rather than the morning after.
 * @param within where it is best, ms: inside its window
 */
function moveWindow(last: number, { rule, clock, waking }: Laying, within: { from: number; until: number }): Window {
  const notBefore = last + rule.minIntervalHours * MS_PER_HOUR
  const notAfter = last + rule.maxIntervalHours * MS_PER_HOUR
  const [from, until] = [Math.max(notBefore, within.from), Math.min(notAfter, within.until)]
  const usual = Math.max(from, Math.min(until, last + rule.usualHours * MS_PER_HOUR))
  return { notBefore, best: awakeAt(clock, waking, usual, from, until), notAfter }
}

const ANYWHERE = { from: -Infinity, until: Infinity }

/** The next move where a second bath is still owed, and the bath where both go together. */
function pairWindow(
  last: number,
  bath: number,
  track: BathTrack,
  laying: Laying,
): { move: Window; bath: Window | null } {
  const { rule, clock, waking } = laying
  const hours = (count: number) => count * MS_PER_HOUR
  const [early, usual, late] = track.apartHours.map((one) => bath + hours(one)) as [number, number, number]
  // Given and not moved yet: the move follows within its hours.
  if (bath > last) {
    const notAfter = Math.min(last + hours(rule.maxIntervalHours), bath + hours(track.moveWithinHours))
    return { move: { notBefore: Math.min(bath, notAfter), best: Math.min(bath, notAfter), notAfter }, bath: null }
  }
  const latest = Math.min(late, last + hours(rule.maxIntervalHours))
  if (latest < early) {
    // The move after this one goes with the bath: late enough for that, and early enough for the other set to dry.
    const move = moveWindow(last, laying, {
      from: early - hours(rule.maxIntervalHours),
      until: late - hours(SET_READY_HOURS),
    })
    return { move, bath: null }
  }
  const from = Math.min(latest, Math.max(early, last + hours(SET_READY_HOURS)))
  const best = nearestAwake(clock, waking, usual, from, latest)
  const plain = moveWindow(last, laying, ANYWHERE)
  return {
    move: { ...plain, notBefore: Math.min(plain.notBefore, best), best },
    // Later the move alone would be made, and a second one in a morning would go into a wet set.
    bath: { notBefore: early, best, notAfter: latest },
  }
}

/**
 * The moves and baths to come, if each is done at its best time: a move at its usual hours in waking time; the second bath about 144 h after the
 * first, together with a move (courses.md).
 */
export function expectedRounds(
  state: RoundsState,
  now: number,
  settings: Pick<Settings, 'clock' | 'waking'>,
): ExpectedRound[] {
  if (state.doneAt !== null) return []
  const { rule } = state.track
  const laying: Laying = { rule, clock: settings.clock, waking: wakingOf(settings) }
  const hours = (count: number) => count * MS_PER_HOUR
  const least = leastMoves(rule)
  const list: ExpectedRound[] = []
  let { zero } = state
  let last = state.made.at(-1)?.at ?? zero
  let count = state.made.length
  let moves = state.madeInAll
  let given = state.baths?.givenInAll ?? 0
  let bathsDone = state.baths?.done.length ?? 0
  let lastBath = state.baths?.done.at(-1) ?? null
  const bathTrack = state.baths?.track
  if (state.overdueHours !== null) {
    list.push({ of: 'move', ordinal: moves++, ...moveWindow(last, laying, ANYWHERE) })
    zero = last = now
    count = 0
    bathsDone = 0
    lastBath = null
  }
  while (list.length < MOST_ROUNDS) {
    const isDone =
      count >= least && last >= zero + hours(rule.minTotalHours) && (!bathTrack || bathsDone >= bathTrack.need)
    if (isDone) break
    let window = moveWindow(last, laying, ANYWHERE)
    if (bathTrack && bathsDone === 0) {
      list.push({ of: 'bath', ordinal: given++, ...window })
      bathsDone = 1
      lastBath = window.best
    } else if (bathTrack && lastBath !== null && (bathsDone < bathTrack.need || lastBath > last)) {
      const pair = pairWindow(last, lastBath, bathTrack, laying)
      window = pair.move
      if (pair.bath && bathsDone < bathTrack.need) {
        list.push({ of: 'bath', ordinal: given++, ...pair.bath })
        bathsDone++
        lastBath = pair.bath.best
      }
    }
    list.push({ of: 'move', ordinal: moves++, ...window })
    count++
    last = window.best
  }
  return list
}
