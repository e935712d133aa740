import type { Page } from '@playwright/test'
import type { Content } from '../../core/journal/entry.ts'

/** Puts a prepared journal straight into the browser's storage as the own household, before the app is opened. */
export async function seedMine(page: Page, contents: readonly Content[]): Promise<void> {
  const entries = contents.map((content, i) => ({
    id: `seed-${String(i).padStart(5, '0')}`,
    logged: content.happened,
    content,
  }))
  // A page of the same origin that holds no app.
  await page.goto('/icon.svg')
  await page.evaluate(async (held) => {
    localStorage.setItem('brinvo-which', 'mine')
    await new Promise<void>((resolve, reject) => {
      const opening = indexedDB.open('brinvo-mine', 1)
      opening.onupgradeneeded = () => opening.result.createObjectStore('journal')
      opening.onerror = () => reject(new Error(String(opening.error)))
      opening.onsuccess = () => {
        const write = opening.result.transaction('journal', 'readwrite')
        write.objectStore('journal').put(held, 'seed.000000')
        write.oncomplete = () => {
          opening.result.close()
          resolve()
        }
        write.onerror = () => reject(new Error(String(write.error)))
      }
    })
  }, entries)
}
