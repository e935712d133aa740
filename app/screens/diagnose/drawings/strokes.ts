/** Strokes of the drawings of Diagnose: the animal in ink, what is wrong in the colour of what has to be done. */
export const ink = {
  fill: 'none',
  stroke: 'var(--ink)',
  strokeWidth: 1.8,
  strokeLinejoin: 'round',
  strokeLinecap: 'round',
  // Drawings are shown small and large: a line is a line in both.
  vectorEffect: 'non-scaling-stroke',
} as const
export const thin = { ...ink, strokeWidth: 1 } as const
export const wrong = { ...ink, stroke: 'var(--act)', strokeWidth: 2 } as const
export const wrongFill = { fill: 'var(--act)', stroke: 'none' } as const

/** Colours of growth that have to be told apart, in between so that they read on paper and at night. */
export const GROWTH = {
  brown: '#9a6b32',
  gold: '#b98d3c',
  maroon: '#963a50',
  green: '#4e8a45',
  darkGreen: '#2f6a4f',
  tissue: '#b98a6d',
  skeleton: '#e9e4d6',
} as const

/** Points that look strewn and are the same each time: a linear congruential generator. */
export function strewn(count: number, seed: number): { x: number; y: number; size: number }[] {
  let state = seed
  const next = () => {
    state = (state * 1103515245 + 12345) % 2147483648
    return state / 2147483648
  }
  return Array.from({ length: count }, () => ({ x: next(), y: next(), size: next() }))
}
