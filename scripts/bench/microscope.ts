/**
 * The microscope: frames a second with two hundred cells at 1280 × 800, in a real browser on the built app. A browser without a graphics card
 * paints by the processor: a device with one does better.
 */
import { chromium } from '@playwright/test'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import { createField, moveCells } from '../../core/microscope/field.ts'
import { CHROMIUM, CHROMIUM_FLAGS } from '../../e2e/support/place.ts'
import { createApp } from '../../server/app.ts'
import { quantile } from './keystrokes.ts'

const FRAMES = 300
const FRAME_MS = 1000 / 60

const field = createField([{ kind: 'coolia', count: 200 }], 4500, 1)
const alone = Array.from({ length: 400 }, () => {
  const start = performance.now()
  moveCells(field, 1 / 60)
  return performance.now() - start
}).slice(100)

const server = createServer(createApp(fileURLToPath(new URL('../../dist', import.meta.url))))
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS })
const context = await browser.newContext({
  viewport: { width: 1280, height: 800 },
  serviceWorkers: 'block',
  reducedMotion: 'no-preference',
})
// The loader marks functions with a helper that the page does not have.
await context.addInitScript('globalThis.__name = (marked) => marked')
await context.addInitScript(() => {
  localStorage.setItem('brinvo-which', 'sample')
  // Times the work of each frame: what the page does in it, and how long it is to the next.
  const frames: { at: number; work: number }[] = []
  Object.assign(window, { frames })
  const ask = window.requestAnimationFrame.bind(window)
  window.requestAnimationFrame = (draw) =>
    ask((now) => {
      const start = performance.now()
      draw(now)
      frames.push({ at: now, work: performance.now() - start })
    })
})
const page = await context.newPage()

async function watch(name: string, path: string, ready: () => Promise<void>): Promise<void> {
  await page.goto(`${origin}${path}`)
  await ready()
  await page.waitForTimeout(800)
  const frames = await page.evaluate(async (count) => {
    const { frames: seen } = window as unknown as { frames: { at: number; work: number }[] }
    seen.length = 0
    while (seen.length < count) await new Promise((resolve) => setTimeout(resolve, 50))
    return seen.slice(0, count)
  }, FRAMES)
  const gaps = frames.slice(1).map(({ at }, i) => at - frames[i]!.at)
  const work = frames.map((frame) => frame.work)
  const said = (values: readonly number[]) =>
    `median ${quantile(values, 0.5).toFixed(2)} ms, p95 ${quantile(values, 0.95).toFixed(2)} ms`
  console.log(`  ${name}`)
  console.log(`    moved and drawn: ${said(work)}, ${(quantile(work, 0.95) / FRAME_MS).toFixed(2)} of a frame at p95`)
  console.log(`    from frame to frame: ${said(gaps)}; ${(1000 / quantile(gaps, 0.5)).toFixed(0)} a second`)
}

console.log('Microscope, moving cells')
console.log(`  200 cells moved on, alone: median ${quantile(alone, 0.5).toFixed(3)} ms`)
await watch('two fields of some 130 cells each at ×4', '/diagnose/microscope/kinds', () =>
  page.getByRole('button', { name: '×4', exact: true }).click(),
)
await watch('all kinds side by side, ×10', '/diagnose/microscope/kinds', () =>
  page.getByRole('button', { name: 'all of them' }).click(),
)
await browser.close()
server.close()
