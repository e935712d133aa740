import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import type { ContentOf } from '../../../core/journal/entry.ts'
import { TextField } from '../../fields/fields.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PlainButton } from '../../look/buttons.ts'
import { Line, Title } from '../../look/text.ts'

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
  const { correct } = useHousehold()
  const [isNaming, setIsNaming] = useState(false)
  const form = useForm({ defaultValues: { title: start.title ?? '' } })
  const send = form.handleSubmit(async ({ title }) => {
    const { title: _before, ...rest } = start
    await correct(entryId, { ...rest, ...(title.trim() !== '' && { title: title.trim().slice(0, 80) }) })
    setIsNaming(false)
  })
  if (isNaming)
    return (
      <Form onSubmit={(event) => void send(event)}>
        <TextField control={form.control} name="title" label="What you call it" autoFocus />
        <Line>
          <Button type="submit">Keep the name</Button>
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
