import type { Ingredient } from './ingredient.types.ts'
import { INGREDIENTS } from './ingredients.data.ts'

export type { Ingredient } from './ingredient.types.ts'
export { INGREDIENTS }

const byId = new Map<string, Ingredient>(INGREDIENTS.map((ingredient) => [ingredient.id, ingredient]))

/** The ingredient with this id, or undefined. */
export const ingredientById = (id: string): Ingredient | undefined => byId.get(id)
