import { expect, test } from './support/test.ts'
import { beginHousehold, downloaded, importText, log, today } from './support/app.ts'

const frame = (entries: unknown[], more: object = {}) =>
  JSON.stringify({ format: 'brinvo-journal', version: 1, exported: '2026-11-23T10:00:00Z', entries, ...more })
const reading = (id: string, more: object = {}) => ({
  id,
  logged: '2026-11-23T10:00:00Z',
  content: {
    kind: 'reading',
    happened: '2026-11-23T09:00:00Z',
    tankId: 't',
    parameter: 'copper',
    result: { kind: 'value', value: 2.1 },
    unit: 'mg/L',
    ...more,
  },
})

test.beforeEach(async ({ page }) => {
  await beginHousehold(page)
  await page.getByRole('link', { name: 'Records' }).click()
})

for (const [what, text, words] of [
  ['not JSON', '{"format": "brinvo-journal",\n "entries": [}', 'line 2'],
  ['a newer version', frame([], { version: 9 }), 'newer Brinvo (format 9)'],
  ['a wrong unit', frame([reading('a', { unit: 'ppb' })]), '/entries/0/content/unit: expected mg/L'],
  [
    'a broken entry among good ones',
    frame([reading('a'), reading('b', { happened: '2026-02-30T09:00:00Z' })]),
    '/entries/1/content/happened',
  ],
] as const)
  test(`${what}: told where, and nothing is taken in`, async ({ page }) => {
    const before = await page.getByText(/\d+ entries of my household/).innerText()
    await importText(page, text)
    await expect(page.getByRole('alert')).toContainText(words)
    await expect(page.getByRole('alert')).toContainText('nothing was changed')
    await expect(page.getByRole('button', { name: /^Add / })).toHaveCount(0)
    await page.reload()
    await expect(page.getByText(/\d+ entries of my household/)).toHaveText(before)
  })

test('an id that is here with other content is a problem, not an overwrite', async ({ page }) => {
  await importText(page, frame([reading('same')]))
  await page.getByRole('button', { name: 'Add 1 entry' }).click()
  await expect(page.getByText('1 entry added')).toBeVisible()
  await importText(page, frame([reading('same', { note: 'another' })]))
  await expect(page.getByRole('alert')).toContainText('with other content')
})

test('names with markup are shown as text; a CSV cell never starts a formula', async ({ page }) => {
  const name = '=1+<img src=x onerror=alert(1)>'
  await importText(
    page,
    frame([
      {
        id: 'tank',
        logged: '2026-11-23T10:00:00Z',
        content: {
          kind: 'tank-setup',
          happened: '2026-11-22T09:00:00Z',
          tankId: 't',
          name,
          water: 'marine',
          role: 'tub',
        },
      },
      reading('r'),
    ]),
  )
  await page.getByRole('button', { name: 'Add 2 entries' }).click()
  await expect(page.getByText('2 entries added')).toBeVisible()
  const csv = await downloaded(page, () => page.getByRole('button', { name: 'Readings as CSV' }).click())
  expect(csv.text).toContain("'=1+<img")
  await page.getByRole('link', { name: 'Ledger' }).click()
  await expect(page.getByRole('link', { name })).toBeVisible()
  expect(await page.locator('img').count()).toBe(0)
})

test('two households that grew apart join by export and import, and joining again adds nothing', async ({
  page,
  browser,
}) => {
  await page.getByRole('link', { name: 'Ledger' }).click()
  await log(page, 'quar no3 8')
  await page.getByRole('link', { name: 'Records' }).click()
  const first = await downloaded(page, () => page.getByRole('button', { name: 'Export the journal' }).click())
  const phone = await (await browser.newContext()).newPage()
  await phone.addInitScript(() => localStorage.setItem('brinvo-which', 'mine'))
  await phone.goto('/records')
  await importText(phone, first.text)
  await phone.getByRole('button', { name: /^Add / }).click()
  await phone.getByRole('link', { name: 'Ledger' }).click()
  await log(phone, 'quar po4 .1')
  await phone.getByRole('link', { name: 'Records' }).click()
  const second = await downloaded(phone, () => phone.getByRole('button', { name: 'Export the journal' }).click())
  await importText(page, second.text)
  await page.getByRole('button', { name: 'Add 1 entry' }).click()
  await expect(page.getByText('1 entry added')).toBeVisible()
  await page.getByRole('link', { name: 'Ledger' }).click()
  await expect(today(page, 'Quarantine')).toContainText('NO3 8.0')
  await expect(today(page, 'Quarantine')).toContainText('PO4 0.10')
})
