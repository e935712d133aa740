/** What else is known of a pest that is dipped for, outbreaks.md 6.1: apart from its pace, which the first screen loads. */
export interface DipPestFacts {
  /** Whether the days to its first eggs are assumed, not seen. */
  isMaturityAssumed: boolean
  /** How well the figures are known. */
  quality: 'fair' | 'poor'
  /** What a dip does not reach. */
  survives: string
}

export const DIP_PEST_FACTS: Readonly<Record<string, DipPestFacts>> = {
  'zoa-nudi': { isMaturityAssumed: true, quality: 'poor', survives: 'eggs' },
  'montipora-nudi': { isMaturityAssumed: true, quality: 'poor', survives: 'eggs, and animals inside the skeleton' },
  'aefw': { isMaturityAssumed: false, quality: 'fair', survives: 'eggs' },
  'brown-flatworm': { isMaturityAssumed: true, quality: 'poor', survives: 'eggs, and worms in folds of tissue' },
  'red-bugs': { isMaturityAssumed: true, quality: 'poor', survives: 'eggs, and some adults' },
  'black-bugs': { isMaturityAssumed: true, quality: 'poor', survives: 'eggs, and some adults' },
}
