import { useState } from 'react'
import { isOnScale, measureScale, scaleWords } from '../../../core/catalogue/measures.ts'
import { countedParts } from '../../../core/courses/record/counted-parts.ts'
import type { Content } from '../../../core/journal/entry.ts'
import { iso } from '../../../core/time/zone.ts'
import { numberIn } from '../../fields/number-in.ts'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PrimaryButton } from '../../look/buttons.ts'
import { Line, Small } from '../../look/text.ts'
import type { ActProps } from './act-props.ts'
import { MeasureField } from './MeasureField.tsx'

/** Stands for the tank where nothing is counted one by one. */
const WHOLE_TANK = 'all'

/** One count of a plan: of the whole tank, or part by part, at one press. */
export function MeasureAct({ plan, task, next }: ActProps) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [values, setValues] = useState<Readonly<Record<string, number | null>>>({})
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({})
  const [problem, setProblem] = useState<string | null>(null)
  const measure = task.measure!
  const track = plan.measures.find((one) => one.track.measure === measure)?.track
  const parts = task.each === undefined ? [] : countedParts(journal, plan.course, task.each)
  const unit = track?.unit ?? ''
  const isTyped = measureScale(measure).entry === 'typed'
  const Do = next ? PrimaryButton : Button
  const base = (at: number) => ({
    kind: 'count' as const,
    happened: iso(at),
    tankId: plan.course.tankId,
    measure,
    courseId: plan.course.id,
    taskId: task.id,
  })
  const valueOf = (id: string): number | null => (isTyped ? numberIn(texts[id] ?? '') : (values[id] ?? null))
  const isGiven = (id: string) => (isTyped ? (texts[id] ?? '').trim() !== '' : values[id] != null)
  const subjects = parts.length > 0 ? parts.map(({ id }) => id) : [WHOLE_TANK]
  const counted = parts.filter(({ id }) => isGiven(id))
  const log = async () => {
    const at = thisInstant()
    const given = parts.length > 0 ? counted.map(({ id }) => id) : subjects
    const wrong = given.find((id) => {
      const value = valueOf(id)
      return value === null || !isOnScale(measure, value)
    })
    setProblem(wrong ?? null)
    if (wrong !== undefined) return
    const content: Content =
      parts.length > 0
        ? { ...base(at), parts: given.map((id) => ({ partId: id, value: valueOf(id)! })) }
        : { ...base(at), values: [valueOf(WHOLE_TANK)!] }
    if (await keep([content])) {
      setValues({})
      setTexts({})
    }
  }
  const wanted = `expected ${scaleWords(measure, unit)}`
  const isReady = parts.length > 0 ? counted.length > 0 : true
  return (
    <>
      {subjects.map((id) => {
        const name = parts.find((part) => part.id === id)?.name
        const label = track?.name ?? measure
        return (
          <MeasureField
            key={id}
            measure={measure}
            label={label}
            unit={unit}
            of={name ?? task.title}
            shown={name}
            value={values[id] ?? null}
            onValue={(value) => setValues({ ...values, [id]: value })}
            text={texts[id] ?? ''}
            onText={(text) => setTexts({ ...texts, [id]: text })}
            problem={problem === id ? wanted : undefined}
          />
        )
      })}
      {task.each !== undefined && parts.length === 0 && (
        <Small>No {task.each} is named yet: the whole tank is counted as one. The bench names them.</Small>
      )}
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
