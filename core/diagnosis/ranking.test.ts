import { FIRST_MINUTES, FLAG_FIRST } from '../catalogue/diagnosis/first-minutes.data.ts'
import { CONDITION_NAMES } from '../catalogue/diagnosis/condition-names.data.ts'
import { HOW_TO_CHECK } from '../catalogue/diagnosis/checks.data.ts'
import { PROGNOSES } from '../catalogue/diagnosis/prognosis.data.ts'
import { SIGN_REGIONS } from '../catalogue/diagnosis/sign-regions.data.ts'
import type { Answer, CaseTable } from '../catalogue/diagnosis/diagnosis.types.ts'
import { RED_FLAGS, TREAT_FOR_BOTH } from '../catalogue/handbook/conditions.data.ts'
import type { SignRule } from '../catalogue/handbook/handbook.schema.ts'
import { SIGN_SHEETS } from '../catalogue/sign-tables/sign-tables.ts'
import { VIGNETTES } from '../catalogue/sign-tables/vignettes.data.ts'
import { CASE_TABLES } from '../journal/contents/cases.schema.ts'
import { runUnknown } from '../operations/run.ts'
import { expectOk } from '../result/result.ts'
import { isWorthAsking, type Answers } from './asking.ts'
import { conditionFacts, conditionName } from './condition-facts.ts'
import { NONE_OF_THESE } from './rank.ts'
import { certaintyOf, firstToRead, rankCase } from './ranking.ts'
import { KNOWN_PHRASES, raisedFlags, treatForBoth } from './red-flags.ts'
import { askedSigns, findSigns, regionsOf } from './signs.ts'

const answers = (present: readonly string[], absent: readonly string[] = []): Answers =>
  Object.fromEntries([
    ...present.map((sign): [string, Answer] => [sign, 'present']),
    ...absent.map((sign): [string, Answer] => [sign, 'absent']),
  ])

describe('what can be pointed at', () => {
  test.each([...CASE_TABLES])('%s: every sign stands in exactly one region, and has words', (table) => {
    const ids = SIGN_SHEETS.get(table)!.signs.map(({ id }) => id)
    const pointed = regionsOf(table).flatMap(({ signs }) => signs.map(({ id }) => id))
    expect([...pointed].sort()).toEqual([...ids].sort())
    for (const { label, group } of askedSigns(table).values())
      expect([label.length > 3, group.length > 0]).toEqual([true, true])
  })

  test('no region and no way to check names a sign that no table has', () => {
    const all = new Set([...SIGN_SHEETS.values()].flatMap(({ signs }) => signs.map(({ id }) => id)))
    const named = [
      ...Object.values(SIGN_REGIONS).flatMap((regions) => regions.flatMap(({ signs }) => signs)),
      ...Object.keys(HOW_TO_CHECK),
    ]
    expect(named.filter((id) => !all.has(id))).toEqual([])
  })

  test.each([
    ['marine-fish', 'white spots on the fins', 'white-grains-countable'],
    ['marine-fish', 'scratches on rocks', 'flashing'],
    ['marine-film', 'brown strings with bubbles', 'a-strings-bubbles'],
    ['freshwater-algae', 'black tufts', 'b-brush-tufts'],
    ['coral-and-pests', 'brown jelly', 'c-brown-jelly'],
  ] as const)('%s: “%s” finds %s', (table, words, sign) => {
    expect(
      findSigns(table, words)
        .slice(0, 3)
        .map(({ id }) => id),
    ).toContain(sign)
  })

  test('small words and nothing find nothing', () => {
    expect(findSigns('marine-fish', ' the a  ')).toEqual([])
    expect(findSigns('marine-fish', 'xylophone')).toEqual([])
  })
})

describe('every condition has its facts', () => {
  const conditions = [...SIGN_SHEETS.entries()].flatMap(([table, { conditions: ids }]) =>
    ids.map((id) => [table, id] as const),
  )
  test.each(conditions)('%s, %s: a name, an urgency, what it looks like', (_table, id) => {
    const facts = conditionFacts(id)!
    expect(facts.name).not.toBe(id)
    expect(facts.looksLike.length).toBeGreaterThan(5)
    // What is a matter of hours says what to do in them.
    if (facts.urgency === 'hours') expect(FIRST_MINUTES[id]!.do.length).toBeGreaterThan(1)
  })

  test('nothing is said of a condition that no table has', () => {
    const ids = new Set(conditions.map(([, id]) => id))
    for (const id of [...Object.keys(CONDITION_NAMES), ...Object.keys(FIRST_MINUTES), ...Object.keys(PROGNOSES)])
      expect([id, ids.has(id)]).toEqual([id, true])
    expect(conditionName(NONE_OF_THESE)).toBe('None of these')
  })
})

describe('the ranking is the command line’s', () => {
  test.each(VIGNETTES.map((one) => [one.id, one.story, one] as const))('%s, %s', (_id, _story, one) => {
    const table = one.catalogue as CaseTable
    const setting = one.setting ?? 'established'
    const ranking = rankCase(table, setting, answers(one.present, one.absent))
    const isCounted = (sign: string) => setting !== 'new-arrival' || sign !== 'new-fish-14d'
    const asked = expectOk(
      runUnknown('diagnosis.rank', {
        catalogue: table,
        setting,
        present: one.present.filter(isCounted),
        absent: one.absent.filter((sign) => isCounted(sign) && !sign.startsWith('host-')),
      }),
    ) as { ranked: unknown; next: { sign: string; bits: number }[] }
    expect(ranking.ranked).toEqual(asked.ranked)
    expect(ranking.ranked[0]!.id).toBe(one.first)
    expect(ranking.shown[0]!.id).toBe(one.first)
    // The next checks are the operation's, less those that the asking rules leave out.
    const order = asked.next.map(({ sign }) => sign)
    const shown = ranking.next.map(({ sign }) => order.indexOf(sign.id))
    expect(shown).toEqual([...shown].sort((a, b) => a - b))
  })
})

describe('the one scale', () => {
  const shares = (...probabilities: number[]) => probabilities.map((probability, i) => ({ id: `c${i}`, probability }))
  test.each([
    [[0.8, 0.2], 'likely'],
    [[0.799, 0.1], 'possible'],
    [[0.8, 0.201], 'possible'],
    [[0.4, 0.3, 0.3], 'possible'],
    [[0.399, 0.3, 0.301], 'not-enough'],
  ] as const)('%j: %s', (given, certainty) => {
    expect(certaintyOf(shares(...given))).toBe(certainty)
  })
  test('none of these is never a likely condition', () => {
    expect(certaintyOf([{ id: NONE_OF_THESE, probability: 0.95 }])).toBe('not-enough')
  })
  test('before anything is answered nothing is shown as if it were known', () => {
    const ranking = rankCase('marine-fish', 'established', {})
    expect(ranking).toMatchObject({ certainty: 'not-enough', shown: [], urgent: null, pair: null, forBoth: [] })
    expect(ranking.next[0]!.bits).toBeGreaterThan(0)
  })
})

test('what is a matter of hours is shown from one in twenty, whatever its rank', () => {
  const ranking = rankCase('marine-fish', 'new-arrival', answers(['breathing-fast', 'one-gill-closed', 'flashing']))
  const velvet = ranking.ranked.find(({ id }) => id === 'marine-velvet')!
  expect(velvet.probability).toBeGreaterThan(0.05)
  expect(ranking.shown.map(({ id }) => id)).toContain('marine-velvet')
  for (const { id, probability } of ranking.ranked)
    if (probability >= 0.05 && conditionFacts(id)?.urgency === 'hours')
      expect(ranking.shown.map((one) => one.id)).toContain(id)
})

test('what is read first: the flag of today, else what cannot wait; what went before alarms nobody by itself', () => {
  const first = (of: Answers, table: CaseTable = 'marine-fish') => firstToRead(rankCase(table, 'established', of))
  expect(first(answers(['several-fish', 'surface-gasping'])).of).toMatchObject({ flag: { id: 'rf-mass' } })
  expect(first(answers(['c-brown-jelly']), 'coral-and-pests').of).toMatchObject({ condition: { id: 'brown-jelly' } })
  expect(first(answers(['several-fish', 'new-fish-14d', 'rapid-course']))).toEqual({
    of: null,
    lines: null,
    others: [],
  })
  const two = first(answers(['ammonia-raised', 'spine-curved']))
  expect(two.others.map(({ id }) => id)).toEqual(['rf-zoonosis'])
  expect(two.lines!.do[0]).toMatch(/Water and air first/)
})

test('signs stand for and against each condition by how often it shows them', () => {
  const { shown } = rankCase(
    'marine-fish',
    'established',
    answers(['white-grains-countable', 'flashing'], ['fine-dust-sheen']),
  )
  const ich = shown.find(({ id }) => id === 'marine-ich')!
  expect(ich.speaksFor.map(({ id }) => id)).toEqual(['white-grains-countable', 'flashing'])
  expect(ich.speaksAgainst).toEqual([])
  const velvet = rankCase(
    'marine-fish',
    'established',
    answers(['white-grains-countable', 'breathing-fast', 'into-flow', 'shuns-light'], ['fine-dust-sheen']),
  ).shown.find(({ id }) => id === 'marine-velvet')
  expect(velvet?.speaksAgainst.map(({ id }) => id)).toEqual(['fine-dust-sheen', 'white-grains-countable'])
})

test('the pair is told apart by the sign that the two show most differently', () => {
  const { pair } = rankCase('marine-fish', 'established', answers(['flashing', 'breathing-fast']))
  expect(pair).not.toBeNull()
  expect(Math.abs(pair!.firstShows - pair!.secondShows)).toBeGreaterThanOrEqual(0.4)
})

test('a look through the microscope, a test or an animal confirms; colour and place do not', () => {
  const isConfirmed = (table: CaseTable, present: string[]) =>
    rankCase(table, 'established', answers(present)).isConfirmed
  expect(isConfirmed('marine-film', ['a-brown-golden', 'a-mainly-sand'])).toBe(false)
  expect(isConfirmed('marine-film', ['a-m-oval-beak'])).toBe(true)
  expect(isConfirmed('freshwater-algae', ['b-peroxide-red'])).toBe(true)
  expect(isConfirmed('coral-and-pests', ['c-frilled-slug'])).toBe(true)
})

describe('asking rules', () => {
  test('a newcomer’s priors hold the new fish already, and a host is never counted as absent', () => {
    const withNew = rankCase('marine-fish', 'new-arrival', answers(['flashing', 'new-fish-14d'], ['host-clownfish']))
    expect(withNew.ranked).toEqual(rankCase('marine-fish', 'new-arrival', answers(['flashing'])).ranked)
    expect(rankCase('marine-fish', 'established', answers(['flashing', 'new-fish-14d'])).ranked).not.toEqual(
      rankCase('marine-fish', 'established', answers(['flashing'])).ranked,
    )
  })
  test('a yes leaves its siblings unasked; what refines that yes is asked', () => {
    const asks = (sign: string, of: Answers) => isWorthAsking('coral-and-pests', 'established', of, sign)
    expect(asks('c-dots-dark', {})).toBe(false)
    expect(asks('c-dots-dark', answers(['c-moving-dots']))).toBe(true)
    expect(asks('c-dots-dark', answers(['c-moving-dots', 'c-dots-yellow-red']))).toBe(false)
    expect(asks('c-hard-tube', answers(['c-moving-dots']))).toBe(false)
    expect(asks('c-hard-tube', answers([], ['c-moving-dots']))).toBe(true)
    expect(asks('c-only-montipora', answers(['c-only-acropora']))).toBe(false)
    expect(asks('c-foul-smell', answers(['c-brown-jelly']))).toBe(true)
  })
  test('“not looked” takes an answer back', () => {
    expect(rankCase('marine-fish', 'established', { flashing: 'not-looked' }).answered).toBe(0)
    expect(isWorthAsking('marine-fish', 'established', { flashing: 'not-looked' }, 'flashing')).toBe(true)
  })
})

describe('red flags come before any ranking', () => {
  const up = (present: string[], setting: 'new-arrival' | 'established' = 'established') =>
    raisedFlags(answers(present), setting).map(({ id }) => id)
  test.each([
    [['ammonia-raised'], ['rf-water']],
    [['oxygen-event'], ['rf-water']],
    [['breathing-fast'], []],
    [['breathing-fast', 'shuns-light'], ['rf-velvet']],
    [['host-clownfish', 'patchy-mucus-film'], ['rf-brook']],
    [['host-damsel-anthias', 'red-sore-flank'], ['rf-uronema']],
    [['several-fish', 'surface-gasping'], ['rf-mass']],
    [['saddle-patch', 'rapid-course'], ['rf-columnaris']],
    [['scales-raised'], ['rf-dropsy']],
    [['open-ulcer', 'eats-but-thin'], ['rf-zoonosis']],
  ])('%j: %j', (present, flags) => {
    expect(up(present)).toEqual(flags)
  })
  test('a quiet newcomer: velvet and gill flukes cannot be excluded, until spots are seen', () => {
    expect(up(['breathing-fast', 'not-eating'], 'new-arrival')).toEqual(['rf-velvet-quiet'])
    expect(up(['breathing-fast', 'not-eating'])).toEqual([])
    expect(up(['breathing-fast', 'not-eating', 'white-grains-countable'], 'new-arrival')).toEqual([])
  })
  test('the most pressing first, each with what to do', () => {
    expect(up(['scales-raised', 'ammonia-raised', 'spine-curved'])).toEqual(['rf-water', 'rf-dropsy', 'rf-zoonosis'])
    for (const { id } of RED_FLAGS.rows) expect(FLAG_FIRST[id]!.do.length).toBeGreaterThan(0)
  })
})

describe('treat for both', () => {
  const both = (shares: Record<string, number>, present: string[] = []) =>
    treatForBoth(
      Object.entries(shares).map(([id, probability]) => ({ id, probability })),
      answers(present),
      'established',
    ).map(({ id }) => id)
  test('each at a tenth, velvet at a twentieth', () => {
    expect(both({ 'marine-ich': 0.1, 'marine-velvet': 0.05 })).toEqual(['doubt-ich-velvet'])
    expect(both({ 'marine-ich': 0.1, 'marine-velvet': 0.049 })).toEqual([])
    expect(both({ 'marine-ich': 0.099, 'marine-velvet': 0.5 })).toEqual([])
  })
  test('what is asked besides has to hold', () => {
    const two = { 'marine-velvet': 0.3, brooklynella: 0.3 }
    expect(both(two)).toEqual(['doubt-velvet-brook'])
    expect(both(two, ['host-clownfish'])).toEqual(['doubt-velvet-brook', 'doubt-clown-slime'])
    expect(both({ 'marine-ich': 0.4, 'skin-flukes': 0.4 }, ['flashing'])).toEqual(['doubt-flash-clean'])
    expect(both({ 'marine-ich': 0.4, 'skin-flukes': 0.4 }, ['white-grains-countable', 'eye-cloudy-both'])).toEqual([
      'doubt-ich-flukes',
    ])
  })
  test('every phrase of the two tables is understood', () => {
    const phrases = (rule: SignRule): string[] =>
      'words' in rule
        ? [rule.words]
        : 'all' in rule
          ? rule.all.flatMap(phrases)
          : 'any' in rule
            ? rule.any.flatMap(phrases)
            : []
    const said = [
      ...RED_FLAGS.rows.flatMap(({ when }) => phrases(when)),
      ...TREAT_FOR_BOTH.rows.flatMap(({ extra }) => extra ?? []),
    ]
    expect(said.filter((phrase) => !KNOWN_PHRASES.has(phrase))).toEqual([])
  })
})
