import { bareTank } from '../../core/journal/testing.ts'
import { entryFault } from '../../core/journal/check.ts'
import { checkOnThread, type ToCheck } from './check-on-thread.ts'

const good = { id: 'a', logged: '2026-01-01T00:00:00Z', content: bareTank('q', 'Quarantine') }
const bad = { id: 'b', logged: 'yesterday' }

/** A thread that answers as the real one does, or breaks when something is asked of it. */
function stubThread({ breaks = false } = {}) {
  const started: EventTarget[] = []
  const checkEntries = checkOnThread(() => {
    const thread = Object.assign(new EventTarget(), {
      terminate: () => undefined,
      postMessage: ({ id, values }: ToCheck) =>
        setTimeout(() => {
          if (breaks) return thread.dispatchEvent(new Event('error'))
          const faults = values.flatMap((value, i) => {
            const fault = entryFault(value)
            return fault === null ? [] : [[i, fault]]
          })
          return thread.dispatchEvent(new MessageEvent('message', { data: { id, faults } }))
        }),
    })
    started.push(thread)
    return thread as unknown as Worker
  })
  return { checkEntries, started }
}

test('the faults come back in the places of their values, for several questions at once on one thread', async () => {
  const { checkEntries, started } = stubThread()
  const [first, second] = await Promise.all([checkEntries([good, bad, good]), checkEntries([bad])])
  expect(first.map((fault) => fault === null)).toEqual([true, false, true])
  expect(second).toEqual([entryFault(bad)])
  expect(started).toHaveLength(1)
})

test('where the thread breaks, what waits is checked on this one, and so is what comes later', async () => {
  const { checkEntries, started } = stubThread({ breaks: true })
  const [first, second] = await Promise.all([checkEntries([bad, good]), checkEntries([good])])
  expect(first).toEqual([entryFault(bad), null])
  expect(second).toEqual([null])
  expect(await checkEntries([bad])).toEqual([entryFault(bad)])
  expect(started).toHaveLength(1)
})

test('where no thread can be started, everything is checked on this one', async () => {
  const checkEntries = checkOnThread(() => {
    throw new Error('no threads here')
  })
  expect(await checkEntries([good, bad])).toEqual([null, entryFault(bad)])
})
