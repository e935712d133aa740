import type { Content } from '../../journal/entry.ts'
import { fishlessRisk } from '../outlook/fishless-risk.ts'
import { countAt, twoSets } from '../testing/rounds.ts'

const DAY = 24
/** The fish leave set A on the first of November at `left` hours from noon; the fallow is started then. */
function fallow({ left = 6, definition = 'fallow-76', zone = 'UTC', startAt = '2026-11-01T12:00:00Z' } = {}) {
  const it = twoSets({ definition, zone, startAt, start: { tanks: { main: 'a' }, animalIds: [] } })
  for (const animalId of ['needle', 'burr'])
    it.write({ kind: 'move', ...it.at(left), animalId, fromTankId: 'a', toTankId: 'b' })
  return it
}
const count = (it: ReturnType<typeof twoSets>, hours: number) => countAt(it, hours, 'fishless')

describe('days without fish: quarantine.md 7.5', () => {
  test('while fish are in it waits; it begins at the first midnight after the last left, in whole local days', () => {
    const it = fallow()
    expect(count(it, 1)).toMatchObject({ state: 'waiting', has: 0, needs: 76 * DAY, fullAt: null })
    // Left at 18:00 on the first: day 0 is the second, from midnight.
    expect(count(it, 13)).toMatchObject({ state: 'running', has: 0 })
    expect(it.standing(13).anchors['begun:fishless']!.at).toBe('2026-11-02T00:00:00.000Z')
    expect(count(it, 35.9)).toMatchObject({ has: 0 })
    expect(count(it, 36)).toMatchObject({ has: DAY, proof: 'logged' })
    expect(count(it, 36).fullAt).toBe('2027-01-17T00:00:00.000Z')
  })

  test('full at the 76th midnight, and fish that come back then do not undo it', () => {
    const it = fallow()
    const full = 12 + 76 * DAY
    expect(count(it, full - 0.1)).toMatchObject({ state: 'running', has: 75 * DAY })
    expect(count(it, full)).toMatchObject({ state: 'full', has: 76 * DAY, basis: 'happened' })
    it.write({ kind: 'move', ...it.at(full + 5), animalId: 'needle', fromTankId: 'b', toTankId: 'a' })
    expect(count(it, full + 30)).toMatchObject({ state: 'full', restarts: [] })
    expect(it.standing(full + 30).stage).toBe('to-close')
  })

  test('over the end of summer time a day is still a local day', () => {
    const it = fallow({ zone: 'Europe/Lisbon', startAt: '2026-10-23T12:00:00Z' })
    // Begins at local midnight of the 24th, 23:00 UTC; the 25th has 25 hours.
    expect(count(it, 11 + 2 * 24).has).toBe(DAY)
    expect(count(it, 11 + 49).has).toBe(2 * DAY)
  })

  test.each([
    ['America/New_York', '2026-10-30T12:00:00Z', '2027-01-15T05:00:00.000Z'],
    ['UTC', '2028-02-01T12:00:00Z', '2028-04-18T00:00:00.000Z'],
  ])('the 76th midnight in %s from %s, over the clock change and a leap day', (zone, startAt, full) => {
    expect(count(fallow({ zone, startAt }), 24).fullAt).toBe(full)
  })

  test.each([
    // The last fish leaves on the very midnight, or a minute before: the day that begins then, or has begun, is not whole.
    ['on a midnight', 12, '2026-11-03T00:00:00.000Z'],
    ['a minute before one', 12 - 1 / 60, '2026-11-02T00:00:00.000Z'],
    ['a minute after one', 12 + 1 / 60, '2026-11-03T00:00:00.000Z'],
  ])('moved out %s: the days begin at the next', (_, left, begun) => {
    const it = fallow({ left })
    expect(it.standing(40).anchors['begun:fishless']!.at).toBe(begun)
  })

  test('golden: 76 days with a wet net on day 40, over the end of summer time, by hand', () => {
    // Begun at local midnight of 24 October; the net on 2 December at noon; from the midnight after it 76 days are full on
    // 17 February. The 25th of October has 25 hours, and counts as one day.
    const it = fallow({ zone: 'Europe/Lisbon', startAt: '2026-10-23T12:00:00Z' })
    const at = (instant: string) => (Date.parse(instant) - Date.parse('2026-10-23T12:00:00Z')) / 3_600_000
    expect(count(it, at('2026-12-02T11:59:00Z'))).toMatchObject({ has: 39 * DAY, restarts: [] })
    it.write({ kind: 'contact', ...it.at(at('2026-12-02T12:00:00Z')), tankId: 'a', what: 'tool' })
    expect(count(it, at('2026-12-02T12:30:00Z'))).toMatchObject({ has: 0, restarts: [{ why: 'cross-contact' }] })
    expect(count(it, at('2026-12-03T23:59:00Z')).has).toBe(0)
    expect(count(it, at('2026-12-04T00:00:00Z'))).toMatchObject({ has: DAY, fullAt: '2027-02-17T00:00:00.000Z' })
  })

  test('a fish that comes back sets it to nothing until the midnight after it has left', () => {
    const it = fallow()
    it.write({ kind: 'move', ...it.at(10 * DAY), animalId: 'burr', fromTankId: 'b', toTankId: 'a' })
    expect(count(it, 10 * DAY + 1)).toMatchObject({ state: 'broken', has: 0, restarts: [{ why: 'new-fish' }] })
    it.write({ kind: 'move', ...it.at(11 * DAY), animalId: 'burr', fromTankId: 'a', toTankId: 'b' })
    expect(count(it, 13 * DAY)).toMatchObject({ state: 'running', has: DAY })
  })

  test.each<[Content['kind'], Partial<Content>, string | null]>([
    ['contact', { what: 'water' } as never, 'cross-contact'],
    ['contact', { what: 'snail' } as never, 'cross-contact'],
    ['contact', { what: 'hand' } as never, null],
    ['contact', { what: 'tool' } as never, 'cross-contact'],
    ['arrival', { animalId: 'z', species: 'zoanthid', group: 'coral-soft', count: 1 }, 'new-wet-item'],
  ])('%s %j: %s', (kind, extra, why) => {
    const it = fallow()
    it.write({ kind, ...it.at(10 * DAY), tankId: 'a', ...extra } as Content)
    const found = count(it, 12 * DAY)
    expect(found.restarts.map((one) => one.why)).toEqual(why ? [why] : [])
    expect(found.has).toBe(why ? DAY : 11 * DAY)
  })

  test('fed every day, once a day; nothing after it is full', () => {
    const it = fallow()
    const feeds = (hours: number) => it.standing(hours).tasks.filter(({ step }) => step === 'feed')
    expect(feeds(30)[0]).toMatchObject({ id: 'c/feed/1', state: 'due', act: 'feed' })
    it.write({ kind: 'feed', ...it.at(30), tankId: 'a', foodG: 0.1 })
    expect(feeds(31)[0]).toMatchObject({ id: 'c/feed/2', state: 'ahead' })
    expect(feeds(12 + 77 * DAY)).toEqual([])
  })
})

test('the curve by the defaults of quarantine.md 4.1: about 16 % at 30 days, 5 % at 45, 0.1 % at 76', () => {
  expect(fishlessRisk('marine-ich', 30)).toBeCloseTo(0.16, 1)
  expect(fishlessRisk('marine-ich', 45)).toBeCloseTo(0.05, 2)
  expect(fishlessRisk('marine-ich', 76)!).toBeLessThan(0.002)
  expect(fishlessRisk('uronema', 76)).toBeNull()
})
