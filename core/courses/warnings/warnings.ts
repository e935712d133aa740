import type { Settings } from '../../household/settings.ts'
import { animalById, animalLabel } from '../../household/animals.ts'
import { productById } from '../../household/shelf.ts'
import { tankById } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { dayAs, dayBeside, momentBeside, spanText } from '../../time/words.ts'
import { capital, listed } from '../../words/numbers.ts'
import { chainDays } from '../../catalogue/courses/move-track.ts'
import type { DrugCourse } from '../course.ts'
import type { RuleState } from '../rules/rules.ts'
import { drugWord, type DrugState } from '../steps/step-input.ts'
import type { CourseTask } from '../tasks.ts'
import { GAP_HOURS, type HoldCount } from '../tracks/hold.ts'
import type { DipsState } from '../tracks/dips.ts'
import type { DosesState } from '../tracks/doses.ts'
import type { FishlessState } from '../tracks/fishless.ts'
import type { RoundsState } from '../tracks/rounds.ts'
import { gravityOfPsu } from '../../salinity/gravity.ts'
import type { SalinityState } from '../tracks/salinity.ts'
import type { CourseRecord, Restart } from '../record/record.ts'
import type { Observation } from '../tracks/watch.ts'
import { dryingSentence } from './drying-warning.ts'
import { wardNow } from '../ward-when-loaded.ts'
import { signSentence } from './sign-warnings.ts'
import { dipSentences, fishlessSentences } from './wait-warnings.ts'
import { leftOf, type Watched } from '../record/watched.ts'

/** A sentence that changes what to do; it stands above the list. */
export interface CourseWarning {
  id: string
  tone: 'act' | 'soon'
  text: string
  /** A course that is offered instead, and what its start is called. */
  offers?: { definitionId: string; label: string }
}

export interface WarningInput {
  journal: Journal
  settings: Settings
  facts: CourseRecord
  drug: DrugState | null
  rounds: RoundsState | null
  salinity: SalinityState | null
  doses: readonly DosesState[]
  dips: DipsState | null
  fishless: FishlessState | null
  rules: readonly RuleState[]
  tasks: readonly CourseTask[]
  seen: Watched
  observation: Observation | null
}
type DrugWarningInput = WarningInput & DrugState
/** What the sentences on gaps and restarts of any held level need. */
type HoldWarningInput = Pick<WarningInput, 'facts' | 'settings' | 'journal'> & { clock: HoldCount }

/** How long a death without a cause is told: as long as it extends the watch, quarantine.md 7.4. */
const DEATH_DAYS = 14

const RESTART_WORDS: Record<Restart['event'], string> = {
  'carbon-left-in': 'carbon was in the water',
  'new-fish-added': 'a new fish came into the water',
  'cross-contamination': 'something wet from an unclean system touched the water',
}

const RESTART_IDS: Record<Restart['event'], string> = {
  'carbon-left-in': 'carbon-left-in',
  'new-fish-added': 'new-fish',
  'cross-contamination': 'cross-contact',
}

/** The last time the level was under its range, and when the count began again. */
function breakSentence({ facts, clock, settings }: DrugWarningInput): CourseWarning | null {
  const last = clock.breaks.at(-1)
  if (!last) return null
  const low = facts.course.dose.low.toFixed(2)
  const zone = settings.clock
  if (last.to === null)
    return {
      id: 'broken',
      tone: 'act',
      text: `${capital(drugWord(facts.course))} is ${last.isReckoned ? 'by reckoning ' : ''}under ${low} since ${momentBeside(last.from, facts.now, zone)}. The count starts over once it is back.`,
    }
  // A break that a whole full count has followed is history.
  if (clock.state === 'complete') return null
  const day = dayAs(zone.dayOf(last.from), 'EEEE d MMMM')
  const again =
    clock.runFrom !== null && clock.runFrom >= last.to
      ? ` The count began again ${momentBeside(clock.runFrom, facts.now, zone)}.`
      : ''
  return {
    id: 'broke',
    tone: 'act',
    text: `${capital(drugWord(facts.course))} was ${last.isReckoned ? 'by reckoning ' : ''}under ${low} for about ${spanText((last.to - last.from) / MS_PER_HOUR)} on ${day}.${again}`,
  }
}

function gapSentence({ clock, facts, settings }: HoldWarningInput): CourseWarning | null {
  const gap = clock.gaps.at(-1)
  if (!gap || (!gap.open && (clock.runFrom === null || gap.to < clock.runFrom))) return null
  const hours = spanText(gap.hours)
  if (gap.effect === 'restart')
    return gap.open
      ? {
          id: 'gap',
          tone: 'act',
          text: `No reading for ${hours}: over ${GAP_HOURS.most} h nothing is proven any more. The count starts over with the next reading in range.`,
        }
      : {
          id: 'gap',
          tone: 'act',
          text: `No reading for ${hours}: over ${GAP_HOURS.most} h, so the count began again with the reading of ${momentBeside(gap.to, facts.now, settings.clock)}.`,
        }
  const extra = spanText(gap.hours - GAP_HOURS.proven)
  return {
    id: 'gap',
    tone: 'soon',
    text: `No reading for ${hours}: ${extra} of it is not counted${gap.open ? ' so far' : ''} and is added at the end.`,
  }
}

function restartSentences({ clock, facts, settings, journal }: HoldWarningInput): CourseWarning[] {
  const restartWords = (event: Restart['event'], animalId: string | undefined): string => {
    const animal = animalId === undefined ? null : animalById(journal, animalId)
    if (!animal) return RESTART_WORDS[event]
    return facts.course.animalIds.includes(animal.id) && animal.arrivedAt < facts.course.startedAt
      ? `${animalLabel(animal)} came back from other water`
      : `${animalLabel(animal)} came into the water`
  }
  return clock.restarts.slice(0, 1).map(({ at, event, ongoing, animalId }) =>
    ongoing
      ? {
          id: 'carbon-left-in',
          tone: 'act',
          text: `Carbon or resin is running in this water: it takes the ${facts.course.dose ? drugWord(facts.course as DrugCourse) : 'medicine'} out, and nothing counts until it is removed.`,
        }
      : {
          id: RESTART_IDS[event],
          tone: 'soon',
          text: `The count began again ${momentBeside(at, facts.now, settings.clock)}: ${restartWords(event, animalId)}.`,
        },
  )
}

/** A move, a bath or a contact that set a chain of transfers back: what it means, and what follows. */
function roundSentences({ rounds, facts, settings, journal }: WarningInput): CourseWarning[] {
  if (!rounds) return []
  const warnings: CourseWarning[] = []
  const when = (at: number) => momentBeside(at, facts.now, settings.clock)
  const { maxIntervalHours } = rounds.track.rule
  const days = chainDays(rounds.track.rule)
  if (rounds.overdueHours !== null)
    warnings.push({
      id: 'late-move',
      tone: 'act',
      text: `The move is ${spanText(rounds.overdueHours)} late: cysts may have hatched in this water. Move now; it becomes hour 0, and ${days} days begin again${rounds.baths && rounds.baths.givenInAll > 0 ? ', with both baths' : ''}.`,
    })
  const last = rounds.doneAt === null ? rounds.restarts.at(-1) : undefined
  if (last && rounds.overdueHours === null) {
    const what =
      last.why === 'late-move'
        ? `the move ${when(last.at)} came ${spanText(last.hoursOff ?? 0)} over ${maxIntervalHours} h, so what hatched meanwhile may have come along. It is hour 0 of a new chain${rounds.baths ? '; baths before it no longer count' : ''}`
        : last.why === 'new-fish'
          ? `${newcomerWords(journal, facts, last.at)} ${when(last.at)}: every fish in that water begins again`
          : `something wet of another system touched the water ${when(last.at)}: every fish in it begins again`
    warnings.push({
      id: last.why,
      tone: 'soon',
      text: `${capital(what)}. Full ${rounds.fullAt === null ? 'later' : when(rounds.fullAt)} if every move is in time.`,
    })
  }
  const { baths } = rounds
  if (baths && rounds.doneAt === null) {
    const [least, best, most] = baths.track.apartHours
    if (baths.state === 'broken')
      warnings.push({
        id: 'bath-spacing',
        tone: 'act',
        text: `The second bath was due ${least} to ${most} h after the first and was not given: the pair is done again, the first with the next move, the second ${best} h after it.`,
      })
    const fault = baths.restarts.findLast(({ why, at }) => why.startsWith('bath-') && at >= rounds.zero)
    if (fault?.why === 'bath-spacing' && baths.done.length < baths.track.need)
      warnings.push({
        id: 'bath-spacing',
        tone: 'soon',
        text: `The bath ${when(fault.at)} was ${spanText(Math.abs(fault.hoursOff ?? 0))} too ${(fault.hoursOff ?? 0) > 0 ? 'late' : 'early'}: what the first did not reach may have settled again. It counts as the first of a new pair; the second is due ${when(fault.at + best * MS_PER_HOUR)}, give or take ${best - least} h.`,
      })
    const partial = facts.baths.findLast(({ isWhole, at }) => !isWhole && at >= rounds.zero)
    if (partial && baths.done.length < baths.track.need && !baths.done.some((at) => at > partial.at))
      warnings.push({
        id: 'bath-not-whole',
        tone: 'soon',
        text: `The bath ${when(partial.at)} was weaker or shorter than its row of the doses, or was ended early: what it was for may have lived through it, so it does not count.`,
      })
    if (fault?.why === 'bath-without-move' && baths.done.length < baths.track.need)
      warnings.push({
        id: 'bath-without-move',
        tone: 'soon',
        text: `The bath ${when(fault.at)} was not followed by a move within ${baths.track.moveWithinHours} h: the fish went back into the same water, so it does not count.`,
      })
  }
  return warnings
}

function newcomerWords(journal: Journal, facts: CourseRecord, at: number): string {
  const restart = facts.restarts.find((one) => one.at === at && one.animalId !== undefined)
  const animal = restart?.animalId === undefined ? null : animalById(journal, restart.animalId)
  return animal ? `${animalLabel(animal)} came into the water` : 'a new fish came into the water'
}

/** Stop, escalate and success rules that hold: a plan has them, and the school against uronema. */
const planSentences = ({ rules }: WarningInput): CourseWarning[] =>
  rules.flatMap((rule): CourseWarning[] => {
    if (rule.state !== 'holds') return []
    const after = rule.then === undefined ? '' : `: ${rule.then}`
    if (rule.role === 'stop') return [{ id: rule.id, tone: 'act', text: `Stop, ${rule.rule}${after}.` }]
    if (rule.role === 'escalate') return [{ id: rule.id, tone: 'soon', text: `${capital(rule.rule)}${after}.` }]
    if (rule.role === 'success')
      return [{ id: rule.id, tone: 'soon', text: `Reached: ${rule.rule}. The plan can be finished.` }]
    return []
  })

/** What cannot be kept while nobody is at home. */
function awaySentence({ tasks }: WarningInput): CourseWarning | null {
  const lost = tasks.filter(({ isAway, act }) => isAway && act !== 'look')
  return lost.length === 0
    ? null
    : {
        id: 'away',
        tone: 'soon',
        text: `Nobody is at home for: ${[...new Set(lost.map(({ title }) => title))].join('; ')}. Somebody has to stand in, or the course begins later.`,
      }
}

/** A low salinity that rose, fell too far, or is not read. */
function salinitySentences(input: WarningInput): CourseWarning[] {
  const { salinity, facts, settings } = input
  if (!salinity) return []
  const { clock, psu, limits } = salinity
  const when = (at: number) => momentBeside(at, facts.now, settings.clock)
  const warnings: (CourseWarning | null)[] = []
  const last = clock.breaks.at(-1)
  if (last && clock.state !== 'complete')
    warnings.push({
      id: 'salinity-high',
      tone: 'act',
      text:
        last.to === null
          ? `The specific gravity is over 1.010 since ${when(last.from)}${psu === null ? '' : `, ${gravityOfPsu(psu).toFixed(4)} now`}: parasites live again. The days start over once it is back: swap for fresh water, and fill up what evaporates twice a day.`
          : `The specific gravity was over 1.010 for about ${spanText((last.to - last.from) / MS_PER_HOUR)} ${when(last.from)}.${clock.runFrom === null ? '' : ` The days began again ${when(clock.runFrom)}.`}`,
    })
  if (psu !== null && clock.state !== 'not-started' && clock.state !== 'complete' && psu < limits.low - 1e-9)
    warnings.push({
      id: 'salinity-low',
      tone: 'soon',
      text: `The specific gravity is ${gravityOfPsu(psu).toFixed(4)}, under 1.008: the days go on, but it costs the fish and the filter. Bring it to 1.009 with a little salt water.`,
    })
  warnings.push(dryingSentence(input, salinity))
  const held = { ...input, clock }
  warnings.push(gapSentence(held), ...restartSentences(held))
  return warnings.filter((warning) => warning !== null)
}

/** A stop rule that cannot see comes first, then what has to be acted on. */
const rankOf = ({ id, tone }: CourseWarning): number => (tone === 'soon' ? 2 : id === 'blind' ? 0 : 1)

/** Rules that cannot see, since when, and what to do: above everything else. */
function blindSentence({ rules, facts, settings }: WarningInput): CourseWarning | null {
  const blind = rules.filter(({ blindSince }) => blindSince !== undefined)
  if (blind.length === 0) return null
  const isDark =
    facts.course.definition.steps.some(({ procedure }) => procedure === 'blackout-cover') &&
    facts.endedTreatmentAt === null
  const last = Math.max(...blind.flatMap(({ asOf }) => asOf ?? []))
  const tested = Number.isFinite(last)
    ? `not tested since ${dayBeside(settings.clock.dayOf(last), settings.clock.dayOf(facts.now))}`
    : 'not measured yet'
  const isStop = blind.some(({ role }) => role === 'stop')
  return {
    id: 'blind',
    tone: isStop ? 'act' : 'soon',
    text: `${isDark ? `Dark, and ${tested}` : capital(tested)}: ${isStop ? 'the stop rules cannot see' : 'it cannot be judged'}. Test now${isDark ? ', or uncover' : ''}.`,
  }
}

/** Who of the course lives in another tank now. */
function leftSentence({ journal, facts: { course, now }, settings }: WarningInput): CourseWarning | null {
  const left = leftOf(journal, course)
  if (left.length === 0) return null
  const said = left.map(({ label, tankId, at }) => {
    const when = at === null ? '' : ` ${momentBeside(at, now, settings.clock)}`
    return `${label} went to ${tankById(journal, tankId)?.name ?? 'another tank'}${when}`
  })
  return {
    id: 'left',
    tone: 'soon',
    text: `${listed(said)}: no longer counted in this course. Back here, ${left.length === 1 ? 'it is' : 'they are'} counted again.`,
  }
}

/** Everything that changes what to do in a course, most pressing first. */
export function warningsOf(input: WarningInput): CourseWarning[] {
  const { journal, facts, seen, observation, settings, drug } = input
  const { course, now, volumeL } = facts
  const warnings: (CourseWarning | null)[] = [blindSentence(input)]
  const tank = tankById(journal, course.tankId)
  if (volumeL === null && (drug || course.definition.kind === 'plan'))
    warnings.push({
      id: 'volume',
      tone: 'act',
      text: `The net volume of ${tank?.name ?? 'this tank'} is not worked out: nothing can be dosed until its sheet is filled in.`,
    })
  warnings.push(
    leftSentence(input),
    ...(wardNow()?.wardSentences(input) ?? []),
    ...planSentences(input),
    ...(observation ? [] : [...roundSentences(input), ...salinitySentences(input)]),
    ...(wardNow()?.doseSentences(input) ?? []),
    ...fishlessSentences(input),
    ...dipSentences(input),
    awaySentence(input),
  )
  if (!observation && drug) {
    const drugInput = { ...input, ...drug }
    warnings.push(breakSentence(drugInput), gapSentence(drugInput), ...restartSentences(drugInput))
    const product = course.productId === null ? null : productById(journal, course.productId)
    if (!product || product.retired)
      warnings.push({
        id: 'product',
        tone: 'act',
        text: `The ${drugWord(drug.facts.course)} of this course is not on the shelf any more: amounts cannot be measured.`,
      })
  }
  const death = seen.unexplainedDeaths.at(-1)
  if (death && now - death.at < DEATH_DAYS * MS_PER_DAY) {
    const animal = animalById(journal, death.animalId)
    warnings.push({
      id: 'death',
      tone: 'act',
      text: `${animal ? animalLabel(animal) : 'A fish'} died ${momentBeside(death.at, now, settings.clock)} and nobody knows why${course.definition.kind === 'plan' ? '' : ': fourteen days are added to the watch after the course'}. Within the hour gills and a scrape of skin under the microscope still tell; kept cool in a bag, not frozen, a veterinarian can look. Write the cause with the death once it is known.`,
    })
  }
  warnings.push(signSentence(input))
  return warnings.filter((warning) => warning !== null).sort((a, b) => rankOf(a) - rankOf(b))
}
