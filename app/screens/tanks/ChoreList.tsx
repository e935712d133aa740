import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { toolsOf } from '../../../core/biosecurity/tools.ts'
import { choresOf } from '../../../core/schedule/chores.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import { iso } from '../../../core/time/zone.ts'
import { SelectField, TextField } from '../../fields/fields.tsx'
import type { Problem } from '../../fields/shell.tsx'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PlainButton } from '../../look/buttons.ts'
import { Heading, Line, Rows, Small, Stack } from '../../look/text.ts'

/** What the keeper does at a tank again and again, beside all courses. */
export function ChoreList({ tank }: { tank: Tank }) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [problems, setProblems] = useState<Record<string, Problem>>({})
  const [isOpen, setIsOpen] = useState(false)
  const form = useForm({ defaultValues: { name: '', everyDays: '7', gearId: '' } })
  const chores = choresOf(journal).filter(({ tankId }) => tankId === tank.id)
  const tools = toolsOf(journal)
  const send = form.handleSubmit(async ({ name, everyDays, gearId }) => {
    const days = Number(everyDays)
    const found: Record<string, Problem> = {}
    if (name.trim() === '') found['name'] = { message: 'what is done, such as “clean the pump”' }
    if (!Number.isInteger(days) || days < 1 || days > 3650) found['everyDays'] = { message: 'whole days, such as 7' }
    setProblems(found)
    if (Object.keys(found).length > 0) return
    const at = thisInstant()
    const kept = await keep([
      {
        kind: 'chore',
        happened: iso(at),
        choreId: `chore-${at.toString(36)}`,
        name: name.trim(),
        tankId: tank.id,
        everyDays: days,
        ...(gearId !== '' && { gearId }),
      },
    ])
    if (kept) {
      form.reset()
      setIsOpen(false)
    }
  })
  return (
    <section>
      <Heading>Chores</Heading>
      {chores.length > 0 && (
        <Rows>
          {chores.map(({ id, name, everyDays }) => (
            <li key={id}>
              <Line style={{ justifyContent: 'space-between' }}>
                <span>
                  {name} <Small>every {everyDays === 1 ? 'day' : `${everyDays} days`}</Small>
                </span>
                <PlainButton
                  isDisabled={busy}
                  aria-label={`Give up: ${name}`}
                  onPress={() =>
                    void keep([{ kind: 'chore', happened: iso(thisInstant()), choreId: id, retired: true }])
                  }
                >
                  give up
                </PlainButton>
              </Line>
            </li>
          ))}
        </Rows>
      )}
      {!isOpen ? (
        <div style={{ paddingTop: 8 }}>
          <PlainButton onPress={() => setIsOpen(true)}>add a chore</PlainButton>
        </div>
      ) : (
        <Form onSubmit={(event) => void send(event)}>
          <Stack $gap={12} style={{ paddingTop: 12 }}>
            <TextField control={form.control} name="name" label="What is done" problem={problems['name']} autoFocus />
            <TextField
              control={form.control}
              name="everyDays"
              label="Every"
              after="days"
              figure
              problem={problems['everyDays']}
            />
            {tools.length > 0 && (
              <SelectField
                control={form.control}
                name="gearId"
                label="With"
                options={[
                  { value: '', label: 'no tool, or whichever' },
                  ...tools.map(({ id, name }) => ({ value: id, label: name })),
                ]}
                hint="One of another tank is asked about each time, before it goes in."
              />
            )}
            {unkept && <UnkeptNote unkept={unkept} />}
            <Line>
              <Button type="submit" isDisabled={busy}>
                Keep the chore
              </Button>
              <PlainButton onPress={() => setIsOpen(false)}>cancel</PlainButton>
            </Line>
          </Stack>
        </Form>
      )}
    </section>
  )
}
