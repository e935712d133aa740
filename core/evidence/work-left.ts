/** Pests that are left and how fast they are taken out: what is left to do. */
interface WorkInput {
  left: number
  removed: number
  /** Hours at the bench in which they were taken out. */
  hours: number
  /** Hours of a session to come. */
  sessionHours: number
}

/**
 * Sessions that are left: left ÷ removed per hour ÷ hours of a session. Source: further-schools.md 7.
 * @returns null where nothing was taken out yet
 * @example
 * sessionsLeft({ left: 60, removed: 40, hours: 2, sessionHours: 1 }) // 3
 */
export const sessionsLeft = ({ left, removed, hours, sessionHours }: WorkInput): number | null =>
  removed > 0 && hours > 0 && sessionHours > 0 ? left / (removed / hours) / sessionHours : null

/**
 * Days in which they double, from two counts some days apart. Source: further-schools.md 7.
 * @returns null where they have not grown
 * @example
 * doublingDays(10, 40, 14) // 7
 */
export const doublingDays = (first: number, last: number, days: number): number | null =>
  first > 0 && last > first && days > 0 ? (days * Math.LN2) / Math.log(last / first) : null

/**
 * How many there are after a pause: count × 2^(days ÷ doubling). Source: further-schools.md 7.
 * @example
 * afterPause(20, 7, 14) // 80
 */
export const afterPause = (count: number, doubling: number, days: number): number => count * 2 ** (days / doubling)
