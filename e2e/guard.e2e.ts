import { expect, test, type Page } from './support/test.ts'
import type { Content } from '../core/journal/entry.ts'
import { logLine, readBack } from './support/app.ts'
import { at, beginAtOrigin, HOUSEHOLD, part, tank } from './support/plans.ts'
import { seedMine } from './support/seed.ts'

test.use({ timezoneId: 'Europe/London' })

const product = (productId: string, name: string, ingredient: string, mgPerMl: number): Content => ({
  kind: 'product-setup',
  ...at(-240),
  productId,
  name,
  ingredient,
  strength: { kind: 'solution', mgPerMl },
})
const animal = (animalId: string, tankId: string, name: string, species: string, group: string): Content => ({
  kind: 'arrival',
  ...at(-200),
  animalId,
  tankId,
  species,
  group,
  name,
  count: 1,
})
const reading = (hours: number, tankId: string, parameter: string, value: number, unit: string): Content => ({
  kind: 'reading',
  ...at(hours),
  tankId,
  parameter,
  result: { kind: 'value', value },
  unit,
})
const dosed = (hours: number, tankId: string, ingredient: string, massMg: number): Content => ({
  kind: 'dose',
  ...at(hours),
  tankId,
  ingredient,
  amount: 10,
  unit: 'mL',
  massMg,
})

/** A reef with a shrimp and a coral, a quarantine under copper, a tub with praziquantel at work, and a planted tank with a snail. */
const HOUSE: readonly Content[] = [
  HOUSEHOLD,
  { ...tank('reef', 'Reef', 'marine', 100), contents: ['rock', 'sand'], profile: 'reef-soft' } as Content,
  tank('quar', 'Quarantine', 'marine', 100),
  tank('tub', 'Tub', 'marine', 100),
  { ...tank('pond', 'Planted', 'freshwater', 100), profile: 'planted-fresh' } as Content,
  product('cu', 'copper bottle', 'cu-chelated', 10),
  product('prazi', 'worm bottle', 'praziquantel', 10),
  product('form', 'formalin bottle', 'formalin', 370),
  product('perm', 'permanganate stock', 'permanganate', 10),
  product('alk', 'alk stock', 'sodium-bicarbonate', 50),
  product('thio', 'chlorine binder', 'dechlorinator', 10),
  animal('pip', 'reef', 'Pip', 'cleaner shrimp', 'shrimp'),
  animal('needle', 'quar', 'Needle', 'longnose hawkfish', 'hawkfish'),
  animal('plum', 'tub', 'Plum', 'royal gramma', 'dottyback-basslet'),
  animal('dot', 'pond', 'Dot', 'nerite snail', 'fw-snail'),
  part('stag', 'coral', 'Stag', 'reef', { group: 'coral-sps' }),
  ...['reef', 'quar', 'tub'].map((tankId) => reading(-20, tankId, 'salinity', 34, 'psu')),
  dosed(-72, 'quar', 'cu-chelated', 210),
  reading(-10, 'quar', 'copper', 2.1, 'mg/L'),
  dosed(-12, 'tub', 'praziquantel', 240),
]

interface Pair {
  what: string
  line: string
  /** A line of nearly the same that is kept without a question. */
  harmless: string
  says: RegExp
  /** The same in its form. */
  form: { path: string; fill: (page: Page) => Promise<void>; press: string }
}

const dose = (tankId: string, bottle: string, amount: string): Pair['form'] => ({
  path: `/?tank=${tankId}&form=dose`,
  fill: async (page) => {
    await page.getByLabel('Product').selectOption({ label: bottle })
    await page.getByLabel('Amount').fill(amount)
  },
  press: `Log ${amount} mL`,
})
/** The only animal of a tank is chosen already. */
const move = (tankId: string, to: string): Pair['form'] => ({
  path: `/?tank=${tankId}&form=move`,
  fill: async (page) => {
    await page.getByLabel('To', { exact: true }).selectOption({ label: to })
  },
  press: 'Move',
})

const PAIRS: readonly Pair[] = [
  {
    what: 'copper into a reef with a shrimp',
    line: 'reef dose copper 1ml',
    harmless: 'reef dose alk 5ml',
    says: /Pip, cleaner shrimp.*never|copper.*never/i,
    form: dose('reef', 'copper bottle', '1'),
  },
  {
    what: 'formalin with a snail in the tank',
    line: 'planted dose formalin 1ml',
    harmless: 'planted change 20L',
    says: /Dot, nerite snail/,
    form: dose('pond', 'formalin bottle', '1'),
  },
  {
    what: 'a chlorine binder into copper',
    line: 'quar dose chlorine 1ml',
    harmless: 'reef dose chlorine 1ml',
    says: /free the copper in a deadlier form/,
    form: dose('quar', 'chlorine binder', '1'),
  },
  {
    what: 'more alkalinity in a day than a reef takes',
    line: 'reef dose alk 200ml',
    harmless: 'reef dose alk 5ml',
    says: /dKH/,
    form: dose('reef', 'alk stock', '200'),
  },
  {
    what: 'copper above the highest row',
    line: 'quar dose copper 20ml',
    harmless: 'quar dose copper 1ml',
    says: /That makes .* mg\/L, above the/,
    form: dose('quar', 'copper bottle', '20'),
  },
  {
    what: 'a shrimp into copper',
    line: 'pip to quarantine',
    harmless: 'needle to tub',
    says: /Pip, cleaner shrimp.*never/,
    form: move('reef', 'Quarantine'),
  },
  {
    what: 'a marine fish into fresh water',
    line: 'plum to planted',
    harmless: 'plum to reef',
    says: /fresh water/i,
    form: move('tub', 'Planted'),
  },
  {
    what: 'copper read in a reef',
    line: 'reef cu 0.3',
    harmless: 'quar cu 2.2',
    says: /which tank/i,
    form: {
      path: '/?tank=reef&form=reading',
      fill: async (page) => {
        await page.getByLabel('Another test').selectOption({ label: 'copper' })
        await page.getByLabel('copper', { exact: true }).fill('0.3')
      },
      press: 'Log the readings',
    },
  },
  {
    what: 'a permanganate bath for a marine fish',
    line: 'tub bath permanganate 1ml 2L 10min',
    harmless: 'tub bath formalin 0.8ml 2L 45min',
    says: /permanganate/,
    form: {
      path: '/?tank=tub&form=bath',
      fill: async (page) => {
        await page.getByLabel('In the bath').selectOption({ label: 'permanganate stock' })
        await page.getByLabel('How much of it').fill('1')
        await page.getByLabel('Water of the bath').fill('2')
        await page.getByLabel('Minutes').fill('10')
      },
      press: 'Log the bath',
    },
  },
  {
    what: 'a change that makes the water much saltier',
    line: 'tub change 50L with salinity 40',
    harmless: 'tub change 20L with salinity 34',
    says: /psu/,
    form: {
      path: '/?tank=tub&form=water-change',
      fill: async (page) => {
        await page.getByLabel('Water changed').fill('50')
        await page.getByLabel('Salinity of the new water').fill('40')
      },
      press: 'Log the change',
    },
  },
]

test('what speaks against an entry is asked by the log line and by the form alike, and nothing is kept unanswered', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const go = await beginAtOrigin(page)
  await seedMine(page, HOUSE)
  await go(0, '/')
  for (const { what, line, harmless, says } of PAIRS)
    await test.step(`log line: ${what}`, async () => {
      await logLine(page).fill(line)
      await expect(readBack(page)).toContainText(says)
      await logLine(page).press('Enter')
      await expect(readBack(page)).not.toContainText('Kept')
      await logLine(page).fill(harmless)
      await expect(readBack(page)).toContainText('keeps:')
      await logLine(page).fill('')
    })
  for (const { what, form, says } of PAIRS)
    await test.step(`form: ${what}`, async () => {
      await page.goto(form.path)
      const beside = page.getByRole('complementary')
      await form.fill(page)
      const press = beside.getByRole('button', { name: form.press, exact: true })
      await press.click()
      await expect(beside.getByRole('alert').filter({ hasText: says }).first()).toBeVisible()
      // A second press changes nothing: it is not answered.
      await press.click()
      await expect(press).toBeVisible()
    })
})
