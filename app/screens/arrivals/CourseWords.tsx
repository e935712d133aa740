import { Link } from 'react-aria-components'
import { fullCourseName } from '../../../core/courses/names.ts'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import { tankOfPlan, useRunningPlans } from '../../courses/usePlans.ts'
import { phaseWords } from '../../courses/words.ts'
import { Bar } from '../../look/text.ts'

/** What a move would do to courses at either end. */
export function CourseWords({ from, to }: { from: Tank; to: Tank }) {
  const plans = useRunningPlans()
  const isUndone = ({ phase }: CoursePlan) => phase === 'ramp' || phase === 'hold' || phase === 'moving'
  const nameOf = ({ course }: CoursePlan) => fullCourseName(course)
  return (
    <>
      {plans
        .filter((plan) => tankOfPlan(plan) === from.id)
        .map((plan) => (
          <Bar key={plan.course.id} $tone={isUndone(plan) ? 'act' : 'soon'}>
            {nameOf(plan)} runs in {from.name}, {phaseWords(plan)}
            {isUndone(plan) ? ': not done, and who goes now takes along what it was for.' : '.'} Its{' '}
            <Link href={`/courses/${plan.course.id}`}>own page</Link> says when its fish may go, and by which rules.
            Only the animal goes across, no water, net or pipe.
          </Bar>
        ))}
      {plans
        .filter((plan) => tankOfPlan(plan) === to.id)
        .map((plan) => (
          <Bar key={plan.course.id} $tone="act">
            {nameOf(plan)} runs in {to.name}: a fish that comes starts its count over.
          </Bar>
        ))}
    </>
  )
}
