import { useEffect, useId, useRef, useState } from 'react'
import { styled } from 'styled-components'
import { CELL_KINDS } from '../../../../core/catalogue/microscope/cell-kinds.data.ts'
import { caughtBy, MESHES, MESH_LIMITS_UM, widthsUm, type Caught } from '../../../../core/microscope/mesh.ts'
import { figures } from '../../../../core/words/numbers.ts'
import { numberIn } from '../../../fields/number-in.ts'
import { FigureField } from '../../../fields/plain.tsx'
import { Button } from '../../../look/buttons.ts'
import { Heading, Line, Ruled, Small, Stack } from '../../../look/text.ts'
import { useWidth } from '../../../look/useWidth.ts'
import { plateKinds, paintPlate, plateHeight } from './draw/plate.ts'

const CAUGHT: Record<Caught, string> = {
  all: 'held',
  some: 'the larger ones held',
  none: 'goes through singly',
}

const Plate = styled.div`
  border: 1.5px solid var(--ink);
  canvas {
    display: block;
    width: 100%;
  }
`

/** What a filter of so many µm would hold of each kind, with the cells drawn on its openings. */
export function Mesh() {
  const [typed, setTyped] = useState('25')
  const headingId = useId()
  const meshUm = numberIn(typed)
  const { least, most } = MESH_LIMITS_UM
  const isMesh = meshUm !== null && meshUm >= least && meshUm <= most
  return (
    <section aria-labelledby={headingId}>
      <Heading id={headingId}>Mesh against cell</Heading>
      <Stack $gap={14} style={{ paddingTop: 12 }}>
        <Line $gap={8} role="group" aria-label="Filters">
          {MESHES.map(({ um, name }) => (
            <Button key={um} aria-pressed={meshUm === um} onPress={() => setTyped(String(um))}>
              {name}
            </Button>
          ))}
          <div style={{ width: 150 }}>
            <FigureField
              label="Other opening"
              after="µm"
              value={typed}
              onChange={setTyped}
              problem={isMesh ? undefined : { message: `an opening of ${least} to ${most} µm` }}
            />
          </div>
        </Line>
        {isMesh && (
          <>
            <MeshPlate meshUm={meshUm} />
            <Ruled>
              <thead>
                <tr>
                  <th scope="col">Single cells</th>
                  <th scope="col">width</th>
                  <th scope="col">a mesh of {figures(meshUm)} µm</th>
                </tr>
              </thead>
              <tbody>
                {CELL_KINDS.filter(({ tally }) => tally !== null).map((kind) => {
                  const [from, to] = widthsUm(kind)
                  const caught = caughtBy(kind, meshUm)
                  return (
                    <tr key={kind.id}>
                      <th scope="row">{kind.name}</th>
                      <td>
                        {figures(from, 2)}–{figures(to, 2)} µm
                      </td>
                      <td style={caught === 'none' ? { color: 'var(--quiet)' } : { fontWeight: 700 }}>
                        {CAUGHT[caught]}
                      </td>
                    </tr>
                  )
                })}
              </tbody>
            </Ruled>
            <Small>
              A stiff cell goes through an opening that is wider than it is, end on. In strings and mucus cells are held
              by coarser ones. Openings are nominal: felt lets some larger cells through, and holds more as it fills.
            </Small>
          </>
        )}
      </Stack>
    </section>
  )
}

/** One cell of each kind on the openings of a mesh, to scale. */
function MeshPlate({ meshUm }: { meshUm: number }) {
  const box = useRef<HTMLDivElement>(null)
  const canvas = useRef<HTMLCanvasElement>(null)
  const widthPx = useWidth(box)
  const heightPx = plateHeight(widthPx)
  useEffect(() => {
    const element = canvas.current
    if (!element || widthPx === 0) return
    const context = element.getContext('2d')
    if (!context) return
    const paint = () => {
      const density = window.devicePixelRatio || 1
      element.width = Math.round(widthPx * density)
      element.height = Math.round(heightPx * density)
      context.setTransform(density, 0, 0, density, 0, 0)
      paintPlate(context, { widthPx, heightPx, meshUm })
    }
    paint()
    const observer = new MutationObserver(paint)
    observer.observe(document.documentElement, { attributeFilter: ['data-look'] })
    return () => observer.disconnect()
  }, [widthPx, heightPx, meshUm])
  return (
    <Plate ref={box}>
      <canvas
        ref={canvas}
        role="img"
        style={{ height: heightPx }}
        aria-label={`One cell of each kind over openings of ${figures(meshUm)} µm, to scale: ${plateKinds()
          .map(({ name }) => name)
          .join(', ')}`}
      />
    </Plate>
  )
}
