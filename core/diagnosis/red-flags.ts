import { FLAG_FIRST, type FirstMinutes } from '../catalogue/diagnosis/first-minutes.data.ts'
import { RED_FLAGS, TREAT_FOR_BOTH } from '../catalogue/handbook/conditions.data.ts'
import type { SignRule } from '../catalogue/handbook/handbook.schema.ts'
import type { Setting } from '../catalogue/sign-tables/sign-tables.ts'
import type { Answers } from './asking.ts'
import type { Urgency } from './condition-facts.ts'

const VISIBLE_SPOTS = ['white-grains-countable', 'fine-dust-sheen']

/** What a rule of the handbook says in words, that no single sign says. */
const WORDS: Readonly<Record<string, (answers: Answers, setting: Setting) => boolean>> = {
  'new fish': (answers, setting) => setting === 'new-arrival' || answers['new-fish-14d'] === 'present',
  'no visible spots': (answers) => VISIBLE_SPOTS.every((sign) => answers[sign] !== 'present'),
  'host-clownfish': (answers) => answers['host-clownfish'] === 'present',
  'flashing without visible spots': (answers) =>
    answers['flashing'] === 'present' && VISIBLE_SPOTS.every((sign) => answers[sign] !== 'present'),
  'spots and cloudy eyes': (answers) =>
    VISIBLE_SPOTS.some((sign) => answers[sign] === 'present') &&
    (answers['eye-cloudy-both'] === 'present' || answers['eye-cloudy-one'] === 'present'),
  'several fish': (answers) => answers['several-fish'] === 'present',
}

function holds(rule: SignRule, answers: Answers, setting: Setting): boolean {
  if ('all' in rule) return rule.all.every((one) => holds(one, answers, setting))
  if ('any' in rule) return rule.any.some((one) => holds(one, answers, setting))
  if ('words' in rule) return WORDS[rule.words]?.(answers, setting) ?? false
  return answers[rule.sign] === 'present'
}

/** A red flag that is up: it is read before any ranking. */
export interface RaisedFlag extends FirstMinutes {
  id: string
  says: string
  urgency: Urgency
}

/**
 * The red flags that are up, the most pressing first: quarantine.md 3.3.
 * @example
 * raisedFlags({ 'breathing-fast': 'present', 'into-flow': 'present' }, 'new-arrival')[0]?.id // 'rf-velvet'
 */
export function raisedFlags(answers: Answers, setting: Setting): RaisedFlag[] {
  const order: readonly Urgency[] = ['hours', 'day', 'days', 'weeks']
  return RED_FLAGS.rows
    .filter(({ when }) => holds(when, answers, setting))
    .map(({ id, showFirst, urgency }) => ({ id, says: showFirst, urgency, ...FLAG_FIRST[id]! }))
    .sort((a, b) => order.indexOf(a.urgency) - order.indexOf(b.urgency))
}

/** Two conditions that cannot be told apart yet, and what is done for both. */
export interface ForBoth {
  id: string
  between: readonly string[]
  do: string
  why: string
}

/** Both have to be at least as likely as this: quarantine.md 2.3 (EA). */
const LEAST_SHARE = 0.1
const LEAST_SHARE_VELVET = 0.05

/** The rules of treating for both that are met: quarantine.md 2.3. */
export function treatForBoth(
  ranked: readonly { id: string; probability: number }[],
  answers: Answers,
  setting: Setting,
): ForBoth[] {
  const share = (id: string) => ranked.find((one) => one.id === id)?.probability ?? 0
  return TREAT_FOR_BOTH.rows.filter(
    ({ between, extra }) =>
      between.every((id) => share(id) >= (id === 'marine-velvet' ? LEAST_SHARE_VELVET : LEAST_SHARE)) &&
      (extra === null || (WORDS[extra]?.(answers, setting) ?? false)),
  )
}

/** Phrases of the two tables that a test holds against the handbook: each has to be known here. */
export const KNOWN_PHRASES: ReadonlySet<string> = new Set(Object.keys(WORDS))
