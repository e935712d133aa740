/**
 * A stream of random numbers, evenly spread over 0 up to and without 1, the same for the same seed: sfc32 (Chris Doty-Humphrey,
 * PractRand), seeded through splitmix32 so that near seeds give far streams.
 */
export class RandomStream {
  private a: number
  private b: number
  private c: number
  private counter = 1

  constructor(seed: number) {
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
    this.a = split()
    this.b = split()
    this.c = split()
    for (let i = 0; i < 12; i++) this.next()
  }

  next(): number {
    const { b, c } = this
    const sum = (this.a + b + this.counter) | 0
    this.counter = (this.counter + 1) | 0
    this.a = b ^ (b >>> 9)
    this.b = (c + (c << 3)) | 0
    this.c = (((c << 21) | (c >>> 11)) + sum) | 0
    return (sum >>> 0) / 4294967296
  }
}
