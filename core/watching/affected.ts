import { animalById, animalLabel, type Animal } from '../household/animals.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { signsOfSighting } from './seen-signs.ts'

/** How long a sign is taken to stand after it was last seen, ms (EA: as long as a course speaks of it). */
const STANDS_MS = 2 * MS_PER_DAY
/** Appetite up to which a fish does not eat, and from which on it does: quarantine.md 1. */
const EATS_NOT = 1
const EATS = 3

/** Signs that decide whether a fish can still be helped: quarantine.md 2.1 uronema, 2.3 rule-euthanasia. */
const SORES = ['red-sore-flank', 'open-ulcer']
const LIES = ['lethargic-bottom', 'floats-or-sinks']
const RAISED = 'scales-raised'
/** Raised scales with no gain after so many days: quarantine.md 2.3, rule-euthanasia. */
const RAISED_DAYS = 5

/** How a fish, or a group of one kind, is by what was seen in the last two days. */
export interface Condition {
  animal: Animal
  /** How many of it show what follows, of `animal.count`. */
  affected: number
  lies: boolean
  eatsNot: boolean
  /** It was seen to eat. */
  eats: boolean
  hasSore: boolean
  /** No sore was seen on it before these two days. */
  isSoreNew: boolean
  /** Its scales have stood for five days or more. */
  areScalesRaised: boolean
}

interface Look {
  at: number
  content: ContentOf<'sighting'>
}

const looksOf = (journal: Journal, animalId: string, until: number): Look[] =>
  journal
    .about(`animal:${animalId}`)
    .flatMap(({ at, content, struck }) =>
      !struck && at <= until && content.kind === 'sighting' ? [{ at, content }] : [],
    )

/** Whether one of some signs stands: the last look that speaks of them says so. */
function stands(looks: readonly Look[], signs: readonly string[], from: number): boolean {
  for (const { at, content } of looks.toReversed()) {
    if (at < from) return false
    if (signsOfSighting(content).some((sign) => signs.includes(sign))) return true
    if (content.signs.some(({ sign, present }) => !present && signs.includes(sign))) return false
  }
  return false
}

/** Whether it does not eat: the last meal that was watched in two days. */
function doesNotEat(looks: readonly Look[], from: number): boolean {
  for (const { at, content } of looks.toReversed()) {
    if (at < from) return false
    if (content.appetite !== undefined) return content.appetite <= EATS_NOT
    const said = content.signs.findLast(({ sign }) => sign === 'not-eating')
    if (said) return said.present
  }
  return false
}

/**
 * How each of some animals is, by what was seen of it in the last two days.
 * @param now ms
 * @example
 * conditionsOf(journal, ['chromis'], now)[0] // { affected: 2, lies: true, eatsNot: true, hasSore: true, … } of five
 */
export function conditionsOf(journal: Journal, animalIds: readonly string[], now: number): Condition[] {
  const from = now - STANDS_MS
  return animalIds.flatMap((id): Condition[] => {
    const animal = animalById(journal, id)
    if (!animal || animal.count === 0) return []
    const looks = looksOf(journal, id, now)
    const hasSore = stands(looks, SORES, from)
    const counted = looks.findLast(({ at, content }) => at >= from && content.affected !== undefined)
    const raisedSince = looks.find(({ content }) => signsOfSighting(content).includes(RAISED))?.at
    return [
      {
        animal,
        affected: Math.min(counted?.content.affected ?? animal.count, animal.count),
        lies: stands(looks, LIES, from),
        eatsNot: doesNotEat(looks, from),
        eats:
          (looks.findLast(({ at, content }) => at >= from && content.appetite !== undefined)?.content.appetite ?? 0) >=
          EATS,
        hasSore,
        isSoreNew:
          hasSore &&
          !looks.some(({ at, content }) => at < from && signsOfSighting(content).some((sign) => SORES.includes(sign))),
        areScalesRaised:
          raisedSince !== undefined && now - raisedSince >= RAISED_DAYS * MS_PER_DAY && stands(looks, [RAISED], from),
      },
    ]
  })
}

/** Animals that were seen to eat, or of which nothing was seen: those that take food with medicine in it. */
export const takesFood = (conditions: readonly Condition[]): Condition[] => conditions.filter(({ eatsNot }) => !eatsNot)

/** “2 of 5 with a sore, 1 of them new; 2 of 5 lie still”, empty where nothing is amiss. */
export function affectedWords(conditions: readonly Condition[]): string {
  const all = conditions.reduce((sum, { animal }) => sum + animal.count, 0)
  const count = (is: (one: Condition) => boolean) =>
    conditions.filter(is).reduce((sum, { affected }) => sum + affected, 0)
  const [sores, fresh, lying, off] = [
    count(({ hasSore }) => hasSore),
    count(({ isSoreNew }) => isSoreNew),
    count(({ lies }) => lies),
    count(({ eatsNot }) => eatsNot),
  ]
  const of = (some: number) => `${some} of ${all}`
  return [
    ...(sores === 0
      ? []
      : [`${of(sores)} with a sore${fresh === 0 ? '' : fresh === sores ? ', new' : `, ${fresh} of them new`}`]),
    ...(lying === 0 ? [] : [`${of(lying)} ${lying === 1 ? 'lies' : 'lie'} still`]),
    ...(off === 0 ? [] : [`${of(off)} ${off === 1 ? 'does' : 'do'} not eat`]),
  ].join('; ')
}

/** The fish for whom a painless end is fair: quarantine.md 2.3, rule-euthanasia. */
export const beyondHelp = (conditions: readonly Condition[]): Condition[] =>
  conditions.filter(({ lies, eatsNot, hasSore, areScalesRaised }) => (lies && eatsNot && hasSore) || areScalesRaised)

/** Named in a sentence: “2 of Chromis ×5”. */
export const affectedName = ({ animal, affected }: Condition): string =>
  affected < animal.count ? `${affected} of ${animalLabel(animal)}` : animalLabel(animal)
