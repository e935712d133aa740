import type { CaseTable } from '../../../core/catalogue/diagnosis/diagnosis.types.ts'
import type { ConditionFacts } from '../../../core/diagnosis/condition-facts.ts'
import { isChemical, nextSteps } from '../../../core/diagnosis/next-steps.ts'
import { ButtonLink } from '../../look/buttons.ts'
import { Bar, Line, Small } from '../../look/text.ts'

/** From a condition one step to what fits it: a course with its first dose worked out. */
export function FurtherSteps({
  table,
  facts,
  tankId,
  caseId,
  isConfirmed,
}: {
  table: CaseTable
  facts: ConditionFacts
  tankId: string | null
  caseId: string | null
  isConfirmed: boolean
}) {
  const steps = nextSteps(table, facts)
  if (steps.length === 0) return null
  const start = (definition: string) =>
    `/courses/new?${new URLSearchParams({
      definition,
      for: facts.id,
      ...(tankId !== null && { tank: tankId }),
      ...(caseId !== null && { case: caseId }),
    }).toString()}`
  return (
    <>
      <Line $gap={8}>
        {steps.map(({ definition, label }) => (
          <ButtonLink key={definition} href={start(definition)}>
            {label}
          </ButtonLink>
        ))}
      </Line>
      {steps.map(
        ({ definition, label, caution }) =>
          caution !== undefined && (
            <Bar key={definition} $tone="soon">
              {label}: {caution}.
            </Bar>
          ),
      )}
      {!isConfirmed && steps.some(isChemical) && (
        <Bar $tone="soon">
          One confirming check first, by microscope or by a test: a treatment of the wrong thing feeds the real pest.
        </Bar>
      )}
      <Small>Opens with its cautions and its first dose worked out; nothing starts before you say so.</Small>
    </>
  )
}
