import { expect, test, type Page } from './support/test.ts'
import { readFileSync } from 'node:fs'
import { unzipSync } from 'fflate'
import {
  confirmAsked,
  beginHousehold,
  log,
  logLine,
  openMine,
  openSample,
  pressUntilKept,
  today,
} from './support/app.ts'
import { atNine, rings, clock, big, expectBox, goOn, tickAll } from './support/arrivals.ts'

test('S1: an overnight box with a fish and a shrimp, checked, floated, scooped, released, eats by night', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await atNine(page)
  await beginHousehold(page)
  await log(page, 'quar sal 33')
  await log(page, 'quar temp 25')
  await log(page, 'quar ph 8.1')
  await expectBox(page, '18', [
    { species: 'orchid dottyback', group: 'dottyback-basslet', psu: '31.6' },
    { species: 'sexy shrimp', group: 'shrimp-crab-snail' },
  ])
  // What is missing is said, from the journal; what it cannot tell is ticked.
  const cycled = page.locator('[data-prep="cycled"]')
  await expect(cycled).toContainText('No ammonia reading of the last three days')
  await page.getByRole('button', { name: 'Lid: it is so' }).click()
  await expect(page.locator('[data-prep="lid"]')).toHaveAttribute('data-state', 'ok')

  // Looked over in the bag.
  await page.getByRole('link', { name: 'The box is here' }).click()
  const fish = page.getByRole('region', { name: 'orchid dottyback' })
  const tap = fish.getByRole('button', { name: /Tap with each/ })
  for (let i = 0; i < 8; i++) {
    await tap.press(' ')
    await page.clock.runFor(1000)
  }
  await expect(fish.getByText(/as it should be/)).toBeVisible()
  await fish.getByRole('button', { name: /fins torn/ }).click()
  await expect(fish.getByText(/Clean water heals most of it/)).toBeVisible()
  await fish.getByRole('button', { name: /^Log what was found/ }).click()
  await expect(fish.getByText(/✓ .*ragged fins, \d\d breaths a minute/)).toBeVisible()
  await page.getByRole('button', { name: 'sexy shrimp: nothing found' }).click()

  // The plan: hours were announced, litres are typed, the rest is assumed until it is measured.
  await page.getByRole('link', { name: 'On to the plan' }).click()
  await page.getByRole('group', { name: 'Bag of orchid dottyback' }).getByLabel('Water round it').fill('1.2')
  await page.getByRole('group', { name: 'Bag of sexy shrimp' }).getByLabel('Water round it').fill('0.6')
  for (const name of ['orchid dottyback', 'sexy shrimp']) {
    const bag = page.getByRole('group', { name: `Bag of ${name}` })
    await bag.getByLabel('Salinity').fill('31.6')
    await bag.getByLabel('Total ammonia').fill('0.4')
  }
  await page.getByLabel('Kept warm').check()
  await expect(
    page.getByText(/^One container: one way keeps the limits of orchid dottyback and sexy shrimp/),
  ).toBeVisible()
  await page.getByRole('button', { name: /^Scoops/ }).click()
  await expect(page.getByRole('region', { name: 'Advice' })).toContainText('a scoop of tank water every 5 minutes')
  await page.getByRole('button', { name: 'Start the float: 20 minutes' }).click()

  // Live: the float rings when it is over.
  await expect(page.getByRole('heading', { name: 'Orchid dottyback, sexy shrimp' })).toBeVisible()
  await expect(clock(page)).toHaveText(/^(20:00|19:5\d)$/)
  expect(await rings(page)).toBe(0)
  await page.clock.fastForward('20:01')
  await expect(clock(page)).toHaveAttribute('data-due', 'true')
  expect(await rings(page)).toBeGreaterThan(0)
  await big(page).click()
  await expect(big(page)).toHaveAttribute('data-next', 'scoop')

  // A reload goes on where it was.
  await page.reload()
  await expect(big(page)).toHaveAttribute('data-next', 'scoop')

  const done = await goOn(page)
  expect(new Set(done)).toEqual(new Set(['scoop']))
  expect(done.length).toBeGreaterThan(2)
  await expect(big(page)).toHaveAttribute('data-next', 'measure')

  // What is measured bends it: not near enough yet, so it goes on.
  await page.getByLabel('Salinity, psu').fill('31.9')
  await page.getByLabel('Temperature, °C').fill('24.6')
  await page.getByRole('button', { name: 'Log what is measured' }).click()
  await expect(big(page)).toHaveAttribute('data-next', 'scoop')
  await goOn(page)
  await page.getByLabel('Salinity, psu').fill('32.3')
  await page.getByLabel('Temperature, °C').fill('24.7')
  await page.getByRole('button', { name: 'Log what is measured' }).click()
  await expect(big(page)).toHaveAttribute('data-next', 'move')
  await big(page).click()
  await expect(page.getByRole('region', { name: 'Across' })).toContainText('no bag water goes with it')
  await tickAll(page)
  await page.getByRole('button', { name: 'In Quarantine: log it' }).click()
  await expect(page.getByText(/Measured within reach/)).toBeVisible()

  // The ledger: they live there; the first meal by evening, the head count in the morning.
  await page.getByRole('link', { name: 'Ledger', exact: true }).click()
  const cell = today(page, 'Quarantine')
  await expect(cell).toContainText('orchid dottyback arrived')
  await page.clock.setFixedTime(new Date('2026-11-25T19:30:00Z'))
  await page.reload()
  const meal = cell.locator('[data-task="first-meal"]')
  await expect(meal).toContainText('First meal: orchid dottyback and sexy shrimp')
  await meal.getByRole('button', { name: 'Ate', exact: true }).click()
  await expect(cell).toContainText('Orchid dottyback and sexy shrimp ate')
  await cell.locator('[data-task="evening-check"]').getByRole('button', { name: 'Nothing seen' }).click()
  await expect(cell.locator('[data-task]')).toHaveCount(0)
  await page.clock.setFixedTime(new Date('2026-11-26T08:00:00Z'))
  await page.reload()
  const count = cell.locator('[data-task="morning-check"]')
  await count.getByRole('checkbox', { name: 'orchid dottyback' }).check()
  await count.getByRole('button', { name: '1 not seen' }).click()
  await expect(cell).toContainText('Sexy shrimp not seen')

  // Its own arrival ledger.
  await page.getByRole('link', { name: 'Arrivals' }).click()
  await page.getByRole('link', { name: 'orchid dottyback' }).click()
  await expect(page.getByText(/^scoops, \d+ min, measured$/)).toBeVisible()
  await expect(page.getByText('ragged fins', { exact: true })).toBeVisible()
})

test('S2: two days on the way, ammonia at a low pH: the tank comes to the bag, and it goes across at once', async ({
  page,
}) => {
  await atNine(page)
  await beginHousehold(page)
  await log(page, 'quar sal 35')
  await log(page, 'quar temp 25')
  await expectBox(page, '48', [{ species: 'longnose hawkfish', group: 'hawkfish' }])
  await page.getByRole('link', { name: 'Plan the way' }).click()
  const bag = page.getByRole('group', { name: 'Bag of longnose hawkfish' })
  await bag.getByLabel('Water round it').fill('1.2')
  await bag.getByLabel('Salinity').fill('26')
  await bag.getByLabel('pH').fill('6.6')
  await bag.getByLabel('Total ammonia').fill('6')
  const advice = page.getByRole('region', { name: 'Advice' })
  await expect(advice).toContainText('match the tank, then across')
  // 60 L from 35 to 26 psu: 60 · 9/35.
  await expect(advice).toContainText('15.4 L')
  await expect(advice).toContainText('of Quarantine swapped for fresh water first')
  await expect(advice).toContainText('48 h in transit: ammonia has gathered')
  await expect(advice).toContainText('opened, the gas leaves, pH rises, and free ammonia reaches')

  // Waiting is the danger, most of all by an air stone: the marker shows it.
  await page.getByLabel('An air stone in the container').check()
  const marker = page.getByRole('slider', { name: 'Minutes the opened bag stands' })
  await marker.focus()
  for (let i = 0; i < 30; i++) await page.keyboard.press('ArrowRight')
  await expect(page.getByText(/After 30 minutes open: pH 7\.\d+/)).toBeVisible()
  await expect(page.getByText(/The limit of 0.03 mg\/L is passed 1\d minutes after opening/)).toBeVisible()
  for (let i = 0; i < 30; i++) await page.keyboard.press('ArrowLeft')
  await page.getByLabel('An air stone in the container').uncheck()

  // Where the tank cannot be set there is no pretence of a plan.
  await page.getByLabel('Quarantine can be set to the bag beforehand').uncheck()
  await expect(advice).toContainText('No way keeps all its limits')
  await expect(page.getByRole('button', { name: /^Start the float/ })).toBeDisabled()
  await page.getByLabel('Quarantine can be set to the bag beforehand').check()

  const start = page.getByRole('button', { name: /^Start the float/ })
  await expect(start).toBeDisabled()
  await page.getByRole('button', { name: 'Log the swap of 15.4 L' }).click()
  await page.getByLabel(/Quarantine stands at 26.0 psu now/).check()
  await start.click()
  await page.clock.fastForward('20:01')
  await big(page).click()
  await expect(big(page)).toHaveText('Across now')
  await big(page).click()
  await tickAll(page)
  await page.getByRole('button', { name: 'In Quarantine: log it' }).click()
  await page.getByRole('link', { name: 'Ledger', exact: true }).click()
  await expect(today(page, 'Quarantine')).toContainText('change 15.4 L')
  await expect(today(page, 'Quarantine')).toContainText('longnose hawkfish arrived')
})

test('what is not plausible is said beside the field, keeps what was typed, and leaves the last plan', async ({
  page,
}) => {
  await openSample(page, '/arrivals/box/box-tomorrow/plan?tank=side')
  const bag = page.getByRole('group', { name: 'Bag of orchid dottyback' })
  await bag.getByLabel('Water round it').fill('1.2')
  const advice = page.getByRole('region', { name: 'Advice' })
  await expect(advice).toBeVisible()
  await bag.getByLabel('pH').fill('70')
  await expect(bag.getByRole('alert')).toHaveText('5.5 to 9 is plausible')
  await expect(advice).toBeVisible()
  await expect(page.getByRole('button', { name: /^Start the float/ })).toBeDisabled()
  await bag.getByLabel('pH').fill('7')
  await bag.getByLabel('Salinity').fill('350')
  await expect(bag.getByRole('alert')).toHaveText('0 psu to 45 psu is plausible')
  await bag.getByLabel('Salinity').fill('31')
  await bag.getByLabel('Water round it').fill('9')
  await page.getByLabel('Holds').fill('6')
  await expect(bag.getByRole('alert')).toContainText('more than the container’s 6 L')
  // A reload loses nothing that was typed.
  await expect.poll(() => page.evaluate(() => JSON.stringify(localStorage))).toContain('"9')
  await page.reload()
  await expect(bag.getByLabel('Water round it')).toHaveValue('9')
  await expect(bag.getByLabel('Salinity')).toHaveValue('31')
})

/** A picture of a few colours, made in the page. */
const pictureOf = (page: Page, width: number, height: number) =>
  page.evaluate(
    async ([w, h]) => {
      const canvas = document.createElement('canvas')
      canvas.width = w!
      canvas.height = h!
      const context = canvas.getContext('2d')!
      for (let i = 0; i < 40; i++) {
        context.fillStyle = `hsl(${i * 9} 60% 50%)`
        context.fillRect((w! / 40) * i, 0, w! / 40, h!)
      }
      const blob = await new Promise<Blob>((resolve) => canvas.toBlob((made) => resolve(made!), 'image/png'))
      return [...new Uint8Array(await blob.arrayBuffer())]
    },
    [width, height],
  )

test('dead on arrival with its photo: scaled down, in the entry, out in a zip and back in', async ({ page }) => {
  await atNine(page)
  await beginHousehold(page)
  await expectBox(page, '20', [{ species: 'royal gramma', group: 'dottyback-basslet' }])
  await page.getByRole('link', { name: 'The box is here' }).click()
  const buffer = Buffer.from(await pictureOf(page, 3200, 2400))
  await page
    .getByLabel('Photo of royal gramma, from a file')
    .setInputFiles({ name: 'doa.png', mimeType: 'image/png', buffer })
  await expect(page.getByRole('img', { name: 'royal gramma, photo 1' })).toHaveAttribute('width', '1600')
  await page.getByRole('button', { name: 'royal gramma: dead on arrival' }).click()
  await page.getByRole('button', { name: 'Log it as dead on arrival' }).click()
  await expect(page.getByRole('heading', { name: 'Nothing awaited here' })).toBeVisible()
  await page.getByRole('link', { name: 'Ledger', exact: true }).click()
  await expect(today(page, 'Quarantine')).toContainText('✕ royal gramma dead on arrival')
  await page
    .getByRole('button', { name: /royal gramma dead on arrival/ })
    .first()
    .click()
  await expect(page.getByRole('complementary').getByRole('img', { name: /dead on arrival/ })).toBeVisible()

  await page.getByRole('link', { name: 'Records' }).click()
  await expect(page.getByText(/^1, 0\.\d MB/)).toBeVisible()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export the journal' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('brinvo-mine-2026-11-25.zip')
  const zip = readFileSync(await download.path())
  const files = Object.entries(unzipSync(new Uint8Array(zip)))
  expect(files.map(([name]) => name.replace(/photos\/.+\.jpg/, 'photos/….jpg'))).toEqual([
    'journal.json',
    'photos/….jpg',
  ])
  expect([...files[1]![1].slice(0, 2)]).toEqual([0xff, 0xd8])

  // Into another household's device: journal and picture.
  const other = await page.context().browser()!.newContext({ timezoneId: 'Europe/Lisbon' })
  const fresh = await other.newPage()
  await openMine(fresh)
  await fresh.getByLabel('Journal file').setInputFiles({ name: 'brinvo.zip', mimeType: 'application/zip', buffer: zip })
  await expect(fresh.getByText(/with 1 photo/)).toBeVisible()
  await fresh.getByRole('button', { name: /^Add \d+ entries/ }).click()
  await expect(logLine(fresh)).toBeVisible()
  await fresh.goto('/?tank=' + (await tankId(fresh)) + '&day=2026-11-25')
  await fresh
    .getByRole('complementary')
    .getByRole('button', { name: /dead on arrival/ })
    .first()
    .click()
  await expect(fresh.getByRole('complementary').getByRole('img', { name: /dead on arrival/ })).toBeVisible()
  await other.close()
})

/** The id of the only tank, from its link. */
async function tankId(page: Page): Promise<string> {
  await page.goto('/tanks')
  const href = await page
    .getByRole('link', { name: /Quarantine/ })
    .first()
    .getAttribute('href')
  return href!.split('/').at(-1)!
}

test('no quarantine by choice: the risk is said, and it is watched instead', async ({ page }) => {
  await atNine(page)
  await openSample(page, '/arrivals/new?tank=hall')
  await page.getByLabel('Hours on the way').fill('4')
  await page.getByLabel('What it is').fill('neon goby')
  await page.getByLabel('Group').selectOption('goby-blenny')
  await page.getByLabel('Goes to').selectOption('hall')
  await page.getByRole('button', { name: 'Expect it' }).click()
  await confirmAsked(page)
  await expect(page.getByText(/residual risk high: UV hits only free-swimming stages/)).toBeVisible()
  await page.getByRole('button', { name: 'No quarantine, by choice: watch instead' }).click()
  await expect(page.getByText(/^No quarantine, by choice/)).toBeVisible()
  await page.getByRole('link', { name: 'Plan the way' }).click()
  await page.getByLabel('Water round it').fill('1')
  await page
    .getByRole('group', { name: /Bag of/ })
    .getByLabel('Salinity')
    .fill('34.8')
  await page.getByLabel('Kept warm').check()
  await page.getByRole('button', { name: /^Start the float/ }).click()
  await page.clock.fastForward('25:00')
  await goOn(page)
  const next = await big(page).getAttribute('data-next')
  if (next === 'measure') {
    await page.getByLabel('Salinity, psu').fill('34.9')
    await page.getByLabel('Temperature, °C').fill('25')
    await page.getByRole('button', { name: 'Log what is measured' }).click()
    await expect(big(page)).toHaveAttribute('data-next', 'move')
  }
  await big(page).click()
  await tickAll(page)
  await pressUntilKept(page, 'In Hall reef: log it')
  await page.goto('/?tank=hall&day=2026-11-27')
  await expect(page.getByRole('complementary')).toContainText('Watch half an hour: neon goby and the others')
  await expect(page.getByRole('complementary')).toContainText('no quarantine, day 2 of 30')
})

test('between two own tanks, then the acclimation box: the door keeps its promise, and a bite stops it', async ({
  page,
}) => {
  await atNine(page)
  await openSample(page, '/arrivals/between?from=hall&to=side')
  await page.getByRole('group', { name: 'Who goes' }).getByRole('button', { name: 'Saffron' }).click()
  await page.getByLabel('Water round it').fill('2')
  await expect(page.getByRole('region', { name: 'Advice' })).toBeVisible()
  await page.getByRole('button', { name: 'Start: it is in the container' }).click()
  await expect(page.getByRole('heading', { name: 'Saffron' })).toBeVisible()
  await page
    .getByRole('button', { name: /across now all the same|Across now/ })
    .first()
    .click()
  const across = page.getByRole('button', { name: 'In Side tub: log it' })
  // What speaks against it comes a moment later: whatever is asked by then is answered.
  await expect(async () => {
    await tickAll(page)
    const knows = page.getByLabel('Across all the same')
    if (await knows.isVisible()) await knows.check({ timeout: 2000 })
    await expect(across).toBeEnabled({ timeout: 2000 })
  }).toPass()
  await across.click()
  await expect(page.getByText(/across into Side tub/)).toBeVisible()

  await page.goto('/arrivals/together?who=saffron')
  await page.getByLabel('To live in').selectOption('hall')
  await page.getByRole('group', { name: 'Rivals' }).getByRole('button', { name: 'Plum' }).click()
  await page.getByRole('button', { name: 'The box is in' }).click()
  await confirmAsked(page)
  const open = page.getByRole('button', { name: 'Open the door' })
  await expect(open).toBeDisabled()
  for (const words of [/lost interest/, /eats in the box/, /It is dusk/, /rock stands differently/])
    await page.getByRole('button', { name: words }).click()
  await expect(page.getByText(/^\d+ (days|hours) to go$/)).toBeVisible()
  await page.clock.fastForward('50:00:00')
  await expect(open).toBeEnabled()
  await open.click()
  await page.getByRole('button', { name: 'a bite on the body, blood' }).click()
  await page.getByRole('button', { name: 'Log it' }).click()
  await expect(page.getByRole('alert')).toContainText('Stop now: a bite on the body')
  await page.getByRole('button', { name: 'They are apart: stopped' }).click()
  await page.getByRole('link', { name: 'Ledger', exact: true }).click()
  await page.clock.fastForward('12:00:00')
  await expect(today(page, 'Hall reef')).toContainText('Look for wounds')
})
