import { specificGravity } from '../salinity/seawater.ts'
import { fahrenheitFromCelsius } from '../units/units.ts'
import type { WordUnits } from './acclimation.schema.ts'

/** What figures of an acclimation are said in where no household has other habits. */
export const METRIC_WORDS: WordUnits = { salinity: 'psu', temperature: 'C' }

/** Both scales at 25 °C, as the handbook has them. */
const gravityOf = (psu: number) => specificGravity(psu, 25, 25)
/** What a psu is worth in specific gravity, which is straight enough round sea water to say differences by. */
const SG_PER_PSU = (gravityOf(36) - gravityOf(30)) / 6

/** A salinity in a sentence. */
export const salinityWords = (psu: number, { salinity }: WordUnits = METRIC_WORDS): string =>
  salinity === 'sg' ? `${gravityOf(psu).toFixed(4)} SG` : psuWords(psu)
/** A difference of salinity in a sentence. */
export const psuWords = (psu: number, { salinity }: WordUnits = METRIC_WORDS, decimals?: number): string =>
  salinity === 'sg' ? `${(psu * SG_PER_PSU).toFixed(decimals ?? 4)} SG` : `${Number(psu.toFixed(decimals ?? 1))} psu`

/** A difference that passes a limit, with so many decimals that it is seen to. */
function beyond(said: (decimals?: number) => string, limit: string, decimals: number): string {
  if (said() !== limit) return said()
  return said(decimals) === limit ? `just over ${limit}` : said(decimals)
}
export const beyondWords = (psu: number, limit: number, units: WordUnits = METRIC_WORDS): string =>
  beyond((decimals) => psuWords(psu, units, decimals), psuWords(limit, units), units.salinity === 'sg' ? 5 : 2)
export const beyondDegreesWords = (celsius: number, limit: number, units: WordUnits = METRIC_WORDS): string =>
  beyond((decimals) => degreesWords(celsius, units, decimals), degreesWords(limit, units), 2)

export const freeWords = (mgPerL: number): string => `${mgPerL.toFixed(3)} mg/L`
/** A difference of temperature in a sentence. */
export const degreesWords = (celsius: number, { temperature }: WordUnits = METRIC_WORDS, decimals = 1): string => {
  const value = temperature === 'F' ? fahrenheitFromCelsius(celsius) - fahrenheitFromCelsius(0) : celsius
  return `${Number(value.toFixed(decimals))} ${temperature === 'F' ? '°F' : '°C'}`
}
export const minutesWords = (minutes: number): string => {
  const whole = Math.round(minutes)
  if (whole < 100) return `${whole} minutes`
  const rest = whole % 60
  return `${Math.floor(whole / 60)} h${rest === 0 ? '' : ` ${rest} min`}`
}
