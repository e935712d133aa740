/** A stock made of whole packets or tablets, of which a part is used. */
export interface PackStock {
  packs: number
  stockMl: number
  useMl: number
  leftMl: number
}

/** Fresh water for one packet: enough to measure a tenth of it by syringe (EA). */
const ML_PER_PACK = 100
/** How long a made-up medicine is kept unless its label says otherwise (EA): most decay in water and light. */
export const STOCK_KEEPS_HOURS = 24
/** What a syringe measures of a stock, mL. */
const STOCK_STEP_ML = 1
const WHOLE = 1e-6

/**
 * How to use part of a packet: whole ones are dissolved, and a measured part of that is used, never more than was worked out.
 * @param packs that are wanted
 * @returns null where they are whole
 * @example
 * packStock(1.4) // { packs: 2, stockMl: 200, useMl: 140, leftMl: 60 }
 */
export function packStock(packs: number): PackStock | null {
  if (!(packs > 0) || Math.abs(packs - Math.round(packs)) < WHOLE) return null
  const whole = Math.ceil(packs)
  const stockMl = whole * ML_PER_PACK
  const useMl = Math.floor((packs * ML_PER_PACK) / STOCK_STEP_ML + WHOLE) * STOCK_STEP_ML
  return useMl > 0 ? { packs: whole, stockMl, useMl, leftMl: stockMl - useMl } : null
}

/** A stock in a sentence. */
export const packStockWords = ({ packs, stockMl, useMl, leftMl }: PackStock): string =>
  `dissolve ${packs} ${packs === 1 ? 'pack' : 'packs'} in ${stockMl} mL of fresh water, use ${useMl} mL; ${leftMl} mL remain and keep ${STOCK_KEEPS_HOURS} h in the dark and cold, unless the label says otherwise`
