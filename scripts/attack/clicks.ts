import { chromium, type Page } from '@playwright/test'
import { logLine } from '../../e2e/support/app.ts'
import { CHROMIUM_FLAGS, JOURNEY_BROWSER, sampleChosen } from '../../e2e/support/place.ts'
import { RandomStream } from '../../core/numbers/random.ts'
import { answerAsked, FORMS, fillForm, ORIGIN, startServer, storedEntries } from './page.ts'
import { tallyOf, type Tally } from './tally.ts'

const TANKS = ['hall', 'quar', 'study']
/** Two presses of a finger that trembles, ms apart. */
const APART_MS = [50, 170] as const
const QUIET_MS = 700
/** The first double click may bring a question; the next comes on its answer. */
const ROUNDS = 3

/** What a kind of form keeps at one press, by the kinds of its entries: no press may keep the same twice. */
const repeated = (added: readonly { content?: unknown }[]): boolean => {
  const texts = added.map(({ content }) =>
    JSON.stringify(content, (key, value: unknown) => (key === 'happened' || key.endsWith('Id') ? undefined : value)),
  )
  return new Set(texts).size < texts.length
}

async function press(page: Page, tally: Tally, form: string, random: RandomStream): Promise<void> {
  tally.tries++
  await page.goto(`${ORIGIN}/?tank=${TANKS[tally.tries % TANKS.length]!}&form=${form}`)
  const panel = page.getByRole('complementary')
  const submit = panel.locator('button[type="submit"]')
  // A tank whose animals have all gone has no form to move or mourn them.
  const hasForm = await submit.waitFor({ timeout: 15_000 }).then(
    () => true,
    () => false,
  )
  if (!hasForm) {
    await logLine(page).waitFor()
    tally.asked++
    return
  }
  await fillForm(page, random)
  for (let round = 0; round < ROUNDS; round++) {
    await answerAsked(page)
    const before = new Set((await storedEntries(page)).map(({ id }) => id))
    await submit.scrollIntoViewIfNeeded()
    const box = (await submit.boundingBox())!
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
    await page.mouse.click(x, y)
    await page.waitForTimeout(APART_MS[0] + random.next() * (APART_MS[1] - APART_MS[0]))
    await page.mouse.click(x, y)
    await page.waitForTimeout(QUIET_MS)
    const added = (await storedEntries(page)).filter(({ id }) => !before.has(id))
    if (added.length === 0) continue
    if (repeated(added)) {
      tally.twice++
      tally.cases.push(`${form}: ${JSON.stringify(added).slice(0, 300)}`)
    } else tally.kept++
    return
  }
  tally.asked++
}

/** Double clicks on the button of every form of the ledger. @param tries of each form */
export async function attackClicks(tries: number, seed: number): Promise<Tally> {
  const tally = tallyOf('double clicks')
  const random = new RandomStream(seed)
  const server = await startServer()
  const browser = await chromium.launch({ executablePath: JOURNEY_BROWSER, args: CHROMIUM_FLAGS })
  try {
    for (const form of FORMS) {
      const page = await browser.newPage({ storageState: sampleChosen(ORIGIN), viewport: { width: 1280, height: 800 } })
      for (let i = 0; i < tries; i++)
        await press(page, tally, form, random).catch((error: unknown) => {
          tally.hung++
          tally.cases.push(`${form}: ${(error as Error).message.split('\n')[0]!}`)
        })
      await page.context().close()
    }
  } finally {
    await browser.close()
    server.kill()
  }
  return tally
}
