import { useState } from 'react'
import { useForm, useWatch } from 'react-hook-form'
import { styled } from 'styled-components'
import { minderSheet } from '../../../core/schedule/minder-sheet.ts'
import type { CourseTask } from '../../../core/courses/tasks.ts'
import { dayAs, timeOf } from '../../../core/time/words.ts'
import { dayFromText, dayText } from '../../../core/time/zone.ts'
import { measureText } from '../../../core/words/measure.ts'
import { taskAmountText } from '../../courses/words.ts'
import { AreaField, TextField } from '../../fields/fields.tsx'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { PrimaryButton } from '../../look/buttons.ts'
import { FieldGrid, Page, PageHead } from '../../look/page.ts'
import { Bar, Small, Stack, Title } from '../../look/text.ts'

/** A stand-in is given so many days at once. */
const USUAL_DAYS = 3
const MOST_DAYS = 14

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
    td:last-child,
    th:last-child {
      display: none;
    }
  }
  @media print {
    border: 0;
    padding: 0;
    font-size: 12px;
    td:last-child,
    th:last-child {
      display: table-cell;
    }
  }
`

const NotPrinted = styled.div`
  @media print {
    display: none;
  }
`

/** One page for whoever minds the tanks: what, how much, when, what if, and whom to call. */
export function Minder() {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { clock } = settings
  const today = clock.dayOf(now)
  const away = journal
    .ofKind('away')
    .map(({ content }) => ({ from: Date.parse(content.from), until: Date.parse(content.until) }))
    .find(({ until }) => until > now)
  const [printed, setPrinted] = useState(false)
  const form = useForm({
    defaultValues: {
      from: dayText(away ? Math.max(today, clock.dayOf(away.from)) : today),
      until: dayText(away ? clock.dayOf(away.until) - 1 : today + USUAL_DAYS - 1),
      call: '',
      where: '',
    },
  })
  const values = useWatch({ control: form.control })
  const from = dayFromText(values.from ?? '') ?? today
  const until = Math.min(from + MOST_DAYS - 1, Math.max(from, dayFromText(values.until ?? '') ?? from))
  const days = minderSheet(journal, settings, { from, until, now })
  const count = days.reduce((sum, { lines }) => sum + lines.length, 0)
  const amount = (task: (typeof days)[number]['lines'][number]['task']) => {
    const of = task as CourseTask
    return of.change ? measureText(of.change.litres, 'L', settings.units, 3) : (taskAmountText(of) ?? '')
  }
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
          </FieldGrid>
          <AreaField
            control={form.control}
            name="where"
            label="Where things are"
            hint="portions weighed and labelled by day, water mixed, net and towel of each tank"
          />
          <div>
            <PrimaryButton
              onPress={() => {
                setPrinted(true)
                window.print()
              }}
            >
              Print the sheet
            </PrimaryButton>
          </div>
          {printed && <Small>Weigh every portion yourself and label it with its day before you go.</Small>}
        </Stack>
      </NotPrinted>
      <Paper aria-label="Sheet">
        <strong style={{ fontSize: 19 }}>
          Our tanks, {dayAs(from, 'EEE d MMM')} to {dayAs(until, 'EEE d MMM')}
        </strong>
        <p>
          Call: <strong>{values.call?.trim() || '______________________'}</strong>. Swallowed, or in the eye: the poison
          centre or the emergency number, at once.
        </p>
        {values.where?.trim() && <p>{values.where}</p>}
        <Bar $tone="soon">
          Dry hands before sockets; unplug before hands go in. Each tank has its own net, cup and towel: nothing wet
          goes from one to another. Gloves for every medicine. A fish at the surface gasping: air stone in, then call.
        </Bar>
        {count === 0 && <p>Nothing is due in these days but looking, feeding and the level of the water.</p>}
        {days
          .filter(({ lines }) => lines.length > 0)
          .map(({ day, lines }) => (
            <div key={day}>
              <h2>{dayAs(day, 'EEEE d MMMM')}</h2>
              <table>
                <thead>
                  <tr>
                    <th scope="col">when</th>
                    <th scope="col">what, and where</th>
                    <th scope="col">how much</th>
                    <th scope="col">if it cannot be done, or something is amiss</th>
                  </tr>
                </thead>
                <tbody>
                  {lines.map(({ task, tank, at, until: last, expects, ifNot }) => (
                    <tr key={task.id}>
                      <td>
                        {timeOf(at, clock)}
                        <br />
                        <Small as="span">
                          {last === clock.instantAt(day + 1)
                            ? 'that day'
                            : `by ${clock.dayOf(last) === day ? '' : `${dayAs(clock.dayOf(last), 'EEE')} `}${timeOf(last, clock)}`}
                        </Small>
                      </td>
                      <td>
                        <strong>{tank}</strong>: {task.title}
                        {'caution' in task && task.caution && (
                          <>
                            <br />
                            <Small as="span">{task.caution}</Small>
                          </>
                        )}
                      </td>
                      <td>
                        <strong>{expects ?? amount(task)}</strong>
                      </td>
                      <td>{ifNot}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          ))}
      </Paper>
    </Page>
  )
}
