import { CONDITION_NAMES } from '../catalogue/diagnosis/condition-names.data.ts'
import { FRESHWATER_CONDITIONS, MARINE_CONDITIONS } from '../catalogue/handbook/conditions.data.ts'
import { ORGANISMS } from '../catalogue/handbook/organisms.data.ts'
import { NONE_OF_THESE } from './rank.ts'

/** How fast to act, by the classes of the two handbooks. */
export type Urgency = 'hours' | 'day' | 'days' | 'weeks'

/** What the catalogue says of a condition, in one shape for diseases, films, pests and corals. */
export interface ConditionFacts {
  id: string
  name: string
  urgency: Urgency
  urgencyWords: string
  looksLike: string
  lookAlikes: readonly { than: string; tells: string }[]
  causes: string
  note: string | null
  doNot: readonly string[]
  /** Treatments by id, first choice first; parts of one are done one after the other. Empty for what has plans. */
  treatment: readonly (readonly { id: string | null; words?: string }[])[]
  /** Plans of outbreaks.md 5, first choice first. */
  plans: readonly string[]
  /** The chapter and row of the handbook. */
  chapter: 'conditions' | 'organisms'
}

const FISH_URGENCY: Record<Urgency, string> = {
  hours: 'minutes to hours',
  day: 'today',
  days: 'within days',
  weeks: 'no hurry',
}
/** Urgencies 4 to 1 of outbreaks.md. */
const OUTBREAK_URGENCY: Record<number, { urgency: Urgency; words: string }> = {
  4: { urgency: 'hours', words: 'within the hour' },
  3: { urgency: 'day', words: 'within two days' },
  2: { urgency: 'days', words: 'this week' },
  1: { urgency: 'weeks', words: 'no hurry' },
}

const ALL = new Map<string, ConditionFacts>([
  ...[...MARINE_CONDITIONS.rows, ...FRESHWATER_CONDITIONS.rows].map((row): [string, ConditionFacts] => [
    row.id,
    {
      id: row.id,
      name: CONDITION_NAMES[row.id] ?? row.id,
      urgency: row.urgency,
      urgencyWords: FISH_URGENCY[row.urgency],
      looksLike: row.looksLike,
      lookAlikes: row.lookAlikes,
      causes: row.cause,
      note: row.note?.replaceAll('*', '') ?? null,
      doNot: [],
      treatment: row.treatment,
      plans: [],
      chapter: 'conditions',
    },
  ]),
  ...ORGANISMS.rows.map((row): [string, ConditionFacts] => {
    const { urgency, words } = OUTBREAK_URGENCY[row.urgency ?? 2]!
    return [
      row.id,
      {
        id: row.id,
        name: row.name,
        urgency,
        urgencyWords: words,
        looksLike: row.look,
        lookAlikes: row.lookAlikes,
        causes: row.causes,
        note: row.harms === '-' ? null : `Harm: ${row.harms}`,
        doNot: row.doNot,
        treatment: [],
        plans: [row.plan, row.secondPlan].filter((plan) => plan !== null),
        chapter: 'organisms',
      },
    ]
  }),
])

/**
 * What the catalogue says of a condition of a sign table.
 * @returns null for `none-of-these` and for what the catalogue does not hold
 * @example
 * conditionFacts('brown-jelly')?.urgencyWords // "within the hour"
 */
export const conditionFacts = (id: string): ConditionFacts | null => ALL.get(id) ?? null

/** A condition’s name as the keeper reads it. */
export const conditionName = (id: string): string =>
  id === NONE_OF_THESE ? 'None of these' : (conditionFacts(id)?.name ?? id.replaceAll('-', ' '))
