import { dosesToCome } from '../../../../core/courses/outlook/count-what-if.ts'
import { isDrugPlan, type CoursePlan } from '../../../../core/courses/plan.ts'
import { Heading } from '../../../look/text.ts'
import { DipQuestions, DoseQuestions, SalinityQuestions, WatchQuestions } from './CountQuestions.tsx'
import { DrugQuestions } from './DrugQuestions.tsx'
import { LateMove } from './LateMove.tsx'
import { PlanQuestions } from './PlanQuestions.tsx'

/** What a keeper asks of a course before doing something, by what the course counts. Nothing of it is kept. */
export function WhatIf({ plan }: { plan: CoursePlan }) {
  if (plan.course.ended || plan.phase === 'ahead') return null
  const { observation } = plan
  const drug = isDrugPlan(plan) && !observation && plan.known ? plan : null
  const isPlan = plan.course.definition.kind === 'plan'
  const isSalinity = plan.salinity !== null && plan.salinity.clock.state !== 'complete'
  const isMoving = plan.rounds !== null && plan.rounds.dueBy !== null
  const isDipped = plan.dips !== null && plan.dips.nextAt !== null
  const hasDoses = dosesToCome(plan).length > 0
  if (!drug && !isPlan && !isSalinity && !isMoving && !isDipped && !hasDoses && !observation) return null
  return (
    <section>
      <Heading>What if</Heading>
      {drug && <DrugQuestions plan={drug} />}
      {isMoving && <LateMove plan={plan} />}
      {isSalinity && <SalinityQuestions plan={plan} />}
      {hasDoses && <DoseQuestions plan={plan} />}
      {isDipped && <DipQuestions plan={plan} />}
      {observation && <WatchQuestions plan={plan} />}
      {isPlan && <PlanQuestions plan={plan} />}
    </section>
  )
}
