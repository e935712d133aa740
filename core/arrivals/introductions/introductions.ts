import { animalGroupById } from '../../catalogue/animal-group.ts'
import { INTRODUCTION, SKIRMISHES } from '../../catalogue/handbook/introduction.data.ts'
import { inspectionKindOf } from '../../catalogue/inspection-kind.ts'
import type { Animal } from '../../household/animals.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal, Line } from '../../journal/journal.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'

export type IntroductionWay = ContentOf<'introduction-start'>['way']
type SkirmishLine = Line<ContentOf<'skirmish'>>

/** A condition of the door, and what was last said of it. */
export interface Condition {
  id: string
  words: string
  holds: boolean
  saidAt: number | null
}

/** Animals being brought together, as the journal's entries leave it. */
export interface Introduction {
  id: string
  way: IntroductionWay
  tankId: string
  animalIds: readonly string[]
  rivalIds: readonly string[]
  neutralTankId: string | null
  conditions: readonly Condition[]
  notBefore: number | null
  startedAt: number
  /** When the door was opened, or they went home together; null while it is shut. */
  openedAt: number | null
  ended: { at: number; outcome: 'settled' | 'stopped'; why?: string } | null
  skirmishes: readonly SkirmishLine[]
}

/** The ways to bring animals together, and the shortest that each takes: quarantine.md 9; two days in the box, 48 hours side by side on neutral ground. */
export const INTRODUCTION_WAYS: Readonly<
  Record<
    IntroductionWay,
    {
      title: string
      /** What opening is called. */
      opens: string
      leastHours: number
    }
  >
> = {
  box: {
    title: 'Acclimation box',
    opens: 'Open the door',
    leastHours: 48,
  },
  neutral: {
    title: 'Two rivals, a neutral tank first',
    opens: 'Move both home together',
    leastHours: 48,
  },
  pair: {
    title: 'Mild rivals as a pair or group',
    opens: 'They are in',
    leastHours: 0,
  },
}

function describe(journal: Journal, id: string): Introduction | null {
  let start: ContentOf<'introduction-start'> | null = null
  let startedAt = 0
  let openedAt: number | null = null
  let ended: Introduction['ended'] = null
  const said = new Map<string, { holds: boolean; at: number }>()
  const skirmishes: SkirmishLine[] = []
  for (const line of journal.about(`introduction:${id}`)) {
    if (line.struck) continue
    const { content, at } = line
    if (content.kind === 'introduction-start') {
      start = content
      startedAt = at
    } else if (content.kind === 'introduction-mark') {
      if (content.mark === 'condition' && content.conditionId !== undefined)
        said.set(content.conditionId, { holds: content.holds ?? true, at })
      else if (content.mark === 'shut') openedAt = null
      else if (content.mark !== 'condition') openedAt = at
    } else if (content.kind === 'introduction-end')
      ended = { at, outcome: content.outcome, ...(content.why !== undefined && { why: content.why }) }
    else if (content.kind === 'skirmish') skirmishes.push(line as SkirmishLine)
  }
  if (!start) return null
  return {
    id,
    way: start.way,
    tankId: start.tankId,
    animalIds: start.animalIds,
    rivalIds: start.rivalIds ?? [],
    neutralTankId: start.neutralTankId ?? null,
    conditions: start.conditions.map(({ id: one, words }) => ({
      id: one,
      words,
      holds: said.get(one)?.holds ?? false,
      saidAt: said.get(one)?.at ?? null,
    })),
    notBefore: start.notBefore === undefined ? null : Date.parse(start.notBefore),
    startedAt,
    openedAt,
    ended,
    skirmishes,
  }
}

/** An introduction; null when the journal holds none of that id. */
export const introductionById = (journal: Journal, id: string): Introduction | null =>
  journal.derive(`introduction:${id}`, [`introduction:${id}`], () => describe(journal, id))

/** All introductions, latest first. */
export function introductionsOf(journal: Journal): Introduction[] {
  const ids = new Set(journal.ofKind('introduction-start').map(({ content }) => content.introId))
  return [...ids].flatMap((id) => introductionById(journal, id) ?? []).sort((a, b) => b.startedAt - a.startedAt)
}

/** What still keeps the door shut; empty when it may be opened. */
export function keepsShut({ conditions, notBefore, startedAt, way }: Introduction, now: number): string[] {
  const earliest = Math.max(notBefore ?? 0, startedAt + INTRODUCTION_WAYS[way].leastHours * MS_PER_HOUR)
  const left = (earliest - now) / MS_PER_HOUR
  return [
    ...(left > 0 ? [`${left < 24 ? `${Math.ceil(left)} hours` : `${Math.ceil(left / 24)} days`} to go`] : []),
    ...conditions.filter(({ holds }) => !holds).map(({ words }) => words),
  ]
}

/** Who meets others: fish and crustaceans. A coral or an anemone minds nobody. */
export const canMeet = ({ group }: Pick<Animal, 'group'>): boolean => {
  const known = animalGroupById(group)
  return known === undefined || ['fish', 'crustacean'].includes(inspectionKindOf(known))
}

/** Whether it goes on, has to be watched, or has to be stopped, and by which rule. */
export interface StopVerdict {
  verdict: 'calm' | 'watch' | 'stop'
  reasons: string[]
}

const MANY_CHASES = 10
const SOME_CHASES = 5
const RAMMED_MINUTES = 120
const FAST_HOURS = 72
/** On neutral ground: quarantine.md 9, intro-neutral. */
const FAST_HOURS_NEUTRAL = 48
/** The same on two days running is a habit. */
const DAYS_RUNNING = 2

const STOPS: Partial<Record<SkirmishLine['content']['what'], string>> = {
  bite: 'a bite on the body, missing scales or blood',
  pinned: 'one is pinned at the surface, in a corner or at a pump',
  'fins-torn': 'fins torn',
  'singled-out': 'one is singled out by the others',
}

/** Whether an animal was offered food and left it, and has not eaten for longer than it may. */
function fasts(journal: Journal, animalId: string, since: number, now: number, hours: number): boolean {
  let lastAte = since
  let refused = false
  for (const { content, at, struck } of journal.about(`animal:${animalId}`)) {
    if (struck || at < since) continue
    const appetite =
      content.kind === 'sighting' ? content.appetite : content.kind === 'training' ? content.mark : undefined
    if (appetite === undefined) continue
    if (appetite >= 3) {
      lastAte = at
      refused = false
    } else refused = true
  }
  return refused && now - lastAte > hours * MS_PER_HOUR
}

/** Judges an introduction by the skirmish table of quarantine.md 9. */
export function stopRule(
  journal: Journal,
  intro: Introduction,
  now: number,
  dayOf: (ms: number) => number,
): StopVerdict {
  const reasons: string[] = []
  for (const [what, words] of Object.entries(STOPS))
    if (intro.skirmishes.some(({ content }) => content.what === what)) reasons.push(words)
  const rammedOn = new Map<number, number>()
  const chasesOn = new Map<number, number>()
  for (const { content, at } of intro.skirmishes) {
    const day = dayOf(at)
    if (content.what === 'rammed') rammedOn.set(day, (rammedOn.get(day) ?? 0) + (content.minutes ?? 0))
    if (content.what === 'chase') chasesOn.set(day, Math.max(chasesOn.get(day) ?? 0, content.perHour ?? 1))
  }
  if ([...rammedOn.values()].some((minutes) => minutes > RAMMED_MINUTES))
    reasons.push('a resident rammed the box for more than two hours')
  const many = [...chasesOn].filter(([, perHour]) => perHour > MANY_CHASES).map(([day]) => day)
  if (many.some((day) => Array.from({ length: DAYS_RUNNING }, (_, i) => day + i).every((one) => many.includes(one))))
    reasons.push(`more than ${MANY_CHASES} chases an hour on two days running`)
  const hungry = intro.way === 'neutral' && intro.openedAt === null ? FAST_HOURS_NEUTRAL : FAST_HOURS
  if ([...intro.animalIds, ...intro.rivalIds].some((id) => fasts(journal, id, intro.startedAt, now, hungry)))
    reasons.push(`one has not eaten for ${hungry} hours`)
  if (reasons.length > 0) return { verdict: 'stop', reasons }
  const lately = intro.skirmishes.filter(({ at }) => now - at < 2 * MS_PER_DAY)
  const worst = Math.max(0, ...lately.map(({ content }) => (content.what === 'chase' ? (content.perHour ?? 1) : 0)))
  if (worst >= SOME_CHASES)
    return { verdict: 'watch', reasons: [`${worst} chases an hour: under ${SOME_CHASES} is the mark to go on`] }
  return lately.some(({ content }) => content.what !== 'display')
    ? { verdict: 'watch', reasons: ['short chases and nicks pass, and have to fall from day to day'] }
    : { verdict: 'calm', reasons: [] }
}

/** What ends an introduction on the spot, to be read before it comes to that; rows of the handbook's tables. */
export function stopsAt({ way, openedAt }: Pick<Introduction, 'way' | 'openedAt'>): string[] {
  // Home from neutral ground, or out of the box, another row holds.
  const step = openedAt === null || way === 'pair' ? `intro-${way}` : 'intro-release'
  return [
    ...INTRODUCTION.rows.flatMap(({ id, stopIf }) => (id === step ? (stopIf ?? []) : [])),
    // On neutral ground its own row names the shorter fast.
    ...SKIRMISHES.rows.flatMap(({ id, stopNow }) => (step === 'intro-neutral' && id === 'appetite' ? [] : stopNow)),
  ]
}

/** What stopping means: quarantine.md 9. */
export const STOPPING =
  'Catch or box the aggressor, not the victim, or divide the tank; then again over neutral ground. Look for wounds and infection for seven days.'

/** Foods an animal takes by its training, and whether it may go: "eats two foods" (quarantine.md 9, intro-train). */
export function trainingOf(
  journal: Journal,
  animalId: string,
): { meals: Line<ContentOf<'training'>>[]; takes: string[]; isTrained: boolean } {
  const meals = journal
    .about(`animal:${animalId}`)
    .filter((line): line is Line<ContentOf<'training'>> => !line.struck && line.content.kind === 'training')
  const takes = [
    ...new Set(
      meals.filter(({ content }) => content.mark >= 3).map(({ content }) => content.food.trim().toLowerCase()),
    ),
  ]
  return { meals, takes, isTrained: takes.length >= 2 }
}
