import { CORAL_CONDITIONS } from './corals/condition.ts'
import type { CountMeasure } from './courses/definition.ts'
import { STAGE_WORDS } from './patch-stage.ts'

/** How a measure of a plan is entered, and which values it may have. */
interface MeasureScale {
  /** One more and one less; typed; or one of some named steps. */
  entry: 'steps' | 'typed' | 'named'
  least: number
  /** Null where it has no end. */
  most: number | null
  /** What its named steps are called, the least first. */
  words?: readonly string[]
}

/** Polyps of a coral: further-schools.md 10, leather-drip. */
const POLYPS = ['none out', 'some out', 'all out'] as const

/** Steps of Brinvo’s colour card, from bleached to full colour: outbreaks.md 7, bleaching. */
export const COLOUR_STEPS = ['white', 'glass pale', 'pale', 'dull', 'nearly full', 'full colour'] as const

const counted: MeasureScale = { entry: 'steps', least: 0, most: null }
const typed: MeasureScale = { entry: 'typed', least: 0, most: null }

/** The scale of each measure: outbreaks.md 7. */
const SCALES: Record<CountMeasure, MeasureScale> = {
  'patch-stage': { entry: 'named', least: 0, most: STAGE_WORDS.length - 1, words: STAGE_WORDS },
  survey: { entry: 'named', least: 0, most: CORAL_CONDITIONS.length - 1, words: CORAL_CONDITIONS },
  polyps: { entry: 'named', least: 0, most: POLYPS.length - 1, words: POLYPS },
  colour: { entry: 'named', least: 1, most: COLOUR_STEPS.length, words: COLOUR_STEPS },
  alive: { entry: 'steps', least: 0, most: 10 },
  'came-off': counted,
  eggs: counted,
  brushed: { entry: 'steps', least: 0, most: 1 },
  'pest-count': counted,
  removed: counted,
  left: counted,
  'head-count': counted,
  cells: typed,
  'diatom-share': { entry: 'typed', least: 0, most: 1 },
  coverage: { entry: 'typed', least: 0, most: 100 },
  'edge-mm': typed,
  'visibility-cm': typed,
  'wet-g': typed,
}

export const measureScale = (measure: CountMeasure): MeasureScale => SCALES[measure]

/**
 * Whether a value is on the scale of a measure.
 * @returns false for parts of a step where it is counted or named
 * @example isOnScale('coverage', 140) // false
 */
export function isOnScale(measure: CountMeasure, value: number): boolean {
  const { entry, least, most } = SCALES[measure]
  return value >= least && value <= (most ?? Infinity) && (entry === 'typed' || Number.isInteger(value))
}

/** The values that a scale allows, in words: "0 to 100 %", "0 or more mm". */
export function scaleWords(measure: CountMeasure, unit: string): string {
  const { least, most } = SCALES[measure]
  return `${most === null ? `${least} or more` : `${least} to ${most}`}${unit === '' ? '' : ` ${unit}`}`
}
