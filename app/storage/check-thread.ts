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
}

const waiting = new Map<number, Waiting>()
let worker: Worker | null = null
let isBroken = false
let lastId = 0
let closing: ReturnType<typeof setTimeout> | undefined

/** A thread with nothing to check for this long is closed, ms. */
const IDLE_MS = 20_000

/** Where no thread can be had, what waits is checked here. */
function checkAllHere(): void {
  isBroken = true
  worker?.terminate()
  worker = null
  for (const [id, { values, answer }] of [...waiting]) {
    waiting.delete(id)
    void checkHere(values).then(answer)
  }
}

function threadNow(): Worker {
  if (worker) return worker
  worker = new Worker(new URL('./check.worker.ts', import.meta.url), { type: 'module' })
  worker.addEventListener('error', checkAllHere)
  worker.addEventListener('messageerror', checkAllHere)
  worker.addEventListener('message', ({ data: { id, faults } }: MessageEvent<Checked>) => {
    const asked = waiting.get(id)
    waiting.delete(id)
    if (waiting.size === 0) {
      clearTimeout(closing)
      closing = setTimeout(() => {
        worker?.terminate()
        worker = null
      }, IDLE_MS)
    }
    if (!asked) return
    const found: (Explained | null)[] = asked.values.map(() => null)
    for (const [place, fault] of faults) found[place] = fault
    asked.answer(found)
  })
  return worker
}

/** Checks on a thread of its own, so that the page needs neither the checks' code nor their time. */
export const checkEntries: CheckEntries = (values) => {
  if (isBroken || typeof Worker === 'undefined') return checkHere(values)
  clearTimeout(closing)
  return new Promise((answer) => {
    const id = ++lastId
    waiting.set(id, { values, answer })
    try {
      threadNow().postMessage({ id, values } satisfies ToCheck)
    } catch {
      checkAllHere()
    }
  })
}
