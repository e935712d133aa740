import { useState } from 'react'
import { useForm, useWatch } from 'react-hook-form'
import { styled } from 'styled-components'
import { daysAway, minderSheet, minderSpans, type MinderLine } from '../../../core/schedule/minder-sheet.ts'
import type { CourseTask } from '../../../core/courses/tasks.ts'
import { dayAs, timeOf } from '../../../core/time/words.ts'
import { figures } from '../../../core/words/numbers.ts'
import { dayFromText, dayText } from '../../../core/time/zone.ts'
import { measureText } from '../../../core/words/measure.ts'
import { taskAmountText } from '../../courses/words.ts'
import { AreaField, TextField } from '../../fields/fields.tsx'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { downloadText } from '../../storage/download.ts'
import { Button, PrimaryButton } from '../../look/buttons.ts'
import { FieldGrid, Page, PageHead } from '../../look/page.ts'
import { Bar, Line, Small, Stack, Title } from '../../look/text.ts'

/** A stand-in is given so many days at once. */
const USUAL_DAYS = 3
const MOST_DAYS = 14
/** Lines that two printed pages hold, headings with them. */
const PAGE_ROWS = 90

const Paper = styled.section`
  background: var(--sheet);
  border: 1px solid var(--rule);
  padding: 20px 24px;
  font-size: 15px;
  h2 {
    font-size: 17px;
    margin: 14px 0 4px;
    border-bottom: 1.5px solid var(--ink);
  }
  table {
    width: 100%;
    border-collapse: collapse;
  }
  td,
  th {
    text-align: left;
    vertical-align: top;
    padding: 5px 10px 5px 0;
    border-bottom: 1px dotted var(--strong-rule);
    font-weight: 400;
  }
  th {
    color: var(--quiet);
    font-size: 13px;
  }
  td:first-child {
    white-space: nowrap;
    font-family: var(--mono);
  }
  td strong {
    font-weight: 650;
  }
  @media (max-width: 759px) {
    padding: 14px;
  }
  @media print {
    border: 0;
    padding: 0;
    /* Two pages hold about ninety lines of this. */
    font-size: 10.5px;
    line-height: 1.25;
    h2 {
      font-size: 12px;
      margin: 6px 0 2px;
      break-after: avoid;
    }
    td,
    th {
      padding: 2px 8px 2px 0;
    }
    tr {
      break-inside: avoid;
    }
  }
`

const NotPrinted = styled.div`
  @media print {
    display: none;
  }
`

/** A line as it is read on the sheet. */
interface SheetRow {
  key: string
  when: string
  by: string
  tank: string
  title: string
  caution: string | null
  amount: string
}
interface SheetSpan {
  days: string
  rows: readonly SheetRow[]
}

const BLANK = '______________________'
const WARNINGS = [
  'Dry hands before sockets; unplug before hands go in.',
  'Each tank has its own net, cup and towel: nothing wet goes from one to another.',
  'Gloves for every medicine. Swallowed, or in the eye: the poison centre or the emergency number, at once.',
  'A fish at the surface gasping: air stone in, then call.',
]

/** The sheet as a plain text, for a message or another printer. */
const sheetText = (
  title: string,
  calls: readonly string[],
  where: string,
  spans: readonly SheetSpan[],
  amiss: readonly string[],
) =>
  [
    title,
    '',
    ...calls,
    ...(where === '' ? [] : ['', where]),
    '',
    ...WARNINGS,
    ...spans.flatMap(({ days, rows }) => [
      '',
      days,
      ...rows.flatMap(({ when, by, tank, title: what, caution, amount }) => [
        `  [ ] ${when} (${by})  ${tank}: ${what}${amount === '' ? '' : `: ${amount}`}`,
        ...(caution === null ? [] : [`      ${caution}`]),
      ]),
    ]),
    '',
    'If something cannot be done, or is amiss',
    ...amiss.map((words) => `  ${words}`),
    '',
  ].join('\n')

/** Two pages at most for whoever minds the tanks: what, how much, when, what if, and whom to call. */
export function Minder() {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { clock } = settings
  const today = clock.dayOf(now)
  const away = journal
    .ofKind('away')
    .map(({ content }) => ({ from: Date.parse(content.from), until: Date.parse(content.until) }))
    .find(({ until }) => until > now)
  const awayDays = away && daysAway(away, settings)
  const [printed, setPrinted] = useState(false)
  const form = useForm({
    defaultValues: {
      from: dayText(awayDays ? Math.max(today, awayDays.from) : today),
      until: dayText(awayDays?.until ?? today + USUAL_DAYS - 1),
      call: '',
      vet: '',
      where: '',
    },
  })
  const values = useWatch({ control: form.control })
  const from = dayFromText(values.from ?? '') ?? today
  const until = Math.min(from + MOST_DAYS - 1, Math.max(from, dayFromText(values.until ?? '') ?? from))
  const amountOf = ({ task, expects }: MinderLine): string => {
    if (expects !== null) return expects
    const of = task as CourseTask
    if (of.change) return measureText(of.change.litres, 'L', settings.units, 3)
    const text = taskAmountText(of)
    if (text === null) return ''
    return of.dose || of.food ? `one portion: ${text}` : text
  }
  const byOf = ({ at, until: last }: MinderLine): string => {
    const day = clock.dayOf(at)
    if (last >= clock.instantAt(day + 1)) return 'that day'
    return `by ${timeOf(last, clock)}`
  }
  const days = minderSheet(journal, settings, { from, until, now })
  const lines = days.flatMap((day) => day.lines)
  const spans = minderSpans(days, (line) => `${timeOf(line.at, clock)}|${byOf(line)}|${amountOf(line)}`).map(
    (span): SheetSpan => ({
      days:
        span.from === span.until
          ? dayAs(span.from, 'EEEE d MMMM')
          : `${dayAs(span.from, 'EEEE d MMMM')} to ${dayAs(span.until, 'EEEE d MMMM')}, each day`,
      rows: span.lines.map((line) => ({
        key: line.task.id,
        when: timeOf(line.at, clock),
        by: byOf(line),
        tank: line.tank,
        title: line.task.title,
        caution: ('caution' in line.task && line.task.caution) || null,
        amount: amountOf(line),
      })),
    }),
  )
  // Said once, not beside each line.
  const amiss = [...new Set(lines.map(({ ifNot }) => ifNot))]
  const portions = lines.filter(({ task }) => 'dose' in task && task.dose).length
  const calls = [
    `Keeper: ${values.call?.trim() || BLANK}`,
    `Vet, or who knows the animals: ${values.vet?.trim() || BLANK}`,
  ]
  const title = `Our tanks, ${dayAs(from, 'EEE d MMM')} to ${dayAs(until, 'EEE d MMM')}`
  const where = values.where?.trim() ?? ''
  const rows = spans.reduce((sum, span) => sum + span.rows.length + 2, 0)
  return (
    <Page>
      <NotPrinted>
        <PageHead>
          <Title>For whoever minds the tanks</Title>
        </PageHead>
        <Stack $gap={14} style={{ marginBottom: 18 }}>
          <FieldGrid>
            <TextField control={form.control} name="from" label="From" type="date" />
            <TextField control={form.control} name="until" label="Until" type="date" />
            <TextField control={form.control} name="call" label="Call" placeholder="your number, and a second one" />
            <TextField control={form.control} name="vet" label="Vet" placeholder="name and number" />
          </FieldGrid>
          <AreaField
            control={form.control}
            name="where"
            label="Where things are"
            hint="portions weighed and labelled by day, water mixed, net and towel of each tank"
          />
          <Line>
            <PrimaryButton
              onPress={() => {
                setPrinted(true)
                window.print()
              }}
            >
              Print the sheet
            </PrimaryButton>
            <Button
              onPress={() =>
                downloadText(`tanks-${dayText(from)}.txt`, sheetText(title, calls, where, spans, amiss), 'text/plain')
              }
            >
              Save it as a file
            </Button>
          </Line>
          {portions > 0 && (
            <Small>
              {figures(portions)} {portions === 1 ? 'portion' : 'portions'} of medicine: weigh each yourself and label
              it with its day and tank before you go.
            </Small>
          )}
          {printed && rows > PAGE_ROWS && (
            <Bar $tone="soon">This is more than two pages: print it in two parts, the first days and the rest.</Bar>
          )}
        </Stack>
      </NotPrinted>
      <Paper aria-label="Sheet">
        <strong style={{ fontSize: 19 }}>{title}</strong>
        {calls.map((call) => (
          <p key={call}>{call}</p>
        ))}
        {where !== '' && <p>{where}</p>}
        <Bar $tone="soon">{WARNINGS.join(' ')}</Bar>
        {lines.length === 0 && <p>Nothing is due in these days but looking, feeding and the level of the water.</p>}
        {spans.map(({ days: heading, rows: lists }) => (
          <div key={heading}>
            <h2>{heading}</h2>
            <table>
              <thead>
                <tr>
                  <th scope="col">when</th>
                  <th scope="col">what, and where</th>
                  <th scope="col">how much</th>
                </tr>
              </thead>
              <tbody>
                {lists.map(({ key, when, by, tank, title: what, caution, amount }) => (
                  <tr key={key}>
                    <td>
                      {when} <Small as="span">{by}</Small>
                    </td>
                    <td>
                      <strong>{tank}</strong>: {what}
                      {caution !== null && (
                        <>
                          <br />
                          <Small as="span">{caution}</Small>
                        </>
                      )}
                    </td>
                    <td>
                      <strong>{amount}</strong>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        ))}
        {amiss.length > 0 && (
          <>
            <h2>If it cannot be done, or something is amiss</h2>
            <ul style={{ paddingLeft: 18 }}>
              {amiss.map((words) => (
                <li key={words}>{words}</li>
              ))}
            </ul>
          </>
        )}
      </Paper>
    </Page>
  )
}
