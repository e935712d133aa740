/** Stages of a patch of algae under peroxide, outbreaks.md 7, patch-stage. */
export const STAGE_WORDS = [
  'living colour',
  'dull or bubbling',
  'pink, red or lighter',
  'half pale',
  'white',
  'detached',
] as const

/** White: from here on a patch is left alone, outbreaks.md, peroxide-spot 3; pink or lighter is the first sign that it works. */
export const WHITE_STAGE = 4
export const LIGHTER_STAGE = 2

export const HIGHEST_PATCH_STAGE = STAGE_WORDS.length - 1
