import type { ShelfProduct } from '../../core/household/shelf.ts'
import type { Tank } from '../../core/household/tanks.ts'
import { iso } from '../../core/time/zone.ts'
import { figures } from '../../core/words/numbers.ts'
import { KeepOne } from './KeepOne.tsx'

/** The button that keeps a dose, under what the tank's water speaks against it. */
export const LogDose = ({
  tank,
  product,
  amount,
  massMg,
}: {
  tank: Tank
  product: ShelfProduct
  amount: number
  massMg: number
}) => (
  <KeepOne
    tank={tank}
    contentAt={(at) => ({
      kind: 'dose',
      happened: iso(at),
      tankId: tank.id,
      ingredient: product.ingredient,
      productId: product.id,
      amount,
      unit: product.unit,
      massMg,
    })}
    label={`Log ${figures(amount, 4)} ${product.unit} in ${tank.name}`}
  />
)
