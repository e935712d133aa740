import { PROCEDURES, procedureById } from '../catalogue/procedures/procedures.data.ts'
import { PEROXIDE_CAPS } from '../catalogue/handbook/dosing.data.ts'
import type { Content, Entry } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { MS_PER_MINUTE } from '../time/zone.ts'
import {
  benchRun,
  doseOfRun,
  occasionsOf,
  openBenches,
  refusalOf,
  sessionLimit,
  stepsToLeave,
  stillOff,
} from './follow.ts'

const START = Date.parse('2026-06-01T20:00:00Z')
const at = (minute: number) => ({ happened: new Date(START + minute * MS_PER_MINUTE).toISOString() })
const now = (minute: number) => START + minute * MS_PER_MINUTE

/** A session at the bench, written press by press. */
function session(procedure: string, partIds?: string[]) {
  const { record } = scribe('2026-01-01T00:00:00Z')
  let journal = new Journal()
  const entries: Entry[] = []
  const write = (content: Content) => {
    const entry = record(content)
    entries.push(entry)
    journal.add([entry])
  }
  write({ kind: 'bench-start', ...at(0), benchId: 'b', procedure, tankId: 'study', ...(partIds && { partIds }) })
  return {
    run: () => benchRun(journal, 'b')!,
    /** The browser is killed: what is on disk is read anew. */
    kill: () => {
      journal = new Journal()
      journal.add(JSON.parse(JSON.stringify(entries)) as Entry[])
    },
    open: () => openBenches(journal),
    mark: (minute: number, step: string, state: 'begun' | 'done' | 'skipped' = 'done', more: object = {}) =>
      write({ kind: 'bench-mark', ...at(minute), benchId: 'b', step, state, ...more }),
    end: (minute: number) => write({ kind: 'bench-end', ...at(minute), benchId: 'b', outcome: 'finished' }),
  }
}

describe('the procedures', () => {
  test('each puts back what it puts off, ends every clock it begins, and names its source', () => {
    for (const { id, before, steps, after, source, watch } of PROCEDURES) {
      const off = before.flatMap(({ switches }) => (switches?.running === false ? [switches.item] : []))
      const on = after.flatMap(({ switches }) => (switches?.running ? [switches.item] : []))
      expect({ id, on: [...on].sort() }).toEqual({ id, on: [...off].sort() })
      const clocks = steps.flatMap(({ begins }) => (begins ? [begins.clock] : []))
      expect(steps.flatMap(({ ends }) => (ends ? [ends] : []))).toEqual(clocks)
      expect(source).toMatch(/\.md/)
      expect(watch.length).toBeGreaterThan(0)
      for (const { timer } of steps)
        if (timer) expect(timer.stopMinutes ?? Infinity).toBeGreaterThanOrEqual(timer.minutes)
      const keys = occasionsOf(procedureById(id)!, ['A', 'B']).map(({ step, partId }) => `${step} ${partId}`)
      expect(new Set(keys).size).toBe(keys.length)
    }
  })
  test('peroxide’s cap is the handbook’s', () => {
    expect(sessionLimit(100).most).toBe(PEROXIDE_CAPS.rows.find(({ id }) => id === 'normal-cap-per-session')!.ml3)
    expect(sessionLimit(null).most).toBe(0)
  })
})

describe('peroxide on two spots, by hand', () => {
  const titles = () =>
    occasionsOf(procedureById('peroxide-spot')!, ['A', 'B']).map(({ step, partId }) =>
      partId ? `${step} ${partId}` : step,
    )
  test('its order', () => {
    expect(titles()).toEqual([
      'before-wear',
      'before-syringe',
      'before-flow-off',
      'before-top-off-off',
      'before-uv-off',
      'spot A',
      'spot B',
      'still',
      'after-flow-on',
      'after-level',
      'after-top-off-on',
      'after-uv-on',
      'after-away',
    ])
  })
  test('from the first press to the last: what is next, what is owed, what was used', () => {
    const it = session('peroxide-spot', ['A', 'B'])
    expect(it.run()).toMatchObject({ next: { step: 'before-wear' }, owed: [], clocks: [] })
    ;['wear', 'syringe', 'flow-off', 'top-off-off', 'uv-off'].forEach((id, i) => it.mark(i, `before-${id}`))
    // From the first press on everything has to be put back.
    expect(it.run().owed).toHaveLength(5)
    it.mark(6, 'spot', 'done', { partId: 'A', values: [{ id: 'ml', value: 0.8 }] })
    expect(it.run().next).toMatchObject({ step: 'spot', partId: 'B' })
    it.mark(8, 'spot', 'done', { partId: 'B', values: [{ id: 'ml', value: 0.5 }] })
    expect(it.run().totals.get('ml')).toBeCloseTo(1.3, 9)
    it.mark(9, 'still', 'begun')
    expect(it.run().clocks).toEqual([
      { label: 'Leave the water still', begunAt: now(9), ringsAt: now(29), stopsAt: now(39) },
    ])
    it.mark(29, 'still')
    expect(it.run()).toMatchObject({ clocks: [], next: { step: 'after-flow-on' } })
    ;['flow-on', 'level', 'top-off-on', 'uv-on'].forEach((id, i) => it.mark(30 + i, `after-${id}`))
    // One thing is still owed: it is not done, and stands on every screen.
    expect(it.run()).toMatchObject({ next: { step: 'after-away' }, owed: [{ step: 'after-away' }] })
    expect(it.open()).toHaveLength(1)
    it.mark(40, 'after-away')
    expect(it.run().next).toBeNull()
    it.end(41)
    expect(it.run()).toMatchObject({ endedAt: now(41), outcome: 'finished' })
    expect(it.open()).toEqual([])
  })
  test('a wrong order, too much, and too soon are refused, with what to do', () => {
    const it = session('peroxide-spot', ['A', 'B'])
    const find = (step: string, partId: string | null = null) =>
      it.run().occasions.find((one) => one.step === step && one.partId === partId)!
    const refused = (step: string, ml = 0, minute = 0, partId: string | null = null) => {
      const run = it.run()
      const one = run.occasions.find((other) => other.step === step && other.partId === partId)!
      return refusalOf(run, one, ml > 0 ? [{ id: 'ml', value: ml }] : [], 50, now(minute))
    }
    expect(refused('still')).toEqual({
      words: 'First: Gloves and goggles on. The order keeps animals safe.',
      passes: null,
    })
    ;['wear', 'syringe', 'flow-off', 'top-off-off', 'uv-off'].forEach((id) => it.mark(1, `before-${id}`))
    // 50 L bear 1.3 mL.
    expect(refused('spot', 1.3, 2, 'A')).toBeNull()
    it.mark(2, 'spot', 'done', { partId: 'A', values: [{ id: 'ml', value: 0.9 }] })
    expect(refused('spot', 0.5, 3, 'B')).toMatchObject({
      words: expect.stringMatching(/^1\.4 mL is over the 1\.3 mL/) as string,
      passes: null,
    })
    it.mark(3, 'spot', 'skipped', { partId: 'B', why: 'cap reached' })
    expect(find('spot', 'B')).toMatchObject({ state: 'skipped', why: 'cap reached' })
    it.mark(4, 'still', 'begun')
    expect(refused('still', 0, 14)).toEqual({
      words: '5 min too early: it works for 15 min at least.',
      passes: 'reason',
    })
    expect(refused('still', 0, 19)).toBeNull()
  })
})

test('a coral out of the water is on the clock until it is back, beside the timer of its dip', () => {
  const it = session('brown-jelly-cut')
  ;['wear', 'bucket', 'dip', 'flow-off', 'top-off-off'].forEach((id) => it.mark(0, `before-${id}`))
  it.mark(1, 'siphon')
  it.mark(2, 'bag')
  it.mark(4, 'cut', 'done', { values: [{ id: 'heads', value: 1 }] })
  it.mark(5, 'dip', 'begun')
  expect(it.run().clocks).toEqual([
    { label: 'out of the tank', begunAt: now(2), ringsAt: now(12), stopsAt: now(17) },
    { label: 'Dip what is left in iodine', begunAt: now(5), ringsAt: now(10), stopsAt: now(15) },
  ])
  it.mark(10, 'dip')
  it.mark(11, 'rinse')
  it.mark(12, 'isolate', 'done', { values: [{ id: 'left', value: 3 }] })
  expect(it.run().clocks).toEqual([])
  expect(it.run().next!.step).toBe('bleach')
})

test('killed and resumed at a random press, fifty times: it goes on where it was', () => {
  let seed = 7
  const random = () => (seed = (seed * 1_103_515_245 + 12_345) % 2 ** 31) / 2 ** 31
  for (let round = 0; round < 50; round++) {
    const id = PROCEDURES[round % PROCEDURES.length]!.id
    const it = session(id, ['A', 'B', 'C'])
    const all = it.run().occasions
    const killAt = Math.floor(random() * all.length)
    all.forEach(({ step, partId }, i) => {
      const before = it.run()
      if (i === killAt) {
        it.kill()
        expect(it.run()).toEqual(before)
      }
      expect(before.next).toMatchObject({ step, partId })
      it.mark(i, step, random() < 0.2 ? 'skipped' : 'done', partId === null ? {} : { partId })
      // The same press from a second tab changes nothing.
      const once = it.run()
      it.mark(i, step, 'done', partId === null ? {} : { partId })
      expect(it.run().occasions).toEqual(once.occasions)
    })
    expect(it.run().next).toBeNull()
  }
})

test('what is no run, or of no procedure, is none', () => {
  const it = session('moon-landing')
  expect(it.run()).toBeNull()
  expect(it.open()).toEqual([])
  expect(benchRun(new Journal(), 'b')).toBeNull()
})

test('what a session used becomes a dose of the ledger, with what was set aside for it', () => {
  const procedure = procedureById('peroxide-spot')!
  const overrides = [{ rule: 'r', why: 'no shrimp left', vetAgreed: false }]
  expect(doseOfRun(procedure, { tankId: 'study', overrides }, 1.3, at(0).happened)).toMatchObject({
    ingredient: 'peroxide',
    amount: 1.3,
    // 3 % by mass: 30.28 mg in a mL.
    massMg: expect.closeTo(39.4, 1) as number,
    overrides,
  })
  expect(doseOfRun(procedure, { tankId: 'study' }, 0, at(0).happened)).toBeNull()
  expect(doseOfRun(procedureById('brown-jelly-cut')!, { tankId: 'study' }, 5, at(0).happened)).toBeNull()
})

test('stopping leaves no coral in the air: what ends its clock stays, and so does the clock', () => {
  const it = session('brown-jelly-cut')
  ;['wear', 'bucket', 'dip', 'flow-off', 'top-off-off'].forEach((id) => it.mark(0, `before-${id}`))
  const left = () => stepsToLeave(it.run()).map(({ step }) => step)
  expect(left()).toContain('isolate')
  it.mark(1, 'siphon')
  it.mark(2, 'bag')
  expect(left()).toEqual(['cut', 'dip', 'rinse', 'bleach'])
  for (const step of left()) it.mark(3, step, 'skipped', { why: 'stopped here' })
  expect(it.run()).toMatchObject({ next: { step: 'isolate' }, clocks: [{ label: 'out of the tank' }] })
  it.mark(4, 'isolate')
  expect(it.run()).toMatchObject({ next: { step: 'after-flow-on' }, clocks: [] })
  expect(stillOff(it.run()).map(({ item }) => item)).toEqual(['flow', 'auto-top-off'])
  it.mark(5, 'after-flow-on')
  expect(stillOff(it.run()).map(({ item }) => item)).toEqual(['auto-top-off'])
})
