/** What keepers also call a condition or an organism, by the id of its row: for looking it up. */
export const OTHER_NAMES: Readonly<Record<string, string>> = {
  'marine-ich': 'white spot, saltwater ich, ick, crypto',
  'marine-velvet': 'coral fish disease, dust',
  brooklynella: 'clownfish disease, brook',
  'black-spot-worm': 'black ich, tang disease, pepper spots',
  'skin-flukes': 'body flukes, monogeneans',
  'gill-flukes': 'monogeneans',
  lymphocystis: 'cauliflower, lympho',
  hlle: 'head and lateral line erosion, lateral line disease',
  'fw-ich': 'white spot, ick, ichthyo',
  'fw-velvet': 'gold dust, rust disease',
  columnaris: 'cotton mouth, saddleback',
  hexamita: 'hole in the head, spironucleus',
  dropsy: 'pinecone, bloated, swollen, pregnant look',
  buoyancy: 'swim bladder, floats, upside down',
  mycobacteriosis: 'fish tuberculosis, wasting',
  'fw-fungus': 'cotton, saprolegnia',
}

/** A word matches a text that holds it, or, of longer words, its stem: "pregnant" finds "pregnancy". */
export function holdsWord(text: string, word: string): boolean {
  return text.includes(word) || (word.length >= STEMMED_LETTERS && text.includes(word.slice(0, -STEM_CUT)))
}

/** Shorter words are their own stem. */
const STEMMED_LETTERS = 7
const STEM_CUT = 2
