import { expect, test, type Locator } from './support/test.ts'
import { log, pressUntilKept, tabTo } from './support/app.ts'
import { axe } from './support/axe.ts'
import {
  at,
  beginAtOrigin,
  closeRun,
  HOUSEHOLD,
  logCount,
  noSideways,
  part,
  PEROXIDE,
  pressNext,
  tank,
} from './support/plans.ts'
import { seedMine } from './support/seed.ts'

test.use({ timezoneId: 'Europe/London' })

test('S16, the dark: tested before, covered at the bench, ended by its rule, uncovered, and the light brought back', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const go = await beginAtOrigin(page)
  await seedMine(page, [HOUSEHOLD, tank('reef', 'Reef', 'marine', 300)])

  await go(0, '/courses/new?definition=blackout-marine&tank=reef')
  await page.getByRole('button', { name: 'Start the course' }).click()
  await expect(page.getByRole('heading', { name: 'Blackout', level: 1 })).toBeVisible()
  expect(await axe(page)).toEqual([])

  // The start is tested; how much is covered is one number.
  await go(0.5, '/')
  await log(page, 'reef no3 8 po4 .06 alk 8 tan 0 NH4')
  await go(0.6, '/courses')
  await page
    .getByRole('link', { name: /Blackout/ })
    .first()
    .click()
  await logCount(page, 'covered', '60')
  await expect(page.getByText('60 %').first()).toBeVisible()

  // Covered at the bench: what stays off is the treatment, and owed to nobody.
  await page.getByRole('link', { name: 'step by step at the bench' }).first().click()
  await page.getByRole('button', { name: 'Begin at Reef' }).click()
  for (const words of ['Nitrate, phosphate and ammonia tested', 'Loose film siphoned', 'Lamps off at the plug']) {
    await expect(page.getByText(new RegExp(`^${words}`)).first()).toBeVisible()
    await pressNext(page)
  }
  await page.getByRole('button', { name: 'one more, animals seen' }).click()
  await pressNext(page)
  for (const words of ['Opaque sheets', 'Cover on', 'CO2 off', 'Air on']) {
    await expect(page.getByText(new RegExp(`^${words}`)).first()).toBeVisible()
    await pressNext(page)
  }
  await closeRun(page)
  await page.getByRole('link', { name: 'To the course' }).click()
  await expect(page.getByText('Cover all sides and the sump')).toHaveCount(0)

  // A day on nitrate has more than doubled: the stop stands first, and its end is marked.
  await go(26, '/')
  await log(page, 'reef no3 17 po4 .07')
  await page
    .getByRole('link', { name: /Blackout/ })
    .first()
    .click()
  await expect(page.getByText(/nitrate over twice the start, and over 15 mg\/L: end it early/).first()).toBeVisible()
  await page.getByRole('button', { name: 'The treatment is over' }).click()
  await expect(
    page.getByText('Uncover in room light, count heads, change water back to the start').first(),
  ).toBeVisible()
  await go(50)
  await page.reload()
  await expect(page.getByText('Light 30 %, then ten points more each day').first()).toBeVisible()
  expect(await noSideways(page)).toBe(0)
  expect(await axe(page)).toEqual([])
})

test('a blackout of five days tested on days 0 and 1 only is red on day 3: the stop rules cannot see', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const go = await beginAtOrigin(page)
  await seedMine(page, [HOUSEHOLD, tank('reef', 'Reef', 'marine', 300)])
  await go(0, '/courses/new?definition=blackout-marine&tank=reef&for=5')
  await page.getByRole('button', { name: 'Start the course' }).click()
  await expect(page.getByRole('heading', { name: 'Blackout', level: 1 })).toBeVisible()
  await go(0.5, '/')
  await log(page, 'reef no3 8 po4 .06 alk 8 tan 0 NH4')
  await go(24, '/')
  await log(page, 'reef no3 9 po4 .06 tan 0 NH4')
  const blind = page.getByText(/Dark, and not tested since .*: the stop rules cannot see\. Test now, or uncover\./)
  await expect(blind).toHaveCount(0)

  await go(72, '/')
  await expect(blind.first()).toBeVisible()
  const inks = await blind.first().evaluate((bar) => {
    const probe = document.createElement('i')
    probe.style.color = 'var(--act)'
    document.body.append(probe)
    return [getComputedStyle(bar).borderLeftColor, getComputedStyle(probe).color]
  })
  expect(inks[0]).toBe(inks[1])
  await page
    .getByRole('link', { name: /Blackout/ })
    .first()
    .click()
  await expect(page.getByRole('heading', { name: 'Blackout', level: 1 })).toBeVisible()
  await expect(blind).toBeVisible()
  await expect(page.getByText(/^not tested since/).first()).toBeVisible()
  expect(await axe(page)).toEqual([])

  // Tested, it sees again.
  await go(73, '/')
  await log(page, 'reef no3 9 po4 .06 tan 0 NH4')
  await expect(blind).toHaveCount(0)
})

test('S15, planaria: asked to confirm first, dosed by the net volume, half changed at the bench, the jar counted twelve hours on', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const go = await beginAtOrigin(page)
  await seedMine(page, [
    HOUSEHOLD,
    tank('study', 'Study', 'freshwater', 100),
    {
      kind: 'product-setup',
      ...at(-240),
      productId: 'fen',
      name: 'fenbendazole 22 %',
      ingredient: 'fenbendazole',
      strength: { kind: 'powder', activeFraction: 0.22 },
      measure: { tool: 'scale', step: 0.01 },
    },
    { kind: 'part-setup', ...at(-3), partId: 'jar', tankId: 'study', what: 'jar', name: 'jar' },
  ])
  await go(0, '/courses/new?definition=planaria-fenbendazole&tank=study')
  await expect(page.getByText(/Nothing was confirmed yet/).first()).toBeVisible()
  for (const field of await page.getByRole('textbox', { name: /^Reason/ }).all())
    await field.fill('arrow heads seen by torch')
  await page.getByRole('button', { name: 'Start the course' }).click()
  await expect(page.getByRole('heading', { name: 'Fenbendazole against planaria' })).toBeVisible()

  // The first dose waits for the trap, and for who has to be out.
  const course = page.url()
  await go(0.1, '/')
  await log(page, 'study count pests 12')
  await go(0.2, new URL(course).pathname)
  const out = page.getByRole('listitem').filter({ hasText: 'bare-skinned catfish out' })
  await out.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(out).toHaveCount(0)

  // 0.55 mg/L in 100 L is 55 mg: 0.25 g of 22 % powder.
  await expect(page.getByText('0.25 g').first()).toBeVisible()
  await pressUntilKept(page, 'Log 0.25 g')

  // Half a change at the bench on the next day: the replaced half is 0.13 g by the scale's step of the whole.
  await go(26, '/courses')
  await page
    .getByRole('link', { name: /Fenbendazole/ })
    .first()
    .click()
  const bench = page.getByRole('link', { name: 'step by step at the bench' }).last()
  await bench.click()
  for (const field of await page.getByRole('textbox', { name: /^Reason/ }).all()) await field.fill('as the course says')
  await page.getByRole('button', { name: 'Begin at Study' }).click()
  await expect(page.getByText('50 L').first()).toBeVisible()
  await pressNext(page)
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'one more, alive of ten' }).click()
  await pressNext(page)
  await page.getByLabel('changed').fill('50')
  await pressNext(page)
  await expect(page.getByText(/for the replaced half/)).toBeVisible()
  await pressNext(page)
  await pressNext(page)
  await pressNext(page)
  await closeRun(page)
  await page.getByRole('link', { name: 'To the course' }).click()
  await expect(page.getByText('Alive of ten in the jar').first()).toBeVisible()
  await expect(page.getByText('3', { exact: true }).first()).toBeVisible()
  expect(await axe(page)).toEqual([])
})

test('a plan by the keyboard alone: corals put on the drawing and surveyed, started, dosed, scored, asked what if, stopped', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const go = await beginAtOrigin(page)
  await seedMine(page, [
    HOUSEHOLD,
    tank('reef', 'Reef', 'marine', 100),
    PEROXIDE,
    part('fern', 'patch', 'turf, left', 'reef'),
    part('wood', 'patch', 'turf, right', 'reef'),
    part('leather', 'coral', 'toadstool', 'reef', { group: 'coral-soft', pieces: 1 }),
  ])
  const press = async (target: Locator) => {
    await tabTo(page, target)
    await page.keyboard.press('Enter')
  }
  const button = (name: string | RegExp) => page.getByRole('button', { name }).first()
  /** One of some radios, by the arrows: they are one stop. */
  const choose = async (radios: Locator, index: number) => {
    await tabTo(page, radios.getByRole('radio').first())
    for (let i = 0; i < index; i++) await page.keyboard.press('ArrowRight')
    await expect(radios.getByRole('radio').nth(index)).toBeChecked()
  }

  await go(0, '/tanks/reef/corals')
  await page.locator('main').focus()
  await press(button('put toadstool on the drawing'))
  await press(button('left'))
  await expect(button('toadstool, not looked at yet')).toBeVisible()
  await press(button('done'))
  await press(button('Look at all of them'))
  await choose(page.getByRole('radiogroup', { name: 'How toadstool looks' }), 3)
  await press(button('Log the survey'))
  await expect(button('toadstool, normal')).toBeVisible()

  await go(0.2, '/courses/new?definition=peroxide-spot&tank=reef')
  await page.locator('main').focus()
  await expect(button('Start the course')).toBeVisible()
  for (const why of await page.getByRole('textbox', { name: /^Reason/ }).all()) {
    await tabTo(page, why)
    await page.keyboard.type('seen and decided')
  }
  await press(button('Start the course'))
  await expect(page).toHaveURL(/\/courses\/course-/)
  const course = new URL(page.url()).pathname
  await page.locator('main').focus()
  await press(button(/^Log [\d.]+ mL$/))
  await expect(button(/^Log [\d.]+ mL$/)).toHaveCount(0)

  await go(3 * 24, course)
  await page.locator('main').focus()
  for (const name of ['turf, left', 'turf, right'])
    await choose(page.getByRole('radiogroup', { name: `Stage of ${name}` }).first(), 2)
  await press(button('Log the scores'))
  await expect(page.getByRole('radiogroup', { name: /^Stage of / })).toHaveCount(0)

  await page.locator('main').focus()
  await tabTo(page, page.getByLabel('nobody works at it for'))
  await page.keyboard.type('5')
  await expect(page.getByText(/fall away/).first()).toBeVisible()
  await press(button('stop the course'))
  await tabTo(page, page.getByRole('textbox', { name: /why/i }).first())
  await page.keyboard.type('gone to another tank')
  await press(page.getByRole('button', { name: /^Stop/ }).first())
  await expect(page.getByText(/Stopped today: gone to another tank/)).toBeVisible()
})
