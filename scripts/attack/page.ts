import type { Page } from '@playwright/test'
import { spawn, type ChildProcess } from 'node:child_process'
import { setTimeout as sleep } from 'node:timers/promises'
import { RandomStream } from '../../core/numbers/random.ts'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('../..', import.meta.url))

/** Apart from the journeys' server, so that both can run. */
const PORT = Number(process.env['ATTACK_PORT'] ?? 5911)
export const ORIGIN = `http://127.0.0.1:${PORT}`

/** Brinvo's own server for an attack. */
export async function startServer(): Promise<ChildProcess> {
  const server = spawn(process.execPath, ['scripts/start.mjs'], {
    cwd: root,
    env: { ...process.env, PORT: String(PORT) },
    stdio: 'ignore',
  })
  for (let i = 0; i < 240; i++) {
    if (
      await fetch(ORIGIN).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      return server
    await sleep(500)
  }
  throw new Error('the server does not answer')
}

interface Stored {
  id: string
  content?: { kind: string; text?: string }
  strikes?: string
}

/** Every entry on the disk of the sample household, each once an id. */
export async function storedEntries(page: Page): Promise<Stored[]> {
  const all = await page.evaluate(
    () =>
      new Promise<unknown[]>((resolve, reject) => {
        const opening = indexedDB.open('brinvo-sample')
        opening.onerror = () => reject(new Error(String(opening.error)))
        opening.onsuccess = () => {
          const values = opening.result.transaction('journal').objectStore('journal').getAll()
          values.onsuccess = () => {
            opening.result.close()
            resolve((values.result as unknown[]).flatMap((value) => (Array.isArray(value) ? (value as unknown[]) : [])))
          }
        }
      }),
  )
  return [...new Map((all as Stored[]).map((entry) => [entry.id, entry])).values()]
}

/** Fills what is empty in an open form, as far as its fields take it: figures, words, the first choice of each list. */
export async function fillForm(page: Page, random: RandomStream): Promise<void> {
  const panel = page.getByRole('complementary')
  for (const select of await panel.locator('select').all())
    if ((await select.inputValue()) === '') {
      const values = await select
        .locator('option')
        .evaluateAll((all) => all.map((one) => (one as HTMLOptionElement).value))
      const some = values.find((value) => value !== '')
      if (some !== undefined) await select.selectOption(some)
    }
  for (const tick of await panel.locator('input[type="checkbox"]').all())
    if (random.next() < 0.3) await tick.check({ timeout: 1000 }).catch(() => undefined)
  for (const radio of await panel.locator('input[type="radio"]').all())
    if (random.next() < 0.3) await radio.check({ timeout: 1000 }).catch(() => undefined)
  for (const field of await panel.locator('input:not([type]), input[type="text"], textarea').all()) {
    if (!(await field.isEditable()) || (await field.inputValue()) !== '') continue
    const isFigure = (await field.getAttribute('inputmode')) === 'decimal'
    await field.fill(isFigure ? String(1 + Math.floor(random.next() * 8)) : `words ${Math.floor(random.next() * 1e6)}`)
  }
}
