import { sessionLimit } from '../../../../core/bench/amounts.ts'
import { spansOf, type BenchRun } from '../../../../core/bench/follow.ts'
import { amountInput, recordsOf } from '../../../../core/bench/refusals.ts'
import type { StepRecord } from '../../../../core/catalogue/procedures/procedure.types.ts'
import { clockText } from '../../../../core/time/words.ts'
import { MS_PER_MINUTE } from '../../../../core/time/zone.ts'
import { measureText } from '../../../../core/words/measure.ts'
import { figures } from '../../../../core/words/numbers.ts'
import { useHousehold } from '../../../journal/provider.tsx'
import { Figure, Heading, Line, Quiet, Rows, Ruled, Stack } from '../../../look/text.ts'

/** What a run came to: used against its cap, removed and left, minutes out of the water of each. */
export function Totals({ run, netL, nameOf }: { run: BenchRun; netL: number | null; nameOf: (id: string) => string }) {
  const { settings } = useHousehold()
  const records = new Map<string, StepRecord>()
  for (const one of run.occasions)
    for (const record of recordsOf(one)) if (one.place === 'step') records.set(record.id, record)
  const shown = [...records.values()].filter(({ id }) => run.totals.has(id))
  const spans = spansOf(run)
  const bySubject = run.subjectIds.filter((id) =>
    run.occasions.some((one) => one.subjectId === id && one.values.length > 0),
  )
  const counted = shown.filter(({ id }) =>
    run.occasions.some((one) => one.subjectId !== null && one.values.some((figure) => figure.id === id)),
  )
  if (shown.length + spans.length === 0) return null
  return (
    <Stack $gap={16}>
      {shown.length > 0 && (
        <Rows aria-label="In all">
          {shown.map(({ id, label, unit, sessionLimit: limit, kind }) => {
            const cap = limit && sessionLimit(limit, amountInput(run, netL))
            return (
              <li key={id}>
                <Line style={{ justifyContent: 'space-between' }}>
                  <span>{label}</span>
                  <span>
                    <Figure $size={22}>
                      {kind === undefined
                        ? measureText(run.totals.get(id)!, unit, settings.units)
                        : figures(run.totals.get(id)!, 4)}
                    </Figure>
                    {cap?.per === 'session' && (
                      <Quiet>
                        {' '}
                        of {figures(cap.most, 3)} {cap.unit}
                      </Quiet>
                    )}
                  </span>
                </Line>
              </li>
            )
          })}
        </Rows>
      )}
      {spans.length > 0 && (
        <section>
          <Heading>Minutes</Heading>
          <Rows>
            {spans.map(({ label, subjectId, begunAt, endedAt, stopMinutes }) => (
              <li key={`${subjectId} ${begunAt}`}>
                <Line style={{ justifyContent: 'space-between' }}>
                  <span>
                    {subjectId === null ? '' : `${nameOf(subjectId)}, `}
                    {label}
                  </span>
                  <span style={endedAt - begunAt > stopMinutes * MS_PER_MINUTE ? { color: 'var(--act)' } : undefined}>
                    <Figure $size={22}>{clockText(endedAt - begunAt)}</Figure> of {stopMinutes} min
                  </span>
                </Line>
              </li>
            ))}
          </Rows>
        </section>
      )}
      {bySubject.length > 1 && counted.length > 0 && (
        <div style={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="One by one">
          <Ruled>
            <thead>
              <tr>
                <th scope="col">one by one</th>
                {counted.map(({ id, label }) => (
                  <th key={id} scope="col">
                    {label}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {bySubject.map((id) => (
                <tr key={id}>
                  <th scope="row">{nameOf(id)}</th>
                  {counted.map((record) => (
                    <td key={record.id}>
                      {figures(
                        run.occasions
                          .filter(({ subjectId }) => subjectId === id)
                          .flatMap(({ values }) => values)
                          .filter((figure) => figure.id === record.id)
                          .reduce((sum, { value }) => sum + value, 0),
                        4,
                      )}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </Ruled>
        </div>
      )}
    </Stack>
  )
}
