/**
 * A stream of random numbers, evenly spread over 0 up to and without 1, the same for the same seed: sfc32 (Chris Doty-Humphrey,
 * PractRand), seeded through splitmix32 so that near seeds give far streams.
 */
export function randomStream(seed: number): () => number {
  // Both halves of a large whole number count.
  let state = (seed ^ Math.imul(Math.floor(seed / 4294967296), 0x9e3779b9)) | 0
  const split = () => {
    state = (state + 0x9e3779b9) | 0
    let z = state ^ (state >>> 16)
    z = Math.imul(z, 0x21f0aaad)
    z ^= z >>> 15
    z = Math.imul(z, 0x735a2d97)
    return z ^ (z >>> 15)
  }
  let a = split()
  let b = split()
  let c = split()
  let counter = 1
  const next = () => {
    const sum = (((a + b) | 0) + counter) | 0
    counter = (counter + 1) | 0
    a = b ^ (b >>> 9)
    b = (c + (c << 3)) | 0
    c = (c << 21) | (c >>> 11)
    c = (c + sum) | 0
    return (sum >>> 0) / 4294967296
  }
  for (let i = 0; i < 12; i++) next()
  return next
}
