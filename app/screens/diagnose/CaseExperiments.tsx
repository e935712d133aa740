import { WORDS_LETTERS } from '../../../core/journal/contents/text-limits.ts'
import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { EXPERIMENT_DAYS } from '../../../core/diagnosis/experiments.ts'
import type { Case } from '../../../core/diagnosis/cases.ts'
import { dayBeside } from '../../../core/time/words.ts'
import { iso } from '../../../core/time/zone.ts'
import { TextField } from '../../fields/fields.tsx'
import { numberIn } from '../../fields/number-in.ts'
import type { Problem } from '../../fields/shell.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PlainButton } from '../../look/buttons.ts'
import { Heading, Line, Quiet, Rows, Small, Stack } from '../../look/text.ts'
import { useCaseKeeping } from './useCaseKeeping.tsx'

/** One thing changed at a time, and what was seen of it. */
export function Experiments({ one, isOver }: { one: Case; isOver: boolean }) {
  const { settings } = useHousehold()
  const now = useNow()
  const { mark, note } = useCaseKeeping(one)
  const [isOpen, setIsOpen] = useState(false)
  const [problems, setProblems] = useState<Record<string, Problem>>({})
  const form = useForm({ defaultValues: { words: '', days: String(EXPERIMENT_DAYS.usual) } })
  const seen = useForm({ defaultValues: { words: '' } })
  const { clock } = settings
  const running = one.experiments.find(({ result }) => result === null)
  const send = form.handleSubmit(async ({ words, days }) => {
    const count = numberIn(days)
    const found = {
      ...(words.trim() === '' && { words: { message: 'the one thing that is changed, such as “pump turned away”' } }),
      ...((count === null || count < EXPERIMENT_DAYS.least || count > EXPERIMENT_DAYS.most) && {
        days: { message: `days until you look, ${EXPERIMENT_DAYS.least} to ${EXPERIMENT_DAYS.most}` },
      }),
    }
    setProblems(found)
    if (Object.keys(found).length > 0) return
    const lookAt = iso(clock.instantAt(clock.dayOf(thisInstant()) + Math.round(count!), 18 * 60))
    if (await mark({ mark: 'experiment', words: words.trim(), lookAt })) {
      form.reset()
      setIsOpen(false)
    }
  })
  const look = seen.handleSubmit(async ({ words }) => {
    if (words.trim() !== '' && (await mark({ mark: 'experiment-result', words: words.trim() }))) seen.reset()
  })
  if (one.experiments.length === 0 && isOver) return null
  return (
    <section>
      <Heading>One thing at a time</Heading>
      <Rows>
        {one.experiments.map(({ at, words, lookAt, result }) => (
          <li key={at}>
            {words} <Quiet>{dayBeside(clock.dayOf(at), clock.dayOf(now))}</Quiet>
            {result === null && lookAt !== null && (
              <Small style={lookAt <= now ? { color: 'var(--act)', fontWeight: 700 } : undefined}>
                {lookAt <= now ? 'Look now' : 'To be looked at'} {dayBeside(clock.dayOf(lookAt), clock.dayOf(now))}.
              </Small>
            )}
            {result !== null && <Small>Seen then: {result}</Small>}
          </li>
        ))}
      </Rows>
      {running && !isOver && (
        <Form onSubmit={(event) => void look(event)}>
          <Line style={{ alignItems: 'end' }}>
            <TextField control={seen.control} most={WORDS_LETTERS} name="words" label="What was seen" />
            <Button type="submit">Keep it</Button>
          </Line>
        </Form>
      )}
      {!running && !isOver && !isOpen && (
        <>
          <Small style={{ paddingTop: 10 }}>Change one thing, look after some days; two at once tell nothing.</Small>
          <PlainButton onPress={() => setIsOpen(true)}>change one thing</PlainButton>
        </>
      )}
      {isOpen && (
        <Form onSubmit={(event) => void send(event)}>
          <Stack $gap={12} style={{ paddingTop: 12 }}>
            <TextField
              control={form.control}
              most={WORDS_LETTERS}
              name="words"
              label="What is changed"
              problem={problems['words']}
              autoFocus
            />
            <TextField
              control={form.control}
              name="days"
              label="Looked at after"
              after="days"
              figure
              problem={problems['days']}
            />
            <Line>
              <Button type="submit">Keep the change</Button>
              <PlainButton onPress={() => setIsOpen(false)}>cancel</PlainButton>
            </Line>
          </Stack>
        </Form>
      )}
      {note}
    </section>
  )
}
