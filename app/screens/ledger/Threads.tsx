import { styled } from 'styled-components'
import { animalLabel } from '../../../core/household/animals.ts'
import { piecesWithin, type Thread, type ThreadPiece } from '../../../core/ledger/threads.ts'
import { laneX, type Column } from './columns.ts'

const Sheet = styled.svg`
  position: absolute;
  inset: 0 auto 0 0;
  height: 100%;
  pointer-events: none;
  overflow: visible;
  line,
  path,
  circle {
    stroke: var(--strong-rule);
    stroke-width: 1.5;
    fill: none;
  }
  [data-group='true'] {
    stroke-width: 3;
  }
  [data-end='death'] {
    stroke: var(--act);
    stroke-width: 2;
  }
  [data-dashed='true'] {
    stroke-dasharray: 2 4;
  }
`

const BEND = 5
const CROSS = 4

interface ThreadsProps {
  threads: readonly Thread[]
  columns: readonly Column[]
  /** The day, ms. */
  from: number
  to: number
  /** Of all columns, px. */
  width: number
  /** Where in the row threads begin, end and cross, px from its top: clear of the words, which a line would strike out. */
  crossing: number
  ahead?: boolean
}

/**
 * The threads of one day's row, over all columns: down their lanes, across where an animal moves, an open ring where one
 * arrives, a small cross where one dies. From now on they are dashed: that they live on is expected, not yet seen.
 */
export function Threads({ threads, columns, from, to, width, crossing, ahead = false }: ThreadsProps) {
  const byTank = new Map(columns.map((column) => [column.tank.id, column]))
  const pieces = piecesWithin(threads, from, to).filter(({ tankId }) => byTank.has(tankId))
  return (
    <Sheet width={width} aria-hidden="true">
      {pieces.map((piece) => (
        <Piece
          key={`${piece.animal.id}-${piece.tankId}-${piece.lane}-${piece.top ? 't' : 'b'}`}
          piece={piece}
          byTank={byTank}
          y={crossing}
          ahead={ahead}
        />
      ))}
    </Sheet>
  )
}

function Piece({
  piece,
  byTank,
  y,
  ahead,
}: {
  piece: ThreadPiece
  byTank: ReadonlyMap<string, Column>
  y: number
  ahead: boolean
}) {
  const x = laneX(byTank.get(piece.tankId)!, piece.lane)
  const group = piece.animal.firstCount > 1
  const line = { 'data-group': group, 'data-dashed': ahead }
  const target = piece.movesTo && byTank.get(piece.movesTo.tankId)
  if (piece.top && piece.bottom) return <line x1={x} x2={x} y1="0" y2="100%" {...line} />
  return (
    <g>
      <title>{animalLabel(piece.animal)}</title>
      {piece.top && !target && <line x1={x} x2={x} y1="0" y2={y} {...line} />}
      {piece.bottom && piece.begins === 'move' && <line x1={x} x2={x} y1={y + BEND} y2="100%" {...line} />}
      {piece.bottom && piece.begins === 'arrival' && <line x1={x} x2={x} y1={y + CROSS} y2="100%" {...line} />}
      {piece.begins === 'arrival' && <circle cx={x} cy={y} r={CROSS} {...line} />}
      {target && <path d={crossingPath(x, laneX(target, piece.movesTo!.lane), y, piece.top)} {...line} />}
      {piece.ends === 'death' && (
        <path
          data-end="death"
          d={`M${x - CROSS} ${y - CROSS}l${2 * CROSS} ${2 * CROSS}m0 ${-2 * CROSS}l${-2 * CROSS} ${2 * CROSS}`}
        />
      )}
      {piece.ends === 'departure' && <line x1={x - CROSS} x2={x + CROSS} y1={y} y2={y} {...line} />}
    </g>
  )
}

/** Down its lane, round a bend, across, and round a bend down the other lane. */
function crossingPath(x: number, to: number, y: number, fromTop: boolean): string {
  const side = Math.sign(to - x) || 1
  const start = fromTop ? `M${x} 0V${y - BEND}Q${x} ${y} ${x + side * BEND} ${y}` : `M${x} ${y}H${x + side * BEND}`
  return `${start}H${to - side * BEND}Q${to} ${y} ${to} ${y + BEND}`
}
