/**
 * How fast copper leaves the water by itself, as a first belief before readings say better: the words of quarantine.md 5.1
 * ("slow", "days", "hours to days") put into numbers. Editorial assumption, as is the spread.
 */
export const COPPER_HALF_LIFE: Readonly<Record<string, { medianHours: number; logSd: number }>> = {
  'cu-chelated': { medianHours: 720, logSd: 0.8 },
  'cu-amine': { medianHours: 168, logSd: 0.8 },
  'cu-ion': { medianHours: 36, logSd: 0.8 },
}

/**
 * How long a dosed agent is taken to act in the water where nothing shows it gone, h: the longest of quarantine.md 5.1's decay
 * guidance and redose column. Copper, salts and dyes stay until water is changed or carbon takes them; fenbendazole persists on
 * rock and in snails (weeks to months). The figures for words ("hours", "days") are editorial assumptions, on the safe side.
 */
export const AGENT_STAYS_HOURS: Readonly<Record<string, number>> = {
  chloroquine: 336,
  metronidazole: 48,
  praziquantel: 216,
  fenbendazole: 2160,
  levamisole: 48,
  formalin: 72,
  peroxide: 48,
  kanamycin: 48,
  ciprofloxacin: 48,
  nitrofurazone: 48,
  enrofloxacin: 48,
  'methylene-blue': 336,
  'malachite-green': 72,
  permanganate: 48,
  diflubenzuron: 336,
  // The plan of outbreaks.md 5.2 leaves it in for 21 days.
  fluconazole: 504,
  // Salts stay until water is changed.
  salt: Infinity,
  'epsom-salt': Infinity,
  'ammonia-binder': 168,
  dechlorinator: 48,
}
/** For every other agent, h: two weeks (editorial assumption). */
export const AGENT_STAYS_HOURS_DEFAULT = 336
/** Carbon running this long has taken out what carbon takes, h: quarantine.md 5.1, 24–48 h. */
export const CARBON_CLEARS_HOURS = 48
/** Agents that carbon takes out whole, quarantine.md 5.1 column `carbon` = yes; copper only in part, so its level decides. */
export const CARBON_TAKES: readonly string[] = [
  'chloroquine', 'metronidazole', 'praziquantel', 'fenbendazole', 'levamisole', 'peroxide', 'kanamycin', 'ciprofloxacin', 'nitrofurazone',
  'enrofloxacin', 'methylene-blue', 'malachite-green', 'permanganate', 'diflubenzuron', 'iodine-dip',
]
