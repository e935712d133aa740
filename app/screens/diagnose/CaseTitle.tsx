import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import type { ContentOf } from '../../../core/journal/entry.ts'
import { TextField } from '../../fields/fields.tsx'
import type { Problem } from '../../fields/shell.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { Button, PlainButton } from '../../look/buttons.ts'
import { Line, Title } from '../../look/text.ts'

/** As the journal keeps names. */
const LONGEST_TITLE = 80

/** What a case is called; the keeper may call it otherwise, which corrects the entry that opened it. */
export function CaseTitle({
  entryId,
  start,
  fallback,
}: {
  entryId: string
  start: ContentOf<'case-start'>
  fallback: string
}) {
  const { run, busy, unkept } = useKeeping()
  const [isNaming, setIsNaming] = useState(false)
  const [problem, setProblem] = useState<Problem | undefined>()
  const form = useForm({ defaultValues: { title: start.title ?? '' } })
  const send = form.handleSubmit(async ({ title }) => {
    const { title: _before, ...rest } = start
    const content = { ...rest, ...(title.trim() !== '' && { title: title.trim() }) }
    if (title.trim().length > LONGEST_TITLE) return setProblem({ message: `at most ${LONGEST_TITLE} letters` })
    if (await run((household) => household.correct(entryId, content))) setIsNaming(false)
  })
  if (isNaming)
    return (
      <Form onSubmit={(event) => void send(event)}>
        <TextField control={form.control} name="title" label="What you call it" problem={problem} autoFocus />
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <Button type="submit" isDisabled={busy}>
            Keep the name
          </Button>
          <PlainButton onPress={() => setIsNaming(false)}>cancel</PlainButton>
        </Line>
      </Form>
    )
  return (
    <Line $gap={14}>
      <Title>{start.title ?? fallback}</Title>
      <PlainButton onPress={() => setIsNaming(true)}>{start.title === undefined ? 'name it' : 'rename'}</PlainButton>
    </Line>
  )
}
