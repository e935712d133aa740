import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import { shelfOf } from '../../../core/household/shelf.ts'
import { tankById, tanksOf } from '../../../core/household/tanks.ts'
import type { Content, ContentOf } from '../../../core/journal/entry.ts'
import { iso } from '../../../core/time/zone.ts'
import { SelectField, TextField } from '../../fields/fields.tsx'
import type { Problem } from '../../fields/shell.tsx'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PlainButton } from '../../look/buttons.ts'
import { Facts, Heading, Line, Small, Stack } from '../../look/text.ts'

const clockText = (minute: number) =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`

type Open = 'change' | 'event' | 'stop' | null

/** How a course is run, changing that, telling it what nothing else in the journal tells, and ending it early. */
export function HowItRuns({ plan }: { plan: CoursePlan }) {
  const { journal } = useHousehold()
  const [open, setOpen] = useState<Open>(null)
  const { course } = plan
  const product = shelfOf(journal).find(({ id }) => id === course.productId)
  const close = () => setOpen(null)
  return (
    <section>
      <Heading>How it runs</Heading>
      <Facts>
        <div>
          <dt>dosed with</dt>
          <dd>{product?.name ?? 'not chosen'}</dd>
        </div>
        <div>
          <dt>read daily at</dt>
          <dd>{clockText(course.readAtMinute)}</dd>
        </div>
        {course.length === 'fourteen-then-move' && (
          <div>
            <dt>then to</dt>
            <dd>{course.moveToTankId ? tankById(journal, course.moveToTankId)?.name : 'not chosen'}</dd>
          </div>
        )}
        {course.overrides.map(({ rule, why, vetAgreed }) => (
          <div key={rule}>
            <dt>set aside: {rule}</dt>
            <dd>
              {why}
              {vetAgreed && ', a veterinarian agreed'}
            </dd>
          </div>
        ))}
      </Facts>
      {open === null && (
        <Line $gap={18}>
          <PlainButton onPress={() => setOpen('change')}>change</PlainButton>
          <PlainButton onPress={() => setOpen('event')}>something got in</PlainButton>
          <PlainButton onPress={() => setOpen('stop')}>stop the course</PlainButton>
        </Line>
      )}
      <div style={{ paddingTop: open ? 14 : 0 }}>
        {open === 'change' && <ChangeForm plan={plan} onDone={close} />}
        {open === 'event' && <EventForm plan={plan} onDone={close} />}
        {open === 'stop' && <StopForm plan={plan} onDone={close} />}
      </div>
    </section>
  )
}

interface FormProps {
  plan: CoursePlan
  onDone: () => void
}

function ChangeForm({ plan: { course }, onDone }: FormProps) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const products = shelfOf(journal).filter(({ ingredient }) => ingredient === course.dose.agent)
  const form = useForm({
    defaultValues: {
      productId: course.productId ?? '',
      readAt: clockText(course.readAtMinute),
      moveToTankId: course.moveToTankId ?? '',
    },
  })
  const send = form.handleSubmit(async ({ productId, readAt, moveToTankId }) => {
    const changes: ContentOf<'course-change'>['changes'] = {
      ...(productId !== '' && { productId }),
      ...(/^\d\d:\d\d$/.test(readAt) && { readAt }),
      ...(moveToTankId !== '' && { moveToTankId }),
    }
    if (await keep([{ kind: 'course-change', happened: iso(thisInstant()), courseId: course.id, changes }])) onDone()
  })
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={14}>
        <SelectField
          control={form.control}
          name="productId"
          label="Dosed with"
          options={[
            ...(course.productId === null ? [{ value: '', label: 'not chosen' }] : []),
            ...products.map(({ id, name }) => ({ value: id, label: name })),
          ]}
        />
        <TextField control={form.control} name="readAt" label="Read daily at" type="time" />
        {course.length === 'fourteen-then-move' && (
          <SelectField
            control={form.control}
            name="moveToTankId"
            label="Then to"
            options={[
              ...(course.moveToTankId === null ? [{ value: '', label: 'not chosen' }] : []),
              ...tanksOf(journal)
                .filter(({ id, water }) => id !== course.tankId && water === tankById(journal, course.tankId)?.water)
                .map(({ id, name }) => ({ value: id, label: name })),
            ]}
          />
        )}
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <Button type="submit" isDisabled={busy}>
            Keep the change
          </Button>
          <PlainButton onPress={onDone}>cancel</PlainButton>
        </Line>
      </Stack>
    </Form>
  )
}

function EventForm({ plan: { course }, onDone }: FormProps) {
  const { keep, busy, unkept } = useKeeping()
  const event = (name: 'cross-contamination' | 'new-fish-added'): Content => ({
    kind: 'course-event',
    happened: iso(thisInstant()),
    courseId: course.id,
    event: name,
  })
  const log = async (name: 'cross-contamination' | 'new-fish-added') => {
    if (await keep([event(name)])) onDone()
  }
  return (
    <Stack $gap={10}>
      <Small>
        Either starts the count over. A fish that is moved or arrives by the ledger is counted without this.
      </Small>
      <Button isDisabled={busy} onPress={() => void log('cross-contamination')}>
        A wet tool, hand or splash from elsewhere
      </Button>
      <Button isDisabled={busy} onPress={() => void log('new-fish-added')}>
        A fish that is not on record
      </Button>
      {unkept && <UnkeptNote unkept={unkept} />}
      <div>
        <PlainButton onPress={onDone}>cancel</PlainButton>
      </div>
    </Stack>
  )
}

function StopForm({ plan: { course, clock }, onDone }: FormProps) {
  const { keep, busy, unkept } = useKeeping()
  const [problem, setProblem] = useState<Problem | undefined>()
  const form = useForm({ defaultValues: { why: '' } })
  const send = form.handleSubmit(async ({ why }) => {
    if (why.trim() === '') return setProblem({ message: 'a word why, such as “fish does not tolerate it”' })
    const end: Content = {
      kind: 'course-end',
      happened: iso(thisInstant()),
      courseId: course.id,
      outcome: 'stopped',
      why: why.trim(),
    }
    if (await keep([end])) onDone()
  })
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={12}>
        <Small>
          {clock.state === 'complete'
            ? 'The count is full. '
            : 'The count is not full: parasites may be left, and the fish count as untreated. '}
          The copper stays in the water until carbon, resin or changes take it out.
        </Small>
        <TextField control={form.control} name="why" label="Why" problem={problem} autoFocus />
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <Button type="submit" isDisabled={busy}>
            Stop the course
          </Button>
          <PlainButton onPress={onDone}>cancel</PlainButton>
        </Line>
      </Stack>
    </Form>
  )
}
