/**
 * The plan of an arrival: from the last key in a bag's field to the frame that shows every way again, and frames dropped
 * while typing and while the marker is dragged; one animal, and three with clashing limits in one box. In a real browser.
 */
import { chromium, type Page } from '@playwright/test'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import { CHROMIUM, CHROMIUM_FLAGS } from '../../e2e/support/place.ts'
import { createApp } from '../../server/app.ts'
import { quantile } from './keystrokes.ts'

const ROUNDS = 25
const BETWEEN_KEYS_MS = 90
const WANTED_MS = 200
const FRAME_MS = 1000 / 60

const server = createServer(createApp(fileURLToPath(new URL('../../dist', import.meta.url))))
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS })

/** Watches the frames of a page: how long after the last key the ways were all new, and which frames came late. */
async function watch(page: Page): Promise<void> {
  await page.evaluate(() => {
    const state = { pressed: 0, answered: [] as number[], frames: 0, dropped: 0, isBusy: false, counts: false }
    ;(window as unknown as { planBench: typeof state }).planBench = state
    let last = performance.now()
    const frame = () => {
      const now = performance.now()
      if (state.counts) {
        state.frames++
        // A frame that came a whole frame late.
        if (now - last > 1.9 * (1000 / 60)) state.dropped++
      }
      last = now
      const busy = [...document.querySelectorAll('[aria-busy]')].some((one) => one.getAttribute('aria-busy') === 'true')
      if (busy) state.isBusy = true
      else if (state.isBusy && state.pressed > 0) {
        state.answered.push(now - state.pressed)
        state.isBusy = false
      }
      requestAnimationFrame(frame)
    }
    requestAnimationFrame(frame)
    window.addEventListener('keydown', (event) => (state.pressed = event.timeStamp), { capture: true })
  })
}

interface Bench {
  answered: number[]
  frames: number
  dropped: number
  counts: boolean
}
const read = (page: Page) => page.evaluate(() => (window as unknown as { planBench: Bench }).planBench)
const counting = (page: Page, on: boolean) =>
  page.evaluate((counts) => {
    const state = (window as unknown as { planBench: Bench }).planBench
    Object.assign(state, { counts, frames: 0, dropped: 0 })
  }, on)

async function measure(page: Page, what: string): Promise<void> {
  const bag = page.getByRole('group', { name: /^Bag of/ }).first()
  const salinity = bag.getByLabel('Salinity')
  await page
    .getByRole('region', { name: /^Advice/ })
    .first()
    .waitFor()
  await watch(page)
  await counting(page, true)
  await page.waitForTimeout(3000)
  const idle = await read(page)
  await counting(page, true)
  const last: number[] = []
  for (let i = 0; i < ROUNDS; i++) {
    // By keys, as a keeper would: a field filled by the driver costs frames of its own.
    await salinity.focus()
    await page.keyboard.press('Control+A')
    await page.keyboard.press('Delete')
    await page.waitForTimeout(400)
    const before = (await read(page)).answered.length
    for (const key of `3${i % 4}.${i % 10}${(i * 7) % 10}`) {
      await page.keyboard.press(key === '.' ? 'Period' : key)
      await page.waitForTimeout(BETWEEN_KEYS_MS)
    }
    await page.waitForTimeout(600)
    const { answered } = await read(page)
    if (answered.length > before) last.push(answered.at(-1)!)
  }
  const typing = await read(page)
  console.log(`The plan, ${what}`)
  const [median, p95] = [quantile(last, 0.5), quantile(last, 0.95)]
  console.log(
    `  last key to every way again: median ${median.toFixed(0)} ms, p95 ${p95.toFixed(0)} ms (${(p95 / WANTED_MS).toFixed(2)} of ${WANTED_MS})`,
  )
  const share = ({ dropped, frames }: Bench) => `${dropped} of ${frames}`
  console.log(`  frames dropped while typing: ${share(typing)}; with nothing going on: ${share(idle)}`)
  await counting(page, true)
  const marker = page.getByRole('slider').first()
  await marker.scrollIntoViewIfNeeded()
  const box = (await marker.locator('xpath=..').boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  for (let step = 0; step < 120; step++) {
    await page.mouse.move(box.x + box.width / 2 + 50 * Math.sin(step / 12) + 50, box.y + box.height / 2)
    await page.waitForTimeout(FRAME_MS)
  }
  await page.mouse.up()
  const dragging = await read(page)
  console.log(`  frames dropped while the marker is dragged: ${share(dragging)}`)
}

const context = await browser.newContext({ viewport: { width: 1280, height: 900 }, serviceWorkers: 'block' })
await context.addInitScript('globalThis.__name = (marked) => marked')
const page = await context.newPage()
await page.goto(`${origin}/arrivals/box/box-tomorrow/plan?tank=side`)
await page.getByLabel('Water round it').fill('1.2')
await measure(page, 'one animal')

await page.goto(`${origin}/arrivals/new?tank=side`)
await page.getByLabel('Hours on the way').fill('18')
for (const [i, [species, group]] of (
  [
    ['torch coral', 'coral-lps'],
    ['tuxedo urchin', 'star-urchin'],
    ['turbo snail', 'shrimp-crab-snail'],
  ] as const
).entries()) {
  if (i > 0) await page.getByRole('button', { name: 'Another animal in the box' }).click()
  const animal = page.getByRole('group', { name: `Animal ${i + 1}` })
  await animal.getByLabel('What it is').fill(species)
  await animal.getByLabel('Group').selectOption(group)
}
await page.getByRole('button', { name: 'Expect it' }).click()
await page.getByRole('link', { name: 'Plan the way' }).click()
await page.getByLabel('Water round it').nth(2).waitFor()
for (const field of await page.getByLabel('Water round it').all()) await field.fill('1')
await measure(page, 'three animals in one box')
await browser.close()
server.close()
