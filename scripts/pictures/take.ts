import { chromium, type Page } from '@playwright/test'
import { mkdirSync } from 'node:fs'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import { CHROMIUM, CHROMIUM_FLAGS, sampleChosen } from '../../e2e/support/place.ts'
import { createApp } from '../../server/app.ts'

interface View {
  name: string
  path: string
  look: 'paper' | 'night'
  device: 'desk' | 'phone'
  /** What is done before the picture is taken. */
  before?: (page: Page) => Promise<void>
  /** The page's clock can be put forward. */
  clock?: true
}

/** The bag of tomorrow's dottyback as somebody measured it. */
async function measureBag(page: Page): Promise<void> {
  const bag = page.getByRole('group', { name: 'Bag of orchid dottyback' })
  await bag.getByLabel('Water round it').fill('1.2')
  await bag.getByLabel('Salinity').fill('31.6')
  await bag.getByLabel('Temperature').fill('22.5')
  await page.getByRole('region', { name: 'Advice' }).waitFor()
  await page.getByRole('button', { name: /^Start the float/, disabled: false }).waitFor()
}

/** Its run, opened, dripping, with one measurement. */
async function runBag(page: Page): Promise<void> {
  await measureBag(page)
  await page.getByRole('button', { name: /^Start the float/ }).click()
  const big = page.locator('button[data-next]')
  for (const minutes of [20, 1]) {
    await page.clock.fastForward(minutes * 60_000)
    const step = await big.getAttribute('data-step')
    await big.click()
    await page.locator(`button[data-next]:not([data-step="${step}"])`).waitFor()
  }
  await page.clock.fastForward(14 * 60_000)
  const measured = page.getByRole('form', { name: 'Measured in the container' })
  await measured.getByLabel('Salinity').fill('31.8')
  await measured.getByLabel('Temperature').fill('24.1')
  await measured.getByRole('button', { name: 'Log what is measured' }).click()
  await page.clock.fastForward(90_000)
  await page.getByRole('heading', { level: 1 }).evaluate((heading) => heading.scrollIntoView({ block: 'center' }))
}

/** A dip round with two corals in the dip. */
async function beginDips(page: Page): Promise<void> {
  const press = async (name: string) => {
    // As a hand would: the app takes two presses on one place within 400 ms for one.
    await page.waitForTimeout(450)
    await page.getByRole('button', { name, exact: true }).click()
  }
  await page.getByRole('radio', { name: 'iodine' }).check()
  await page.getByLabel('Water in one tub').fill('4')
  await press('Begin at Frag tub')
  await press('Done, next')
  await page.getByLabel('the tub').fill('25')
  for (let i = 0; i < 3; i++) await press('Done, next')
  await press('Start 5 min')
  await page.waitForTimeout(3000)
  await press('Start 5 min')
  await page.waitForTimeout(500)
}

const VIEWPORTS = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } }

const VIEWS: readonly View[] = [
  {
    name: 'ledger-paper',
    path: '/',
    look: 'paper',
    device: 'desk',
    before: (page) => page.getByRole('combobox', { name: /Log line/ }).fill('quar cu 2.16'),
  },
  { name: 'bench-phone', path: '/bench/begin/coral-dip?tank=frag', look: 'paper', device: 'phone', before: beginDips },
  { name: 'ledger-phone', path: '/', look: 'night', device: 'phone' },
  { name: 'fallow', path: '/courses/frags-fallow', look: 'paper', device: 'desk' },
  { name: 'course-paper', path: '/courses/copper-quar', look: 'paper', device: 'desk' },
  { name: 'water', path: '/water/charts?tank=hall', look: 'night', device: 'desk' },
  { name: 'lab', path: '/water/files?tank=hall', look: 'paper', device: 'desk' },
  { name: 'outbreak', path: '/courses/hall-uv', look: 'night', device: 'desk' },
  { name: 'tank', path: '/tanks/hall', look: 'paper', device: 'desk' },
  {
    name: 'diagnose',
    path: '/diagnose/look?tank=quar&at=fish&animals=needle&seen=breathing-fast,into-flow,fine-dust-sheen',
    look: 'paper',
    device: 'desk',
  },
  { name: 'dose', path: '/dose?tank=quar&volumeL=64.75&current=2.04&target=2.25', look: 'paper', device: 'desk' },
  { name: 'sitter-sheet', path: '/records/minder', look: 'paper', device: 'desk' },
  {
    name: 'microscope',
    path: '/diagnose/microscope/key?case=brown-strings',
    look: 'paper',
    device: 'desk',
    before: async (page) => {
      for (const answer of ['Yes, it moves', 'No, it swims', 'No'])
        await page.getByRole('button', { name: answer, exact: true }).click()
    },
  },
  { name: 'tally-phone', path: '/diagnose/microscope/tally?case=brown-strings', look: 'night', device: 'phone' },
  { name: 'handbook', path: '/handbook/conditions#marine-velvet', look: 'paper', device: 'desk' },
  { name: 'compare', path: '/courses/compare?tank=quar', look: 'paper', device: 'desk' },
  { name: 'plan', path: '/arrivals/box/box-tomorrow/plan', look: 'paper', device: 'desk', before: measureBag },
  {
    name: 'run-phone',
    path: '/arrivals/box/box-tomorrow/plan',
    look: 'paper',
    device: 'phone',
    before: runBag,
    clock: true,
  },
  { name: 'records', path: '/records', look: 'night', device: 'desk' },
]

const folder = new URL('../../docs/screenshots/', import.meta.url)
mkdirSync(folder, { recursive: true })
const server = createServer(createApp(fileURLToPath(new URL('../../dist', import.meta.url))))
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS })
const wanted = process.argv.slice(2)
for (const { name, path, look, device, before, clock } of VIEWS) {
  if (wanted.length > 0 && !wanted.includes(name)) continue
  const context = await browser.newContext({
    viewport: VIEWPORTS[device],
    storageState: sampleChosen(origin),
    timezoneId: 'Europe/Lisbon',
    locale: 'en-GB',
    reducedMotion: 'reduce',
    serviceWorkers: 'block',
  })
  await context.addInitScript((chosen) => localStorage.setItem('brinvo-look', chosen), look)
  const page = await context.newPage()
  if (clock) await page.clock.install()
  await page.goto(origin + path)
  await page.getByRole('combobox', { name: /Log line/ }).waitFor()
  await before?.(page)
  // What a card needs to be done comes after it.
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(700)
  await page.screenshot({ path: fileURLToPath(new URL(`${name}.png`, folder)) })
  await context.close()
  console.log(`docs/screenshots/${name}.png`)
}
await browser.close()
server.close()
