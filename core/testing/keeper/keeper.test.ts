import { DEFINITIONS } from '../../catalogue/courses/all-definitions.ts'
import type { Definition } from '../../catalogue/courses/definitions.ts'
import { standingOf } from '../../courses/standing/standing.ts'
import { isAwake, USUAL_WAKING } from '../../time/waking.ts'
import { psuOfGravity } from '../../salinity/gravity.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { atFullLine } from '../../water/level-line.ts'
import { ingredientsOf, KEEPER_SETTINGS, onTheShelf } from './household.ts'
import { COURSE_ID } from './keeper.ts'
import { LIFE_STARTS_AT, liveCourse, type Life } from './life.ts'
import { MISFORTUNES, type TemperamentId } from './temperaments.ts'

/** The default choices, and each other choice of each option by itself; of the corals' pests and dips one, for time. */
const VARIANTS = DEFINITIONS.flatMap((definition) => [
  [definition.id, {}] as const,
  ...definition.options.flatMap(({ id, choices }) =>
    choices.slice(definition.kind === 'coral' ? -1 : 1).map((choice) => [definition.id, { [id]: choice.id }] as const),
  ),
])
const IDS = DEFINITIONS.map(({ id }) => id)

/** What is told where a law is broken: the diary from a day before the first trouble on. */
function told({ diary, troubles }: Life, words: string): string {
  const from = (troubles[0]?.at ?? Infinity) - MS_PER_DAY
  const lines = diary.filter(({ at }) => at >= from).slice(0, 40)
  return [
    words,
    ...troubles.slice(0, 5).map(({ law, words: what }) => `${law}: ${what}`),
    ...lines.map(({ at, words: what }) => `${new Date(at).toISOString()} ${what}`),
  ].join('\n')
}

const troublesOf = (life: Life, laws: readonly string[]): string =>
  life.troubles.some(({ law }) => laws.includes(law)) ? told(life, 'met') : ''

/** Every count that has an end is full, and nothing is left after it. */
function endsFull(life: Life): void {
  if (life.closedAt === null) throw new Error(told(life, `${life.definition.id} was never closed`))
  const { counts } = standingOf(life.journal, life.atClose!.course, KEEPER_SETTINGS, life.closedAt)
  expect(
    counts.filter(({ state }) => state !== 'full').map(({ track, has, needs }) => ({ track, has, needs })),
  ).toEqual([])
  expect(life.after!.tasks).toEqual([])
}

describe('steady: at the best time, nothing is late, no rule is broken, nothing speaks against what the course asks', () => {
  test.each(VARIANTS)('%s %j', (id, options) => {
    const life = liveCourse(id, 'steady', { options })
    expect(troublesOf(life, ['late', 'rule', 'concern', 'stuck', 'fault'])).toBe('')
    endsFull(life)
    const asleep = life.diary.filter(
      ({ at, words }) =>
        at > LIFE_STARTS_AT &&
        // Steps down are 6 to 12 h apart: one in three falls into the night, whatever the hour of the first.
        !words.startsWith('lower:') &&
        // A count of whole days is full at midnight; its end may be pressed for a month.
        !words.startsWith('close:') &&
        !isAwake(KEEPER_SETTINGS.clock, USUAL_WAKING, at),
    )
    expect(asleep).toEqual([])
  })
})

test('dry air: a low salinity is held to its end while six decilitres evaporate a day, level down or filled up', () => {
  const life = liveCourse('qt-d-hypo', 'dry-air')
  expect(troublesOf(life, ['late', 'rule', 'concern', 'stuck', 'fault'])).toBe('')
  endsFull(life)
  const readings = life.journal.ofKind('reading').filter(({ content }) => content.parameter === 'salinity')
  const tops = life.journal.ofKind('top-off')
  expect(readings.some(({ content }) => (content.downL ?? 0) > 0.3)).toBe(true)
  expect(tops.length).toBeGreaterThan(20)
  // What the water was at the full line, from the first test in range on for thirty days.
  const levels = readings.map(({ at, content }) => ({
    at,
    psu: atFullLine(content.result.kind === 'value' ? content.result.value : NaN, content.downL ?? 0, 60),
  }))
  const from = levels.find(({ psu }) => psu <= psuOfGravity(1.01))!.at
  const held = levels.filter(({ at }) => at >= from && at < from + 30 * MS_PER_DAY).map(({ psu }) => psu)
  expect(held.length).toBeGreaterThan(30)
  expect(Math.max(...held)).toBeLessThan(psuOfGravity(1.01))
  expect(Math.min(...held)).toBeGreaterThan(psuOfGravity(1.008))
})

describe('latest: each task at its end, and nothing is late', () => {
  test.each(IDS)('%s', (id) => {
    const life = liveCourse(id, 'latest')
    expect(troublesOf(life, ['late', 'concern', 'stuck', 'fault'])).toBe('')
    if (life.closedAt === null) throw new Error(told(life, 'never closed'))
  })
})

describe('a day late: one task in five, and nothing stays late once it is done', () => {
  test.each(IDS)('%s', (id) => {
    const life = liveCourse(id, 'a-day-late')
    expect(troublesOf(life, ['stuck', 'fault'])).toBe('')
    // A chain of moves begins again with each that comes late.
    if (life.closedAt === null && life.definition.ends !== 'rounds') throw new Error(told(life, 'never closed'))
  })
})

describe('twice: what is pressed again adds nothing', () => {
  test.each(IDS)('%s', (id) => {
    const [once, twice] = (['steady', 'twice'] as const).map((one) => liveCourse(id, one)) as [Life, Life]
    expect(troublesOf(twice, ['late', 'stuck', 'fault'])).toBe('')
    expect([...twice.done]).toEqual([...once.done])
    expect(twice.closedAt).not.toBeNull()
    const countsOf = (life: Life) =>
      standingOf(life.journal, life.atClose!.course, KEEPER_SETTINGS, life.closedAt!).counts
    expect(countsOf(twice).map(({ track, has, needs, state }) => ({ track, has, needs, state }))).toEqual(
      countsOf(once).map(({ track, has, needs, state }) => ({ track, has, needs, state })),
    )
  })
})

describe('failing: counts that get worse end in no success, and lead to something else', () => {
  const counted = DEFINITIONS.filter(
    ({ kind, rules }) =>
      kind === 'plan' &&
      rules.some(({ role, when }) => role === 'success' && JSON.stringify(when).includes('"measure"')),
  ).map(({ id }) => id)
  test('there are such plans', () => expect(counted.length).toBeGreaterThan(15))
  test.each(counted)('%s', (id) => {
    const life = liveCourse(id, 'steady', { isFailing: true })
    const said = life.troubles.filter(({ law }) => law === 'rule').map(({ words }) => words)
    const success = life.atClose!.rules.find(({ role }) => role === 'success')!
    expect(success.state).not.toBe('holds')
    // Some rows lead on by what the keeper alone can say.
    const isCounted = life.definition.rules.some(
      ({ role, when }) => role === 'escalate' && /"(measure|series)"/.test(JSON.stringify(when)),
    )
    expect([id, said.some((words) => words.startsWith('escalate'))]).toEqual([id, isCounted])
  })
})

/** The days of the course on which a test that a stop rule rests on is asked for again and again, and how often. */
function stopTests({ steps, rules }: Definition): { from: number; until: number; every: number }[] {
  const asked = new Set(
    JSON.stringify(rules.filter(({ role, only }) => role === 'stop' && !only).map(({ when }) => when)).match(
      /(?<="parameter":")[^"]+/g,
    ) ?? [],
  )
  return steps.flatMap(({ act, due, parameters = [], only }) =>
    act === 'read' &&
    !only &&
    !('by' in due) &&
    due.every &&
    due.of !== 'end' &&
    parameters.some((one) => asked.has(one))
      ? [{ from: due.day, until: typeof due.until === 'number' ? due.until : Infinity, every: due.every }]
      : [],
  )
}

describe('blind: tests on days 0 and 1 only are told, above everything, within one and a half intervals', () => {
  const tested = DEFINITIONS.filter((one) => stopTests(one).length > 0).map(({ id }) => id)
  test('there are such plans', () => expect(tested.length).toBeGreaterThan(8))
  test.each(tested)('%s', (id) => {
    const life = liveCourse(id, 'blind')
    const [{ from, until, every }] = stopTests(life.definition) as [ReturnType<typeof stopTests>[number]]
    const blindFrom = LIFE_STARTS_AT + (Math.max(1, from) + 1.5 * every + 1) * MS_PER_DAY
    const days = life.seen.filter(
      ({ at, plan }) =>
        at > blindFrom && at < LIFE_STARTS_AT + (until - 1) * MS_PER_DAY && plan.facts.endedTreatmentAt === null,
    )
    for (const { plan } of days) {
      expect(plan.warnings[0]).toMatchObject({ id: 'blind', tone: 'act' })
      expect(plan.warnings[0]!.text).toMatch(/not (tested since|measured yet).*the stop rules cannot see/i)
      const blind = plan.rules.filter(({ blindSince }) => blindSince !== undefined)
      expect(blind.length).toBeGreaterThan(0)
      expect(blind.every(({ state }) => state === 'unknown')).toBe(true)
    }
  })
})

describe('unlucky: what befalls is heard, whoever wrote it down and how', () => {
  const watched = DEFINITIONS.filter(
    ({ kind, days, id }) => (kind === 'school' || kind === 'plan') && days > 4 && id !== 'qt-e-uronema',
  )
  // Each definition meets two of them; together all are met many times.
  const cases = watched.flatMap(({ id, rules, water }, n) =>
    MISFORTUNES.flatMap((misfortune, seed) => {
      if (seed % 3 !== n % 3) return []
      const isSign = /sign|breath/.test(misfortune.id)
      const rule = misfortune.id.startsWith('a death')
        ? 'unexplained-death'
        : misfortune.id.startsWith('ammonia')
          ? 'ammonia'
          : 'sign-seen'
      const isPlan = rules.some((one) => one.id === 'stop-0')
      // Breathing fast is a sign of the schools; the universal stop of plans asks for gasping.
      const isAsked = isPlan ? !misfortune.id.startsWith('breaths') : rules.some((one) => one.id === rule)
      return isAsked && water !== 'freshwater'
        ? [[id, misfortune.id, seed, isPlan ? 'stop-0' : rule, isSign] as const]
        : []
    }),
  )
  test.each(cases)('%s: %s', (id, _, seed, rule) => {
    const life = liveCourse(id, 'unlucky', { seed })
    const i = life.seen.findIndex(({ at }, n) => n > 0 && at === life.seen[n - 1]!.at)
    const { plan } = life.seen[i]!
    const state = [...plan.rules, ...plan.events].find((one) => one.id === rule)!.state
    expect(['holds', 'broken']).toContain(state)
    expect(rule === 'ammonia' || plan.warnings.length > 0).toBe(true)
  })
})

test('every ingredient that a definition names can be put on the shelf', () => {
  const named = [...new Set(DEFINITIONS.flatMap(ingredientsOf))]
  expect(named.filter((one) => onTheShelf(one, new Date(LIFE_STARTS_AT).toISOString()) === null)).toEqual([])
  expect(named.length).toBeGreaterThan(15)
})

test('the same seed lives the same life', () => {
  const lives = (['a-day-late', 'a-day-late'] as TemperamentId[]).map((one) =>
    liveCourse('qt-a-cu30', one, { seed: 5 }),
  )
  expect(lives[0]!.diary).toEqual(lives[1]!.diary)
  expect(lives[0]!.atClose!.course.id).toBe(COURSE_ID)
})
