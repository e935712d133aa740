/** A number from 0 to 1 that belongs to a text and a whole number: the same each time it is asked for (FNV-1a, then a mix). */
export function hashed(text: string, step: number): number {
  let hash = 0x811c9dc5
  for (const char of `${text} ${step}`) {
    hash ^= char.charCodeAt(0)
    hash = Math.imul(hash, 0x01000193)
  }
  hash ^= hash >>> 15
  hash = Math.imul(hash, 0x2c1b3c6d)
  hash ^= hash >>> 12
  return (hash >>> 0) / 2 ** 32
}

/** A standard normal that belongs to a text and a whole number (Box–Muller). */
export const normal = (text: string, step: number): number =>
  Math.sqrt(-2 * Math.log(Math.max(1e-12, hashed(`${text} a`, step)))) *
  Math.cos(2 * Math.PI * hashed(`${text} b`, step))
