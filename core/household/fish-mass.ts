import type { Animal } from './animals.ts'

/** Fulton's condition factor of deep-bodied aquarium fish, g per cm³ and 100 (EA): a slender wrasse is nearer 1. */
const CONDITION_FACTOR = 2

/**
 * Mass of a fish from its length: W = K L³ / 100, the length-weight relation by Fulton's condition factor. Good to about a half.
 * @param lengthCm nose to tail, cm
 * @returns g
 * @example
 * fishMassG(8) // 10.24
 */
export const fishMassG = (lengthCm: number): number => (CONDITION_FACTOR / 100) * lengthCm ** 3

/** Mass of an animal, or of as many of a group as live, g; null where no length is on record. */
export const massOf = ({ sizeCm }: Animal, count: number): number | null =>
  sizeCm === null ? null : count * fishMassG(sizeCm)
