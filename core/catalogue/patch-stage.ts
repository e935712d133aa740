/** Stages of a patch of algae under peroxide, outbreaks.md 7, patch-stage. */
export const STAGE_WORDS = [
  'living colour',
  'dull or bubbling',
  'pink, red or lighter',
  'half pale',
  'white',
  'detached',
] as const

export const HIGHEST_PATCH_STAGE = STAGE_WORDS.length - 1
