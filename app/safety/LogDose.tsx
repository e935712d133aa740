import { useState } from 'react'
import type { ShelfProduct } from '../../core/household/shelf.ts'
import type { Tank } from '../../core/household/tanks.ts'
import type { ContentOf } from '../../core/journal/entry.ts'
import { iso } from '../../core/time/zone.ts'
import { figures } from '../../core/words/numbers.ts'
import { thisInstant, useNow } from '../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../journal/keeping.tsx'
import { PrimaryButton } from '../look/buttons.ts'
import { Small, Stack } from '../look/text.ts'
import { DoubtList, useDoubts } from './Doubts.tsx'

/** The button that keeps the dose, under what the tank's water speaks against it. */
export function LogDose({
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
