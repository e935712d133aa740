export type { Ingredient } from './catalogue.schema.ts'
