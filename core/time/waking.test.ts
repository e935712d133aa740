import { awakeAt, isAwake, nearestAwake, USUAL_WAKING } from './waking.ts'
import { zoneClock } from './zone.ts'

const clock = zoneClock('UTC')
const at = (text: string) => Date.parse(`2026-11-${text}:00Z`)
const laid = (time: string, from: string, until: string) =>
  new Date(awakeAt(clock, USUAL_WAKING, at(time), at(from), at(until))).toISOString().slice(8, 16)

test.each([
  ['by day it stays', '03T12:00', '03T00:00', '04T00:00', '03T12:00'],
  ['in the evening it is the evening before bed', '03T23:30', '03T12:00', '04T12:00', '03T22:00'],
  ['after midnight it is the evening before', '04T03:00', '03T12:00', '04T12:00', '03T22:00'],
  ['where the evening is too early, the morning', '04T03:00', '03T23:00', '04T12:00', '04T07:00'],
  ['where neither is in the window, as it is', '04T03:00', '03T23:00', '04T05:00', '04T03:00'],
])('%s', (_, time, from, until, laidAt) => expect(laid(time, from, until)).toBe(laidAt))

test('the nearest waking hour of a window', () => {
  const near = (time: string, from: string, until: string) =>
    new Date(nearestAwake(clock, USUAL_WAKING, at(time), at(from), at(until))).toISOString().slice(8, 16)
  expect(near('04T05:00', '03T20:00', '04T12:00')).toBe('04T07:00')
  expect(near('04T01:00', '03T20:00', '04T12:00')).toBe('03T22:00')
  expect(near('04T15:00', '03T20:00', '04T12:00')).toBe('04T12:00')
  // Nothing of the window is by day.
  expect(near('04T02:00', '03T23:00', '04T05:00')).toBe('04T02:00')
  expect(isAwake(clock, USUAL_WAKING, at('04T22:00'))).toBe(true)
})
