import { twoSets } from '../testing/rounds.ts'

/** A chain of moves in which a sign is seen on its second day. */
function seen(definition: string, sign: string) {
  const it = twoSets({ definition })
  it.write({
    kind: 'sighting',
    ...it.at(30),
    tankId: 'a',
    animalIds: ['needle'],
    signs: [{ sign, present: true }],
  })
  return it.plan(31).warnings.find(({ id }) => id === 'sign')!
}

test.each(['fine-dust-sheen', 'breathing-fast'])(
  'moves 72 h apart with %s: it may be velvet, and the moves every 36 h are offered',
  (sign) => {
    const warning = seen('qt-c-ttm', sign)
    expect(warning).toMatchObject({ tone: 'act', offers: { definitionId: 'qt-c-velvet' } })
    expect(warning.text).toMatch(/may be velvet.*72 h apart are too slow.*make the due move, then go on every 36 h/)
  },
)

test.each([
  ['qt-c-ttm', 'flashing'],
  ['qt-c-velvet', 'fine-dust-sheen'],
  ['qt-c-hybrid', 'fine-dust-sheen'],
])('%s with %s: the move that is due is made anyway', (definition, sign) => {
  const warning = seen(definition, sign)
  expect(warning.offers).toBeUndefined()
  expect(warning.text).toMatch(/Make the move that is due anyway\.$/)
  expect(warning.text).not.toMatch(/No move/)
})
