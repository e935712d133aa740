import { test as base, type Locator, type Page } from '@playwright/test'
import { ONE_PRESS_MS, SAME_PLACE_PX } from '../../app/frame/one-press.ts'

export { chromium, expect, type Locator, type Page } from '@playwright/test'

interface Press {
  x: number
  y: number
  /** ms */
  at: number
}

const pressed = new WeakMap<Page, Press>()
/** A little more than the app holds off, as a journey's clock is not the page's. */
const HELD_OFF_MS = ONE_PRESS_MS + 50

/** Where a press will land: the middle of what is pressed, once it is in view. */
async function placeOf(target: Locator): Promise<Omit<Press, 'at'> | null> {
  let box = await target.boundingBox()
  const view = target.page().viewportSize()
  if (box && view && (box.y < 0 || box.y + box.height > view.height)) {
    // What is drawn anew meanwhile is pressed where it then stands.
    await target.scrollIntoViewIfNeeded().catch(() => undefined)
    box = await target.boundingBox()
  }
  return box && { x: box.x + box.width / 2, y: box.y + box.height / 2 }
}

/** Waits, as a hand would, before the same place is pressed once more: the app takes two presses within 400 ms for one. */
async function waitAsHand(target: Locator): Promise<void> {
  const page = target.page()
  // Until what judges entries is here the page may move under the hand.
  await page.locator('html:not([data-guard="loading"])').waitFor({ state: 'attached' })
  const place = await placeOf(target)
  const last = pressed.get(page)
  if (place === null) return
  const isSamePlace = last !== undefined && Math.hypot(place.x - last.x, place.y - last.y) < SAME_PLACE_PX
  const left = isSamePlace ? last.at + HELD_OFF_MS - Date.now() : 0
  if (left > 0) await new Promise((resolve) => setTimeout(resolve, left))
  pressed.set(page, { ...place, at: 0 })
}

const PRESSES = ['click', 'check', 'uncheck', 'setChecked'] as const
let isPatched = false

/** Playwright's test, whose presses leave the time between them that a hand does. */
export const test = base.extend<{ pressAsHand: null }>({
  pressAsHand: [
    async ({ page }, use) => {
      if (!isPatched) {
        isPatched = true
        const shared = Object.getPrototypeOf(page.locator('body')) as Record<
          (typeof PRESSES)[number],
          (this: Locator, ...args: unknown[]) => Promise<void>
        >
        for (const name of PRESSES) {
          const press = shared[name]
          shared[name] = async function (...args) {
            await waitAsHand(this)
            await press.apply(this, args)
            const last = pressed.get(this.page())
            if (last) last.at = Date.now()
          }
        }
      }
      await use(null)
    },
    { auto: true },
  ],
})
