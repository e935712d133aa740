/** Something typed within this time is taken for still wanted, ms. */
const TYPED_MS = 12 * 3_600_000

/** Addresses under which something runs that must not change under a keeper's hands: a bench, an acclimation, a count. */
const AT_WORK = /\/(bench\/(?!begin\/)[^/]+|arrivals\/run\/[^/]+|diagnose\/microscope\/tally)$/

/** Held by every tab for as long as it is open. */
const OPEN = 'brinvo-open-tab'

/** Whether anything is half typed in a form or the log line, in any tab. @param now ms */
export function isSomethingTyped(storage: Storage, now: number): boolean {
  for (let i = 0; i < storage.length; i++) {
    const key = storage.key(i)
    if (!key?.startsWith('brinvo-draft-')) continue
    try {
      const { at } = JSON.parse(storage.getItem(key) ?? 'null') as { at: number }
      if (now - at < TYPED_MS) return true
    } catch {
      // No draft of ours.
    }
  }
  return false
}

/**
 * Whether a new version may take over when this page is left: nothing runs or is half typed here, and no other tab is open, which would lose the files it
 * was loaded from.
 * @param path of the page
 */
export const mayTakeOver = (path: string, storage: Storage, now: number, otherTabs: number): boolean =>
  otherTabs === 0 && !AT_WORK.test(path) && !isSomethingTyped(storage, now)

/** How many other tabs of the app are open; as many as there may be where that cannot be told. */
export async function countOtherTabs(): Promise<number> {
  const { locks } = navigator as { locks?: LockManager }
  if (!locks) return Infinity
  const { held = [] } = await locks.query()
  return Math.max(0, held.filter(({ name }) => name === OPEN).length - 1)
}

/** Holds the mark of an open tab for as long as the page lives. */
export function holdOpenTab(): void {
  const { locks } = navigator as { locks?: LockManager }
  void locks?.request(OPEN, { mode: 'shared' }, () => new Promise(() => {}))
}
