import type { Product } from '../dosing/product.schema.ts'

/** How a label usually states a product’s strength. */
export type Stated =
  | 'mg-per-ml'
  | 'wv'
  | 'by-mass'
  | 'g-per-l'
  | 'salt-g-per-l'
  | 'dose'
  | 'percent'
  | 'ion-percent'
  | 'pure'
  | 'mg-per-pack'

/** What a product of an ingredient usually is, and between which strengths one is plausible. */
export interface UsualStrength {
  form: Product['kind']
  stated: Stated
  /** As the label states it. */
  usual: string
  /** mg in a mL of a solution. */
  mgPerMl?: readonly [least: number, most: number]
  /** Share of a powder that is active. */
  activeFraction?: readonly [least: number, most: number]
  /** mg in a packet or tablet. */
  mgPerPack?: readonly [least: number, most: number]
}

const solution = (usual: string, least: number, most: number, stated: Stated = 'mg-per-ml'): UsualStrength => ({
  form: 'solution',
  stated,
  usual,
  mgPerMl: [least, most],
})
/** A powder that is sold pure, or thinned. */
const powder = (least = 0.05, usual = 'pure'): UsualStrength => ({
  form: 'powder',
  stated: usual === 'pure' ? 'pure' : 'percent',
  usual,
  activeFraction: [least, 1],
})

/**
 * The usual form and the plausible strengths of each ingredient, so that 3 % and 0.3 % are told apart (editorial: what such products
 * commonly state; the label decides). A strength outside is asked about, never refused.
 */
export const USUAL_STRENGTHS: Readonly<Record<string, UsualStrength>> = {
  'cu-chelated': { ...solution('10', 1, 60), activeFraction: [0.02, 0.4] },
  'cu-amine': { ...solution('2', 0.3, 30), activeFraction: [0.02, 0.4] },
  // The pentahydrate is 25.5 % copper: quarantine.md 5.1.
  'cu-ion': { ...solution('1', 0.1, 70), activeFraction: [0.2, 0.41] },
  chloroquine: { ...powder(0.5), mgPerMl: [1, 60], mgPerPack: [50, 600] },
  metronidazole: { ...powder(0.3), mgPerMl: [1, 60], mgPerPack: [50, 1000] },
  praziquantel: { ...powder(0.3), mgPerMl: [1, 120], mgPerPack: [5, 1000] },
  fenbendazole: { ...powder(0.02, '22.2'), mgPerMl: [5, 250], mgPerPack: [5, 1000] },
  levamisole: { ...powder(0.05), mgPerMl: [5, 200], mgPerPack: [20, 1000] },
  formalin: solution('37', 1000, 1000),
  // 3 to 12 % by mass; stronger grades are not sold for homes.
  peroxide: solution('3', 9, 150, 'by-mass'),
  kanamycin: { ...powder(0.2), mgPerPack: [50, 2000] },
  ciprofloxacin: { form: 'pack', stated: 'mg-per-pack', usual: '500', mgPerPack: [50, 1000], activeFraction: [0.2, 1] },
  nitrofurazone: { ...powder(0.05), mgPerPack: [20, 1000] },
  enrofloxacin: { ...solution('100', 10, 120), activeFraction: [0.05, 1], mgPerPack: [10, 300] },
  'methylene-blue': { ...solution('2', 3, 60, 'wv'), activeFraction: [0.5, 1] },
  'malachite-green': { ...solution('0.1', 0.1, 20, 'wv'), activeFraction: [0.5, 1] },
  permanganate: { ...powder(0.9), mgPerMl: [1, 65] },
  diflubenzuron: { ...powder(0.01, '25'), mgPerMl: [1, 500] },
  // 5 % iodine-iodide; povidone-iodine at 10 % is 1 % available iodine: outbreaks.md 6.2.
  'iodine-dip': solution('5', 3, 110, 'wv'),
  'essential-oil-dip': solution('1000', 1, 1000),
  fluconazole: { form: 'pack', stated: 'mg-per-pack', usual: '200', mgPerPack: [20, 400], activeFraction: [0.5, 1] },
  salt: powder(0.9),
  'epsom-salt': powder(0.9),
  'sea-salt': powder(0.8),
  'sodium-bicarbonate': { ...powder(0.9), mgPerMl: [5, 100] },
  'sodium-carbonate': { ...powder(0.5), mgPerMl: [5, 250] },
  kalk: powder(0.8),
  'nitrifying-bacteria': solution('1', 1e-6, 1e6),
}

const CONDITIONER = solution('1', 1e-6, 1e6)
/** Salts counted by their ion: dry, or as a stock. */
const ION: UsualStrength = { ...powder(0.01), mgPerMl: [0.01, 500] }

/** The usual strength of an ingredient; of one without a row what holds for its kind. */
export const usualStrengthOf = (ingredient: string, kind: 'medicine' | 'salt' | 'conditioner'): UsualStrength =>
  USUAL_STRENGTHS[ingredient] ?? (kind === 'conditioner' ? CONDITIONER : ION)
