import { WORDS_LETTERS } from '../../../core/journal/contents/text-limits.ts'
import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import type { Case, Cause } from '../../../core/diagnosis/cases.ts'
import { conditionName } from '../../../core/diagnosis/condition-facts.ts'
import type { CaseRanking } from '../../../core/diagnosis/ranking.ts'
import { TextField } from '../../fields/fields.tsx'
import type { Problem } from '../../fields/shell.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PlainButton, PlainLink } from '../../look/buttons.ts'
import { Heading, Line, Quiet, Rows, Small, Stack } from '../../look/text.ts'
import { useCaseKeeping } from './useCaseKeeping.tsx'

const STATES: Record<Cause['state'], string> = {
  'thought-of': 'thought of',
  'ruled-out': 'ruled out',
  confirmed: 'confirmed',
}

/** The causes of a case: thought of, ruled out, confirmed. */
export function Causes({ one, ranking }: { one: Case; ranking: CaseRanking }) {
  const { journal } = useHousehold()
  const { busy, mark, note } = useCaseKeeping(one)
  const [ruling, setRuling] = useState<string | null>(null)
  const named = new Set(one.causes.map(({ id }) => id))
  const offered = ranking.shown.filter(({ id, facts }) => facts !== null && !named.has(id)).slice(0, 3)
  const courses = journal.ofKind('course-start').filter(({ content }) => content.caseId === one.id)
  return (
    <section>
      <Heading>Causes</Heading>
      {one.causes.length === 0 && <Small style={{ paddingTop: 10 }}>None thought of yet.</Small>}
      <Rows>
        {one.causes.map(({ id, state, words }) => (
          <li key={id}>
            <Line style={{ justifyContent: 'space-between' }}>
              <span style={state === 'ruled-out' ? { textDecoration: 'line-through' } : undefined}>
                <strong>{conditionName(id)}</strong> <Quiet>{STATES[state]}</Quiet>
              </span>
              {one.ended === null && (
                <Line $gap={16}>
                  {state !== 'confirmed' && (
                    <PlainButton isDisabled={busy} onPress={() => void mark({ mark: 'confirmed', cause: id })}>
                      confirmed
                    </PlainButton>
                  )}
                  {state === 'ruled-out' ? (
                    <PlainButton isDisabled={busy} onPress={() => void mark({ mark: 'thought-of', cause: id })}>
                      after all
                    </PlainButton>
                  ) : (
                    <PlainButton onPress={() => setRuling(ruling === id ? null : id)}>rule out</PlainButton>
                  )}
                </Line>
              )}
            </Line>
            {words && <Small>{words}</Small>}
            {ruling === id && (
              <RuleOut
                onDone={() => setRuling(null)}
                onRuled={(why) => mark({ mark: 'ruled-out', cause: id, words: why })}
              />
            )}
          </li>
        ))}
      </Rows>
      {one.ended === null && offered.length > 0 && (
        <Line $gap={16} style={{ paddingTop: 6 }}>
          <Quiet>Note down:</Quiet>
          {offered.map(({ id }) => (
            <PlainButton key={id} isDisabled={busy} onPress={() => void mark({ mark: 'thought-of', cause: id })}>
              {conditionName(id)}
            </PlainButton>
          ))}
        </Line>
      )}
      {courses.map(({ content }) => (
        <Small key={content.courseId}>
          Answered by <PlainLink href={`/courses/${content.courseId}`}>its course</PlainLink>.
        </Small>
      ))}
      {note}
    </section>
  )
}

function RuleOut({ onRuled, onDone }: { onRuled: (why: string) => Promise<unknown>; onDone: () => void }) {
  const [problem, setProblem] = useState<Problem | undefined>()
  const form = useForm({ defaultValues: { why: '' } })
  const send = form.handleSubmit(async ({ why }) => {
    if (why.trim() === '') return setProblem({ message: 'what spoke against it, such as “no flecks in the dip”' })
    if (await onRuled(why.trim())) onDone()
  })
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={10} style={{ paddingTop: 8 }}>
        <TextField control={form.control} most={WORDS_LETTERS} name="why" label="Why" problem={problem} autoFocus />
        <Line>
          <Button type="submit">Rule it out</Button>
          <PlainButton onPress={onDone}>cancel</PlainButton>
        </Line>
      </Stack>
    </Form>
  )
}
