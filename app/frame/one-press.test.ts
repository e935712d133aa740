import { guardPresses, isSamePress } from './one-press.ts'

const press = (element: Element, at: number, place: { x: number; y: number }) => {
  for (const type of ['pointerdown', 'pointerup', 'click']) {
    const event = new MouseEvent(type, {
      bubbles: true,
      cancelable: true,
      detail: 1,
      clientX: place.x,
      clientY: place.y,
    })
    Object.defineProperty(event, 'timeStamp', { value: at })
    element.dispatchEvent(event)
  }
}
const HERE = { x: 50, y: 50 }

let taken: () => void
const page = (html: string) => {
  document.body.innerHTML = html
  const pressed: string[] = []
  for (const element of document.querySelectorAll('[id]'))
    element.addEventListener('click', () => pressed.push(element.id))
  return { pressed, of: (id: string) => document.getElementById(id)! }
}

beforeEach(() => {
  taken = guardPresses(document)
})
afterEach(() => taken())

test.each([50, 90, 170, 399])('a second press %i ms after the first is the same press', (after) => {
  const { pressed, of } = page('<button id="log">Log</button>')
  press(of('log'), 1000, HERE)
  press(of('log'), 1000 + after, HERE)
  expect(pressed).toEqual(['log'])
})

test('half a second later, or on another place, it is another press', () => {
  const { pressed, of } = page('<button id="a">a</button><button id="b">b</button>')
  press(of('a'), 1000, HERE)
  press(of('b'), 1100, { x: 200, y: 50 })
  press(of('a'), 1600, HERE)
  expect(pressed).toEqual(['a', 'b', 'a'])
})

test('what has taken the place of a button does not take its second press', () => {
  const { pressed, of } = page('<button id="log">Log</button><label><input type="checkbox" id="happened" /></label>')
  press(of('log'), 1000, HERE)
  press(of('happened'), 1150, HERE)
  press(of('happened'), 1600, HERE)
  expect(pressed).toEqual(['log', 'happened'])
})

test('three quick presses are one; counts are pressed as quickly as a finger can', () => {
  const { pressed, of } = page('<button id="log">Log</button><div data-repeats><button id="more">+</button></div>')
  for (const at of [1000, 1150, 1300]) press(of('log'), at, HERE)
  for (const at of [2000, 2100, 2200]) press(of('more'), at, HERE)
  expect(pressed).toEqual(['log', 'more', 'more', 'more'])
})

test('a double click in a field of text chooses a word as ever', () => {
  const { pressed, of } = page('<input id="field" />')
  press(of('field'), 1000, HERE)
  press(of('field'), 1100, HERE)
  expect(pressed).toEqual(['field', 'field'])
})

test('a key that is held down presses once; in a note it writes lines', () => {
  const { of } = page('<button id="log">Log</button><textarea id="note"></textarea><input id="field" />')
  const held = (id: string, key: string) => {
    const event = new KeyboardEvent('keydown', { key, repeat: true, bubbles: true, cancelable: true })
    of(id).dispatchEvent(event)
    return event.defaultPrevented
  }
  expect([held('log', 'Enter'), held('log', ' '), held('field', 'Enter')]).toEqual([true, true, true])
  expect([held('note', 'Enter'), held('field', ' ')]).toEqual([false, false])
})

test('a trembling finger is within a few pixels', () => {
  expect(isSamePress({ x: 0, y: 0, at: 0 }, { x: 10, y: 10, at: 100 })).toBe(true)
  expect(isSamePress({ x: 0, y: 0, at: 0 }, { x: 40, y: 0, at: 100 })).toBe(false)
  expect(isSamePress(null, { x: 0, y: 0, at: 0 })).toBe(false)
})
