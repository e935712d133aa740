import Type, { type Static } from 'typebox'
import { finite, fraction, nonNegative, oneOf, strict } from '../schema/types.ts'

const word = () => Type.String({ minLength: 1, maxLength: 120 })

export const SignTable = strict({
  conditions: Type.Array(
    strict({
      id: word(),
      prior: nonNegative('its weight among the conditions of the table'),
      signs: Type.Record(word(), fraction('how often the sign is seen in it')),
    }),
    { minItems: 1, maxItems: 500 },
  ),
})
export type SignTable = Static<typeof SignTable>

export const DiagnosisInput = strict({
  catalogue: Type.Union([word(), SignTable]),
  setting: Type.Optional(oneOf(['new-arrival', 'established'] as const)),
  present: Type.Array(word(), { maxItems: 1_000 }),
  absent: Type.Optional(Type.Array(word(), { maxItems: 1_000 })),
})
export type DiagnosisInput = Static<typeof DiagnosisInput>

export const Diagnosis = strict({
  ranked: Type.Array(strict({ id: word(), probability: fraction() })),
  next: Type.Array(strict({ sign: word(), bits: finite() })),
})
export type Diagnosis = Static<typeof Diagnosis>
