import { useState } from 'react'
import type { Tank } from '../../core/household/tanks.ts'
import { iso } from '../../core/time/zone.ts'
import { atFullLine, evaporationOf } from '../../core/water/level-line.ts'
import { levelAsked, readLevelDown } from '../../core/water/level-typed.ts'
import { measureText, shownUnit } from '../../core/words/measure.ts'
import { percentText } from '../../core/words/numbers.ts'
import { FigureField } from '../fields/plain.tsx'
import { thisInstant, useNow } from '../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../journal/keeping.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { Button } from '../look/buttons.ts'
import { Line, Small, Stack } from '../look/text.ts'

/**
 * "Is the level down?": how far under the line the water stands, the litres that evaporated, and the button that logs them as filled up.
 * @param value what was typed, and `onChange` where the form around it keeps it; its own where they are left out
 * @param isOver the test was taken already: nothing is offered to be filled up before it
 */
export function LevelLine({
  tank,
  value,
  onChange,
  isOver = false,
}: {
  tank: Tank
  value?: string
  onChange?: (text: string) => void
  isOver?: boolean
}) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [own, setOwn] = useState('')
  const [isFilled, setFilled] = useState(false)
  const text = value ?? own
  const change = (next: string) => {
    setFilled(false)
    ;(onChange ?? setOwn)(next)
  }
  const { units } = settings
  const typed = readLevelDown(tank, text, units)
  const downL = typed && 'downL' in typed ? typed.downL : 0
  const learnt = evaporationOf(journal, tank.id, now)
  const netL = tank.volume?.netL
  const fill = async () => {
    const content = {
      kind: 'top-off' as const,
      happened: iso(thisInstant()),
      tankId: tank.id,
      litres: downL,
      downL,
      salinityPsu: 0,
    }
    if (!(await keep([content]))) return
    change('')
    setFilled(true)
  }
  return (
    <Stack $gap={8} style={{ maxWidth: 320 }}>
      <FigureField
        label="Is the level down? By how much"
        value={text}
        onChange={change}
        after={shownUnit(levelAsked(tank), units)}
        problem={typed && 'message' in typed ? typed : undefined}
        hint={learnt ? `about ${measureText(learnt.litresADay, 'L', units, 2)} evaporate here a day` : undefined}
      />
      {downL > 0 && netL !== undefined && (
        <>
          <Small>
            {measureText(downL, 'L', units, 2)} evaporated: a test {isOver ? 'then read' : 'now reads'}{' '}
            {percentText(1 / atFullLine(1, downL, netL) - 1)} too high.{' '}
            {isOver ? '' : 'Fill up to the line with fresh water, stir, wait ten minutes, then test.'}
          </Small>
          {!isOver && (
            <Line>
              <Button onPress={() => void fill()} isDisabled={busy}>
                Log {measureText(downL, 'L', units, 2)} filled up
              </Button>
            </Line>
          )}
        </>
      )}
      {isFilled && <Small role="status">Filled up. Stir, wait ten minutes, then test.</Small>}
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}
