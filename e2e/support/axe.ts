import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'

type Look = 'paper' | 'night'
const LOOKS: readonly Look[] = ['paper', 'night']

/**
 * What axe finds on a page, in paper and at night: between the looks only colours differ, so the second is asked for contrast alone.
 * @param looks without the night for a narrow page whose colours were looked at on a wide one
 */
export async function axe(page: Page, within?: string, looks: readonly Look[] = LOOKS): Promise<string[]> {
  const found: string[] = []
  // The frame stands before the screen in it has loaded; a screen without a heading is what axe then reports.
  await page
    .locator('h1')
    .first()
    .waitFor({ state: 'attached', timeout: 30_000 })
    .catch(() => undefined)
  for (const look of looks) {
    await page.evaluate((chosen) => {
      document.documentElement.dataset['look'] = chosen
    }, look)
    // No frames of another origin are in it: without them axe needs no page of its own to end in, and takes half the time.
    const builder = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] })
    if (within) builder.include(within)
    const { violations } = await (look === 'night' ? builder.withRules(['color-contrast']) : builder).analyze()
    for (const { id, nodes } of violations)
      found.push(`${look}, ${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`)
  }
  return found
}
