import { lazy, Suspense, useState } from 'react'
import { mayCross, toolsOf } from '../../core/biosecurity/tools.ts'
import type { Task } from '../../core/schedule/task.ts'
import { useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { PlainButton } from '../look/buttons.ts'
import { Line, Small, Stack } from '../look/text.ts'

// What a wet tool would set back is worked out by all that counts: only where it is asked.
const ToolCrossing = lazy(async () => ({ default: (await import('./ToolCrossing.tsx')).ToolCrossing }))

/** With which tool a task is done: the tank's own as it stands, and one of another tank is asked about before it goes in. */
export function ToolChoice({ task }: { task: Task }) {
  const { journal } = useHousehold()
  const now = useNow()
  const tools = toolsOf(journal)
  const own = tools.filter(({ tankId }) => tankId === task.tankId)
  const [chosenId, setChosenId] = useState(task.gearId ?? own[0]?.id ?? null)
  const [isChoosing, setIsChoosing] = useState(false)
  if (tools.length === 0) return null
  const chosen = tools.find(({ id }) => id === chosenId)
  const choose = (id: string | null) => {
    setChosenId(id)
    setIsChoosing(false)
  }
  if (isChoosing)
    return (
      <Line $gap={16} role="group" aria-label="With which tool">
        {tools.map(({ id, name }) => (
          <PlainButton key={id} aria-pressed={id === chosenId} onPress={() => choose(id)}>
            {name}
          </PlainButton>
        ))}
        <PlainButton onPress={() => choose(null)}>none of these</PlainButton>
      </Line>
    )
  return (
    <Stack $gap={6}>
      <Line $gap={10}>
        <Small>
          {chosen
            ? `With ${chosen.name}${chosen.tankId === task.tankId ? ', this tank’s own' : ''}.`
            : 'No tool of this tank’s own is chosen.'}
        </Small>
        {(tools.length > 1 || !chosen) && (
          <PlainButton onPress={() => setIsChoosing(true)} aria-label={`Another tool: ${task.title}`}>
            {chosen ? 'another tool' : 'choose one'}
          </PlainButton>
        )}
      </Line>
      {chosen && mayCross(chosen, task.tankId, now) && (
        <Suspense fallback={null}>
          <ToolCrossing
            tool={chosen}
            fromTankId={chosen.tankId}
            toTankId={task.tankId}
            onDone={() => choose(own[0]?.id ?? null)}
          />
        </Suspense>
      )}
    </Stack>
  )
}
