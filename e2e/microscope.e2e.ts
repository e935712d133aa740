import { expect, test, type Page } from './support/test.ts'
import { placesOnPlate } from '../app/screens/diagnose/microscope/draw/plate.ts'
import type { Content } from '../core/journal/entry.ts'
import { axe } from './support/axe.ts'
import { seedMine } from './support/seed.ts'

test.use({ timezoneId: 'Europe/London' })

const ORIGIN = Date.parse('2026-11-02T14:00:00Z')
const at = (days: number) => ({ happened: new Date(ORIGIN + days * 86_400_000).toISOString() })
const HOUSE: readonly Content[] = [
  {
    kind: 'household',
    ...at(-200),
    timeZone: 'Europe/London',
    units: { volume: 'us-gal', length: 'in', temperature: 'F', salinity: 'sg', alkalinity: 'dKH' },
  },
  {
    kind: 'tank-setup',
    ...at(-200),
    tankId: 'hall',
    name: 'Hall',
    water: 'marine',
    role: 'display',
    sheet: { shape: { kind: 'known', litres: 200 } },
  },
  {
    kind: 'case-start',
    ...at(-1),
    caseId: 'strings',
    tankId: 'hall',
    table: 'marine-film',
    animalIds: [],
    title: 'Brown strings',
  },
]

async function open(page: Page, path: string) {
  page.setDefaultTimeout(20_000)
  await page.clock.install({ time: ORIGIN })
  await page.clock.resume()
  await seedMine(page, HOUSE)
  await page.goto(path)
}
const next = (page: Page) => page.getByRole('button', { name: 'Done: next' })

test('S16: from the sample to the kind, the tally and the plan', async ({ page }) => {
  test.setTimeout(240_000)
  await open(page, '/diagnose/strings')
  await page.getByRole('link', { name: 'Microscope' }).click()
  await expect(page.getByRole('note')).toContainText('Gloves and goggles')
  expect(await axe(page)).toEqual([])
  await next(page).click()
  await page.getByRole('button', { name: 'Shaken: let it stand five minutes' }).click()
  await expect(page.getByRole('timer')).toContainText(/0[45]:\d\d/)
  await page.clock.fastForward('05:00')
  await expect(page.getByRole('timer')).toContainText('it has settled')
  await next(page).click()
  await next(page).click()
  await page.getByRole('button', { name: 'The drop is on: look' }).click()
  await page.getByRole('link', { name: 'Which kind is it?' }).click()

  for (const answer of ['Yes, it moves', 'No, it swims', 'No', 'No'])
    await page.getByRole('button', { name: answer, exact: true }).click()
  await expect(page.getByText('left to judge the motion on this drop')).toBeVisible()
  expect(await axe(page)).toEqual([])
  await page.getByRole('button', { name: 'Yes, 29 µm or longer' }).click()
  await page.getByRole('button', { name: /^Confirm in the case: .*large cell/ }).click()
  await expect(page.getByText(/^Confirmed in the case: /)).toBeVisible()

  await page.getByRole('link', { name: 'Tally', exact: true }).click()
  await expect(page.getByText('Spot 1, field 1')).toBeVisible()
  // The eye stays at the eyepiece: F and J under two fingers.
  await page.keyboard.type('fffjjjjjjjjj')
  await expect(page.getByText('25 %', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: /^Diatom/ }).click()
  await expect(page.getByText('31 %', { exact: true })).toBeVisible()
  await page.keyboard.press('Backspace')
  await page.getByLabel('Lengths, apart by spaces').fill('38 41 36 40')
  await expect(page.getByText('39 µm')).toBeVisible()
  // A reload loses no press.
  await page.reload()
  await expect(page.getByText('25 %', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Keep the tally with the case' }).click()
  await expect(page.getByRole('row', { name: /today 25 %/ })).toBeVisible()
  await page.getByLabel('Clip of the slide').setInputFiles({
    name: 'slide.webm',
    mimeType: 'video/webm',
    buffer: Buffer.from('not a film that plays, kept all the same'),
  })
  await expect(page.locator('video')).toBeVisible()
  expect(await axe(page)).toEqual([])

  await page.getByRole('link', { name: 'What follows' }).first().click()
  await expect(page.getByRole('heading', { name: /Amphidinium, large cell/ })).toBeVisible()
  await page.getByRole('button', { name: 'The jar is in the dark now' }).click()
  await page.clock.fastForward('02:00:00')
  await page.getByRole('button', { name: /^clear water over a brown bottom/ }).click()
  await expect(page.getByText('It was clear water over a brown bottom')).toBeVisible()
  expect(await axe(page)).toEqual([])
  await page.getByRole('link', { name: 'Silicate against dinoflagellates of the sand' }).click()
  await expect(page).toHaveURL(/courses\/new\?definition=dino-sand/)
  // All of it stands in the case and in the ledger.
  await page.goto('/diagnose/strings')
  await expect(page.getByText('oval cells with a tiny front beak').first()).toBeVisible()
  await page.goto('/')
  await expect(page.getByText(/tally, diatoms/).first()).toBeVisible()
  await page.goto('/records')
  await expect(page.getByText('clips, on this device only')).toBeVisible()
})

const shownBy = (page: Page, nth = 0) =>
  page
    .locator('canvas')
    .nth(nth)
    .evaluate((canvas: HTMLCanvasElement) => canvas.toDataURL())

test('cells move, stand still when that is asked, and fit the phone', async ({ browser }) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    reducedMotion: 'no-preference',
    serviceWorkers: 'block',
  })
  const page = await context.newPage()
  await open(page, '/diagnose/microscope/key?case=strings')
  await page.getByRole('button', { name: 'Yes, it moves' }).waitFor()
  const before = await shownBy(page)
  await expect.poll(() => shownBy(page)).not.toBe(before)
  await page.getByRole('button', { name: 'stop the motion' }).click()
  await page.waitForTimeout(100)
  const still = await shownBy(page)
  await page.waitForTimeout(250)
  expect(await shownBy(page)).toBe(still)
  for (const part of ['key', 'tally', 'next', 'kinds', 'practice', 'sample']) {
    await page.goto(`/diagnose/microscope/${part}?case=strings`)
    await expect(page.getByRole('heading', { name: 'Microscope' })).toBeVisible()
    await page.waitForTimeout(200)
    expect([part, await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)]).toEqual([part, 0])
  }
  await context.close()
})

test('practice by the keyboard; the plate’s cells measure what their µm say', async ({ page }) => {
  await open(page, '/diagnose/microscope/practice')
  const kinds = page.getByRole('group', { name: 'Kinds' }).getByRole('checkbox')
  await kinds.first().focus()
  await page.keyboard.press('Space')
  await page.getByRole('button', { name: 'That is it' }).press('Enter')
  await expect(page.getByText(/^(Right|Not quite)\.$/)).toBeVisible()
  await expect(page.getByText(/of 1 field/)).toBeVisible()
  expect(await axe(page)).toEqual([])

  await page.getByRole('link', { name: 'Side by side' }).click()
  // An opening wider than the room of a cell: no thread lies across it.
  await page.getByLabel('Other opening').fill('900')
  expect(await axe(page)).toEqual([])
  const plate = page.getByRole('img', { name: /^One cell of each kind/ })
  const { width, places } = await plate.evaluate((canvas: HTMLCanvasElement) => ({
    width: canvas.clientWidth,
    places: canvas.width,
  }))
  expect(places).toBe(width)
  for (const { kind, x, y, lengthPx, widthPx } of placesOnPlate(width)) {
    if (
      !['ostreopsis', 'prorocentrum', 'coolia', 'amphidinium-large', 'gambierdiscus', 'green-cells'].includes(kind.id)
    )
      continue
    const found = await plate.evaluate(
      (canvas: HTMLCanvasElement, [middleX, middleY]) => {
        const side = 60
        const { data } = canvas.getContext('2d')!.getImageData(middleX! - side, middleY! - side, 2 * side, 2 * side)
        const inked = (i: number) =>
          Math.abs(data[i]! - data[0]!) + Math.abs(data[i + 1]! - data[1]!) + Math.abs(data[i + 2]! - data[2]!) > 60
        let [left, right, top, bottom] = [Infinity, -1, Infinity, -1]
        for (let row = 0; row < 2 * side; row++)
          for (let column = 0; column < 2 * side; column++)
            if (inked(4 * (row * 2 * side + column))) {
              left = Math.min(left, column)
              right = Math.max(right, column)
              top = Math.min(top, row)
              bottom = Math.max(bottom, row)
            }
        return { long: right - left + 1, wide: bottom - top + 1 }
      },
      [Math.round(x), Math.round(y)],
    )
    expect([kind.id, Math.abs(found.long - lengthPx) <= 1.6]).toEqual([kind.id, true])
    expect([kind.id, Math.abs(found.wide - widthPx) <= 1.6]).toEqual([kind.id, true])
  }
})
