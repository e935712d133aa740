import Type, { type Static } from 'typebox'
import { fraction, nonNegative, positive, strict } from '../schema/types.ts'

const life = () => strict({ medianHours: positive(), logSd: positive() })

export const CourseRiskInput = strict({
  parasitesOnHost: nonNegative(),
  onHost: life(),
  cyst: strict({ minHours: nonNegative(), medianHours: positive('of the part above the minimum'), logSd: positive() }),
  infection: fraction('probability that a hatchling reinfects a fish that is still there and unprotected'),
  protectedWindows: Type.Array(strict({ fromHours: nonNegative(), toHours: nonNegative() }), { maxItems: 10_000 }),
  movesHours: Type.Array(nonNegative(), { maxItems: 10_000 }),
})
export type CourseRiskInput = Static<typeof CourseRiskInput>

export const CourseRisk = strict({ perParasite: fraction(), risk: fraction() })
export type CourseRisk = Static<typeof CourseRisk>

const hatching = () => strict({ medianDays: positive(), logSd: positive() })

export const FallowRiskInput = strict({
  cysts: nonNegative(),
  typical: hatching(),
  slow: strict({
    share: fraction('probability that the whole population is of the slow strain'),
    medianDays: positive(),
    logSd: positive(),
  }),
  freeLifeHours: nonNegative(),
  days: nonNegative(),
})
export type FallowRiskInput = Static<typeof FallowRiskInput>

export const FallowRisk = strict({ risk: fraction() })
export type FallowRisk = Static<typeof FallowRisk>
