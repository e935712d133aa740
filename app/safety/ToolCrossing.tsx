import { useState } from 'react'
import { isSterile, type Tool } from '../../core/biosecurity/tools.ts'
import type { Content } from '../../core/journal/entry.ts'
import { iso } from '../../core/time/zone.ts'
import { CountEffects } from '../courses/CountEffects.tsx'
import { thisInstant, useNow } from '../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../journal/keeping.tsx'
import { Button, PlainButton } from '../look/buttons.ts'
import { Bar, Line } from '../look/text.ts'

interface ToolCrossingProps {
  tool: Tool
  /** The tank that it was last in, where that is known. */
  fromTankId: string | undefined
  toTankId: string
  onDone: () => void
}

/** Before a tool goes into a tank that is not its own: whether it may, what it costs there where it is wet, and the entry if it was. */
export function ToolCrossing({ tool, fromTankId, toTankId, onDone }: ToolCrossingProps) {
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [startedAt] = useState(() => thisInstant())
  const isClean = isSterile(tool, now)
  const [wasUsed, setWasUsed] = useState(false)
  const contact = (at: number): Content => ({
    kind: 'contact',
    happened: iso(at),
    tankId: toTankId,
    ...(fromTankId !== undefined && { from: fromTankId }),
    what: 'tool',
  })
  return (
    <>
      {isClean ? (
        <Bar $tone="second">
          Bleached or dried for a day: it may go in, if it was in no water since. Bleach it again before it comes back.
        </Bar>
      ) : (
        <Bar $tone="act">It is wet: it carries what swims. Use that tank’s own, or bleach it and let it dry first.</Bar>
      )}
      {(!isClean || wasUsed) && <CountEffects content={contact(startedAt)} now={now} />}
      {unkept && <UnkeptNote unkept={unkept} />}
      <Line>
        {isClean && !wasUsed && <PlainButton onPress={() => setWasUsed(true)}>it was used since</PlainButton>}
        {(!isClean || wasUsed) && (
          <Button
            isDisabled={busy}
            onPress={() => void keep([contact(thisInstant())]).then((kept) => kept && onDone())}
          >
            It was in there: log it
          </Button>
        )}
        <PlainButton onPress={onDone}>{isClean && !wasUsed ? 'close' : 'leave it'}</PlainButton>
      </Line>
    </>
  )
}
