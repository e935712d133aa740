/**
 * The ledger at 1,000 and 50,000 entries: cold open, append (median of 200) and keystroke-to-paint in the log line.
 * Measured in a real browser on the built app, one journal after the other.
 */
import { chromium, type Browser, type Page } from '@playwright/test'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import { CHROMIUM, CHROMIUM_FLAGS } from '../../e2e/support/place.ts'
import { createApp } from '../../server/app.ts'
import { fill } from './fill.ts'
import { keystrokes, quantile } from './keystrokes.ts'

const SIZES = [1_000, 50_000] as const
/** In rounds that alternate between the two sizes, so that a slow spell of the disk falls on both. */
const ROUNDS = 10
const APPENDS_A_ROUND = 20
const KEYSTROKES = 120
const COLD_OPENS = 5
const LINE = 'tank1 no3 8 po4 .08 alk 8.2 ca 420 '

const ms = (value: number) => `${value.toFixed(2)} ms`

async function coldOpens(page: Page, origin: string): Promise<number[]> {
  const times: number[] = []
  for (let i = 0; i < COLD_OPENS; i++) {
    await page.goto('about:blank')
    const start = performance.now()
    await page.goto(origin, { waitUntil: 'commit' })
    await page.getByRole('gridcell', { name: 'Tank 1, today' }).waitFor()
    times.push(performance.now() - start)
  }
  return times
}

/** Times from Enter to the entry being told as kept, as the page itself sees it. */
const appends = (page: Page) =>
  page.evaluate(async (count) => {
    const field = document.getElementById('log-line') as HTMLInputElement
    const status = field.closest('section')!.querySelector('[role=status]')!
    // React listens to the setter of its own: a value set past it counts as typed.
    const setValue = (text: string) =>
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(field, text)
    const until = (ready: () => boolean) =>
      new Promise<void>((resolve) => {
        if (ready()) return resolve()
        const observer = new MutationObserver(() => {
          if (!ready()) return
          observer.disconnect()
          resolve()
        })
        observer.observe(status, { childList: true, subtree: true, characterData: true })
      })
    const times: number[] = []
    for (let i = 0; i < count; i++) {
      setValue(`tank1 no3 ${(4 + (i % 9)).toFixed(1)}`)
      field.dispatchEvent(new Event('input', { bubbles: true }))
      await until(() => status.textContent.startsWith('keeps'))
      const start = performance.now()
      field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))
      await until(() => status.textContent.startsWith('Kept'))
      times.push(performance.now() - start)
    }
    return times
  }, APPENDS_A_ROUND)

/** A browser profile with a journal of some size, opened. */
async function openAt(browser: Browser, origin: string, size: number) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
  // The loader marks functions with a helper that the page does not have.
  await context.addInitScript('globalThis.__name = (marked) => marked')
  const page = await context.newPage()
  await fill(page, origin, size)
  const cold = quantile(await coldOpens(page, origin), 0.5)
  return { page, cold, times: [] as number[] }
}

const server = createServer(createApp(fileURLToPath(new URL('../../dist', import.meta.url))))
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS })
const opened = [await openAt(browser, origin, SIZES[0]), await openAt(browser, origin, SIZES[1])] as const
for (let round = 0; round < ROUNDS; round++)
  for (const one of opened) {
    await one.page.bringToFront()
    one.times.push(...(await appends(one.page)))
  }
const keys: number[][] = []
for (const { page } of opened) {
  await page.bringToFront()
  keys.push(await keystrokes(page, page.locator('#log-line'), LINE, KEYSTROKES))
}
await browser.close()
server.close()

const [small, large] = opened
const row = (name: string, a: number, b: number, more: string) =>
  console.log(`  ${name.padEnd(20)} ${ms(a)}  ${ms(b)}  ${more}`)
const ratio = (a: number, b: number) => `ratio ${(b / a).toFixed(2)}`
const [smallAppend, largeAppend] = [quantile(small.times, 0.5), quantile(large.times, 0.5)]
console.log(`ledger, ${SIZES[0]} and ${SIZES[1]} entries`)
row('cold open', small.cold, large.cold, ratio(small.cold, large.cold))
row('append, median', smallAppend, largeAppend, `${ratio(smallAppend, largeAppend)} (bar 1.3)`)
row('keystroke, median', quantile(keys[0]!, 0.5), quantile(keys[1]!, 0.5), '(bar one frame, 16 ms)')
row('keystroke, p95', quantile(keys[0]!, 0.95), quantile(keys[1]!, 0.95), '(bar two frames, 32 ms)')
