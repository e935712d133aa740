/** Answers and lists longer than this are refused as input (design contract). */
export const MAX_POINTS = 100_000
/** Longest simulation, minutes (design contract). */
export const MAX_MINUTES = 10_000
/** Most simulation runs (design contract). */
export const MAX_RUNS = 100_000
