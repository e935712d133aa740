import { FRESHWATER_CONDITIONS, MARINE_CONDITIONS } from './conditions.data.ts'
import { holdsWord, OTHER_NAMES } from './other-names.data.ts'

test('every other name is of a row there is', () => {
  const ids = new Set([...MARINE_CONDITIONS.rows, ...FRESHWATER_CONDITIONS.rows].map(({ id }) => id))
  expect(Object.keys(OTHER_NAMES).filter((id) => !ids.has(id))).toEqual([])
})

test.each([
  ['not in pregnancy', 'pregnant', true],
  ['the tissue bleaches', 'bleached', true],
  ['copper', 'coppers', true],
  ['velvet', 'velour', false],
  ['ich', 'icy', false],
])('“%s” for “%s”: %s', (text, word, found) => {
  expect(holdsWord(text, word)).toBe(found)
})
