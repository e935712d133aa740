import { NAME_LETTERS } from '../../../core/journal/contents/text-limits.ts'
import { useId, useState } from 'react'
import { styled } from 'styled-components'
import { trainingOf } from '../../../core/arrivals/introductions/introductions.ts'
import type { Animal } from '../../../core/household/animals.ts'
import { iso } from '../../../core/time/zone.ts'
import { inputShape, Label } from '../../fields/shell.tsx'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Stack } from '../../look/text.ts'

const Input = styled.input`
  ${inputShape}
`

const Marks = styled.div`
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 6px;
  button {
    min-height: 56px;
    padding: 4px;
    border: 1.5px solid var(--second);
    border-radius: 2px;
    background: none;
    color: var(--second);
    font-size: 14px;
    line-height: 1.15;
    cursor: pointer;
  }
  button:disabled {
    border-color: var(--strong-rule);
    color: var(--quiet);
    cursor: default;
  }
`

const MARKS = ['ignores it', 'looks at it', 'spits it', 'eats some', 'eats all'] as const

/** A meal of training: the food, the place, and its mark in one press. */
export function TrainingForm({ animal, tankId, onDone }: { animal: Animal; tankId: string; onDone?: () => void }) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const last = trainingOf(journal, animal.id).meals.at(-1)?.content
  const [food, setFood] = useState(last?.food ?? '')
  const [place, setPlace] = useState(last?.place ?? '')
  const id = useId()
  const log = async (mark: number) => {
    const kept = await keep([
      {
        kind: 'training',
        happened: iso(thisInstant()),
        tankId,
        animalIds: [animal.id],
        food: food.trim(),
        mark,
        ...(place.trim() && { place: place.trim() }),
      },
    ])
    if (kept) onDone?.()
  }
  return (
    <Stack $gap={10}>
      <div>
        <Label htmlFor={`${id}-food`}>Food</Label>
        <Input
          id={`${id}-food`}
          value={food}
          maxLength={NAME_LETTERS}
          placeholder="mysis"
          autoComplete="off"
          onChange={(event) => setFood(event.target.value)}
        />
      </div>
      <div>
        <Label htmlFor={`${id}-place`}>Where</Label>
        <Input
          id={`${id}-place`}
          value={place}
          maxLength={NAME_LETTERS}
          placeholder="food clip"
          autoComplete="off"
          onChange={(event) => setPlace(event.target.value)}
        />
      </div>
      <Marks role="group" aria-label="Mark of the meal">
        {MARKS.map((words, mark) => (
          <button key={mark} type="button" disabled={busy || food.trim() === ''} onClick={() => void log(mark)}>
            {words}
          </button>
        ))}
      </Marks>
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}
