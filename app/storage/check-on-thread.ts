import type { Explained } from '../../core/schema/explain.ts'
import { checkEntries as checkHere, type CheckEntries } from './check-here.ts'

export interface ToCheck {
  id: number
  values: readonly unknown[]
}

/** What is wrong with which of the values, by their place. */
export interface Checked {
  id: number
  faults: [place: number, fault: Explained][]
}

interface Waiting {
  values: readonly unknown[]
  answer: (faults: (Explained | null)[]) => void
  fail: (error: unknown) => void
}

/** A thread with nothing to check for this long is closed, ms. */
const IDLE_MS = 20_000

/**
 * Checks stored values on a thread of its own, so that the page needs neither the checks' code nor their time; on the thread that asks where
 * none can be had.
 * @param makeWorker starts the thread of `check.worker.ts`
 * @example
 * const checkEntries = checkOnThread(() => new Worker(url, { type: 'module' }))
 */
export function checkOnThread(makeWorker: () => Worker): CheckEntries {
  const waiting = new Map<number, Waiting>()
  let worker: Worker | null = null
  let isBroken = false
  let lastId = 0
  let closing: ReturnType<typeof setTimeout> | undefined

  const close = (): void => {
    worker?.terminate()
    worker = null
  }

  const checkAllHere = (): void => {
    isBroken = true
    close()
    for (const [id, { values, answer, fail }] of [...waiting]) {
      waiting.delete(id)
      checkHere(values).then(answer, fail)
    }
  }

  const take = ({ data: { id, faults } }: MessageEvent<Checked>): void => {
    const asked = waiting.get(id)
    waiting.delete(id)
    if (waiting.size === 0) closing = setTimeout(close, IDLE_MS)
    if (!asked) return
    const found: (Explained | null)[] = asked.values.map(() => null)
    for (const [place, fault] of faults) found[place] = fault
    asked.answer(found)
  }

  const threadNow = (): Worker => {
    if (worker) return worker
    worker = makeWorker()
    worker.addEventListener('error', checkAllHere)
    worker.addEventListener('messageerror', checkAllHere)
    worker.addEventListener('message', take)
    return worker
  }

  return (values) => {
    if (isBroken) return checkHere(values)
    clearTimeout(closing)
    return new Promise((answer, fail) => {
      const id = ++lastId
      waiting.set(id, { values, answer, fail })
      try {
        threadNow().postMessage({ id, values } satisfies ToCheck)
      } catch {
        checkAllHere()
      }
    })
  }
}
