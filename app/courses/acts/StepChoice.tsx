import { styled } from 'styled-components'
import type { CountMeasure } from '../../../core/catalogue/courses/definitions.ts'
import { measureScale } from '../../../core/catalogue/measures.ts'
import { Radios } from '../../fields/Radios.tsx'
import { MeasureDrawing } from '../drawings/MeasureDrawing.tsx'

const Step = styled.label`
  position: relative;
  display: grid;
  place-items: center;
  gap: 2px;
  flex: 1 1 0;
  min-width: 44px;
  max-width: 96px;
  min-height: 62px;
  padding: 4px 2px;
  border: 1.5px solid var(--ink);
  margin-left: -1.5px;
  background: var(--sheet);
  color: var(--ink);
  font-size: 13px;
  line-height: 1.15;
  text-align: center;
  &:has(input:checked) {
    background: var(--band);
    box-shadow: inset 0 0 0 3px var(--second);
    font-weight: 700;
  }
  &:has(input:focus-visible) {
    outline: 3px solid var(--second);
    outline-offset: 2px;
    z-index: 1;
  }
`

/** One of the named steps of a measure, each with its drawing. */
export function StepChoice({
  measure,
  of,
  value,
  onChange,
  short = false,
}: {
  measure: CountMeasure
  /** What is scored, for who cannot see the row. */
  of: string
  value: number | null
  onChange: (value: number) => void
  /** The number under the drawing, instead of the word. */
  short?: boolean
}) {
  const { least, words = [] } = measureScale(measure)
  return (
    <Radios
      label={of}
      value={value}
      options={words.map((word, i) => ({
        value: least + i,
        name: `${least + i}, ${word}`,
        shown: (
          <>
            <MeasureDrawing measure={measure} value={least + i} size={30} />
            <span>{short ? least + i : word}</span>
          </>
        ),
      }))}
      onChange={onChange}
      Choice={Step}
      style={{ maxWidth: '100%', paddingLeft: 1.5 }}
    />
  )
}
