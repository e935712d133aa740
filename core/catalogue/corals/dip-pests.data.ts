/** A pest of corals that is dipped for: how its life sets the pace of the dips, outbreaks.md 6.1. */
export interface DipPest {
  id: string
  label: string
  /** Days from laying to hatching that are planned for, shortest and longest. */
  hatchDays: readonly [number, number]
  /** Fewest days from hatching to its first eggs; null where nobody knows. */
  maturityDays: number | null
  /** The handbook's own days from dip to dip. */
  tableIntervalDays: number
}

/** Pests of corals that are dipped for. */
export const DIP_PESTS: readonly DipPest[] = [
  { id: 'zoa-nudi', label: 'zoanthid-eating nudibranch', hatchDays: [4, 10], maturityDays: 14, tableIntervalDays: 5 },
  { id: 'montipora-nudi', label: 'Montipora-eating nudibranch', hatchDays: [1.5, 10], maturityDays: 6, tableIntervalDays: 4 },
  { id: 'aefw', label: 'Acropora-eating flatworm', hatchDays: [10, 21], maturityDays: 20, tableIntervalDays: 7 },
  { id: 'brown-flatworm', label: 'brown flatworm', hatchDays: [0, 14], maturityDays: null, tableIntervalDays: 7 },
  { id: 'red-bugs', label: 'red bugs', hatchDays: [0, 14], maturityDays: null, tableIntervalDays: 7 },
  { id: 'black-bugs', label: 'black bugs', hatchDays: [0, 14], maturityDays: null, tableIntervalDays: 7 },
]
