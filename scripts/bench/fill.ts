import type { Page } from '@playwright/test'
import { longJournal } from './long-journal.ts'

/** Puts a journal of so many entries into the own household's store, in segments as the app writes them. */
export async function fill(page: Page, origin: string, size: number): Promise<void> {
  await page.addInitScript(() => localStorage.setItem('brinvo-which', 'mine'))
  await page.goto(origin)
  await page.getByRole('heading', { name: 'Your household' }).waitFor()
  const entries = longJournal(size, Date.now())
  for (let i = 0; i < entries.length; i += 10_000)
    await page.evaluate(
      ({ part, number }) =>
        new Promise<void>((resolve, reject) => {
          const opening = indexedDB.open('brinvo-mine')
          opening.onerror = () => reject(new Error('cannot open'))
          opening.onsuccess = () => {
            const transaction = opening.result.transaction('journal', 'readwrite')
            const store = transaction.objectStore('journal')
            for (let j = 0; j < part.length; j += 1000)
              store.put(part.slice(j, j + 1000), `sealed-bench${number}.${String(j / 1000).padStart(6, '0')}`)
            transaction.oncomplete = () => (opening.result.close(), resolve())
          }
        }),
      { part: entries.slice(i, i + 10_000), number: i },
    )
}
