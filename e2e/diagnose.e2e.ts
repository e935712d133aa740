import { expect, test, type Page } from './support/test.ts'
import type { Content } from '../core/journal/entry.ts'
import { log } from './support/app.ts'
import { axe } from './support/axe.ts'
import { seedMine } from './support/seed.ts'

test.use({ timezoneId: 'Europe/London' })

const ORIGIN = Date.parse('2026-11-02T21:00:00Z')
const DAY = 86_400_000
const at = (days: number) => ({ happened: new Date(ORIGIN + days * DAY).toISOString() })

const HOUSE: readonly Content[] = [
  {
    kind: 'household',
    ...at(-200),
    timeZone: 'Europe/London',
    units: { volume: 'L', length: 'cm', temperature: 'C', salinity: 'psu', alkalinity: 'dKH' },
  },
  ...(['hall', 'quar', 'study'] as const).map((tankId): Content => ({
    kind: 'tank-setup',
    ...at(-200),
    tankId,
    name: { hall: 'Hall', quar: 'Quarantine', study: 'Study' }[tankId],
    water: tankId === 'study' ? 'freshwater' : 'marine',
    role: tankId === 'quar' ? 'quarantine' : 'display',
    sheet: { shape: { kind: 'known', litres: tankId === 'hall' ? 200 : 60 } },
  })),
  ...(
    [
      ['sky', 'Sky', 'surgeonfish', -4],
      ['dot', 'Dot', 'clownfish', -90],
    ] as const
  ).map(([animalId, name, group, day]): Content => ({
    kind: 'arrival',
    ...at(day),
    animalId,
    tankId: 'quar',
    name,
    species: group,
    group,
    count: 1,
  })),
  {
    kind: 'product-setup',
    ...at(-100),
    productId: 'copper',
    name: 'chelated copper',
    ingredient: 'cu-chelated',
    strength: { kind: 'solution', mgPerMl: 10 },
  },
  ...(
    [
      ['no3', 0.4],
      ['po4', 0.01],
    ] as const
  ).map(([parameter, value]): Content => ({
    kind: 'reading',
    ...at(-2),
    tankId: 'hall',
    parameter,
    result: { kind: 'value', value },
    unit: 'mg/L',
  })),
]

async function open(page: Page) {
  page.setDefaultTimeout(20_000)
  await page.clock.install({ time: ORIGIN })
  await page.clock.resume()
  await seedMine(page, HOUSE)
  await page.goto('/diagnose')
  await expect(page.getByRole('heading', { name: 'Diagnose' })).toBeVisible()
}
const said = (page: Page, sign: string, answer: 'seen' | 'not seen' | 'not looked') =>
  page.getByRole('group', { name: sign, exact: true }).getByText(answer, { exact: true }).click()
const ranked = (page: Page) => page.getByRole('region', { name: 'What it may be' })
const now = (page: Page) => page.getByRole('alert', { name: 'What to do now' })

test('S6: a dusted tang, from the drawing to the case, fed by the log line, and on to its course', async ({ page }) => {
  test.setTimeout(240_000)
  await open(page)
  await page.getByLabel('Tank', { exact: true }).selectOption({ label: 'Quarantine' })
  await page.getByRole('button', { name: /A fish is ill/ }).click()
  await page.getByText('Sky', { exact: true }).click()
  await page.getByRole('link', { name: 'Look at it' }).click()
  await page.getByRole('button', { name: 'Gills and breathing' }).click()
  await said(page, 'Breathing fast', 'seen')
  await page.getByRole('button', { name: 'Sits in the flow' }).click()
  // Breathing comes before dust: the red flag stands before the ranking.
  await expect(now(page)).toContainText('Every fish of that water is treated')
  await page.getByRole('button', { name: 'Skin and scales' }).click()
  await said(page, 'Fine dust', 'seen')
  await expect(ranked(page).getByRole('heading', { level: 3 }).first()).toHaveText('Marine velvet')
  await expect(ranked(page)).toContainText('likely')
  await expect(page.getByText('Countable grains, or fine dust')).toBeVisible()
  expect(await axe(page)).toEqual([])
  await page.getByRole('button', { name: 'Keep as a case' }).click()
  await expect(page).toHaveURL(/diagnose\/[0-9a-f-]{20,}/)
  // The address changes before the case is drawn in place of the look.
  await expect(page.getByRole('button', { name: 'Close the case' })).toBeVisible()
  await log(page, 'sky not eating')
  await expect(page.getByText('“not eating”')).toBeVisible()
  await expect(ranked(page)).toContainText('not eating')
  const velvet = ranked(page).locator('[data-condition=marine-velvet]')
  await velvet.getByRole('button', { name: /what helps/ }).click()
  await velvet.getByRole('link', { name: 'Copper or chloroquine 14 days, then move' }).click()
  await expect(page).toHaveURL(/courses\/new\?definition=.*case=/)
  await expect(page.getByText(/mL/).first()).toBeVisible()
})

test('S16: a brown film: what the journal knows stands beside what is seen, and can be put right', async ({ page }) => {
  await open(page)
  await page.getByRole('link', { name: /A film or an alga/ }).click()
  const nutrients = page.locator('[data-sign=ctx-no3-po4-near-zero]')
  await expect(nutrients).toContainText('From the journal: nitrate 0.4, phosphate 0.01 mg/L.')
  await said(page, 'Mostly tan, brown or golden', 'seen')
  await said(page, 'Slime strings with gas bubbles at the tips', 'seen')
  await said(page, 'Mainly on rock, racks, macroalgae or bare coral skeleton', 'seen')
  await said(page, 'Clearly less before lights-on, back by midday', 'seen')
  await expect(ranked(page).getByRole('heading', { level: 3 }).first()).toHaveText('Dinos: Ostreopsis type')
  await expect(page.getByText('Dust of diatoms, sheet of cyanobacteria, strings of dinoflagellates')).toBeVisible()
  // The keeper's word comes before the journal's.
  await nutrients.getByText('not seen', { exact: true }).click()
  await expect(nutrients).not.toContainText('From the journal')
  // A reload loses no answer.
  await page.reload()
  await expect(ranked(page)).toContainText('5 answers')
  await page.getByRole('button', { name: 'begin again' }).click()
  await expect(ranked(page)).toContainText('nothing answered yet')
})

test('S10: a brown-jelly head at night, on the phone: the first ten minutes are read before anything else', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await open(page)
  await page.getByRole('link', { name: 'Brown jelly on a coral' }).click()
  await expect(now(page)).toContainText('Pumps off, unplugged before hands go in.')
  await expect(now(page)).toContainText('Do not blow, baste or shake it in the tank')
  await expect(now(page)).toBeInViewport()
  await page.getByRole('button', { name: 'Tissue and polyps' }).click()
  await said(page, 'Foul smell out of water', 'seen')
  await expect(ranked(page).getByRole('heading', { level: 3 }).first()).toHaveText('Brown jelly disease')
  await expect(ranked(page)).toContainText('expect to lose more heads than you save')
  expect(await axe(page)).toEqual([])
  await page.getByRole('button', { name: 'Keep as a case' }).click()
  await expect(page).toHaveURL(/diagnose\/[0-9a-f-]{20,}/)
  // The address changes before the case is drawn in place of the look.
  await expect(page.getByRole('button', { name: 'Close the case' })).toBeVisible()
  await ranked(page)
    .getByRole('button', { name: /what helps/ })
    .first()
    .click()
  await ranked(page).getByRole('link', { name: 'Brown jelly', exact: true }).click()
  await expect(page).toHaveURL(/courses\/new\?definition=brown-jelly/)
})

test('on the phone no name on a drawing lies over another', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await open(page)
  for (const where of [
    'tank=quar&at=fish',
    'tank=hall&at=film',
    'tank=hall&at=pest',
    'tank=hall&at=coral',
    'tank=study&at=film',
  ]) {
    await page.goto(`/diagnose/look?${where}`)
    const spots = page.locator('[data-spot]')
    await expect(spots.first()).toBeVisible()
    // Only the screen scrolls, never the page round it.
    await page.getByRole('button', { name: 'What went before' }).click()
    expect(await page.evaluate(() => document.documentElement.scrollHeight - innerHeight)).toBeLessThanOrEqual(0)
    const boxes = await spots.evaluateAll((all) =>
      all.map((one) => {
        const { left, right, top, bottom } = one.getBoundingClientRect()
        return { name: one.textContent, left, right, top, bottom }
      }),
    )
    for (const a of boxes)
      for (const b of boxes)
        if (a !== b && a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 1 && b.top < a.bottom - 1)
          throw new Error(`${where}: “${a.name}” lies over “${b.name}”`)
  }
})

test('a gasping tank: air and water before any medicine, by the keyboard alone', async ({ page }) => {
  await open(page)
  await page.getByLabel('Tank', { exact: true }).selectOption({ label: 'Quarantine' })
  await page.getByRole('link', { name: 'Fish gasp at the surface' }).focus()
  await page.keyboard.press('Enter')
  await expect(now(page)).toContainText('Air stone and surface ripple full on.')
  await expect(now(page)).toContainText('No medicine on top')
  const ammonia = page.locator('[data-sign=ammonia-raised]')
  await ammonia.getByRole('radio', { name: 'not looked' }).focus()
  // Radios of one sign are one stop; arrows choose.
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('ArrowLeft')
  await expect(ammonia.getByRole('radio', { name: 'seen', exact: true })).toBeChecked()
  await expect(now(page)).toContainText('No new drug until the water is right.')
})
