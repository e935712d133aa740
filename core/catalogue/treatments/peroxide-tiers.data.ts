/** Who is in the water that peroxide is put into, the most sensitive first. */
export type PeroxideCompany = 'sensitive' | 'animals' | 'fish' | 'nobody'

/** One of the levels to which peroxide may be brought in a tank. */
export interface PeroxideTier {
  id: string
  label: string
  /** Highest mg/L of H2O2 in the net volume. */
  capMgPerL: number
  /** Who may be in the water. */
  allows: readonly PeroxideCompany[]
  /** What is left at most once it is over, mg/L; null where nothing has to be done. */
  leaveMgPerL: number | null
  /** Share of the water in each change that brings it down; null where one change does it. */
  changeFraction: number | null
  caution: string
}

/** The choices of company, in the keeper's words. */
export const PEROXIDE_COMPANY: readonly { id: PeroxideCompany; label: string }[] = [
  { id: 'sensitive', label: 'cleaner-type shrimp, anemones, mosses or liverworts' },
  { id: 'animals', label: 'fish and invertebrates, none of the sensitive' },
  { id: 'fish', label: 'fish; every invertebrate is out' },
  { id: 'nobody', label: 'nobody; filter media are out too' },
]

/**
 * Levels of peroxide in a tank by who is in it, further-schools.md 4: they replace the two rows of outbreaks.md 5.3. The lowest
 * comes first and is never passed by itself.
 */
export const PEROXIDE_TIERS: readonly PeroxideTier[] = [
  {
    id: 'spot',
    label: 'spots with the animals in',
    capMgPerL: 0.79,
    allows: ['animals', 'fish', 'nobody'],
    leaveMgPerL: null,
    changeFraction: null,
    caution: 'Pumps and auto top-off off for 15–20 minutes. Shrimp, anemones and mosses suffer first: watch them.',
  },
  {
    id: 'spot-changed',
    label: 'spots, then a water change',
    capMgPerL: 1.6,
    allows: ['fish', 'nobody'],
    leaveMgPerL: 0.79,
    changeFraction: null,
    caution: 'Flow and auto top-off off for 20 minutes, then siphon what lifted and change at once. No invertebrate in the water.',
  },
  {
    id: 'bare-tank',
    label: 'a bare tank',
    capMgPerL: 7.9,
    allows: ['nobody'],
    leaveMgPerL: 1,
    changeFraction: 0.5,
    caution:
      'Fish, invertebrates and filter media out before; back only after the changes, or with a peroxide strip at or under 1 mg/L.',
  },
]

/** The tier of this id; the lowest where there is none. */
export const tierById = (id: string | undefined): PeroxideTier =>
  PEROXIDE_TIERS.find((tier) => tier.id === id) ?? PEROXIDE_TIERS[0]!
