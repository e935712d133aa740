/** How figures of an acclimation are said in a sentence. */
export const psuWords = (value: number): string => `${Number(value.toFixed(1))} psu`
/** A salinity that passes a limit, with so many decimals that it is seen to. */
export const beyondWords = (value: number, limit: number): string =>
  psuWords(value) === psuWords(limit) ? `${value.toFixed(2)} psu` : psuWords(value)
export const freeWords = (mgPerL: number): string => `${mgPerL.toFixed(3)} mg/L`
export const degreesWords = (value: number): string => `${Number(value.toFixed(1))} °C`
export const minutesWords = (minutes: number): string => {
  const whole = Math.round(minutes)
  if (whole < 100) return `${whole} minutes`
  const rest = whole % 60
  return `${Math.floor(whole / 60)} h${rest === 0 ? '' : ` ${rest} min`}`
}
