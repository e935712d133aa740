import type { LifeModel } from './treatment.types.ts'

/**
 * Model defaults for course.risk and fallow.risk, quarantine.md 4.1: editorial assumptions, open to the keeper.
 */
export const LIFE_MODELS: readonly LifeModel[] = [
  { parasite: "marine-ich", onHostLight: 50, onHostHeavy: 300, onHost: { medianHours: 120, logSd: 0.25 }, cyst: { minHours: 72, medianHours: 72, logSd: 0.75 }, infection: 0.3,
    fallow: { cysts: 1000, typical: { medianDays: 6, logSd: 0.42 }, slow: { share: 0.05, medianDays: 30, logSd: 0.22 }, freeLifeHours: 48 } },
  { parasite: "marine-velvet", onHostLight: 200, onHostHeavy: 2000, onHost: { medianHours: 96, logSd: 0.2 }, cyst: { minHours: 48, medianHours: 36, logSd: 0.4 }, infection: 0.4,
    fallow: { cysts: 1000, typical: { medianDays: 3.5, logSd: 0.3 }, slow: { share: 0.02, medianDays: 15, logSd: 0.25 }, freeLifeHours: 360 } },
  { parasite: "fw-ich", onHostLight: 50, onHostHeavy: 300, onHost: { medianHours: 120, logSd: 0.2 }, cyst: { minHours: 12, medianHours: 6, logSd: 0.4 }, infection: 0.3,
    fallow: { cysts: 1000, typical: { medianDays: 0.75, logSd: 0.3 }, slow: { share: 0.02, medianDays: 3, logSd: 0.3 }, freeLifeHours: 96 } },
  { parasite: "fw-velvet", onHostLight: 200, onHostHeavy: 2000, onHost: { medianHours: 144, logSd: 0.2 }, cyst: { minHours: 48, medianHours: 12, logSd: 0.4 }, infection: 0.3,
    fallow: { cysts: 1000, typical: { medianDays: 2.5, logSd: 0.25 }, slow: { share: 0.02, medianDays: 4, logSd: 0.3 }, freeLifeHours: 48 } },
]
