/** How far a school covers a disease. */
export type Coverage = 'yes' | 'part' | 'disputed' | 'no'

/** One school's word on one disease, with its reason where it is not plain. */
export interface Cover {
  condition: string
  how: Coverage
  why?: string
}

/** The diseases that schools are compared by, in this order. */
export const COMPARED_CONDITIONS = [
  'marine-ich',
  'marine-velvet',
  'brooklynella',
  'uronema',
  'skin-flukes',
  'gill-flukes',
  'intestinal-worms',
  'bacterial-external',
] as const

const yes = (condition: string, why?: string): Cover => ({ condition, how: 'yes', ...(why !== undefined && { why }) })
const part = (condition: string, why: string): Cover => ({ condition, how: 'part', why })
const disputed = (condition: string, why: string): Cover => ({ condition, how: 'disputed', why })

const HYBRID_BROOK = 'two baths thin it out; between them it divides on the fish. Some count it as covered'
const HYBRID_FLUKES = 'the baths take worms off; their eggs hatch again. Some count them as covered'

/** What each school covers: quarantine.md 7.1 with further-schools.md 1. What is not named is not covered. */
export const COVERAGE: Readonly<Record<string, readonly Cover[]>> = {
  'qt-a-cu30': [yes('marine-ich'), yes('marine-velvet')],
  'qt-b-drug14': [
    yes('marine-ich'),
    yes('marine-velvet'),
    part('brooklynella', 'with chloroquine; copper does nothing against it'),
  ],
  'qt-a-cq30': [
    yes('marine-ich'),
    yes('marine-velvet'),
    yes('brooklynella'),
    disputed('uronema', 'some claim it; it is not counted on'),
  ],
  'qt-c-ttm': [yes('marine-ich')],
  'qt-c-velvet': [yes('marine-velvet'), yes('marine-ich')],
  'qt-c-hybrid': [
    yes('marine-ich'),
    yes('marine-velvet', 'by the two baths; the moves alone leave much of it'),
    part('brooklynella', HYBRID_BROOK),
    part('skin-flukes', HYBRID_FLUKES),
    part('gill-flukes', HYBRID_FLUKES),
  ],
  'qt-d-hypo': [yes('marine-ich', 'strains that bear low salinity exist'), yes('skin-flukes')],
  'qt-d-fluke': [part('skin-flukes', 'eggs may outlast the week: look again on day 14')],
  'qt-e-uronema': [
    yes('uronema', 'before it is in the flesh: advanced sores are rarely curable'),
    yes('brooklynella'),
  ],
  'qt-f-observe': [],
  'qt-g-none': [],
}

/** What a school covers of a disease. */
export const coverOf = (school: string, condition: string): Cover =>
  COVERAGE[school]?.find((one) => one.condition === condition) ?? { condition, how: 'no' }

/** What a school is called at the head of a narrow column. */
export const SCHOOL_LABELS: Readonly<Record<string, string>> = {
  'qt-a-cu30': 'Copper, 30 days',
  'qt-b-drug14': 'Copper or chloroquine 14 days, then move',
  'qt-a-cq30': 'Chloroquine, 30 days',
  'qt-c-ttm': 'Transfers, 72 h',
  'qt-c-velvet': 'Transfers, 36 h',
  'qt-c-hybrid': 'Transfers with two baths',
  'qt-d-hypo': 'Low salinity, 30 days',
  'qt-d-fluke': 'Low salinity, 7 days',
  'qt-e-uronema': 'Against uronema, 10 days',
  'qt-f-observe': 'Observe, treat on sign',
  'qt-g-none': 'None, watched',
}
