import { DEFAULT_SETTINGS, settingsOf, type Settings } from '../household/settings.ts'
import { Journal } from '../journal/journal.ts'
import { journalFrom } from '../journal/read.ts'
import { ok, type Result } from '../result/result.ts'
import { iso, MS_PER_HOUR } from '../time/zone.ts'
import type { CourseClock } from './course-clock.ts'
import { coursesOf, OBSERVATION_DAYS, type Course } from './course.ts'
import type { Restart } from './copper-facts.ts'
import { watched } from './copper-signs.ts'
import { coursePlan, HORIZON_DAYS, type CoursePlan } from './plan.ts'
import type { CourseStanding, StandingInput, StandingOutput } from './standing.schema.ts'
import type { CourseTask, TaskKind } from './tasks.ts'

type Count = CourseStanding['counts'][number]
type StandingTask = CourseStanding['tasks'][number]

const STEPS: Record<TaskKind, { step: string; act: StandingTask['act'] }> = {
  ramp: { step: 'ramp', act: 'dose' },
  redose: { step: 'redose', act: 'dose' },
  dilute: { step: 'dilute', act: 'change' },
  read: { step: 'read', act: 'read' },
  ammonia: { step: 'ammonia', act: 'read' },
  watch: { step: 'look', act: 'look' },
  join: { step: 'join', act: 'tick' },
  move: { step: 'move', act: 'move' },
  clear: { step: 'clear', act: 'switch' },
  finish: { step: 'close', act: 'close' },
}

const RESTART_RULES: Record<Restart['event'], string> = {
  'carbon-left-in': 'carbon-left-in',
  'new-fish-added': 'new-fish',
  'cross-contamination': 'cross-contact',
}

const RULE_ROLES: Readonly<Record<string, CourseStanding['rules'][number]['role']>> = {
  gate: 'gate',
  ammonia: 'gate',
  held: 'hard',
}

const RULE_STATES = { holds: 'holds', 'not-yet': 'not', broken: 'not', ask: 'ask' } as const

const COUNT_STATES: Record<CourseClock['state'], Count['state']> = {
  'not-started': 'waiting',
  running: 'running',
  broken: 'broken',
  lost: 'broken',
  complete: 'full',
}

/** What set the count of the level to zero, in order: levels under the range, gaps that are too long, what came in. */
function heldRestarts({ breaks, gaps, restarts }: CourseClock): Count['restarts'] {
  return [
    ...breaks.filter(({ isReckoned }) => !isReckoned).map(({ from }) => ({ ms: from, why: 'level-low' })),
    ...gaps.filter(({ effect }) => effect === 'restart').map(({ from }) => ({ ms: from, why: 'level-unknown' })),
    ...restarts.map(({ at, event }) => ({ ms: at, why: RESTART_RULES[event] })),
  ]
    .sort((a, b) => a.ms - b.ms)
    .map(({ ms, why }) => ({ at: iso(ms), why }))
}

function heldCount({ clock }: CoursePlan): Count {
  return {
    track: 'held',
    kind: 'hold',
    state: COUNT_STATES[clock.state],
    unit: 'h',
    has: Math.min(clock.provenHours, clock.requiredHours),
    needs: clock.requiredHours,
    fullAt: clock.completesAt === null ? null : iso(clock.completesAt),
    basis: clock.state === 'complete' ? 'happened' : 'expected',
    proof: 'proven',
    restarts: heldRestarts(clock),
  }
}

/** The time without medicine: it begins with the last fish's move, or with carbon after thirty days. */
function watchCount(journal: Journal, { course, observation }: CoursePlan, until: number): Count {
  const needs = (observation?.leastDays ?? OBSERVATION_DAYS.least) * 24
  const has = observation ? Math.max(0, (until - observation.from) / MS_PER_HOUR) : 0
  const fullAt = observation ? observation.from + needs * MS_PER_HOUR : null
  const signs = observation?.kickedBackAt == null ? [] : watched(journal, course, until).signs
  return {
    track: 'watch',
    kind: 'hold',
    state: !observation ? 'waiting' : has >= needs ? 'full' : 'running',
    unit: 'h',
    has: Math.min(has, needs),
    needs,
    fullAt: fullAt === null ? null : iso(fullAt),
    basis: fullAt !== null && fullAt <= until ? 'happened' : 'expected',
    proof: 'logged',
    restarts: signs.map(({ at }) => ({ at: iso(at), why: 'sign-seen' })),
  }
}

function taskStanding(task: CourseTask, rules: CoursePlan['rules']): StandingTask {
  const { dose, change } = task
  // A task tells what it waits for in words.
  const waitsFor = (task.waitsFor ?? []).map((words) => rules.find(({ rule }) => rule === words)?.id ?? words)
  const isClose = task.kind === 'finish'
  return {
    id: task.id,
    ...STEPS[task.kind],
    notBefore: iso(task.notBefore),
    best: iso(task.best),
    // The time without medicine has no end that is too late.
    notAfter: isClose ? null : iso(task.notAfter),
    state: waitsFor.length > 0 ? 'waiting' : task.state,
    ...(waitsFor.length > 0 && { waitsFor }),
    ...(dose?.amount != null &&
      dose.unit !== null && { amount: { value: dose.amount, unit: dose.unit, makes: dose.makesMgPerL } }),
    ...(change && { amount: { value: change.litres, unit: 'L', makes: change.toMgPerL } }),
  }
}

/** What a count makes known as instants: its beginning, and when it was or would be full. */
function anchorsOf(plan: CoursePlan, counts: readonly Count[]): CourseStanding['anchors'] {
  const { course, clock, observation } = plan
  const begun: Record<string, number | null> = { held: clock.runFrom, watch: observation?.from ?? null }
  const anchors: CourseStanding['anchors'] = { start: { at: iso(course.startedAt), basis: 'happened' } }
  for (const { track, fullAt, basis } of counts) {
    const from = begun[track]
    if (from != null) anchors[`begun:${track}`] = { at: iso(from), basis: 'happened' }
    if (fullAt !== null) anchors[`full:${track}`] = { at: fullAt, basis }
  }
  if (course.ended) anchors['end'] = { at: iso(course.ended.at), basis: 'happened' }
  return anchors
}

/**
 * A course as it stands, in the plain shape that is asked for from outside.
 * @param now     ms
 * @param horizonDays local days ahead whose tasks are wanted
 */
export function standingOf(
  journal: Journal,
  course: Course,
  settings: Settings,
  now: number,
  horizonDays: number = HORIZON_DAYS,
): CourseStanding {
  const plan = coursePlan(journal, course, settings, now, settings.clock.dayOf(now) + horizonDays)
  const until = course.ended ? Math.min(now, course.ended.at) : now
  const counts = [heldCount(plan), watchCount(journal, plan, until)]
  const isWatched = counts[1]!.state === 'full'
  return {
    courseId: course.id,
    definition: course.protocol,
    tankId: plan.observation?.tankId ?? course.tankId,
    stage:
      course.startedAt > now
        ? 'ahead'
        : course.ended && course.ended.at <= now
          ? 'closed'
          : !plan.observation
            ? 'treating'
            : isWatched
              ? 'to-close'
              : 'watching',
    anchors: anchorsOf(plan, counts),
    counts,
    rules: plan.rules.map(({ id, state }) => ({ rule: id, role: RULE_ROLES[id] ?? 'hard', state: RULE_STATES[state] })),
    tasks: plan.tasks.map((task) => taskStanding(task, plan.rules)),
    warnings: plan.warnings.map(({ id, text }) => ({ rule: id, text })),
  }
}

const startOf = ({ anchors }: CourseStanding): number => Date.parse(anchors['start']!.at)

/** Courses whose definition or dose this version does not know: shown, and not worked out. */
function unknownStandings(journal: Journal, known: ReadonlySet<string>): CourseStanding[] {
  return journal
    .ofKind('course-start')
    .filter(({ content }) => !known.has(content.courseId))
    .map(({ content, at }) => ({
      courseId: content.courseId,
      definition: content.protocol,
      tankId: content.tankId,
      stage: 'treating',
      anchors: { start: { at: iso(at), basis: 'happened' } },
      counts: [],
      rules: [],
      tasks: [],
      warnings: [
        {
          rule: 'unknown-definition',
          text: `This course is of a kind that this version does not know (${content.protocol}): a newer one works it out.`,
        },
      ],
    }))
}

/** A journal without what happens after an instant, but for courses that are to start. */
function journalUpTo(whole: Journal, at: number): Journal {
  const journal = new Journal()
  journal.add(
    whole
      .entries()
      .filter(
        (entry) =>
          !('content' in entry) || entry.content.kind === 'course-start' || Date.parse(entry.content.happened) <= at,
      ),
  )
  return journal
}

/**
 * Every course of a journal as it stands at an instant, in the order they began; nothing is kept. Courses of copper are
 * worked out, by both schools; one whose definition this version does not know is shown with a word that says so.
 * @returns `invalid-input` where the journal would not be taken in
 */
export function readStanding({ journal: file, now, horizonDays }: StandingInput): Result<StandingOutput> {
  const whole = journalFrom(file)
  if (!whole.ok) return whole
  const at = Date.parse(now)
  const journal = journalUpTo(whole.value, at)
  const settings = settingsOf(journal) ?? DEFAULT_SETTINGS
  const known = coursesOf(journal).map((course) => standingOf(journal, course, settings, at, horizonDays))
  const courses = [...known, ...unknownStandings(journal, new Set(known.map(({ courseId }) => courseId)))]
  return ok({ courses: courses.sort((a, b) => startOf(a) - startOf(b)) })
}
