import type { Happening, RunSetup } from '../../acclimation/follow.ts'
import { mindsSalinity } from '../../acclimation/limits.ts'
import type { ContentOf } from '../../journal/entry.ts'
import { tanAsN } from '../../ammonia/basis.ts'
import type { Journal } from '../../journal/journal.ts'
import { lastValue } from '../../readings/evidence.ts'
import { MS_PER_MINUTE } from '../../time/zone.ts'
import { PARAMETER_OF, type WaterFigure } from './water.ts'

type Start = ContentOf<'acclimation-start'>

/** An acclimation as its journal entries leave it: it lives there, and a page only shows it. */
export interface Run {
  id: string
  start: Start
  startedAt: number
  setup: RunSetup
  happenings: readonly Happening[]
  /** Steps of the release that were ticked. */
  steps: ReadonlySet<string>
  ended: { at: number; outcome: 'released' | 'stopped'; measured: boolean; off?: string; why?: string } | null
}

function happeningOf(event: ContentOf<'acclimation-event'>, minute: number): Happening | null {
  switch (event.event) {
    case 'opened':
      return { kind: 'opened', minute }
    case 'scoop':
      return event.litres === undefined ? null : { kind: 'scoop', minute, litres: event.litres }
    case 'pour-off':
      return event.litres === undefined ? null : { kind: 'pour-off', minute, toL: event.litres }
    case 'drip':
      return event.mlPerMinute === undefined ? null : { kind: 'drip', minute, mlPerMinute: event.mlPerMinute }
    case 'measured': {
      const { temperatureC, salinityPsu, pH, tanMgPerL } = event
      return {
        kind: 'measured',
        minute,
        ...(temperatureC !== undefined && { temperatureC }),
        ...(salinityPsu !== undefined && { salinityPsu }),
        ...(pH !== undefined && { pH }),
        ...(tanMgPerL !== undefined && { tanMgPerL }),
      }
    }
    case 'way':
    case 'step':
      return null
  }
}

/** A float this long brings the bag to the tank's warmth, whatever it was. */
const WARMING_MINUTES = 10

/** The figures of the bag that decide and were guessed. */
function guessedOf({ assumed, limits, setting }: Start): ('salinityPsu' | 'temperatureC')[] {
  const isGuessed = (figure: string) => assumed.some((id) => id.endsWith(`.${figure}`) && !id.startsWith('tank.'))
  return [
    ...(mindsSalinity(limits) && isGuessed('salinityPsu') ? ['salinityPsu' as const] : []),
    ...(setting.float.minutes < WARMING_MINUTES && isGuessed('temperatureC') ? ['temperatureC' as const] : []),
  ]
}

/** A reading kept with the start of a run is of the tank as it stands for it. */
const WITH_START_MS = MS_PER_MINUTE

/** Whether the tank's salinity was read since a run began. */
function isRead(journal: Journal, tankId: string, startedAt: number, until: number): boolean {
  const last = lastValue(journal, tankId, 'salinity', until + 1)
  return last !== null && last.at >= startedAt - WITH_START_MS
}

/** The tank's water as the run was planned with it, with what was read of it since the start. */
function tankSince(
  journal: Journal,
  { setting, tankId }: Start,
  startedAt: number,
  until: number,
): Start['setting']['tank'] {
  const tank = { ...setting.tank }
  for (const [figure, parameter] of Object.entries(PARAMETER_OF) as [WaterFigure, string][]) {
    const last = lastValue(journal, tankId, parameter, until + 1)
    if (last && last.at >= startedAt - WITH_START_MS)
      tank[figure] = figure === 'tanMgPerL' ? tanAsN(last.line.content, last.value) : last.value
  }
  return tank
}

function describe(journal: Journal, id: string): Run | null {
  let start: Start | null = null
  let startedAt = 0
  let ended: Run['ended'] = null
  const happenings: Happening[] = []
  const steps = new Set<string>()
  // Chosen again on the way, by what was measured.
  let changed: Pick<RunSetup, 'way' | 'method'> | null = null
  let chosenAt = 0
  for (const { content, at, struck } of journal.about(`run:${id}`)) {
    if (struck) continue
    if (content.kind === 'acclimation-start') {
      start = content
      startedAt = at
    } else if (content.kind === 'acclimation-event') {
      const happening = happeningOf(content, (at - startedAt) / MS_PER_MINUTE)
      if (happening) happenings.push(happening)
      if (content.step !== undefined) steps.add(content.step)
      if (content.way !== undefined) {
        changed = { way: content.way, method: content.method ?? null }
        chosenAt = (at - startedAt) / MS_PER_MINUTE
      }
    } else if (content.kind === 'acclimation-end')
      ended = {
        at,
        outcome: content.outcome,
        measured: content.measured ?? false,
        ...(content.off !== undefined && { off: content.off }),
        ...(content.why !== undefined && { why: content.why }),
      }
  }
  if (!start) return null
  const { limits, way, method = null } = start
  const setting = { ...start.setting, tank: tankSince(journal, start, startedAt, ended?.at ?? Infinity) }
  // What is measured after a choice was not known at it.
  const isKnowing =
    (changed !== null || start.knowing !== undefined) &&
    !happenings.some((one) => one.kind === 'measured' && one.salinityPsu !== undefined && one.minute > chosenAt)
  return {
    id,
    start,
    startedAt,
    setup: {
      setting,
      limits,
      guessed: guessedOf(start),
      isTankRead: isRead(journal, start.tankId, startedAt, ended?.at ?? Infinity),
      isKnowing,
      ...(changed ?? { way, method }),
    },
    happenings,
    steps,
    ended,
  }
}

/** A run; null when the journal holds none of that id. */
export function runById(journal: Journal, id: string): Run | null {
  const start = journal
    .about(`run:${id}`)
    .find(({ content, struck }) => !struck && content.kind === 'acclimation-start')?.content as Start | undefined
  return journal.derive(`run:${id}`, [`run:${id}`, ...(start ? [`tank:${start.tankId}` as const] : [])], () =>
    describe(journal, id),
  )
}

/** All runs, latest first. */
export function runsOf(journal: Journal): Run[] {
  const ids = new Set(journal.ofKind('acclimation-start').map(({ content }) => content.runId))
  return [...ids].flatMap((id) => runById(journal, id) ?? []).sort((a, b) => b.startedAt - a.startedAt)
}

/** The runs that are under way, the oldest first. */
export const liveRuns = (journal: Journal): Run[] =>
  runsOf(journal)
    .filter(({ ended }) => ended === null)
    .reverse()

/** Minutes of a run at an instant, since its float began. */
export const minuteOf = ({ startedAt }: Run, at: number): number => (at - startedAt) / MS_PER_MINUTE

/** The instant of a run's minute. */
export const instantOf = ({ startedAt }: Run, minute: number): number => startedAt + minute * MS_PER_MINUTE

/** Who is in a run, in words. */
export const runLabel = ({ start }: Pick<Run, 'start'>): string =>
  start.animals.map(({ name, species, count }) => name ?? (count > 1 ? `${count} ${species}` : species)).join(', ')
