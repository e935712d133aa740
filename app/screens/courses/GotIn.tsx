import { useState } from 'react'
import { useForm } from 'react-hook-form'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import { CAME_IN_WORDS } from '../../../core/courses/wait-warnings.ts'
import { tanksOf } from '../../../core/household/tanks.ts'
import type { Content, ContentOf } from '../../../core/journal/entry.ts'
import { iso } from '../../../core/time/zone.ts'
import { CountEffects } from '../../courses/CountEffects.tsx'
import { tankOfPlan } from '../../courses/usePlans.ts'
import { SelectField } from '../../fields/fields.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PlainButton } from '../../look/buttons.ts'
import { Line, Small, Stack } from '../../look/text.ts'
import { CONTACT_WORDS } from '../../words/entries.ts'

type What = ContentOf<'contact'>['what']

/** Something wet of another system got in: what it means, what it sets back, and then it is logged. */
export function GotIn({ plan, onDone }: { plan: CoursePlan; onDone: () => void }) {
  const { journal } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [startedAt] = useState(() => thisInstant())
  const tankId = tankOfPlan(plan)
  const form = useForm<{ what: What; from: string }>({ defaultValues: { what: 'tool', from: '' } })
  const { what, from } = form.watch()
  const contentAt = (at: number): Content =>
    // A fish that nobody has on record comes into a school as an event of that school.
    what === 'fish' && !plan.fishless
      ? { kind: 'course-event', happened: iso(at), courseId: plan.course.id, event: 'new-fish-added' }
      : { kind: 'contact', happened: iso(at), tankId, what, ...(from !== '' && { from }) }
  return (
    <Stack $gap={12}>
      <SelectField
        control={form.control}
        name="what"
        label="What got in"
        options={Object.entries(CONTACT_WORDS).map(([value, label]) => ({ value, label }))}
        hint={CAME_IN_WORDS[what]}
      />
      <SelectField
        control={form.control}
        name="from"
        label="From"
        options={[
          { value: '', label: 'outside, or not known' },
          ...tanksOf(journal)
            .filter(({ id }) => id !== tankId)
            .map(({ id, name }) => ({ value: id, label: name })),
        ]}
      />
      <CountEffects content={contentAt(startedAt)} now={now} />
      {plan.course.definition.kind === 'coral' && (
        <Small>
          One suspect coral, snail or hitchhiker is enough: log it here, and the whole batch is at day 0 again.
        </Small>
      )}
      <Small>A fish that is moved or arrives by the ledger is counted without this.</Small>
      {unkept && <UnkeptNote unkept={unkept} />}
      <Line>
        <Button
          isDisabled={busy}
          onPress={() => void keep([contentAt(thisInstant())]).then((kept) => kept && onDone())}
        >
          Log it
        </Button>
        <PlainButton onPress={onDone}>cancel</PlainButton>
      </Line>
    </Stack>
  )
}
