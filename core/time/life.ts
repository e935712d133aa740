import { MS_PER_DAY } from './zone.ts'

export const MS_PER_YEAR = 365.25 * MS_PER_DAY
/** Nothing of a household is remembered to the day for longer: an entry further back is a slip. */
export const LIFE_YEARS = 30
export const LIFE_MS = LIFE_YEARS * MS_PER_YEAR
