import type { Locator, Page } from '@playwright/test'

/**
 * Times from a real key press, as the browser stamps it, to just after the frame that shows what came of it. Keys come when
 * they come: not in step with the frames.
 * @param line what is typed, over and over; the field is emptied in between
 */
export async function keystrokes(page: Page, field: Locator, line: string, count: number): Promise<number[]> {
  await field.evaluate((element) => {
    const times: number[] = ((window as unknown as { keyTimes: number[] }).keyTimes = [])
    const channel = new MessageChannel()
    const waiting: number[] = []
    channel.port1.onmessage = () => {
      for (const pressed of waiting.splice(0)) times.push(performance.now() - pressed)
    }
    element.addEventListener(
      'keydown',
      (event) => {
        waiting.push(event.timeStamp)
        // A task behind the frame's animation callbacks runs once the frame has been painted.
        requestAnimationFrame(() => channel.port2.postMessage(null))
      },
      { capture: true },
    )
  })
  await field.focus()
  for (let i = 0; i < count; i++) {
    if (i % line.length === 0) await field.fill('')
    await page.keyboard.press(line[i % line.length] === ' ' ? 'Space' : line[i % line.length]!)
    await page.waitForTimeout(20 + ((i * 7) % 17))
  }
  return page.evaluate(() => (window as unknown as { keyTimes: number[] }).keyTimes)
}

export const quantile = (values: readonly number[], q: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * q))]!
