import { styled } from 'styled-components'
import { sessionLimit, type AmountInput, type SessionLimit } from '../../../../core/bench/amounts.ts'
import type { StepRecord } from '../../../../core/catalogue/procedures/procedure.types.ts'
import { shownUnit } from '../../../../core/words/measure.ts'
import { figures } from '../../../../core/words/numbers.ts'
import { FigureField } from '../../../fields/plain.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { CheckChip } from '../../../look/CheckChip.ts'
import { Stack } from '../../../look/text.ts'

const Pad = styled.div`
  display: grid;
  grid-template-columns: 84px 1fr 2fr;
  align-items: center;
  gap: 10px;
  > span {
    grid-column: 1 / -1;
    font-weight: 600;
  }
  output {
    text-align: center;
    font: 700 44px/1 var(--mono);
  }
  button {
    min-height: 84px;
    border: 2px solid var(--second);
    border-radius: 2px;
    background: var(--sheet);
    color: var(--second);
    font: 700 34px/1 var(--mono);
    touch-action: manipulation;
    user-select: none;
    cursor: pointer;
    &:active {
      background: var(--band);
    }
    &:disabled {
      border-color: var(--rule);
      color: var(--quiet);
    }
  }
`

/** Counts by a knuckle: one more with the large pad, one less with the small one. */
function CountPad({
  label,
  value,
  onChange,
}: {
  label: string
  value: number | null
  onChange: (value: number) => void
}) {
  return (
    <Pad data-repeats role="group" aria-label={label}>
      <span aria-hidden>{label}</span>
      <button
        type="button"
        aria-label={`one less, ${label}`}
        disabled={value === null || value === 0}
        onClick={() => onChange(Math.max(0, (value ?? 0) - 1))}
      >
        −
      </button>
      <output aria-live="polite">{value ?? '–'}</output>
      <button type="button" aria-label={`one more, ${label}`} onClick={() => onChange((value ?? 0) + 1)}>
        +1
      </button>
    </Pad>
  )
}

/** The figures of a step: counts on large pads, ticks, and what is typed in the household's units. */
export function RecordFields({
  records,
  textOf,
  onText,
  limits,
  spent,
}: {
  records: readonly StepRecord[]
  /** What stands in a field: typed, or what a count begins at. */
  textOf: (record: StepRecord) => string
  onText: (record: StepRecord, text: string) => void
  limits: AmountInput
  /** What was given so far against a limit. */
  spent: (record: StepRecord, limit: SessionLimit) => number
}) {
  const { settings } = useHousehold()
  if (records.length === 0) return null
  return (
    <Stack $gap={14}>
      {records.map((record) => {
        const text = textOf(record)
        if (record.kind === 'count')
          return (
            <CountPad
              key={record.id}
              label={record.label}
              value={text === '' ? null : Number(text)}
              onChange={(value) => onText(record, String(value))}
            />
          )
        if (record.kind === 'tick')
          return (
            <CheckChip key={record.id} isSelected={text === '1'} onChange={(isOn) => onText(record, isOn ? '1' : '0')}>
              {record.label}
            </CheckChip>
          )
        const cap = record.sessionLimit && sessionLimit(record.sessionLimit, limits)
        return (
          <FigureField
            key={record.id}
            label={record.label}
            after={shownUnit(record.unit, settings.units)}
            value={text}
            onChange={(typed) => onText(record, typed)}
            hint={
              cap
                ? `${figures(spent(record, cap), 3)} of ${figures(cap.most, 3)} ${cap.unit} ${cap.words}`
                : record.mayBeEmpty
                  ? 'may be left empty'
                  : undefined
            }
          />
        )
      })}
    </Stack>
  )
}
