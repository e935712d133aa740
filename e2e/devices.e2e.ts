import { expect, test, type Page } from './support/test.ts'
import type { Content } from '../core/journal/entry.ts'
import { log } from './support/app.ts'
import { axe } from './support/axe.ts'
import { seedMine } from './support/seed.ts'

test.use({ timezoneId: 'Europe/London' })
// The stand-ins are one for the whole server.
test.describe.configure({ mode: 'serial' })

const ORIGIN = Date.parse('2026-11-02T09:10:00Z')
const DAY = 86_400_000
const at = (days: number) => ({ happened: new Date(ORIGIN + days * DAY).toISOString() })
const read = (days: number, parameter: string, value: number, unit: string): Content => ({
  kind: 'reading',
  ...at(days),
  tankId: 'hall',
  parameter,
  result: { kind: 'value', value },
  unit,
})
const coral = (animalId: string, species: string): Content => ({
  kind: 'arrival',
  ...at(-200),
  animalId,
  tankId: 'hall',
  species,
  group: 'coral-lps',
  count: 1,
})
const HOUSE: readonly Content[] = [
  {
    kind: 'household',
    ...at(-300),
    timeZone: 'Europe/London',
    units: { volume: 'L', length: 'cm', temperature: 'C', salinity: 'psu', alkalinity: 'dKH' },
  },
  {
    kind: 'tank-setup',
    ...at(-300),
    tankId: 'hall',
    name: 'Hall',
    water: 'marine',
    role: 'display',
    profile: 'reef-lps',
    sheet: { shape: { kind: 'known', litres: 300 } },
  },
  coral('torch', 'torch coral'),
  coral('plate', 'plate coral'),
  {
    kind: 'product-setup',
    ...at(-40),
    productId: 'stock',
    name: 'potash stock',
    ingredient: 'potassium-carbonate',
    strength: { kind: 'solution', mgPerMl: 50 },
  },
  read(-3, 'alk-kh', 8, 'dKH'),
  read(-3, 'k', 395, 'mg/L'),
  read(-3, 'salinity', 35, 'psu'),
]

const LAB = `Element;Result;Unit
Potassium (K);352;mg/l
Calcium;428;mg/l
Magnesium;1320;mg/l
Strontium;8,2;mg/l
Boron;4,4;mg/l
Bromine;66;mg/l
Fluorine;1,2;mg/l
Sulfur;915;mg/l
Iodine;41;µg/l
Copper;n.d.;µg/l
`

/** The page's clock and the stand-ins' are the same. */
async function setBothClocks(page: Page, days: number): Promise<void> {
  const now = new Date(ORIGIN + days * DAY)
  await page.clock.setSystemTime(now)
  await play(page, { now: now.toISOString() })
}
const play = async (page: Page, setting: object) =>
  expect((await page.request.put('/api/simulator', { data: setting })).ok()).toBe(true)

test('S18: corals that pale, a lab’s result, potassium raised by the pump, alkalinity creeping up with it; a shot that is missed', async ({
  page,
}) => {
  test.setTimeout(300_000)
  await page.clock.install({ time: ORIGIN })
  await page.clock.resume()
  await seedMine(page, HOUSE)
  await play(page, { now: new Date(ORIGIN).toISOString(), everySeconds: 1 })

  // Every coral is looked at.
  await page.goto('/tanks/hall/corals')
  await page.getByRole('button', { name: 'Name them' }).click()
  for (const name of ['torch coral', 'plate coral']) {
    const one = page.getByRole('listitem').filter({ hasText: name }).first()
    await one
      .getByRole('button', { name: /look|condition/i })
      .first()
      .click()
    await one.getByRole('button', { name: /pale/i }).first().click()
    await expect(one.getByText(/pale/).first()).toBeVisible()
  }

  // The lab's sheet comes in, and shows the kit off and potassium low.
  await page.goto('/water/files?tank=hall')
  await page
    .getByLabel('Table of readings')
    .setInputFiles({ name: 'lab.csv', mimeType: 'text/csv', buffer: Buffer.from(LAB) })
  await page.getByLabel('Day').fill('2026-10-30')
  await page.getByRole('button', { name: /^Keep 10 elements/ }).click()
  await expect(page.getByText(/1 of 10 elements is off/)).toBeVisible()
  await expect(page.getByText(/the kit read 395 mg\/L, the lab 352 mg\/L/)).toBeVisible()
  expect(await axe(page)).toEqual([])
  await page.getByRole('link', { name: 'Plan it' }).click()

  // One element, under the smaller of both caps, with what comes along; handed to the pump.
  await page.getByLabel('potassium now').fill('352')
  await page.getByLabel('With').selectOption({ label: 'potassium carbonate (alk +0.72 dKH: book it)' })
  await page.getByLabel('How fast').selectOption({ index: 1 })
  await expect(page.getByText(/what it brings of alkalinity holds it back/)).toBeVisible()
  await expect(page.getByText(/over its band/).first()).toBeVisible()
  expect(await axe(page)).toEqual([])
  await page.getByRole('link', { name: 'Hand it to a dosing pump' }).click()

  // Attached, and given its order; in an own journal a stand-in has to be wanted.
  await expect(page.getByRole('button', { name: 'Attach to Hall' }).first()).toBeDisabled()
  await page.getByText('attach them here all the same').click()
  const offer = page
    .locator('div')
    .filter({ has: page.getByText('Stand-in dosing pump', { exact: true }) })
    .filter({ has: page.getByRole('button', { name: 'Attach to Hall' }) })
  await offer.last().getByRole('button', { name: 'Attach to Hall' }).click()
  const pump = page.getByRole('region', { name: 'Stand-in dosing pump' })
  await expect(pump.getByLabel('A day')).not.toHaveValue('')
  await expect(pump.getByText(/Caustic dust: goggles/)).toBeVisible()
  expect(await axe(page)).toEqual([])
  await pump.getByRole('button', { name: 'Start the pump' }).click()
  await expect(pump.getByText(/a day of potash stock, since/)).toBeVisible()

  // Two days on: what it gave is written down by itself, and the water shows it.
  await setBothClocks(page, 2)
  await page.reload()
  await expect(pump.getByText(/a day of potash stock, since/)).toBeVisible()
  await page.goto('/water/charts?tank=hall')
  await page.goto('/')
  await log(page, 'hall alk 9.9')
  await page.goto('/water')
  await expect(page.getByText(/alkalinity creeps up with potassium: potassium carbonate brought/)).toBeVisible()
  await page.goto('/water/devices?tank=hall')
  await page.getByText('attach them here all the same').click()
  const photometer = page
    .locator('div')
    .filter({ has: page.getByText('Stand-in photometer', { exact: true }) })
    .filter({ has: page.getByRole('button', { name: 'Attach to Hall' }) })
  await photometer.last().getByRole('button', { name: 'Attach to Hall' }).click()
  await page.getByRole('region', { name: 'Stand-in photometer' }).getByRole('button', { name: 'potassium' }).click()
  const found = page.getByRole('region', { name: 'Stand-in photometer' }).getByText(/^3[6-9]\d mg\/L$/)
  await expect(found).toBeVisible()
  await page.getByRole('button', { name: 'Keep it', exact: true }).first().click()
  await expect(page.getByText('potassium kept.')).toBeVisible()

  // A shot that does not come stands on every screen, until the pump is stopped.
  await play(page, { fault: { deviceId: 'pump-1', parameter: null, fault: 'missed-shot' } })
  await setBothClocks(page, 2.9)
  await page.goto('/tanks')
  await expect(page.getByText(/Stand-in dosing pump missed \d shots?/)).toBeVisible()
  expect(await axe(page)).toEqual([])
  await page.setViewportSize({ width: 390, height: 844 })
  for (const path of ['/water/devices', '/water/files', '/water/correct', '/water/balance']) {
    await page.goto(path)
    await page.waitForTimeout(400)
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0)
    expect(await axe(page)).toEqual([])
  }
  await page.goto('/water/devices')
  await page
    .getByRole('region', { name: 'Stand-in dosing pump' })
    .getByRole('button', { name: /^Stop / })
    .click()
  await expect(page.getByRole('button', { name: 'Start the pump' })).toBeVisible()
  await play(page, { fault: { deviceId: 'pump-1', parameter: null, fault: 'none' } })
})

test('a probe is written down while it is good, and a stuck one is struck through and kept out', async ({ page }) => {
  test.setTimeout(240_000)
  await page.goto('/')
  await play(page, { now: new Date().toISOString(), everySeconds: 0.2 })
  await page.goto('/water/devices?tank=hall')
  await page.getByRole('button', { name: 'Attach to Hall reef' }).first().click()
  const probe = page.getByRole('region', { name: 'Stand-in probe' })
  const ph = probe.getByRole('listitem', { name: 'pH' })
  await expect(ph.getByText('live')).toBeVisible()
  await probe.getByRole('button', { name: 'play a fault' }).click()
  await probe.getByRole('group', { name: 'Fault of pH' }).getByRole('button', { name: 'sticks' }).click()
  await expect(ph.getByText(/stands still since/)).toBeVisible()
  await expect(
    page.getByRole('alert').getByText(/pH has stood still since .* Nothing of it is written down/),
  ).toBeVisible()
  expect(await axe(page)).toEqual([])
  await probe.getByRole('group', { name: 'Fault of pH' }).getByRole('button', { name: 'drops out' }).click()
  await expect(ph.getByText('sends nothing')).toBeVisible({ timeout: 60_000 })
  await probe.getByRole('group', { name: 'Fault of pH' }).getByRole('button', { name: 'works' }).click()
  await expect(ph.getByText(/live|listening/)).toBeVisible()
})
