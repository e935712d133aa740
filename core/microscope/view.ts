import { cellKind } from '../catalogue/microscope/cell-kinds.data.ts'
import type { CellKindId } from '../catalogue/microscope/microscope.types.ts'
import { drawnLengths } from './field.ts'
import { fieldUm, pxPerUm, type Objective } from './scale.ts'

/** Cells of ordinary size in a whole field, by the power (assumed): as a good sample shows them, never so few that nothing moves. */
const CELLS_IN_FIELD: Readonly<Record<Objective['times'], number>> = { 4: 200, 10: 44, 40: 7 }
/** Least of each kind in the water that is worked out, so that one is seen soon. */
const LEAST = 2

/** What a canvas of some width shows. */
export interface View {
  times: Objective['times']
  widthPx: number
  /** Width that is seen, µm. */
  visibleUm: number
  /** Side of the water that is worked out, µm: wider than what is seen, so that nothing jumps at its edge. */
  sideUm: number
  mix: readonly { kind: CellKindId; count: number }[]
}

/**
 * What is drawn on a canvas: the middle of the field at its scale, with as many cells of each kind as belong there.
 * @param widthPx of the canvas, CSS px
 * @example
 * viewOf(['coolia'], 10, 560).visibleUm // 1800
 */
export function viewOf(kinds: readonly CellKindId[], times: Objective['times'], widthPx: number): View {
  const visibleUm = widthPx / pxPerUm(times)
  const longest = Math.max(0, ...kinds.map((kind) => drawnLengths(cellKind(kind))[1]))
  const sideUm = visibleUm + longest
  // A field is round: its cells are spread over π/4 of its square.
  const perSquareUm = CELLS_IN_FIELD[times] / ((Math.PI / 4) * fieldUm(times) ** 2)
  const share = 1 / Math.max(1, kinds.filter((kind) => cellKind(kind).tally !== null).length)
  return {
    times,
    widthPx,
    visibleUm,
    sideUm,
    mix: kinds.map((kind) => ({
      kind,
      count: Math.max(LEAST, Math.round(perSquareUm * sideUm ** 2 * share * cellKind(kind).crowd)),
    })),
  }
}
