/** Schools that are easier on some animals, and a sentence why: neutral, for the keeper to weigh. */
export interface SchoolAdvice {
  /** Row of the sensitivities, or a species group. */
  of: string
  /** Schools it bears best, the first named first. */
  schools: readonly string[]
  sentence: string
}

/** quarantine.md 5.6 (prefer) and 7.1 (exclusions), further-schools.md 1. */
export const SCHOOL_ADVICE: readonly SchoolAdvice[] = [
  { of: 'elasmobranch', schools: ['qt-f-observe'], sentence: 'bears neither copper, chloroquine, formalin nor low salinity: watching, with a veterinarian.' },
  { of: 'syngnathid', schools: ['qt-f-observe', 'qt-e-uronema'], sentence: 'does not bear copper; formalin and metronidazole it bears, and uronema is its danger.' },
  { of: 'dragonet', schools: ['qt-c-ttm', 'qt-f-observe'], sentence: 'does not bear copper and starves sooner than it falls ill: transfers or watching, with live food.' },
  { of: 'wrasse-sand', schools: ['qt-c-ttm', 'qt-b-drug14'], sentence: 'sleeps in sand: give it a dish. Transfers, or copper in its gentle range; no chloroquine at full strength.' },
  { of: 'angel-dwarf', schools: ['qt-b-drug14', 'qt-c-ttm'], sentence: 'bears copper slowly raised and at its low end, with a longer watch after it.' },
  { of: 'butterfly', schools: ['qt-c-ttm', 'qt-b-drug14'], sentence: 'stops eating in strong copper: transfers, chloroquine or the gentle range; flukes are common, so two dewormings.' },
  { of: 'puffer-box', schools: ['qt-a-cq30', 'qt-c-ttm'], sentence: 'does not bear a fast ramp of copper: chloroquine or transfers, and alone, for it can poison the water.' },
  { of: 'scaleless-marine', schools: ['qt-c-ttm', 'qt-b-drug14'], sentence: 'has little to shield its skin: transfers, or copper in its gentle range.' },
  { of: 'surgeonfish', schools: ['qt-b-drug14', 'qt-c-hybrid'], sentence: 'long copper upsets its gut: fourteen days and then a move, and its weight watched.' },
  { of: 'anthias-chromis', schools: ['qt-e-uronema', 'qt-b-drug14'], sentence: 'uronema kills this group: metronidazole first or beside copper; strong air in every bath.' },
  { of: 'clownfish', schools: ['qt-c-hybrid', 'qt-b-drug14'], sentence: 'brooklynella is its danger, and copper does nothing against it: a school with baths, or chloroquine.' },
]

/** For all others: none is proven best. */
export const PLAIN_ADVICE: Omit<SchoolAdvice, 'of'> = {
  schools: ['qt-b-drug14', 'qt-c-hybrid', 'qt-c-ttm'],
  sentence: 'no dislike is known: each school is borne; they trade medicine against handling and time.',
}
