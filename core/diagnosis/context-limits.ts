import type { EquipmentItem } from '../household/tanks.ts'

/** A fish at home for no longer counts as new: quarantine.md 3, priors. */
export const NEW_FISH_DAYS = 30
/** "≤ 14 d ago", sign new-fish-14d. */
export const NEW_WET_DAYS = 14
/** A test of ammonia, nitrite or copper says something of the water for this long (EA). */
export const TEST_HOURS = 48
/** Nutrients "in the last month", outbreaks.md 3.1. */
export const NUTRIENT_DAYS = 30
/** Four months, as days. */
export const YOUNG_TANK_DAYS = 122
export const RAISED_AMMONIA = 0.5
export const RAISED_NITRITE = 0.5
/** Dosed within this, formalin and praziquantel count as an oxygen event: quarantine.md 1. */
export const OXYGEN_DOSE_HOURS = 24
export const OXYGEN_DRUGS: ReadonlySet<string> = new Set(['formalin', 'praziquantel'])
/** What brings oxygen in: stopped within a day it is an oxygen event (EA). */
export const MOVES_WATER: ReadonlySet<EquipmentItem> = new Set(['flow', 'air', 'filter'])
/** Heat, quarantine.md 1 and outbreaks.md 3.3. */
export const HEAT_C = 29
/** Limits of the context signs, mg/L and hours of light: outbreaks.md 3.1 and 3.2, each the sign's own words. */
export const FILM = { no3Zero: 1, po4Zero: 0.02, po4Left: 0.05, no3High: 20, po4High: 0.2, lightHours: 10 } as const
export const ALGAE = { no3Zero: 2, po4Low: 0.2, lightHours: 9 } as const
/** How far alkalinity may move, dKH: outbreaks.md 3.3, ctx-alk-change. */
export const ALKALINITY_MOVE = { inADay: 1, inAWeek: 2 } as const
export const SWING_C = 3
/** Potassium under this: outbreaks.md 3.3, ctx-k-or-trace-low. */
export const LOW_POTASSIUM = 370
export const UNDIPPED_DAYS = 60
export const JUST_NOW_DAYS = 14
