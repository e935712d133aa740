/** A second press on the same place within this time is the same press of a finger, or meant for what stood there before, ms. */
export const ONE_PRESS_MS = 400
/** Two touches of one finger are no further apart, px. */
export const SAME_PLACE_PX = 24

/** What is pressed: fields of text are not, in them a double click chooses a word. */
const PRESSED = 'button, a, summary, label, [role="button"], [role="tab"], [role="option"], [role="menuitem"]'
/** Mark of what is pressed again and again: counts, steppers. */
const REPEATS = '[data-repeats]'

interface Press {
  x: number
  y: number
  at: number
}

const isPressed = (target: EventTarget | null): target is Element =>
  target instanceof Element && target.closest(PRESSED) !== null && target.closest(REPEATS) === null

/** Whether a press is the second of a double one. */
export const isSamePress = (last: Press | null, next: Press): boolean =>
  last !== null &&
  Math.abs(next.at - last.at) < ONE_PRESS_MS &&
  Math.hypot(next.x - last.x, next.y - last.y) < SAME_PLACE_PX

const HELD_OFF = ['pointerdown', 'mousedown', 'pointerup', 'mouseup', 'click'] as const

/**
 * One press is one press: on the whole page the second of two on the same place within 400 ms does nothing, whether it comes from a finger that
 * trembles or falls on what has taken the button's place. A key that is held down presses once.
 * @returns what takes it away again
 */
export function guardPresses(page: Document): () => void {
  let last: Press | null = null
  let isHeldOff = false
  const onPress = (event: MouseEvent) => {
    // Of a keyboard or a screen reader.
    if (event.type === 'click' && event.detail === 0) return
    if (event.type === 'pointerdown') {
      const next = { x: event.clientX, y: event.clientY, at: event.timeStamp }
      isHeldOff = isPressed(event.target) && isSamePress(last, next)
      if (!isHeldOff) last = next
    }
    if (isHeldOff) stop(event)
    else if (event.type === 'click' && last !== null) last = { ...last, at: event.timeStamp }
  }
  const stop = (event: Event) => {
    event.preventDefault()
    event.stopImmediatePropagation()
  }
  const onKey = (event: KeyboardEvent) => {
    if (!event.repeat || (event.key !== 'Enter' && event.key !== ' ')) return
    const { target } = event
    const isField = target instanceof HTMLTextAreaElement || (target instanceof HTMLInputElement && event.key === ' ')
    if (!isField) stop(event)
  }
  for (const type of HELD_OFF) page.addEventListener(type, onPress, { capture: true })
  page.addEventListener('keydown', onKey, { capture: true })
  return () => {
    for (const type of HELD_OFF) page.removeEventListener(type, onPress, { capture: true })
    page.removeEventListener('keydown', onKey, { capture: true })
  }
}
