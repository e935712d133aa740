import { ingredientById } from '../catalogue/ingredient.ts'
import { parameterById } from '../catalogue/parameter.ts'
import { isCopper } from '../catalogue/treatments/groups.ts'
import { DOSES, type Dose } from '../catalogue/treatments/treatments.ts'
import { coursesOf } from '../courses/course.ts'
import { doseToward } from '../courses/amounts/planned-dose.ts'
import { productById } from '../household/shelf.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { lastValue } from '../readings/evidence.ts'
import type { Concern } from './concerns.ts'
import { reckonedLevel, type WaterState } from './water-state.ts'

/** A level counts as over a band's high by more than a kit could ever tell. */
const SLACK = 1e-6

/** The band a dose is held to: its course's, else the widest of the agent's rows for a tank. */
function bandOf(
  journal: Journal,
  dose: ContentOf<'dose'>,
  at: number,
): { band: Pick<Dose, 'target' | 'high'>; isCourse: boolean } | null {
  const course = coursesOf(journal).find(
    (one) =>
      one.tankId === dose.tankId &&
      one.dose?.agent === dose.ingredient &&
      one.startedAt <= at &&
      (one.ended === null || one.ended.at > at),
  )
  if (course?.dose) return { band: course.dose, isCourse: true }
  const rows = DOSES.filter(
    ({ agent, route, unit }) => agent === dose.ingredient && route === 'tank' && unit === 'mg/L',
  )
  const widest = rows.reduce<Dose | null>((most, row) => (most && most.high >= row.high ? most : row), null)
  return widest && { band: widest, isCourse: false }
}

/**
 * What speaks against how much is dosed: a level over the band's high, or over what is plausible of a nutrient or an element;
 * `ask` where no volume or no strength is known.
 */
export function levelConcerns(
  journal: Journal,
  dose: ContentOf<'dose'>,
  { tank, netL, agents }: WaterState,
  at: number,
  except?: string,
): Concern[] {
  const ingredient = ingredientById(dose.ingredient)
  const name = ingredient?.name ?? dose.ingredient
  const foreign = agents.find(
    (one) => isCopper(one.agent) && isCopper(dose.ingredient) && one.agent !== dose.ingredient,
  )
  if (foreign) return []
  if (ingredient?.kind === 'conditioner') return []
  if (netL === null)
    return [
      {
        rule: 'cannot-judge',
        severity: 'ask',
        what: `the net volume of ${tank.name} is not worked out`,
        reason: `what level this makes cannot be judged: fill in the volume sheet first`,
        override: 'reason',
      },
    ]
  if (dose.massMg === undefined)
    return ingredient?.kind === 'medicine'
      ? [
          {
            rule: 'cannot-judge',
            severity: 'ask',
            what: `no strength of ${name} is known`,
            reason: 'what level this makes cannot be judged: put the product on the shelf with its strength',
            override: 'reason',
          },
        ]
      : []
  const found = bandOf(journal, dose, at)
  if (found) {
    const { mgPerL } = reckonedLevel(journal, dose.tankId, dose.ingredient, at, except)
    if (mgPerL === null) return []
    const makes = mgPerL + dose.massMg / netL
    const { target, high } = found.band
    if (makes <= high + SLACK) return []
    const product = dose.productId === undefined ? null : productById(journal, dose.productId)
    const right = doseToward(mgPerL, target, high, netL, product)
    return [
      {
        rule: 'over-band',
        severity: 'block',
        what: `That makes ${makes.toFixed(2)} mg/L`,
        reason: found.isCourse
          ? `over the ${high.toFixed(2)} this course may reach`
          : `over the ${high.toFixed(2)} that the handbook’s doses of ${name} reach`,
        override: 'reason',
        ...(right?.amount && { rather: { amount: right.amount, makesMgPerL: right.makesMgPerL } }),
      },
    ]
  }
  const parameter = ingredient?.raises == null ? undefined : parameterById(ingredient.raises)
  if (parameter?.unit !== 'mg/L' || ingredient?.amountIs === 'volume') return []
  const last = lastValue(journal, dose.tankId, parameter.id, at + 1)
  const makes = (last?.value ?? 0) + dose.massMg / netL
  return makes > parameter.plausible[1]
    ? [
        {
          rule: 'over-band',
          severity: 'block',
          what: `That makes ${Math.round(makes)} mg/L of ${parameter.name}`,
          reason: `over ${parameter.plausible[1]}, the most that is plausible in any tank`,
          override: 'reason',
        },
      ]
    : []
}
