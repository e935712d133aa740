import { useState } from 'react'
import { styled } from 'styled-components'
import { conditionWord } from '../../../core/catalogue/corals/condition.ts'
import type { Part } from '../../../core/household/parts.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import { iso } from '../../../core/time/zone.ts'
import { extent } from '../../../core/volume/extent.ts'
import { CoralMark } from '../../courses/drawings/MeasureDrawing.tsx'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { Button, PlainButton } from '../../look/buttons.ts'
import { Heading, Line, Small, Stack } from '../../look/text.ts'

const Box = styled.div`
  position: relative;
  width: 100%;
  border: 2px solid var(--ink);
  border-top-style: dashed;
  background: linear-gradient(var(--water) 0 82%, var(--sand) 82%);
  &[data-putting] {
    cursor: crosshair;
    outline: 3px solid var(--second);
  }
`

const Mark = styled.button`
  position: absolute;
  transform: translate(-50%, -50%);
  width: 44px;
  height: 44px;
  padding: 0;
  border: 0;
  border-radius: 4px;
  background: transparent;
  cursor: pointer;
  &[aria-pressed='true'] {
    background: var(--sheet);
    box-shadow: 0 0 0 3px var(--second);
    z-index: 2;
  }
  span {
    position: absolute;
    right: -8px;
    top: -8px;
    min-width: 18px;
    padding: 0 3px;
    border-radius: 2px;
    background: var(--sheet);
    color: var(--ink);
    font: 600 13px/18px var(--mono);
  }
`

/** How far an arrow moves a coral, as a share of the tank. */
const NUDGE = 0.05
const within = (share: number) => Math.min(0.97, Math.max(0.03, share))

/** Height of the drawn tank over its length; a usual one where only litres are known. */
function heightShare({ sheet }: Tank): number {
  const shape = sheet?.shape
  if (!shape || shape.kind === 'known') return 0.45
  return Math.min(0.8, Math.max(0.3, shape.heightCm / extent(shape).lengthCm))
}

/** The tank from the front with its corals, each drawn as it last looked; where one stands is put with a tap or the arrows. */
export function CoralMap({
  tank,
  corals,
  conditionOf,
}: {
  tank: Tank
  corals: readonly Part[]
  conditionOf: (partId: string) => number | null
}) {
  const { keep, busy, unkept } = useKeeping()
  const [chosenId, setChosenId] = useState<string | null>(null)
  const chosen = corals.find(({ id }) => id === chosenId) ?? null
  const notPut = corals.filter(({ spot }) => spot === null)
  const put = (x: number, y: number) =>
    chosen &&
    void keep([
      {
        kind: 'part-change',
        happened: iso(thisInstant()),
        partId: chosen.id,
        changes: { x: Number(within(x).toFixed(3)), y: Number(within(y).toFixed(3)) },
      },
    ])
  const nudge = (dx: number, dy: number) => put((chosen?.spot?.x ?? 0.5) + dx, (chosen?.spot?.y ?? 0.5) + dy)
  return (
    <section>
      <Heading>From the front</Heading>
      <Stack $gap={10} style={{ paddingTop: 10 }}>
        {/* Where a tap lands is only for who sees it: the arrows below do the same. */}
        <Box
          style={{ aspectRatio: `1 / ${heightShare(tank)}` }}
          data-putting={chosen ? '' : undefined}
          onClick={(event) => {
            if (event.target !== event.currentTarget) return
            const { left, top, width, height } = event.currentTarget.getBoundingClientRect()
            put((event.clientX - left) / width, (event.clientY - top) / height)
          }}
        >
          {corals.map(({ id, name, spot }, i) => {
            const condition = conditionOf(id)
            return spot === null ? null : (
              <Mark
                key={id}
                type="button"
                style={{ left: `${100 * spot.x}%`, top: `${100 * spot.y}%` }}
                aria-pressed={id === chosenId}
                aria-label={`${name}, ${condition === null ? 'not looked at yet' : conditionWord(condition)}`}
                onClick={() => setChosenId(id === chosenId ? null : id)}
              >
                <svg viewBox="0 0 32 32" width={40} height={40} aria-hidden>
                  <CoralMark condition={condition} />
                </svg>
                <span aria-hidden>{i + 1}</span>
              </Mark>
            )
          })}
        </Box>
        {chosen ? (
          <>
            <Small>{chosen.name}: tap where it stands, or move it with the arrows.</Small>
            <Line>
              <Button isDisabled={busy} onPress={() => nudge(-NUDGE, 0)} aria-label="left">
                ←
              </Button>
              <Button isDisabled={busy} onPress={() => nudge(NUDGE, 0)} aria-label="right">
                →
              </Button>
              <Button isDisabled={busy} onPress={() => nudge(0, -NUDGE)} aria-label="up">
                ↑
              </Button>
              <Button isDisabled={busy} onPress={() => nudge(0, NUDGE)} aria-label="down">
                ↓
              </Button>
              <PlainButton onPress={() => setChosenId(null)}>done</PlainButton>
            </Line>
          </>
        ) : (
          <Small>The numbers are those of the list. Press a coral to move it.</Small>
        )}
        {notPut.length > 0 && (
          <Line>
            <Small>Not on the drawing yet:</Small>
            {notPut.map(({ id, name }) => (
              <PlainButton key={id} aria-label={`put ${name} on the drawing`} onPress={() => setChosenId(id)}>
                {name}
              </PlainButton>
            ))}
          </Line>
        )}
        {unkept && <UnkeptNote unkept={unkept} />}
      </Stack>
    </section>
  )
}
