/** What a lab finds in sea water. */
export interface LabElement {
  id: string
  symbol: string
  name: string
  /** Other words for it in a table. */
  words: readonly string[]
  /** In sea water of 35 psu, mg/L. */
  seaMgPerL: number
  /**
   * `main` salts scale with the salinity and are judged by a share; `minor` ones more loosely; a `trace` is judged upwards alone, since a tank uses it up
   * and no kit sees it; an `unwanted` one has no business there.
   */
  group: 'main' | 'minor' | 'trace' | 'unwanted'
  /** From here on it harms or points to a source, mg/L; null where it is not judged upwards but by its share. */
  highMgPerL: number | null
  /** Where too much of the element usually comes from. */
  source: string | null
  /** The parameter that the household tests the same as; with the basis in which the lab's figure is typed there. */
  parameter?: { id: 'ca' | 'mg' | 'k' | 'po4' | 'sio2' | 'no3'; basis?: 'P' | 'Si' }
}

/**
 * Elements of sea water with their reference values.
 * Main and minor: Millero et al. 2008, the reference composition at 35 psu, times the density at 25 °C (1.0233 kg/L). Traces: Pilson 2013, An
 * Introduction to the Chemistry of the Sea, table of ocean means, written from memory. Levels that harm: EA, after what keepers report.
 */
export const LAB_ELEMENTS: readonly LabElement[] = [
  { id: 'cl', symbol: 'Cl', name: 'chloride', words: ['chlorine'], seaMgPerL: 19_800, group: 'main', highMgPerL: null, source: null },
  { id: 'na', symbol: 'Na', name: 'sodium', words: [], seaMgPerL: 11_030, group: 'main', highMgPerL: null, source: null },
  { id: 's', symbol: 'S', name: 'sulfur', words: ['sulphur'], seaMgPerL: 926, group: 'main', highMgPerL: null, source: null },
  { id: 'mg', symbol: 'Mg', name: 'magnesium', words: [], seaMgPerL: 1314, group: 'main', highMgPerL: null, source: null, parameter: { id: 'mg' } },
  { id: 'ca', symbol: 'Ca', name: 'calcium', words: [], seaMgPerL: 422, group: 'main', highMgPerL: null, source: null, parameter: { id: 'ca' } },
  { id: 'k', symbol: 'K', name: 'potassium', words: [], seaMgPerL: 408, group: 'main', highMgPerL: null, source: null, parameter: { id: 'k' } },
  { id: 'br', symbol: 'Br', name: 'bromide', words: ['bromine'], seaMgPerL: 68.9, group: 'minor', highMgPerL: null, source: null },
  { id: 'sr', symbol: 'Sr', name: 'strontium', words: [], seaMgPerL: 8.13, group: 'minor', highMgPerL: null, source: null },
  { id: 'b', symbol: 'B', name: 'boron', words: [], seaMgPerL: 4.6, group: 'minor', highMgPerL: null, source: null },
  { id: 'f', symbol: 'F', name: 'fluoride', words: ['fluorine'], seaMgPerL: 1.33, group: 'minor', highMgPerL: null, source: null },
  { id: 'li', symbol: 'Li', name: 'lithium', words: [], seaMgPerL: 0.18, group: 'trace', highMgPerL: 0.8, source: 'salt mixes, seldom harmful by itself' },
  { id: 'i', symbol: 'I', name: 'iodine', words: ['iodide'], seaMgPerL: 0.06, group: 'trace', highMgPerL: 0.12, source: 'dosing by drops' },
  { id: 'ba', symbol: 'Ba', name: 'barium', words: [], seaMgPerL: 0.015, group: 'trace', highMgPerL: 0.1, source: 'salt mixes, media' },
  { id: 'mo', symbol: 'Mo', name: 'molybdenum', words: [], seaMgPerL: 0.011, group: 'trace', highMgPerL: 0.05, source: 'trace mixes' },
  { id: 'mn', symbol: 'Mn', name: 'manganese', words: [], seaMgPerL: 0.000_03, group: 'trace', highMgPerL: 0.02, source: 'trace mixes, magnets' },
  { id: 'fe', symbol: 'Fe', name: 'iron', words: [], seaMgPerL: 0.000_05, group: 'trace', highMgPerL: 0.05, source: 'rust, iron media, magnets' },
  { id: 'zn', symbol: 'Zn', name: 'zinc', words: [], seaMgPerL: 0.000_4, group: 'trace', highMgPerL: 0.05, source: 'clamps, galvanised parts, brass' },
  { id: 'cu', symbol: 'Cu', name: 'copper', words: [], seaMgPerL: 0.000_2, group: 'trace', highMgPerL: 0.01, source: 'brass, a bare cable, medicine, tap water' },
  { id: 'ni', symbol: 'Ni', name: 'nickel', words: [], seaMgPerL: 0.000_5, group: 'trace', highMgPerL: 0.02, source: 'steel in the water' },
  { id: 'v', symbol: 'V', name: 'vanadium', words: ['vanadate'], seaMgPerL: 0.002, group: 'trace', highMgPerL: 0.03, source: 'trace mixes, steel' },
  { id: 'cr', symbol: 'Cr', name: 'chromium', words: [], seaMgPerL: 0.000_2, group: 'trace', highMgPerL: 0.02, source: 'steel in the water' },
  { id: 'co', symbol: 'Co', name: 'cobalt', words: [], seaMgPerL: 0.000_002, group: 'trace', highMgPerL: 0.02, source: 'trace mixes, magnets' },
  { id: 'se', symbol: 'Se', name: 'selenium', words: [], seaMgPerL: 0.000_16, group: 'trace', highMgPerL: 0.02, source: 'trace mixes' },
  { id: 'as', symbol: 'As', name: 'arsenic', words: [], seaMgPerL: 0.001_7, group: 'unwanted', highMgPerL: 0.01, source: 'ground water' },
  { id: 'al', symbol: 'Al', name: 'aluminium', words: ['aluminum'], seaMgPerL: 0.000_3, group: 'unwanted', highMgPerL: 0.2, source: 'phosphate media, ceramic, zeolite' },
  { id: 'sn', symbol: 'Sn', name: 'tin', words: [], seaMgPerL: 0.000_001, group: 'unwanted', highMgPerL: 0.02, source: 'plasticised hose, glue' },
  { id: 'pb', symbol: 'Pb', name: 'lead', words: [], seaMgPerL: 0.000_002, group: 'unwanted', highMgPerL: 0.005, source: 'weights of plants, solder' },
  { id: 'cd', symbol: 'Cd', name: 'cadmium', words: [], seaMgPerL: 0.000_07, group: 'unwanted', highMgPerL: 0.005, source: 'plated parts, bad media' },
  { id: 'hg', symbol: 'Hg', name: 'mercury', words: [], seaMgPerL: 0.000_000_2, group: 'unwanted', highMgPerL: 0.001, source: 'a broken thermometer' },
  { id: 'ag', symbol: 'Ag', name: 'silver', words: [], seaMgPerL: 0.000_003, group: 'unwanted', highMgPerL: 0.005, source: 'coated parts' },
  { id: 'sb', symbol: 'Sb', name: 'antimony', words: [], seaMgPerL: 0.000_2, group: 'unwanted', highMgPerL: 0.02, source: 'plastics' },
  { id: 'w', symbol: 'W', name: 'tungsten', words: ['wolfram'], seaMgPerL: 0.000_01, group: 'unwanted', highMgPerL: 0.02, source: 'steel, bearings of pumps' },
  { id: 'p', symbol: 'P', name: 'phosphorus', words: [], seaMgPerL: 0.06, group: 'trace', highMgPerL: null, source: null, parameter: { id: 'po4', basis: 'P' } },
  { id: 'si', symbol: 'Si', name: 'silicon', words: [], seaMgPerL: 0.1, group: 'trace', highMgPerL: null, source: null, parameter: { id: 'sio2', basis: 'Si' } },
  { id: 'po4', symbol: 'PO4', name: 'phosphate', words: ['orthophosphate'], seaMgPerL: 0.05, group: 'trace', highMgPerL: null, source: null, parameter: { id: 'po4' } },
  { id: 'no3', symbol: 'NO3', name: 'nitrate', words: [], seaMgPerL: 0.5, group: 'trace', highMgPerL: null, source: null, parameter: { id: 'no3' } },
]

const byId = new Map(LAB_ELEMENTS.map((element) => [element.id, element]))

/** The element with this id, or undefined. */
export const labElementById = (id: string): LabElement | undefined => byId.get(id)

const plainWord = (text: string): string => text.trim().toLowerCase()

/**
 * The element that a table's word means: its symbol, its name, or both ("K - Potassium", "Potassium (K)").
 * @example
 * labElementNamed('Potassium (K)')?.id // "k"
 */
export function labElementNamed(text: string): LabElement | undefined {
  const whole = plainWord(text)
  const parts = text.split(/[\s()[\],;:/_-]+/).filter((part) => part !== '')
  const isCalled = ({ name, words }: LabElement, word: string) => [name, ...words].includes(plainWord(word))
  return (
    LAB_ELEMENTS.find((element) => element.symbol.toLowerCase() === whole || isCalled(element, whole)) ??
    LAB_ELEMENTS.find((element) => parts.some((part) => isCalled(element, part))) ??
    // A symbol amid other words counts as it is written: "As" is arsenic, "as" is none.
    LAB_ELEMENTS.find((element) => parts.includes(element.symbol))
  )
}
