import { expect, test } from './support/test.ts'
import { openMine, openSample, today } from './support/app.ts'

test('a first visitor gets a measurable amount without setting anything up', async ({ page }) => {
  await openMine(page)
  await page.getByRole('button', { name: 'Begin the journal' }).click()
  await expect(page.getByRole('button', { name: 'Begin the journal' })).toHaveCount(0)
  await page.goto('/dose')
  await page.getByLabel('Net volume').fill('16 gal')
  await page.getByRole('button', { name: 'US gallons' }).click()
  await page.getByLabel('Level wanted').fill('1')
  await page.getByLabel('Strength').fill('10')
  await expect(page.getByRole('status', { name: 'Answer' })).toContainText('6.1 mL')
  await expect(page).toHaveURL(/strength=10/)
  await page.reload()
  await expect(page.getByRole('status', { name: 'Answer' })).toContainText('6.1 mL')
})

test('a dose worked out for a tank is logged there, and one over the course’s range is asked about', async ({
  page,
}) => {
  await openSample(page, '/dose?target=6')
  await page.getByLabel('Tank', { exact: true }).selectOption({ label: 'Quarantine, 64.8 L' })
  await page.getByLabel('Product', { exact: true }).selectOption({ label: 'copper bottle' })
  await expect(page.getByRole('alert')).toContainText('above the 2.50 mg/L of this course')
  await expect(page.getByRole('button', { name: /^Log .* mL in Quarantine$/ })).toBeDisabled()
  await page.getByLabel('Level now').fill('2.19')
  await page.getByLabel('Level wanted').fill('2.25')
  await page.getByRole('button', { name: 'Log 0.4 mL in Quarantine' }).click()
  await expect(page.getByText('Kept in the ledger of Quarantine.')).toBeVisible()
  await page.getByRole('link', { name: 'Ledger' }).click()
  await expect(today(page, 'Quarantine')).toContainText('dose 0.4 mL copper bottle')
})
