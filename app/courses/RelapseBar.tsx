import { relapseOf } from '../../core/courses/outlook/plans/aftercare.ts'
import { reopenContent } from '../../core/diagnosis/cases.ts'
import type { CoursePlan } from '../../core/courses/plan.ts'
import { thisInstant } from '../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../journal/keeping.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { Button, ButtonLink } from '../look/buttons.ts'
import { Bar, Line, Stack } from '../look/text.ts'
import { caseName } from '../words/case-entries.ts'

/** It is back: the case opens again, or a new one is begun. */
export function RelapseBar({ plan }: { plan: CoursePlan }) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const relapse = relapseOf(journal, plan)
  if (!relapse) return null
  const { closed, what } = relapse
  return (
    <Stack $gap={8}>
      <Bar $tone="act">It is back: {what}.</Bar>
      <Line>
        {closed ? (
          <Button isDisabled={busy} onPress={() => void keep([reopenContent(closed, thisInstant(), what)])}>
            Open “{caseName(closed.start)}” again
          </Button>
        ) : plan.course.caseId !== null ? (
          <ButtonLink href={`/diagnose/${plan.course.caseId}`}>Its case is open</ButtonLink>
        ) : (
          <ButtonLink href={`/diagnose?tank=${plan.course.tankId}`}>Begin a case</ButtonLink>
        )}
      </Line>
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}
