/** A dip for corals, outbreaks.md 6.2 with further-schools.md 1 ("Iodine dips 5–10 min"). */
export interface CoralDip {
  id: string
  label: string
  /** Ingredient of the shelf. */
  ingredient: string
  /** What a course's product for it is kept under. */
  productKey: string
  /** Strength in mg/L; null where only the product's label says it. */
  mgPerL: { low: number; target: number; high: number } | null
  /** Minutes in the dip, least and most. */
  minutes: readonly [number, number]
  /** Animal groups that must not have it. */
  notFor: readonly string[]
  /** Why not, in a sentence. */
  notForWhy: string
  caution: string
}

/**
 * The dips that Brinvo offers. Anemones are kept off iodine and peroxide by the handbook; that they and clams are kept off every dip is an
 * editorial assumption on the safe side. Garden insecticides are named in the handbook and not offered.
 */
export const CORAL_DIPS: readonly CoralDip[] = [
  {
    id: 'label-oil',
    label: 'essential-oil dip, by its label',
    ingredient: 'essential-oil-dip',
    productKey: 'essential-oil-dip',
    mgPerL: null,
    minutes: [5, 15],
    notFor: ['anemone', 'clam'],
    notForWhy: 'anemones and clams are not dipped in it',
    caution: 'The label decides strength and minutes. A fresh batch every 30 minutes, two rinses, one piece tried first. Gloves and goggles; never into the tank.',
  },
  {
    id: 'iodine',
    label: 'iodine',
    ingredient: 'iodine-dip',
    productKey: 'iodine-coral',
    mgPerL: { low: 12, target: 20, high: 25 },
    minutes: [5, 10],
    notFor: ['anemone', 'clam'],
    notForWhy: 'iodine is kept off anemones and clams',
    caution: 'Gloves and goggles: it stains and burns eyes; mind thyroid disease. Toxic to fish: never in the tank, rinse before the coral goes back. One piece first.',
  },
  {
    id: 'potassium',
    label: 'potassium chloride, by its label',
    ingredient: 'potassium-chloride',
    productKey: 'potassium-chloride-dip',
    mgPerL: null,
    minutes: [5, 15],
    notFor: ['anemone', 'clam'],
    notForWhy: 'anemones and clams are not dipped in it',
    caution: 'Published or label strength only: there is no agreed dose. One piece first. Rinse well: it raises the tank’s potassium.',
  },
  {
    id: 'peroxide',
    label: 'peroxide, zoanthids only',
    ingredient: 'peroxide',
    productKey: 'peroxide-coral',
    mgPerL: { low: 150, target: 150, high: 300 },
    minutes: [5, 5],
    notFor: ['coral-sps', 'coral-lps', 'anemone', 'clam'],
    notForWhy: 'peroxide is for zoanthids only: it strips small-polyp corals and anemones',
    caution: 'Goggles and gloves: peroxide burns eyes and skin. Zoanthids only. Some slugs, no eggs: a second choice against pests.',
  },
]

export const coralDipById = (id: string | undefined): CoralDip =>
  CORAL_DIPS.find((dip) => dip.id === id) ?? CORAL_DIPS[0]!
