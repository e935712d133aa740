import { Suspense } from 'react'
import { lazyWhenIdle } from '../../frame/when-idle.ts'
import type { CountMeasure } from '../../../core/catalogue/courses/definitions.ts'
import { measureScale } from '../../../core/catalogue/measures.ts'
import { FigureField } from '../../fields/plain.tsx'
import { Stepper } from '../../fields/Stepper.tsx'
import { Line, Small, Stack } from '../../look/text.ts'

// Most measures are counted or typed: the drawings of the others come with the first of them.
const StepChoice = lazyWhenIdle(async () => ({ default: (await import('./StepChoice.tsx')).StepChoice }))

interface MeasureFieldProps {
  measure: CountMeasure
  label: string
  unit: string
  /** What is counted or scored, for who cannot see the row. */
  of: string
  /** Its name, where several stand below each other. */
  shown: string | undefined
  value: number | null
  onValue: (value: number) => void
  text: string
  onText: (text: string) => void
  problem: string | undefined
}

/** The value of one part, or of the whole tank: with buttons for wet hands, by its drawing, or typed, as its scale says. */
export function MeasureField(props: MeasureFieldProps) {
  const { measure, label, unit, of, shown, value, onValue, text, onText, problem } = props
  const { entry, most } = measureScale(measure)
  if (entry === 'typed')
    return (
      <div style={{ maxWidth: 260 }}>
        <FigureField
          label={shown === undefined ? label : `${shown}, ${label}`}
          after={unit}
          value={text}
          onChange={onText}
          problem={problem === undefined ? undefined : { message: problem }}
        />
      </div>
    )
  return (
    <Stack $gap={4}>
      {entry === 'named' ? (
        <>
          {shown !== undefined && <span>{shown}</span>}
          <Suspense fallback={null}>
            <StepChoice measure={measure} of={`${label}, ${of}`} value={value} onChange={onValue} />
          </Suspense>
        </>
      ) : (
        <Line $gap={14} style={{ justifyContent: 'space-between' }}>
          {shown !== undefined && <span>{shown}</span>}
          <Stepper
            label={shown === undefined ? label : unit}
            of={of}
            value={value}
            onChange={(next) => onValue(most === null ? next : Math.min(most, next))}
          />
        </Line>
      )}
      {problem !== undefined && <Small role="alert">{problem}</Small>}
    </Stack>
  )
}
