import { styled } from 'styled-components'

const Box = styled.div`
  display: inline-flex;
  align-items: center;
  gap: 6px;
  > span {
    font-size: 14px;
    color: var(--quiet);
    min-width: 56px;
  }
  output {
    min-width: 30px;
    text-align: center;
    font: 600 19px var(--mono);
  }
  button {
    width: 44px;
    height: 44px;
    border: 1.5px solid var(--ink);
    border-radius: 2px;
    background: var(--sheet);
    color: var(--ink);
    font: 600 20px var(--mono);
    touch-action: manipulation;
    cursor: pointer;
    &:disabled {
      color: var(--quiet);
      border-color: var(--rule);
    }
  }
`

/** A count that wet fingers can set: one less, one more. Null reads as not counted. */
export function Stepper({
  label,
  of,
  value,
  onChange,
}: {
  label: string
  /** What it is counted on, for who cannot see the row. */
  of: string
  value: number | null
  onChange: (value: number) => void
}) {
  return (
    <Box data-repeats role="group" aria-label={`${label}, ${of}`}>
      <span aria-hidden>{label}</span>
      <button
        type="button"
        aria-label={`one less ${label}, ${of}`}
        disabled={value === null || value === 0}
        onClick={() => onChange(Math.max(0, (value ?? 0) - 1))}
      >
        −
      </button>
      <output>{value ?? '–'}</output>
      <button type="button" aria-label={`one more ${label}, ${of}`} onClick={() => onChange((value ?? 0) + 1)}>
        +
      </button>
    </Box>
  )
}
