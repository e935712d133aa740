import { Link } from 'react-aria-components'
import { styled } from 'styled-components'
import { fullCourseName } from '../../../core/courses/names.ts'
import { coursesOf, unknownCoursesOf, type UnknownCourse } from '../../../core/courses/course.ts'
import { coursePlan, type CoursePlan } from '../../../core/courses/plan.ts'
import { animalById, animalLabel } from '../../../core/household/animals.ts'
import { unknownDefinitionWords } from '../../../core/courses/unknown-words.ts'
import { tankById } from '../../../core/household/tanks.ts'
import { dayAs } from '../../../core/time/words.ts'
import { LeadStrip } from '../../courses/LeadStrip.tsx'
import { BrokenCourses } from '../../courses/BrokenCourses.tsx'
import { useRunningCourses } from '../../courses/usePlans.ts'
import { phaseWords, taskAmountText } from '../../courses/words.ts'
import { dueWords } from '../../schedule/words.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink } from '../../look/buttons.ts'
import { Page, PageHead } from '../../look/page.ts'
import { Figure, Heading, Line, Quiet, Rows, Small, Stack, Title } from '../../look/text.ts'
import { listed } from '../../../core/words/numbers.ts'

const CourseRow = styled(Link)`
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr) minmax(0, 0.9fr);
  gap: 4px 28px;
  align-items: center;
  padding: 14px 0;
  color: var(--ink);
  text-decoration: none;
  &[data-hovered] strong {
    text-decoration: underline;
  }
  strong {
    font-size: 18px;
  }
  @media (max-width: 759px) {
    grid-template-columns: minmax(0, 1fr);
  }
`

/** All treatments over days: those that run, with what is next, and those that are over. */
export function Courses() {
  const { journal, settings } = useHousehold()
  const { plans: running, broken } = useRunningCourses()
  const now = useNow()
  const unknown = unknownCoursesOf(journal)
  const over = coursesOf(journal)
    .filter(({ ended }) => ended)
    .map((course) => coursePlan(journal, course, settings, now))
  return (
    <Page>
      <PageHead>
        <Title>Courses</Title>
        <Line>
          <ButtonLink href="/courses/compare">Compare the schools</ButtonLink>
          <ButtonLink href="/courses/new">Start a course</ButtonLink>
        </Line>
      </PageHead>
      {running.length + over.length + unknown.length === 0 && (
        <Small>
          A course is a treatment over days. Brinvo works out its doses by the tank’s real volume, says what is due each
          day, and counts only the time that readings prove.
        </Small>
      )}
      <BrokenCourses broken={broken} />
      <Stack $gap={26}>
        {running.length > 0 && <Listing title="Running" plans={running} />}
        {unknown.length > 0 && <UnknownCourses courses={unknown} />}
        {over.length > 0 && <Listing title="Over" plans={over} />}
      </Stack>
    </Page>
  )
}

function Listing({ title, plans }: { title: string; plans: readonly CoursePlan[] }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { clock } = settings
  return (
    <section>
      <Heading>{title}</Heading>
      <Rows>
        {plans.map((plan) => {
          const { course, tasks } = plan
          const next = tasks[0]
          const who = course.animalIds.flatMap((id) => animalById(journal, id) ?? []).map(animalLabel)
          return (
            <li key={course.id} style={{ padding: 0 }}>
              <CourseRow href={`/courses/${course.id}`}>
                <span>
                  <strong>{fullCourseName(course)}</strong>
                  <br />
                  <Quiet>
                    {[tankById(journal, course.tankId)?.name, ...(who.length > 0 ? [listed(who)] : [])].join(', ')},
                    since {dayAs(clock.dayOf(course.startedAt), 'd MMMM')}
                  </Quiet>
                </span>
                <span>
                  <Figure $size={15}>{phaseWords(plan)}</Figure>
                  <LeadStrip plan={plan} zone={clock} now={now} small />
                </span>
                <span>
                  {next ? (
                    <>
                      {next.title}
                      {taskAmountText(next) && ` ${taskAmountText(next)}`} <Quiet>{dueWords(next, now, clock)}</Quiet>
                    </>
                  ) : (
                    <Quiet>{course.ended?.why ?? 'nothing due'}</Quiet>
                  )}
                </span>
              </CourseRow>
            </li>
          )
        })}
      </Rows>
    </section>
  )
}

/** Courses of a later version: on record, and not worked out here. */
function UnknownCourses({ courses }: { courses: readonly UnknownCourse[] }) {
  const { journal, settings } = useHousehold()
  return (
    <section>
      <Heading>Not known to this version</Heading>
      <Rows>
        {courses.map(({ id, definition, tankId, startedAt }) => (
          <li key={id}>
            <strong>{definition}</strong>{' '}
            <Quiet>
              {tankById(journal, tankId)?.name}, since {dayAs(settings.clock.dayOf(startedAt), 'd MMMM')}
            </Quiet>
            <br />
            <Small>{unknownDefinitionWords(definition)}</Small>
          </li>
        ))}
      </Rows>
    </section>
  )
}
