/** Rock and sand that were in copper give it back for months, days: quarantine.md 6, drug-invert ("for months"; half a year is EA). */
export const COPPER_ROCK_DAYS = 180
/** They are clear once copper still tests zero so many days after it first did (EA). */
export const ROCK_CLEAR_DAYS = 28
/** Fenbendazole stays on rock and in snails, days: quarantine.md 5.1 and outbreaks.md 5.1 ("weeks to months"; three months are EA). */
export const RESIDUE_DAYS = 90
/** Two trial snails that have lived for fourteen days show that it is gone: outbreaks.md 5.2. */
export const TRIAL_SNAILS = { count: 2, days: 14 } as const
