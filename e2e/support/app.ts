import { expect, type Locator, type Page } from '@playwright/test'

/** Opens the sample household's ledger. */
export async function openSample(page: Page, path = '/'): Promise<void> {
  await page.goto(path)
  await expect(logLine(page)).toBeVisible()
}

/** Opens the own household, empty at first. */
export async function openMine(page: Page): Promise<void> {
  await page.addInitScript(() => localStorage.setItem('brinvo-which', 'mine'))
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Your household' })).toBeVisible()
}

/** An own household with one marine tank of known volume, ready for the log line. */
export async function beginHousehold(page: Page, tank = 'Quarantine'): Promise<void> {
  await openMine(page)
  await page.getByRole('button', { name: 'Begin the journal' }).click()
  await page.getByLabel('Name', { exact: true }).fill(tank)
  if (tank === 'Quarantine') await page.getByLabel('Used as').selectOption('quarantine')
  await page.getByLabel('Shape').selectOption('known')
  await page.getByLabel('Water to the line').fill('60')
  await page.getByRole('button', { name: 'Set up the tank' }).click()
  await expect(page.getByRole('heading', { name: tank })).toBeVisible()
  await page.getByRole('link', { name: 'Ledger' }).click()
  await expect(page.getByRole('grid', { name: 'Ledger' })).toBeVisible()
}

export const logLine = (page: Page): Locator => page.getByRole('combobox', { name: /Log line/ })
export const readBack = (page: Page): Locator => page.getByRole('region', { name: 'Log line' }).getByRole('status')

/** Types a line, waits until it is read as something to keep, and keeps it. */
export async function log(page: Page, line: string): Promise<void> {
  await logLine(page).fill(line)
  await expect(readBack(page)).toContainText('keeps:')
  await logLine(page).press('Enter')
  await expect(readBack(page)).toContainText('Kept')
}

/** Today's cell of a tank. */
export const today = (page: Page, tank: string): Locator => page.getByRole('gridcell', { name: `${tank}, today` })

/** Saves what a click downloads and gives its text. */
export async function downloaded(page: Page, click: () => Promise<void>): Promise<{ name: string; text: string }> {
  const [download] = await Promise.all([page.waitForEvent('download'), click()])
  const stream = await download.createReadStream()
  const parts: Buffer[] = []
  for await (const part of stream) parts.push(part as Buffer)
  return { name: download.suggestedFilename(), text: Buffer.concat(parts).toString('utf8') }
}

/** Chooses a text as a journal file for import. */
export async function importText(page: Page, text: string, name = 'journal.json'): Promise<void> {
  await page.getByLabel('Journal file').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) })
}

/** Presses a button that keeps something, and waits until it is kept: a page that is left before that loses it. */
export async function pressUntilKept(page: Page, name: string | RegExp): Promise<void> {
  const button = page.getByRole('button', { name, exact: true })
  await button.click()
  await expect(button).toHaveCount(0)
}

/** Tabs on until something has the focus; the ways of a screen are long, but not endless. */
export async function tabTo(page: Page, target: Locator): Promise<void> {
  await expect(target).toBeVisible()
  for (let i = 0; i < 200; i++) {
    if (await target.evaluate((element) => element === document.activeElement)) return
    await page.keyboard.press('Tab')
  }
  throw new Error('not reached by Tab')
}

/** Answers "Before you log this": everything asked is read, and kept. */
export async function confirmAsked(page: Page): Promise<void> {
  const dialog = page.getByRole('dialog', { name: 'Before you log this' })
  await expect(dialog).toBeVisible()
  for (const tick of await dialog.getByRole('checkbox', { name: 'I have read this' }).all()) await tick.check()
  await dialog.getByRole('button', { name: 'Log it' }).click()
  await expect(dialog).toHaveCount(0)
}
