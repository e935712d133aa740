/**
 * A time on the wall clock by its minutes since midnight.
 * @returns HH:MM
 * @example timeOfMinute(1290) // '21:30'
 */
export const timeOfMinute = (minute: number): string =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`
