import { lazy, Suspense } from 'react'
import { arrivalTaskContents, type ArrivalAnswer, type ArrivalTask } from '../../core/arrivals/tasks.ts'
import { thisInstant } from '../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../journal/keeping.tsx'
import { Button, ButtonLink, PlainButton, PrimaryButton } from '../look/buttons.ts'
import { Line } from '../look/text.ts'
import { TaskShell } from '../schedule/TaskShell.tsx'

const HeadCount = lazy(async () => ({ default: (await import('../schedule/HeadCount.tsx')).HeadCount }))
const ToolChoice = lazy(async () => ({ default: (await import('../safety/ToolChoice.tsx')).ToolChoice }))

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
      return (
        <Suspense fallback={null}>
          <HeadCount animalIds={task.animalIds} next={next} busy={busy} onDone={onDone} />
        </Suspense>
      )
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
