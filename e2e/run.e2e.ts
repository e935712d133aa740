import { expect, test, type Locator } from './support/test.ts'
import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import ICAL from 'ical.js'
import { openSample, tabTo } from './support/app.ts'
import { rings, clock, big, floating } from './support/arrivals.ts'
import { axe } from './support/axe.ts'
import { removeProfile, startBrowser } from './support/browser.ts'
import { PORT } from './support/place.ts'

test('a run goes on after the browser is killed', async () => {
  const profile = mkdtempSync(join(tmpdir(), 'brinvo-run-'))
  try {
    const first = await startBrowser(profile)
    await first.page.goto(`http://127.0.0.1:${PORT}/arrivals/box/box-tomorrow/plan?tank=side`)
    await first.page.getByLabel('Water round it').fill('1.2')
    await first.page
      .getByRole('group', { name: /Bag of/ })
      .getByLabel('Salinity')
      .fill('31.5')
    await first.page.getByRole('button', { name: /^Start the float/ }).click()
    await expect(clock(first.page)).toHaveText(/^(20:00|19:5\d)$/)
    await first.kill()
    const second = await startBrowser(profile)
    await second.page.goto(`http://127.0.0.1:${PORT}/`)
    // It is there on every screen, and leads back.
    const bar = second.page.getByRole('region', { name: 'Acclimation under way' })
    await expect(bar).toContainText('orchid dottyback: Open the bag, in 19:')
    await bar.getByRole('link').click()
    await expect(clock(second.page)).toHaveText(/^19:\d\d$/)
    await expect(big(second.page)).toHaveText('The bag is open')
    await second.kill()
  } finally {
    removeProfile(profile)
  }
})

test('it rings again until it is done, at once on return, and on every other screen', async ({ page }) => {
  await floating(page)
  await page.getByRole('link', { name: 'Ledger', exact: true }).click()
  await page.clock.fastForward('20:02')
  await expect(page.getByRole('region', { name: 'Acclimation under way' })).toContainText('due 00:')
  const before = await rings(page)
  expect(before).toBeGreaterThan(0)
  await page.clock.fastForward('00:16')
  expect(await rings(page)).toBeGreaterThan(before)
  const again = await rings(page)
  // Looked at again: the browser says so, and it rings at once.
  await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')))
  expect(await rings(page)).toBe(again + 1)
  await page.getByRole('region', { name: 'Acclimation under way' }).getByRole('link').click()
  await expect(page.getByText(/A locked or sleeping phone does not ring/)).toBeVisible()
  await big(page).click()
  const quiet = await rings(page)
  await page.clock.fastForward('00:40')
  // The drip is due at once: it goes on ringing until it drips, and then is still.
  await expect(big(page)).toHaveText('It drips')
  await big(page).click()
  await expect(big(page)).toHaveAttribute('data-next', /pour-off|measure/)
  const still = await rings(page)
  await page.clock.fastForward('01:00')
  expect(await rings(page)).toBe(still)
  expect(still).toBeGreaterThanOrEqual(quiet)
})

test('its alarms go into a calendar; the space bar is the big button; a slip is taken back', async ({ page }) => {
  await floating(page)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Alarms for the calendar' }).click(),
  ])
  const text = readFileSync(await download.path(), 'utf8')
  const events = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent')
  expect(events.map((event) => String(event.getFirstPropertyValue('summary')))).toEqual([
    expect.stringMatching(/^Open the bag: floated long enough/),
    expect.stringMatching(/Measure/),
  ])
  await page.clock.fastForward('20:01')
  await page.locator('main').focus()
  await page.keyboard.press('Space')
  await expect(big(page)).toHaveText('It drips')
  await page.getByRole('button', { name: 'take the last step back' }).click()
  await expect(big(page)).toHaveText('The bag is open')
})

test('another way is offered when what is measured makes the first one wrong', async ({ page }) => {
  await floating(page)
  await page.clock.fastForward('20:01')
  await big(page).click()
  await expect(big(page)).toHaveText('It drips')
  await page.getByLabel('Salinity, psu').fill('27')
  await page.getByLabel('Temperature, °C').fill('24.5')
  await page.getByRole('button', { name: 'Log what is measured' }).click()
  await expect(page.getByText(/past the longest it should wait|not come within reach/).first()).toBeVisible()
  const others = page.getByRole('region', { name: 'Other ways from here' })
  await expect(others).toContainText('advised')
  await others.getByRole('button', { name: 'Go on by Match the tank, then across' }).click()
  await expect(big(page)).toHaveText('Across now')
})

for (const [device, viewport] of [
  ['desk', { width: 1280, height: 800 }],
  ['phone', { width: 390, height: 844 }],
] as const)
  // In paper at the desk, at night on the phone.
  test(`axe finds nothing on the plan, the run and the release, ${device}`, async ({ page }) => {
    test.setTimeout(240_000)
    await page.setViewportSize(viewport)
    const clean = async (what: string, within = 'main') => {
      expect(await axe(page, within, [device === 'desk' ? 'paper' : 'night']), what).toEqual([])
      expect(await page.evaluate(() => document.documentElement.scrollWidth), what).toBeLessThanOrEqual(viewport.width)
    }
    await openSample(page, '/arrivals/box/box-tomorrow/plan?tank=side')
    await page.getByLabel('Water round it').fill('1.2')
    await page.getByLabel('pH').first().fill('70')
    await expect(page.getByRole('alert')).toBeVisible()
    await page.getByLabel('pH').first().fill('6.6')
    await page.getByLabel('Total ammonia').first().fill('6')
    await page.getByText('What orchid dottyback bears').click()
    await expect(page.getByRole('region', { name: 'Advice' })).toContainText('match the tank')
    await clean('plan')
    await page.getByLabel(/Side tub stands at/).check()
    await page.getByRole('button', { name: /^Start the float/ }).click()
    await expect(clock(page)).toBeVisible()
    await clean('floating')
    await big(page).click()
    await expect(page.getByRole('form', { name: 'Measured in the container' })).toBeVisible()
    await page
      .getByRole('button', { name: 'other ways from here' })
      .or(page.getByText('Other ways from here'))
      .first()
      .click()
    await expect(page.getByRole('region', { name: 'Other ways from here' })).toBeVisible()
    await clean('open')
    await big(page).click()
    await clean('release')
    await page.goto('/')
    await expect(page.getByRole('region', { name: 'Acclimation under way' })).toBeVisible()
    await clean('the bar', '[aria-label="Acclimation under way"]')
  })

test('plan and run by keyboard alone', async ({ page }) => {
  await openSample(page, '/arrivals/box/box-tomorrow/plan?tank=side')
  const reach = (target: Locator) => tabTo(page, target)
  await page.locator('main').focus()
  await reach(page.getByLabel('Water round it'))
  await page.keyboard.type('1.2')
  await reach(page.getByRole('group', { name: /Bag of/ }).getByLabel('Salinity'))
  await page.keyboard.type('31.5')
  await expect(page.getByRole('button', { name: /^Start the float/ })).toBeEnabled()
  await reach(page.getByRole('button', { name: /^Start the float/ }))
  await page.keyboard.press('Enter')
  await expect(clock(page)).toBeVisible()
  await page.locator('main').focus()
  await page.keyboard.press('Space')
  await expect(big(page)).toHaveText('It drips')
  // A second press at once would be taken for a slip.
  await page.waitForTimeout(800)
  await page.keyboard.press('Space')
  await expect(big(page)).toHaveAttribute('data-next', /pour-off|measure/)
  await reach(page.getByLabel('Salinity, psu'))
  await page.keyboard.type('31.6')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('form', { name: 'Measured in the container' }).getByLabel('Salinity, psu')).toHaveValue(
    '',
  )
})
