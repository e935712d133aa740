import { expect, test, type Page } from './support/test.ts'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { beginHousehold, downloaded, log, logLine, openSample, readBack, today } from './support/app.ts'
import { removeProfile, startBrowser } from './support/browser.ts'
import { PORT } from './support/place.ts'

test('an entry shown as kept is there after the browser is killed right away', async () => {
  // Four browsers are started one after the other.
  test.setTimeout(240_000)
  const profile = mkdtempSync(join(tmpdir(), 'brinvo-profile-'))
  try {
    for (const round of [1, 2, 3]) {
      const { page, kill } = await startBrowser(profile)
      await page.goto(`http://127.0.0.1:${PORT}/`)
      for (let before = 1; before < round; before++)
        await expect(today(page, 'Quarantine')).toContainText(`kept in round ${before}`)
      await log(page, `quar note kept in round ${round}`)
      await kill()
    }
    const { page, kill } = await startBrowser(profile)
    await page.goto(`http://127.0.0.1:${PORT}/`)
    for (const round of [1, 2, 3]) await expect(today(page, 'Quarantine')).toContainText(`kept in round ${round}`)
    await kill()
  } finally {
    removeProfile(profile)
  }
})

test('two tabs on the same journal both end with all entries', async ({ page, context }) => {
  await openSample(page)
  const other = await context.newPage()
  await openSample(other)
  for (let i = 1; i <= 4; i++)
    await Promise.all([log(page, `quar note first tab ${i}`), log(other, `quar note second tab ${i}`)])
  for (const tab of [page, other]) {
    for (const name of ['first', 'second'])
      for (let i = 1; i <= 4; i++) await expect(today(tab, 'Quarantine')).toContainText(`${name} tab ${i}`)
  }
  await page.reload()
  for (const name of ['first', 'second'])
    for (let i = 1; i <= 4; i++) await expect(today(page, 'Quarantine')).toContainText(`${name} tab ${i}`)
})

/** Lets every write of the page fail from now on, as a full or refusing browser would. */
const refuseWrites = (page: Page, name: string) =>
  page.evaluate((errorName) => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('told to', errorName)
    }
  }, name)

for (const [what, errorName, words] of [
  ['full', 'QuotaExceededError', 'storage is full'],
  ['refusing', 'SecurityError', 'refuses to keep data'],
] as const)
  test(`with storage ${what}: it is said, the typed line stays, and the journal can be carried out with it`, async ({
    page,
  }) => {
    await beginHousehold(page)
    await refuseWrites(page, errorName)
    await logLine(page).fill('quar no3 12')
    await logLine(page).press('Enter')
    await expect(page.getByRole('alert')).toContainText(words)
    await expect(logLine(page)).toHaveValue('quar no3 12')
    await expect(today(page, 'Quarantine')).not.toContainText('NO3')
    const file = await downloaded(page, () =>
      page.getByRole('button', { name: 'Export the journal with this' }).click(),
    )
    expect(file.text).toContain('"parameter":"no3"')
    expect(file.text).toContain('"tank-setup"')
  })

test('a form that could not be kept keeps what was typed', async ({ page }) => {
  await beginHousehold(page)
  await page.getByRole('button', { name: 'change, Quarantine' }).click()
  await refuseWrites(page, 'QuotaExceededError')
  await page.getByLabel('Water changed').fill('6')
  await page.getByLabel('Note').fill('by the small bucket')
  await page.getByRole('button', { name: 'Log the change' }).click()
  await expect(page.getByRole('alert')).toContainText('storage is full')
  await expect(page.getByLabel('Water changed')).toHaveValue('6')
  await expect(page.getByLabel('Note')).toHaveValue('by the small bucket')
})

test('without a database at all the page says so', async ({ page }) => {
  await page.addInitScript(() => {
    indexedDB.open = () => {
      throw new DOMException('told to', 'SecurityError')
    }
  })
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'The journal cannot be opened' })).toBeVisible()
})

test('the sample stays as it is tried in, until it is loaded afresh; the own journal knows nothing of it', async ({
  page,
}) => {
  await openSample(page)
  await log(page, 'hall note tried in the sample')
  await page.reload()
  await expect(today(page, 'Hall reef')).toContainText('tried in the sample')
  await page.getByRole('link', { name: 'Records' }).click()
  await page.getByRole('button', { name: /My household/ }).click()
  await expect(page.getByRole('heading', { name: 'Your household' })).toBeVisible()
  await page.getByRole('button', { name: /look at the sample/ }).click()
  await page.getByRole('button', { name: 'Load the sample afresh' }).click()
  await page.getByRole('link', { name: 'Ledger' }).click()
  await expect(today(page, 'Hall reef')).toBeVisible()
  await expect(today(page, 'Hall reef')).not.toContainText('tried in the sample')
  await expect(readBack(page)).toBeEmpty()
})
