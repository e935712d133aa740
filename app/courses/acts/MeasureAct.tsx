import { useState } from 'react'
import { isActOff } from '../../../core/courses/acts/act-off.ts'
import type { ActProblems } from '../../../core/courses/acts/act-read.ts'
import { isTypedMeasure, partsOfCount, readMeasure, WHOLE_TANK } from '../../../core/courses/acts/read-count.ts'
import { numberIn } from '../../fields/number-in.ts'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PrimaryButton } from '../../look/buttons.ts'
import { Line, Small } from '../../look/text.ts'
import type { ActProps } from './act-props.ts'
import { MeasureField } from './MeasureField.tsx'

/** One count of a plan: of the whole tank, or part by part, at one press. */
export function MeasureAct({ plan, task, next }: ActProps) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [values, setValues] = useState<Readonly<Record<string, number | null>>>({})
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({})
  const [problems, setProblems] = useState<ActProblems>({})
  const measure = task.measure!
  const track = plan.measures.find((one) => one.track.measure === measure)?.track
  const parts = partsOfCount(journal, plan, task)
  const unit = track?.unit ?? ''
  const isTyped = isTypedMeasure(task)
  const Do = next ? PrimaryButton : Button
  const valueOf = (id: string): number | null => (isTyped ? numberIn(texts[id] ?? '') : (values[id] ?? null))
  const isGiven = (id: string) => (isTyped ? (texts[id] ?? '').trim() !== '' : values[id] != null)
  const subjects = parts.length > 0 ? parts.map(({ id }) => id) : [WHOLE_TANK]
  const counted = parts.filter(({ id }) => isGiven(id))
  const log = async () => {
    const given = parts.length > 0 ? counted.map(({ id }) => id) : subjects
    const read = readMeasure(
      journal,
      plan,
      task,
      Object.fromEntries(given.map((id) => [id, valueOf(id)])),
      thisInstant(),
    )
    setProblems('problems' in read ? read.problems : {})
    if (!('contents' in read)) return
    if (await keep(read.contents)) {
      setValues({})
      setTexts({})
    }
  }
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
            problem={problems[id]?.message}
          />
        )
      })}
      {task.each !== undefined && parts.length === 0 && (
        <Small>No {task.each} is named yet: the whole tank is counted as one. The bench names them.</Small>
      )}
      <Line>
        <Do onPress={() => void log()} isDisabled={busy || !isReady || isActOff(task, thisInstant())}>
          {parts.length > 0 && counted.length > 0 && counted.length < parts.length
            ? `Log ${counted.length} of ${parts.length}`
            : 'Log the count'}
        </Do>
      </Line>
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}
