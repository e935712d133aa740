import { expect, test } from './support/test.ts'
import { cpSync, createReadStream, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { extname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { createApp } from '../server/app.ts'
import { axe } from './support/axe.ts'
import { beginHousehold, log, logLine, openSample, today } from './support/app.ts'

const DIST = fileURLToPath(new URL('../dist', import.meta.url))
const TYPES: Record<string, string> = {
  '.html': 'text/html',
  '.js': 'text/javascript',
  '.css': 'text/css',
  '.svg': 'image/svg+xml',
  '.woff2': 'font/woff2',
}

/** Serves the built files as they lie from a folder of a static host, and nothing else. */
async function staticHost(folder: string): Promise<{ url: string; stop: () => void }> {
  const server = createServer((request, response) => {
    const path = new URL(request.url ?? '/', 'http://host').pathname
    const file = join(DIST, path.slice(folder.length) || 'index.html')
    if (!path.startsWith(folder) || !existsSync(file)) return response.writeHead(404).end()
    response.writeHead(200, { 'content-type': TYPES[extname(file)] ?? 'application/octet-stream' })
    return createReadStream(file).pipe(response)
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}${folder}`,
    stop: () => server.close(),
  }
}

/** Brinvo's own server over a copy of the build, which another build can take the place of. */
async function serverOfTwoBuilds(): Promise<{ url: string; nextBuild: () => void; stop: () => void }> {
  const dist = mkdtempSync(join(tmpdir(), 'brinvo-builds-'))
  cpSync(DIST, dist, { recursive: true })
  const server = createServer(createApp(dist))
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const rewrite = (name: string, change: (text: string) => string) =>
    writeFileSync(join(dist, name), change(readFileSync(join(dist, name), 'utf8')))
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}/`,
    nextBuild: () => {
      rewrite('index.html', (text) => text.replace('<head>', '<head><meta name="build" content="next">'))
      rewrite('sw.js', (text) => text.replace(/(index\.html",\s*revision:\s*")[^"]+/, '$1next'))
    },
    stop: () => {
      server.closeAllConnections()
      server.close()
      rmSync(dist, { recursive: true })
    },
  }
}

test.describe('the very first visit', () => {
  test.use({ storageState: { cookies: [], origins: [] } })

  test('one screen says what this is and asks which household; the answer holds', async ({ page }) => {
    await page.goto('/')
    await expect(page.getByRole('heading', { name: 'Brinvo' })).toBeVisible()
    expect(await axe(page)).toEqual([])
    await page.getByRole('button', { name: 'Begin my own' }).click()
    await expect(page.getByRole('heading', { name: 'Your household' })).toBeVisible()
    await page.reload()
    await expect(page.getByRole('heading', { name: 'Your household' })).toBeVisible()
    await page.getByRole('button', { name: /look at the sample/ }).click()
    await expect(today(page, 'Hall reef')).toBeVisible()
    await page.reload()
    await expect(today(page, 'Hall reef')).toBeVisible()
  })

  test('a link into the app opens its screen, with the sample', async ({ page }) => {
    await page.goto('/tanks/hall')
    await expect(page.getByRole('heading', { name: 'Hall reef' })).toBeVisible()
  })

  test('from a folder of a static host it opens, goes from screen to screen, and works out a plan', async ({
    page,
  }) => {
    const host = await staticHost('/aquarium/')
    try {
      await page.goto(host.url)
      await page.getByRole('button', { name: 'Look at the sample household' }).click()
      await expect(today(page, 'Hall reef')).toBeVisible()
      await page.getByRole('link', { name: 'Dose', exact: true }).click()
      await expect(page).toHaveURL(`${host.url}dose`)
      await page.getByLabel('Net volume').fill('100')
      await page.getByLabel('Level wanted').fill('2')
      await page.getByLabel('Product', { exact: true }).selectOption({ label: 'copper bottle' })
      await expect(page.getByRole('status', { name: 'Answer' })).toContainText('mL')
    } finally {
      host.stop()
    }
  })
})

test.describe('with the offline copy', () => {
  test.use({ serviceWorkers: 'allow' })

  test('right after the first load it opens with the network off', async ({ page, context }) => {
    await openSample(page)
    await page.evaluate(() => navigator.serviceWorker.ready)
    await context.setOffline(true)
    await page.reload()
    await expect(today(page, 'Hall reef')).toBeVisible()
    await page.getByRole('link', { name: 'Handbook' }).click()
    await expect(page.getByRole('heading', { name: 'Handbook', level: 1 })).toBeVisible()
  })
})

test.describe('two builds served in turn', () => {
  test.use({ serviceWorkers: 'allow', storageState: { cookies: [], origins: [] } })

  test('the new one waits for a bench, a half-typed line and a second tab, and then takes over', async ({
    page,
    context,
  }) => {
    const host = await serverOfTwoBuilds()
    const build = () => page.locator('meta[name="build"]')
    try {
      await page.goto(host.url)
      await page.getByRole('button', { name: 'Look at the sample household' }).click()
      await expect(today(page, 'Hall reef')).toBeVisible()
      await page.evaluate(() => navigator.serviceWorker.ready)
      await page.goto(`${host.url}bench/a-run`)
      host.nextBuild()
      await page.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()))
      const isWaiting = () => page.evaluate(async () => (await navigator.serviceWorker.ready).waiting !== null)
      await expect.poll(isWaiting).toBe(true)
      // At a bench.
      await page.reload()
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      expect(await build().count()).toBe(0)
      // With a line half typed.
      await page.getByRole('link', { name: 'Brinvo' }).click()
      await logLine(page).fill('hall no3')
      await page.reload()
      await expect(logLine(page)).toHaveValue('hall no3')
      expect(await build().count()).toBe(0)
      // With a second tab, which loads its files from the first build.
      const second = await context.newPage()
      await second.goto(host.url)
      await expect(today(second, 'Hall reef')).toBeVisible()
      await logLine(page).fill('')
      await page.bringToFront()
      await page.reload()
      await expect(today(page, 'Hall reef')).toBeVisible()
      expect(await build().count()).toBe(0)
      expect(await isWaiting()).toBe(true)
      await second.getByRole('link', { name: 'Handbook' }).click()
      await expect(second.getByRole('heading', { name: 'Handbook', level: 1 })).toBeVisible()
      await second.close()
      // Nothing is open any more: the next visits are the new build's.
      await expect
        .poll(
          async () => {
            await page.reload()
            await expect(today(page, 'Hall reef')).toBeVisible()
            return build().count()
          },
          { timeout: 60_000, intervals: [6000] },
        )
        .toBe(1)
    } finally {
      host.stop()
    }
  })
})

test('what the browser clears while the page is open is written again, and said', async ({ page, context }) => {
  await beginHousehold(page)
  await log(page, 'quar no3 12')
  const devtools = await context.newCDPSession(page)
  const origin = new URL(page.url()).origin
  await devtools.send('Storage.clearDataForOrigin', { origin, storageTypes: 'indexeddb' })
  await logLine(page).fill('quar no3 13')
  await logLine(page).press('Enter')
  await expect(page.getByRole('alert')).toContainText('had cleared the journal')
  await page.reload()
  await expect(today(page, 'Quarantine')).toContainText('12')
  await expect(today(page, 'Quarantine')).toContainText('13')
})

test('half-filled forms and lines are there after a reload', async ({ page }) => {
  await openSample(page, '/?tank=hall&form=reading')
  await page.getByLabel('nitrate', { exact: true }).fill('7')
  await logLine(page).fill('quar cu 2.1')
  await page.reload()
  await expect(page.getByLabel('nitrate', { exact: true })).toHaveValue('7')
  await expect(page.getByText(/and not kept yet/)).toBeVisible()
  await expect(logLine(page)).toHaveValue('quar cu 2.1')
  await page.goto('/tanks/new')
  await page.getByLabel('Name', { exact: true }).fill('Attic cube')
  await page.reload()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Attic cube')
})

test('the phone opens on what is due in the whole household, late first, each with its tank', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  // An evening: the morning's reading is late.
  await page.clock.install({ time: new Date(new Date().setHours(21, 0, 0, 0)) })
  await page.clock.resume()
  await openSample(page)
  const due = page.getByRole('region', { name: 'Due in the household' })
  await expect(due.getByRole('heading', { level: 3 }).first()).toHaveText('Read copper')
  await expect(due).toContainText('Quarantine')
  const tabs = page.getByRole('group', { name: 'Tanks' })
  await expect(tabs.getByRole('button', { name: /^Quarantine/ })).toContainText('late')
  await tabs.getByRole('button', { name: /^Hall reef/ }).click()
  await expect(today(page, 'Hall reef')).toBeVisible()
})
