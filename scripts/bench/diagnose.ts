/**
 * Diagnose: from an answer to the frame that shows the new ranking, in a real browser on the built app with all five sign tables loaded;
 * and the ranking alone, on the largest table.
 */
import { chromium } from '@playwright/test'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import { rankCase } from '../../core/diagnosis/ranking.ts'
import { CHROMIUM, CHROMIUM_FLAGS } from '../../e2e/support/place.ts'
import { createApp } from '../../server/app.ts'
import { quantile } from './keystrokes.ts'

const ANSWERS = 80
const FRAME_MS = 1000 / 60

const given = {
  'c-brown-jelly': 'present',
  'c-foul-smell': 'present',
  'c-eggs': 'absent',
  'c-flat-gliding': 'absent',
  'ctx-alk-change': 'present',
} as const
const alone = Array.from({ length: 120 }, () => {
  const start = performance.now()
  rankCase('coral-and-pests', 'established', given)
  return performance.now() - start
}).slice(20)

const server = createServer(createApp(fileURLToPath(new URL('../../dist', import.meta.url))))
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS })
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
// The loader marks functions with a helper that the page does not have.
await context.addInitScript('globalThis.__name = (marked) => marked')
await context.addInitScript(() => localStorage.setItem('brinvo-which', 'sample'))
const page = await context.newPage()
await page.goto(`${origin}/diagnose/look?tank=hall&at=coral`)
await page.locator('[data-sign=c-brown-jelly]').waitFor()
const times = await page.evaluate(async (count) => {
  const radios = [...document.querySelectorAll<HTMLInputElement>('[data-sign^=c-] input')]
  const found: { work: number; painted: number }[] = []
  for (let i = 0; i < count; i++) {
    const radio = radios[(i * 7) % radios.length]!
    const start = performance.now()
    radio.click()
    // Everything is drawn in the microtasks of the click; reading a height lays it out.
    await Promise.resolve()
    await Promise.resolve()
    void document.body.offsetHeight
    const work = performance.now() - start
    // The message comes after the frame that the answer was painted in.
    await new Promise<void>((resolve) =>
      requestAnimationFrame(() => {
        const channel = new MessageChannel()
        channel.port1.onmessage = () => resolve()
        channel.port2.postMessage(null)
      }),
    )
    found.push({ work, painted: performance.now() - start })
    await new Promise((resolve) => setTimeout(resolve, 30))
  }
  return found
}, ANSWERS)
await browser.close()
server.close()
const said = (values: readonly number[]) =>
  `median ${quantile(values, 0.5).toFixed(2)} ms, ${(quantile(values, 0.5) / FRAME_MS).toFixed(2)} of a frame; p95 ${quantile(values, 0.95).toFixed(2)} ms`
console.log('Diagnose, an answer to the painted ranking')
console.log(`  worked out, drawn and laid out: ${said(times.map(({ work }) => work))}`)
console.log(`  to its frame, with the wait for it: ${said(times.map(({ painted }) => painted))}`)
console.log(`  the ranking alone, 34 conditions and 57 signs: ${said(alone)}`)
