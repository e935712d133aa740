import localforage from 'localforage'

/** Two journals live side by side on a device; one is shown at a time. */
export type Which = 'sample' | 'mine'

export const WHICH_NAMES: Record<Which, string> = { sample: 'Sample household', mine: 'My household' }

const KEY = 'brinvo-which'

const isWhich = (value: unknown): value is Which => value === 'mine' || value === 'sample'

/** Where the journals are too: the browser writes local storage lazily, and a crash soon after would show the other one. */
const open = () =>
  localforage.createInstance({ name: 'brinvo-shown', storeName: 'shown', driver: localforage.INDEXEDDB })

function inLocalStorage(): Which | null {
  try {
    const value = localStorage.getItem(KEY)
    return isWhich(value) ? value : null
  } catch {
    return null
  }
}

/** Which was shown last; null where nobody has chosen yet: then the first screen asks. */
export async function shownLast(): Promise<Which | null> {
  try {
    const value = await open().getItem<unknown>(KEY)
    if (isWhich(value)) return value
  } catch {
    // A browser that keeps no databases says so when the journal is opened.
  }
  return inLocalStorage()
}

/** Remembers which is shown. Resolves once it is on disk, or once it is clear that the browser keeps nothing. */
export async function rememberShown(which: Which): Promise<void> {
  try {
    localStorage.setItem(KEY, which)
  } catch {
    // The database below holds it as well.
  }
  try {
    await open().setItem(KEY, which)
  } catch {
    // Without any storage the next visit asks again.
  }
}
