import { useState } from 'react'
import { styled } from 'styled-components'
import { breathsFrom, breathsWords, tapsAfter } from '../../core/watching/breaths.ts'
import { PlainButton } from '../look/buttons.ts'
import { Figure, Line, Quiet, Small } from '../look/text.ts'

const Pad = styled.button`
  flex: none;
  width: 132px;
  min-height: 84px;
  border: 2px solid var(--second);
  border-radius: 2px;
  background: none;
  color: var(--second);
  font-weight: 650;
  line-height: 1.25;
  cursor: pointer;
  touch-action: manipulation;
  user-select: none;
  &:active {
    background: var(--band);
  }
`

/** Counts gill beats by a finger: one tap a beat, a rate after a few seconds. */
export function Tapper({
  who,
  breaths,
  onBreaths,
  hint = 'at rest, before the bag is opened',
}: {
  who: string
  /** How to count, before the first tap. */
  hint?: string
  breaths: number | null
  onBreaths: (perMinute: number | null) => void
}) {
  const [taps, setTaps] = useState<readonly number[]>([])
  const tap = () => {
    const next = tapsAfter(taps, performance.now())
    setTaps(next)
    const rate = breathsFrom(next)
    if (rate !== null) onBreaths(Math.round(rate))
  }
  const said = breaths === null ? null : breathsWords(breaths)
  return (
    <Line $gap={16} style={{ flexWrap: 'nowrap' }}>
      <Pad
        data-repeats
        type="button"
        // At the first touch, not at its end: wet fingers linger.
        onPointerDown={(event) => {
          if (event.pointerType !== 'mouse' || event.button === 0) tap()
        }}
        onKeyDown={(event) => {
          if ((event.key === ' ' || event.key === 'Enter') && !event.repeat) {
            event.preventDefault()
            tap()
          }
        }}
      >
        Tap with each
        <br />
        gill beat<span className="visually-hidden"> of {who}</span>
      </Pad>
      <div role="status">
        <Figure $size={32}>{breaths ?? '–'}</Figure> <Quiet>a minute</Quiet>
        <Small
          style={
            said && said.tone !== 'calm'
              ? { color: said.tone === 'alarm' ? 'var(--act)' : 'var(--soon)', fontWeight: 600 }
              : undefined
          }
        >
          {said ? said.words : taps.length === 0 ? hint : 'go on tapping'}
        </Small>
        {breaths !== null && (
          <PlainButton
            onPress={() => {
              setTaps([])
              onBreaths(null)
            }}
          >
            count again
          </PlainButton>
        )}
      </div>
    </Line>
  )
}
