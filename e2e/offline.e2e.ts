import { expect, test } from './support/test.ts'
import { openSample, today } from './support/app.ts'

test.use({ serviceWorkers: 'allow' })

test('with the network off it opens again, and every screen with it', async ({ page, context }) => {
  await openSample(page)
  await page.evaluate(() => navigator.serviceWorker.ready)
  await page.reload()
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true)
  await context.setOffline(true)
  await page.reload()
  await expect(today(page, 'Hall reef')).toBeVisible()
  await page.goto('/tanks/hall')
  await expect(page.getByRole('heading', { name: 'nitrate' })).toBeVisible()
  await page.goto('/records')
  await expect(page.getByRole('heading', { name: 'Records' })).toBeVisible()
})
