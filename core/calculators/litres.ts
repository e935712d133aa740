import { L_PER_UK_GAL, L_PER_US_GAL, OF_A_GALLON } from '../units/units.ts'

type Which = 'us' | 'uk'
type Measure = 'gal' | keyof (typeof OF_A_GALLON)['us']

const L_PER_GAL: Record<Which, number> = { us: L_PER_US_GAL, uk: L_PER_UK_GAL }
const MEASURES: readonly { measure: Measure; word: RegExp; plural: string }[] = [
  { measure: 'gal', word: /^gal(?:lons?)?$/, plural: 'gallons' },
  { measure: 'qt', word: /^(?:qts?|quarts?)$/, plural: 'quarts' },
  { measure: 'pt', word: /^(?:pts?|pints?)$/, plural: 'pints' },
  { measure: 'fl oz', word: /^(?:fl(?:uid)?\.? ?)?(?:oz|ounces?)\.?$/, plural: 'fluid ounces' },
]

/** Litres of one US or UK measure. */
const litresOf = (measure: Measure, which: Which) =>
  L_PER_GAL[which] / (measure === 'gal' ? 1 : OF_A_GALLON[which][measure])

/** What a volume typed with its unit amounts to: litres, or a question where US and UK differ. */
export type TypedVolume = { litres: number } | { message: string; choices: readonly { label: string; value: string }[] }

/**
 * Reads a volume that was typed with its unit where litres are asked for: "800 mL", "0.4 US gal", "40 fl oz".
 * @param habit whose measures the household uses; null where nobody said, then it is asked
 * @returns null when the text is no figure with such a unit
 */
export function typedVolume(text: string, habit: Which | null): TypedVolume | null {
  const found = /^(\d+(?:[.,]\d+)?)\s*(us|uk)?\s*([a-z][a-z. ]*)$/i.exec(text)
  if (!found) return null
  const [, typed, said, word] = found as unknown as [string, string, string | undefined, string]
  if (typed.includes(','))
    return {
      message: `“${text}”: which number?`,
      choices: ['.', ''].map((mark) => {
        const value = text.replace(',', mark)
        return { label: value, value }
      }),
    }
  const figure = Number(typed)
  const unit = word.toLowerCase().trim()
  if (said === undefined && /^(?:l|litres?|liters?)$/.test(unit)) return { litres: figure }
  if (said === undefined && /^(?:ml|millilitres?|milliliters?)$/.test(unit)) return { litres: figure / 1000 }
  const known = MEASURES.find((one) => one.word.test(unit))
  if (!known) return null
  const which = (said?.toLowerCase() as Which | undefined) ?? habit
  if (which) return { litres: figure * litresOf(known.measure, which) }
  return {
    message: `which ${known.measure === 'gal' ? 'gallon' : known.measure}?`,
    choices: ['US', 'UK'].map((one) => ({
      label: `${one} ${known.plural}`,
      value: `${typed} ${one} ${known.measure}`,
    })),
  }
}
