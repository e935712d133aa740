export type { InspectionKind, InspectionTick } from './inspection.schema.ts'
