import { expect, type Page } from '@playwright/test'
import type { Content } from '../../core/journal/entry.ts'
import { logLine, pressUntilKept } from './app.ts'

export const ORIGIN = Date.parse('2026-11-02T12:00:00Z')
const HOUR = 3_600_000

/** An instant, in hours from the origin. */
export const at = (hours: number) => ({ happened: new Date(ORIGIN + hours * HOUR).toISOString() })

export const HOUSEHOLD: Content = {
  kind: 'household',
  ...at(-240),
  timeZone: 'Europe/London',
  units: { volume: 'L', length: 'cm', temperature: 'C', salinity: 'psu', alkalinity: 'dKH' },
}

export const tank = (tankId: string, name: string, water: 'marine' | 'freshwater', litres: number): Content => ({
  kind: 'tank-setup',
  ...at(-240),
  tankId,
  name,
  water,
  role: 'display',
  sheet: { shape: { kind: 'known', litres } },
})

export const PEROXIDE: Content = {
  kind: 'product-setup',
  ...at(-240),
  productId: 'perox',
  name: 'peroxide 3 %',
  ingredient: 'peroxide',
  strength: { kind: 'solution', mgPerMl: 30 },
  measure: { tool: 'syringe', step: 0.1 },
}

export const part = (
  partId: string,
  what: 'patch' | 'rock' | 'coral',
  name: string,
  tankId: string,
  more: object = {},
): Content => ({ kind: 'part-setup', ...at(-48), partId, tankId, what, name, ...more })

/** Sets the page's clock to hours from the origin, and opens a page of it. */
export const clockOf =
  (page: Page) =>
  async (hours: number, path: string | null = null) => {
    await page.clock.setSystemTime(ORIGIN + hours * HOUR)
    if (path !== null) {
      await page.goto(path)
      await expect(logLine(page)).toBeVisible()
      // The cards come with their own files: before all are there, the first field and the first button may be of two cards.
      await page.waitForLoadState('networkidle')
    }
  }

/** The page's clock stands at the origin and runs on from there. */
export async function beginAtOrigin(page: Page): Promise<ReturnType<typeof clockOf>> {
  page.setDefaultTimeout(20_000)
  await page.clock.install({ time: ORIGIN })
  await page.clock.resume()
  return clockOf(page)
}

/**
 * Types a count and logs it on its own card. Cards come with their own files: only once all are there is the first field and the first button of one card.
 */
export async function logCount(page: Page, name: string | RegExp, value: string): Promise<void> {
  await page.waitForLoadState('networkidle')
  const field = page.getByRole('textbox', { name, exact: true }).first()
  await field.fill(value)
  await expect(field).toHaveValue(value)
  await field
    .locator('xpath=ancestor::*[.//button[normalize-space()="Log the count"]][1]')
    .getByRole('button', { name: 'Log the count' })
    .click()
}

export const next = (page: Page) => page.getByRole('button', { name: 'Done, next' })

/** Presses through steps at the bench, each of which has to be the one that is shown. */
export async function through(page: Page, ...titles: readonly string[]): Promise<void> {
  for (const words of titles) {
    await expect(page.getByText(new RegExp(`^${words}`)).first()).toBeVisible()
    await pressNext(page)
  }
}

export const noSideways = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth - innerWidth)

/** Starts a course by its address, with a reason for whatever speaks against it; gives the address of its page. */
export async function startCourse(page: Page, definition: string, tankId: string, more = ''): Promise<string> {
  await page.goto(`/courses/new?definition=${definition}&tank=${tankId}${more}`)
  await expect(page.getByRole('button', { name: 'Start the course' })).toBeVisible()
  for (const field of await page.getByRole('textbox', { name: /^Reason/ }).all()) await field.fill('seen and decided')
  await page.getByRole('button', { name: 'Start the course' }).click()
  await expect(page).toHaveURL(/\/courses\/course-/)
  return new URL(page.url()).pathname
}

/** What a run shows, without its running clocks. */
const shownAt = async (page: Page): Promise<string> =>
  (await page.getByRole('main').innerText()).replace(/\d+:\d+/g, '')

/** Presses "done, next", and waits until the run shows something else: by then the press is kept. */
export async function pressNext(page: Page): Promise<void> {
  await expect(next(page)).toBeEnabled()
  const before = await shownAt(page)
  await next(page).click()
  await expect.poll(() => shownAt(page)).not.toBe(before)
}

/**
 * Presses through a run at the bench until it can be closed: fields are filled and counts pressed where they are asked for, timers run out.
 * @param fills what is typed, by label
 * @param counts how often one more is pressed, by label
 */
export async function passThrough(
  page: Page,
  fills: Readonly<Record<string, string>> = {},
  counts: Readonly<Record<string, number>> = {},
): Promise<void> {
  const closing = page.getByRole('button', { name: 'Close it' })
  const starting = page.getByRole('button', { name: /^Start \d+ min/ })
  for (let step = 0; step < 60; step++) {
    await expect(next(page).or(closing).or(starting).first()).toBeVisible()
    if (await closing.isVisible()) return
    if (await starting.isVisible()) {
      const minutes = Number(/\d+/.exec((await starting.textContent())!)![0])
      await starting.click()
      await page.clock.fastForward(minutes * 60_000)
      await expect(page.getByText(/time is up/).first()).toBeVisible()
    }
    for (const [label, text] of Object.entries(fills)) {
      const field = page.getByLabel(label, { exact: true })
      if ((await field.count()) === 1 && (await field.inputValue()) === '') await field.fill(text)
    }
    for (const [label, times] of Object.entries(counts)) {
      const more = page.getByRole('button', { name: `one more, ${label}`, exact: true })
      if ((await more.count()) === 1) for (let i = 0; i < times; i++) await more.click()
    }
    await pressNext(page)
  }
  throw new Error('the run did not come to its end')
}

/** Closes a finished run at the bench, which writes what it did into the ledger. */
export const closeRun = (page: Page): Promise<void> => pressUntilKept(page, 'Close it')
