import type { Control } from 'react-hook-form'
import { PROSE } from '../../../../core/catalogue/courses/prose.data.ts'
import type { Definition } from '../../../../core/catalogue/courses/definitions.ts'
import { ingredientById } from '../../../../core/catalogue/ingredient.ts'
import { HANDLING_LIMITS } from '../../../../core/handling/points.ts'
import { CheckField } from '../../../fields/fields.tsx'
import type { Problem } from '../../../fields/shell.tsx'
import { Bar, Heading, Small } from '../../../look/text.ts'
import { Wrong } from './ConcernFields.tsx'
import type { StartValues } from '../../../../core/courses/start-form/start-form.ts'

/** What a course asks of each fish, and the tick where that is too much to go unread. */
export function LoadAsked({
  control,
  load,
  isAsked,
  isByVet,
  problem,
}: {
  control: Control<StartValues>
  load: number
  isAsked: boolean
  isByVet: boolean
  problem: Problem | undefined
}) {
  return (
    <section>
      <Heading>What it asks of each fish</Heading>
      <Small>
        Handling load {load} in the worst week: catching, moves, baths and salinity steps.{' '}
        {load > HANDLING_LIMITS.said
          ? `Over ${HANDLING_LIMITS.said}: hard on a weak fish.`
          : 'A healthy fish bears it.'}
      </Small>
      {isAsked && (
        <>
          <CheckField
            control={control}
            name="isLoadAccepted"
            label={
              isByVet
                ? `A veterinarian has asked for so many baths: over ${HANDLING_LIMITS.asked} wears a fish down`
                : `I have read it: over ${HANDLING_LIMITS.asked} wears a fish down`
            }
          />
          {problem && <Wrong role="alert">{problem.message}</Wrong>}
        </>
      )}
    </section>
  )
}

/** The cautions of a course before it starts: its drug's, its law, and what stands in its definition. */
export function StartCautions({ definition, agent }: { definition: Definition; agent: string | undefined }) {
  const drug = agent === undefined ? undefined : ingredientById(agent)
  return (
    <Bar $tone="soon">
      {drug
        ? `${drug.caution ?? ''} ${drug.law ?? ''} Follow the label; ask a licensed aquatic veterinarian for weak or scaleless fish.`
        : (PROSE[definition.id]?.cautions ?? []).join(' ')}
    </Bar>
  )
}
