import type { Static } from 'typebox'
import { finite, fraction, nonNegative, oneOf, pH, strict } from '../schema/types.ts'

const water = { pH: pH(), temperatureC: finite(), salinityPsu: nonNegative() }

export const FreeAmmoniaInput = strict({ tanMgPerL: nonNegative('total ammonia as N'), ...water })
export type FreeAmmoniaInput = Static<typeof FreeAmmoniaInput>

export const FreeAmmonia = strict({ pKa: finite(), fraction: fraction(), freeMgPerL: nonNegative('as N') })
export type FreeAmmonia = Static<typeof FreeAmmonia>

export const CompareAmmoniaInput = strict({
  kit: strict({ tanMgPerL: nonNegative(), sdMgPerL: nonNegative() }),
  indicator: strict({ lowMgPerL: nonNegative(), highMgPerL: nonNegative() }, 'free ammonia as the card shows it, as N'),
  ...water,
})
export type CompareAmmoniaInput = Static<typeof CompareAmmoniaInput>

export const AmmoniaComparison = strict({
  expectedFreeMgPerL: nonNegative(),
  fromMgPerL: nonNegative(),
  toMgPerL: nonNegative(),
  verdict: oneOf(['agree', 'indicator-low', 'indicator-high'] as const),
})
export type AmmoniaComparison = Static<typeof AmmoniaComparison>
