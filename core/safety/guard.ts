import { coursesOf } from '../courses/course.ts'
import { withHappenings } from '../courses/outlook/what-if-entry.ts'
import type { Content } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { tankById } from '../household/tanks.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { capital } from '../words/numbers.ts'
import { overridesOf } from './answers.ts'
import type { Asking, Concern } from './concern.ts'
import { concernsOf } from './concerns.ts'
import { isGuarded } from './guarded-kinds.ts'

/** What has to be answered before something is kept, and what is only told. */
export interface Doubt {
  /** To be answered, the gravest first. */
  asks: Concern[]
  /** Told beside it. */
  tells: Concern[]
}

/** What was set aside of a water lately is not asked again with every dose of the same course (EA). */
const ON_RECORD_DAYS = 14

const tankOf = (content: Content): string | null =>
  content.kind === 'move'
    ? content.toTankId
    : 'tankId' in content && content.tankId !== undefined
      ? content.tankId
      : null

/** Rows that were set aside for this water: by its course, or with a dose of the last days. */
function setAsideBefore(journal: Journal, content: Content): ReadonlySet<string> {
  const tankId = tankOf(content)
  const at = Date.parse(content.happened)
  const rules = new Set<string>()
  for (const course of coursesOf(journal))
    if (course.tankId === tankId && course.startedAt <= at && (course.ended === null || course.ended.at > at))
      for (const { rule } of course.overrides) rules.add(rule)
  if (content.kind !== 'dose') return rules
  for (const { content: earlier, struck, at: when } of journal.about(`water:${content.tankId}`))
    if (
      !struck &&
      earlier.kind === 'dose' &&
      earlier.ingredient === content.ingredient &&
      Math.abs(at - when) < ON_RECORD_DAYS * MS_PER_DAY
    )
      for (const { rule } of earlier.overrides ?? []) rules.add(rule)
  return rules
}

/** Rules about one amount, one animal or one occasion: what was set aside once says nothing of the next. */
const ONCE_ONLY: ReadonlySet<string> = new Set([
  'agent-present',
  'bath-too-long',
  'bath-too-soon',
  'cannot-judge',
  'chloroquine-loss',
  'coral-early',
  'day-cap',
  'fish-in-fallow',
  'kit-crosses',
  'mid-course',
  'new-fish',
  'new-wet-item',
  'open-case',
  'over-band',
  'ph-apart',
  'read-first',
  'running-plan',
  'salinity-apart',
  'salinity-fall',
  'salinity-low',
  'salinity-reef',
  'salinity-rise',
  'set-dry',
  'temp-apart',
  'top-off-large',
  'treated-to-display',
  'unproven',
  'which-tank',
  'wrong-water',
])

/**
 * What has to be answered before a content is kept. A `never` is asked again each time; what was set aside on record for the
 * same water is not.
 */
export function doubtOf(journal: Journal, content: Content, asking: Asking): Doubt {
  if (!isGuarded(content)) return { asks: [], tells: [] }
  const said = new Set(overridesOf(content).map(({ rule }) => rule))
  const concerns = concernsOf(journal, content, asking)
  if (concerns.length === 0) return { asks: [], tells: [] }
  const before = setAsideBefore(journal, content)
  const isSettled = ({ rule, severity }: Concern) =>
    said.has(rule) || (severity !== 'never' && before.has(rule) && !ONCE_ONLY.has(rule))
  return {
    asks: concerns.filter((one) => one.severity !== 'note' && !isSettled(one)),
    // What was set aside before is not asked again, but still told: it is as true at the second dose.
    tells: concerns.filter((one) => one.severity === 'note' || (isSettled(one) && !said.has(one.rule))),
  }
}

/** A content that is about to be kept, and what has to be answered first. */
export interface Doubted<C extends Content = Content> {
  content: C
  doubt: Doubt
}

/** What changes the water before the rest of what is kept together meets it. */
const comesFirst = (content: Content): boolean =>
  content.kind === 'water-change' ||
  // A filter that is off has its media out, before or after the dose in the list.
  (content.kind === 'equipment' && content.item === 'filter' && !content.running)

/** Copies of a journal with what comes first: a form asks again with every letter that is typed. */
const copies = new WeakMap<Journal, { revision: number; byFirst: Map<string, Journal> }>()
const MOST_COPIES = 4

function withFirst(journal: Journal, first: readonly Content[]): Journal {
  if (first.length === 0) return journal
  let known = copies.get(journal)
  if (known?.revision !== journal.revision || known.byFirst.size > MOST_COPIES)
    copies.set(journal, (known = { revision: journal.revision, byFirst: new Map() }))
  const key = JSON.stringify(first)
  const copy = known.byFirst.get(key) ?? withHappenings(journal, first)
  known.byFirst.set(key, copy)
  return copy
}

/**
 * The doubts of contents that are kept together: what one of them switches off does not speak against the others, and a dose after a water
 * change is judged in the changed water.
 * @example
 * doubtsOf(journal, [carbonOff, dose], { now }).every(({ doubt }) => doubt.asks.length === 0)
 */
export function doubtsOf<C extends Content>(journal: Journal, contents: readonly C[], asking: Asking): Doubted<C>[] {
  const off = new Set(
    contents.flatMap((one) => (one.kind === 'equipment' && !one.running ? [`${one.tankId}/${one.item}`] : [])),
  )
  return contents.map((content, i) => {
    const first = contents.filter((one, j) => one !== content && comesFirst(one) && (one.kind === 'equipment' || j < i))
    const { asks, tells } = doubtOf(withFirst(journal, first), content, asking)
    const stands = ({ item }: Concern) => item === undefined || !off.has(`${tankOf(content)}/${item}`)
    return { content, doubt: { asks: asks.filter(stands), tells: tells.filter(stands) } }
  })
}

const WORDS: Record<Concern['severity'], string> = {
  never: 'never',
  block: 'only with a written reason',
  ask: 'cannot tell',
  caution: 'caution',
  note: 'note',
}

/** Rules whose own sentence says where and how grave. */
const WHOLE_SENTENCES: ReadonlySet<string> = new Set(['over-band', 'day-cap', 'level-after', 'which-tank'])

/**
 * A concern as a sentence, with its tank.
 * @example
 * concernWords(journal, dose, one) // "Button, tuxedo urchin in Observation: contraindicated … (never)."
 * concernWords(journal, move, one) // "Chelated copper is in this water in Observation. Button, tuxedo urchin: contraindicated … (never)."
 */
export function concernWords(journal: Journal, content: Content, concern: Concern): string {
  const { rule, what, who, reason, severity } = concern
  if (rule === 'over-band') return `${capital(what)}, ${reason}.`
  if (WHOLE_SENTENCES.has(rule)) return `${capital(what)}: ${reason}.`
  const tankId = tankOf(content)
  const tank = tankId === null ? null : tankById(journal, tankId)
  const isNamed = tank !== null && what.includes(tank.name)
  const where = `${capital(what)}${tank && !isNamed ? ` in ${tank.name}` : ''}`
  return `${where}${who === undefined ? '' : `. ${capital(who)}`}: ${reason} (${WORDS[severity]}).`
}
