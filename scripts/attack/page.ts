import type { Page } from '@playwright/test'
import { spawn, type ChildProcess } from 'node:child_process'
import { setTimeout as sleep } from 'node:timers/promises'
import { FORMS as LEDGER_FORMS } from '../../app/screens/ledger/opened.ts'
import { RandomStream } from '../../core/numbers/random.ts'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('../..', import.meta.url))

/** Apart from the journeys' server, so that both can run. */
const PORT = Number(process.env['ATTACK_PORT'] ?? 5911)
export const ORIGIN = `http://127.0.0.1:${PORT}`

/** The ledger's forms that keep what is typed; a photo asks for a file. */
export const FORMS = LEDGER_FORMS.filter((form) => form !== 'photo')

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

export interface Stored {
  id: string
  content?: { kind: string; text?: string }
  strikes?: string
}

/** Every value in a store of the browser's database. */
const valuesIn = (page: Page, name: string, store: string): Promise<unknown[]> =>
  page.evaluate(
    ([database, of]) =>
      new Promise<unknown[]>((resolve, reject) => {
        const opening = indexedDB.open(database)
        opening.onerror = () => reject(new Error(String(opening.error)))
        opening.onsuccess = () => {
          const db = opening.result
          if (!db.objectStoreNames.contains(of)) {
            db.close()
            resolve([])
            return
          }
          const values = db.transaction(of).objectStore(of).getAll()
          values.onsuccess = () => {
            db.close()
            resolve(values.result as unknown[])
          }
        }
      }),
    [name, store] as const,
  )

/** Every entry on the disk of the sample household, each once an id. */
export async function storedEntries(page: Page): Promise<Stored[]> {
  const all = (await valuesIn(page, 'brinvo-sample', 'journal')).flatMap((value) =>
    Array.isArray(value) ? (value as Stored[]) : [],
  )
  return [...new Map(all.map((entry) => [entry.id, entry])).values()]
}

/** The counts of the tally that are under way, on the disk. */
export const pressedOn = async (page: Page): Promise<{ presses: string }[]> =>
  (await valuesIn(page, 'brinvo-counts', 'counts')) as { presses: string }[]

/** Answers what the guard asks in an open form: a reason, or that it was read. */
export async function answerAsked(page: Page): Promise<void> {
  const panel = page.getByRole('complementary')
  for (const why of await panel.getByRole('textbox', { name: /^(Reason|What happened)/ }).all())
    await why.fill('seen and decided')
  for (const yes of await panel.getByRole('radio', { name: 'Yes', exact: true }).all())
    await yes.check({ timeout: 1000 }).catch(() => undefined)
  for (const tick of await panel.getByRole('checkbox', { name: 'I have read this' }).all())
    await tick.check({ timeout: 1000 }).catch(() => undefined)
}

/** What fits a field by its label; a figure that would alarm is left out. */
const FITTING: readonly (readonly [RegExp, string])[] = [
  [/temperature/i, '25.1'],
  [/calcium/i, '431'],
  [/magnesium/i, '1302'],
  [/potassium/i, '391'],
  [/^pH/, '8.1'],
  [/alkalinity/i, '8.1'],
  [/salinity|copper|ammonia|nitrite|oxygen/i, ''],
]

/** Fills what is empty in an open form, as far as its fields take it: figures, words, one choice of each list. */
export async function fillForm(page: Page, random: RandomStream): Promise<void> {
  const panel = page.getByRole('complementary')
  for (const select of await panel.locator('select').all())
    if ((await select.inputValue()) === '') {
      const values = await select
        .locator('option')
        .evaluateAll((all) => all.map((one) => (one as HTMLOptionElement).value).filter((value) => value !== ''))
      // An answer of the food's form that is no medicine stays none.
      const label = await select.evaluate((one) => (one as HTMLSelectElement).labels[0]?.innerText ?? '')
      if (values.length > 0 && !label.startsWith('Medicine') && !label.startsWith('Another'))
        await select.selectOption(values[Math.floor(random.next() * values.length)]!)
    }
  for (const tick of await panel.locator('input[type="checkbox"]').all())
    if (random.next() < 0.3) await tick.check({ timeout: 1000 }).catch(() => undefined)
  for (const radio of await panel.locator('input[type="radio"]').all())
    if (random.next() < 0.3) await radio.check({ timeout: 1000 }).catch(() => undefined)
  for (const field of await panel.locator('input:not([type]), input[type="text"], textarea').all()) {
    if (!(await field.isEditable()) || (await field.inputValue()) !== '') continue
    const [label, isFigure] = await field.evaluate((one) => [
      (one as HTMLInputElement).labels?.[0]?.innerText ?? one.getAttribute('aria-label') ?? '',
      one.getAttribute('inputmode') === 'decimal',
    ])
    const fits = FITTING.find(([pattern]) => pattern.test(label))?.[1]
    await field.fill(
      !isFigure ? `words ${Math.floor(random.next() * 1e6)}` : (fits ?? (1 + random.next() * 7).toFixed(2)),
    )
  }
}
