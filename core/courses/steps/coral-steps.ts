import type { Step } from '../../catalogue/courses/definitions.ts'
import { equipmentAt, tankById } from '../../household/tanks.ts'
import { MS_PER_DAY, MS_PER_MINUTE, minuteOfTime } from '../../time/zone.ts'
import { listed, plural } from '../../words/numbers.ts'
import { dipOf, plannedDip } from '../amounts/planned-dip.ts'
import { DIP_EARLY_MS, DIP_LATE_MS } from '../tracks/dips.ts'
import { base, waitsForOf, type Draft, type TaskInput } from './step-input.ts'

/** Weekly looks after the last clean dip: outbreaks.md 5.2, coral-dip-cycle 4. */
const LOOK_EVERY_DAYS = 7
export const CLEAN_LOOK_DAYS = 42
/** Without lights on record it is taken to be dark from here, minutes of the local day; else an hour after they go off. */
const DARK_MINUTE = 21 * 60 + 30
const AFTER_LIGHTS_MINUTES = 60
/** Light for a coral that has just come: low first, up over a fortnight (quarantine.md 7.5, coral-light: 7–14 d). */
const LIGHT = { fromPercent: 30, stepPercent: 10, everyDays: 2 } as const

/** The rounds of dips that are still wanted, and what is left of one that has begun. */
export function dipTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, dips, journal, settings, horizon } = input
  if (!dips || dips.state === 'full') return []
  const { course, now } = facts
  const { clock } = settings
  const { pace, rounds } = dips
  const last = rounds.at(-1)
  const dipsOn = (hosts: typeof dips.hosts) => plannedDip(journal, course, hosts)
  const shared = (ordinal: number) => base(input, { ...step, caution: dipOf(course).caution }, ordinal)
  const drafts: Draft[] = []
  if (last?.state === 'open' && last.left.length > 0)
    drafts.push({
      ...shared(last.ordinal),
      title: `Dip the ${last.left.length === 1 ? 'one that is' : `${last.left.length} that are`} left: ${listed(last.left.map(({ name }) => name))}`,
      why: 'a round counts only when every host was dipped',
      notBefore: last.at,
      best: last.at,
      notAfter: last.at + MS_PER_DAY,
      dip: dipsOn(last.left),
    })
  if (dips.nextAt === null) return drafts
  const wanted = pace.need - dips.has
  // A round that is under way is not asked for a second time.
  const isOpen = drafts.length > 0
  const first = isOpen ? Math.max(dips.nextAt, last!.at + pace.intervalDays * MS_PER_DAY - DIP_EARLY_MS) : dips.nextAt
  for (let k = 0; k < wanted; k++) {
    const best =
      k === 0 ? first : clock.instantAt(clock.dayOf(Math.max(first, now)) + k * pace.intervalDays, course.readAtMinute)
    if (clock.dayOf(best) > horizon) break
    drafts.push({
      ...shared(rounds.length + k),
      title: dips.hosts.length === 0 ? step.title : `${step.title} ${plural(dips.hosts.length, 'coral')}`,
      why: `${pace.pest ? `against the ${pace.pest.label}` : 'routine'}, every ${pace.intervalDays} days; ${dips.has} of ${pace.need} clean`,
      notBefore: best - DIP_EARLY_MS,
      best,
      notAfter: best + DIP_LATE_MS,
      dip: dipsOn(dips.hosts),
    })
  }
  return drafts
}

/** What came off in the last round, where it was not counted on every host. */
export function dipCountTasks(input: TaskInput, step: Step): Draft[] {
  const last = input.dips?.rounds.at(-1)
  if (!last || last.uncounted.length === 0) return []
  return [
    {
      ...base(input, step, last.ordinal),
      title: step.title,
      why: 'an uncounted round is no clean one',
      notBefore: last.at,
      best: last.until,
      notAfter: last.until + MS_PER_DAY,
      measure: 'came-off',
    },
  ]
}

/** Looks on days from an instant, each done by a count of what was seen. */
function looksFrom(
  input: TaskInput,
  step: Step,
  {
    from,
    until,
    minute,
    why,
    counts = input.facts.counts,
    between = 0,
  }: {
    from: number
    until: number
    minute: number
    why: string
    /** Counts that may do a look; all of them where it is left out. */
    counts?: TaskInput['facts']['counts']
    /** Days that the looks after the first are moved by, so that they fall between what is weekly too. */
    between?: number
  },
): Draft[] {
  const { facts, settings, horizon } = input
  const { clock } = settings
  const drafts: Draft[] = []
  let missed: Draft | null = null
  const dayOf = (ordinal: number) => Math.max(0, ordinal * LOOK_EVERY_DAYS - (ordinal === 0 ? 0 : between))
  for (let ordinal = 0; dayOf(ordinal) <= until; ordinal++) {
    const day = dayOf(ordinal)
    const local = clock.dayOf(from) + day
    if (local > horizon) break
    const best = clock.instantAt(local, minute)
    const draft: Draft = {
      ...base(input, step, ordinal),
      title: step.title,
      why,
      notBefore: Math.max(best - DIP_EARLY_MS, day === 0 ? clock.instantAt(local) : 0),
      best,
      notAfter: best + DIP_LATE_MS,
      measure: 'pest-count',
    }
    const looks = counts.filter(
      ({ at, measure }) => (measure === 'pest-count' || measure === 'came-off') && at >= draft.notBefore,
    )
    // Done late, it makes good for the one that was missed.
    const isOver = draft.notAfter < facts.now && looks.length > 0
    if (isOver || looks.some(({ at }) => at <= draft.notAfter)) missed = null
    // Of missed looks only the newest is told.
    else if (draft.notAfter < facts.now) missed = draft
    else drafts.push(draft)
  }
  return [...(missed && !drafts.some(({ notBefore }) => notBefore <= facts.now) ? [missed] : []), ...drafts]
}

/** Weekly looks once the dips are clean. */
export function cleanLookTasks(input: TaskInput, step: Step): Draft[] {
  const { dips, facts } = input
  if (!dips || dips.state !== 'full' || dips.fullAt === null) return []
  return looksFrom(input, step, {
    from: dips.fullAt,
    until: CLEAN_LOOK_DAYS,
    minute: facts.course.readAtMinute,
    why: 'the dips are clean; eggs may still hatch',
  })
}

/** Looks after dark lie between dips that are a week apart (EA): the first in the first night, then on days 3, 10, 17 and on. */
const BETWEEN_DIPS_DAYS = 4

/** It is light from then on, where nobody said when the lamps come on (EA). */
const MORNING_MINUTE = 7 * 60
const NOON_MINUTE = 12 * 60
/** A look may begin so long before its hour. */
const EARLY_MINUTES = 30

/** Weekly inspections after dark, by magnifier and red light: quarantine.md 7.5, coral-in. */
export function darkLookTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, journal, settings } = input
  const tank = tankById(journal, facts.course.tankId)
  const off = tank?.lightsOff
  const on = tank?.lightsOn === undefined ? MORNING_MINUTE : minuteOfTime(tank.lightsOn)
  const minute = off === undefined ? DARK_MINUTE : Math.min(24 * 60 - 1, minuteOfTime(off) + AFTER_LIGHTS_MINUTES)
  return looksFrom(input, step, {
    from: facts.course.startedAt,
    until: facts.course.requiredDays,
    minute,
    why: 'what eats corals comes out when it is dark',
    between: BETWEEN_DIPS_DAYS,
    // What was counted by day says nothing of the night; a look is written down until noon after it.
    counts: facts.counts.filter(({ at, measure, taskId }) => {
      const at24 = settings.clock.minuteOf(at)
      const begins = minute - EARLY_MINUTES
      const ends = taskId?.split('/')[1] === step.id ? Math.max(on, NOON_MINUTE) : on
      const isDark = begins < ends ? at24 >= begins && at24 < ends : at24 >= begins || at24 < ends
      return measure === 'pest-count' && isDark
    }),
  })
}

/** Light up in steps for corals that have just come. */
export function lightTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, settings, horizon } = input
  const { clock } = settings
  const { course, now } = facts
  const drafts: Draft[] = []
  const steps = (100 - LIGHT.fromPercent) / LIGHT.stepPercent
  for (let k = 0; k <= steps; k++) {
    const local = clock.dayOf(course.startedAt) + k * LIGHT.everyDays
    if (local > horizon) break
    const best = clock.instantAt(local, course.readAtMinute)
    drafts.push({
      ...base(input, step, k),
      title: `${step.title} ${LIGHT.fromPercent + k * LIGHT.stepPercent} %`,
      why: k === 0 ? 'low at first' : 'a tenth more; lower again where a coral pales',
      notBefore: clock.instantAt(local),
      best,
      notAfter: clock.instantAt(local + LIGHT.everyDays),
    })
  }
  // Of steps that were missed only the newest is told.
  const past = drafts.filter(({ notAfter }) => notAfter < now)
  return drafts.slice(Math.max(0, past.length - (drafts.length > past.length ? 0 : 1)))
}

/** Pumps rest so long while corals eat, minutes: further-schools.md 2. */
const PUMPS_OFF_MINUTES = [20, 30] as const

/** The pumps of a tub that were put off for a feed go on again. */
export function pumpsOnTasks({ journal, facts, ...input }: TaskInput, step: Step): Draft[] {
  const { course, now } = facts
  const flow = equipmentAt(journal, course.tankId, now).find(({ item }) => item === 'flow')
  if (!flow || flow.running || flow.since < course.startedAt) return []
  const [least, most] = PUMPS_OFF_MINUTES
  return [
    {
      ...base({ journal, facts, ...input }, step, Math.floor(flow.since / MS_PER_MINUTE)),
      title: step.title,
      why: `off since the feed: ${least} to ${most} minutes`,
      notBefore: flow.since,
      best: flow.since + least * MS_PER_MINUTE,
      notAfter: flow.since + most * MS_PER_MINUTE,
    },
  ]
}

/** The end of a course of dips: once they are clean, best after the weeks of looking, and once the days without fish are full. */
export function closeDipsTask(input: TaskInput, step: Step): Draft | null {
  const { dips, fishless } = input
  if (!dips || dips.fullAt === null || (fishless && fishless.fullAt === null)) return null
  const notBefore = Math.max(dips.fullAt, fishless?.fullAt ?? 0)
  const best = fishless ? notBefore : notBefore + CLEAN_LOOK_DAYS * MS_PER_DAY
  const isFull = dips.state === 'full' && (!fishless || fishless.state === 'full')
  const waitsFor = isFull ? waitsForOf(input, step) : []
  return {
    ...base(input, step, 0),
    title: step.title,
    why: isFull ? 'clean, as counted' : 'if every dip to come is clean and nothing sets the days back',
    notBefore,
    best,
    notAfter: best + 30 * MS_PER_DAY,
    ...(waitsFor.length > 0 && { waitsFor }),
  }
}
