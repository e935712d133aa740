import { useId } from 'react'
import { styled } from 'styled-components'
import { animalLabel, type Animal } from '../../../../core/household/animals.ts'
import type { Tank } from '../../../../core/household/tanks.ts'
import { FieldShell, inputShape } from '../../../fields/shell.tsx'
import { Button } from '../../../look/buttons.ts'
import { Line, Small } from '../../../look/text.ts'

const Select = styled.select`
  ${inputShape}
  min-width: 220px;
`

/** For which animals the schools are compared, and where they would be. */
export function WhoAndWhere({
  tanks,
  tankId,
  known,
  chosen,
  onTank,
  onFish,
}: {
  tanks: readonly Tank[]
  tankId: string | null
  known: readonly Animal[]
  chosen: readonly string[]
  onTank: (tankId: string | null) => void
  onFish: (ids: string[]) => void
}) {
  const id = useId()
  const toggle = (animalId: string) =>
    onFish(chosen.includes(animalId) ? chosen.filter((one) => one !== animalId) : [...chosen, animalId])
  return (
    <Line $gap={20} style={{ alignItems: 'flex-end' }}>
      <FieldShell id={id} label="Where they are, or would be">
        <Select id={id} value={tankId ?? ''} onChange={(event) => onTank(event.target.value || null)}>
          <option value="">not settled</option>
          {tanks.map((tank) => (
            <option key={tank.id} value={tank.id}>
              {tank.name}
            </option>
          ))}
        </Select>
      </FieldShell>
      {known.length === 0 ? (
        <Small>No fish is there or awaited: the table stands for a fish without any known dislike.</Small>
      ) : (
        <Line role="group" aria-label="For">
          {known.map((animal) => (
            <Button key={animal.id} aria-pressed={chosen.includes(animal.id)} onPress={() => toggle(animal.id)}>
              {chosen.includes(animal.id) ? '✓ ' : ''}
              {animalLabel(animal)}
              {animal.stays.length === 0 ? ', awaited' : ''}
            </Button>
          ))}
        </Line>
      )}
    </Line>
  )
}
