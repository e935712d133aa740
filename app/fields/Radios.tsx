import { useId, type ComponentType, type CSSProperties, type ReactNode } from 'react'
import { styled } from 'styled-components'

/** Lies over its label, so that a tap anywhere on it is a tap on the radio. */
const Input = styled.input`
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  opacity: 0;
  cursor: pointer;
`

interface RadiosProps<V extends string | number> {
  label: string
  /** Null where nothing is chosen. */
  value: V | null
  options: readonly { value: V; shown: ReactNode; name?: string }[]
  onChange: (value: V) => void
  /** How one of them looks: a styled label with `position: relative`. */
  Choice: ComponentType<{ children: ReactNode }>
  style?: CSSProperties
}

/**
 * One choice of a few, side by side. Native radios: those of the library bring what finds focus in trees of elements along, and the first
 * view has no room for it.
 */
export function Radios<V extends string | number>({ label, value, options, onChange, Choice, style }: RadiosProps<V>) {
  const group = useId()
  return (
    <div role="radiogroup" aria-label={label} style={{ display: 'flex', ...style }}>
      {options.map((option) => (
        <Choice key={option.value}>
          <Input
            type="radio"
            name={group}
            aria-label={option.name}
            checked={option.value === value}
            onChange={() => onChange(option.value)}
          />
          {option.shown}
        </Choice>
      ))}
    </div>
  )
}
