import { DEFAULT_SETTINGS, settingsOf, type Settings } from '../../household/settings.ts'
import { isCorrection, isStrikeOut } from '../../journal/entry.ts'
import { Journal } from '../../journal/journal.ts'
import { journalFrom } from '../../journal/read.ts'
import { ok, type Result } from '../../result/result.ts'
import { iso, MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { coursesOf, unknownCoursesOf, type Course } from '../course.ts'
import { seriesStanding } from './standing-series.ts'
import { coursePlan, HORIZON_DAYS, isDrugPlan, type CoursePlan } from '../plan.ts'
import type { Restart } from '../record/record.ts'
import type { CourseStanding, StandingInput, StandingOutput } from './standing.schema.ts'
import type { CourseTask } from '../tasks.ts'
import type { DipsState } from '../tracks/dips.ts'
import type { DosesState } from '../tracks/doses.ts'
import type { ElapsedState } from '../tracks/elapsed.ts'
import type { FishlessState } from '../tracks/fishless.ts'
import { isTested } from '../tracks/level.ts'
import { CLEAN_LOOK_DAYS } from '../steps/coral-steps.ts'
import { watchDays } from '../tracks/watch.ts'
import { unknownDefinitionWords } from '../unknown-words.ts'
import type { HoldCount } from '../tracks/hold.ts'
import type { BathsState, RoundsState } from '../tracks/rounds.ts'

type Count = CourseStanding['counts'][number]
type StandingTask = CourseStanding['tasks'][number]

const RESTART_RULES: Record<Restart['event'], string> = {
  'carbon-left-in': 'carbon-left-in',
  'new-fish-added': 'new-fish',
  'cross-contamination': 'cross-contact',
}

/** The rules that the warnings of a held level are of; a restart's is told with it. */
const WARNING_RULES: Readonly<Record<string, string>> = {
  broken: 'level-low',
  broke: 'level-low',
  gap: 'level-unknown',
  death: 'unexplained-death',
  sign: 'sign-seen',
}

const RULE_STATES = { holds: 'holds', 'not-yet': 'not', broken: 'not', ask: 'ask', unknown: 'unknown' } as const

const COUNT_STATES: Record<HoldCount['state'], Count['state']> = {
  'not-started': 'waiting',
  running: 'running',
  broken: 'broken',
  lost: 'broken',
  complete: 'full',
}

/**
 * What set the count of a level to zero, in order: levels beyond the range, gaps that are too long, what came in.
 * @param breakRule the rule that a break is of
 */
function heldRestarts({ breaks, gaps, restarts }: HoldCount, breakRule: string): Count['restarts'] {
  return [
    ...breaks.filter(({ isReckoned }) => !isReckoned).map(({ from }) => ({ ms: from, why: breakRule })),
    ...gaps.filter(({ effect }) => effect === 'restart').map(({ from }) => ({ ms: from, why: 'level-unknown' })),
    ...restarts.map(({ at, event }) => ({ ms: at, why: RESTART_RULES[event] })),
  ]
    .sort((a, b) => a.ms - b.ms)
    .map(({ ms, why }) => ({ at: iso(ms), why }))
}

function heldCount(track: string, clock: HoldCount, breakRule: string, proof: Count['proof']): Count {
  return {
    track,
    kind: 'hold',
    state: COUNT_STATES[clock.state],
    unit: 'h',
    has: Math.min(clock.provenHours, clock.requiredHours),
    needs: clock.requiredHours,
    fullAt: clock.completesAt === null ? null : iso(clock.completesAt),
    basis: clock.state === 'complete' ? 'happened' : 'expected',
    proof,
    restarts: heldRestarts(clock, breakRule),
  }
}

const dosesCount = ({ track, done, state, fullAt, restarts }: DosesState): Count => ({
  track: track.id,
  kind: 'rounds',
  state,
  unit: 'rounds',
  has: done.length,
  needs: track.need,
  fullAt: fullAt === null ? null : iso(fullAt),
  basis: state === 'full' ? 'happened' : 'expected',
  proof: 'logged',
  restarts: restarts.map(({ at, why }) => ({ at: iso(at), why })),
})

const dipsCount = ({ track, has, pace, state, fullAt, restarts }: DipsState): Count => ({
  track: track.id,
  kind: 'rounds',
  state,
  unit: 'rounds',
  has,
  needs: pace.need,
  fullAt: fullAt === null ? null : iso(fullAt),
  basis: state === 'full' ? 'happened' : 'expected',
  proof: 'logged',
  restarts: restarts.map(({ at, why }) => ({ at: iso(at), why })),
})

const elapsedCount = ({ track, days, needsDays, fullAt }: ElapsedState): Count => ({
  track: track.id,
  kind: 'hold',
  state: days >= needsDays ? 'full' : 'running',
  unit: 'h',
  has: 24 * days,
  needs: 24 * needsDays,
  fullAt: iso(fullAt),
  basis: days >= needsDays ? 'happened' : 'expected',
  proof: 'logged',
  restarts: [],
})

const restartsOf = (restarts: RoundsState['restarts']): Count['restarts'] =>
  restarts.map(({ at, why }) => ({ at: iso(at), why }))

function movesCount(rounds: RoundsState): Count {
  return {
    track: rounds.track.id,
    kind: 'rounds',
    state: rounds.state,
    unit: 'rounds',
    has: rounds.state === 'broken' ? 0 : rounds.made.length,
    needs: rounds.needs,
    fullAt: rounds.fullAt === null ? null : iso(rounds.fullAt),
    basis: rounds.state === 'full' ? 'happened' : 'expected',
    proof: 'logged',
    restarts: restartsOf(rounds.restarts),
  }
}

/** Baths are full with the last of them; before the first nobody knows when that is but for the moves they go with. */
function bathsCount(baths: BathsState): Count {
  const { need, apartHours } = baths.track
  const [last, first] = [baths.done.at(-1), baths.done[0]]
  const fullAt =
    baths.state === 'full' ? last! : first === undefined ? null : first + (need - 1) * apartHours[1] * MS_PER_HOUR
  return {
    track: baths.track.id,
    kind: 'rounds',
    state: baths.state,
    unit: 'rounds',
    has: baths.done.length,
    needs: need,
    fullAt: fullAt === null ? null : iso(fullAt),
    basis: baths.state === 'full' ? 'happened' : 'expected',
    proof: 'logged',
    restarts: restartsOf(baths.restarts),
  }
}

/** The time without medicine: it begins with the last fish's move, with carbon after thirty days, or with the last transfer. */
function watchCount({ observation, course }: CoursePlan, until: number): Count {
  const needs = (observation?.leastDays ?? watchDays(course).days) * 24
  const has = observation ? Math.max(0, (until - observation.from) / MS_PER_HOUR) : 0
  const fullAt = observation ? observation.from + needs * MS_PER_HOUR : null
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
    restarts: (observation?.restarts ?? []).map(({ at, why }) => ({ at: iso(at), why })),
  }
}

/** Whole local days, told as 24 h each: a night of the clock change has not made one longer. */
const fishlessCount = (fishless: FishlessState): Count => ({
  track: fishless.track.id,
  kind: 'hold',
  state: fishless.state,
  unit: 'h',
  has: 24 * fishless.days,
  needs: 24 * fishless.needsDays,
  fullAt: fishless.fullAt === null ? null : iso(fishless.fullAt),
  basis: fishless.state === 'full' ? 'happened' : 'expected',
  proof: 'logged',
  restarts: fishless.restarts.map(({ at, why }) => ({ at: iso(at), why })),
})

/** The counts of a course in the order of its definition; a series is no count. */
function countsOf(plan: CoursePlan, until: number): Count[] {
  return plan.course.definition.tracks.flatMap((track): Count[] => {
    if (track.kind === 'series' || track.kind === 'measure') return []
    if (track.kind === 'rounds') {
      if (track.of === 'dose') return plan.doses.filter((one) => one.track.id === track.id).map(dosesCount)
      if (track.of === 'dip') return plan.dips ? [dipsCount(plan.dips)] : []
      if (!plan.rounds) return []
      return track.of === 'move' ? [movesCount(plan.rounds)] : plan.rounds.baths ? [bathsCount(plan.rounds.baths)] : []
    }
    if (track.by === 'no-fish') return plan.fishless ? [fishlessCount(plan.fishless)] : []
    if (track.by === 'no-signs') return [watchCount(plan, until)]
    if (track.by === 'elapsed') return plan.elapsed ? [elapsedCount(plan.elapsed)] : []
    if (track.by === 'salinity')
      return plan.salinity ? [heldCount(track.id, plan.salinity.clock, 'salinity-high', 'proven')] : []
    return isDrugPlan(plan)
      ? [heldCount(track.id, plan.clock, 'level-low', isTested(plan.facts) ? 'proven' : 'logged')]
      : []
  })
}

function taskStanding(task: CourseTask, rules: CoursePlan['rules']): StandingTask {
  const { dose, change, session, bath, food } = task
  // A task tells what it waits for in words.
  const waitsFor = (task.waitsFor ?? []).map((words) => rules.find(({ rule }) => rule === words)?.id ?? words)
  const isWatched = task.act === 'close' && task.step === 'close' && task.notAfter - task.best === 7 * MS_PER_DAY
  const amount =
    dose?.amount != null && dose.unit !== null
      ? { value: dose.amount, unit: dose.unit, makes: dose.makesMgPerL }
      : session?.amount != null && session.unit !== null
        ? {
            value: session.amount,
            unit: session.unit,
            ...(session.makesMgPerL !== null && { makes: session.makesMgPerL }),
          }
        : change
          ? { value: change.litres, unit: 'L', ...(change.toMgPerL > 0 && { makes: change.toMgPerL }) }
          : bath?.litres != null && bath.amountPerL !== null && bath.unit !== null
            ? { value: bath.amountPerL * bath.litres, unit: bath.unit, makes: bath.mgPerL }
            : food
              ? { value: food.mgPerG, unit: 'mg/g' }
              : null
  return {
    id: task.id,
    step: task.step,
    act: task.act,
    notBefore: iso(task.notBefore),
    best: iso(task.best),
    // The time without medicine has no end that is too late.
    notAfter: isWatched ? null : iso(task.notAfter),
    state: waitsFor.length > 0 ? 'waiting' : isWatched && task.state === 'late' ? 'due' : task.state,
    ...(waitsFor.length > 0 && { waitsFor }),
    ...(amount && { amount }),
  }
}

/** What a count makes known as instants: its beginning, and when it was or would be full. */
function anchorsOf(plan: CoursePlan, counts: readonly Count[]): CourseStanding['anchors'] {
  const { course, observation, rounds } = plan
  const begun: Record<string, number | null> = {
    held: isDrugPlan(plan) ? plan.clock.runFrom : (plan.salinity?.clock.runFrom ?? null),
    watch: observation?.from ?? null,
    moves: rounds?.zero ?? null,
    baths: rounds?.baths?.done[0] ?? null,
    fishless: plan.fishless?.begunAt ?? null,
    days: course.startedAt,
    dips: plan.dips?.rounds[0]?.at ?? null,
    ...Object.fromEntries(plan.doses.map(({ track, done }) => [track.id, done[0] ?? null])),
  }
  const isAhead = plan.phase === 'ahead'
  const anchors: CourseStanding['anchors'] = {
    start: { at: iso(course.startedAt), basis: isAhead ? 'expected' : 'happened' },
  }
  for (const { track, fullAt, basis } of counts) {
    const from = begun[track]
    if (from != null) anchors[`begun:${track}`] = { at: iso(from), basis: isAhead ? 'expected' : 'happened' }
    if (fullAt !== null) anchors[`full:${track}`] = { at: fullAt, basis }
  }
  if (course.ended) anchors['end'] = { at: iso(course.ended.at), basis: 'happened' }
  return anchors
}

/** With days without fish both have to be full; dips alone are followed by weeks of looking. */
function dipStage(dips: DipsState, fishless: FishlessState | null, now: number): CourseStanding['stage'] {
  if (dips.state !== 'full') return 'treating'
  if (!fishless) return now >= dips.fullAt! + CLEAN_LOOK_DAYS * MS_PER_DAY ? 'to-close' : 'watching'
  return fishless.state === 'full' ? 'to-close' : 'treating'
}

function stageOf(plan: CoursePlan, counts: readonly Count[]): CourseStanding['stage'] {
  if (plan.phase === 'ahead') return 'ahead'
  if (plan.course.ended) return 'closed'
  if (plan.course.definition.kind === 'plan')
    return plan.rules.some(({ role, state }) => role === 'success' && state === 'holds') ? 'to-close' : 'treating'
  if (plan.dips) return dipStage(plan.dips, plan.fishless, plan.facts.now)
  if (plan.fishless) return plan.fishless.state === 'full' ? 'to-close' : 'treating'
  if (plan.course.definition.ends === 'doses')
    return plan.doses.every(({ state }) => state === 'full') ? 'to-close' : 'treating'
  if (!plan.observation) return 'treating'
  return counts.find(({ track }) => track === 'watch')?.state === 'full' ? 'to-close' : 'watching'
}

/**
 * A course as it stands, in the plain shape that is asked for from outside.
 * @param now     ms
 * @param horizonDays days ahead whose tasks are wanted
 */
export function standingOf(
  journal: Journal,
  course: Course,
  settings: Settings,
  now: number,
  horizonDays: number = HORIZON_DAYS,
): CourseStanding {
  const plan = coursePlan(journal, course, settings, now, settings.clock.dayOf(now + horizonDays * MS_PER_DAY))
  const until = plan.facts.now
  const counts = countsOf(plan, until)
  return {
    courseId: course.id,
    definition: course.definition.id,
    tankId: plan.observation?.tankId ?? plan.rounds?.tankId ?? course.tankId,
    stage: stageOf(plan, counts),
    anchors: anchorsOf(plan, counts),
    counts,
    series: seriesStanding(plan),
    rules: [...plan.rules, ...plan.events].map(({ id, role, state, is, limit, asOf, blindSince }) => ({
      rule: id,
      role,
      state: RULE_STATES[state],
      asOf: asOf === undefined ? null : iso(asOf),
      ...(blindSince !== undefined && { blindSince: iso(blindSince) }),
      ...(is !== undefined && { is }),
      ...(limit !== undefined && { limit }),
    })),
    tasks: plan.tasks
      .filter(({ best }) => best <= now + horizonDays * MS_PER_DAY)
      .map((task) => taskStanding(task, plan.rules)),
    warnings: plan.warnings.map(({ id, text }) => ({ rule: WARNING_RULES[id] ?? id, text })),
  }
}

const startOf = ({ anchors }: CourseStanding): number => Date.parse(anchors['start']!.at)

/** Courses whose definition or dose this version does not know: shown, and not worked out. */
const unknownStandings = (journal: Journal, now: number): CourseStanding[] =>
  unknownCoursesOf(journal).map(({ id, definition, tankId, startedAt }) => ({
    courseId: id,
    definition,
    tankId,
    stage: startedAt > now ? 'ahead' : 'treating',
    anchors: { start: { at: iso(startedAt), basis: startedAt > now ? 'expected' : 'happened' } },
    counts: [],
    series: [],
    rules: [],
    tasks: [],
    warnings: [{ rule: 'unknown-definition', text: unknownDefinitionWords(definition) }],
  }))

/** What counts although it lies ahead. */
const KNOWN_AHEAD: ReadonlySet<string> = new Set(['course-start', 'away'])

/**
 * A journal without what happens after an instant, but for courses that are to start and days away. An entry counts by when it
 * happened as corrected: one that was put right to a later time has not happened yet, one put right to an earlier time has.
 */
function journalUpTo(whole: Journal, at: number): Journal {
  const isAhead = (id: string): boolean => {
    const line = whole.line(id)
    return line !== undefined && line.at > at && !KNOWN_AHEAD.has(line.content.kind)
  }
  const journal = new Journal()
  journal.add(
    whole.entries().filter((entry) => isStrikeOut(entry) || !isAhead(isCorrection(entry) ? entry.corrects : entry.id)),
  )
  return journal
}

/**
 * Every course of a journal as it stands at an instant, in the order they began; nothing is kept. A course whose definition this
 * version does not know is shown with a word that says so.
 * @returns `invalid-input` where the journal would not be taken in
 */
export function readStanding({ journal: file, now, horizonDays }: StandingInput): Result<StandingOutput> {
  const whole = journalFrom(file)
  if (!whole.ok) return whole
  const at = Date.parse(now)
  const journal = journalUpTo(whole.value, at)
  const settings = settingsOf(journal) ?? DEFAULT_SETTINGS
  const known = coursesOf(journal).map((course) => standingOf(journal, course, settings, at, horizonDays))
  const courses = [...known, ...unknownStandings(journal, at)]
  return ok({ courses: courses.sort((a, b) => startOf(a) - startOf(b)) })
}
