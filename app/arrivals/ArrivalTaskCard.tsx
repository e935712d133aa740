import { lazy, Suspense, useState } from 'react'
import { styled } from 'styled-components'
import { arrivalTaskContents, type ArrivalAnswer, type ArrivalTask } from '../../core/arrivals/tasks.ts'
import { animalById } from '../../core/household/animals.ts'
import { inputShape } from '../fields/shell.tsx'
import { thisInstant } from '../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../journal/keeping.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { Button, ButtonLink, PlainButton, PrimaryButton } from '../look/buttons.ts'
import { Line, Stack } from '../look/text.ts'
import { TaskShell } from '../schedule/TaskShell.tsx'
import { animalName } from '../words/entries.ts'

const ToolChoice = lazy(async () => ({ default: (await import('../safety/ToolChoice.tsx')).ToolChoice }))

const Seen = styled.label`
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
  cursor: pointer;
  input {
    width: 20px;
    height: 20px;
    margin: 0;
    flex: none;
    accent-color: var(--second);
  }
`

const HowMany = styled.select`
  ${inputShape}
  width: auto;
`

interface ArrivalTaskCardProps {
  task: ArrivalTask
  /** Whether it is the one to do next: its button stands out. */
  next: boolean
  /** Opens the form for what was seen. */
  onSeen: () => void
}

/** Something due for whoever came in, or a chore, done in place. */
export function ArrivalTaskCard({ task, next, onSeen }: ArrivalTaskCardProps) {
  const { keep, busy, unkept } = useKeeping()
  const done = (answer: ArrivalAnswer = {}) => void keep(arrivalTaskContents(task, thisInstant(), answer))
  const canWait = task.kind !== 'stop' && task.introId === undefined
  return (
    <TaskShell task={task} kind={task.kind} heading="h2" canWait={canWait} canSkip={canWait}>
      {task.gearId !== undefined && (
        <Suspense fallback={null}>
          <ToolChoice task={task} />
        </Suspense>
      )}
      <Act task={task} next={next} busy={busy} onDone={done} onSeen={onSeen} />
      {unkept && <UnkeptNote unkept={unkept} />}
    </TaskShell>
  )
}

/** The doing of a task, by its kind. */
function Act({
  task,
  next,
  busy,
  onDone,
  onSeen,
}: {
  task: ArrivalTask
  next: boolean
  busy: boolean
  onDone: (answer?: ArrivalAnswer) => void
  onSeen: () => void
}) {
  const Main = next ? PrimaryButton : Button
  switch (task.kind) {
    case 'first-meal':
      return (
        <Line>
          <Main onPress={() => onDone({ appetite: 3 })} isDisabled={busy}>
            Ate
          </Main>
          <Button onPress={() => onDone({ appetite: 1 })} isDisabled={busy}>
            Looked at it
          </Button>
          <Button onPress={() => onDone({ appetite: 0 })} isDisabled={busy}>
            Did not eat
          </Button>
        </Line>
      )
    case 'morning-check':
      return <HeadCount task={task} next={next} busy={busy} onDone={onDone} />
    case 'evening-check':
    case 'watch':
    case 'settle-watch':
      return (
        <Line>
          <Main onPress={() => onDone()} isDisabled={busy}>
            Nothing seen
          </Main>
          <PlainButton onPress={onSeen}>something seen</PlainButton>
          {task.introId && <ButtonLink href={`/arrivals/together/${task.introId}`}>Skirmishes</ButtonLink>}
        </Line>
      )
    case 'wound-check':
      return (
        <Line>
          <Main onPress={() => onDone()} isDisabled={busy}>
            No wound
          </Main>
          <PlainButton onPress={onSeen}>a wound seen</PlainButton>
        </Line>
      )
    case 'light-on':
      return (
        <div>
          <Main onPress={() => onDone()} isDisabled={busy}>
            Lights are on
          </Main>
        </div>
      )
    case 'flow-up':
      return (
        <Line>
          <Main onPress={() => onDone()} isDisabled={busy}>
            The foot holds: flow is up
          </Main>
        </Line>
      )
    case 'light-step':
      return (
        <div>
          <Main onPress={() => onDone()} isDisabled={busy}>
            The light is set
          </Main>
        </div>
      )
    case 'chore':
      return (
        <div>
          <Main onPress={() => onDone()} isDisabled={busy || task.state === 'ahead'}>
            Done
          </Main>
        </div>
      )
    case 'bench-look':
      return (
        <Line>
          <Main onPress={() => onDone()} isDisabled={busy || task.state === 'ahead'}>
            Looked at it
          </Main>
          <ButtonLink href={`/bench/${task.benchId!}`}>What was done</ButtonLink>
        </Line>
      )
    case 'case-look':
      return (
        <div>
          <ButtonLink href={`/diagnose/${task.caseId!}`}>To the case</ButtonLink>
        </div>
      )
    case 'coral-look':
      return (
        <div>
          <ButtonLink href={`/tanks/${task.tankId}/corals`}>How it looks</ButtonLink>
        </div>
      )
    case 'training':
      return (
        <div>
          <ButtonLink href={`/arrivals/animal/${task.animalIds[0]!}`}>Mark the meal</ButtonLink>
        </div>
      )
    case 'box-check':
    case 'open':
    case 'stop':
      return (
        <div>
          <ButtonLink href={`/arrivals/together/${task.introId!}`}>
            {task.kind === 'open' ? 'Open it' : task.kind === 'stop' ? 'Part them' : 'See what still has to be true'}
          </ButtonLink>
        </div>
      )
  }
}

/** Each by name: who is ticked was seen. */
function HeadCount({
  task,
  next,
  busy,
  onDone,
}: {
  task: ArrivalTask
  next: boolean
  busy: boolean
  onDone: (answer: ArrivalAnswer) => void
}) {
  const { journal } = useHousehold()
  // How many of each were seen; a single animal is one or none.
  const [counted, setCounted] = useState<Readonly<Record<string, number>>>({})
  const Main = next ? PrimaryButton : Button
  const all = task.animalIds.map((id) => ({ id, count: animalById(journal, id)?.count ?? 1 }))
  const total = all.reduce((sum, { count }) => sum + count, 0)
  const there = all.reduce((sum, { id }) => sum + (counted[id] ?? 0), 0)
  const set = (id: string, count: number) => setCounted({ ...counted, [id]: count })
  const answer = (): ArrivalAnswer => ({
    seen: all.filter(({ id }) => counted[id]).map(({ id }) => id),
    seenCounts: Object.fromEntries(
      all.flatMap(({ id, count }) => (counted[id] && counted[id] < count ? [[id, counted[id]]] : [])),
    ),
  })
  return (
    <Stack $gap={4}>
      {all.map(({ id, count }) => (
        <Line key={id} $gap={12}>
          <Seen>
            <input
              type="checkbox"
              checked={(counted[id] ?? 0) > 0}
              onChange={(event) => set(id, event.target.checked ? count : 0)}
            />
            <span>{animalName(journal, id)}</span>
          </Seen>
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
