import { expect, test } from '@playwright/test'
import { atNine, rings } from './support/arrivals.ts'
import { openSample } from './support/app.ts'
import { axe } from './support/axe.ts'

test.use({ viewport: { width: 390, height: 844 } })

test('S10 at the bench: a brown-jelly cut on the phone, its clocks, a reload in the middle, and everything put back', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await atNine(page)
  await page.clock.resume()
  await openSample(page, '/bench?tank=hall')
  await page
    .getByRole('region')
    .or(page.locator('section'))
    .filter({ hasText: 'Brown jelly: cut the sick head away' })
    .getByRole('button', { name: 'Begin at Hall reef' })
    .click()
  const next = page.getByRole('button', { name: 'Done, next' })
  await expect(page.getByText('Gloves on, goggles on')).toBeVisible()
  expect(await axe(page)).toEqual([])
  for (const words of [
    'Gloves on, goggles on',
    'Bucket, hose, bag',
    'Iodine dip mixed',
    'Pumps off',
    'Auto top-off off',
    'Siphon the jelly',
  ]) {
    await expect(page.getByText(new RegExp(`^${words}`))).toBeVisible()
    await next.click()
  }
  await expect(page.getByText(/^Bag the coral under water/)).toBeVisible()
  // A knuckle on the space bar.
  await page.locator('body').press(' ')
  await expect(page.getByRole('timer', { name: 'out of the tank' })).toBeVisible()
  await page.getByLabel('heads cut away').fill('1')
  await next.click()
  // The browser is closed and opened again: it goes on where it was.
  await page.reload()
  await page.getByRole('button', { name: 'Start 5 min' }).click()
  await expect(page.getByRole('timer')).toHaveCount(2)
  await expect(page.getByText(/min too early/)).toBeVisible()
  const before = await rings(page)
  await page.clock.fastForward(5 * 60_000)
  await expect(page.getByText(/time is up/).first()).toBeVisible()
  await expect.poll(() => rings(page)).toBeGreaterThan(before)
  expect(await axe(page)).toEqual([])
  await next.click()
  // On another screen what is still off stands at the top, and leads back.
  await page.goto('/water')
  await page.getByRole('link', { name: /Brown jelly: .*flow, auto top off still off/ }).click()
  await next.click()
  await page.getByLabel('heads left').fill('3')
  await next.click()
  await expect(page.getByRole('timer')).toHaveCount(0)
  await next.click()
  for (const words of ['Pumps on', 'Auto top-off on', 'Bucket down the drain']) {
    await expect(page.getByText(new RegExp(`^${words}`))).toBeVisible()
    await next.click()
  }
  await page.getByRole('button', { name: 'Close it' }).click()
  await expect(page.getByText(/any jelly now: give the colony up/)).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0)
  expect(await axe(page)).toEqual([])
  await page.goto('/tanks/hall')
  await expect(page.getByRole('region', { name: 'At the bench' })).toHaveCount(0)
})
