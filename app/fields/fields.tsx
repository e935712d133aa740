import { useId, type HTMLInputTypeAttribute, type ReactNode } from 'react'
import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form'
import { styled } from 'styled-components'
import { figureShown, figureTyped } from './figure-text.ts'
import { NAME_LETTERS, WORDS_LETTERS } from '../../core/journal/contents/text-limits.ts'
import { described, FIGURE_LETTERS, FieldShell, inputShape, lettersLeft, type Problem } from './shell.tsx'
import { Tick } from '../look/tick.ts'

const Input = styled.input<{ $mono?: boolean }>`
  ${inputShape}
  ${({ $mono }) => $mono && 'font-family: var(--mono); font-size: 17px;'}
`

const Area = styled.textarea`
  ${inputShape}
  min-height: 88px;
  resize: vertical;
`

const Select = styled.select`
  ${inputShape}
`

const Beside = styled.div`
  display: flex;
  align-items: center;
  gap: 9px;
  & > span {
    color: var(--quiet);
    font-size: 15px;
    white-space: nowrap;
  }
`

interface Named<V extends FieldValues> {
  control: Control<V>
  name: FieldPath<V>
  label: ReactNode
  hint?: ReactNode | undefined
  problem?: Problem | undefined
}

interface TextProps<V extends FieldValues> extends Named<V> {
  /** A unit or word after the field. */
  after?: string
  /** A figure: set in mono, with a number keyboard on the phone. Kept as typed. */
  figure?: boolean
  type?: HTMLInputTypeAttribute
  autoFocus?: boolean
  placeholder?: string
  /** Letters that can be kept: a name's, where nothing else is said. */
  most?: number
}

/** A field of one line. */
export function TextField<V extends FieldValues>({
  control,
  name,
  label,
  hint,
  problem,
  after,
  figure = false,
  type = 'text',
  autoFocus,
  placeholder,
  most = figure ? FIGURE_LETTERS : NAME_LETTERS,
}: TextProps<V>) {
  const id = useId()
  const { field } = useController({ control, name })
  const left = figure || type !== 'text' ? null : lettersLeft(field.value, most)
  const input = (
    <Input
      {...field}
      // A field that appears while the form is open has no value yet.
      value={figure ? figureShown(String(field.value ?? '')) : (field.value ?? '')}
      onChange={figure ? (event) => field.onChange(figureTyped(event.target.value)) : field.onChange}
      {...described(id, hint, problem)}
      type={type}
      maxLength={most}
      $mono={figure}
      inputMode={figure ? 'decimal' : undefined}
      autoComplete="off"
      placeholder={placeholder}
      // A form is opened to be typed in: its first field takes the cursor, as the keeper expects at the tank.
      autoFocus={autoFocus}
    />
  )
  return (
    <FieldShell id={id} label={label} hint={hint} problem={problem} onPick={field.onChange} left={left}>
      {after === undefined ? (
        input
      ) : (
        <Beside>
          {input}
          <span>{after}</span>
        </Beside>
      )}
    </FieldShell>
  )
}

/** A field of several lines. */
export function AreaField<V extends FieldValues>({ control, name, label, hint, problem }: Named<V>) {
  const id = useId()
  const { field } = useController({ control, name })
  return (
    <FieldShell id={id} label={label} hint={hint} problem={problem} left={lettersLeft(field.value, WORDS_LETTERS)}>
      <Area {...field} {...described(id, hint, problem)} maxLength={WORDS_LETTERS} />
    </FieldShell>
  )
}

export interface Option {
  value: string
  label: string
  group?: string
}

/** One of several; the phone's own list. */
export function SelectField<V extends FieldValues>({
  control,
  name,
  label,
  hint,
  problem,
  options,
  onPick,
}: Named<V> & { options: readonly Option[]; onPick?: (value: string) => void }) {
  const id = useId()
  const { field } = useController({ control, name })
  const groups = [...new Set(options.map(({ group }) => group))]
  const item = ({ value, label: words }: Option) => (
    <option key={value} value={value}>
      {words}
    </option>
  )
  return (
    <FieldShell id={id} label={label} hint={hint} problem={problem}>
      <Select
        {...field}
        {...described(id, hint, problem)}
        onChange={(event) => {
          field.onChange(event)
          onPick?.(event.target.value)
        }}
      >
        {groups.map((group) => {
          const of = options.filter((option) => option.group === group).map(item)
          return group === undefined ? (
            of
          ) : (
            <optgroup key={group} label={group}>
              {of}
            </optgroup>
          )
        })}
      </Select>
    </FieldShell>
  )
}

/** Yes or no. */
export function CheckField<V extends FieldValues>({
  control,
  name,
  label,
}: Pick<Named<V>, 'control' | 'name' | 'label'>) {
  const { ref, value, onChange, onBlur, name: fieldName } = useController({ control, name }).field
  return (
    <Tick>
      <input
        type="checkbox"
        ref={ref}
        name={fieldName}
        checked={Boolean(value)}
        onChange={(event) => onChange(event.target.checked)}
        onBlur={onBlur}
      />
      <span>{label}</span>
    </Tick>
  )
}

const ChipRow = styled.fieldset`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  legend {
    font-size: 14.5px;
    font-weight: 600;
    padding: 0;
    margin-bottom: 6px;
  }
`

const Chip = styled.label`
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 4px 13px;
  border: 1.5px solid var(--strong-rule);
  border-radius: 2px;
  cursor: pointer;
  font-size: 15px;
  input {
    position: absolute;
    opacity: 0;
  }
  &:has(input:checked) {
    border-color: var(--second);
    background: var(--second);
    color: var(--on-second);
    font-weight: 600;
  }
  &:has(input:focus-visible) {
    outline: 2.5px solid var(--second);
    outline-offset: 2px;
  }
`

interface ChipsProps<V extends FieldValues> {
  control: Control<V>
  name: FieldPath<V>
  label: string
  options: readonly Option[]
  /** One at most; picking it again lets go of it. */
  single?: boolean
  problem?: Problem | undefined
}

/** Some of several, as large keys for wet fingers. The value is a list of the picked. */
export function ChipsField<V extends FieldValues>({
  control,
  name,
  label,
  options,
  single = false,
  problem,
}: ChipsProps<V>) {
  const id = useId()
  const { field } = useController({ control, name })
  const picked = field.value as readonly string[]
  const toggle = (value: string) => {
    if (picked.includes(value)) field.onChange(picked.filter((one) => one !== value))
    else field.onChange(single ? [value] : [...picked, value])
  }
  return (
    <FieldShell id={id} label={null} problem={problem}>
      <ChipRow id={id}>
        <legend>{label}</legend>
        {options.map(({ value, label: words }) => (
          <Chip key={value}>
            <input type="checkbox" checked={picked.includes(value)} onChange={() => toggle(value)} />
            {words}
          </Chip>
        ))}
      </ChipRow>
    </FieldShell>
  )
}
