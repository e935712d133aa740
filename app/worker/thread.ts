import { CoreThread } from './core-thread.ts'

/** The app's one thread for heavy work. */
export const coreThread = new CoreThread(
  () => new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' }),
)
