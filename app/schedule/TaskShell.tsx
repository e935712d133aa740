import { lazy, Suspense, useState, type ReactNode } from 'react'
import { styled } from 'styled-components'
import type { Task } from '../../core/schedule/task.ts'
import { useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { PlainButton } from '../look/buttons.ts'
import { Line, Small, Stack } from '../look/text.ts'
import { dueWords } from './words.ts'

const TaskWordForm = lazy(async () => ({ default: (await import('./TaskWordForm.tsx')).TaskWordForm }))

const Due = styled.div<{ $late: boolean }>`
  font-size: 14.5px;
  color: var(--quiet);
  ${({ $late }) => $late && 'color: var(--act); font-weight: 700;'}
`

const Name = styled.h3`
  font-size: 17px;
  line-height: 1.25;
`

interface TaskShellProps {
  task: Task & { courseId?: string }
  /** What kind of task it is, for those who look for it in the page. */
  kind: string
  /** The level its name has among the page's headings. */
  heading: 'h2' | 'h3'
  canWait: boolean
  canSkip: boolean
  /** What matters most under its name: an amount, and what that makes. */
  figures?: ReactNode
  /** Under why it is due. */
  notes?: ReactNode
  /** The doing: cautions and buttons. */
  children: ReactNode
}

/** The one card of every task, of a course, an arrival, an introduction or a chore: when, what, how much, why, and putting it off. */
export function TaskShell({ task, kind, heading, canWait, canSkip, figures, notes, children }: TaskShellProps) {
  const { settings } = useHousehold()
  const now = useNow()
  const [asking, setAsking] = useState<'skipped' | 'postponed' | null>(null)
  return (
    <Stack $gap={6} data-task={kind}>
      <div>
        <Due $late={task.state === 'late'}>{dueWords(task, now, settings.clock)}</Due>
        <Name as={heading}>{task.title}</Name>
        {figures}
        <Small>{task.why}</Small>
        {notes}
      </div>
      {asking ? (
        <Suspense fallback={null}>
          <TaskWordForm task={task} state={asking} onDone={() => setAsking(null)} />
        </Suspense>
      ) : (
        <>
          {children}
          {canWait && (
            <Line $gap={18}>
              <PlainButton onPress={() => setAsking('postponed')} aria-label={`Put off: ${task.title}`}>
                put off
              </PlainButton>
              {canSkip && (
                <PlainButton onPress={() => setAsking('skipped')} aria-label={`Skip: ${task.title}`}>
                  skip
                </PlainButton>
              )}
            </Line>
          )}
        </>
      )}
    </Stack>
  )
}
