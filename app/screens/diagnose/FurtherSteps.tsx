import type { CaseTable } from '../../../core/catalogue/diagnosis/diagnosis.types.ts'
import type { ConditionFacts } from '../../../core/diagnosis/condition-facts.ts'
import { fitsDecision } from '../../../core/diagnosis/decide.ts'
import { isChemical, nextSteps } from '../../../core/diagnosis/next-steps.ts'
import { ButtonLink } from '../../look/buttons.ts'
import { Bar, Line, Small } from '../../look/text.ts'
import { DecideWay, useDecision } from './DecideWay.tsx'

/** What fits the decision has the stronger border. */
const FITTING = { borderWidth: 3, fontWeight: 700 } as const

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
  const asked = useDecision(table, facts, isConfirmed)
  const isOutbreak = table !== 'marine-fish' && table !== 'freshwater-fish'
  const fits = (definition: string) => isOutbreak && fitsDecision(asked.decision, definition)
  // What fits the decision stands first.
  const steps = nextSteps(table, facts).sort((a, b) => Number(fits(b.definition)) - Number(fits(a.definition)))
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
      {isOutbreak && <DecideWay table={table} facts={facts} asked={asked} />}
      <Line $gap={8}>
        {steps.map(({ definition, label }) => (
          <ButtonLink key={definition} href={start(definition)} style={fits(definition) ? FITTING : undefined}>
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
