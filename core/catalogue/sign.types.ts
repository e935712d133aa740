export type { Sign } from './catalogue.schema.ts'
