import { ingredientById } from '../../catalogue/ingredient.ts'
import { productById } from '../../household/shelf.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { cannotJudge, concern, type Asking, type Concern } from '../concern.ts'
import { doseConcerns } from './dose.ts'

/** What a day of a pump's plan speaks against, as one dose of that day; a medicine is measured by hand. */
export function pumpConcerns(journal: Journal, plan: ContentOf<'pump-plan'>, asking: Asking): Concern[] {
  if (plan.stopped === true) return []
  const mlPerDay = plan.mlByHour.reduce((sum, ml) => sum + ml, 0)
  if (!(mlPerDay > 0)) return []
  const product = productById(journal, plan.productId)
  if (!product)
    return [
      cannotJudge(
        'what is in the pump’s bottle is not on record',
        'what it doses cannot be judged: add the product first',
      ),
    ]
  const medicine = ingredientById(product.ingredient)
  return [
    ...doseConcerns(
      journal,
      {
        kind: 'dose',
        happened: plan.happened,
        tankId: plan.tankId,
        ingredient: product.ingredient,
        productId: product.id,
        amount: mlPerDay,
        unit: 'mL',
        massMg: mlPerDay * product.mgPerUnit,
        deviceId: plan.deviceId,
      },
      asking,
    ),
    ...(medicine?.kind === 'medicine'
      ? [
          concern(
            'medicine-by-pump',
            'block',
            `${medicine.name} by a pump`,
            'each dose of a medicine follows a test or a look, which no pump makes',
            'reason',
          ),
        ]
      : []),
  ]
}
