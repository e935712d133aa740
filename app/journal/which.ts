/** Two journals live side by side on a device; one is shown at a time. */
export type Which = 'sample' | 'mine'

export const WHICH_NAMES: Record<Which, string> = { sample: 'Sample household', mine: 'My household' }

const KEY = 'brinvo-which'

/** Which was shown last; the sample at first. */
export function shownLast(): Which {
  try {
    return localStorage.getItem(KEY) === 'mine' ? 'mine' : 'sample'
  } catch {
    return 'sample'
  }
}

export function rememberShown(which: Which): void {
  try {
    localStorage.setItem(KEY, which)
  } catch {
    // Without local storage the next visit starts with the sample again.
  }
}
