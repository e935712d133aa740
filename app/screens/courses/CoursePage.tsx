import { useMemo, type ReactNode } from 'react'
import { useNavigate, useParams } from 'react-router'
import { styled } from 'styled-components'
import type { Track } from '../../../core/catalogue/courses/definitions.ts'
import { DEFINITIONS } from '../../../core/catalogue/courses/all-definitions.ts'
import { unknownCoursesOf } from '../../../core/courses/course.ts'
import { unknownDefinitionWords } from '../../../core/courses/unknown-words.ts'
import { fullCourseName } from '../../../core/courses/names.ts'
import { treatedUntreatedOf } from '../../../core/courses/outlook/plans/treated-untreated.ts'
import { workLeftOf } from '../../../core/courses/outlook/plans/work-left.ts'
import { levelFit } from '../../../core/courses/outlook/forecast.ts'
import { isInteraction } from '../../../core/safety/rule-words.ts'
import { treatmentConcerns } from '../../../core/safety/judge/treat-water.ts'
import { shelfCheck } from '../../../core/courses/amounts/shelf-check.ts'
import { isDrugPlan, type CoursePlan, type DrugPlan } from '../../../core/courses/plan.ts'
import { animalById, animalLabel } from '../../../core/household/animals.ts'
import { tankById } from '../../../core/household/tanks.ts'
import { countdownText, dayAs, dayBeside, momentBeside } from '../../../core/time/words.ts'
import { MS_PER_HOUR } from '../../../core/time/zone.ts'
import { RelapseBar } from '../../courses/RelapseBar.tsx'
import { TaskCard } from '../../courses/TaskCard.tsx'
import { dueOn, tankOfPlan, usePlan } from '../../courses/usePlans.ts'
import { taskAmountText } from '../../courses/words.ts'
import { dueWords } from '../../schedule/words.ts'
import { Boundary } from '../../frame/boundary/Boundary.tsx'
import { BoardPanel } from './panels/BoardPanel.tsx'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink, PlainLink } from '../../look/buttons.ts'
import { HandbookLink } from '../../look/HandbookLink.tsx'
import { Missing } from '../../look/Missing.tsx'
import { Page, TwoParts } from '../../look/page.ts'
import { useIsPhone } from '../../look/useWidth.ts'
import { Bar, Figure, Heading, Quiet, Rows, Small, Stack, Title } from '../../look/text.ts'
import { figures, listed } from '../../../core/words/numbers.ts'
import { quantityText, volume } from '../../../core/words/quantities.ts'
import { Aftercare } from './Aftercare.tsx'
import { Consequences } from './Consequences.tsx'
import { HandlingPanel } from './HandlingPanel.tsx'
import { HowItRuns } from './HowItRuns.tsx'
import { FeedsPanel } from './panels/FeedsPanel.tsx'
import { ComparisonPanel } from './panels/ComparisonPanel.tsx'
import { PumpPanel } from './panels/PumpPanel.tsx'
import { LookBackPanel } from './panels/LookBackPanel.tsx'
import { WorkLeftPanel } from './panels/WorkLeftPanel.tsx'
import { AlkalinityPanel } from './panels/AlkalinityPanel.tsx'
import { PANELS, panelKindOf } from './panels/panels.tsx'
import { Rules } from './Rules.tsx'
import { vetPageHref } from '../../courses/vet-page-href.ts'
import { definitionLabel } from './start/labels.ts'
import { WhatIf } from './what-if/WhatIf.tsx'

const Ahead = styled.div`
  display: flex;
  justify-content: space-between;
  gap: 12px;
  font-size: 15px;
`

/** The page of one course. */
export function CoursePage() {
  const { courseId } = useParams()
  const { journal } = useHousehold()
  const plan = usePlan(courseId ?? '')
  const unknown = plan ? undefined : unknownCoursesOf(journal).find(({ id }) => id === courseId)
  if (unknown)
    return (
      <Page>
        <Stack>
          <Title>{unknown.definition}</Title>
          <Bar $tone="soon">{unknownDefinitionWords(unknown.definition)}</Bar>
          <Small>Its entries are kept, and go with every export.</Small>
          <div>
            <ButtonLink href="/courses">All courses</ButtonLink>
          </div>
        </Stack>
      </Page>
    )
  if (!plan)
    return (
      <Missing title="No such course" back="All courses" href="/courses">
        The journal holds no course of this name: it may be in the other household.
      </Missing>
    )
  return <CourseBody plan={plan} />
}

/** A part of the page that breaks alone. */
const Held = ({ name, children }: { name: string; children: ReactNode }) => (
  <Boundary name={name} extent="part" resets={[useHousehold().revision]}>
    {children}
  </Boundary>
)

/** Drawn as a component, so that what breaks in it breaks inside its boundary. */
const TrackPanel = ({ plan, track }: { plan: CoursePlan; track: Track }) => PANELS[panelKindOf(track)](plan, track.id)

/** One frame for every course: what it is, what changes what to do, what is next, a panel a count, and its rules. */
function CourseBody({ plan }: { plan: CoursePlan }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { clock: zone, units } = settings
  const { course, facts } = plan
  const tank = tankById(journal, tankOfPlan(plan))
  const isPhone = useIsPhone()
  const who = course.animalIds.flatMap((id) => animalById(journal, id) ?? []).map(animalLabel)
  const drug = isDrugPlan(plan) ? plan : null
  const work = workLeftOf(journal, plan)
  const compared = treatedUntreatedOf(plan)
  const concerns =
    course.ended || !drug
      ? []
      : treatmentConcerns(
          journal,
          course.tankId,
          {
            dose: drug.course.dose,
            direct: course.direct,
            rampHours: course.rampHours,
            agent: drug.course.dose.agent,
            courseId: course.id,
          },
          facts.now,
        ).filter(
          ({ severity, rule }) =>
            severity !== 'note' && !course.overrides.some((one) => one.rule === rule && severity !== 'never'),
        )
  return (
    <Page>
      <Stack $gap={4} style={{ marginBottom: 18 }}>
        <Title>{fullCourseName(course)}</Title>
        <Quiet>
          {tank?.name}
          {tank?.volume && `, ${quantityText(volume(tank.volume.netL, units))} net`}
          {who.length > 0 && ` · ${listed(who)}`}
          {drug && (
            <>
              {' · '}
              <HandbookLink to={`doses#${drug.course.dose.id}`}>
                range {drug.course.dose.low.toFixed(2)} to {drug.course.dose.high.toFixed(2)} mg/L
              </HandbookLink>
            </>
          )}
          {' · '}
          {plan.phase === 'ahead' ? 'from' : 'since'} {dayAs(zone.dayOf(course.startedAt), 'd MMMM')}
        </Quiet>
      </Stack>
      {plan.rounds?.dueBy != null && !course.ended && <NextMove dueBy={plan.rounds.dueBy} />}
      <TwoParts>
        <Stack $gap={24}>
          {(plan.warnings.length > 0 || concerns.length > 0) && (
            <Stack $gap={10}>
              {plan.warnings.map(({ id, tone, text, offers }) => (
                <Bar key={id} $tone={tone}>
                  {text}{' '}
                  {offers && (
                    <PlainLink href={`/courses/new?definition=${offers.definitionId}&tank=${tankOfPlan(plan)}`}>
                      {offers.label}
                    </PlainLink>
                  )}
                </Bar>
              ))}
              {concerns.map(({ rule, what, reason, severity }) => (
                <Bar key={rule + what} $tone={severity === 'caution' ? 'soon' : 'act'}>
                  {what}: {reason}.{' '}
                  {isInteraction(rule) && <HandbookLink to={`interactions#${rule}`}>handbook</HandbookLink>}
                </Bar>
              ))}
            </Stack>
          )}
          <Held name="The water that is shared">
            {!course.ended && <BoardPanel tankId={tankOfPlan(plan)} least={2} />}
          </Held>
          {isPhone && <Next plan={plan} />}
          {course.ended && (
            <Bar $tone="second">
              {course.ended.outcome === 'finished' ? 'Finished' : 'Stopped'}{' '}
              {dayBeside(zone.dayOf(course.ended.at), zone.dayOf(now))}
              {course.ended.why && `: ${course.ended.why}`}.
            </Bar>
          )}
          <RelapseBar plan={plan} />
          <Held name="What changes the course">
            <Consequences plan={plan} />
          </Held>
          {course.definition.tracks.map((track) => (
            <Held key={track.id} name="This panel">
              <TrackPanel plan={plan} track={track} />
            </Held>
          ))}
          <Held name="The pump">{course.definition.byPump && tank && <PumpPanel tank={tank} />}</Held>
          <Held name="Looking back">{course.definition.looksBack && <LookBackPanel plan={plan} />}</Held>
          <Held name="The comparison">{compared && <ComparisonPanel compared={compared} />}</Held>
          <Held name="Work left">{work && <WorkLeftPanel work={work} />}</Held>
          {(course.definition.kind === 'coral' || plan.fishless) && <AlkalinityPanel plan={plan} />}
          {course.definition.steps.some(({ id }) => id === 'pumps-on') && <FeedsPanel plan={plan} />}
          <Held name="The next days">
            <ToCome plan={plan} />
          </Held>
        </Stack>
        <Stack $gap={24}>
          {!isPhone && <Next plan={plan} />}
          {OF_FISH.has(course.definition.kind) && course.animalIds.length > 0 && (
            <Small>
              <PlainLink href={vetPageHref(course.animalIds)}>Page for the veterinarian</PlainLink>
            </Small>
          )}
          {course.caseId !== null && (
            <Small>
              <PlainLink href={`/diagnose/${course.caseId}`}>The case that it answers</PlainLink>
            </Small>
          )}
          {drug && <ShelfLine plan={drug} />}
          <Held name="What if">
            <WhatIf plan={plan} />
          </Held>
          <Held name="Handling">
            <HandlingPanel plan={plan} />
          </Held>
          <Held name="What follows">
            <GoesOn plan={plan} />
          </Held>
          <Held name="Aftercare">
            <Aftercare plan={plan} />
          </Held>
          <Held name="Rules">
            <Rules plan={plan} />
          </Held>
          <Held name="How it runs">{!course.ended && <HowItRuns plan={plan} />}</Held>
        </Stack>
      </TwoParts>
    </Page>
  )
}

/** Kinds of course that are of fish. */
const OF_FISH: ReadonlySet<string> = new Set(['school', 'add-on'])

const InSight = styled.div`
  position: sticky;
  top: 0;
  z-index: 3;
  display: flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 2px 14px;
  margin: 0 0 14px;
  padding: 8px 0;
  background: var(--ground);
  border-bottom: 1.5px solid var(--ink);
`

/** The next move in hours and minutes: in sight wherever the page stands. */
function NextMove({ dueBy }: { dueBy: number }) {
  const { settings } = useHousehold()
  const now = useNow()
  const hours = (dueBy - now) / MS_PER_HOUR
  return (
    <InSight role="timer" aria-label="Next move">
      <Figure $size={38} style={hours < 0 ? { color: 'var(--act)' } : undefined}>
        {countdownText(hours)}
      </Figure>
      <span>
        {hours < 0 ? 'over the time of the next move, it was due by' : 'left for the next move, by'}{' '}
        <strong>{momentBeside(dueBy, now, settings.clock)}</strong>
      </span>
    </InSight>
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

/** Schools that follow once the doses are full: the course covers neither ich nor velvet. */
function GoesOn({ plan }: { plan: CoursePlan }) {
  const { course, doses } = plan
  const isFull = doses.length > 0 && doses.every(({ state }) => state === 'full')
  const schools = DEFINITIONS.filter(({ id }) => course.definition.goesOn?.includes(id))
  if (schools.length === 0 || (!isFull && !course.ended)) return null
  return (
    <section>
      <Heading>Then one of these</Heading>
      <Small>It covers neither ich nor velvet: a school against them goes on.</Small>
      <Rows>
        {schools.map((school) => (
          <li key={school.id}>
            <PlainLink href={`/courses/new?definition=${school.id}&tank=${course.tankId}`}>
              {definitionLabel(school)}
            </PlainLink>
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
  const end = ahead.find(({ step }) => step === 'move' || step === 'clear' || step === 'close')
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
                {taskAmountText(task) && (
                  <>
                    {' '}
                    <Figure>{taskAmountText(task)}</Figure>
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
function ShelfLine({ plan }: { plan: DrugPlan }) {
  const { journal, settings } = useHousehold()
  const { facts, clock } = plan
  const fit = useMemo(() => levelFit(facts), [facts])
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
