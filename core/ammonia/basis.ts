import type { ContentOf } from '../journal/entry.ts'
import { NH3_PER_N, NH4_PER_N } from '../units/units.ts'

/** What a total-ammonia kit states its value as. */
export type TanBasis = NonNullable<ContentOf<'reading'>['basis']>

/** mg of what a kit states for one mg of nitrogen; 1 where nothing is stated. */
export const perNitrogen = (basis: TanBasis | undefined): number =>
  basis === 'NH3' ? NH3_PER_N : basis === 'NH4' ? NH4_PER_N : 1

/** A total-ammonia reading as mg/L N, whatever its kit states. */
export const tanAsN = ({ basis }: Pick<ContentOf<'reading'>, 'basis'>, value: number): number =>
  value / perNitrogen(basis)

/**
 * Total ammonia at which quarantine.md 1 warns, mg/L of NH3 and NH4 together; taken as NH4, the heaviest way to state it, so that
 * a kit that states nitrogen is not judged more mildly.
 */
export const TOTAL_AMMONIA_WARN_MG_PER_L = 0.25

/**
 * Whether a total-ammonia reading is under the handbook's warning level, whatever its kit states it as.
 * @returns null where a range or a limit leaves it open ("over 0.1")
 */
export function isAmmoniaLow({ basis, result }: Pick<ContentOf<'reading'>, 'basis' | 'result'>): boolean | null {
  const asNh4 = (value: number) => tanAsN({ basis }, value) * NH4_PER_N
  const isUnder = (value: number) => asNh4(value) < TOTAL_AMMONIA_WARN_MG_PER_L - 1e-9
  switch (result.kind) {
    case 'value':
      return isUnder(result.value)
    case 'below':
      // "< 0.1" is a result: whatever it is, it is less.
      return asNh4(result.limit) <= TOTAL_AMMONIA_WARN_MG_PER_L + 1e-9 ? true : null
    case 'above':
      return isUnder(result.limit) ? null : false
    case 'range':
      return isUnder(result.high) ? true : isUnder(result.low) ? null : false
  }
}
