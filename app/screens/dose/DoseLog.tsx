import { useState } from 'react'
import type { Answer } from '../../../core/calculators/calculators.ts'
import { productById, shelfOf, type ShelfProduct } from '../../../core/household/shelf.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import type { ContentOf } from '../../../core/journal/entry.ts'
import { iso } from '../../../core/time/zone.ts'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { PrimaryButton } from '../../look/buttons.ts'
import { Small, Stack } from '../../look/text.ts'
import { DoubtList, useDoubts } from '../../safety/Doubts.tsx'
import { figures } from '../../../core/words/numbers.ts'

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
  return <LogIn tank={tank} product={product} amount={Number(log.amount.toPrecision(8))} massMg={log.massMg} />
}

/** The button that keeps the dose, under what the tank's water speaks against it. */
function LogIn({
  tank,
  product,
  amount,
  massMg,
}: {
  tank: Tank
  product: ShelfProduct
  amount: number
  massMg: number
}) {
  const { keep, busy, unkept } = useKeeping()
  const [isKept, setKept] = useState(false)
  const now = useNow()
  const content = (at: number): ContentOf<'dose'> => ({
    kind: 'dose',
    happened: iso(at),
    tankId: tank.id,
    ingredient: product.ingredient,
    productId: product.id,
    amount,
    unit: product.unit,
    massMg,
  })
  const doubts = useDoubts([content(now)])
  const send = async () => {
    if (await keep(doubts.answered([content(thisInstant())]))) setKept(true)
  }
  if (isKept) return <Small role="status">Kept in the ledger of {tank.name}.</Small>
  return (
    <Stack $gap={10}>
      <DoubtList doubts={doubts} />
      {unkept && <UnkeptNote unkept={unkept} />}
      <div>
        <PrimaryButton onPress={() => void send()} isDisabled={busy || !doubts.isClear}>
          Log {figures(amount, 4)} {product.unit} in {tank.name}
        </PrimaryButton>
      </div>
    </Stack>
  )
}
