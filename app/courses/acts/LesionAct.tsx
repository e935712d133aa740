import { useState } from 'react'
import { styled } from 'styled-components'
import { readLesions } from '../../../core/courses/acts/read-lesions.ts'
import { animalById, animalLabel } from '../../../core/household/animals.ts'
import { numberIn } from '../../fields/number-in.ts'
import { FigureField } from '../../fields/plain.tsx'
import { Radios } from '../../fields/Radios.tsx'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PrimaryButton } from '../../look/buttons.ts'
import { Line, Small, Stack } from '../../look/text.ts'
import type { ActProps } from './act-props.ts'

/** How a sore is against the last look, from the worst on. */
const CHANGES = [
  { value: 'worse', name: 'worse' },
  { value: 'same', name: 'the same' },
  { value: 'better', name: 'better' },
  { value: 'healed', name: 'healed' },
] as const

const Word = styled.label`
  position: relative;
  display: grid;
  place-items: center;
  min-height: 44px;
  padding: 4px 14px;
  border: 1.5px solid var(--ink);
  margin-left: -1.5px;
  background: var(--sheet);
  color: var(--ink);
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

type Change = (typeof CHANGES)[number]['value']

/** A look at the sore of each fish: how it is, and how wide. */
export function LesionAct({ task, next, onForm }: ActProps) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [changes, setChanges] = useState<Record<string, Change>>({})
  const [texts, setTexts] = useState<Record<string, string>>({})
  const [problems, setProblems] = useState<Readonly<Record<string, { message: string }>>>({})
  const animalIds = task.animalIds ?? []
  const Do = next ? PrimaryButton : Button
  const log = () => {
    const lesions = Object.fromEntries(
      animalIds.map((id) => {
        const text = (texts[id] ?? '').trim()
        return [id, { ...(text !== '' && { mm: numberIn(text) }), ...(changes[id] && { change: changes[id] }) }]
      }),
    )
    const read = readLesions(task, lesions, thisInstant())
    setProblems('problems' in read ? read.problems : {})
    if ('contents' in read) void keep(read.contents)
  }
  return (
    <Stack $gap={14}>
      {animalIds.map((id) => {
        const animal = animalById(journal, id)
        const name = animal ? animalLabel(animal) : id
        return (
          <div key={id} role="group" aria-label={`The sore of ${name}`}>
            <strong>{name}</strong>
            <Radios
              label={`The sore of ${name}`}
              value={changes[id] ?? null}
              options={CHANGES.map(({ value, name: shown }) => ({ value, name: shown, shown }))}
              onChange={(change) => setChanges({ ...changes, [id]: change })}
              Choice={Word}
              style={{ flexWrap: 'wrap', paddingLeft: 1.5 }}
            />
            <div style={{ maxWidth: 220, paddingTop: 8 }}>
              <FigureField
                label="How wide"
                after="mm"
                value={texts[id] ?? ''}
                onChange={(text) => setTexts({ ...texts, [id]: text })}
                problem={problems[id]}
              />
            </div>
          </div>
        )
      })}
      <Line $gap={14}>
        <Do onPress={log} isDisabled={busy}>
          Log the look
        </Do>
        <Button onPress={() => onForm('sighting')}>something else seen</Button>
      </Line>
      {problems['lesions'] && <Small role="alert">{problems['lesions'].message}</Small>}
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}
