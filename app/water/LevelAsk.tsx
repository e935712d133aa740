import { lazy, Suspense, useState } from 'react'
import type { Tank } from '../../core/household/tanks.ts'
import { PlainButton } from '../look/buttons.ts'
import { Line } from '../look/text.ts'

const LevelLine = lazy(async () => ({ default: (await import('./LevelLine.tsx')).LevelLine }))

/**
 * "Is the level down?" before a test, as a line that opens into the field: the number that is tested stays the first field.
 * @param isOver the test was taken already
 */
export function LevelAsk({
  tank,
  value,
  onChange,
  isOver = false,
}: {
  tank: Tank
  value: string
  onChange: (text: string) => void
  isOver?: boolean
}) {
  const [isOpen, setOpen] = useState(false)
  if (!isOpen && value === '')
    return (
      <Line>
        <PlainButton onPress={() => setOpen(true)}>Is the level down?</PlainButton>
      </Line>
    )
  return (
    <Suspense fallback={null}>
      <LevelLine tank={tank} value={value} onChange={onChange} isOver={isOver} />
    </Suspense>
  )
}
