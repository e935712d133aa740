import { useState } from 'react'
import { styled } from 'styled-components'
import { CELL_KINDS, cellKind } from '../../../../core/catalogue/microscope/cell-kinds.data.ts'
import type { CellKind, CellKindId } from '../../../../core/catalogue/microscope/microscope.types.ts'
import type { Objective } from '../../../../core/microscope/scale.ts'
import { PlainButton } from '../../../look/buttons.ts'
import { CheckChip } from '../../../look/CheckChip.ts'
import { Heading, Line, Quiet, Small, Stack } from '../../../look/text.ts'
import { FieldCanvas, useReducedMotion } from './FieldCanvas.tsx'
import { FieldControls } from './FieldControls.tsx'
import { Mesh } from './Mesh.tsx'

const Many = styled.div<{ $count: number }>`
  display: grid;
  grid-template-columns: repeat(${({ $count }) => Math.min($count, 2)}, minmax(0, 1fr));
  gap: 20px 16px;
  ${({ $count }) => $count > 2 && 'grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));'}
  @media (max-width: 759px) {
    ${({ $count }) => $count > 2 && 'grid-template-columns: repeat(2, minmax(0, 1fr));'}
  }
  figcaption {
    text-align: center;
    padding-top: 6px;
  }
`

/** How long it is, or how wide where it is long without end. */
const sizeText = ({ lengthUm, widthUm }: CellKind): string => {
  const [least, most] = lengthUm
  if (most > 1000) return widthUm ? `${widthUm[0]}–${widthUm[1]} µm wide, mm long` : `over ${least} µm`
  return `${least}–${most} µm`
}

const FIRST: readonly CellKindId[] = ['prorocentrum', 'coolia']

/** Kinds side by side, moving, at one scale; and which of them a mesh would hold. */
export function Kinds() {
  const [chosen, setChosen] = useState<readonly CellKindId[]>(FIRST)
  const [times, setTimes] = useState<Objective['times']>(10)
  const [isStopped, setIsStopped] = useState(false)
  const isReduced = useReducedMotion()
  const shown = CELL_KINDS.filter(({ id }) => chosen.includes(id))
  const all = CELL_KINDS.map(({ id }) => id)
  return (
    <Stack $gap={26}>
      <Stack $gap={14}>
        <Line $gap={8} role="group" aria-label="Kinds to look at">
          {CELL_KINDS.map(({ id, name }) => (
            <CheckChip
              key={id}
              isSelected={chosen.includes(id)}
              onChange={(is) => setChosen(is ? [...chosen, id] : chosen.filter((one) => one !== id))}
            >
              {name}
            </CheckChip>
          ))}
          <PlainButton onPress={() => setChosen(chosen.length === all.length ? FIRST : all)}>
            {chosen.length === all.length ? 'two again' : 'all of them'}
          </PlainButton>
        </Line>
        <FieldControls times={times} onTimes={setTimes} isStopped={isStopped} onStop={setIsStopped} />
        {shown.length === 0 && <p>Choose what is to be looked at.</p>}
        <Many $count={shown.length}>
          {shown.map((kind) => (
            <OneKind key={kind.id} kind={kind} times={times} isStill={isReduced || isStopped} />
          ))}
        </Many>
        <Small>
          Every field has the same scale, so that a small cell is small beside a large one: at ×10 the whole field is
          1.8 mm wide. Sizes are the handbook’s; speeds are an order of magnitude, assumed.
        </Small>
      </Stack>
      <Mesh />
    </Stack>
  )
}

function OneKind({ kind, times, isStill }: { kind: CellKind; times: Objective['times']; isStill: boolean }) {
  const { id, name, looks, moves } = cellKind(kind.id)
  return (
    <figure>
      <FieldCanvas
        kinds={[id]}
        times={times}
        seed={3}
        isStill={isStill}
        label={`${name} at ×${times}: ${looks}; ${moves}`}
      />
      <figcaption>
        <Heading as="h2" style={{ border: 0, padding: 0, justifyContent: 'center' }}>
          {name}
        </Heading>
        <Quiet>{sizeText(kind)}</Quiet>
        <Small>{looks}</Small>
        <Small>{moves}</Small>
      </figcaption>
    </figure>
  )
}
