import { isSomethingTyped, mayTakeOver } from './version-wait.ts'

const NOW = Date.parse('2026-11-23T10:00:00Z')
beforeEach(() => localStorage.clear())

test('a new version waits for a bench, a run, a tally and another tab', () => {
  const may = (path: string, tabs = 0) => mayTakeOver(path, localStorage, NOW, tabs)
  for (const path of ['/', '/tanks/hall', '/bench', '/bench/begin/brown-jelly', '/arrivals', '/diagnose/microscope'])
    expect([path, may(path)]).toEqual([path, true])
  for (const path of ['/bench/0192', '/aquarium/bench/0192', '/arrivals/run/r1', '/diagnose/microscope/tally'])
    expect([path, may(path)]).toEqual([path, false])
  expect(may('/', 1)).toBe(false)
  expect(may('/', Infinity)).toBe(false)
})

test('it waits for what is half typed, not for what was left half a day ago', () => {
  localStorage.setItem('brinvo-draft-mine-log-line', JSON.stringify({ values: 'quar cu', at: NOW - 60_000 }))
  expect(isSomethingTyped(localStorage, NOW)).toBe(true)
  expect(isSomethingTyped(localStorage, NOW + 13 * 3_600_000)).toBe(false)
  localStorage.setItem('brinvo-draft-broken', 'no JSON')
  localStorage.setItem('brinvo-which', '"mine"')
  expect(isSomethingTyped(localStorage, NOW + 13 * 3_600_000)).toBe(false)
})
