import { useState } from 'react'
import type { Tank } from '../../core/household/tanks.ts'
import type { Content } from '../../core/journal/entry.ts'
import { thisInstant, useNow } from '../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../journal/keeping.tsx'
import { PrimaryButton } from '../look/buttons.ts'
import { Small, Stack } from '../look/text.ts'
import { DoubtList, useDoubts } from './Doubts.tsx'

/**
 * The button that keeps one thing that is done to a tank, under what the tank's water speaks against it.
 * @param contentAt the entry's content, for the instant at which it is kept
 * @param label what the button says
 */
export function KeepOne({ tank, contentAt, label }: { tank: Tank; contentAt: (at: number) => Content; label: string }) {
  const { keep, busy, unkept } = useKeeping()
  const [isKept, setIsKept] = useState(false)
  const now = useNow()
  const doubts = useDoubts([contentAt(now)])
  const send = async () => {
    if (await keep(doubts.answered([contentAt(thisInstant())]))) setIsKept(true)
  }
  if (isKept) return <Small role="status">Kept in the ledger of {tank.name}.</Small>
  return (
    <Stack $gap={10}>
      <DoubtList doubts={doubts} />
      {unkept && <UnkeptNote unkept={unkept} />}
      <div>
        <PrimaryButton onPress={() => void send()} isDisabled={busy || !doubts.isClear}>
          {label}
        </PrimaryButton>
      </div>
    </Stack>
  )
}
