/**
 * Conversions between a person's units and the core's, made once at the edge. Factors: design contract; by definition
 * unless a source is named.
 */

export const L_PER_US_GAL = 3.785411784
export const L_PER_UK_GAL = 4.54609
/** A quarter, an eighth and a 128th of the US gallon; of the UK gallon a quarter, an eighth and a 160th. */
export const OF_A_GALLON = { us: { qt: 4, pt: 8, 'fl oz': 128 }, uk: { qt: 4, pt: 8, 'fl oz': 160 } } as const
export const CM_PER_INCH = 2.54
export const KG_PER_LB = 0.45359237
/** Hobby convention, not the exact 2.8043. */
export const DKH_PER_MEQ = 2.8
export const CACO3_MG_PER_MEQ = 50.04

/** How much of a compound one unit of its element makes, mg/mg. */
export const NH3_PER_N = 1.2159
/** Molar masses, 18.039 / 14.007. */
export const NH4_PER_N = 1.2879
export const NO3_PER_N = 4.4268
export const PO4_PER_P = 3.0662
export const SIO2_PER_SI = 2.1393

export const celsiusFromFahrenheit = (f: number): number => (f - 32) / 1.8
export const fahrenheitFromCelsius = (c: number): number => c * 1.8 + 32
