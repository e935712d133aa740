import type { BoxQuestion } from './together.ts'
import { salinityWords } from './words.ts'

/** Salinities that sellers keep their systems at, psu (EA): low against parasites, usual for fish, near the sea. */
const LIKELY_PSU = [26, 30, 34] as const

/** A bag as it may turn out once it is measured. */
export interface LikelyBag {
  psu: number
  /** "26 psu", "1.0192 SG". */
  words: string
  question: BoxQuestion
}

/**
 * The same question for three bags as they may turn out: what would be chosen then.
 * @param unmeasured the animals whose bag's salinity is only assumed
 * @example
 * likelyBags(question, new Set(['orchid'])).map(({ psu }) => psu) // [26, 30, 34]
 */
export const likelyBags = (question: BoxQuestion, unmeasured: ReadonlySet<string>): LikelyBag[] =>
  LIKELY_PSU.map((psu) => ({
    psu,
    words: salinityWords(psu, question.units),
    question: {
      ...question,
      animals: question.animals.map((animal) =>
        unmeasured.has(animal.id) ? { ...animal, bag: { ...animal.bag, salinityPsu: psu } } : animal,
      ),
    },
  }))
