/** How long something may be out of the water, by who is on it: further-schools.md 4, outbreaks.md 5.2 anemone-bench. */
export const AIR_LIMITS: readonly {
  id: string
  label: string
  warnMinutes: number
  stopMinutes: number
  /** It is dipped each so many minutes while it is out. */
  wetEveryMinutes: number | null
}[] = [
  { id: 'small-polyp', label: 'small-polyp coral, or not known', warnMinutes: 10, stopMinutes: 15, wetEveryMinutes: null },
  { id: 'bare', label: 'no coral, a bare rock', warnMinutes: 10, stopMinutes: 15, wetEveryMinutes: null },
  {
    id: 'hardy',
    label: 'hardy soft or large-polyp coral, dipped every 3 min',
    warnMinutes: 50,
    stopMinutes: 60,
    wetEveryMinutes: 3,
  },
]

/** Below this a tub harms corals: outbreaks.md 5.1 peroxide-bench. */
export const TUB_LEAST_C = 24

/** Peroxide in a bench tub, mL of 3 % a litre: outbreaks.md 5.2 peroxide-bench 2 (2 mL in 2 L, 30 mg/L). */
export const TUB_PEROXIDE_ML_PER_L = 1

/** Peroxide dripped on a leather coral and on its rock, mL: further-schools.md 3. */
export const LEATHER_DRIP_ML = 2

/** Paste of calcium hydroxide in one session, g in 100 L: outbreaks.md 5.4. */
export const KALK_PASTE_G_PER_100_L = 0.5

/** Grams of salt for a litre and a psu; the refractometer decides: further-schools.md 4. */
export const SALT_G_PER_L_PSU = 1.03

/** Fills of the tub that are mixed before a rock is lifted: the work, and three rinses (outbreaks.md 5.2 bubble-rock 1). */
export const TUB_FILLS = 4
