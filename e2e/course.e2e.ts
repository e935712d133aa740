import { expect, test, type Page } from './support/test.ts'
import { beginHousehold, log, logLine, readBack, today } from './support/app.ts'

const DAY = 86_400_000

/** Walks the page's clock: days from the twelfth of October 2026 in London's summer time, which ends on day 13. */
function wallOf(page: Page) {
  const first = Date.parse('2026-10-12T00:00:00+01:00')
  return async (day: number, time: string, path: string | null = null) => {
    const [hours, minutes] = time.split(':').map(Number) as [number, number]
    await page.clock.setSystemTime(first + day * DAY + (hours * 60 + minutes) * 60_000)
    if (path !== null) {
      await page.goto(path)
      await expect(logLine(page)).toBeVisible()
    }
  }
}

async function addFish(page: Page, name: string, species: string, group: string): Promise<void> {
  await page.goto('/tanks')
  await page.getByRole('link', { name: /^Quarantine/ }).click()
  await page.getByRole('link', { name: 'Add an animal' }).click()
  await page.getByLabel('What it is').fill(species)
  await page.getByLabel('Name, if it has one').fill(name)
  await page.getByLabel('Group').selectOption(group)
  await page.getByRole('button', { name: 'Log the arrival' }).click()
  await expect(page.getByText(name, { exact: true })).toBeVisible()
}

test.use({ timezoneId: 'Europe/London' })

test('a whole course of copper: started, ramped, held, broken, held again, moved, watched and finished', async ({
  page,
}) => {
  test.setTimeout(240_000)
  page.setDefaultTimeout(20_000)
  const at = wallOf(page)
  await page.clock.install({ time: Date.parse('2026-10-12T07:00:00+01:00') })
  await page.clock.resume()
  await beginHousehold(page)
  await page.goto('/tanks/new')
  await page.getByLabel('Name', { exact: true }).fill('Watch tub')
  await page.getByLabel('Used as').selectOption('quarantine')
  await page.getByLabel('Shape').selectOption('known')
  await page.getByLabel('Water to the line').fill('40')
  await page.getByRole('button', { name: 'Set up the tank' }).click()
  // Left before it is kept, a page keeps nothing.
  await expect(page.getByRole('heading', { name: 'Watch tub' })).toBeVisible()
  await addFish(page, 'Needle', 'longnose hawkfish', 'hawkfish')

  // Without copper on the shelf nothing starts, and it is said where.
  await page.goto('/courses/new')
  await page.getByLabel('Then to').selectOption({ label: 'Watch tub' })
  await page.getByRole('button', { name: 'Start the course' }).click()
  await expect(page.getByText('a product from the shelf, with its strength')).toBeVisible()
  await page.goto('/shelf/new')
  await page.getByLabel('Your word for it').fill('copper bottle')
  await page.getByLabel('Active ingredient').selectOption('cu-chelated')
  await page.locator('[name=strength]').fill('10')
  await page.getByLabel('Measured with').fill('1 mL syringe')
  await page.getByLabel('in steps of').fill('0.1')
  await page.getByRole('button', { name: 'Put it on the shelf' }).click()
  await expect(page.getByText('copper bottle').first()).toBeVisible()

  // Chosen, previewed, started.
  await at(0, '18:00', '/courses/new')
  await page.getByLabel('Drug', { exact: true }).selectOption({ label: 'Copper, chelated, gentle: 1.90 to 2.20 mg/L' })
  await expect(page.getByText('is held for 30 days, not 14')).toBeVisible()
  await page.getByLabel('Drug', { exact: true }).selectOption({ label: 'Copper, chelated: 2.00 to 2.50 mg/L' })
  await page.getByLabel('Then to').selectOption({ label: 'Watch tub' })
  await page.getByLabel('Steps up').selectOption('12')
  await expect(page.getByText('6 mL', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Start the course' }).click()
  await expect(page.getByRole('heading', { name: 'Copper, chelated, fourteen days then move' })).toBeVisible()

  // Up to the dose, from the ledger.
  const step = async (day: number, time: string, amount: string) => {
    await at(day, time, '/')
    await today(page, 'Quarantine')
      .getByRole('button', { name: `Log ${amount}` })
      .click()
    await expect(today(page, 'Quarantine').getByRole('button', { name: `✓ ${time} dose ${amount}` })).toBeVisible()
  }
  await step(0, '18:10', '6 mL')
  await step(1, '06:15', '3 mL')
  await step(1, '18:20', '3 mL')
  await step(2, '06:25', '1.5 mL')

  // Held: readings by the log line say what they mean before they are kept.
  await at(2, '08:00', '/')
  await logLine(page).fill('quar cu 2.26')
  await expect(readBack(page)).toContainText('in range')
  for (const [day, value] of [
    [2, '2.26'],
    [3, '2.22'],
    [4, '2.2'],
  ] as const) {
    await at(day, '08:00')
    await log(page, `quar cu ${value}`)
  }

  // A slip of the pen in a dose is stopped and asked about.
  await logLine(page).fill('quar dose copper 26ml')
  await expect(readBack(page)).toContainText('above the 2.50 mg/L of this course')
  await logLine(page).fill('')

  // A change that nobody redosed: the next reading says so, and the count breaks.
  await at(4, '18:00')
  await log(page, 'quar change 18L')
  await at(5, '08:00')
  await log(page, 'quar cu 1.55')
  await at(5, '08:05', '/')
  await expect(today(page, 'Quarantine')).toContainText('Copper is under 2.00 since')
  await today(page, 'Quarantine').getByRole('button', { name: 'Log 4.2 mL' }).click()
  await expect(today(page, 'Quarantine').getByRole('button', { name: 'Log 4.2 mL' })).toHaveCount(0)
  await at(5, '14:00')
  await log(page, 'quar cu 2.24')
  await at(5, '14:05', '/')
  await expect(today(page, 'Quarantine')).toContainText('The count began again')
  await page.getByRole('link', { name: /Copper, chelated/ }).click()
  await expect(page.getByRole('img', { name: /under range/ })).toBeVisible()
  await expect(page.getByText(/^day 0 of 14, again$/)).toBeVisible()

  // Fourteen days on end, through the night the clocks go back.
  await page.getByRole('link', { name: 'Ledger' }).click()
  for (let day = 6; day <= 19; day++) {
    await at(day, '08:20')
    await log(page, `quar cu ${day % 2 ? '2.22' : '2.20'}`)
  }
  await at(19, '08:30', '/courses')
  await page.getByRole('link', { name: /Copper, chelated/ }).click()
  await expect(page.getByText('14 of 14, proven')).toBeVisible()

  // The move waits for its rules.
  const move = page.getByRole('button', { name: 'Move Needle to Watch tub' })
  await expect(move).toBeDisabled()
  await expect(page.getByText(/Waits for: .*sterile/)).toBeVisible()
  await page.getByRole('button', { name: /It is so: Observation tank is sterile/ }).click()
  await page.getByRole('button', { name: 'Nothing seen, all ate' }).click()
  // One look written down in three weeks is too few to rest on; the keeper's word is asked.
  await expect(page.getByText(/too few to rest on/)).toBeVisible()
  await page.getByRole('button', { name: 'It is so: no signs at the move' }).click()
  await expect(move).toBeEnabled()
  await move.click()
  await expect(page.getByText('observed, day 0 of 14')).toBeVisible()

  // Watched without any drug, and over.
  await at(33, '08:31', '/')
  const finish = today(page, 'Watch tub').getByRole('button', { name: 'Finish the course', exact: true })
  await finish.click()
  // It is gone once it is kept: to leave before that would be to leave it undone.
  await expect(finish).toHaveCount(0)
  await page.goto('/courses')
  await expect(page.getByRole('heading', { name: 'Over' })).toBeVisible()
  await expect(page.getByText('finished', { exact: true })).toBeVisible()
})

test('the sample’s course: late reading entered in place, put off, what if', async ({ page }) => {
  await page.clock.install({ time: Date.parse('2026-11-23T18:30:00Z') })
  await page.clock.resume()
  await page.goto('/courses/copper-quar')
  await expect(page.getByText('day 4 of 14, again')).toBeVisible()
  await expect(page.getByText('late, was due 08:00')).toBeVisible()
  await page.getByLabel('Next reading, mg/L').fill('1.9')
  await expect(page.getByText(/the count starts over: full/)).toBeVisible()
  await page.getByLabel('Next reading, mg/L').fill('2.2')
  await expect(page.getByText(/the count goes on, full/)).toBeVisible()
  await page.getByLabel('Share of the water changed, %').fill('10')
  await expect(page.getByText(/6.48 L, leaves 1.97, under the range; mix 1.8 mL into the new water/)).toBeVisible()

  await page.getByRole('button', { name: 'Put off: Read copper' }).click()
  await page.getByRole('button', { name: 'Put it off' }).click()
  await expect(page.getByRole('alert')).toContainText('a word why')
  await page.getByLabel('Why').fill('kit is at work')
  await page.getByRole('button', { name: 'Put it off' }).click()
  await expect(page.getByText(/put off/).first()).toBeVisible()

  await page.getByRole('link', { name: 'Ledger' }).click()
  await log(page, 'quar cu 2.16')
  await expect(today(page, 'Quarantine')).not.toContainText('Read copper')
})
