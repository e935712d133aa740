import { standingOf } from '../../courses/standing/standing.ts'
import { KEEPER_SETTINGS } from './household.ts'
import { livePair, type Pair, type PairLife } from './pair.ts'

const { clock } = KEEPER_SETTINGS

/** Two courses in one tank, and the day of the first on which the second is begun. */
const PAIRS: readonly [first: string, second: string, afterDays: number][] = [
  ['qt-a-cu30', 'qt-add-worm', 6],
  ['qt-b-drug14', 'qt-add-worm', 4],
  ['qt-a-cq30', 'qt-add-worm', 5],
  ['qt-d-hypo', 'qt-add-worm', 8],
  ['qt-c-hybrid', 'qt-add-worm', 1],
  ['qt-a-cu30', 'qt-add-kanamycin', 6],
  ['qt-a-cu30', 'qt-add-metro', 6],
  ['qt-add-worm', 'qt-add-kanamycin', 1],
  ['dino-sand', 'nutrient-raise', 1],
  ['nutrient-raise', 'dino-uv', 20],
  ['fallow-76', 'coral-dip-cycle', 2],
  ['coral-76', 'coral-dip-cycle', 3],
]

/** Every count that a course has to its end, with how much of it was reached. */
function countsOf(pair: Pair, { closedAt, atClose, definitionId }: PairLife): string[] {
  if (closedAt === null) throw new Error(`${definitionId} was never closed`)
  return standingOf(pair.journal, atClose!.course, KEEPER_SETTINGS, closedAt).counts.map(
    ({ track, has, needs, state }) => `${track} ${has} of ${needs} ${state}`,
  )
}

/** What went into one tank more than once on one local day. */
function doubled({ journal }: Pair): string[] {
  const seen = new Map<string, number>()
  for (const { at, content } of journal.ofKind('dose')) {
    const key = `${content.tankId} ${content.ingredient} on day ${clock.dayOf(at)}`
    seen.set(key, (seen.get(key) ?? 0) + 1)
  }
  return [...seen].filter(([, times]) => times > 1).map(([key]) => key)
}

describe('two courses in one tank: every count ends full, nothing is late, no rule is broken, nothing is dosed twice', () => {
  test.each(PAIRS)('%s with %s from day %d on', (first, second, afterDays) => {
    const pair = livePair(first, second, afterDays)
    expect(pair.troubles.map(({ at, law, words }) => `${new Date(at).toISOString()} ${law}: ${words}`)).toEqual([])
    for (const life of [pair.first, pair.second])
      expect(countsOf(pair, life).filter((count) => !count.endsWith('full'))).toEqual([])
    expect(doubled(pair)).toEqual([])
  })
})

test('dewormings beside copper are two, each beside a change that brings its copper, and the thirty days stand', () => {
  const pair = livePair('qt-a-cu30', 'qt-add-worm', 6)
  const wormed = pair.journal.ofKind('dose').filter(({ content }) => content.ingredient === 'praziquantel')
  expect(wormed).toHaveLength(2)
  expect(countsOf(pair, pair.first)).toContain('held 720 of 720 full')
  // In range from the first test in it to the end of the count.
  const copper = pair.journal
    .ofKind('reading')
    .flatMap(({ content }) =>
      content.parameter === 'copper' && content.result.kind === 'value' ? [content.result.value] : [],
    )
  const from = copper.findIndex((value) => value >= 2)
  expect(from).toBeGreaterThan(0)
  expect(copper.slice(from, from + 30).every((value) => value >= 2 && value <= 2.5)).toBe(true)
})
