import { expect, test } from './support/test.ts'
import { readFileSync } from 'node:fs'
import { openSample } from './support/app.ts'

interface CheckCase {
  operation: string
  input: unknown
}

/** Years of pests that nothing stops: tens of seconds of work. */
const LONG = {
  adults: 10,
  eggs: 20,
  hatchHours: { min: 120, max: 240 },
  maturationHours: { min: 168, max: 240 },
  eggsPerAdultPerDay: 2,
  dipsHours: [],
  killMobile: 0.95,
  removeEggs: 0.1,
  horizonHours: 700,
  runs: 20_000,
  seed: 7,
}

/** Two builds of the engine may differ in the last bits of a power; a fit carries them to its tenth figure. */
const NEAR = 1e-8

/** The first place at which two answers differ by more than the engines may; null where they are the same. */
function difference(came: unknown, told: unknown, path = ''): string | null {
  if (typeof came === 'number' && typeof told === 'number')
    return Math.abs(came - told) <= NEAR * Math.max(1, Math.abs(told)) ? null : `${path}: ${came}, told ${told}`
  if (came === null || told === null || typeof came !== 'object' || typeof told !== 'object')
    return came === told ? null : `${path}: ${JSON.stringify(came)}, told ${JSON.stringify(told)}`
  const [a, b] = [came as Record<string, unknown>, told as Record<string, unknown>]
  for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) {
    const found = difference(a[key], b[key], `${path}/${key}`)
    if (found) return found
  }
  return null
}

test('the worker answers as the command line does, for a case of every operation', async ({ page }) => {
  const cases = readFileSync('core/operations/check-values.jsonl', 'utf8')
    .split('\n')
    .filter(Boolean)
    .map((line) => JSON.parse(line) as CheckCase)
  const first = [...new Map([...cases].reverse().map((one) => [one.operation, one])).values()]
  const { command } = await import('../core/operations/command.ts')
  await openSample(page)
  for (const { operation, input } of first) {
    const came = await page.evaluate(({ operation, input }) => window.brinvoCore!(operation, input), {
      operation,
      input,
    })
    const told: unknown = JSON.parse(command([operation], () => JSON.stringify(input)).output)
    expect(difference(came, told), operation).toBeNull()
  }
})

test('a long run tells its progress, leaves the page free, and frees the worker when it is stopped', async ({
  page,
}) => {
  await openSample(page)
  const told = await page.evaluate(async (input) => {
    const abort = new AbortController()
    const progress: number[] = []
    let frames = 0
    const watch = () => {
      frames++
      if (!abort.signal.aborted) requestAnimationFrame(watch)
    }
    requestAnimationFrame(watch)
    const ended = await window.brinvoCore!('pest.clearance', input, {
      signal: abort.signal,
      onProgress: (done) => {
        progress.push(done)
        if (progress.length === 3) abort.abort()
      },
    }).then(
      () => 'done',
      (error: Error) => error.name,
    )
    const after = await window.brinvoCore!('uv.size', { uvcWatts: 5, gapCm: 1.5, flowLPerHour: 600, volumeL: 150 })
    return { ended, progress, after, frames }
  }, LONG)
  expect(told.ended).toBe('Cancelled')
  expect(told.progress.length).toBeGreaterThanOrEqual(3)
  expect(told.frames).toBeGreaterThan(1)
  expect(told.progress[2]).toBeGreaterThan(told.progress[1]!)
  expect(told.after).toEqual({ doseMjPerCm2: 45, turnoversPerHour: 4 })
})

test('the worker still answers after the page’s memory was tidied', async ({ page }) => {
  await openSample(page)
  const ask = () =>
    page.evaluate(() => window.brinvoCore!('uv.size', { uvcWatts: 5, gapCm: 1.5, flowLPerHour: 600, volumeL: 150 }))
  const cdp = await page.context().newCDPSession(page)
  for (let i = 0; i < 3; i++) {
    expect(await ask()).toEqual({ doseMjPerCm2: 45, turnoversPerHour: 4 })
    await cdp.send('HeapProfiler.collectGarbage')
    // What is let go of on collection is let go of in a task after it.
    await page.evaluate(() => new Promise((resolve) => setTimeout(resolve, 100)))
  }
})
