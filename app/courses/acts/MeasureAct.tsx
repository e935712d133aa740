import { useState } from 'react'
import { Stepper } from '../../fields/Stepper.tsx'
import type { CountMeasure } from '../../../core/catalogue/courses/definitions.ts'
import { countedParts } from '../../../core/courses/counted-parts.ts'
import type { Content } from '../../../core/journal/entry.ts'
import { iso } from '../../../core/time/zone.ts'
import { numberIn } from '../../fields/number-in.ts'
import { FigureField } from '../../fields/plain.tsx'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PrimaryButton } from '../../look/buttons.ts'
import { Line, Small } from '../../look/text.ts'
import type { ActProps } from './act-props.ts'

/** What is counted in whole numbers: with buttons for wet hands. All others are typed. */
const WHOLE: ReadonlySet<CountMeasure> = new Set([
  'pest-count',
  'removed',
  'left',
  'alive',
  'survey',
  'colour',
  'eggs',
  'came-off',
])

/** One count of a plan: of the whole tank, or part by part, at one press. */
export function MeasureAct({ plan, task, next }: ActProps) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [values, setValues] = useState<Readonly<Record<string, number | null>>>({})
  const [text, setText] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const measure = task.measure!
  const track = plan.measures.find((one) => one.track.measure === measure)?.track
  const parts = task.each === undefined ? [] : countedParts(journal, plan.course, task.each)
  const unit = track?.unit ?? ''
  const isWhole = WHOLE.has(measure)
  const Do = next ? PrimaryButton : Button
  const base = (at: number) => ({
    kind: 'count' as const,
    happened: iso(at),
    tankId: plan.course.tankId,
    measure,
    courseId: plan.course.id,
    taskId: task.id,
  })
  const counted = parts.filter(({ id }) => values[id] != null)
  const log = async () => {
    const at = thisInstant()
    const total = isWhole ? (values['all'] ?? null) : numberIn(text)
    if (parts.length === 0 && (total === null || total < 0)) {
      setProblem(`a number${unit === '' ? '' : ` in ${unit}`}, 0 where there is none`)
      return
    }
    setProblem(null)
    const content: Content =
      parts.length > 0
        ? { ...base(at), parts: counted.map(({ id }) => ({ partId: id, value: values[id]! })) }
        : { ...base(at), values: [total!] }
    if (await keep([content])) {
      setValues({})
      setText('')
    }
  }
  const isReady = parts.length > 0 ? counted.length > 0 : true
  return (
    <>
      {parts.length > 0 &&
        parts.map(({ id, name }) => (
          <Line key={id} $gap={14} style={{ justifyContent: 'space-between' }}>
            <span>{name}</span>
            <Stepper
              label={unit}
              of={name}
              value={values[id] ?? null}
              onChange={(value) => setValues({ ...values, [id]: value })}
            />
          </Line>
        ))}
      {parts.length === 0 &&
        (isWhole ? (
          <Stepper
            label={track?.name ?? measure}
            of={task.title}
            value={values['all'] ?? null}
            onChange={(value) => setValues({ ...values, all: value })}
          />
        ) : (
          <div style={{ maxWidth: 260 }}>
            <FigureField
              label={track?.name ?? measure}
              after={unit}
              value={text}
              onChange={setText}
              problem={problem === null ? undefined : { message: problem }}
            />
          </div>
        ))}
      {task.each !== undefined && parts.length === 0 && (
        <Small>No {task.each} is named yet: the whole tank is counted as one. The bench names them.</Small>
      )}
      {isWhole && problem !== null && <Small role="alert">{problem}</Small>}
      <Line>
        <Do
          onPress={() => void log()}
          isDisabled={busy || !isReady || task.state === 'ahead' || task.waitsFor !== undefined}
        >
          {parts.length > 0 && counted.length > 0 && counted.length < parts.length
            ? `Log ${counted.length} of ${parts.length}`
            : 'Log the count'}
        </Do>
      </Line>
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}
