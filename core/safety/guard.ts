import { coursesOf } from '../courses/course.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { tankById } from '../household/tanks.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { concernsOf, type Asking, type Concern } from './concerns.ts'

/** One thing that was knowingly set aside. */
export type SetAside = NonNullable<ContentOf<'dose'>['overrides']>[number]

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

/** Rows that were set aside for this water: by its course, or with a dose or switch of the last days. */
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

/** Rules about one amount or one animal: what was set aside once says nothing of the next. */
const ONCE_ONLY = new Set([
  'over-band',
  'cannot-judge',
  'new-fish',
  'mid-course',
  'treated-to-display',
  'agent-present',
  'kit-crosses',
])

/**
 * What has to be answered before a content is kept. A `never` is asked again each time; what was set aside on record for the
 * same water is not.
 */
export function doubtOf(journal: Journal, content: Content, asking: Asking): Doubt {
  const said =
    content.kind === 'dose' ||
    content.kind === 'bath' ||
    content.kind === 'feed' ||
    content.kind === 'reading' ||
    content.kind === 'equipment' ||
    content.kind === 'move' ||
    content.kind === 'arrival'
      ? new Set((content.overrides ?? []).map(({ rule }) => rule))
      : new Set<string>()
  const before = setAsideBefore(journal, content)
  const concerns = concernsOf(journal, content, asking)
  const isAnswered = ({ rule, severity }: Concern) =>
    said.has(rule) || (severity !== 'never' && before.has(rule) && !ONCE_ONLY.has(rule))
  return {
    asks: concerns.filter((concern) => concern.severity !== 'note' && !isAnswered(concern)),
    // What was set aside before is not asked again, but still told: it is as true at the second dose.
    tells: concerns.filter(
      (concern) => concern.severity === 'note' || (isAnswered(concern) && !said.has(concern.rule)),
    ),
  }
}

const WORDS: Record<Concern['severity'], string> = {
  never: 'never',
  block: 'not without a written reason',
  ask: 'cannot judge',
  caution: 'with care',
  note: 'to know',
}

/** A concern as a sentence, with its tank: "Button, tuxedo urchin in Observation: contraindicated; …". */
export function concernWords(journal: Journal, content: Content, concern: Concern): string {
  if (concern.rule === 'over-band') return `${concern.what}, ${concern.reason}.`
  const tankId = tankOf(content)
  const tank = tankId === null ? null : tankById(journal, tankId)
  const isNamed = tank !== null && concern.what.includes(tank.name)
  const what = concern.what.charAt(0).toUpperCase() + concern.what.slice(1)
  return `${what}${tank && !isNamed ? ` in ${tank.name}` : ''}: ${concern.reason} (${WORDS[concern.severity]}).`
}
