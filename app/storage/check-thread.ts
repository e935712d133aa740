import { checkOnThread } from './check-on-thread.ts'

/** The app's thread that checks stored entries. */
export const checkEntries = checkOnThread(
  () => new Worker(new URL('./check.worker.ts', import.meta.url), { type: 'module' }),
)
