import { useId } from 'react'
import { styled } from 'styled-components'
import { unitsOf, type ColumnRole } from '../../../../core/bring-in/columns.ts'
import type { Table } from '../../../../core/bring-in/table.ts'
import { PARAMETERS_AS_ASKED } from '../../../../core/catalogue/parameters-as-asked.ts'
import { inputShape } from '../../../fields/shell.tsx'
import { Figure, Quiet } from '../../../look/text.ts'

const PLAIN: readonly { role: ColumnRole; label: string }[] = [
  { role: 'ignore', label: 'nothing that is kept' },
  { role: 'date', label: 'the date' },
  { role: 'time', label: 'the time' },
  { role: 'tank', label: 'the tank' },
  { role: 'name', label: 'what was tested' },
  { role: 'value', label: 'its value' },
  { role: 'unit', label: 'its unit' },
  { role: 'note', label: 'a note' },
]

const Columns = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 14px 24px;
  > li {
    min-width: 0;
    overflow: hidden;
  }
`

const Select = styled.select`
  ${inputShape}
`

const SAMPLES = 3

/** What each column of a table holds: its name, what stands in it, and the choice. */
export function ColumnChoices({
  table,
  columns,
  onChange,
}: {
  table: Table
  columns: readonly ColumnRole[]
  onChange: (columns: readonly ColumnRole[]) => void
}) {
  const id = useId()
  return (
    <Columns aria-label="Columns">
      {table.header.map((name, column) => {
        const samples = table.rows
          .map(({ cells }) => cells[column] ?? '')
          .filter((cell) => cell !== '')
          .slice(0, SAMPLES)
        return (
          <li key={column}>
            <label htmlFor={`${id}-${column}`}>
              <strong>{name}</strong>
              <br />
              <Quiet>
                <Figure $size={14}>{samples.length === 0 ? 'empty' : samples.join(' · ').slice(0, 60)}</Figure>
              </Quiet>
            </label>
            <Select
              id={`${id}-${column}`}
              value={columns[column]}
              onChange={(event) => {
                const picked = event.target.value as ColumnRole
                // One column a role: whoever had it before has nothing now.
                onChange(
                  columns.map((role, i) =>
                    i === column ? picked : role === picked && picked !== 'ignore' ? 'ignore' : role,
                  ),
                )
              }}
            >
              {PLAIN.map(({ role, label }) => (
                <option key={role} value={role}>
                  {label}
                </option>
              ))}
              {PARAMETERS_AS_ASKED.map((parameter) => (
                <optgroup key={parameter.id} label={parameter.name}>
                  {unitsOf(parameter).map((unit) => (
                    <option key={unit.id} value={`of:${parameter.id}:${unit.id}`}>
                      {parameter.name}, {unit.label}
                    </option>
                  ))}
                </optgroup>
              ))}
            </Select>
          </li>
        )
      })}
    </Columns>
  )
}
