import { ingredientById } from '../catalogue/ingredient.ts'
import { DOSES } from '../catalogue/treatments/treatments.ts'
import { animalById } from '../household/animals.ts'
import { partById } from '../household/parts.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { sensitivityConcerns, type Concern } from './concerns.ts'

/** Iodine dips of corals: outbreaks.md 6.2, 5–10 min, 15 at the bench's hard stop. */
const HARD_STOP_MINUTES = 15
/** A level or a time counts as over its limit by more than rounding. */
const SLACK = 1e-6

/**
 * What speaks against a bath or a dip: a level or a time over its row of the doses, what those in it do not tolerate, a strength
 * that nobody knows. The water is its own, so what is in the tank does not matter.
 */
export function bathConcerns(journal: Journal, bath: ContentOf<'bath'>): Concern[] {
  const name = ingredientById(bath.ingredient)?.name ?? bath.ingredient
  const rows = DOSES.filter(
    ({ agent, route, unit }) => agent === bath.ingredient && route === 'bath' && unit === 'mg/L',
  )
  const concerns: Concern[] = []
  if (bath.massMg === undefined)
    concerns.push({
      rule: 'cannot-judge',
      severity: 'ask',
      what: `no strength of ${name} is known`,
      reason: 'what level this bath makes cannot be judged: put the product on the shelf with its strength',
      override: 'reason',
    })
  else if (rows.length > 0) {
    const makes = bath.massMg / bath.litres
    const high = Math.max(...rows.map((row) => row.high))
    if (makes > high + SLACK)
      concerns.push({
        rule: 'over-band',
        severity: 'block',
        what: `That makes ${Number(makes.toPrecision(3))} mg/L`,
        reason: `over the ${high} that the handbook’s baths of ${name} reach`,
        override: 'reason',
      })
  }
  const isOfCorals = bath.animalIds.length === 0
  const most = isOfCorals
    ? HARD_STOP_MINUTES
    : Math.max(...rows.flatMap(({ bathMinutes }) => (bathMinutes ? [bathMinutes[1]] : [])), -Infinity)
  if (Number.isFinite(most) && bath.minutes > most + SLACK)
    concerns.push({
      rule: 'bath-too-long',
      severity: 'block',
      what: `${bath.minutes} min`,
      reason: `over the ${most} min that the handbook gives a bath of ${name}`,
      override: 'reason',
    })
  const animals = bath.animalIds.flatMap((id) => animalById(journal, id) ?? [])
  const gone = (bath.partIds ?? []).find((id) => partById(journal, id) === null)
  return [
    ...concerns,
    ...sensitivityConcerns(animals, { agent: bath.ingredient, ...(rows[0] && { dose: rows[0] }) }),
    ...(gone === undefined
      ? []
      : [
          {
            rule: 'cannot-judge',
            severity: 'ask' as const,
            what: `“${gone}” is not on record`,
            reason: 'who is dipped cannot be judged',
            override: 'reason' as const,
          },
        ]),
  ]
}
