import { lazy, type ComponentType } from 'react'

/** The page is not waited for longer than this, ms. */
const AT_THE_LATEST_MS = 1000

/** Runs something once the page has nothing else to do. */
export const whenIdle = (run: () => void): void => {
  // Not in every browser.
  if (typeof requestIdleCallback === 'function') requestIdleCallback(run, { timeout: AT_THE_LATEST_MS })
  else setTimeout(run, 200)
}

/**
 * A part of a screen whose file is fetched once what is shown first stands: the fields and buttons of a task come after its words.
 * @example
 * const DipAct = lazyWhenIdle(async () => ({ default: (await import('./DipAct.tsx')).DipAct }))
 */
export const lazyWhenIdle = <P>(load: () => Promise<{ default: ComponentType<P> }>) =>
  lazy(async () => {
    if (typeof requestIdleCallback === 'function') await new Promise<void>((resolve) => whenIdle(resolve))
    return load()
  })
