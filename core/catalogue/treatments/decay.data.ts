/**
 * How fast copper leaves the water by itself, as a first belief before readings say better: the words of quarantine.md 5.1
 * ("slow", "days", "hours to days") put into numbers. Editorial assumption, as is the spread.
 */
export const COPPER_HALF_LIFE: Readonly<Record<string, { medianHours: number; logSd: number }>> = {
  'cu-chelated': { medianHours: 720, logSd: 0.8 },
  'cu-amine': { medianHours: 168, logSd: 0.8 },
  'cu-ion': { medianHours: 36, logSd: 0.8 },
}
