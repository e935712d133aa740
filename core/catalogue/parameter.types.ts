export type { BandProfile, BandProfileId, Parameter, ParameterId, Water } from './catalogue.schema.ts'
