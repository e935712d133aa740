import { DEFINITIONS } from '../../catalogue/courses/all-definitions.ts'
import { definitionById } from '../../catalogue/courses/definitions.ts'
import { dipPaceOf, dipPestById, plannedIntervalDays } from '../../catalogue/corals/dip-pace.ts'
import { PROSE } from '../../catalogue/courses/prose.data.ts'
import { DIP_PEST_FACTS } from '../../catalogue/corals/dip-pest-facts.data.ts'
import { DIP_PESTS } from '../../catalogue/corals/dip-pests.data.ts'
import { PEST_TIMING } from '../../catalogue/handbook/pests.data.ts'
import { runOperation } from '../../operations/run.ts'
import type { CourseStanding } from '../standing/standing.schema.ts'
import { fragTub } from '../testing/corals.ts'

describe('the pace: outbreaks.md 6.1, further-schools.md 3', () => {
  test.each([
    // by maturity: the smaller of the table's interval and dip.plan's; N = ceil(longest hatch / interval) + 1
    ['zoa-nudi', 5, 3],
    ['montipora-nudi', 4, 4],
    ['aefw', 7, 4],
    ['brown-flatworm', 7, 3],
    ['red-bugs', 7, 3],
    ['black-bugs', 7, 3],
  ])('%s every %i days, %i clean dips', (id, intervalDays, need) => {
    expect(dipPaceOf(dipPestById(id), 'by-maturity')).toMatchObject({ intervalDays, need })
    // The table of the handbook says the same.
    const row = PEST_TIMING.rows.find(({ ids }) => ids.includes(id))!
    expect([row.dipIntervalDays?.from, Number(row.cleanDips)]).toEqual([intervalDays, need])
  })

  test('the planned interval beside the table’s is what dip.plan answers on the command line', () => {
    for (const pest of DIP_PESTS.filter(({ maturityDays }) => maturityDays !== null)) {
      const asked = runOperation('dip.plan', {
        hatchMaxHours: 24 * pest.hatchDays[1],
        maturationMinHours: 24 * pest.maturityDays!,
      })
      expect(asked.ok && asked.value.intervalHours / 24).toBe(plannedIntervalDays(pest))
    }
  })

  test('by hatching: every third day, for Montipora-eating nudibranchs five clean dips', () => {
    expect(dipPaceOf(dipPestById('montipora-nudi'), 'by-hatching')).toMatchObject({ intervalDays: 3, need: 5 })
    expect(dipPaceOf(dipPestById('aefw'), 'by-hatching')).toMatchObject({ intervalDays: 3, need: 8 })
  })

  test('every pace is shorter than the days to the first eggs, where they are known', () => {
    for (const pest of DIP_PESTS)
      for (const pace of ['by-maturity', 'by-hatching'] as const) {
        const { intervalDays, mostDays } = dipPaceOf(pest, pace)
        if (mostDays !== null) expect(intervalDays).toBeLessThan(mostDays)
      }
    expect(plannedIntervalDays(dipPestById('montipora-nudi')!)).toBe(5.5)
    expect(plannedIntervalDays(dipPestById('red-bugs')!)).toBeNull()
    expect(Object.keys(DIP_PEST_FACTS)).toEqual(DIP_PESTS.map(({ id }) => id))
  })

  test('nothing seen: routine dips on day 0, 7, 14, 21, 28', () => {
    expect(dipPaceOf(null, 'by-maturity')).toMatchObject({ intervalDays: 7, need: 5, mostDays: null })
  })
})

const dips = (standing: CourseStanding) => standing.counts.find(({ track }) => track === 'dips')!

describe('clean dips of a course: coral-dip-cycle against zoanthid-eating nudibranchs', () => {
  test('the first is due on the day of the start, the next five days after each', () => {
    const it = fragTub()
    expect(it.windows(0, '09:00', 'dip').slice(0, 3)).toEqual([
      ['c/dip/0', 0],
      ['c/dip/1', 5],
      ['c/dip/2', 10],
    ])
    it.dip(0, '17:00')
    it.count(0, '17:20', 'came-off', [9, 0])
    expect(it.windows(1, '09:00', 'dip').slice(0, 2)).toEqual([
      ['c/dip/1', 5],
      ['c/dip/2', 10],
    ])
    it.dip(6, '10:00')
    expect(it.windows(6, '12:00', 'dip')[0]).toEqual(['c/dip/2', 11])
  })

  test('9, 4, 1, then three rounds of nothing: full with the third, then weekly looks and the end', () => {
    const it = fragTub()
    for (const [day, off] of [
      [0, 9],
      [5, 4],
      [10, 1],
      [15, 0],
      [20, 0],
    ] as const) {
      it.dip(day, '08:30')
      it.count(day, '08:50', 'came-off', [off, 0])
    }
    expect(dips(it.standing(20, '12:00'))).toMatchObject({
      state: 'running',
      has: 2,
      needs: 3,
      restarts: [],
      unit: 'rounds',
    })
    expect(dips(it.standing(20, '12:00')).fullAt).toBe(it.at(25, '08:00').happened)
    it.dip(25, '08:30')
    it.count(25, '08:50', 'came-off', [0, 0])
    const full = it.standing(25, '12:00', 60)
    expect(full).toMatchObject({ stage: 'watching' })
    expect(dips(full)).toMatchObject({ state: 'full', has: 3, basis: 'happened', fullAt: it.at(25, '08:30').happened })
    expect(full.rules.find(({ rule }) => rule === 'success')).toMatchObject({ state: 'holds', is: 3, limit: 3 })
    expect(full.tasks.filter(({ step }) => step === 'dip')).toEqual([])
    expect(it.windows(25, '12:00', 'look', 60).map(([, day]) => day)).toEqual([32, 39, 46, 53, 60, 67])
    expect(it.standing(68, '12:00')).toMatchObject({ stage: 'to-close' })
  })

  test('a host that was left out: the round does not count, and is told', () => {
    const it = fragTub()
    it.dip(0, '08:30', ['zoa'])
    const open = it.plan(0, '12:00')
    expect(open.dips!.rounds[0]!.state).toBe('open')
    expect(open.tasks.find(({ step }) => step === 'dip')).toMatchObject({
      id: 'c/dip/0',
      title: 'Dip the one that is left: psammo',
    })
    const after = it.plan(2, '12:00')
    expect(after.dips!.rounds[0]!.state).toBe('not-all')
    expect(after.dips!.has).toBe(0)
    expect(after.warnings.find(({ id }) => id === 'not-all')!.text).toMatch(/left out psammo: it does not count/)
  })

  test('both hosts in two lots of one day are one round', () => {
    const it = fragTub()
    it.dip(0, '08:30', ['zoa'])
    it.dip(0, '19:00', ['psammo'])
    it.count(0, '19:20', 'came-off', [0, 0])
    expect(it.plan(0, '20:00').dips!.rounds).toMatchObject([{ state: 'clean' }])
  })

  test('not counted on every host, it is no clean round and the count is asked for', () => {
    const it = fragTub()
    it.dip(0, '08:30')
    it.count(0, '08:50', 'came-off', [0])
    const plan = it.plan(0, '12:00')
    expect(plan.dips!.rounds[0]!.state).toBe('not-counted')
    expect(plan.tasks.find(({ step }) => step === 'count')).toMatchObject({ id: 'c/count/0', measure: 'came-off' })
  })

  test('a count that is written days later for its round is still of that round', () => {
    const it = fragTub()
    it.dip(0, '08:30')
    it.write({
      kind: 'count',
      ...it.at(3, '20:00'),
      tankId: 'frag',
      measure: 'came-off',
      parts: [
        { partId: 'zoa', value: 0 },
        { partId: 'psammo', value: 0 },
      ],
      courseId: 'c',
      taskId: 'c/count/0',
    })
    const plan = it.plan(3, '21:00')
    expect(plan.dips!.rounds[0]!.state).toBe('clean')
    expect(plan.tasks.filter(({ step }) => step === 'count')).toEqual([])
  })

  test('eggs alone are a pest seen; after clean rounds they set them back, by the rule’s name', () => {
    const it = fragTub()
    for (const day of [0, 5]) {
      it.dip(day, '08:30')
      it.count(day, '08:50', 'came-off', [0, 0])
    }
    it.dip(10, '08:30')
    it.count(10, '08:50', 'came-off', [0, 0])
    it.count(10, '08:55', 'eggs', [1])
    expect(dips(it.standing(10, '12:00'))).toMatchObject({
      has: 0,
      state: 'running',
      restarts: [{ at: it.at(10, '08:30').happened, why: 'pest-seen' }],
    })
  })

  test('one seen at a look after the dips were clean: they begin again', () => {
    const it = fragTub()
    for (const day of [0, 5, 10]) {
      it.dip(day, '08:30')
      it.count(day, '08:50', 'came-off', [0, 0])
    }
    expect(dips(it.standing(11, '12:00')).state).toBe('full')
    it.count(17, '21:30', 'pest-count', [1, 0])
    expect(dips(it.standing(18, '12:00'))).toMatchObject({
      state: 'running',
      has: 0,
      restarts: [{ at: it.at(17, '21:30').happened, why: 'pest-seen' }],
    })
  })

  test('clean rounds a day apart do not add up: what is in the egg has not hatched', () => {
    const it = fragTub()
    for (const day of [0, 1, 2]) {
      it.dip(day, '08:30')
      it.count(day, '08:50', 'came-off', [0, 0])
    }
    const plan = it.plan(2, '12:00')
    expect(plan.dips!.rounds.map(({ state }) => state)).toEqual(['clean', 'too-soon', 'too-soon'])
    expect(plan.dips!.has).toBe(1)
  })

  test('later than its first eggs may come: broken while overdue, then counted from the late one', () => {
    const it = fragTub()
    it.dip(0, '08:30')
    it.count(0, '08:50', 'came-off', [0, 0])
    expect(dips(it.standing(15, '08:00'))).toMatchObject({ state: 'broken', has: 0 })
    expect(it.plan(15, '08:00').warnings.find(({ id }) => id === 'late-dip')!.tone).toBe('act')
    it.dip(15, '08:30')
    it.count(15, '08:50', 'came-off', [0, 0])
    expect(dips(it.standing(15, '12:00'))).toMatchObject({
      state: 'running',
      has: 1,
      restarts: [{ at: it.at(15, '08:30').happened, why: 'late-dip' }],
    })
  })

  test('too weak, too short or ended early: it was no dip', () => {
    for (const extra of [{ massMg: 5 }, { minutes: 2 }, { stopped: 'shut at once' }]) {
      const it = fragTub()
      it.dip(0, '08:30', undefined, extra)
      expect(it.plan(0, '12:00').dips!.rounds).toEqual([])
    }
  })

  test('from the third dip on a count that rises escalates', () => {
    const it = fragTub()
    const rule = (day: number) => it.standing(day, '12:00').rules.find(({ rule }) => rule === 'escalate-1')
    for (const [day, off] of [
      [0, 3],
      [5, 4],
    ] as const) {
      it.dip(day, '08:30')
      it.count(day, '08:50', 'came-off', [off, 0])
    }
    expect(rule(5)!.state).toBe('not')
    it.dip(10, '08:30')
    it.count(10, '08:50', 'came-off', [6, 0])
    expect(rule(10)).toMatchObject({ role: 'escalate', state: 'holds', is: 6, limit: 4 })
  })

  test('a coral that must not have the dip is named, with the reason', () => {
    const it = fragTub({ options: { pest: 'zoa-nudi', dip: 'peroxide' } })
    expect(it.plan(0, '12:00').warnings.find(({ id }) => id === 'dip-forbidden')!.text).toMatch(
      /Not in this dip: psammo; peroxide is for zoanthids only/,
    )
    const [task] = it.plan(0, '12:00').tasks.filter(({ step }) => step === 'dip')
    expect(task!.dip!.hosts.map(({ name, mustNot }) => [name, mustNot !== null])).toEqual([
      ['zoa', false],
      ['psammo', true],
    ])
  })
})

describe('coral quarantine: quarantine.md 7.5', () => {
  test('days without fish and routine dips side by side; both have to be full', () => {
    const it = fragTub({ definition: 'coral-76', options: {} })
    const start = it.standing(0, '12:00', 90)
    expect(start.counts.map(({ track, needs }) => [track, needs])).toEqual([
      ['fishless', 76 * 24],
      ['dips', 5],
    ])
    expect(it.windows(0, '09:00', 'dip', 40).map(([, day]) => day)).toEqual([0, 7, 14, 21, 28])
    expect(it.windows(0, '09:00', 'read', 30).map(([, day]) => day)).toEqual([0, 3, 7, 10, 14, 17, 21, 24, 28])
    expect(start.tasks.find(({ step }) => step === 'close')!.best).toBe(start.counts[0]!.fullAt)
    expect(start.tasks.find(({ step }) => step === 'look')!.best).toBe(it.at(0, '21:30').happened)
  })

  test('with a fish in the tub only the dips count, and it is said', () => {
    const it = fragTub({ definition: 'coral-76', options: {} })
    it.write({
      kind: 'arrival',
      ...it.at(3, '10:00'),
      animalId: 'goby',
      tankId: 'frag',
      species: 'goby',
      group: 'goby-blenny',
      count: 1,
    })
    const plan = it.plan(5, '12:00')
    expect(plan.fishless!.state).toBe('broken')
    expect(plan.warnings.find(({ id }) => id === 'new-fish')!.text).toMatch(/counts pests, not parasites/)
    expect(plan.dips!.state).toBe('waiting')
  })

  test.each([
    ['water', /one free swimmer/],
    ['tool', /what is wet carries fish water/],
    ['snail', /cysts sit on shells/],
    ['plug', /cysts sit on everything hard/],
    ['fish', /carried a parasite in/],
    ['suspect', /suspicion is enough/],
  ] as const)('%s of another system sets the days back, in its own sentence', (what, words) => {
    const it = fragTub({ definition: 'coral-76', options: {} })
    it.write({ kind: 'contact', ...it.at(9, '10:00'), tankId: 'frag', from: 'hall', what })
    const plan = it.plan(12, '12:00')
    expect(plan.fishless).toMatchObject({ days: 2, restarts: [{ why: 'cross-contact', what }] })
    expect(plan.warnings.find(({ id }) => id === 'cross-contact')!.text).toMatch(words)
  })

  test('a suspicion sets clean dips to none, from its time on, and says so', () => {
    const it = fragTub()
    it.dip(0, '08:30')
    it.count(0, '08:50', 'came-off', [0, 0])
    expect(it.plan(1, '12:00').dips!.has).toBe(1)
    it.write({ kind: 'contact', ...it.at(2, '10:00'), tankId: 'frag', what: 'suspect' })
    const plan = it.plan(2, '12:00')
    expect(plan.dips).toMatchObject({ has: 0, restarts: [{ why: 'suspicion' }], seenAt: null })
    expect(plan.warnings.find(({ id }) => id === 'suspicion')!.text).toMatch(/the clean dips count from there/)
    it.write({ kind: 'contact', ...it.at(2, '11:00'), tankId: 'hall', what: 'suspect' })
    expect(it.plan(2, '12:00').dips!.restarts).toHaveLength(1)
  })

  test('a snail or coral moved in from water with fish sets the days back; from water long without fish, and long there, it does not', () => {
    const moved = (withFish: boolean, since = -100) => {
      const it = fragTub({ definition: 'coral-76', options: {} })
      for (const [animalId, group] of [
        ['turbo', 'shrimp-crab-snail'],
        ...(withFish ? [['goby', 'goby-blenny'] as const] : []),
      ] as const)
        it.write({
          kind: 'arrival',
          ...it.at(since, '10:00'),
          animalId,
          tankId: 'hall',
          species: animalId,
          group,
          count: 1,
        })
      it.write({ kind: 'move', ...it.at(9, '10:00'), animalId: 'turbo', fromTankId: 'hall', toTankId: 'frag' })
      return it.plan(12, '12:00')
    }
    expect(moved(true).fishless).toMatchObject({ days: 2, restarts: [{ why: 'new-wet-item', animalId: 'turbo' }] })
    expect(moved(true).warnings.find(({ id }) => id === 'new-wet-item')!.text).toMatch(/turbo came in/)
    expect(moved(false).fishless).toMatchObject({ days: 11, restarts: [] })
    // Bought twelve days ago, it is as fresh as its shop, whatever tank it stood in since.
    expect(moved(false, -3).fishless).toMatchObject({ days: 2, restarts: [{ why: 'new-wet-item' }] })
  })

  test('a wet hand costs no day', () => {
    const it = fragTub({ definition: 'coral-76', options: {} })
    it.write({ kind: 'contact', ...it.at(9, '10:00'), tankId: 'frag', from: 'hall', what: 'hand' })
    expect(it.plan(12, '12:00').fishless).toMatchObject({ days: 11, restarts: [] })
  })
})

test('every definition has its prose, and every choice its reason', () => {
  for (const id of Object.keys(PROSE)) expect(definitionById(id)).toBeDefined()
  const plans = DEFINITIONS.filter(({ kind }) => kind === 'plan').map(({ id }) => id)
  for (const id of ['coral-76', 'coral-45', 'coral-dip-cycle', 'qt-c-hybrid', 'fallow-76', ...plans]) {
    const { options } = definitionById(id)!
    for (const option of options)
      for (const choice of option.choices)
        expect([id, option.id, choice.id, PROSE[id]!.whys[option.id]?.[choice.id]]).not.toContain(undefined)
  }
})

describe('the look after dark', () => {
  const lookedAt = (time: string, day: number, more: { taskId?: string; measure?: 'pest-count' | 'came-off' } = {}) => {
    const it = fragTub({ definition: 'coral-76', options: { pest: 'none' } })
    it.write({
      kind: 'tank-change',
      ...it.at(-1, '08:00'),
      tankId: 'frag',
      changes: { lightsOn: '10:00', lightsOff: '20:00' },
    })
    const { measure = 'pest-count', taskId } = more
    it.write({
      kind: 'count',
      ...it.at(day, time),
      tankId: 'frag',
      measure,
      parts: [{ partId: 'zoa', value: 0 }],
      courseId: 'c',
      ...(taskId !== undefined && { taskId }),
    })
    const open = it
      .plan(8, '23:00')
      .tasks.filter(({ step, notBefore }) => step === 'look' && notBefore <= it.ms(8, '23:00'))
    return open.length === 0
  }
  test.each<[string, number, Parameters<typeof lookedAt>[2], boolean]>([
    ['21:30', 7, {}, true],
    ['02:00', 8, {}, true],
    ['14:00', 7, {}, false],
    ['14:00', 7, { taskId: 'c/look/1' }, false],
    ['09:00', 8, { taskId: 'c/look/1' }, true],
    ['21:30', 7, { measure: 'came-off' }, false],
  ])('a count at %s on day %i (%j) does it: %s', (time, day, more, done) => {
    expect(lookedAt(time, day, more)).toBe(done)
  })
})
