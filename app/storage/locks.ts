/**
 * Web Locks, where the page has them (they are missing on plain http from another machine). Without them each tab still
 * writes only to segments of its own, so that no entry can be lost; what is skipped is tidying up.
 */
const available = (): LockManager | null =>
  typeof navigator !== 'undefined' && navigator.locks ? navigator.locks : null

export const hasLocks = (): boolean => available() !== null

/** Runs work while holding a lock; without locks, just runs it. */
export async function withLock<T>(name: string, mode: 'shared' | 'exclusive', work: () => Promise<T>): Promise<T> {
  const locks = available()
  // The lock's promise is the work's own.
  return locks ? await locks.request(name, { mode }, work) : work()
}

/** Runs work only if the lock is free and locks exist; otherwise does nothing. */
export async function ifUnlocked(name: string, work: () => Promise<void>): Promise<void> {
  await available()?.request(name, { ifAvailable: true }, async (lock) => {
    if (lock) await work()
  })
}

/** Holds a shared lock for as long as the page lives, as a sign to other tabs. */
export function holdForPage(name: string): void {
  void available()?.request(name, { mode: 'shared' }, () => new Promise(() => {}))
}

/** Names of all locks held by any tab. */
export async function heldLocks(): Promise<Set<string>> {
  const state = await available()?.query()
  return new Set(state?.held?.flatMap(({ name }) => name ?? []) ?? [])
}
