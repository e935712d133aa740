import { entryFault } from '../../core/journal/check.ts'
import type { Checked, ToCheck } from './check-on-thread.ts'

// Only the faults are sent back: most values have none.
addEventListener('message', ({ data: { id, values } }: MessageEvent<ToCheck>) => {
  const faults = values.flatMap((value, i): Checked['faults'] => {
    const fault = entryFault(value)
    return fault === null ? [] : [[i, fault]]
  })
  postMessage({ id, faults } satisfies Checked)
})
