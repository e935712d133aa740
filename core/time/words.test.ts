import { countdownText, spanText } from './words.ts'

test.each([
  [0.5, '30 min'],
  [1, '1 h 00 min'],
  [26.08, '26 h 05 min'],
  [-11.5, '11 h 30 min'],
  [71.999, '72 h 00 min'],
  [0, '0 min'],
])('a countdown of %f hours is %s', (hours, words) => {
  expect(countdownText(hours)).toBe(words)
})

test('a span is told more roughly', () => {
  expect([0.5, 9.9, 83, 48].map(spanText)).toEqual(['30 min', '9 h', '3 d 11 h', '2 d'])
})
