/** A quotient this near a whole number (for ceil) or a half (for rounding) counts as it (design contract). */
const SLACK = 1e-9

/** The smallest whole number not under a quotient, a hair's breadth over a whole number not counting. */
export function ceilQuotient(quotient: number): number {
  const nearest = Math.round(quotient)
  return Math.abs(quotient - nearest) <= SLACK ? nearest : Math.ceil(quotient)
}

/** The nearest whole number, halves up, a hair's breadth under a half counting as one. */
export const roundHalfUp = (quotient: number): number => Math.floor(quotient + 0.5 + SLACK)

/** Whether a share is within a limit, a hair's breadth over it not counting. */
export const withinLimit = (value: number, limit: number): boolean => value <= limit + SLACK

/**
 * Rounded down to some significant digits; 0 where the value is not over 0.
 * @example
 * floorToDigits(2.609, 2) // 2.6
 */
export function floorToDigits(value: number, digits: number): number {
  if (!(value > 0)) return 0
  const step = 10 ** (Math.floor(Math.log10(value)) + 1 - digits)
  return Number((Math.floor(value / step + 1e-9) * step).toPrecision(digits))
}
