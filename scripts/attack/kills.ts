import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { RandomStream } from '../../core/numbers/random.ts'
import { removeProfile, startBrowser } from '../../e2e/support/browser.ts'
import { logLine, readBack } from '../../e2e/support/app.ts'
import { ORIGIN, startServer, storedEntries } from './page.ts'
import { tallyOf, type Tally } from './tally.ts'

/** Presses before each kill. */
const MOST_PRESSES = 4
const LINES = ['quar note', 'hall note', 'study note']

/** Kills of the whole browser right after something was shown as kept; what was shown is there, once, when it opens again. */
export async function attackKills(tries: number, seed: number): Promise<Tally> {
  const tally = tallyOf('kills')
  const random = new RandomStream(seed)
  const server = await startServer()
  const profile = mkdtempSync(join(tmpdir(), 'brinvo-attack-'))
  const shown: string[] = []
  try {
    for (let i = 0; i <= tries; i++) {
      const { page, kill } = await startBrowser(profile)
      try {
        await page.goto(ORIGIN)
        await logLine(page).waitFor({ timeout: 60_000 })
        const held = (await storedEntries(page)).flatMap(({ content }) =>
          content?.text === undefined ? [] : [content.text],
        )
        for (const text of shown) {
          const times = held.filter((one) => one === text).length
          if (times === 0) tally.lost++
          if (times > 1) tally.twice++
          if (times !== 1) tally.cases.push(`“${text}” is there ${times} times after kill ${i}`)
        }
        if (i === tries) break
        tally.tries++
        const presses = 1 + Math.floor(random.next() * MOST_PRESSES)
        for (let k = 0; k < presses; k++) {
          const text = `kill ${i} press ${k}`
          await logLine(page).fill(`${LINES[Math.floor(random.next() * LINES.length)]!} ${text}`)
          await readBack(page).getByText('keeps:').waitFor({ timeout: 30_000 })
          await logLine(page).press('Enter')
          // The last one is killed at whatever moment: shown as kept or not.
          if (k === presses - 1 && random.next() < 0.5) await page.waitForTimeout(random.next() * 30)
          else await readBack(page).getByText('Kept').waitFor({ timeout: 30_000 })
          if ((await readBack(page).innerText()).includes('Kept')) shown.push(text)
        }
        tally.kept++
      } catch (error) {
        tally.hung++
        tally.cases.push(`kill ${i}: ${(error as Error).message.split('\n')[0]!}`)
      } finally {
        await kill()
      }
    }
  } finally {
    removeProfile(profile)
    server.kill()
  }
  return tally
}
