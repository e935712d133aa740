import { useRef, useState } from 'react'
import { guessColumns, isLabTable, knownColumns, type ColumnMap } from '../../../../core/bring-in/columns.ts'
import { readTable, type Table } from '../../../../core/bring-in/table.ts'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button } from '../../../look/buttons.ts'
import { Bar, Line, Small, Stack } from '../../../look/text.ts'
import { HiddenInput } from '../../../photos/HiddenInput.ts'
import { useTankOfPage } from '../useTankOfPage.tsx'
import { BringIn } from './BringIn.tsx'
import { LabResults } from './LabResults.tsx'

/** A file that was chosen: what it holds, and how its columns are read to begin with. */
export interface ChosenFile {
  name: string
  /** The whole file, to be read again where the keeper points at another line of names. */
  text: string
  table: Table
  map: ColumnMap
  isLab: boolean
  /** A table with the same columns was brought in before. */
  isKnown: boolean
}

/** A larger table is no home's log, MB. */
const MOST_MB = 20
const BYTES_PER_MB = 1024 * 1024

/** The text of a file, or why it is not read; how large it is is asked before. */
async function textOf(file: File): Promise<string | { problem: string }> {
  if (file.size > MOST_MB * BYTES_PER_MB)
    return {
      problem: `expected a table of at most ${MOST_MB} MB; this file is ${Math.round(file.size / BYTES_PER_MB)} MB`,
    }
  const bytes = await file.arrayBuffer()
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return {
      problem:
        'expected text in UTF-8, or letters such as µ and ° would be guessed. In the spreadsheet program save it as “CSV UTF-8”',
    }
  }
}

/** Readings and lab results out of a CSV file, and the lab's results that are kept. */
export function Files() {
  const { journal } = useHousehold()
  const { tank, field } = useTankOfPage()
  const [chosen, setChosen] = useState<ChosenFile | { name: string; problem: string } | null>(null)
  const [done, setDone] = useState<string | null>(null)
  const input = useRef<HTMLInputElement>(null)
  const read = async (file: File) => {
    setDone(null)
    const text = await textOf(file)
    setChosen(typeof text === 'string' ? choiceOf(file.name, text) : { name: file.name, problem: text.problem })
  }
  const choiceOf = (name: string, text: string, headerLine?: number) => {
    const table = readTable(text, headerLine)
    if ('problem' in table) return { name, problem: table.problem }
    const known = knownColumns(journal, table)
    const map = known ?? guessColumns(table)
    return { name, text, table, map, isLab: isLabTable(table, map), isKnown: known !== null }
  }
  return (
    <Stack $gap={22}>
      <Line $gap={16} style={{ alignItems: 'end' }}>
        {field}
        <HiddenInput
          ref={input}
          type="file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          aria-label="Table of readings"
          tabIndex={-1}
          onChange={(event) => {
            const file = event.target.files?.[0]
            if (file) void read(file)
            event.target.value = ''
          }}
        />
        <Button onPress={() => input.current?.click()}>Choose a CSV file</Button>
      </Line>
      {chosen === null && (
        <Small>
          A lab’s result, or the spreadsheet that was kept until now. From a spreadsheet program save it as CSV. It is
          read and shown first; nothing is kept before you say so.
        </Small>
      )}
      {done && <p role="status">{done}</p>}
      {chosen && 'problem' in chosen && (
        <Bar $tone="act" role="alert">
          {chosen.name}: {chosen.problem}. Nothing was changed.
        </Bar>
      )}
      {chosen && 'table' in chosen && (
        <BringIn
          key={`${chosen.name} ${tank.id} ${chosen.table.headerLine}`}
          tank={tank}
          file={chosen}
          onDone={(words) => {
            setChosen(null)
            setDone(words)
          }}
          onHeader={(line) => setChosen(choiceOf(chosen.name, chosen.text, line))}
          onLeave={() => setChosen(null)}
        />
      )}
      <LabResults key={tank.id} tank={tank} />
    </Stack>
  )
}
