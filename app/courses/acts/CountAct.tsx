import { useState } from 'react'
import { styled } from 'styled-components'
import { isActOff } from '../../../core/courses/acts/act-off.ts'
import { contentsRead } from '../../../core/courses/acts/act-read.ts'
import { readPatchScores } from '../../../core/courses/acts/read-count.ts'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { Button, ButtonLink, PrimaryButton } from '../../look/buttons.ts'
import { Line, Small } from '../../look/text.ts'
import type { ActProps } from './act-props.ts'
import { StepChoice } from './StepChoice.tsx'

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  padding: 4px 0;
  > span {
    flex: 1 1 84px;
  }
`

/** The score of each patch, from 0 to 5, all in one entry. */
export function CountAct({ plan, task, next }: ActProps) {
  const { keep, busy, unkept } = useKeeping()
  const parts = (plan.series?.parts ?? []).map(({ part }) => part)
  const [scores, setScores] = useState<Readonly<Record<string, number>>>({})
  const Do = next ? PrimaryButton : Button
  if (parts.length === 0)
    return (
      <>
        <Small>No patch is named yet: number them, and choose one to leave untreated.</Small>
        <div>
          <ButtonLink href={`/courses/${plan.course.id}#patches`}>Name the patches</ButtonLink>
        </div>
      </>
    )
  const scored = parts.filter(({ id }) => scores[id] !== undefined)
  const send = () => keep(contentsRead(readPatchScores(plan, task, scores, thisInstant())))
  return (
    <>
      <div>
        {parts.map(({ id, name, control }) => (
          <Row key={id}>
            <span>
              {name}
              {control && <Small> left untreated</Small>}
            </span>
            <StepChoice
              measure="patch-stage"
              of={`Stage of ${name}`}
              value={scores[id] ?? null}
              onChange={(stage) => setScores({ ...scores, [id]: stage })}
              short
            />
          </Row>
        ))}
      </div>
      <Line>
        <Do onPress={() => void send()} isDisabled={busy || scored.length === 0 || isActOff(task, thisInstant())}>
          {scored.length === 0 || scored.length === parts.length
            ? 'Log the scores'
            : `Log ${scored.length} of ${parts.length} scores`}
        </Do>
      </Line>
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}
