import { figures, percentText } from '../../words/numbers.ts'
import type { JudgedElement } from './judge.ts'

/** Milligrams in a litre as a lab prints them: small ones in micrograms. */
export const labFigure = (mgPerL: number): string =>
  mgPerL !== 0 && mgPerL < 0.1 ? `${figures(1000 * mgPerL, 3)} µg/L` : `${figures(mgPerL, mgPerL >= 1000 ? 4 : 3)} mg/L`

/** How an element stands, in words: “14 % under sea water”, “70 × sea water”. */
export function shareWords({ share, state, element, isByBand }: JudgedElement): string {
  if (isByBand && state === 'low') return 'under the band of this kind of tank'
  if (isByBand && state === 'high') return 'over the band of this kind of tank'
  if (share === null) return state === 'low' ? 'not found: sea water holds it' : 'not found'
  if (element.group === 'trace' || element.group === 'unwanted')
    return share >= 1.5 ? `${figures(share, 2)} × sea water` : 'as in sea water, or less'
  const off = share - 1
  if (Math.abs(off) < 0.005) return 'as in sea water'
  return `${percentText(Math.abs(off))} ${off < 0 ? 'under' : 'over'} sea water`
}

/** What is done about an element that is off. */
export function mendWords({ mend, element, state }: JudgedElement): string | null {
  if (mend === 'find-source')
    return `Look for its source: ${element.source}. Then water changes, carbon or a metal resin.`
  if (mend === 'changes')
    return state === 'low'
      ? 'Do not dose it by guess: a tenth of the water changed each week brings it back, where the new water holds it; then another lab test.'
      : 'Stop what brings it, and change water.'
  return null
}
