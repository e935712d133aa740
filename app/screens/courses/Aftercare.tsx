import { AFTERCARE_ID, aftercareOffer } from '../../../core/courses/outlook/plans/aftercare.ts'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink, PlainLink } from '../../look/buttons.ts'
import { Heading, Small, Stack } from '../../look/text.ts'

/** After a plan: the course that brings back what was off and looks each week, offered once the plan is over or reached. */
export function Aftercare({ plan }: { plan: CoursePlan }) {
  const { journal } = useHousehold()
  const { course } = plan
  const offer = aftercareOffer(journal, plan)
  if (!offer) return null
  const query = new URLSearchParams([
    ['definition', AFTERCARE_ID],
    ['tank', course.tankId],
    ...offer.choices.map((choice) => ['for', choice]),
    ...(course.caseId === null ? [] : [['case', course.caseId]]),
  ])
  return (
    <section>
      <Heading>Gone, and stays gone</Heading>
      <Stack $gap={8} style={{ paddingTop: 8 }}>
        {offer.begunId !== null ? (
          <PlainLink href={`/courses/${offer.begunId}`}>The weeks after, under way</PlainLink>
        ) : (
          <>
            <Small>
              Nutrients, light, grazers and stock back one by one, and a look each week: what hides outlasts what is
              seen by four to eight weeks.
            </Small>
            <div>
              <ButtonLink href={`/courses/new?${query.toString()}`}>Begin the weeks after</ButtonLink>
            </div>
          </>
        )}
      </Stack>
    </section>
  )
}
