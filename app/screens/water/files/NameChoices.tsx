import { useId } from 'react'
import { styled } from 'styled-components'
import type { NameMeaning } from '../../../../core/bring-in/names.ts'
import type { Table } from '../../../../core/bring-in/table.ts'
import { LAB_ELEMENTS } from '../../../../core/catalogue/lab-elements.data.ts'
import { PARAMETERS_AS_ASKED } from '../../../../core/catalogue/parameters-as-asked.ts'
import { plural } from '../../../../core/words/numbers.ts'
import { inputShape } from '../../../fields/shell.tsx'
import { FieldGrid } from '../../../look/page.ts'
import { Small, Stack } from '../../../look/text.ts'

const Select = styled.select`
  ${inputShape}
`

/** Lines under the names that may be the names after all. */
const ROWS_OFFERED = 5
const LETTERS = 70

/** Which line of the file holds the names of its columns; shown where there is a line above them, or the names are none. */
export function HeaderChoice({ table, onHeader }: { table: Table; onHeader: (line: number) => void }) {
  const id = useId()
  const { above, header, headerLine, rows } = table
  const lines = [...above, { line: headerLine, cells: header }, ...rows.slice(0, ROWS_OFFERED)]
  return (
    <div style={{ maxWidth: 560 }}>
      <label htmlFor={id}>The columns are named in</label>
      <Select id={id} value={headerLine} onChange={(event) => onHeader(Number(event.target.value))}>
        {lines.map(({ line, cells }) => (
          <option key={line} value={line}>
            line {line}:{' '}
            {cells
              .filter((cell) => cell !== '')
              .join(' · ')
              .slice(0, LETTERS)}
          </option>
        ))}
      </Select>
      {above.length > 0 && <Small>Passed over: {plural(above.length, 'line')} above it.</Small>}
    </div>
  )
}

/** Names of rows that mean nothing yet: each is assigned once, and known in every file from then on. */
export function UnknownNames({
  names,
  assigned,
  onAssign,
}: {
  names: readonly string[]
  assigned: Readonly<Record<string, NameMeaning>>
  onAssign: (name: string, is: NameMeaning) => void
}) {
  const id = useId()
  if (names.length === 0) return null
  return (
    <Stack $gap={8}>
      <Small style={{ fontWeight: 600 }}>
        Names that Brinvo does not know. Say once what each is; left open, its rows are left out.
      </Small>
      <FieldGrid>
        {names.map((name, i) => (
          <div key={name}>
            <label htmlFor={`${id}-${i}`}>{name}</label>
            <Select
              id={`${id}-${i}`}
              value={assigned[name] ?? ''}
              onChange={(event) => onAssign(name, event.target.value as NameMeaning)}
            >
              <option value="" disabled>
                choose
              </option>
              <option value="ignore">nothing that is kept</option>
              <optgroup label="Tested at home too">
                {PARAMETERS_AS_ASKED.map((parameter) => (
                  <option key={parameter.id} value={`of:${parameter.id}`}>
                    {parameter.name}
                  </option>
                ))}
              </optgroup>
              <optgroup label="Elements">
                {LAB_ELEMENTS.map((element) => (
                  <option key={element.id} value={`el:${element.id}`}>
                    {element.name}, {element.symbol}
                  </option>
                ))}
              </optgroup>
            </Select>
          </div>
        ))}
      </FieldGrid>
    </Stack>
  )
}
