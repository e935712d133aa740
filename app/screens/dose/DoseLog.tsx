import { useState } from 'react'
import { doubtOf } from '../../../core/courses/dose-guard.ts'
import type { Answer } from '../../../core/calculators/calculators.ts'
import { productById, shelfOf, type ShelfProduct } from '../../../core/household/shelf.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import type { ContentOf } from '../../../core/journal/entry.ts'
import { iso } from '../../../core/time/zone.ts'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PrimaryButton } from '../../look/buttons.ts'
import { Bar, Small, Stack } from '../../look/text.ts'
import { figures } from '../../words/numbers.ts'

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
  const { keep, busy, unkept } = useKeeping()
  const [kept, setKept] = useState(false)
  const [doubt, setDoubt] = useState<string | null>(null)
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
  const amount = Number(log.amount.toPrecision(8))
  const send = async (isSure: boolean) => {
    const content: ContentOf<'dose'> = {
      kind: 'dose',
      happened: iso(thisInstant()),
      tankId: tank.id,
      ingredient: product.ingredient,
      productId: product.id,
      amount,
      unit: log.unit,
      massMg: log.massMg,
    }
    const found = isSure ? null : doubtOf(journal, tank, content, product)
    if (found) return setDoubt(found.question)
    if (await keep([content])) {
      setKept(true)
      setDoubt(null)
    }
  }
  if (kept) return <Small role="status">Kept in the ledger of {tank.name}.</Small>
  return (
    <Stack $gap={10}>
      {doubt && (
        <>
          <Bar $tone="act" role="alert">
            {doubt}
          </Bar>
          <div>
            <Button onPress={() => void send(true)} isDisabled={busy}>
              It was dosed so: keep it
            </Button>
          </div>
        </>
      )}
      {unkept && <UnkeptNote unkept={unkept} />}
      {!doubt && (
        <div>
          <PrimaryButton onPress={() => void send(false)} isDisabled={busy}>
            Log {figures(amount, 4)} {log.unit} in {tank.name}
          </PrimaryButton>
        </div>
      )}
    </Stack>
  )
}
