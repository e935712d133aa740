/** The Dose screen: from a key pressed in a field to the frame that shows the new answer, in a real browser on the built app. */
import { chromium } from '@playwright/test'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import { CHROMIUM, CHROMIUM_FLAGS } from '../../e2e/support/place.ts'
import { createApp } from '../../server/app.ts'
import { keystrokes, quantile } from './keystrokes.ts'

const KEYSTROKES = 120

const server = createServer(createApp(fileURLToPath(new URL('../../dist', import.meta.url))))
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS })
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
// The loader marks functions with a helper that the page does not have.
await context.addInitScript('globalThis.__name = (marked) => marked')
const page = await context.newPage()
await page.goto(`${origin}/dose?volumeL=64.75&current=0&target=2`)
await page.getByRole('status', { name: 'Answer' }).waitFor()
const times = await keystrokes(page, page.getByLabel('Level wanted'), '2.25', KEYSTROKES)
await browser.close()
server.close()
const [median, p95] = [quantile(times, 0.5), quantile(times, 0.95)]
console.log('Dose, a key to the frame with the new answer')
console.log(`  median ${median.toFixed(2)} ms, ${(median / 16).toFixed(2)} of a frame; p95 ${p95.toFixed(2)} ms`)
