import { useState } from 'react'
import { styled } from 'styled-components'
import { animalById } from '../../core/household/animals.ts'
import type { Heads } from '../../core/household/head-count.ts'
import { inputShape } from '../fields/shell.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { Button, PrimaryButton } from '../look/buttons.ts'
import { Line, Stack } from '../look/text.ts'
import { animalName } from '../words/entries.ts'
import { Tick } from '../look/tick.ts'

const HowMany = styled.select`
  ${inputShape}
  width: auto;
`

/** Each by name: who is ticked was seen. */
export function HeadCount({
  animalIds,
  next,
  busy,
  onDone,
}: {
  animalIds: readonly string[]
  next: boolean
  busy: boolean
  onDone: (heads: Heads) => void
}) {
  const { journal } = useHousehold()
  // How many of each were seen; a single animal is one or none.
  const [counted, setCounted] = useState<Readonly<Record<string, number>>>({})
  const Main = next ? PrimaryButton : Button
  const all = animalIds.map((id) => ({ id, count: animalById(journal, id)?.count ?? 1 }))
  const total = all.reduce((sum, { count }) => sum + count, 0)
  const there = all.reduce((sum, { id }) => sum + (counted[id] ?? 0), 0)
  const set = (id: string, count: number) => setCounted({ ...counted, [id]: count })
  const answer = (): Heads => ({
    seen: all.filter(({ id }) => counted[id]).map(({ id }) => id),
    seenCounts: Object.fromEntries(
      all.flatMap(({ id, count }) => (counted[id] && counted[id] < count ? [[id, counted[id]]] : [])),
    ),
  })
  return (
    <Stack $gap={4}>
      {all.map(({ id, count }) => (
        <Line key={id} $gap={12}>
          <Tick>
            <input
              type="checkbox"
              checked={(counted[id] ?? 0) > 0}
              onChange={(event) => set(id, event.target.checked ? count : 0)}
            />
            <span>{animalName(journal, id)}</span>
          </Tick>
          {count > 1 && (counted[id] ?? 0) > 0 && (
            <HowMany
              aria-label={`How many of the ${animalName(journal, id)} were seen`}
              value={counted[id]}
              onChange={(event) => set(id, Number(event.target.value))}
            >
              {Array.from({ length: count }, (_, i) => count - i).map((n) => (
                <option key={n} value={n}>
                  {n === count ? `all ${n}` : n}
                </option>
              ))}
            </HowMany>
          )}
        </Line>
      ))}
      <div>
        <Main onPress={() => onDone(answer())} isDisabled={busy}>
          {there === total ? 'All seen' : there === 0 ? 'None seen' : `${total - there} not seen`}
        </Main>
      </div>
    </Stack>
  )
}
