/** Points of handling for each fish, and where they are said and asked about: quarantine.md 8, stress budget (EA). */
export const POINTS = {
  net: 2,
  container: 1,
  move: 1,
  bath: 3,
  largeChange: 1,
  halfChange: 2,
  salinityStep: 1,
  newTankMate: 2,
} as const
export const WINDOW_HOURS = 168
export const HANDLING_LIMITS = { said: 8, asked: 14 } as const
/** Shares of the water that count as a large change and as more than half. */
export const CHANGE_SHARES = { large: 0.3, half: 0.5 } as const

/** Something that handled a fish, or will. */
export interface Handled {
  atHours: number
  points: number
}

/** Points of the worst seven days on end; a window begins with one of the happenings. */
export const worstWeek = (list: readonly Handled[]): number =>
  Math.max(
    0,
    ...list.map(({ atHours }) =>
      list
        .filter((one) => one.atHours >= atHours && one.atHours < atHours + WINDOW_HOURS)
        .reduce((sum, { points }) => sum + points, 0),
    ),
  )
