/** A pest of corals that is dipped for: how its life sets the pace of the dips, outbreaks.md 6.1. */
export interface DipPest {
  id: string
  label: string
  /** Corals that it lives on, in words. */
  hosts: string
  /** Days from laying to hatching that are planned for, shortest and longest. */
  hatchDays: readonly [number, number]
  /** Fewest days from hatching to its first eggs; null where nobody knows. */
  maturityDays: number | null
  /** Whether the days to its first eggs are assumed, not seen. */
  isMaturityAssumed: boolean
  /** The handbook's own days from dip to dip. */
  tableIntervalDays: number
  /** How well the figures are known. */
  quality: 'fair' | 'poor'
  /** What a dip does not reach. */
  survives: string
}

/** Pests of corals that are dipped for, in the order of the handbook's row of the plan. */
export const DIP_PESTS: readonly DipPest[] = [
  { id: 'zoa-nudi', label: 'zoanthid-eating nudibranch', hosts: 'zoanthids', hatchDays: [4, 10], maturityDays: 14, isMaturityAssumed: true, tableIntervalDays: 5, quality: 'poor', survives: 'eggs' },
  { id: 'montipora-nudi', label: 'Montipora-eating nudibranch', hosts: 'Montipora', hatchDays: [1.5, 10], maturityDays: 6, isMaturityAssumed: true, tableIntervalDays: 4, quality: 'poor', survives: 'eggs, and animals inside the skeleton' },
  { id: 'aefw', label: 'Acropora-eating flatworm', hosts: 'Acropora', hatchDays: [10, 21], maturityDays: 20, isMaturityAssumed: false, tableIntervalDays: 7, quality: 'fair', survives: 'eggs' },
  { id: 'brown-flatworm', label: 'brown flatworm', hosts: 'mushrooms, leathers, large polyps', hatchDays: [0, 14], maturityDays: null, isMaturityAssumed: true, tableIntervalDays: 7, quality: 'poor', survives: 'eggs, and worms in folds of tissue' },
  { id: 'red-bugs', label: 'red bugs', hosts: 'smooth Acropora', hatchDays: [0, 14], maturityDays: null, isMaturityAssumed: true, tableIntervalDays: 7, quality: 'poor', survives: 'eggs, and some adults' },
  { id: 'black-bugs', label: 'black bugs', hosts: 'Acropora', hatchDays: [0, 14], maturityDays: null, isMaturityAssumed: true, tableIntervalDays: 7, quality: 'poor', survives: 'eggs, and some adults' },
]
