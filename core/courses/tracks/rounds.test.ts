import { countAt, twoSets, windowsOf } from '../testing/rounds.ts'

describe('tank transfer, standard: quarantine.md 7.2', () => {
  test('before the first move: four wanted, each best at 72 h', () => {
    const it = twoSets()
    expect(countAt(it, 1, 'moves')).toMatchObject({ state: 'running', has: 0, needs: 4, proof: 'logged' })
    expect(it.hours(countAt(it, 1, 'moves').fullAt)).toBe(272)
    expect(windowsOf(it, 1, 'move')).toEqual([
      [60, 72, 74],
      [132, 144, 146],
      [204, 216, 218],
      [276, 288, 290],
    ])
    expect(it.standing(1).tasks.find(({ step }) => step === 'move')).toMatchObject({
      id: 'c/move/0',
      act: 'move',
      state: 'ahead',
    })
    expect(it.standing(61).tasks.find(({ step }) => step === 'move')).toMatchObject({ state: 'due' })
  })

  test('four moves of 67 h end at 268 h: a fifth is wanted, and with it the count is full', () => {
    const it = twoSets()
    for (const hours of [67, 134, 201, 268]) it.move(hours)
    expect(countAt(it, 269, 'moves')).toMatchObject({ state: 'running', has: 4, needs: 5 })
    it.move(340)
    expect(countAt(it, 341, 'moves')).toMatchObject({ state: 'full', has: 5, needs: 5, basis: 'happened' })
    expect(it.hours(countAt(it, 341, 'moves').fullAt)).toBe(340)
    const watching = it.standing(341 + 24)
    expect(watching).toMatchObject({ stage: 'watching', tankId: 'b' })
    expect(watching.counts.find(({ track }) => track === 'watch')).toMatchObject({
      state: 'running',
      has: 25,
      needs: 336,
    })
    expect(windowsOf(it, 341 + 24, 'close', 60)).toEqual([[340 + 336, 340 + 672, null]])
  })

  test('on the dot at 72 h four moves are full at 288', () => {
    const it = twoSets()
    for (const hours of [72, 144, 216, 288]) it.move(hours)
    expect(countAt(it, 288, 'moves')).toMatchObject({ state: 'full', has: 4, needs: 4, restarts: [] })
  })

  test('a move counts when the last living fish has moved', () => {
    const it = twoSets()
    it.move(60, ['needle'])
    expect(countAt(it, 61, 'moves').has).toBe(0)
    it.write({ kind: 'move', ...it.at(71), animalId: 'burr', fromTankId: 'a', toTankId: 'b' })
    expect(countAt(it, 72, 'moves')).toMatchObject({ has: 1 })
    expect(windowsOf(it, 72, 'move')[0]).toEqual([131, 143, 145])
  })

  test('a fish that died is not waited for', () => {
    const it = twoSets()
    it.move(70, ['needle'])
    it.write({ kind: 'death', ...it.at(71), animalId: 'burr', tankId: 'a', cause: 'jumped' })
    expect(countAt(it, 72, 'moves').has).toBe(1)
  })

  test('overdue it is broken and late; made eleven hours late it is hour 0 of a new chain', () => {
    const it = twoSets()
    it.move(70)
    const late = it.standing(150)
    expect(late.counts[0]).toMatchObject({ state: 'broken', has: 0, fullAt: null })
    expect(late.tasks.find(({ step }) => step === 'move')).toMatchObject({ state: 'late', id: 'c/move/1' })
    expect(late.rules.find(({ rule }) => rule === 'late-move')).toMatchObject({
      role: 'event',
      state: 'holds',
      is: 80,
      limit: 74,
    })
    expect(late.warnings.find(({ rule }) => rule === 'late-move')!.text).toMatch(/6 h late/)
    it.move(153)
    expect(countAt(it, 154, 'moves')).toMatchObject({ state: 'running', has: 0, needs: 4 })
    expect(countAt(it, 154, 'moves').restarts).toEqual([{ at: it.at(153).happened, why: 'late-move' }])
    expect(it.hours(countAt(it, 154, 'moves').fullAt)).toBe(153 + 272)
    expect(windowsOf(it, 154, 'move')[0]).toEqual([153 + 60, 153 + 72, 153 + 74])
    expect(it.plan(154).warnings.map(({ text }) => text)[0]).toMatch(/came 9 h over 74 h.*hour 0 of a new chain/)
  })

  test('corrected to its right time, nothing is late any more', () => {
    const it = twoSets()
    it.move(70)
    const wrong = it.write({ kind: 'move', ...it.at(153), animalId: 'needle', fromTankId: 'b', toTankId: 'a' })
    it.write({ kind: 'move', ...it.at(141), animalId: 'burr', fromTankId: 'b', toTankId: 'a' })
    expect(countAt(it, 154, 'moves').restarts).toHaveLength(1)
    it.journal.add([
      {
        id: 'mended',
        logged: it.at(154).happened,
        corrects: wrong.id,
        content: { kind: 'move', ...it.at(141), animalId: 'needle', fromTankId: 'b', toTankId: 'a' },
      },
    ])
    expect(countAt(it, 154, 'moves')).toMatchObject({ has: 2, restarts: [] })
  })

  test('a new fish and a contact make that moment hour 0; its own moves do not', () => {
    const it = twoSets()
    it.move(70)
    it.write({
      kind: 'arrival',
      ...it.at(80),
      animalId: 'new',
      tankId: 'b',
      species: 'wrasse',
      group: 'wrasse',
      count: 1,
    })
    expect(countAt(it, 81, 'moves')).toMatchObject({ has: 0, restarts: [{ at: it.at(80).happened, why: 'new-fish' }] })
    it.write({ kind: 'contact', ...it.at(90), tankId: 'b', from: 'hall', what: 'water' })
    expect(countAt(it, 91, 'moves').restarts.map(({ why }) => why)).toEqual(['new-fish', 'cross-contact'])
    // Water that the fish are not in does not matter.
    it.write({ kind: 'contact', ...it.at(95), tankId: 'a', from: 'hall', what: 'tool' })
    expect(countAt(it, 96, 'moves').restarts).toHaveLength(2)
  })

  test('in observation a sign sets the watch to zero', () => {
    const it = twoSets()
    for (const hours of [72, 144, 216, 288]) it.move(hours)
    it.write({
      kind: 'sighting',
      ...it.at(400),
      tankId: 'a',
      animalIds: ['burr'],
      signs: [{ sign: 'white-grains-countable', present: true }],
    })
    expect(countAt(it, 410, 'watch')).toMatchObject({
      has: 10,
      restarts: [{ at: it.at(400).happened, why: 'sign-seen' }],
    })
  })

  test('over the end of summer time hours are elapsed hours, in two zones', () => {
    for (const [zone, startAt] of [
      ['Europe/Lisbon', '2026-10-24T12:00:00Z'],
      ['America/New_York', '2026-10-31T12:00:00Z'],
    ] as const) {
      const it = twoSets({ zone, startAt })
      expect(windowsOf(it, 1, 'move')[0]).toEqual([60, 72, 74])
      for (const hours of [72, 144, 216, 288]) it.move(hours)
      expect(countAt(it, 289, 'moves')).toMatchObject({ state: 'full', restarts: [] })
    }
  })

  test('over a leap day', () => {
    const it = twoSets({ startAt: '2028-02-27T12:00:00Z' })
    for (const hours of [72, 144, 216, 288]) it.move(hours)
    expect(countAt(it, 289, 'moves').fullAt).toBe('2028-03-10T12:00:00.000Z')
  })
})

describe('velvet interval', () => {
  test('eight moves within 36 h each; six end at nine days and are not enough', () => {
    const it = twoSets({ definition: 'qt-c-velvet' })
    expect(countAt(it, 1, 'moves')).toMatchObject({ needs: 8 })
    expect(windowsOf(it, 1, 'move')[0]).toEqual([30, 34, 37])
    for (let i = 1; i <= 6; i++) it.move(36 * i)
    expect(countAt(it, 217, 'moves')).toMatchObject({ state: 'running', has: 6, needs: 8 })
    for (let i = 7; i <= 8; i++) it.move(36 * i)
    expect(countAt(it, 289, 'moves')).toMatchObject({ state: 'full', has: 8 })
  })
})

describe('the hybrid with its two baths', () => {
  const begun = () => {
    const it = twoSets({ definition: 'qt-c-hybrid' })
    it.bath(71)
    it.move(72)
    return it
  }

  test('the first bath goes with the first move; the second is due 144 h after it, with the move that falls on it', () => {
    expect(windowsOf(twoSets({ definition: 'qt-c-hybrid' }), 1, 'bath')[0]).toEqual([60, 72, 74])
    const it = begun()
    expect(countAt(it, 73, 'baths')).toMatchObject({ state: 'running', has: 1, needs: 2 })
    it.move(144)
    expect(windowsOf(it, 145, 'bath')).toEqual([[71 + 138, 71 + 144, 144 + 74]])
    expect(windowsOf(it, 145, 'move')[0]![1]).toBe(71 + 144)
    it.bath(215)
    it.move(216)
    expect(countAt(it, 217, 'baths')).toMatchObject({ state: 'full', has: 2, basis: 'happened', restarts: [] })
    it.move(288)
    expect(countAt(it, 289, 'moves')).toMatchObject({ state: 'full', has: 4 })
    expect(it.standing(289).stage).toBe('watching')
  })

  test('without both baths the moves are not full', () => {
    const it = twoSets({ definition: 'qt-c-hybrid' })
    for (const hours of [72, 144, 216, 288]) it.move(hours)
    expect(countAt(it, 289, 'moves')).toMatchObject({ state: 'running', has: 4 })
    expect(countAt(it, 289, 'baths')).toMatchObject({ state: 'waiting', has: 0 })
  })

  test('a bath on the wrong day is the first of a new pair, and says so', () => {
    const it = begun()
    it.bath(143)
    it.move(144)
    const standing = it.standing(145)
    expect(standing.counts.find(({ track }) => track === 'baths')).toMatchObject({
      has: 1,
      restarts: [{ at: it.at(143).happened, why: 'bath-spacing' }],
    })
    expect(standing.rules.find(({ rule }) => rule === 'bath-spacing')).toMatchObject({
      state: 'holds',
      is: 72,
      limit: 144,
    })
    expect(windowsOf(it, 145, 'bath')).toEqual([[143 + 138, 143 + 144, 290]])
    expect(standing.warnings.find(({ rule }) => rule === 'bath-spacing')!.text).toMatch(
      /3 d too early.*first of a new pair/,
    )
  })

  test('138 and 150 h are in time, a minute more is not', () => {
    for (const [apart, has] of [
      [138, 2],
      [150, 2],
      [150.02, 1],
      [137.98, 1],
    ] as const) {
      const it = begun()
      it.move(144)
      it.move(200)
      it.bath(71 + apart)
      it.move(71 + apart + 0.5)
      expect(countAt(it, 71 + apart + 0.6, 'baths').has).toBe(has)
    }
  })

  test('a bath that no move followed within two hours does not count', () => {
    const it = twoSets({ definition: 'qt-c-hybrid' })
    it.bath(60)
    expect(countAt(it, 61, 'baths').has).toBe(1)
    it.move(70)
    expect(countAt(it, 71, 'baths')).toMatchObject({ has: 0, restarts: [{ why: 'bath-without-move' }] })
  })

  test('a late move takes the baths before it along', () => {
    const it = begun()
    it.move(72 + 72 + 11)
    const standing = it.standing(156)
    expect(standing.counts.map(({ has }) => has)).toEqual([0, 0, 0, 0])
    expect(standing.counts[1]!.restarts).toEqual([{ at: it.at(155).happened, why: 'late-move' }])
    expect(windowsOf(it, 156, 'bath')[0]).toEqual([155 + 60, 226, 155 + 74])
  })

  test.each<[string, object]>([
    ['weaker than its row', { massMg: 80 }],
    ['shorter than its row', { minutes: 10 }],
  ])('one %s does not count, and says so', (_words, extra) => {
    const it = twoSets({ definition: 'qt-c-hybrid' })
    it.bath(71, ['needle', 'burr'], extra)
    it.move(72)
    expect(countAt(it, 73, 'baths').has).toBe(0)
    expect(it.standing(73).warnings.map(({ rule }) => rule)).toContain('bath-not-whole')
  })

  test('a bath that names nobody is of those that live in that tank; a dip of corals is none of theirs', () => {
    const it = twoSets({ definition: 'qt-c-hybrid' })
    it.bath(71, [], { tankId: 'hall' })
    it.bath(71.1, [], { partIds: ['frag'] })
    expect(countAt(it, 71.5, 'baths').has).toBe(0)
    it.bath(71.6, [])
    expect(countAt(it, 71.7, 'baths').has).toBe(1)
  })

  test('one ended early does not count', () => {
    const it = twoSets({ definition: 'qt-c-hybrid' })
    it.bath(71, ['needle', 'burr'], { minutes: 8, stopped: 'lay over' })
    it.move(72)
    expect(countAt(it, 73, 'baths').has).toBe(0)
  })
})

test('ammonia is judged where the fish are now', () => {
  const it = twoSets()
  it.move(70)
  const judged = () => it.plan(80).rules.find(({ id }) => id === 'ammonia')!.state
  const test = (tankId: string, value: number) =>
    it.write({
      kind: 'reading',
      ...it.at(75),
      tankId,
      parameter: 'tan',
      result: { kind: 'value', value },
      unit: 'mg/L',
      basis: 'N',
    })
  test('a', 0.1)
  expect(judged()).toBe('not-yet')
  test('b', 0.5)
  expect(judged()).toBe('broken')
})

describe('sets and days away', () => {
  test('the set they left asks to be made sterile a day before it is used again, and is told apart', () => {
    const it = twoSets()
    it.move(70)
    expect(windowsOf(it, 71, 'sterilise')[0]).toEqual([70, 70, 144 - 24])
    const wet = () => it.plan(100).rules.find(({ id }) => id === 'set-dry')
    expect(wet()).toMatchObject({ state: 'not-yet' })
    it.write({ kind: 'gear-clean', ...it.at(90), tankId: 'a', how: 'bleached' })
    expect(wet()).toMatchObject({ state: 'broken' })
    expect(it.plan(115).rules.find(({ id }) => id === 'set-dry')).toMatchObject({ state: 'holds' })
    expect(windowsOf(it, 115, 'sterilise')).toEqual([])
  })

  test('days away move a move to the leaving; what cannot be kept says so', () => {
    const it = twoSets()
    it.write({ kind: 'away', ...it.at(1), from: it.at(65).happened, until: it.at(100).happened })
    expect(windowsOf(it, 2, 'move')[0]).toEqual([60, 65, 74])
    const far = twoSets()
    far.write({ kind: 'away', ...far.at(1), from: far.at(50).happened, until: far.at(100).happened })
    expect(far.standing(2).warnings.map(({ rule }) => rule)).toContain('away')
  })

  test('a course that lies ahead is told with its moves, and is not due', () => {
    const it = twoSets()
    const standing = it.standing(-0.5)
    expect(standing).toMatchObject({ stage: 'ahead', anchors: { start: { basis: 'expected' } } })
    expect(standing.tasks.find(({ step }) => step === 'move')).toMatchObject({ state: 'ahead' })
  })
})

describe.each([
  ['Europe/Lisbon', '2026-10-20T12:00:00Z', '2026-11-01T12:00:00.000Z'],
  ['America/New_York', '2026-10-28T12:00:00Z', '2026-11-09T12:00:00.000Z'],
  ['UTC', '2028-02-20T12:00:00Z', '2028-03-03T12:00:00.000Z'],
])('velvet and hybrid in %s from %s, over the clock change and a leap day', (zone, startAt, full) => {
  test('eight moves every 36 h are full after 288 elapsed hours', () => {
    const it = twoSets({ definition: 'qt-c-velvet', zone, startAt })
    for (let i = 1; i <= 8; i++) it.move(36 * i)
    expect(countAt(it, 289, 'moves')).toMatchObject({ state: 'full', has: 8, fullAt: full, restarts: [] })
  })

  test('two baths 144 elapsed hours apart on the way of four moves', () => {
    const it = twoSets({ definition: 'qt-c-hybrid', zone, startAt })
    it.bath(71.5)
    it.move(72)
    it.move(144)
    const [window] = windowsOf(it, 145, 'bath')
    // At 6:30 on the clock nobody is up: half an hour later there.
    expect([window![0], window![2]]).toEqual([209.5, 218])
    expect([215.5, 216]).toContain(window![1])
    it.bath(215.5)
    it.move(216)
    it.move(288)
    expect(countAt(it, 289, 'moves')).toMatchObject({ state: 'full', has: 4, fullAt: full })
    expect(countAt(it, 289, 'baths')).toMatchObject({ state: 'full', has: 2, restarts: [] })
  })
})

describe('a bath counts only when every living fish had a whole one', () => {
  test('one of two fish: it does not count until the other had its own', () => {
    const it = twoSets({ definition: 'qt-c-hybrid' })
    it.bath(10, ['needle'])
    expect(countAt(it, 11, 'baths')).toMatchObject({ state: 'waiting', has: 0 })
    it.bath(10.6, ['burr'])
    expect(countAt(it, 11, 'baths')).toMatchObject({ has: 1 })
  })

  test('too weak, too short or ended early is none', () => {
    for (const extra of [{ massMg: 100 }, { minutes: 5 }, { stopped: 'gasping' as const }]) {
      const it = twoSets({ definition: 'qt-c-hybrid' })
      it.bath(10, ['needle', 'burr'], extra)
      expect(countAt(it, 11, 'baths').has).toBe(0)
    }
  })
})
