import { expect, test } from './support/test.ts'
import type { Content } from '../core/journal/entry.ts'
import { log, logLine, readBack, today } from './support/app.ts'
import { at, beginAtOrigin } from './support/plans.ts'
import { seedMine } from './support/seed.ts'

test.use({ timezoneId: 'Europe/London' })

const METRIC = { volume: 'L', length: 'cm', temperature: 'C', salinity: 'psu', alkalinity: 'dKH' } as const

const tank = (
  tankId: string,
  name: string,
  role: 'quarantine' | 'display' = 'quarantine',
  water: 'marine' | 'freshwater' = 'marine',
): Content => ({
  kind: 'tank-setup',
  ...at(-48),
  tankId,
  name,
  water,
  role,
  sheet: { shape: { kind: 'known', litres: 40 } },
})
const peroxide: Content = {
  kind: 'product-setup',
  ...at(-48),
  productId: 'perox',
  name: 'peroxide 3 %',
  ingredient: 'peroxide',
  strength: { kind: 'solution', mgPerMl: 30 },
  measure: { tool: 'syringe', step: 0.5 },
}

test('the hybrid: started on one page, a bath on the wrong day and a move eleven hours late, each explained with what follows', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const go = await beginAtOrigin(page)
  await seedMine(page, [
    { kind: 'household', ...at(-48), timeZone: 'Europe/London', units: METRIC },
    tank('a', 'Set A'),
    tank('b', 'Set B'),
    {
      kind: 'arrival',
      ...at(-2),
      animalId: 'needle',
      tankId: 'a',
      name: 'Needle',
      species: 'longnose hawkfish',
      group: 'hawkfish',
      count: 1,
    },
    peroxide,
  ])

  // One page: what, where, who, what it asks of the fish, the calendar before it starts.
  await go(0, '/courses/new?tank=a')
  await page.getByLabel('School or plan').selectOption('qt-c-hybrid')
  await page.getByRole('button', { name: 'Start the course' }).click()
  await expect(page.getByText('the second tank set: without it nothing can be moved')).toBeVisible()
  await page.getByLabel('Second tank set').selectOption({ label: 'Set B' })
  await expect(page.getByText(/Handling load 12 in the worst week/)).toBeVisible()
  await expect(page.getByText(/Move Needle to Set B/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Start the course' }).click()
  await expect(page.getByRole('heading', { name: 'Tank transfer with two peroxide baths' })).toBeVisible()

  // The first bath on the way to the other set; too long is said beside its field and keeps what was typed.
  await go(70, '/courses')
  await page.getByRole('link', { name: /Tank transfer/ }).click()
  await expect(page.getByText(/Gloves and goggles: peroxide burns/).first()).toBeVisible()
  await page.getByLabel('Water in the tub').fill('4')
  await page.getByLabel('They were in it').fill('50')
  await expect(page.getByText('10 mL', { exact: true })).toBeVisible()
  await expect(page.getByText(/more than the 30 min/).first()).toBeVisible()
  await page.getByLabel('They were in it').fill('30')
  await page.getByRole('button', { name: 'Log the bath' }).click()
  await page.getByRole('button', { name: 'Move Needle to Set B' }).click()
  await expect(page.getByText(/^1 of 4 moves made/).first()).toBeVisible()
  await expect(page.getByText(/Set A: wet since/)).toBeVisible()

  await page.getByRole('button', { name: 'Bleached, rinsed, drying' }).click()
  await expect(page.getByText(/Set A: drying, ready/)).toBeVisible()

  // A second bath three days early: it is the first of a new pair, and the sentence says when the next is due.
  await go(140, '/')
  await logLine(page).fill('set b bath peroxide 10ml 4L 30min')
  await expect(readBack(page)).toContainText(
    'a bath of hydrogen peroxide 70 h before in Set B: at least 144 h between two',
  )
  await log(page, 'set b bath peroxide 10ml 4L 30min anyway because spots again vet no')
  await log(page, 'needle to set a')
  await page
    .getByRole('link', { name: /Tank transfer/ })
    .first()
    .click()
  await expect(page.getByText(/The bath today 08:00 was .* too early/)).toBeVisible()
  await expect(page.getByText(/first of a new pair; the second is due Sat 14 Nov/)).toBeVisible()

  // The next move eleven hours late: told while it is, asked what if, and explained once it is made.
  await page.getByLabel('The next move comes late by').fill('11')
  await expect(page.getByText(/It becomes hour 0: 11 h over 74 h/)).toBeVisible()
  await go(140 + 74 + 11.1, '/')
  await expect(today(page, 'Set A')).toContainText(/The move is 11 h late: cysts may have hatched/)
  await log(page, 'needle to set b anyway')
  await page.reload()
  await page
    .getByRole('link', { name: /Tank transfer/ })
    .first()
    .click()
  await expect(page.getByText(/came 11 h over 74 h, so what hatched meanwhile may have come along/)).toBeVisible()
  await expect(page.getByText(/^0 of 4 moves made, again/).first()).toBeVisible()
})

test('peroxide on patches: two treated and one left alone, scored over a week, finished on its evidence', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const go = await beginAtOrigin(page)
  await seedMine(page, [
    { kind: 'household', ...at(-48), timeZone: 'Europe/London', units: METRIC },
    tank('study', 'Study', 'display', 'freshwater'),
    {
      kind: 'arrival',
      ...at(-40),
      animalId: 'honey',
      tankId: 'study',
      name: 'Honey',
      species: 'honey gourami',
      group: 'fw-labyrinth',
      count: 1,
    },
    peroxide,
  ])
  await go(0, '/courses/new?tank=study')
  await page.getByLabel('School or plan').selectOption('peroxide-spot')
  // Nothing was confirmed: it begins by a written reason.
  await page
    .getByRole('textbox', { name: /^Reason/ })
    .first()
    .fill('antlers, pink in peroxide on a piece')
  await page.getByRole('button', { name: 'Start the course' }).click()
  await expect(page.getByRole('heading', { name: 'Peroxide on spots' })).toBeVisible()
  for (const [name, isControl] of [
    ['fern', false],
    ['wood', false],
    ['stone', true],
  ] as const) {
    await page.getByLabel('Patch', { exact: true }).fill(name)
    if (isControl) await page.getByLabel('Left untreated, to compare with').click()
    await page.getByRole('button', { name: 'Name the patch' }).click()
    await expect(page.getByRole('rowheader', { name: new RegExp(`^${name}`) })).toBeVisible()
  }
  // 0.79 mg/L in 40 L is 31.6 mg: one whole millilitre of 3 %, and not the half more.
  await page.getByRole('button', { name: 'Log 1 mL' }).click()
  await expect(page.getByText('day 0, every day')).toHaveCount(0)

  // A stage that is none stays as typed, with what would be right.
  await go(31, '/')
  await logLine(page).fill('study stage fern7')
  await expect(readBack(page)).toContainText('to 5, detached; came 7')
  await expect(logLine(page)).toHaveValue('study stage fern7')
  await log(page, 'study stage fern1 wood0 control0')
  for (const [day, line] of [
    [2, 'study stage fern2 wood2 control0'],
    [4, 'study stage fern3 wood3 control1'],
  ] as const) {
    await go(24 * day + 7)
    await log(page, line)
  }
  // In place: each patch has its six stages to tap.
  await go(24 * 7 + 7, '/courses')
  await page.getByRole('link', { name: /Peroxide on spots/ }).click()
  await page.getByRole('radiogroup', { name: 'Stage of fern' }).getByRole('radio', { name: /^4,/ }).click()
  await page.getByRole('radiogroup', { name: 'Stage of wood' }).getByRole('radio', { name: /^5,/ }).click()
  await page.getByRole('radiogroup', { name: 'Stage of stone' }).getByRole('radio', { name: /^1,/ }).click()
  await page.getByRole('button', { name: 'Log the scores' }).click()
  await expect(page.getByText(/^Reached: all treated patches at stage 4 or over/)).toBeVisible()
  await page.getByRole('button', { name: 'Finish the plan' }).click()
  await expect(page.getByText(/^Finished today/)).toBeVisible()
})
