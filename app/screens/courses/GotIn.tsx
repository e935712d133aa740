import { useState } from 'react'
import { useForm } from 'react-hook-form'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import type { Content, ContentOf } from '../../../core/journal/entry.ts'
import { iso } from '../../../core/time/zone.ts'
import { ContactFields } from '../../courses/ContactFields.tsx'
import { CountEffects } from '../../courses/CountEffects.tsx'
import { tankOfPlan } from '../../courses/usePlans.ts'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { Button, PlainButton } from '../../look/buttons.ts'
import { Line, Small, Stack } from '../../look/text.ts'

type What = ContentOf<'contact'>['what']

/** Something wet of another system got in: what it means, what it sets back, and then it is logged. */
export function GotIn({ plan, what: first, onDone }: { plan: CoursePlan; what: What; onDone: () => void }) {
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [startedAt] = useState(() => thisInstant())
  const tankId = tankOfPlan(plan)
  const form = useForm<{ what: What; from: string }>({ defaultValues: { what: first, from: '' } })
  const { what, from } = form.watch()
  const contentAt = (at: number): Content =>
    // A fish that nobody has on record comes into a school as an event of that school.
    what === 'fish' && !plan.fishless
      ? { kind: 'course-event', happened: iso(at), courseId: plan.course.id, event: 'new-fish-added' }
      : { kind: 'contact', happened: iso(at), tankId, what, ...(from !== '' && { from }) }
  return (
    <Stack $gap={12}>
      <ContactFields control={form.control} tankId={tankId} what={what} label="What got in" />
      <CountEffects content={contentAt(startedAt)} now={now} />
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
