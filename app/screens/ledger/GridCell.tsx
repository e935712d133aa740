import { createContext, useContext, type ReactNode } from 'react'
import { styled } from 'styled-components'
import type { Day } from '../../../core/time/zone.ts'

/** A cell of the ledger by its day and column. */
export interface CellPlace {
  day: Day
  column: number
}

interface GridActions {
  open: (day: Day, tankId: string) => void
  focused: (place: CellPlace) => void
}

export const GridActionsContext = createContext<GridActions>({ open: () => {}, focused: () => {} })

export const cellId = (day: Day, column: number): string => `cell-${day}-${column}`

const Cell = styled.div`
  position: absolute;
  top: 0;
  bottom: 0;
  border-left: 1px solid var(--rule);
  cursor: pointer;
  &:focus-visible {
    outline: 2.5px solid var(--second);
    outline-offset: -3px;
  }
  @media (hover: hover) {
    &:hover {
      background: color-mix(in srgb, var(--second) 6%, transparent);
    }
  }
`

interface GridCellProps extends CellPlaceProps {
  label: string
  children: ReactNode
}
interface CellPlaceProps {
  day: Day
  tankId: string
  colIndex: number
  active: boolean
  left: number
  width: number
}

/** A day of a tank that opens beside the ledger, by click or Enter; one cell of the grid is in the tab order. */
export function GridCell({ day, tankId, colIndex, active, left, width, label, children }: GridCellProps) {
  const { open, focused } = useContext(GridActionsContext)
  return (
    <Cell
      id={cellId(day, colIndex)}
      role="gridcell"
      aria-colindex={colIndex + 2}
      aria-label={label}
      tabIndex={active ? 0 : -1}
      style={{ left, width }}
      onClick={() => open(day, tankId)}
      onFocus={() => focused({ day, column: colIndex })}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || event.target !== event.currentTarget) return
        event.preventDefault()
        open(day, tankId)
      }}
    >
      {children}
    </Cell>
  )
}
