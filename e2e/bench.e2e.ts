import { expect, test } from './support/test.ts'
import type { Content, ContentOf } from '../core/journal/entry.ts'
import { atNine, rings } from './support/arrivals.ts'
import { openSample } from './support/app.ts'
import { axe } from './support/axe.ts'
import { closeRun, next, noSideways, pressNext, through } from './support/plans.ts'
import { seedMine } from './support/seed.ts'

test.use({ viewport: { width: 390, height: 844 } })

test.beforeEach(async ({ page }) => {
  test.setTimeout(240_000)
  page.setDefaultTimeout(20_000)
  await atNine(page)
  await page.clock.resume()
})

test('S10 at the bench: a brown-jelly cut on the phone, its clocks, a reload in the middle, and everything put back', async ({
  page,
}) => {
  await openSample(page, '/bench?tank=hall')
  expect(await axe(page)).toEqual([])
  await page.getByRole('link', { name: /^Brown jelly/ }).click()
  await page.getByRole('button', { name: 'Begin at Hall reef' }).click()
  await expect(page.getByText('Gloves on, goggles on')).toBeVisible()
  expect(await axe(page)).toEqual([])
  await through(
    page,
    'Gloves on, goggles on',
    'Bucket, hose, bag',
    'Iodine dip mixed',
    'Pumps off',
    'Auto top-off off',
    'Siphon the jelly',
  )
  await expect(page.getByText(/^Bag the coral under water/)).toBeVisible()
  // A knuckle on the space bar.
  await page.locator('body').press(' ')
  await expect(page.getByRole('timer', { name: 'out of the tank' })).toBeVisible()
  await page.getByRole('button', { name: 'one more, heads cut away' }).click()
  await pressNext(page)
  // A photo in one tap, and a calendar that rings where a locked phone does not.
  await page.getByLabel(/^Photo: Brown jelly/).setInputFiles({
    name: 'head.png',
    mimeType: 'image/png',
    buffer: Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
      'base64',
    ),
  })
  await expect(page.getByText(/^photo kept: Brown jelly/)).toBeVisible()
  const [alarms] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Alarms for the calendar' }).click(),
  ])
  expect(alarms.suggestedFilename()).toBe('brinvo-bench.ics')
  // The browser is closed and opened again: it goes on where it was.
  await page.reload()
  await page.getByRole('button', { name: 'Start 5 min' }).click()
  await expect(page.getByRole('timer')).toHaveCount(2)
  await expect(page.getByText(/min too early/)).toBeVisible()
  const before = await rings(page)
  await page.clock.fastForward(5 * 60_000)
  await expect(page.getByText(/time is up/).first()).toBeVisible()
  await expect.poll(() => rings(page)).toBeGreaterThan(before)
  expect(await axe(page)).toEqual([])
  await page.emulateMedia({ colorScheme: 'dark' })
  expect(await axe(page)).toEqual([])
  await pressNext(page)
  // On another screen what is still off stands at the top, and leads back.
  await page.goto('/water')
  await page.getByRole('link', { name: /Brown jelly: .*flow, auto top off still off/ }).click()
  await pressNext(page)
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'one more, heads left' }).click()
  await pressNext(page)
  await expect(page.getByRole('timer')).toHaveCount(0)
  await pressNext(page)
  await through(page, 'Pumps on', 'Level back', 'Auto top-off on', 'Bucket down the drain')
  await closeRun(page)
  await expect(page.getByText(/any jelly now: give the colony up/)).toBeVisible()
  expect(await noSideways(page)).toBe(0)
  expect(await axe(page)).toEqual([])
  await page.goto('/tanks/hall')
  await expect(page.getByRole('region', { name: 'At the bench' })).toHaveCount(0)
})

const DAY = 24
const ORIGIN = Date.parse('2026-11-25T09:00:00Z')
const at = (hours: number) => ({ happened: new Date(ORIGIN + hours * 3_600_000).toISOString() })
const HOUSEHOLD: Content = {
  kind: 'household',
  ...at(-10 * DAY),
  timeZone: 'Europe/London',
  units: { volume: 'L', length: 'cm', temperature: 'C', salinity: 'psu', alkalinity: 'dKH' },
}
const PEROXIDE: Content = {
  kind: 'product-setup',
  ...at(-10 * DAY),
  productId: 'perox',
  name: 'peroxide 3 %',
  ingredient: 'peroxide',
  strength: { kind: 'solution', mgPerMl: 30 },
  measure: { tool: 'syringe', step: 0.5 },
}
const set = (tankId: string, name: string): Content => ({
  kind: 'tank-setup',
  ...at(-10 * DAY),
  tankId,
  name,
  water: 'marine',
  role: 'quarantine',
  sheet: { shape: { kind: 'known', litres: 40 } },
})
const fish = (animalId: string, name: string): Content => ({
  kind: 'arrival',
  ...at(-5 * DAY),
  animalId,
  tankId: 'a',
  name,
  species: 'longnose hawkfish',
  group: 'hawkfish',
  count: 1,
})

test('a hybrid’s bath and move, from the course’s task: measured out, beside the clock, and both in the ledger', async ({
  page,
}) => {
  await seedMine(page, [
    HOUSEHOLD,
    set('a', 'Set A'),
    set('b', 'Set B'),
    fish('needle', 'Needle'),
    fish('spike', 'Spike'),
    PEROXIDE,
    {
      kind: 'course-start',
      ...at(-70),
      courseId: 'c7',
      definition: 'qt-c-hybrid',
      tanks: { main: 'a', other: 'b' },
      animalIds: ['needle', 'spike'],
      options: { capture: 'container' },
      products: { 'peroxide-bath': 'perox' },
    },
  ])
  await page.goto('/courses/c7')
  await page.getByRole('link', { name: 'step by step at the bench' }).first().click()
  await expect(page.getByText('for the course: tank transfer with two peroxide baths', { exact: false })).toBeVisible()
  await page.getByLabel('Water in one tub').fill('4')
  await expect(page.getByText('10 mL', { exact: true })).toBeVisible()
  await expect(page.getByLabel('Into which tank')).toHaveValue('b')
  await page.getByRole('button', { name: 'Begin at Set A' }).click()
  await through(page, 'Gloves and goggles on')
  // A tub that is three degrees off is refused, in the largest type.
  await page.getByLabel('their tank').fill('25')
  await page.getByLabel('the tub').fill('22')
  await expect(page.getByRole('alert')).toContainText('Bring the tub within a degree')
  await expect(next(page)).toBeDisabled()
  expect(await axe(page)).toEqual([])
  await page.getByLabel('the tub').fill('24.5')
  await pressNext(page)
  await expect(page.getByText('10 mL', { exact: true })).toBeVisible()
  await through(page, 'Peroxide into the tub', 'Lid on the tub', 'Fish into the tub')
  await page.getByRole('button', { name: 'Start 30 min' }).click()
  await expect(page.getByText(/One that rolls over/)).toBeVisible()
  await page.clock.fastForward(30 * 60_000)
  await expect(page.getByText(/time is up/).first()).toBeVisible()
  await pressNext(page)
  await through(page, 'Into the clean tank', 'Bath water down the drain')
  await expect(page.getByText(/in the tub/).first()).toBeVisible()
  await closeRun(page)
  await page.getByRole('link', { name: 'To the course' }).click()
  await expect(page.getByText(/^1 of 4 moves made/).first()).toBeVisible()
  // The second bath is reckoned from this one, six days on.
  await expect(page.getByRole('listitem').filter({ hasText: /^bath\s*best Tue 1 Dec 09:30/ })).toBeVisible()
  expect(await noSideways(page)).toBe(0)
})

test('a dip round over five corals: staggered in one tub, counted on pads, and the round of the course is done', async ({
  page,
}) => {
  await openSample(page, '/bench/begin/coral-dip?tank=frag')
  for (const name of ['hammer', 'torch']) {
    await page.getByLabel('Name another coral').fill(name)
    await page.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByText(name, { exact: true })).toBeVisible()
  }
  await page.getByRole('radio', { name: 'iodine' }).check()
  await page.getByLabel('Water in one tub').fill('2')
  await page.getByRole('button', { name: 'Begin at Frag tub' }).click()
  await through(page, 'Gloves and goggles on')
  await page.getByLabel('the tub').fill('15')
  await expect(page.getByRole('alert')).toContainText('Corals suffer in a cold tub')
  await page.getByLabel('the tub').fill('25')
  await pressNext(page)
  await through(page, 'Dip mixed', 'White tray')
  const corals = ['green zoanthids', 'orange zoanthids', 'Psammocora', 'hammer', 'torch']
  for (const coral of corals) {
    await expect(page.getByText(coral, { exact: true }).first()).toBeVisible()
    await page.getByRole('button', { name: 'Start 5 min' }).click()
    await page.clock.fastForward(30_000)
  }
  await expect(page.getByRole('timer')).toHaveCount(5)
  await page.clock.fastForward(5 * 60_000)
  for (const coral of corals) {
    await expect(page.getByRole('timer', { name: `${coral}, Into the dip` })).toContainText('time is up')
    // Whose time is up comes out first: they wait in the rinse.
    await pressNext(page)
  }
  await expect(page.getByRole('timer')).toHaveCount(0)
  for (const coral of corals) {
    await expect(page.getByText(coral, { exact: true }).first()).toBeVisible()
    if (coral === 'hammer') await page.getByRole('button', { name: 'one more, came off' }).click()
    await page.getByText('edges brushed').click()
    await through(page, 'Baste hard', 'First rinse', 'Back to its place')
  }
  await through(page, 'Dip and rinse water', 'Hands and tools')
  const hammer = page.getByRole('row', { name: /^hammer/ })
  await expect(hammer).toContainText('1')
  expect(await axe(page)).toEqual([])
  await closeRun(page)
  await expect(page.getByText(/polyps and tissue of each/)).toBeVisible()
})

test('a peroxide session over patches: within the cap, the control left alone, too much and too soon said at once', async ({
  page,
}) => {
  const patch = (partId: string, name: string, control = false): Content => ({
    kind: 'part-setup',
    ...at(-3),
    partId,
    tankId: 'study',
    what: 'patch',
    name,
    ...(control && { control: true }),
  })
  await seedMine(page, [
    HOUSEHOLD,
    { ...(set('study', 'Study') as ContentOf<'tank-setup'>), water: 'freshwater', role: 'display' },
    {
      ...(fish('honey', 'Honey') as ContentOf<'arrival'>),
      tankId: 'study',
      species: 'honey gourami',
      group: 'fw-labyrinth',
    },
    PEROXIDE,
    {
      kind: 'course-start',
      ...at(-2),
      courseId: 'c3',
      definition: 'peroxide-spot',
      tanks: { main: 'study' },
      animalIds: [],
      options: { tier: 'animals-in' },
      products: { 'peroxide-spot': 'perox' },
    },
    patch('fern', 'fern'),
    patch('wood', 'wood'),
    patch('stone', 'stone', true),
  ])
  await page.goto('/courses/c3')
  await page.getByRole('link', { name: 'step by step at the bench' }).first().click()
  await expect(page.getByText('stone', { exact: true })).toHaveCount(0)
  await page.getByRole('button', { name: 'Begin at Study' }).click()
  await through(page, 'Gloves and goggles on', 'Syringe with a rigid tip', 'Pumps and filter off', 'Auto top-off off')
  // No UV at this tank: it is not asked for afterwards.
  await page.getByRole('button', { name: 'not at this tank' }).click()
  await expect(page.getByText('fern', { exact: true })).toBeVisible()
  await page.getByLabel('3 % peroxide').fill('1.5')
  await expect(page.getByRole('alert')).toContainText('1.5 mL is over the 1 mL of 3 % peroxide in one session')
  await page.getByLabel('3 % peroxide').fill('0.6')
  await pressNext(page)
  await expect(page.getByText('wood', { exact: true })).toBeVisible()
  await expect(page.getByText(/^0.6 of 1 mL/)).toBeVisible()
  await page.getByLabel('3 % peroxide').fill('0.3')
  await pressNext(page)
  await page.getByRole('button', { name: 'Start 20 min' }).click()
  await expect(page.getByText(/15 min too early/)).toBeVisible()
  await page.clock.fastForward(20 * 60_000)
  await expect(page.getByText(/time is up/).first()).toBeVisible()
  await pressNext(page)
  await through(page, 'Pumps and filter on', 'Level back', 'Auto top-off on', 'Syringe rinsed')
  await expect(page.getByText('0.9 mL').first()).toBeVisible()
  await closeRun(page)
  await expect(page.getByText(/upright, breathing as usual/)).toBeVisible()
  await page.getByRole('link', { name: 'To the course' }).click()
  await expect(page.getByText('day 0, every day')).toHaveCount(0)
  // What is looked for afterwards is a task of the ledger at its hour.
  await page.clock.fastForward(60 * 60_000)
  await page.goto('/')
  await expect(page.getByText('Look: fish and shrimp: upright, breathing as usual').first()).toBeVisible()
  expect(await axe(page)).toEqual([])
})
