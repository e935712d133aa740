import type { Page } from '@playwright/test'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { RandomStream } from '../../core/numbers/random.ts'
import { removeProfile, startBrowser } from '../../e2e/support/browser.ts'
import { logLine, readBack } from '../../e2e/support/app.ts'
import { answerAsked, FORMS, fillForm, ORIGIN, pressedOn, startServer, storedEntries, type Stored } from './page.ts'
import { tallyOf, type Tally } from './tally.ts'

/** Whatever a press leads to is there within this time on a busy machine, ms. */
const SAID_MS = 8000
/** A page on a busy machine, ms. */
const LOAD_MS = 60_000
/** A form that is open after this time asks something, ms. */
const ASKED_MS = 1200
/** Between a press and the kill when the kill does not wait for what is said, ms. */
const BLIND_MS = 40

/** Log lines of every kind that the sample's tanks take without a question, each different by `n`. */
const LINES: readonly ((n: number) => string)[] = [
  (n) => `quar note killed ${n}`,
  (n) => `hall no3 ${(4 + (n % 997) / 1000).toFixed(3)}`,
  (n) => `study temp ${(24 + (n % 89) / 100).toFixed(2)}`,
  (n) => `hall alk ${(8 + (n % 97) / 100).toFixed(2)}`,
  (n) => `hall change ${(10 + (n % 991) / 1000).toFixed(3)}L`,
  (n) => `study change ${(5 + (n % 983) / 1000).toFixed(3)}L`,
  () => 'quar needle ate',
]

/** One way to keep something: where it is done, and what a press there is shown as. */
interface Way {
  address: (random: RandomStream) => string
  /** Waits until the page can be pressed. */
  ready: (page: Page) => Promise<unknown>
  /** @returns whether it was shown as kept, or asked about instead */
  act: (page: Page, random: RandomStream, isBlind: boolean) => Promise<'kept' | 'asked'>
}

const by = (page: Page, isBlind: boolean, random: RandomStream, kept: () => Promise<unknown>) =>
  isBlind
    ? page.waitForTimeout(random.next() * BLIND_MS).then(() => 'asked' as const)
    : kept().then(
        () => 'kept' as const,
        () => 'asked' as const,
      )
const submitOf = (page: Page) => page.getByRole('complementary').locator('button[type="submit"]')
const beginAtHall = (page: Page) => page.getByRole('button', { name: 'Begin at Hall reef' })
const goOn = (page: Page) => page.getByRole('button', { name: /^(Done|Start|Next)/i }).first()

const WAYS: Readonly<Record<string, Way>> = {
  line: {
    address: () => '/',
    ready: (page) => logLine(page).waitFor({ timeout: LOAD_MS }),
    async act(page, random, isBlind) {
      const n = Math.floor(random.next() * 1e6)
      await logLine(page).fill(LINES[Math.floor(random.next() * LINES.length)]!(n))
      const keeps = await readBack(page)
        .getByText('keeps:')
        .waitFor({ timeout: SAID_MS })
        .then(
          () => true,
          () => false,
        )
      if (!keeps) return 'asked'
      await logLine(page).press('Enter')
      return by(page, isBlind, random, () => readBack(page).getByText('Kept').waitFor({ timeout: SAID_MS }))
    },
  },
  form: {
    address: (random) =>
      `/?tank=${['hall', 'study', 'quar'][Math.floor(random.next() * 3)]!}&form=${FORMS[Math.floor(random.next() * FORMS.length)]!}`,
    ready: (page) => submitOf(page).waitFor({ timeout: LOAD_MS }),
    async act(page, random, isBlind) {
      const submit = submitOf(page)
      await fillForm(page, random)
      await answerAsked(page)
      if (!(await submit.isEnabled())) return 'asked'
      await submit.click()
      const isGone = () => submit.waitFor({ state: 'detached', timeout: ASKED_MS })
      return by(page, isBlind, random, () =>
        isGone().catch(async () => {
          await answerAsked(page)
          await submit.click()
          await isGone()
        }),
      )
    },
  },
  bench: {
    address: () => '/bench/begin/brown-jelly-cut?tank=hall',
    ready: (page) => beginAtHall(page).or(goOn(page)).first().waitFor({ timeout: LOAD_MS }),
    async act(page, random, isBlind) {
      const start = beginAtHall(page)
      // What the water speaks against, or was done too lately, cannot be begun.
      if (!(await start.isEnabled())) return 'asked'
      await start.click()
      return by(page, isBlind, random, () => start.waitFor({ state: 'detached', timeout: SAID_MS }))
    },
  },
}

/** Presses of the tally that are on the disk. */
const presses = async (page: Page) => (await pressedOn(page)).reduce((sum, { presses: text }) => sum + text.length, 0)

/** @returns how many presses the page shows more than before */
async function tallyPresses(page: Page, random: RandomStream): Promise<number> {
  const diatom = page.getByRole('button', { name: /^Diatom/ })
  const shown = async () => Number(/(\d+)/.exec(await diatom.innerText())?.[1] ?? 0)
  const before = await shown()
  const times = 1 + Math.floor(random.next() * 5)
  for (let i = 0; i < times; i++) await page.keyboard.press('j')
  for (let i = 0; i < 40 && (await shown()) < before + times; i++) await page.waitForTimeout(50)
  return (await shown()) - before
}

const sameContent = (entries: readonly Stored[]): string[] => {
  const seen = new Map<string, number>()
  for (const { content } of entries)
    if (content) seen.set(JSON.stringify(content), (seen.get(JSON.stringify(content)) ?? 0) + 1)
  return [...seen].flatMap(([text, times]) => (times > 1 ? [text] : []))
}

/** A browser that does not come up on a busy machine says nothing of the app: it is started again. */
async function startedBrowser(profile: string): ReturnType<typeof startBrowser> {
  for (let i = 0; ; i++)
    try {
      return await startBrowser(profile)
    } catch (error) {
      if (i === 3) throw error
    }
}

/**
 * Kills of the whole browser right after a press of a log line, a form, the bench or the tally. What was shown as kept is there once, word for
 * word, when it opens again; a press whose answer nobody saw is there once or not at all.
 */
export async function attackKills(tries: number, seed: number): Promise<Tally> {
  const tally = tallyOf('kills')
  const random = new RandomStream(seed)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random.next() * list.length)]!
  const server = await startServer()
  const profile = mkdtempSync(join(tmpdir(), 'brinvo-attack-'))
  /** What was on disk when it was said to be kept, by id. */
  const shown = new Map<string, string>()
  let counted = 0
  let sameBefore = 0
  try {
    for (let i = 0; i <= tries; i++) {
      const { page, kill } = await startedBrowser(profile)
      let doing = 'opening'
      try {
        const isTally = random.next() < 0.2
        doing = isTally ? 'tally' : pick(Object.keys(WAYS))
        const way = WAYS[doing]
        await page.goto(`${ORIGIN}${way ? way.address(random) : '/diagnose/microscope/tally'}`)
        await (way ? way.ready(page) : page.getByRole('button', { name: /^Diatom/ }).waitFor({ timeout: LOAD_MS }))
        const stored = await storedEntries(page)
        const held = new Map(stored.map((entry) => [entry.id, JSON.stringify(entry)]))
        for (const [id, text] of shown)
          if (held.get(id) !== text) {
            tally.lost++
            tally.cases.push(`after kill ${i}: ${text.slice(0, 200)}`)
            shown.delete(id)
          }
        const same = sameContent(stored)
        if (i === 0) sameBefore = same.length
        else if (same.length > sameBefore) {
          tally.twice += same.length - sameBefore
          sameBefore = same.length
          tally.cases.push(`twice after kill ${i}: ${same.at(-1)!.slice(0, 200)}`)
        }
        const onDisk = await presses(page)
        if (onDisk < counted) {
          tally.lost += counted - onDisk
          tally.cases.push(`after kill ${i}: ${onDisk} of ${counted} presses of the tally`)
        }
        counted = onDisk
        if (i === tries) break
        tally.tries++
        let isAnyKept = false
        if (way) {
          const before = new Set(stored.map(({ id }) => id))
          // Half of them are killed at whatever moment, whatever it says.
          const said = await way.act(page, random, random.next() < 0.5)
          const added = said === 'kept' ? (await storedEntries(page)).filter(({ id }) => !before.has(id)) : []
          if (said === 'kept' && added.length === 0) {
            tally.lost++
            tally.cases.push(`${doing}: said to be kept at kill ${i}, and not on the disk`)
          }
          for (const entry of added) shown.set(entry.id, JSON.stringify(entry))
          isAnyKept = said === 'kept'
        } else {
          counted += await tallyPresses(page, random)
          isAnyKept = true
        }
        if (isAnyKept) tally.kept++
        else tally.asked++
      } catch (error) {
        tally.hung++
        tally.cases.push(`kill ${i}, ${doing}: ${(error as Error).message.split('\n')[0]!}`)
      } finally {
        await kill()
      }
      if (i > 0 && i % 50 === 0)
        console.error(
          `${i} kills, ${shown.size} entries shown as kept, ${tally.lost} lost, ${tally.twice} twice, ${tally.hung} hung`,
        )
    }
  } finally {
    removeProfile(profile)
    server.kill()
  }
  return tally
}
