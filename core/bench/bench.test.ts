import { PROCEDURES } from '../catalogue/procedures/procedures.ts'
import { Journal } from '../journal/journal.ts'
import { benchRun, occasionBefore, spansOf, stepsToLeave, stillOff } from './follow.ts'
import { now, session } from './testing.ts'

describe('peroxide on two spots, press by press', () => {
  test('what is next, what is owed, what was used', () => {
    const it = session('peroxide-spot', { partIds: ['A', 'B'] })
    expect(it.next()).toMatchObject({ step: 'before-wear' })
    expect(it.run()).toMatchObject({ owed: [], clocks: [], lastMark: null })
    it.prepare(1)
    // From the first press on everything has to be put back.
    expect(it.run().owed).toHaveLength(5)
    it.mark(6, 'spot', 'done', { partId: 'A', values: [{ id: 'ml', value: 0.8 }] })
    expect(it.next(6)).toMatchObject({ step: 'spot', subjectId: 'B' })
    it.mark(8, 'spot', 'done', { partId: 'B', values: [{ id: 'ml', value: 0.5 }] })
    expect(it.run().totals.get('ml')).toBeCloseTo(1.3, 9)
    it.mark(9, 'still', 'begun')
    expect(it.run().clocks).toMatchObject([
      { label: 'Leave the water still', begunAt: now(9), ringsAt: now(29), stopsAt: now(39), step: 'still' },
    ])
    it.mark(29, 'still')
    expect(it.run().clocks).toEqual([])
    expect(it.next(29)).toMatchObject({ step: 'after-flow-on' })
    ;['flow-on', 'level', 'top-off-on', 'uv-on'].forEach((id, i) => it.mark(30 + i, `after-${id}`))
    // One thing is still owed: it is not done, and stands on every screen.
    expect(it.run().owed).toMatchObject([{ step: 'after-away' }])
    expect(it.open()).toHaveLength(1)
    it.mark(40, 'after-away')
    expect(it.next(40)).toBeNull()
    it.end(41)
    expect(it.run()).toMatchObject({ endedAt: now(41), end: { outcome: 'finished' }, lastMark: null })
    expect(it.open()).toEqual([])
  })

  test('the last press is taken back, with what it switched', () => {
    const it = session('peroxide-spot', { partIds: ['A'] })
    it.mark(1, 'before-wear')
    it.mark(2, 'before-syringe')
    it.mark(3, 'before-flow-off')
    it.write({
      kind: 'equipment',
      happened: new Date(now(3)).toISOString(),
      tankId: 'study',
      item: 'flow',
      running: false,
    })
    const { lastMark } = it.run()
    expect(lastMark).toMatchObject({ title: 'Pumps and filter off' })
    expect(lastMark!.entryIds).toHaveLength(2)
    for (const id of lastMark!.entryIds) it.strike(id)
    expect(it.next(4)).toMatchObject({ step: 'before-flow-off' })
    expect(it.journal().ofKind('equipment')).toEqual([])
    expect(it.run().lastMark).toMatchObject({ title: expect.stringMatching(/^Syringe/) as string })
  })
})

describe('several at once', () => {
  const round = () => {
    const it = session('coral-dip', { partIds: ['A', 'B', 'C'], choices: [{ id: 'dip', option: 'iodine' }] })
    it.prepare(0)
    return it
  }
  test('while one coral is in the dip the next is begun; the one whose time is up comes first', () => {
    const it = round()
    it.mark(1, 'dip', 'begun', { partId: 'A' })
    expect(it.next(1)).toMatchObject({ step: 'dip', subjectId: 'B' })
    it.mark(3, 'dip', 'begun', { partId: 'B' })
    expect(it.next(3)).toMatchObject({ step: 'dip', subjectId: 'C' })
    expect(it.run().clocks.map(({ subjectId, ringsAt, stopsAt }) => [subjectId, ringsAt, stopsAt])).toEqual([
      ['A', now(6), now(11)],
      ['B', now(8), now(13)],
    ])
    // Iodine: five minutes at least, ten at most.
    expect(it.next(6)).toMatchObject({ step: 'dip', subjectId: 'A' })
    it.mark(6, 'dip', 'done', { partId: 'A' })
    expect(it.next(6)).toMatchObject({ step: 'count', subjectId: 'A' })
    // B may come out though A is not finished: its time does not wait.
    expect(occasionBefore(it.run(), it.find('dip', 'B'))).toBeNull()
    expect(it.next(8)).toMatchObject({ step: 'dip', subjectId: 'B' })
    // What A still needs stands before C: A is not resting any more.
    expect(occasionBefore(it.run(), it.find('dip', 'C'))).toMatchObject({ step: 'count', subjectId: 'A' })
    for (const step of ['count', 'rinse', 'back']) it.mark(7, step, 'done', { partId: 'A' })
    expect(it.next(7)).toMatchObject({ step: 'dip', subjectId: 'C' })
  })
  test('with nobody left to begin, it waits for the one in the dip', () => {
    const it = session('coral-dip', { partIds: ['A'], choices: [{ id: 'dip', option: 'iodine' }] })
    it.prepare(0)
    it.mark(1, 'dip', 'begun', { partId: 'A' })
    expect(it.next(2)).toMatchObject({ step: 'dip', state: 'begun' })
  })
  test('a step that does not rest lets nobody else begin', () => {
    const it = session('peroxide-bench', { partIds: ['A', 'B'], figures: [{ id: 'tubL', value: 2 }] })
    it.prepare(0)
    it.mark(1, 'lift', 'done', { partId: 'A' })
    it.mark(2, 'drip', 'done', { partId: 'A', values: [{ id: 'ml', value: 1 }] })
    it.mark(2, 'wait', 'begun', { partId: 'A' })
    expect(it.next(3)).toMatchObject({ step: 'wait', subjectId: 'A' })
    expect(occasionBefore(it.run(), it.find('lift', 'B'))).toMatchObject({ step: 'wait' })
    it.mark(4, 'wait', 'done', { partId: 'A' })
    it.mark(5, 'flood', 'done', { partId: 'A' })
    it.mark(5, 'watch', 'begun', { partId: 'A' })
    // The rock in the flooded tub rests: the next one may be lifted.
    expect(it.next(6)).toMatchObject({ step: 'lift', subjectId: 'B' })
  })
})

test('a coral out of the water is on the clock until it is back, beside the timer of its dip', () => {
  const it = session('brown-jelly-cut')
  it.prepare(0)
  it.mark(1, 'siphon')
  it.mark(2, 'bag')
  it.mark(4, 'cut', 'done', { values: [{ id: 'heads', value: 1 }] })
  it.mark(5, 'dip', 'begun')
  expect(it.run().clocks).toMatchObject([
    { label: 'out of the tank', begunAt: now(2), ringsAt: now(12), stopsAt: now(17), step: null },
    { label: 'Dip what is left in iodine', begunAt: now(5), ringsAt: now(10), stopsAt: now(15), step: 'dip' },
  ])
  it.mark(10, 'dip')
  it.mark(11, 'rinse')
  it.mark(12, 'isolate', 'done', { values: [{ id: 'left', value: 3 }] })
  expect(it.run().clocks).toEqual([])
  expect(spansOf(it.run())).toMatchObject([
    { label: 'out of the tank', begunAt: now(2), endedAt: now(12), stopMinutes: 15 },
  ])
  expect(it.next(12)!.step).toBe('bleach')
})

test('how long a rock may be out follows from who is on it', () => {
  const limits = (option: string) => {
    const it = session('anemone-rock', { partIds: ['A'], choices: [{ id: 'air', option }] })
    it.prepare(0)
    it.mark(1, 'lift', 'done', { partId: 'A' })
    const { begunAt, ringsAt, stopsAt, wetEveryMinutes } = it.run().clocks[0]!
    return [(ringsAt - begunAt) / 60_000, (stopsAt! - begunAt) / 60_000, wetEveryMinutes]
  }
  expect(limits('small-polyp')).toEqual([10, 15, null])
  expect(limits('bare')).toEqual([10, 15, null])
  expect(limits('hardy')).toEqual([50, 60, 3])
})

test('killed and resumed at a random press, fifty times and more: it goes on where it was', () => {
  let seed = 7
  const random = () => (seed = (seed * 1_103_515_245 + 12_345) % 2 ** 31) / 2 ** 31
  for (let round = 0; round < 3 * PROCEDURES.length; round++) {
    const { id, subjects } = PROCEDURES[round % PROCEDURES.length]!
    const ids = subjects.length > 0 ? ['A', 'B', 'C'] : []
    const isOfFish = subjects.includes('animal')
    const it = session(id, ids.length === 0 ? {} : isOfFish ? { animalIds: ids } : { partIds: ids })
    const presses = it.run().occasions.length
    const killAt = Math.floor(random() * presses * 0.8)
    // An item that was left out before has none to put back, so that there may be fewer presses.
    for (let i = 0; i < presses && it.next(i); i++) {
      if (i === killAt) {
        const before = it.run()
        it.kill()
        expect(it.run()).toEqual(before)
      }
      const { step, subjectId } = it.next(i)!
      const of = subjectId === null ? {} : isOfFish ? { animalId: subjectId } : { partId: subjectId }
      it.mark(i, step, random() < 0.2 ? 'skipped' : 'done', of)
      // The same press from a second tab changes nothing.
      const once = it.run()
      it.mark(i, step, 'done', of)
      expect(it.run().occasions).toEqual(once.occasions)
    }
    expect(it.next(presses)).toBeNull()
  }
  expect(3 * PROCEDURES.length).toBeGreaterThanOrEqual(50)
})

test('what is no run, or of no procedure, is none', () => {
  const it = session('moon-landing')
  expect(it.run()).toBeNull()
  expect(it.open()).toEqual([])
  expect(benchRun(new Journal(), 'b')).toBeNull()
})

test('stopping leaves no coral in the air: what ends its clock stays, and so does the clock', () => {
  const it = session('brown-jelly-cut')
  it.prepare(0)
  const left = () => stepsToLeave(it.run()).map(({ step }) => step)
  expect(left()).toContain('isolate')
  it.mark(1, 'siphon')
  it.mark(2, 'bag')
  expect(left()).toEqual(['cut', 'dip', 'rinse', 'bleach'])
  for (const step of left()) it.mark(3, step, 'skipped', { why: 'stopped here' })
  expect(it.next(3)).toMatchObject({ step: 'isolate' })
  expect(it.run().clocks).toMatchObject([{ label: 'out of the tank' }])
  it.mark(4, 'isolate')
  expect(it.next(4)).toMatchObject({ step: 'after-flow-on' })
  expect(it.run().clocks).toEqual([])
  expect(stillOff(it.run()).map(({ item }) => item)).toEqual(['flow', 'auto-top-off'])
  it.mark(5, 'after-flow-on')
  expect(stillOff(it.run()).map(({ item }) => item)).toEqual(['auto-top-off'])
})

test('what was never switched off is not asked to be put back', () => {
  const it = session('peroxide-spot', { partIds: ['A'] })
  it.mark(1, 'before-wear')
  it.mark(1, 'before-syringe')
  it.mark(1, 'before-flow-off')
  it.mark(1, 'before-top-off-off')
  it.mark(1, 'before-uv-off', 'skipped', { why: 'not at this tank' })
  expect(it.find('after-uv-on')).toMatchObject({ state: 'skipped', why: 'was not switched' })
  expect(it.run().owed.map(({ step }) => step)).toEqual([
    'after-flow-on',
    'after-level',
    'after-top-off-on',
    'after-away',
  ])
})

test('what is meant to stay off is owed to nobody', () => {
  const it = session('blackout-cover')
  it.prepare(1)
  // The lamps are off for three days: that is the treatment.
  expect(stillOff(it.run())).toEqual([])
  expect(it.run().owed.map(({ step }) => step)).toEqual(['after-cover-on', 'after-co2-off', 'after-air-on'])
})
