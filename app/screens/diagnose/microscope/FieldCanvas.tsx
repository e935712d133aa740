import { useEffect, useMemo, useRef, useSyncExternalStore } from 'react'
import { styled } from 'styled-components'
import type { CellKindId } from '../../../../core/catalogue/microscope/microscope.types.ts'
import { createField, moveCells } from '../../../../core/microscope/field.ts'
import { pxPerUm, scaleBarUm, type Objective } from '../../../../core/microscope/scale.ts'
import { viewOf } from '../../../../core/microscope/view.ts'
import { useWidth } from '../../../look/useWidth.ts'
import { FieldPainter } from './draw/field.ts'
import { onEachFrame } from './draw/ticker.ts'

const Round = styled.div`
  width: 100%;
  // As wide as there is height for it under the page's head: the whole field is seen at once.
  max-width: clamp(280px, calc(100dvh - 350px), 560px);
  aspect-ratio: 1;
  margin: 0 auto;
  border-radius: 50%;
  border: 2px solid var(--ink);
  overflow: hidden;
  background: var(--sheet);
  canvas {
    display: block;
    width: 100%;
    height: 100%;
  }
`

const Bar = styled.div`
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 8px;
  font-size: 14px;
  color: var(--quiet);
  padding-top: 6px;
  & > span:first-child {
    height: 8px;
    border: 1.5px solid var(--ink);
    border-top: 0;
  }
`

const query = () => window.matchMedia('(prefers-reduced-motion: reduce)')
const listen = (changed: () => void) => {
  const asked = query()
  asked.addEventListener('change', changed)
  return () => asked.removeEventListener('change', changed)
}

/** Whether the keeper's system asks for pictures that do not move. */
export const useReducedMotion = (): boolean => useSyncExternalStore(listen, () => query().matches)

/** Tells when the look of the page changes, for what is painted once. */
function onLook(changed: () => void): () => void {
  const observer = new MutationObserver(changed)
  observer.observe(document.documentElement, { attributeFilter: ['data-look'] })
  return () => observer.disconnect()
}

/** Screens have up to three dots for a px; two are enough for cells, and half the work. */
const MOST_DENSITY = 2

/** A round field of view in which cells move as they do under the microscope, at its scale. */
export function FieldCanvas({
  kinds,
  times,
  seed,
  isStill,
  label,
  named = [],
}: {
  kinds: readonly CellKindId[]
  times: Objective['times']
  seed: number
  /** Nothing moves: dotted lines show the way of a second. */
  isStill: boolean
  /** What is seen, for those who do not see it. */
  label: string
  /** Kinds that are ringed and named. */
  named?: readonly CellKindId[]
}) {
  const box = useRef<HTMLDivElement>(null)
  const canvas = useRef<HTMLCanvasElement>(null)
  const widthPx = useWidth(box)
  const [wanted, ringed] = [kinds.join(), named.join()]
  const made = useMemo(() => {
    const view = viewOf(wanted.split(',').filter(Boolean) as CellKindId[], times, Math.max(1, widthPx))
    return { view, field: createField(view.mix, view.sideUm, seed, view.visibleUm / 3) }
  }, [wanted, times, widthPx, seed])
  useEffect(() => {
    const element = canvas.current
    if (!element || widthPx === 0) return
    const context = element.getContext('2d')
    if (!context) return
    const density = Math.min(window.devicePixelRatio || 1, MOST_DENSITY)
    element.width = element.height = Math.round(widthPx * density)
    const { view, field } = made
    const painter = new FieldPainter(context, view, density)
    const toName = ringed.split(',').filter(Boolean) as CellKindId[]
    if (isStill) {
      const paint = () => painter.paint(field, true, toName)
      paint()
      return onLook(paint)
    }
    return onEachFrame((seconds) => {
      moveCells(field, seconds)
      painter.paint(field, false, toName)
    })
  }, [made, widthPx, isStill, ringed])
  return (
    <>
      <Round ref={box}>
        <canvas ref={canvas} role="img" aria-label={label} data-kinds={wanted} />
      </Round>
      <ScaleBar times={times} widthPx={widthPx} />
    </>
  )
}

/** How long a µm is on the screen, under a field of some width. */
function ScaleBar({ times, widthPx }: { times: Objective['times']; widthPx: number }) {
  const um = scaleBarUm(times, widthPx)
  return (
    <Bar>
      <span style={{ width: um * pxPerUm(times) }} />
      <span>{um >= 1000 ? `${um / 1000} mm` : `${um} µm`}</span>
    </Bar>
  )
}
