/**
 * The complementary error function, to about 1e-15: its series under 2.5, its continued fraction (Lentz) above
 * (Abramowitz & Stegun 7.1.5 and 7.1.14).
 */
export function erfc(x: number): number {
  if (x < 0) return 2 - erfc(-x)
  if (x < 2.5) {
    let term = x
    let sum = x
    for (let n = 1; n < 200 && Math.abs(term) > 1e-17 * Math.abs(sum); n++) {
      term *= (-x * x) / n
      sum += term / (2 * n + 1)
    }
    return 1 - (2 / Math.sqrt(Math.PI)) * sum
  }
  if (x > 27) return 0
  // erfc(x) = exp(−x²)/√π · 1/(x + (1/2)/(x + (2/2)/(x + …))), evaluated from the far end.
  let tail = x
  for (let n = 120; n >= 1; n--) tail = x + n / 2 / tail
  return Math.exp(-x * x) / Math.sqrt(Math.PI) / tail
}

/** Share of a standard normal below z. */
export const normalCdf = (z: number): number => erfc(-z / Math.SQRT2) / 2

/** Share of a log-normal below x: 0 for x ≤ 0. */
export const logNormalCdf = (x: number, median: number, logSd: number): number =>
  x <= 0 ? 0 : normalCdf(Math.log(x / median) / logSd)

/** Share of a log-normal above x, exact where little is left. */
export const logNormalTail = (x: number, median: number, logSd: number): number =>
  x <= 0 ? 1 : normalCdf(-Math.log(x / median) / logSd)

/** Two-sided 95 % of a normal. */
export const Z_95 = 1.959963984540054

/**
 * Wilson's 95 % interval of a share, from successes among trials (Wilson 1927). No trials: all that is possible, 0 to 1.
 */
export function wilson95(successes: number, trials: number): { low: number; high: number } {
  if (trials === 0) return { low: 0, high: 1 }
  const share = successes / trials
  const z2 = Z_95 * Z_95
  const scale = 1 + z2 / trials
  const center = (share + z2 / (2 * trials)) / scale
  const half = (Z_95 / scale) * Math.sqrt((share * (1 - share)) / trials + z2 / (4 * trials * trials))
  return { low: Math.max(0, center - half), high: Math.min(1, center + half) }
}
