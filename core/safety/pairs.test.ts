import { ANIMAL_GROUPS } from '../catalogue/animal-group.ts'
import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import { INGREDIENTS } from '../catalogue/ingredient.ts'
import { agentsIn, isAgentIn } from '../catalogue/treatments/groups.ts'
import { INTERACTIONS } from '../catalogue/treatments/interactions.data.ts'
import { SENSITIVITIES } from '../catalogue/treatments/sensitivities.data.ts'
import { DOSES, doseById, rampOf } from '../catalogue/treatments/treatments.ts'
import type { Intolerance } from '../catalogue/treatments/treatment.types.ts'
import type { Concern } from './concerns.ts'
import { sensitivityConcerns } from './judge/sensitivities.ts'
import { OWN_RULES, ruleWords } from './rule-words.ts'
import { asked, wordsOf, type Doing } from './testing/house.ts'
import { BATHS } from './testing/pairs/baths.ts'
import { LEVELS } from './testing/pairs/levels.ts'
import { MEETINGS } from './testing/pairs/meetings.ts'
import type { Before } from './testing/pairs/pair.ts'
import { SALINITY } from './testing/pairs/salinity.ts'
import { SENSITIVE } from './testing/pairs/sensitive.ts'
import { TROUBLE } from './testing/pairs/trouble.ts'
import type { Resident } from './water/residents.ts'

const PAIRS = [...MEETINGS, ...SENSITIVE, ...LEVELS, ...BATHS, ...SALINITY, ...TROUBLE]

const spoken = (concerns: readonly Concern[]) => concerns.map(({ severity, rule }) => `${severity} ${rule}`)
const saidOf = (before: Before, proposed: Doing) => spoken(asked(before, proposed))

/** Rules that grow with what they speak of: the milder tone is the neighbour's. */
const GROWING = new Set(['cannot-judge', 'copper-in-rock', 'fenbendazole-residue'])

test('there are enough of them, and no two of one name', () => {
  expect(PAIRS.length).toBeGreaterThanOrEqual(150)
  expect(new Set(PAIRS.map(({ name }) => name)).size).toBe(PAIRS.length)
})

test.each(PAIRS.map((one) => [`${one.name}: ${one.says}`, one] as const))('%s', (_, one) => {
  expect(saidOf(one.before, one.proposed)).toContain(one.says)
  const silent = saidOf(one.harmless.before ?? one.before, one.harmless.proposed ?? one.proposed)
  expect(silent).not.toContain(one.says)
  // Its neighbour is not refused by the same rule in another tone either.
  const rule = one.says.split(' ')[1]!
  if (!one.says.startsWith('caution') && !GROWING.has(rule))
    expect(silent.filter((said) => /^(never|block)/.test(said)).map((said) => said.split(' ')[1])).not.toContain(rule)
})

test('every row of the interactions and of the sensitivities is made to speak by some of them', () => {
  const spoken = new Set(PAIRS.map(({ says }) => says.split(' ')[1]!))
  const rows = [...INTERACTIONS, ...SENSITIVITIES].map(({ id }) => id)
  expect(rows.filter((id) => !spoken.has(id))).toEqual([])
})

/** A level at which a narrowed intolerance speaks, mg/L, and one at which it does not. */
const SPEAKS_AT: Readonly<Record<NonNullable<Intolerance['only']>, (agent: string) => [loud: number, quiet: number]>> =
  {
    'high-band': (agent) =>
      agent === 'cu-chelated' ? [2.3, 2.1] : [DOSES.find((row) => row.agent === agent)!.high, 0.001],
    'fast-ramp': (agent) => [rampOf(agent).levels!.at(-1)!, rampOf(agent).levels![0]! / 2],
    'full-dose': (agent) => [
      DOSES.find((row) => row.agent === agent)!.target,
      DOSES.find((row) => row.agent === agent)!.low,
    ],
    'over-1-to-2-g-per-l': () => [3000, 1000],
  }

const ENTRIES = SENSITIVITIES.flatMap((row) =>
  (['avoid', 'caution'] as const).flatMap((how) =>
    row[how].flatMap((entry) =>
      entry.agents.flatMap((id) => agentsIn(id)).map((agent) => ({ row, how, entry, agent })),
    ),
  ),
)

test.each(ENTRIES.map((one) => [`${one.row.id}, ${one.how} ${one.agent} ${one.entry.only ?? ''}`, one] as const))(
  'every entry of a sensitivity speaks at some level, and of nobody else: %s',
  (_, { row, how, entry, agent: named }) => {
    const group = ANIMAL_GROUPS.find(({ sensitivity }) => sensitivity === row.id)!
    const resident = { id: 'a', label: 'Pip', kind: group.kind, group, sensitivity: row.id, count: 1, animal: null }
    // A dose's own id stands for its agent in that dose.
    const dose = doseById(named)
    const agent = dose?.agent ?? named
    const isBath = group.kind !== 'fish'
    const treatment = (makesMgPerL?: number) => ({
      agent,
      isBath,
      ...(dose && { dose }),
      ...(makesMgPerL !== undefined && { makesMgPerL }),
    })
    const said = (makes?: number, who: Resident = resident) =>
      sensitivityConcerns([who], treatment(makes)).map(({ rule, severity }) => `${severity} ${rule}`)
    const severity = how === 'avoid' ? 'block' : 'caution'
    const [loud, quiet] = entry.only ? SPEAKS_AT[entry.only](agent) : [undefined, undefined]
    // What is to be avoided speaks before what asks for care: a caution is heard at a level that is not avoided.
    const narrow = row.avoid.find((one) => one.only && one.agents.some((id) => isAgentIn(agent, id)))?.only
    const level = how === 'caution' && narrow ? SPEAKS_AT[narrow](agent)[1] : loud
    expect(said(level)).toContain(`${severity} ${row.id}`)
    if (quiet !== undefined) expect(said(quiet)).not.toContain(`block ${row.id}`)
    expect(said(level, { ...resident, sensitivity: null })).toEqual([])
  },
)

describe('its sentences', () => {
  const sentences = PAIRS.flatMap(({ before, proposed }) => wordsOf(before, proposed))
  const ids = [
    ...INGREDIENTS.map(({ id }) => id),
    ...DOSES.map(({ id }) => id),
    ...ANIMAL_GROUPS.map(({ id }) => id),
    ...INTERACTIONS.map(({ id }) => id),
    ...SENSITIVITIES.map(({ id }) => id),
    ...DEFINITIONS.map(({ id }) => id),
    ...OWN_RULES,
  ].filter((id) => id.includes('-'))
  const spoken = new RegExp(`(^|[^a-z-])(${ids.join('|')}|act-[a-z]+|ctx-[a-z-]+)([^a-z-]|$)|section \\d|\\bQ \\d`)

  test('name animals, groups and medicines in words: no ids, no section numbers', () => {
    expect(sentences.length).toBeGreaterThan(200)
    expect(sentences.filter((words) => spoken.test(words))).toEqual([])
  })

  test('of every row as well', () => {
    const words = [
      ...INTERACTIONS.flatMap(({ reason, neverReason = '' }) => [reason, neverReason]),
      ...SENSITIVITIES.flatMap(({ instead = '', avoid, caution }) => [
        instead,
        ...[...avoid, ...caution].map((one) => one.words ?? ''),
      ]),
      ...[...INTERACTIONS, ...SENSITIVITIES].map(({ id }) => ruleWords(id)),
      ...OWN_RULES.map(ruleWords),
    ]
    expect(words.filter((one) => spoken.test(one))).toEqual([])
  })
})
