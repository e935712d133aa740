/**
 * The charts of the water log with ten thousand readings in one tank: a pointer that moves over them, and another period; in a real browser
 * on the built app.
 */
import { chromium } from '@playwright/test'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import { CHROMIUM, CHROMIUM_FLAGS } from '../../e2e/support/place.ts'
import { createApp } from '../../server/app.ts'
import { fill } from './fill.ts'
import { quantile } from './keystrokes.ts'

/** Of these four in five are readings, a quarter of them in each tank. */
const ENTRIES = 50_000
const MOVES = 200
const PERIODS = 24
const FRAME_MS = 1000 / 60

const server = createServer(createApp(fileURLToPath(new URL('../../dist', import.meta.url))))
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS })
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
// The loader marks functions with a helper that the page does not have.
await context.addInitScript('globalThis.__name = (marked) => marked')
const page = await context.newPage()
await fill(page, origin, ENTRIES)
await page.goto(`${origin}/water/charts?tank=tank1`)
await page.getByRole('button', { name: 'all of it' }).click()
await page.locator('figure svg').first().waitFor()
await page.waitForTimeout(1500)
const readings = await page.evaluate(async (count) => {
  const plot = document.querySelector('figure .recharts-wrapper')!.parentElement!
  const { left, width, top } = plot.getBoundingClientRect()
  const times: number[] = []
  for (let i = 0; i < count; i++) {
    const start = performance.now()
    plot.dispatchEvent(
      new PointerEvent('pointermove', {
        bubbles: true,
        clientX: left + 60 + ((width - 80) * ((i * 37) % count)) / count,
        clientY: top + 40,
      }),
    )
    // Everything is drawn in the microtasks after it; reading a height lays it out.
    await Promise.resolve()
    await new Promise((resolve) => setTimeout(resolve, 0))
    void document.body.offsetHeight
    times.push(performance.now() - start)
    await new Promise((resolve) => requestAnimationFrame(resolve))
  }
  return times
}, MOVES)
const periods = await page.evaluate(async (count) => {
  const buttons = ['30 days', '90 days', 'a year', 'all of it'].map((name) =>
    [...document.querySelectorAll('button')].find((button) => button.textContent === name)!,
  )
  const times: number[] = []
  for (let i = 0; i < count; i++) {
    const start = performance.now()
    buttons[(i * 3) % 4]!.click()
    await new Promise((resolve) => setTimeout(resolve, 0))
    void document.body.offsetHeight
    await new Promise((resolve) => requestAnimationFrame(resolve))
    times.push(performance.now() - start)
    await new Promise((resolve) => setTimeout(resolve, 150))
  }
  return times
}, PERIODS)
await browser.close()
server.close()
const said = (values: readonly number[]) =>
  `median ${quantile(values, 0.5).toFixed(1)} ms, p95 ${quantile(values, 0.95).toFixed(1)} ms`
console.log('Water, charts of a tank with some ten thousand readings')
console.log(
  `  a pointer moves: ${said(readings)}; ${(quantile(readings, 0.95) / FRAME_MS).toFixed(2)} of a frame at p95`,
)
console.log(`  another period, to its frame: ${said(periods)}`)
