import { Link } from 'react-aria-components'
import { styled } from 'styled-components'
import { boxIdOf } from '../../../core/arrivals/box/boxes.ts'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import { shortCourseName } from '../../../core/courses/names.ts'
import { openCases, tankOfCase, type OpenCase } from '../../../core/diagnosis/open-cases.ts'
import { expectedOf, type ExpectedArrival } from '../../../core/household/expected.ts'
import { tankById } from '../../../core/household/tanks.ts'
import type { Journal } from '../../../core/journal/journal.ts'
import { timeOf } from '../../../core/time/words.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink } from '../../look/buttons.ts'
import { Bar, Quiet } from '../../look/text.ts'
import { caseName } from '../../words/case-entries.ts'
import { newcomerName } from '../../words/entries.ts'
import { tankOfPlan } from '../../courses/usePlans.ts'

const List = styled.ul`
  border-bottom: 2px solid var(--ink);
  padding: 6px 0 10px;
  li {
    padding: 7px 0;
  }
`

const Row = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
`

const Words = styled.div`
  font-size: 17px;
  line-height: 1.25;
  strong {
    display: block;
  }
`

const CaseLink = styled(Link)`
  display: flex;
  align-items: center;
  min-height: 44px;
  gap: 8px;
  color: var(--ink);
  font-size: 16px;
  font-weight: 600;
`

/** What comes before every task: boxes at the door, what changes what to do in a course, and cases that are open. */
export interface PressingThings {
  boxes: readonly ExpectedArrival[][]
  alarms: readonly { plan: CoursePlan; id: string; text: string }[]
  cases: readonly OpenCase[]
}

/**
 * What presses in the household.
 * @param endOfToday ms: a box that comes later is none of today
 */
export function pressingThings(journal: Journal, plans: readonly CoursePlan[], endOfToday: number): PressingThings {
  const boxes = new Map<string, ExpectedArrival[]>()
  for (const one of expectedOf(journal))
    if (one.dueAt < endOfToday) boxes.set(boxIdOf(one), [...(boxes.get(boxIdOf(one)) ?? []), one])
  return {
    boxes: [...boxes.values()],
    alarms: plans.flatMap((plan) =>
      plan.warnings.flatMap(({ id, tone, text }) => (tone === 'act' ? [{ plan, id, text }] : [])),
    ),
    cases: openCases(journal),
  }
}

export const isPressing = ({ boxes, alarms, cases }: PressingThings): boolean =>
  boxes.length + alarms.length + cases.length > 0

/** A box first, until the last animal is out of it; then alarms; then cases. */
export function PressingList({ things: { boxes, alarms, cases } }: { things: PressingThings }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const nameOf = (tankId: string) => tankById(journal, tankId)?.name ?? ''
  return (
    <List aria-label="Before everything else">
      {boxes.map((animals) => {
        const [first] = animals as [ExpectedArrival]
        const time = timeOf(first.dueAt, settings.clock)
        return (
          <li key={boxIdOf(first)}>
            <Row>
              <Words>
                <strong>{animals.map(newcomerName).join(', ')}</strong>
                <Quiet>
                  {first.dueAt < now ? `a box, expected since ${time}` : `a box, expected at ${time}`}, for{' '}
                  {[...new Set(animals.map(({ tankId }) => nameOf(tankId)))].join(' and ')}
                </Quiet>
              </Words>
              <ButtonLink href={`/arrivals/box/${boxIdOf(first)}/inspect`}>The box is here</ButtonLink>
            </Row>
          </li>
        )
      })}
      {alarms.map(({ plan, id, text }) => (
        <li key={`${plan.course.id} ${id}`}>
          <Bar $tone="act">
            {text}{' '}
            <Link href={`/courses/${plan.course.id}`}>
              {shortCourseName(plan.course)}, {nameOf(tankOfPlan(plan))}
            </Link>
          </Bar>
        </li>
      ))}
      {cases.map(({ id, start }) => (
        <li key={id}>
          <CaseLink href={`/diagnose/${id}`}>
            Open case: {caseName(start)}, {nameOf(tankOfCase(journal, start))}
          </CaseLink>
        </li>
      ))}
    </List>
  )
}
