import { expect, test, type Locator } from './support/test.ts'
import { log, openSample, pressUntilKept } from './support/app.ts'
import { atNine } from './support/arrivals.ts'
import { axe } from './support/axe.ts'
import {
  at,
  beginAtOrigin,
  closeRun,
  HOUSEHOLD,
  logCount,
  noSideways,
  part,
  passThrough,
  PEROXIDE,
  startCourse,
  tank,
} from './support/plans.ts'
import { seedMine } from './support/seed.ts'

test.use({ timezoneId: 'Europe/London' })

const DAY = 24

test.beforeEach(() => test.setTimeout(240_000))

test('S11: black brush algae by the syringe, one plant left untreated, two weeks, and the weeks after', async ({
  page,
}) => {
  const go = await beginAtOrigin(page)
  await seedMine(page, [
    HOUSEHOLD,
    tank('study', 'Study', 'freshwater', 100),
    PEROXIDE,
    part('fern', 'patch', 'fern', 'study'),
    part('wood', 'patch', 'wood', 'study'),
    part('stem', 'patch', 'stem', 'study', { control: true }),
  ])
  const course = await startCourse(page, 'peroxide-spot', 'study')
  // 0.79 mg/L in 100 L is 79 mg: 2.6 mL of 3 %, by a syringe of tenths.
  await pressUntilKept(page, 'Log 2.6 mL')
  const score = async (hours: number, stages: Readonly<Record<string, string>>) => {
    await go(hours, course)
    await page.waitForLoadState('networkidle')
    for (const [name, stage] of Object.entries(stages))
      await page
        .getByRole('radiogroup', { name: `Stage of ${name}` })
        .first()
        .getByRole('radio', { name: stage })
        .check()
    await page.getByRole('button', { name: 'Log the scores' }).first().click()
  }
  await score(3 * DAY, { fern: '2, pink, red or lighter', wood: '1, dull or bubbling', stem: '0, living colour' })
  await expect(page.getByText(/It looks as if it works|Not clear yet/)).toBeVisible()
  expect(await axe(page)).toEqual([])
  await score(9 * DAY, { fern: '4, white', wood: '5, detached', stem: '0, living colour' })
  await expect(page.getByText(/with 2 patches treated and 1 left untreated, chance alone/)).toBeVisible()
  await page.getByRole('button', { name: 'treat stem from now on' }).click()
  await expect(page.getByText(/untreated until/)).toBeVisible()
  await page.getByRole('button', { name: 'Finish the plan' }).first().click()
  await page.getByRole('link', { name: 'Begin the weeks after' }).click()
  await page.getByRole('button', { name: 'Start the course' }).click()
  await expect(page.getByRole('heading', { name: 'After an outbreak', level: 1 })).toBeVisible()
  // It is back in the fourth week.
  await go(37 * DAY, new URL(page.url()).pathname)
  await logCount(page, 'covered at the weekly look', '9')
  await expect(page.getByText('It is back: five percent covered again.')).toBeVisible()
  expect(await axe(page)).toEqual([])
})

test('S12: turf in a small reef at the bench: pull, flow and top-off off, peroxide, twenty minutes, siphon, again tomorrow', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const go = await beginAtOrigin(page)
  await seedMine(page, [
    HOUSEHOLD,
    tank('reef', 'Reef', 'marine', 60),
    PEROXIDE,
    part('left', 'patch', 'turf, left', 'reef'),
  ])
  const course = await startCourse(page, 'turf-in-tank', 'reef')
  await page.getByRole('link', { name: 'step by step at the bench' }).first().click()
  await page.getByRole('button', { name: 'Begin at Reef' }).click()
  await passThrough(page, { '3 % peroxide': '1', changed: '10' })
  await expect(page.getByText('1 mL').first()).toBeVisible()
  await closeRun(page)
  await page.getByRole('link', { name: 'To the course' }).click()
  await go(DAY, course)
  // Again tomorrow, by the same cap.
  await expect(page.getByText('Pull, siphon, peroxide on what stays').first()).toBeVisible()
  await expect(page.getByText('1.5 mL').first()).toBeVisible()
  expect(await noSideways(page)).toBe(0)
})

test('S13: bubble algae on a rock with a coral: timers, a warm tub, putty, and the count of the weeks after', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const go = await beginAtOrigin(page)
  await seedMine(page, [
    HOUSEHOLD,
    tank('reef', 'Reef', 'marine', 200),
    PEROXIDE,
    part('arch', 'rock', 'the arch', 'reef'),
  ])
  const course = await startCourse(page, 'bubble-rock', 'reef')
  await page.getByRole('link', { name: 'step by step at the bench' }).first().click()
  await page.getByLabel('Water in one tub').fill('4')
  await page.getByRole('button', { name: 'Begin at Reef' }).click()
  await passThrough(page, { 'the tub': '25', 'their tank': '25' }, { removed: 6, 'left on it': 1, spots: 2 })
  await expect(page.getByText(/out of the water/).first()).toBeVisible()
  await closeRun(page)
  await go(7 * DAY, course)
  await page.waitForLoadState('networkidle')
  await page
    .getByRole('button', { name: /^one more .*, the arch$/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Log the count' }).first().click()
  await expect(page.getByText(/one round says nothing yet|1 at first/).first()).toBeVisible()
  expect(await axe(page)).toEqual([])
})

test('S14: freshwater cyano: three days dark, everybody out, peroxide by the net volume, three half changes, the strip', async ({
  page,
}) => {
  const go = await beginAtOrigin(page)
  await seedMine(page, [HOUSEHOLD, tank('nano', 'Nano', 'freshwater', 20), PEROXIDE])
  const course = await startCourse(page, 'cyano-fresh-blackout', 'nano')
  await go(3 * DAY + 1, course)
  await page.goto(`/bench/begin/cyano-peroxide?tank=nano&course=${course.split('/').at(-1)}`)
  // The filter is off and its media are out: nobody in the tank lives by its bacteria, and nothing is asked.
  await expect(page.getByRole('alert')).toHaveCount(0)
  await page.getByRole('button', { name: 'Begin at Nano' }).click()
  await passThrough(page, { '3 % peroxide': '5', strip: '0.5' }, { 'animals back': 4 })
  // 7.9 mg/L in 20 L is 158 mg: 5.2 mL; 5 are poured. A half change is 10 L, three of them.
  await expect(page.getByText('5 mL').first()).toBeVisible()
  await closeRun(page)
  await go(3 * DAY + 2, '/')
  await expect(page.getByText(/10 L/).first()).toBeVisible()
  await go(4 * DAY + 10, course)
  await logCount(page, 'covered', '3')
  await expect(page.getByText('3 %').first()).toBeVisible()
  expect(await axe(page)).toEqual([])
})

test('S17: pest anemones over every rock: counted out rock by rock, minutes out of water, work left, stragglers', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const go = await beginAtOrigin(page)
  await seedMine(page, [
    HOUSEHOLD,
    tank('reef', 'Reef', 'marine', 200),
    part('arch', 'rock', 'the arch', 'reef'),
    part('shelf', 'rock', 'the shelf', 'reef'),
  ])
  const course = await startCourse(page, 'anemone-bench', 'reef')
  await page.getByRole('link', { name: 'step by step at the bench' }).first().click()
  await page.getByLabel('Water in one tub').fill('5')
  await page.getByRole('button', { name: 'Begin at Reef' }).click()
  await passThrough(page, { 'the tub': '25', 'calcium hydroxide': '0.1' }, { removed: 5, 'left on it': 2 })
  await expect(page.getByRole('row', { name: /^the arch/ })).toContainText('5')
  await closeRun(page)
  await go(2, course)
  await expect(page.getByRole('heading', { name: 'Work left' })).toBeVisible()
  await expect(page.getByText(/sessions of an hour, about/)).toBeVisible()
  await page.getByLabel('nobody works at it for').fill('5')
  await expect(page.getByText(/fall away/).first()).toBeVisible()
  expect(await noSideways(page)).toBe(0)
  await go(10 * DAY, course)
  await page.waitForLoadState('networkidle')
  for (const rock of ['the arch', 'the shelf'])
    for (let i = 0; i < 6; i++)
      await page
        .getByRole('button', { name: new RegExp(`^one more .*, ${rock}$`) })
        .first()
        .click()
  await page.getByRole('button', { name: 'Log the count' }).first().click()
  await expect(page.getByText(/over ten back at day 10/).first()).toBeVisible()
})

test('S19: a leather coral that sulks: dripped on once, another place, and its polyps day by day until all are out', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const go = await beginAtOrigin(page)
  await seedMine(page, [
    HOUSEHOLD,
    tank('reef', 'Reef', 'marine', 200),
    PEROXIDE,
    part('leather', 'coral', 'toadstool', 'reef', { group: 'coral-soft', pieces: 1 }),
  ])
  const course = await startCourse(page, 'leather-drip', 'reef')
  await page.getByRole('link', { name: 'step by step at the bench' }).first().click()
  await page.getByRole('button', { name: 'Begin at Reef' }).click()
  await passThrough(page, { '3 % peroxide': '2', 'the tub': '25', 'their tank': '25' })
  await closeRun(page)
  for (const [day, step] of [
    [1, '0, none out'],
    [5, '1, some out'],
    [6, '2, all out'],
    [7, '2, all out'],
    [8, '2, all out'],
  ] as const) {
    await go(day * DAY + 1, course)
    await page.waitForLoadState('networkidle')
    await page
      .getByRole('radiogroup', { name: 'polyps out, toadstool' })
      .first()
      .getByRole('radio', { name: step })
      .check()
    await page.getByRole('button', { name: 'Log the count' }).first().click()
    await expect(page.getByRole('heading', { name: /Polyps out/ })).toContainText(step.slice(0, 1))
  }
  await expect(page.getByText('what it was for is reached').first()).toBeVisible()
  expect(await axe(page)).toEqual([])
})

test('S16, by UV: cells that do not halve ask for the genus again; nutrients under the floor come first', async ({
  page,
}) => {
  const go = await beginAtOrigin(page)
  await seedMine(page, [HOUSEHOLD, tank('reef', 'Reef', 'marine', 300)])
  const course = await startCourse(page, 'dino-uv', 'reef')
  const cells = async (hours: number, count: string) => {
    await go(hours, course)
    await logCount(page, 'cells in a field', count)
    await expect(page.getByRole('heading', { name: /^Cells in a field/ })).toContainText(count)
  }
  await cells(1, '20')
  await go(2, '/')
  await log(page, 'reef no3 1 po4 .02')
  await go(2.1, course)
  await expect(page.getByText(/nitrate under 2 mg\/L: raise the nutrients first/).first()).toBeVisible()
  await page.getByLabel('What is found next').selectOption('no3')
  await page.getByLabel('comes to').fill('6')
  await expect(page.getByText(/no longer: nitrate under 2 mg\/L/)).toBeVisible()
  expect(await axe(page)).toEqual([])
  await go(3 * DAY, '/')
  await log(page, 'reef no3 6 po4 .06')
  await cells(11 * DAY, '15')
  await expect(page.getByText(/cells not halved by day 10: the genus again/).first()).toBeVisible()
})

test('S16, by silicate: half a milligram first, then by what was taken up, and the diatoms’ share rises', async ({
  page,
}) => {
  const go = await beginAtOrigin(page)
  await seedMine(page, [
    HOUSEHOLD,
    tank('reef', 'Reef', 'marine', 300),
    {
      kind: 'product-setup',
      ...at(-240),
      productId: 'si',
      name: 'silicate stock',
      ingredient: 'sodium-silicate-pentahydrate',
      strength: { kind: 'solution', mgPerMl: 10 },
      measure: { tool: 'syringe', step: 0.5 },
    },
  ])
  const course = await startCourse(page, 'dino-sand', 'reef')
  // The first dose waits for what the later tests are held against.
  await go(0.1, '/')
  await log(page, 'reef sio2 .1 no3 6 po4 .06')
  await go(0.2, course)
  // 0.5 mg/L in 300 L is 150 mg: 15 mL of 10 mg/mL.
  await pressUntilKept(page, 'Log 15 mL')
  await go(1, '/')
  await log(page, 'reef sio2 .6')
  await go(25, '/')
  await log(page, 'reef sio2 .2')
  await go(25.1, course)
  // 0.4 a day was taken up: the next is 1.25 × 0.5 + 0.2, 0.825 mg/L, 24.75 mL, measured 24.5.
  await expect(page.getByText('24.5 mL').first()).toBeVisible()
  const share = async (hours: number, value: string) => {
    await go(hours, course)
    await logCount(page, 'diatoms of both', value)
    await expect(page.getByRole('heading', { name: /^Diatoms of both/ })).toContainText(value)
  }
  await share(7 * DAY, '0.1')
  await share(28 * DAY, '0.4')
  await expect(page.getByText(/0.1 at first, 0.4 .*: as expected/)).toBeVisible()
  expect(await axe(page)).toEqual([])
})

test('a day’s evidence is at most three taps from the ledger, one more a part', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await atNine(page)
  await page.clock.resume()
  let taps = 0
  const tap = async (target: Locator) => {
    taps += 1
    await target.click()
  }
  await openSample(page)
  const covered = page.getByRole('textbox', { name: 'covered at the same hour' }).first()
  await tap(covered)
  await covered.pressSequentially('20')
  const card = covered.locator('xpath=ancestor::*[.//button[normalize-space()="Log the count"]][1]')
  await tap(card.getByRole('button', { name: 'Log the count' }))
  await expect(page.getByRole('textbox', { name: 'covered at the same hour' })).toHaveCount(0)
  expect(taps).toBeLessThanOrEqual(3)

  taps = 0
  const patches = page.getByRole('radiogroup', { name: /^Stage of / })
  const count = await patches.count()
  expect(count).toBe(5)
  for (let i = 0; i < count; i++) await tap(patches.nth(i).getByRole('radio').nth(3))
  await tap(page.getByRole('button', { name: 'Log the scores' }))
  await expect(patches).toHaveCount(0)
  expect(taps).toBeLessThanOrEqual(3 + count - 1)
})
