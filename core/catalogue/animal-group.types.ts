export type { AnimalGroup, AnimalKind } from './catalogue.schema.ts'
