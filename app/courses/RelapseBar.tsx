import { relapseOf } from '../../core/courses/outlook/plans/aftercare.ts'
import { reopenContent } from '../../core/diagnosis/cases.ts'
import type { CoursePlan } from '../../core/courses/plan.ts'
import { thisInstant } from '../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../journal/keeping.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { Button, ButtonLink } from '../look/buttons.ts'
import { Bar, Line, Stack } from '../look/text.ts'
import { caseName } from '../words/case-entries.ts'

/** The start form of the plan before, with its tank, its case and what was chosen for it. */
const againHref = (
  { tankId, caseId }: CoursePlan['course'],
  { definitionId, choices }: { definitionId: string; choices: readonly string[] },
): string =>
  `/courses/new?${new URLSearchParams([
    ['definition', definitionId],
    ['tank', tankId],
    ...choices.map((choice) => ['for', choice]),
    ...(caseId === null ? [] : [['case', caseId]]),
  ]).toString()}`

/** It is back: the case opens again, or a new one is begun. */
export function RelapseBar({ plan }: { plan: CoursePlan }) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const relapse = relapseOf(journal, plan)
  if (!relapse) return null
  const { closed, what, again } = relapse
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
        {again && (
          <ButtonLink href={againHref(plan.course, again)}>Begin “{again.name}” again, as it was set</ButtonLink>
        )}
      </Line>
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}
