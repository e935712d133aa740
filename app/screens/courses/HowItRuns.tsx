import { WORDS_LETTERS } from '../../../core/journal/contents/text-limits.ts'
import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { doseById } from '../../../core/catalogue/treatments/treatments.ts'
import { isDrugPlan, type CoursePlan } from '../../../core/courses/plan.ts'
import { drugWord } from '../../../core/courses/steps/step-input.ts'
import { shelfOf } from '../../../core/household/shelf.ts'
import { setAsideWords } from '../../../core/safety/answers.ts'
import { ruleWords } from '../../../core/safety/rule-words.ts'
import { tankById, tanksOf } from '../../../core/household/tanks.ts'
import type { Content, ContentOf } from '../../../core/journal/entry.ts'
import { timeOfMinute } from '../../../core/time/wall-time.ts'
import { iso } from '../../../core/time/zone.ts'
import { SelectField, TextField } from '../../fields/fields.tsx'
import type { Problem } from '../../fields/shell.tsx'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PlainButton } from '../../look/buttons.ts'
import { Facts, Heading, Line, Small, Stack } from '../../look/text.ts'
import { GotIn } from './GotIn.tsx'

type Open = 'change' | 'event' | 'suspect' | 'stop' | null

/** How a course is run, changing that, telling it what nothing else in the journal tells, and ending it early. */
export function HowItRuns({ plan }: { plan: CoursePlan }) {
  const { journal } = useHousehold()
  const [open, setOpen] = useState<Open>(null)
  const { course } = plan
  const doseKeys = productKeys(course)
  const close = () => setOpen(null)
  return (
    <section>
      <Heading>How it runs</Heading>
      <Facts>
        {doseKeys.map((key) => (
          <div key={key}>
            <dt>
              {course.dose?.id === key
                ? 'dosed with'
                : (course.definition.products.find(({ dose }) => dose === key)?.label ?? key).toLowerCase()}
            </dt>
            <dd>
              {shelfOf(journal).find(
                ({ id }) => id === (course.products[key] ?? (course.dose?.id === key ? course.productId : null)),
              )?.name ?? 'not chosen'}
            </dd>
          </div>
        ))}
        {course.definition.options.map(({ id, label, choices }) => (
          <div key={id}>
            <dt>{label.toLowerCase()}</dt>
            <dd>{(choices.find((choice) => choice.id === course.options[id]) ?? choices[0])?.label}</dd>
          </div>
        ))}
        {course.tanks.other !== undefined && (
          <div>
            <dt>tank sets</dt>
            <dd>
              {tankById(journal, course.tankId)?.name} and {tankById(journal, course.tanks.other)?.name}
            </dd>
          </div>
        )}
        <div>
          <dt>{course.dose ? 'read daily at' : 'daily at'}</dt>
          <dd>{timeOfMinute(course.readAtMinute)}</dd>
        </div>
        {course.definition.ends === 'move' && (
          <div>
            <dt>then to</dt>
            <dd>{course.moveToTankId ? tankById(journal, course.moveToTankId)?.name : 'not chosen'}</dd>
          </div>
        )}
        {course.overrides.map((one) => (
          <div key={one.rule}>
            <dt>set aside</dt>
            <dd>
              {ruleWords(one.rule)}: {setAsideWords(one)}
            </dd>
          </div>
        ))}
      </Facts>
      {open === null && (
        <Line $gap={18}>
          <PlainButton onPress={() => setOpen('change')}>change</PlainButton>
          {course.definition.kind !== 'plan' && (
            <PlainButton onPress={() => setOpen('event')}>something got in</PlainButton>
          )}
          {course.definition.kind === 'coral' && (
            <PlainButton onPress={() => setOpen('suspect')}>suspicion: all to day 0</PlainButton>
          )}
          <PlainButton onPress={() => setOpen('stop')}>stop the course</PlainButton>
        </Line>
      )}
      <div style={{ paddingTop: open ? 14 : 0 }}>
        {open === 'change' && <ChangeForm plan={plan} onDone={close} />}
        {(open === 'event' || open === 'suspect') && (
          <GotIn plan={plan} what={open === 'suspect' ? 'suspect' : 'tool'} onDone={close} />
        )}
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
  const keys = productKeys(course)
  const form = useForm({
    defaultValues: {
      products: Object.fromEntries(
        keys.map((key) => [key, course.products[key] ?? (course.dose?.id === key ? (course.productId ?? '') : '')]),
      ),
      readAt: timeOfMinute(course.readAtMinute),
      moveToTankId: course.moveToTankId ?? '',
    },
  })
  const send = form.handleSubmit(async ({ products, readAt, moveToTankId }) => {
    const chosen = Object.fromEntries(Object.entries(products).filter(([, id]) => id !== ''))
    const drugProduct = course.dose && chosen[course.dose.id]
    const changes: ContentOf<'course-change'>['changes'] = {
      ...(Object.keys(chosen).length > 0 && { products: { ...course.products, ...chosen } }),
      ...(drugProduct !== undefined && drugProduct !== null && { productId: drugProduct }),
      ...(/^\d\d:\d\d$/.test(readAt) && { readAt }),
      ...(moveToTankId !== '' && { moveToTankId, tanks: { ...course.tanks, observe: moveToTankId } }),
    }
    if (await keep([{ kind: 'course-change', happened: iso(thisInstant()), courseId: course.id, changes }])) onDone()
  })
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={14}>
        {keys.map((key) => {
          const agent = doseById(key)?.agent ?? course.definition.products.find(({ dose }) => dose === key)?.ingredient
          return (
            <SelectField
              key={key}
              control={form.control}
              name={`products.${key}`}
              label={
                course.dose?.id === key
                  ? 'Dosed with'
                  : (course.definition.products.find(({ dose }) => dose === key)?.label ?? key)
              }
              options={[
                { value: '', label: 'not chosen' },
                ...shelfOf(journal)
                  .filter(({ ingredient }) => ingredient === agent)
                  .map(({ id, name }) => ({ value: id, label: name })),
              ]}
            />
          )
        })}
        <TextField
          control={form.control}
          name="readAt"
          label={course.dose ? 'Read daily at' : 'Daily at'}
          type="time"
        />
        {course.definition.ends === 'move' && (
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

function StopForm({ plan, onDone }: FormProps) {
  const { course } = plan
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
        <Small>{stopWords(plan)}</Small>
        <TextField control={form.control} most={WORDS_LETTERS} name="why" label="Why" problem={problem} autoFocus />
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

/** What it means to stop a course now. */
function stopWords(plan: CoursePlan): string {
  if (plan.course.definition.kind === 'plan') return 'What was done stays on record; the parts can be scored on.'
  if (plan.fishless)
    return plan.fishless.state === 'full'
      ? 'The days are full.'
      : 'The days are not full: what needs a fish may still be there, and meets the first that comes back.'
  const isFull = isDrugPlan(plan) ? plan.clock.state === 'complete' : plan.rounds?.doneAt != null
  const left = isFull
    ? 'The count is full. '
    : 'The count is not full: parasites may be left, and the fish count as untreated. '
  return isDrugPlan(plan)
    ? `${left}The ${drugWord(plan.course)} stays in the water until carbon, resin or changes take it out.`
    : left
}

/** Doses of the catalogue that a course has a product for: its drug, and what else is dosed. */
const productKeys = ({ dose, definition }: CoursePlan['course']): string[] => [
  ...(dose ? [dose.id] : []),
  ...definition.products.map((product) => product.dose),
]
