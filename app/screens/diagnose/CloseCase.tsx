import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { RELAPSE_WEEKS, type Case } from '../../../core/diagnosis/cases.ts'
import { conditionName } from '../../../core/diagnosis/condition-facts.ts'
import type { CaseRanking } from '../../../core/diagnosis/ranking.ts'
import type { ContentOf } from '../../../core/journal/entry.ts'
import { AreaField, SelectField } from '../../fields/fields.tsx'
import { Button, PlainButton } from '../../look/buttons.ts'
import { Bar, Heading, Line, Stack } from '../../look/text.ts'
import { useCaseKeeping } from './useCaseKeeping.tsx'

/** The end of a case: how, what it was, what was learnt. */
export function CloseCase({ one, ranking }: { one: Case; ranking: CaseRanking }) {
  const { busy, end, note } = useCaseKeeping(one)
  const [isOpen, setIsOpen] = useState(false)
  const causes = [
    ...new Set([
      ...one.causes.filter(({ state }) => state !== 'ruled-out').map(({ id }) => id),
      ...ranking.shown.flatMap(({ id, facts }) => (facts === null ? [] : [id])),
    ]),
  ]
  const form = useForm<{ outcome: ContentOf<'case-end'>['outcome']; cause: string; words: string }>({
    defaultValues: {
      outcome: 'healed',
      cause: one.causes.find(({ state }) => state === 'confirmed')?.id ?? '',
      words: '',
    },
  })
  const send = form.handleSubmit(async ({ outcome, cause, words }) => {
    await end({ outcome, ...(cause !== '' && { cause }), ...(words.trim() !== '' && { words: words.trim() }) })
  })
  if (!isOpen)
    return (
      <div>
        <Button onPress={() => setIsOpen(true)}>Close the case</Button>
      </div>
    )
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={14}>
        <Heading>Close the case</Heading>
        <SelectField
          control={form.control}
          name="outcome"
          label="How it ended"
          options={[
            { value: 'healed', label: 'healed, or gone' },
            { value: 'lost', label: 'the animal or coral was lost' },
            { value: 'harmless', label: 'it was harmless' },
            { value: 'unresolved', label: 'never found out' },
          ]}
        />
        <SelectField
          control={form.control}
          name="cause"
          label="It was"
          options={[
            { value: '', label: 'not known for certain' },
            ...causes.map((id) => ({ value: id, label: conditionName(id) })),
          ]}
        />
        <AreaField control={form.control} name="words" label="What was learnt" />
        <Bar $tone="second">
          It opens again where its signs come back within {RELAPSE_WEEKS} weeks; weekly looks until then.
        </Bar>
        {note}
        <Line>
          <Button type="submit" isDisabled={busy}>
            Close it
          </Button>
          <PlainButton onPress={() => setIsOpen(false)}>not yet</PlainButton>
        </Line>
      </Stack>
    </Form>
  )
}
