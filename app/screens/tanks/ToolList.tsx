import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { toolsOf, type Tool } from '../../../core/biosecurity/tools.ts'
import { tanksOf, type Tank } from '../../../core/household/tanks.ts'
import { momentBeside } from '../../../core/time/words.ts'
import { iso } from '../../../core/time/zone.ts'
import { ToolCrossing } from '../../safety/ToolCrossing.tsx'
import { CheckField, SelectField, TextField } from '../../fields/fields.tsx'
import type { Problem } from '../../fields/shell.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { newId } from '../../journal/opened.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PlainButton } from '../../look/buttons.ts'
import { Heading, Line, Quiet, Rows, Small, Stack } from '../../look/text.ts'

/** The tools of a tank: whose each is, whether it is sterile, and the question before one goes into another tank. */
export function ToolList({ tank }: { tank: Tank }) {
  const { journal } = useHousehold()
  const [isAdding, setIsAdding] = useState(false)
  const tools = toolsOf(journal).filter(({ tankId }) => tankId === undefined || tankId === tank.id)
  return (
    <section>
      <Heading>Tools</Heading>
      {tools.length === 0 && (
        <Small style={{ paddingTop: 10 }}>
          Net, tongs, siphon, cup, towel: name those that belong to this tank alone.
        </Small>
      )}
      <Rows>
        {tools.map((tool) => (
          <li key={tool.id}>
            <ToolRow tool={tool} tank={tank} />
          </li>
        ))}
      </Rows>
      <div style={{ paddingTop: 12 }}>
        {isAdding ? (
          <ToolForm tank={tank} onDone={() => setIsAdding(false)} />
        ) : (
          <Button onPress={() => setIsAdding(true)}>Add a tool</Button>
        )}
      </div>
    </section>
  )
}

function ToolRow({ tool, tank }: { tool: Tool; tank: Tank }) {
  const { settings } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [isAsking, setIsAsking] = useState(false)
  const { cleaned } = tool
  const clean = (how: 'bleached' | 'dried') =>
    void keep([{ kind: 'gear-clean', happened: iso(thisInstant()), gearId: tool.id, how }])
  return (
    <Stack $gap={6}>
      <div>
        <strong>{tool.name}</strong>
        <br />
        <Quiet>
          {tool.tankId === undefined ? 'shared between tanks' : 'belongs to this tank'};{' '}
          {cleaned === null
            ? 'taken as wet'
            : cleaned.readyAt > now
              ? `${cleaned.how}, dry ${momentBeside(cleaned.readyAt, now, settings.clock)}`
              : `${cleaned.how} ${momentBeside(cleaned.at, now, settings.clock)}`}
        </Quiet>
      </div>
      <Line $gap={16}>
        <PlainButton isDisabled={busy} onPress={() => clean('bleached')}>
          bleached, drying
        </PlainButton>
        <PlainButton isDisabled={busy} onPress={() => clean('dried')}>
          put to dry
        </PlainButton>
        <PlainButton onPress={() => setIsAsking(!isAsking)}>into another tank</PlainButton>
        <PlainButton
          isDisabled={busy}
          onPress={() =>
            void keep([
              { kind: 'gear-change', happened: iso(thisInstant()), gearId: tool.id, changes: { retired: true } },
            ])
          }
        >
          not in use
        </PlainButton>
      </Line>
      {isAsking && <IntoAnother tool={tool} tank={tank} onDone={() => setIsAsking(false)} />}
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}

/** Before a tool goes into another tank: which, and the question about it. */
function IntoAnother({ tool, tank, onDone }: { tool: Tool; tank: Tank; onDone: () => void }) {
  const { journal } = useHousehold()
  const others = tanksOf(journal).filter(({ id, water }) => id !== tank.id && water === tank.water)
  const form = useForm({ defaultValues: { tankId: others[0]?.id ?? '' } })
  const tankId = form.watch('tankId')
  if (others.length === 0) return <Small>There is no other tank of this water.</Small>
  return (
    <Stack $gap={10}>
      <SelectField
        control={form.control}
        name="tankId"
        label="Which"
        options={others.map(({ id, name }) => ({ value: id, label: name }))}
      />
      <ToolCrossing key={tankId} tool={tool} fromTankId={tank.id} toTankId={tankId} onDone={onDone} />
    </Stack>
  )
}

function ToolForm({ tank, onDone }: { tank: Tank; onDone: () => void }) {
  const { keep, busy, unkept } = useKeeping()
  const [problem, setProblem] = useState<Problem | undefined>()
  const form = useForm({ defaultValues: { name: '', isOwn: true } })
  const send = form.handleSubmit(async ({ name, isOwn }) => {
    if (name.trim() === '') return setProblem({ message: 'what it is, such as “green net”' })
    const kept = await keep([
      {
        kind: 'gear-setup',
        happened: iso(thisInstant()),
        gearId: newId(),
        name: name.trim(),
        ...(isOwn && { tankId: tank.id }),
      },
    ])
    if (kept) onDone()
  })
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={12}>
        <TextField control={form.control} name="name" label="Tool" problem={problem} autoFocus />
        <CheckField control={form.control} name="isOwn" label="Belongs to this tank alone" />
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <Button type="submit" isDisabled={busy}>
            Keep the tool
          </Button>
          <PlainButton onPress={onDone}>cancel</PlainButton>
        </Line>
      </Stack>
    </Form>
  )
}
