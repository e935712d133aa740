import { DEFINITIONS } from './courses/all-definitions.ts'
import { ANIMAL_GROUPS, animalGroupById } from './animal-group.ts'
import { INGREDIENTS, ingredientById } from './ingredient.ts'
import { bandFor, BAND_PROFILES, parameterById, PARAMETERS, typicalUncertainty } from './parameter.ts'
import { SIGN_WORDS } from './sign-words.data.ts'
import { signById, SIGNS } from './sign.ts'

const ids = (rows: readonly { id: string }[]) => rows.map(({ id }) => id)

test.each([
  ['parameters', PARAMETERS, 16],
  ['band profiles', BAND_PROFILES, 9],
  ['signs', SIGNS, 64],
  ['ingredients', INGREDIENTS, 40],
  ['animal groups', ANIMAL_GROUPS, 37],
] as const)('%s: every id once, in kebab-case, and as many as there should be', (_name, rows, count) => {
  expect(new Set(ids(rows)).size).toBe(rows.length)
  for (const id of ids(rows)) expect(id).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/)
  expect(rows).toHaveLength(count)
})

describe('parameters', () => {
  test('no two share what a keeper may type for them', () => {
    const aliases = PARAMETERS.flatMap((parameter) => parameter.aliases)
    expect(new Set(aliases).size).toBe(aliases.length)
    for (const alias of aliases) expect(alias).toBe(alias.toLowerCase())
  })

  test('bands lie within what is plausible, the right way round, and belong to a profile of their water', () => {
    for (const { id, bands, plausible } of PARAMETERS)
      for (const [profile, band] of Object.entries(bands)) {
        expect(ids(BAND_PROFILES)).toContain(profile)
        const [low, high] = band
        if (low !== null && high !== null) expect(low).toBeLessThanOrEqual(high)
        for (const edge of [low, high])
          if (edge !== null) expect([id, edge >= plausible[0] && edge <= plausible[1]]).toEqual([id, true])
      }
  })

  test('uncertainty joins as the handbook says: the larger of two for nitrate, the sum for a copper photometer', () => {
    expect(typicalUncertainty(parameterById('no3')!, 4)).toBe(2)
    expect(typicalUncertainty(parameterById('no3')!, 40)).toBe(10)
    expect(typicalUncertainty(parameterById('copper')!, 2)).toBeCloseTo(0.15)
  })

  test('a tank without a profile has no bands', () => {
    expect(bandFor(parameterById('no3')!, undefined)).toBeNull()
    expect(bandFor(parameterById('copper')!, 'reef-sps')).toBeNull()
    expect(bandFor(parameterById('alk-kh')!, 'reef-lps')).toEqual([7.5, 10])
  })
})

describe('what other rows are named by', () => {
  test('an ingredient raises only parameters there are', () => {
    for (const { raises } of INGREDIENTS) if (raises !== null) expect(parameterById(raises)).toBeDefined()
    expect(ingredientById('formalin')).toMatchObject({ amountIs: 'volume' })
  })

  test('every medicine carries a caution', () => {
    for (const { id, kind, caution } of INGREDIENTS)
      if (kind === 'medicine') expect([id, caution !== null && caution.length > 10]).toEqual([id, true])
  })

  test('a group’s host is a host sign', () => {
    for (const { host } of ANIMAL_GROUPS) if (host !== null) expect(signById(host)).toMatchObject({ kind: 'context' })
    expect(animalGroupById('anthias')!.host).toBe('host-damsel-anthias')
  })

  test('a sign is found by one set of words only', () => {
    expect(Object.keys(SIGN_WORDS)).toEqual(SIGNS.map(({ id }) => id))
    const words = SIGNS.flatMap(({ id }) => SIGN_WORDS[id]!)
    expect(words.filter((word, i) => words.indexOf(word) !== i)).toEqual([])
    for (const word of words) expect(word).toBe(word.toLowerCase())
  })
})

test('whatever a course asks for stands on a shelf that offers it', () => {
  const asked = DEFINITIONS.flatMap(({ products }) => (products ?? []).map(({ ingredient }) => ingredient))
  expect(asked.length).toBeGreaterThan(5)
  expect(asked.filter((id) => ingredientById(id) === undefined)).toEqual([])
})
