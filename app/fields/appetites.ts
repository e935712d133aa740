/** The scale of appetite as keys to pick from: quarantine.md 1. */
export const APPETITES = [
  { value: '0', label: 'ignores food' },
  { value: '1', label: 'looks at it' },
  { value: '2', label: 'spits it' },
  { value: '3', label: 'eats some' },
  { value: '4', label: 'eats all' },
]
