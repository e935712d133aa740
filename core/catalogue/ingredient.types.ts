import type { ParameterId } from './parameter.types.ts'

/** An active ingredient as it stands on a shelf. */
export interface Ingredient {
  id: string
  name: string
  /** What a keeper may type for it in the log line. */
  words: readonly string[]
  /** What a product's strength is counted in. */
  strengthOf: string
  /** The measured parameter that a dose raises, if one does. */
  raises: ParameterId | null
  kind: 'medicine' | 'salt' | 'conditioner'
  /** "volume": dosed in µL of product a litre, never converted to a mass (formalin). */
  amountIs?: 'volume'
  /** Stands beside every amount of it. */
  caution: string | null
  law: string | null
}
