/** Letters of a name: of an animal, a product, a box, a coral, a tool. */
export const NAME_LETTERS = 80
/** Letters of a note, a reason, a sentence in the keeper's words. */
export const WORDS_LETTERS = 4000
