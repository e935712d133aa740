import { expect, test, type Page } from './support/test.ts'
import type { Content } from '../core/journal/entry.ts'
import { axe } from './support/axe.ts'
import { logLine } from './support/app.ts'
import { seedMine } from './support/seed.ts'

test.use({ timezoneId: 'Europe/London' })

const ORIGIN = Date.parse('2026-11-02T09:00:00Z')
const DAY = 86_400_000
const at = (days: number) => ({ happened: new Date(ORIGIN + days * DAY).toISOString() })
const METRIC = { volume: 'L', length: 'cm', temperature: 'C', salinity: 'psu', alkalinity: 'dKH' } as const

const tank = (tankId: string, name: string, role: 'display' | 'quarantine' | 'frag', litres: number): Content => ({
  kind: 'tank-setup',
  ...at(-60),
  tankId,
  name,
  water: 'marine',
  role,
  sheet: { shape: { kind: 'known', litres } },
})
const fish = (animalId: string, name: string, tankId: string): Content => ({
  kind: 'arrival',
  ...at(-50),
  animalId,
  tankId,
  name,
  species: 'royal gramma',
  group: 'dottyback-basslet',
  count: 1,
})
const read = (days: number, tankId: string, parameter: 'salinity' | 'ph' | 'alk-kh', value: number): Content => ({
  kind: 'reading',
  ...at(days),
  tankId,
  parameter,
  result: { kind: 'value', value },
  unit: { salinity: 'psu', ph: 'pH', 'alk-kh': 'dKH' }[parameter],
})
const HOUSE: readonly Content[] = [
  { kind: 'household', ...at(-60), timeZone: 'Europe/London', units: METRIC },
  tank('hall', 'Hall', 'display', 200),
  tank('quar', 'Quarantine', 'quarantine', 60),
  tank('frag', 'Frag tub', 'frag', 45),
]

async function open(page: Page, contents: readonly Content[], days: number) {
  page.setDefaultTimeout(20_000)
  await page.clock.install({ time: ORIGIN + days * DAY })
  await page.clock.resume()
  await seedMine(page, contents)
}

test('S5: low salinity, down by the litres of each swap, read twice a day, and up again in small steps', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const start: Content = {
    kind: 'course-start',
    ...at(0),
    courseId: 'c',
    definition: 'qt-d-hypo',
    tanks: { main: 'quar' },
    animalIds: ['plum'],
  }
  const before = [
    ...HOUSE,
    fish('plum', 'Plum', 'quar'),
    read(-0.05, 'quar', 'salinity', 34.8),
    read(-0.05, 'quar', 'ph', 8),
  ]
  await open(page, [...before, start], 0.01)
  await page.goto('/courses/c')
  await expect(logLine(page)).toBeVisible()
  // The first of six steps: its litres are the largest thing on the card.
  const first = page.getByRole('button', { name: 'Log the 6.54 L change' })
  await expect(first).toBeEnabled()
  await expect(page.getByText(/fresh water in/).first()).toBeVisible()
  await first.click()
  await expect(first).toHaveCount(0)
  await expect(page.getByText(/going down/)).toBeVisible()
  expect(await axe(page)).toEqual([])
})

test('S5, after thirty days held low: it comes up with salt water, a little at a time', async ({ page }) => {
  test.setTimeout(240_000)
  const held = Array.from({ length: 64 }, (_, i) => read(1 + i / 2, 'quar', 'salinity', 11.6))
  await open(
    page,
    [
      ...HOUSE,
      fish('plum', 'Plum', 'quar'),
      read(-0.05, 'quar', 'salinity', 34.8),
      read(-0.05, 'quar', 'ph', 8),
      {
        kind: 'course-start',
        ...at(0),
        courseId: 'c',
        definition: 'qt-d-hypo',
        tanks: { main: 'quar' },
        animalIds: ['plum'],
      },
      ...held,
    ],
    32.6,
  )
  await page.goto('/courses/c')
  await expect(page.getByText(/30 of 30, proven; coming up/).first()).toBeVisible()
  await expect(page.getByText(/salt water of .* in/).first()).toBeVisible()
})

test('S8: a display without fish: the slider, what a wet net costs before it is logged, and the restocking', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await open(
    page,
    [
      ...HOUSE,
      fish('plum', 'Plum', 'hall'),
      { kind: 'move', ...at(-40), animalId: 'plum', fromTankId: 'hall', toTankId: 'quar' },
      {
        kind: 'course-start',
        ...at(-40),
        courseId: 'c',
        definition: 'fallow-76',
        tanks: { main: 'hall' },
        animalIds: [],
      },
    ],
    0,
  )
  await page.goto('/courses/c')
  await expect(page.getByText('day 39 of 76')).toBeVisible()
  const today = page.getByRole('row', { name: /^fish back today/ })
  await expect(today).toContainText(/\d+ %/)
  const usual = await today.textContent()
  await page.getByRole('slider').focus()
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight')
  await expect(today).not.toHaveText(usual!)
  await expect(page.getByText('Coming back', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'something got in' }).click()
  await page.getByLabel('From').selectOption('Quarantine')
  await expect(page.getByText(/39 days → 0 days; full .*, not /)).toBeVisible()
  expect(await axe(page)).toEqual([])
  await page.getByRole('button', { name: 'Log it' }).click()
  await expect(page.getByText(/A wet tool of another system was in the water/)).toBeVisible()
  await expect(page.getByText('day 0 of 76')).toBeVisible()
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 } })

  test('S9: corals from the ledger into quarantine, a pest found, dipped and counted host by host, alkalinity mended', async ({
    page,
  }) => {
    test.setTimeout(240_000)
    const coral = (animalId: string, species: string, group: string): Content => ({
      kind: 'arrival',
      ...at(-0.1),
      animalId,
      tankId: 'frag',
      species,
      group,
      count: 1,
    })
    await open(
      page,
      [
        ...HOUSE,
        coral('zoas', 'green zoanthids', 'coral-soft'),
        coral('psammo', 'Psammocora', 'coral-sps'),
        {
          kind: 'product-setup',
          ...at(-60),
          productId: 'iodine',
          name: 'iodine 5 %',
          ingredient: 'iodine-dip',
          strength: { kind: 'solution', mgPerMl: 50 },
          measure: { tool: 'syringe', step: 0.1 },
        },
        read(-20, 'frag', 'alk-kh', 9),
        read(-10, 'frag', 'alk-kh', 8),
        read(-0.2, 'frag', 'alk-kh', 7.1),
      ],
      0,
    )
    await page.goto('/courses/new?definition=coral-76&tank=frag')
    await page.getByLabel('Seen on them').selectOption('zoa-nudi')
    await page.getByLabel('Dipped in').selectOption('iodine')
    await page.getByRole('button', { name: 'Start the course' }).click()

    const dip = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: 'Dip all 2 corals' }) })
    await expect(dip.getByText(/Gloves and goggles: it stains/)).toBeVisible()
    // Another dip that one of them must not have: it is told, and cannot be chosen for it.
    await dip.getByLabel('Dip', { exact: true }).selectOption('peroxide')
    await expect(dip.getByRole('checkbox', { name: /Psammocora/ })).toBeDisabled()
    await dip.getByLabel('Dip', { exact: true }).selectOption('iodine')
    await dip.getByLabel('Water in the dip').fill('2')
    await expect(dip.getByText('0.8 mL')).toBeVisible()
    await dip.getByLabel('Minutes in it').fill('20')
    await expect(dip.getByText(/20 min in Frag tub: more than the 10 min/)).toBeVisible()
    await expect(dip.getByRole('button', { name: 'Log the dip of all' })).toBeDisabled()
    await dip.getByLabel('Minutes in it').fill('8')
    await dip.getByRole('button', { name: 'Log the dip of all' }).click()

    const count = page
      .getByRole('listitem')
      .filter({ has: page.getByRole('heading', { name: /^Count what came off/ }) })
    const more = count.getByRole('button', { name: 'one more came off, green zoanthids' })
    for (let i = 0; i < 3; i++) await more.click()
    await count.getByRole('button', { name: 'one more eggs, green zoanthids' }).click()
    await count.getByRole('button', { name: 'one more came off, Psammocora' }).click()
    await count.getByRole('button', { name: 'one less came off, Psammocora' }).click()
    await count.getByRole('button', { name: 'Log the counts' }).click()
    await expect(page.getByText(/0 of 3 on end/)).toBeVisible()
    await expect(page.getByRole('row', { name: /^green zoanthids/ })).toContainText('3 e')
    await expect(page.getByText(/By your counts/)).toBeVisible()
    // Nothing but the body may scroll sideways on the phone.
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    expect(await axe(page)).toEqual([])

    await expect(page.getByText(/of sodium bicarbonate today/)).toBeVisible()
    await page.getByRole('button', { name: 'Pumps off, fed' }).click()
    await expect(page.getByRole('heading', { name: 'Pumps back on' })).toBeVisible()
    await page.getByRole('button', { name: 'Pumps are on' }).click()
    await expect(page.getByRole('heading', { name: 'Pumps back on' })).toHaveCount(0)

    await page.goto('/tanks/frag/corals')
    await expect(page.getByText('only one piece').first()).toBeVisible()
    await page.getByRole('button', { name: 'Change Psammocora' }).click()
    await page.getByLabel('Place').fill('right rack')
    await page.getByLabel('Flow there').selectOption('gentle')
    await page.getByRole('button', { name: 'Keep the change' }).click()
    await expect(page.getByText(/right rack, gentle flow/)).toBeVisible()
    await expect(page.getByText(/three days after its move/)).toBeVisible()
    expect(await axe(page)).toEqual([])
  })
})
