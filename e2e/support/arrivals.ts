import { expect, type Locator, type Page } from '@playwright/test'
import { openSample } from './app.ts'

const NINE = new Date('2026-11-25T09:00:00Z')

/** The page's clock stands at nine in the morning and runs on; rings are counted. */
export async function atNine(page: Page): Promise<void> {
  await page.clock.install({ time: NINE })
  await page.addInitScript(() => {
    const counted = window as unknown as { rings: number }
    counted.rings = 0
    window.addEventListener('brinvo-ring', () => counted.rings++)
  })
}
export const rings = (page: Page) => page.evaluate(() => (window as unknown as { rings: number }).rings)

export const clock = (page: Page): Locator => page.getByRole('timer')
export const big = (page: Page): Locator => page.locator('button[data-next]')

/** Announces a box of animals for the only tank. */
export async function expectBox(
  page: Page,
  hours: string,
  animals: readonly { species: string; group: string; psu?: string }[],
): Promise<void> {
  await page.getByRole('link', { name: 'Arrivals' }).click()
  await page.getByRole('link', { name: 'Expect a box' }).click()
  await page.getByLabel('Hours on the way').fill(hours)
  await page.getByLabel('From', { exact: true }).fill('mail order')
  for (const [i, { species, group, psu }] of animals.entries()) {
    if (i > 0) await page.getByRole('button', { name: 'Another animal in the box' }).click()
    const animal = page.getByRole('group', { name: `Animal ${i + 1}` })
    await animal.getByLabel('What it is').fill(species)
    await animal.getByLabel('Group').selectOption(group)
    if (psu !== undefined) await animal.getByLabel('Seller’s salinity').fill(psu)
  }
  await page.getByRole('button', { name: 'Expect it' }).click()
  await expect(page.getByRole('navigation', { name: 'Steps' })).toBeVisible()
}

/** Does whatever the run asks for, when it is due, until it asks for a measurement or the move. */
export async function goOn(page: Page): Promise<string[]> {
  const done: string[] = []
  for (let i = 0; i < 60; i++) {
    const next = (await big(page).getAttribute('data-next'))!
    const step = (await big(page).getAttribute('data-step'))!
    if (next === 'measure' || next === 'move') return done
    const [minutes, seconds] = (await clock(page).innerText()).split(':').map(Number) as [number, number]
    if ((await clock(page).getAttribute('data-due')) === 'false')
      await page.clock.fastForward((minutes * 60 + seconds + 1) * 1000)
    await expect(clock(page)).toHaveAttribute('data-due', 'true')
    await big(page).click()
    done.push(next)
    await expect(big(page)).not.toHaveAttribute('data-step', step)
  }
  throw new Error(`it never ended: ${done.join(' ')}`)
}

/** Presses every step of the move, and reads every caution. */
export async function tickAll(page: Page): Promise<void> {
  const across = page.getByRole('region', { name: 'Across' })
  const open = across.locator('button[aria-pressed="false"]')
  while ((await open.count()) > 0) {
    const left = await open.count()
    await open.first().click()
    await expect(open).toHaveCount(left - 1)
  }
  for (const read of await across.getByRole('checkbox', { name: 'I have read this' }).all()) await read.check()
}

/** Starts the sample's dottyback on its way: floating from nine. */
export async function floating(page: Page): Promise<void> {
  await atNine(page)
  await openSample(page, '/arrivals/box/box-tomorrow/plan?tank=side')
  await page.getByLabel('Water round it').fill('1.2')
  await page
    .getByRole('group', { name: /Bag of/ })
    .getByLabel('Salinity')
    .fill('31.5')
  await page.getByRole('button', { name: /^Start the float/ }).click()
  await expect(clock(page)).toBeVisible()
}
