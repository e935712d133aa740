import { expect, test, type Page } from './support/test.ts'
import type { Content } from '../core/journal/entry.ts'
import { log, logLine } from './support/app.ts'
import { axe } from './support/axe.ts'
import { seedMine } from './support/seed.ts'

test.use({ timezoneId: 'Europe/London' })

const ORIGIN = Date.parse('2026-11-02T09:00:00Z')
const HOUR = 3_600_000
const at = (hours: number) => ({ happened: new Date(ORIGIN + hours * HOUR).toISOString() })
const METRIC = { volume: 'L', length: 'cm', temperature: 'C', salinity: 'psu', alkalinity: 'dKH' } as const

const product = (
  productId: string,
  ingredient: string,
  strength: Extract<Content, { kind: 'product-setup' }>['strength'],
): Content => ({
  kind: 'product-setup',
  ...at(-400),
  productId,
  name: productId,
  ingredient,
  strength,
  measure: { tool: 'scale', step: 0.01 },
  left: 100,
})

const HOUSE: readonly Content[] = [
  { kind: 'household', ...at(-400), timeZone: 'Europe/London', units: METRIC },
  ...(['q', 'o'] as const).map((tankId): Content => ({
    kind: 'tank-setup',
    ...at(-400),
    tankId,
    name: tankId === 'q' ? 'Quarantine' : 'Observation',
    water: 'marine',
    role: 'quarantine',
    sheet: { shape: { kind: 'known', litres: 60 } },
  })),
  {
    kind: 'arrival',
    ...at(-20),
    animalId: 'cobalt',
    tankId: 'q',
    name: 'Cobalt',
    species: 'azure damselfish',
    group: 'damsel-chromis',
    count: 1,
  },
  product('formalin', 'formalin', { kind: 'solution', mgPerMl: 1000 }),
  product('metronidazole', 'metronidazole', { kind: 'powder', activeFraction: 1 }),
  product('praziquantel', 'praziquantel', { kind: 'powder', activeFraction: 1 }),
]

async function open(page: Page, contents: readonly Content[], hours: number) {
  page.setDefaultTimeout(20_000)
  await page.clock.install({ time: ORIGIN + hours * HOUR })
  await page.clock.resume()
  await seedMine(page, contents)
}

test('a damselfish with red sores: the schools compared, the uronema school started, its bath and first doses done with their cautions', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await open(page, HOUSE, 0)
  await page.goto('/courses/compare?tank=q')
  await expect(logLine(page)).toBeVisible()
  const advice = page.getByRole('listitem').filter({ hasText: 'uronema kills this group' })
  await expect(advice).toContainText('Cobalt')
  const table = page.getByRole('region', { name: 'Schools side by side' })
  await expect(table.getByRole('row', { name: /^uronema/ })).toContainText('disputed')
  await expect(table.getByRole('row', { name: /^velvet/ }).nth(1)).toContainText('64 %')
  // The assumptions stand open, and change the number.
  await page.getByRole('button', { name: 'view and change' }).click()
  const ichOfCopper = table.getByRole('row', { name: /^marine ich/ }).nth(1)
  await expect(ichOfCopper).toContainText('4 %')
  await page.getByRole('button', { name: 'heavy infection' }).first().click()
  await expect(ichOfCopper).toContainText('22 %')
  expect(await axe(page)).toEqual([])

  await table.getByRole('link', { name: /^Set up: against uronema/ }).click()
  await expect(page.getByText(/Advanced red sores are rarely curable/)).toBeVisible()
  await expect(page.getByText('Handling load 3 in the worst week')).toBeVisible()
  await page.getByRole('checkbox', { name: 'I have read this' }).check()
  await page.getByRole('button', { name: 'Start the course' }).click()

  // The bath first, with its caution beside it; it waits for oxygen, or the keeper's word that air stands ready.
  const bath = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: /^Formalin bath/ }) })
  await expect(bath).toContainText('known to cause cancer')
  await expect(bath).toContainText('Waits for: oxygen over 6 mg/L')
  await page.getByRole('button', { name: /^It is so: oxygen over 6 mg\/L/ }).click()
  await expect(bath).not.toContainText('Waits for')
  await bath.getByLabel('Water in the tub').fill('10')
  await expect(bath).toContainText('1.58 mL')
  await expect(bath).toContainText('a bath costs it oxygen')
  await bath.getByRole('button', { name: 'Log the bath' }).click()
  await expect(page.getByText('1 of 1', { exact: true })).toBeVisible()

  const water = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name: /^Metronidazole in the water, 1 of 10/ }) })
  await expect(water).toContainText('suspected to cause cancer')
  await water.getByRole('button', { name: 'Log 0.4 g' }).click()
  await expect(page.getByText('1 of 10', { exact: true })).toBeVisible()

  // A red sore is seen: both ways are told, neither is pressed.
  await log(page, 'quar cobalt red sore flank')
  await expect(page.getByText(/^A red sore: .*two ways, both open, and a veterinarian for either/)).toBeVisible()
})

test('two dewormings while copper runs: the warnings before it starts and at each dose, the second a week on, one that came too late', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const copper: Content[] = [
    product('copper', 'cu-chelated', { kind: 'solution', mgPerMl: 10 }),
    {
      kind: 'course-start',
      ...at(-240),
      courseId: 'cu',
      definition: 'qt-a-cu30',
      tanks: { main: 'q' },
      animalIds: ['cobalt'],
      options: { drug: 'cu-chelated-std', deworm: 'none' },
      products: { 'cu-chelated-std': 'copper' },
    },
    {
      kind: 'dose',
      ...at(-239),
      tankId: 'q',
      ingredient: 'cu-chelated',
      productId: 'copper',
      amount: 13.5,
      unit: 'mL',
      massMg: 135,
    },
    ...[-238, -214, -190, -166, -142, -118, -94, -70, -46, -22, -1].map((hours): Content => ({
      kind: 'reading',
      ...at(hours),
      tankId: 'q',
      parameter: 'copper',
      result: { kind: 'value', value: 2.25 },
      unit: 'mg/L',
    })),
    { kind: 'sighting', ...at(-2), tankId: 'q', animalIds: ['cobalt'], signs: [], appetite: 4 },
  ]
  await open(page, [...HOUSE.map((one) => (one.kind === 'arrival' ? { ...one, ...at(-300) } : one)), ...copper], 0)
  await page.goto('/courses/new?definition=qt-add-worm&tank=q')
  await expect(logLine(page)).toBeVisible()
  await expect(page.getByText(/[Bb]loom and oxygen drop in a stressed fish/)).toBeVisible()
  await page.getByRole('button', { name: 'Start the course' }).click()
  await expect(page.getByText('Not started')).toBeVisible()
  for (const box of await page.getByRole('checkbox', { name: /read/ }).all()) await box.check()
  await page.getByRole('button', { name: 'Start the course' }).click()

  const first = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name: /^Deworm: praziquantel, 1 of 2/ }) })
  await expect(first).toContainText('0.15 g')
  await expect(first).toContainText('wet it with the least food-grade alcohol')
  // What was read before the start is told again beside the dose.
  await expect(first).toContainText('oxygen drop in a stressed fish')
  await first.getByRole('button', { name: 'Log 0.15 g' }).click()
  await expect(first).toHaveCount(0)
  await expect(page.getByText('1 of 2').first()).toBeVisible()
  const address = page.url()
  // The copper course goes on beside it: its own count is untouched.
  await page.goto('/courses/cu')
  await expect(page.getByText(/proven of 30 days|day \d+ of 30/).first()).toBeVisible()

  // Ten days later: too late. Both are done again, and why is said with the ways on.
  await page.clock.setSystemTime(ORIGIN + 10 * 24 * HOUR)
  await page.goto(address)
  await expect(page.getByText(/what hatched has laid eggs by now/)).toBeVisible()
  await expect(page.getByRole('heading', { name: 'What went wrong, and the ways on' })).toBeVisible()
  await expect(page.getByText('both rounds again, a week apart')).toBeVisible()
  expect(await axe(page)).toEqual([])
})

test('kanamycin on the phone: the sore is looked at by width and by word, and three looks worse lead to the veterinarian’s page', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await page.setViewportSize({ width: 390, height: 844 })
  const kanamycin = product('kanamycin', 'kanamycin', { kind: 'powder', activeFraction: 1 })
  await open(page, [...HOUSE, kanamycin], 0)
  await page.goto('/courses/new?definition=qt-add-kanamycin&tank=q')
  await expect(page.getByText(/prescription/i).first()).toBeVisible()
  for (const box of await page.getByRole('checkbox', { name: 'I have read this' }).all()) await box.check()
  for (const field of await page.getByRole('textbox', { name: /^Reason/ }).all())
    await field.fill('the vet asked for it')
  for (const box of await page.getByRole('checkbox', { name: /veterinarian/ }).all()) await box.check()
  await page.getByRole('button', { name: 'Start the course' }).click()
  await expect(page).toHaveURL(/\/courses\/course-/)
  const course = new URL(page.url()).pathname
  const look = page.getByRole('group', { name: 'The sore of Cobalt' })
  const widths = ['4', '6', '9', '12']
  for (const [day, mm] of widths.entries()) {
    await page.clock.setSystemTime(ORIGIN + (24 * day + 10) * HOUR)
    await page.goto(course)
    await look.getByText('worse', { exact: true }).click()
    await look.getByLabel('How wide').fill(mm)
    await page.getByRole('button', { name: 'Log the look' }).click()
    await expect(look).toBeHidden()
  }
  const vet = page.getByRole('link', { name: /veterinarian/ }).first()
  await vet.click()
  await expect(page).toHaveURL(/\/vet/)
  await expect(page.getByText(/12 mm/).first()).toBeVisible()
  expect(await axe(page)).toEqual([])
})
