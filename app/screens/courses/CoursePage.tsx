import { lazy, Suspense, useMemo } from 'react'
import { useNavigate, useParams } from 'react-router'
import { styled } from 'styled-components'
import { courseName } from '../../../core/courses/names.ts'
import { copperFit } from '../../../core/courses/forecast.ts'
import { treatmentConcerns } from '../../../core/safety/concerns.ts'
import { shelfCheck } from '../../../core/courses/shelf-check.ts'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import { animalById, animalLabel } from '../../../core/household/animals.ts'
import { tankById } from '../../../core/household/tanks.ts'
import { dayAs, dayBeside, spanText } from '../../../core/time/words.ts'
import { ClockStrip } from '../../courses/ClockStrip.tsx'
import { TaskCard } from '../../courses/TaskCard.tsx'
import { dueOn, usePlan } from '../../courses/usePlans.ts'
import { amountText, phaseWords } from '../../courses/words.ts'
import { dueWords } from '../../schedule/words.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink } from '../../look/buttons.ts'
import { HandbookLink } from '../../look/HandbookLink.tsx'
import { Page, TwoParts } from '../../look/page.ts'
import { useIsPhone } from '../../look/useWidth.ts'
import { Bar, Figure, Heading, Quiet, Rows, Small, Stack, Title } from '../../look/text.ts'
import { figures, listed } from '../../../core/words/numbers.ts'
import { quantityText, volume } from '../../../core/words/quantities.ts'
import { HowItRuns } from './HowItRuns.tsx'
import { LearntVolumeOffer } from './LearntVolumeOffer.tsx'
import { Rules } from './Rules.tsx'
import { WhatIf } from './WhatIf.tsx'

const ConcentrationChart = lazy(() => import('./ConcentrationChart.tsx'))

const Legend = styled(Quiet)`
  font-size: 14px;
  @media (max-width: 759px) {
    display: none;
  }
`

const ChartRoom = styled.div`
  min-height: 330px;
`

const Ahead = styled.div`
  display: flex;
  justify-content: space-between;
  gap: 12px;
  font-size: 15px;
`

/** The page of one course. */
export function CoursePage() {
  const { courseId } = useParams()
  const plan = usePlan(courseId ?? '')
  if (!plan)
    return (
      <Page>
        <Stack>
          <Title>No such course</Title>
          <Small>The journal holds no course of this name: it may be in the other household.</Small>
          <div>
            <ButtonLink href="/courses">All courses</ButtonLink>
          </div>
        </Stack>
      </Page>
    )
  return <CourseBody plan={plan} />
}

function CourseBody({ plan }: { plan: CoursePlan }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { clock: zone, units } = settings
  const { course, facts, clock } = plan
  const tank = tankById(journal, course.tankId)
  const isPhone = useIsPhone()
  const fit = useMemo(() => copperFit(facts), [facts])
  const who = course.animalIds.flatMap((id) => animalById(journal, id) ?? []).map(animalLabel)
  const concerns = course.ended
    ? []
    : treatmentConcerns(
        journal,
        course.tankId,
        { ...course, agent: course.dose.agent, courseId: course.id },
        facts.now,
      ).filter(
        ({ severity, rule }) =>
          severity !== 'note' && !course.overrides.some((one) => one.rule === rule && severity !== 'never'),
      )
  return (
    <Page>
      <Stack $gap={4} style={{ marginBottom: 18 }}>
        <Title>{courseName(course.protocol, course.dose.id)}</Title>
        <Quiet>
          {tank?.name}
          {tank?.volume && `, ${quantityText(volume(tank.volume.netL, units))} net`} · {listed(who)} ·{' '}
          <HandbookLink to={`doses#${course.dose.id}`}>
            range {course.dose.low.toFixed(2)} to {course.dose.high.toFixed(2)} mg/L
          </HandbookLink>{' '}
          · since {dayAs(zone.dayOf(course.startedAt), 'd MMMM')}
        </Quiet>
      </Stack>
      <TwoParts>
        <Stack $gap={24}>
          {(plan.warnings.length > 0 || concerns.length > 0) && (
            <Stack $gap={10}>
              {plan.warnings.map(({ id, tone, text }) => (
                <Bar key={id} $tone={tone}>
                  {text}
                </Bar>
              ))}
              {concerns.map(({ rule, what, reason, severity }) => (
                <Bar key={rule + what} $tone={severity === 'caution' ? 'soon' : 'act'}>
                  {what}: {reason}. <HandbookLink to={`interactions#${rule}`}>handbook</HandbookLink>
                </Bar>
              ))}
            </Stack>
          )}
          {isPhone && <Next plan={plan} />}
          {course.ended && (
            <Bar $tone="second">
              {course.ended.outcome === 'finished' ? 'Finished' : 'Stopped'}{' '}
              {dayBeside(zone.dayOf(course.ended.at), zone.dayOf(now))}
              {course.ended.why && `: ${course.ended.why}`}.
            </Bar>
          )}
          <section>
            <Heading>
              <span>
                Time proven in range <Figure $size={15}>{phaseWords(plan)}</Figure>
              </span>
              <Legend>solid is proven, hatched is hoped for, a gap broke</Legend>
            </Heading>
            <div style={{ paddingTop: 16 }}>
              <ClockStrip plan={plan} zone={zone} now={now} />
            </div>
            {clock.hoursAboveHigh > 0 && (
              <Small>
                {spanText(clock.hoursAboveHigh)} over {course.dose.high.toFixed(2)} in all; the count goes on.
              </Small>
            )}
          </section>
          <section>
            <Heading>
              Copper in the water
              <Legend>bars: the kit’s uncertainty · flags: filled a dose, open a change</Legend>
            </Heading>
            <ChartRoom>
              <Suspense fallback={null}>
                <ConcentrationChart plan={plan} fit={fit} zone={zone} now={now} units={units} />
              </Suspense>
            </ChartRoom>
          </section>
          <LearntVolumeOffer plan={plan} fit={fit} />
          <ToCome plan={plan} />
        </Stack>
        <Stack $gap={24}>
          {!isPhone && <Next plan={plan} />}
          <ShelfLine plan={plan} />
          <WhatIf plan={plan} />
          <Rules plan={plan} />
          {!course.ended && <HowItRuns plan={plan} />}
        </Stack>
      </TwoParts>
    </Page>
  )
}

/** What is to do now, as in the ledger; or what is next. */
function Next({ plan }: { plan: CoursePlan }) {
  const { settings } = useHousehold()
  const now = useNow()
  const navigate = useNavigate()
  const { clock } = settings
  const today = clock.dayOf(now)
  const due = plan.tasks.filter((task) =>
    dueOn([plan], task.tankId, today, today, clock).some((one) => one.task.id === task.id),
  )
  const shown = due.length > 0 ? due : plan.tasks.slice(0, 1)
  if (plan.course.ended) return null
  return (
    <section>
      <Heading>{due.length > 0 ? 'Now' : 'Next'}</Heading>
      <Rows>
        {shown.map((task, i) => (
          <li key={task.id}>
            <TaskCard
              plan={plan}
              task={task}
              next={i === 0}
              heading="h3"
              onForm={(form) => void navigate(`/?tank=${task.tankId}&form=${form}`)}
            />
          </li>
        ))}
      </Rows>
    </section>
  )
}

const TO_COME = 6

/** The next things of the course after today's. */
function ToCome({ plan }: { plan: CoursePlan }) {
  const { settings } = useHousehold()
  const now = useNow()
  const { clock } = settings
  const today = clock.dayOf(now)
  const ahead = plan.tasks.filter(({ best, state }) => state === 'ahead' && clock.dayOf(best) > today)
  const soon = ahead.slice(0, TO_COME)
  // The end stands in the list however far it is.
  const end = ahead.find(({ kind }) => kind === 'move' || kind === 'clear' || kind === 'finish')
  const shown = end && !soon.includes(end) ? [...soon.slice(0, TO_COME - 1), end] : soon
  if (shown.length === 0) return null
  return (
    <section>
      <Heading>To come</Heading>
      <Rows>
        {shown.map((task) => (
          <li key={task.id}>
            <Ahead>
              <span>
                {task.title}
                {task.dose && (
                  <>
                    {' '}
                    <Figure>{amountText(task.dose)}</Figure>
                  </>
                )}
              </span>
              <Quiet>{dueWords(task, now, clock)}</Quiet>
            </Ahead>
          </li>
        ))}
      </Rows>
    </section>
  )
}

/** Whether the shelf holds what the course will still need, redoses included. */
function ShelfLine({ plan }: { plan: CoursePlan }) {
  const { journal, settings } = useHousehold()
  const { facts, clock } = plan
  const fit = useMemo(() => copperFit(facts), [facts])
  const lastDay = settings.clock.dayOf(clock.completesAt ?? facts.now + clock.requiredHours * 3_600_000)
  const check = plan.course.ended || plan.observation ? null : shelfCheck(journal, plan, fit, lastDay)
  if (!check) return null
  const { product, needed, left, enough, expires } = check
  const about = `about ${figures(needed, 2)} ${product.unit} still to come, water changes and redoses included`
  return (
    <section>
      <Heading>
        On the shelf
        <Figure $size={15}>{left === null ? 'not counted' : `${figures(left)} ${product.unit}`}</Figure>
      </Heading>
      <Stack $gap={6} style={{ paddingTop: 8 }}>
        {enough === false ? (
          <Bar $tone="act">
            Too little: {about}, and {figures(left!)} {product.unit} are left of {product.name}.
          </Bar>
        ) : (
          <Small style={{ fontSize: 15 }}>
            {product.name}: {about}.
          </Small>
        )}
        {expires && <Bar $tone="soon">Its use-by date falls before the end of the course.</Bar>}
      </Stack>
    </section>
  )
}
