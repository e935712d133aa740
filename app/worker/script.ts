import type { RunOptions } from './core-thread.ts'

declare global {
  interface Window {
    /** The core for people who script: the same JSON as `npm run core`, from the browser's console, in the worker. */
    brinvoCore?: (operation: string, input: unknown, options?: RunOptions) => Promise<unknown>
  }
}

/** Puts the core within reach of the browser's console; nothing loads before it is asked. */
export function offerCore(): void {
  window.brinvoCore = async (operation, input, options) => {
    const { coreThread } = await import('./thread.ts')
    const result = await coreThread.runUnknown(operation, input, options)
    return result.ok ? result.value : { error: result.error }
  }
}
