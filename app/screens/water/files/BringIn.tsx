import { useMemo, useState } from 'react'
import { useForm } from 'react-hook-form'
import { columnsEntry, missingOf, type ColumnMap, type ColumnRole } from '../../../../core/bring-in/columns.ts'
import type { DayOrder } from '../../../../core/bring-in/dates.ts'
import { knownNames, plainWord, type KnownNames, type NameMeaning } from '../../../../core/bring-in/names.ts'
import { faultsOf } from '../../../../core/bring-in/problems.ts'
import { sampleDateOf } from '../../../../core/bring-in/sample-date.ts'
import { readLab, readRows, type RowProblem } from '../../../../core/bring-in/read-rows.ts'
import type { Tank } from '../../../../core/household/tanks.ts'
import type { Content } from '../../../../core/journal/entry.ts'
import { dateInput, timeOf } from '../../../../core/time/words.ts'
import { iso, MS_PER_DAY } from '../../../../core/time/zone.ts'
import { capital, plural } from '../../../../core/words/numbers.ts'
import { SelectField } from '../../../fields/fields.tsx'
import { readWhenFields, WhenFields, type WhenValues } from '../../../fields/when.tsx'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { UnkeptNote, useKeeping } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { PlainButton, PrimaryButton } from '../../../look/buttons.ts'
import { FieldGrid } from '../../../look/page.ts'
import { Bar, Heading, Line, Quiet, Small, Stack } from '../../../look/text.ts'
import { ColumnChoices } from './ColumnChoices.tsx'
import { HeaderChoice, UnknownNames } from './NameChoices.tsx'
import type { ChosenFile } from './Files.tsx'

const ORDERS: readonly { value: DayOrder | ''; label: string }[] = [
  { value: '', label: 'which? choose' },
  { value: 'dmy', label: 'day first: 31/12/2026' },
  { value: 'mdy', label: 'month first: 12/31/2026' },
  { value: 'ymd', label: 'year first: 2026-12-31' },
]

interface BringInValues extends WhenValues {
  kind: 'lab' | 'readings'
  dayOrder: DayOrder | ''
  usualUnit: string
}

/** When a sample is taken to have been drawn until its time is said. */
const NOON = '12:00'
const NOON_MINUTE = 12 * 60

interface BringInProps {
  tank: Tank
  file: ChosenFile
  onDone: (words: string) => void
  /** Another line of the file holds the names of the columns. */
  onHeader: (line: number) => void
  onLeave: () => void
}

/** A table before it is kept: what its columns hold, what they come to, and what cannot be read. */
export function BringIn({ tank, file, onDone, onHeader, onLeave }: BringInProps) {
  const { journal, settings, revision } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const now = useNow()
  const [columns, setColumns] = useState<readonly ColumnRole[]>(file.map.columns)
  const [sampled] = useState(() => sampleDateOf(file.table, file.map.columns.indexOf('date'), settings.clock))
  const sampledMs = sampled && 'ms' in sampled && sampled.ms <= now ? sampled.ms : null
  const [assigned, setAssigned] = useState<Readonly<Record<string, NameMeaning>>>({})
  const names = useMemo(
    (): KnownNames =>
      new Map([
        ...knownNames(journal),
        ...Object.entries(assigned).map(([name, is]) => [plainWord(name), is] as const),
      ]),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
    [journal, revision, assigned],
  )
  const form = useForm<BringInValues>({
    defaultValues: {
      kind: file.isLab ? 'lab' : 'readings',
      dayOrder: file.map.dayOrder ?? '',
      usualUnit: '',
      time: sampledMs === null ? NOON : timeOf(sampledMs, settings.clock),
      // The file's own date; else noon of today, or of yesterday while that lies ahead.
      date: dateInput(
        sampledMs ?? (settings.clock.minuteOf(now) >= NOON_MINUTE ? now : now - MS_PER_DAY),
        settings.clock,
      ),
    },
  })
  const { kind, dayOrder, usualUnit, date, time } = form.watch()
  const isLab = kind === 'lab'
  const map: ColumnMap = useMemo(() => ({ columns, dayOrder: dayOrder === '' ? null : dayOrder }), [columns, dayOrder])
  const when = readWhenFields({ date, time }, settings.clock, now)
  const sampledAt = 'happened' in when ? when.happened : null
  const missing = missingOf(isLab ? { ...map, dayOrder: 'ymd' } : map, isLab)
  const read = useMemo(
    () => {
      if (missing !== null) return null
      const input = { table: file.table, tank, names, context: { journal, settings, now: thisInstant() } }
      if (!isLab) {
        const { readings, same, problems, unknown } = readRows({ ...input, map: { ...map, dayOrder: map.dayOrder! } })
        return { contents: readings, elements: 0, readings: readings.length, same, problems, unknown, notes: [] }
      }
      if (sampledAt === null) return null
      const lab = readLab({ ...input, map, sampledAt: Date.parse(sampledAt), usualUnit })
      return {
        contents: [...(lab.result ? [lab.result] : []), ...lab.readings] as Content[],
        elements: lab.result?.results.length ?? 0,
        readings: lab.readings.length,
        same: 0,
        problems: lab.problems,
        unknown: lab.unknown,
        notes: lab.notes,
      }
    },
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
    [file, tank, journal, revision, settings, map, isLab, sampledAt, usualUnit, missing, names],
  )
  const send = async () => {
    if (!read || read.contents.length === 0) return
    const known = columnsEntry(file.table, map, map.dayOrder ?? 'ymd', iso(thisInstant()), assigned)
    if (!(await keep([...read.contents, known]))) return
    onDone(
      isLab
        ? `The lab’s result is kept: ${plural(read.elements, 'element')}, ${plural(read.readings, 'reading')} beside it.`
        : `${plural(read.readings, 'reading')} kept${read.same > 0 ? `; ${read.same} were here already` : ''}.`,
    )
  }
  const what = isLab
    ? `${plural(read?.elements ?? 0, 'element')}${read && read.readings > 0 ? ` and ${plural(read.readings, 'reading')}` : ''}`
    : plural(read?.readings ?? 0, 'reading')
  return (
    <section aria-label={file.name}>
      <Heading>
        <span>{file.name}</span>
        <Quiet>
          {plural(file.table.rows.length, 'row')}
          {file.isKnown && '; its columns are known from last time'}
        </Quiet>
      </Heading>
      <Stack $gap={18} style={{ paddingTop: 14 }}>
        <FieldGrid>
          <SelectField
            control={form.control}
            name="kind"
            label="It is"
            options={[
              { value: 'readings', label: 'readings over time' },
              { value: 'lab', label: 'a lab’s result' },
            ]}
          />
          {!isLab && file.map.dayOrder !== 'ymd' && (
            <SelectField control={form.control} name="dayOrder" label="Dates are written" options={[...ORDERS]} />
          )}
          {isLab && (
            <SelectField
              control={form.control}
              name="usualUnit"
              label="Figures without a unit"
              options={[
                { value: '', label: 'are left out' },
                { value: 'mg/l', label: 'are mg/L' },
                { value: 'µg/l', label: 'are µg/L' },
              ]}
            />
          )}
        </FieldGrid>
        {isLab && (
          <div style={{ maxWidth: 420 }}>
            <Small style={{ fontWeight: 600, paddingBottom: 6 }}>When the sample was taken from {tank.name}</Small>
            <WhenFields control={form.control} problems={'problems' in when ? when.problems : {}} />
            {sampledMs !== null && <Small>As the file says.</Small>}
            {sampled && 'unclear' in sampled && (
              <Small>The file says {sampled.unclear}, which could be two days: choose which.</Small>
            )}
          </div>
        )}
        <HeaderChoice table={file.table} onHeader={onHeader} />
        <ColumnChoices table={file.table} columns={columns} onChange={setColumns} />
        {missing !== null && <Bar $tone="soon">To read it, {missing}.</Bar>}
        {read && (
          <UnknownNames
            names={[...Object.keys(assigned), ...read.unknown.filter((name) => !(name in assigned))]}
            assigned={assigned}
            onAssign={(name, is) => setAssigned({ ...assigned, [name]: is })}
          />
        )}
        {read && read.notes.length > 0 && (
          <ul>
            {read.notes.map((note) => (
              <li key={note}>{capital(note)}</li>
            ))}
          </ul>
        )}
        {read && <Problems problems={read.problems} />}
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line $gap={16}>
          <PrimaryButton isDisabled={busy || !read || read.contents.length === 0} onPress={() => void send()}>
            Keep {what}
          </PrimaryButton>
          <PlainButton onPress={onLeave}>leave it</PlainButton>
          {read && read.same > 0 && <Quiet>{plural(read.same, 'reading')} are here already</Quiet>}
        </Line>
      </Stack>
    </section>
  )
}

const SHOWN_PROBLEMS = 8

function Problems({ problems }: { problems: readonly RowProblem[] }) {
  if (problems.length === 0) return null
  const faults = faultsOf(problems)
  return (
    <Bar $tone="soon">
      <Stack $gap={6}>
        <span>{plural(problems.length, 'row')} cannot be read and would be left out:</span>
        <ul>
          {faults.slice(0, SHOWN_PROBLEMS).map(({ line, count, message }) => (
            <li key={line + message}>
              line {line}
              {count > 1 && ` and ${count - 1} more`}: {message}
            </li>
          ))}
        </ul>
        {faults.length > SHOWN_PROBLEMS && <span>and {faults.length - SHOWN_PROBLEMS} more kinds of fault</span>}
      </Stack>
    </Bar>
  )
}
