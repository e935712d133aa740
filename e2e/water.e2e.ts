import { expect, test } from './support/test.ts'
import { openSample } from './support/app.ts'
import { axe } from './support/axe.ts'

test('the water log: a round of tests with a repeat, and the charts it goes into', async ({ page }) => {
  await openSample(page, '/water')
  await expect(page.getByText(/tests? to do, clean tanks first/)).toBeVisible()
  const hall = page.getByRole('region', { name: 'Hall reef' })
  await hall.getByLabel('alkalinity').fill('10.9')
  await expect(hall.getByText(/far from the last alkalinity/)).toBeVisible()
  await hall.getByRole('button', { name: 'Repeat the test' }).click()
  await hall.getByLabel('The same test again').fill('8.3')
  await expect(hall.getByText(/^Together/)).toBeVisible()
  expect(await axe(page)).toEqual([])
  // A reload loses no figure.
  await page.reload()
  await expect(hall.getByLabel('alkalinity')).toHaveValue('10.9')
  await hall.getByRole('button', { name: 'Log 1 test of Hall reef' }).press('Enter')
  await expect(hall.getByText('2 readings kept.')).toBeVisible()
  await hall.getByRole('link', { name: 'Charts' }).click()
  const alkalinity = page.locator('figure', { has: page.getByRole('heading', { name: /^alkalinity/ }) })
  await expect(alkalinity.locator('svg').first()).toBeVisible()
  await page.getByLabel('Beside it').selectOption({ label: 'the time before' })
  await page.getByRole('button', { name: 'a year' }).click()
  await expect(alkalinity.locator('svg').first()).toBeVisible()
  expect(await axe(page)).toEqual([])
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as a picture' }).click()
  expect((await download).suggestedFilename()).toMatch(/^brinvo-water-.*\.png$/)
  await page.setViewportSize({ width: 390, height: 844 })
  for (const path of ['/water', '/water/charts']) {
    await page.goto(path)
    await page.waitForTimeout(300)
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0)
  }
})
