import { useState } from 'react'
import { styled } from 'styled-components'
import { HIGHEST_PATCH_STAGE, STAGE_WORDS } from '../../../core/catalogue/patch-stage.ts'
import { partsOf } from '../../../core/household/parts.ts'
import { iso } from '../../../core/time/zone.ts'
import { Radios } from '../../fields/Radios.tsx'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, ButtonLink, PrimaryButton } from '../../look/buttons.ts'
import { Line, Small } from '../../look/text.ts'
import type { ActProps } from './act-props.ts'

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

const Stage = styled.label`
  position: relative;
  display: grid;
  place-items: center;
  flex: 1 1 28px;
  max-width: 44px;
  padding: 0;
  height: 44px;
  border: 1.5px solid var(--ink);
  border-right-width: 0;
  background: var(--sheet);
  color: var(--ink);
  font: 600 17px var(--mono);
  border-radius: 0;
  &:last-child {
    border-right-width: 1.5px;
  }
  &:has(input:checked) {
    background: var(--second);
    color: var(--on-second);
  }
  &:has(input:focus-visible) {
    outline: 3px solid var(--second);
    outline-offset: 2px;
    z-index: 1;
  }
`

/** The score of each patch, from 0 to 5, all in one entry. */
export function CountAct({ plan, task, next }: ActProps) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const parts = partsOf(journal, plan.course.tankId, plan.course.partIds)
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
  const send = () =>
    keep([
      {
        kind: 'count',
        happened: iso(thisInstant()),
        tankId: plan.course.tankId,
        measure: 'patch-stage',
        parts: scored.map(({ id }) => ({ partId: id, value: scores[id]! })),
        courseId: plan.course.id,
        taskId: task.id,
      },
    ])
  return (
    <>
      <div>
        {parts.map(({ id, name, control }) => (
          <Row key={id}>
            <span>
              {name}
              {control && <Small> left untreated</Small>}
            </span>
            <Radios
              label={`Stage of ${name}`}
              value={scores[id] ?? null}
              options={Array.from({ length: HIGHEST_PATCH_STAGE + 1 }, (_, stage) => ({
                value: stage,
                shown: stage,
                name: `${stage}, ${STAGE_WORDS[stage]}`,
              }))}
              onChange={(stage) => setScores({ ...scores, [id]: stage })}
              Choice={Stage}
              style={{ flex: '0 1 264px', minWidth: 168 }}
            />
          </Row>
        ))}
      </div>
      <Line>
        <Do onPress={() => void send()} isDisabled={busy || scored.length === 0 || task.state === 'ahead'}>
          {scored.length === 0 || scored.length === parts.length
            ? 'Log the scores'
            : `Log ${scored.length} of ${parts.length} scores`}
        </Do>
      </Line>
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}
