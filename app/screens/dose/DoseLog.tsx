import type { Answer } from '../../../core/calculators/calculators.ts'
import { productById, shelfOf, type ShelfProduct } from '../../../core/household/shelf.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Small } from '../../look/text.ts'
import { LogDose } from '../../safety/LogDose.tsx'

/** Keeping a worked-out dose in the journal: in which tank, of which product; asked about first where it would do harm. */
export function DoseLog({
  answer,
  tank,
  productId,
}: {
  answer: Answer
  tank: Tank | null
  productId: string | undefined
}) {
  const { journal } = useHousehold()
  const { log } = answer
  if (!log) return null
  // Where no product was picked, one of the shelf that is as strong as what was typed.
  const isAsStrong = ({ mgPerUnit }: ShelfProduct) => Math.abs(mgPerUnit * log.amount - log.massMg) < 0.02 * log.massMg
  const product =
    (productId === undefined ? null : productById(journal, productId)) ??
    shelfOf(journal).find((one) => one.ingredient === log.ingredient && one.unit === log.unit && isAsStrong(one)) ??
    null
  if (!tank || !product || product.ingredient !== log.ingredient)
    return <Small>To log it, pick a tank, and a product of the shelf that is as strong.</Small>
  return <LogDose tank={tank} product={product} amount={Number(log.amount.toPrecision(8))} massMg={log.massMg} />
}
