import fc from 'fast-check'
import { limitsFor } from './limits.ts'
import type { Setting } from './simulate.ts'
import { candidates, judge, keepsAll, offBy, tryOut } from './trials.ts'
import { compareRatios, compareWays, waited, type Question, type Way } from './ways.ts'
import { beyondWords } from './words.ts'

const SEA = { temperatureC: 25, salinityPsu: 35, pH: 8.1, alkalinityDkh: 8.4 }
const setting: Setting = {
  bag: { volumeL: 1.2, temperatureC: 22, salinityPsu: 33.5, pH: 7.4, alkalinityDkh: 7, tanMgPerL: 0.4 },
  tank: SEA,
  container: { capacityL: 6, leaveL: 3 },
  room: { temperatureC: 24 },
  float: { minutes: 20 },
}
const question = (changes: Partial<Setting> = {}, more: Partial<Question> = {}, group = 'hawkfish'): Question => {
  const all = { ...setting, ...changes }
  return {
    setting: all,
    limits: limitsFor(group, all.bag.salinityPsu, all.tank.salinityPsu)!.limits,
    shippingHours: 18,
    tankCanBeMatched: true,
    ...more,
  }
}
const kinds = ({ ways }: { ways: readonly Way[] }) => ways.map(({ kind }) => kind)

describe('the ways side by side', () => {
  test('all four, the advised one first, and it keeps every limit', () => {
    const { advised, ways } = compareWays(question())
    expect(ways[0]!.kind).toBe(advised)
    expect(ways[0]!.broken).toEqual([])
    expect(kinds({ ways }).sort()).toEqual(['at-once', 'drip', 'match-and-release', 'scoop'])
  })

  test('a bag a little off, within what is borne at once: across after the float breaks nothing', () => {
    const asked = question({ bag: { ...setting.bag, salinityPsu: 34.4 } })
    const { advised, ways, reasons } = compareWays(asked)
    expect([advised, ways[0]!.kind, ways[0]!.broken]).toEqual(['at-once', 'at-once', []])
    expect(reasons.join('; ')).toContain('bag and tank are 0.6 psu apart; up to 1 psu are borne at once')
  })

  test('whatever the bag, the room and the animal: what is advised keeps every limit, or says that nothing does', () => {
    const figure = (min: number, max: number) => fc.double({ min, max, noNaN: true })
    fc.assert(
      fc.property(
        fc.record({
          salinityPsu: figure(26, 37),
          temperatureC: figure(18, 28),
          pH: figure(6.5, 8.2),
          tanMgPerL: figure(0, 6),
          volumeL: figure(0.4, 2),
        }),
        figure(16, 27),
        fc.constantFrom('hawkfish', 'wrasse', 'anemone', 'shrimp-crab-snail', 'star-urchin', 'coral-sps'),
        fc.boolean(),
        (bag, roomC, group, tankCanBeMatched) => {
          const changes = { bag: { ...setting.bag, ...bag }, room: { temperatureC: roomC } }
          const { advised, ways, reasons } = compareWays(question(changes, { tankCanBeMatched }, group))
          if (advised === 'match-and-release' || advised === null) expect(advised === null).toBe(!tankCanBeMatched)
          else expect([ways[0]!.kind, ways[0]!.broken]).toEqual([advised, []])
          expect(reasons.length).toBeGreaterThan(1)
        },
      ),
      { numRuns: 12 },
    )
  })

  test('a tank with others in it is not set to a bag: that way is not shown', () => {
    expect(kinds(compareWays(question({}, { tankCanBeMatched: false })))).not.toContain('match-and-release')
  })

  test('what each way is said to break is what it breaks', () => {
    const of = { ...setting.bag, salinityPsu: 27, pH: 6.8, tanMgPerL: 4 }
    const asked = question({ bag: of })
    for (const { method, points, broken, moveAt } of compareWays(asked).ways) {
      if (!method) continue
      const trial = judge({ points }, method, { ...asked.setting, animal: asked.limits })
      const what = broken.map((one) => one.what)
      expect(what.includes('pace')).toBe(trial.peakPsuPerHour > asked.limits.maxPsuPerHour + 1e-9)
      expect(what.includes('free-ammonia')).toBe(trial.peakFree > asked.limits.maxFreeAmmoniaMgPerL + 1e-9)
      expect(what.includes('time')).toBe(moveAt > asked.limits.maxMinutes)
      expect(broken.length === 0).toBe(keepsAll(trial, asked.limits))
    }
  })

  test('across at once is a jump, judged as one: eight psu are 32 an hour', () => {
    const { ways } = compareWays(question({ bag: { ...setting.bag, salinityPsu: 27 } }))
    const atOnce = ways.find(({ kind }) => kind === 'at-once')!
    expect(atOnce.peakPsuPerHour).toBeCloseTo(32, 6)
    expect(atOnce.broken.map(({ words }) => words).join('; ')).toMatch(/32 psu an hour.*still 8 psu off/)
    const matched = ways.find(({ kind }) => kind === 'match-and-release')!
    expect([matched.peakPsuPerHour, matched.broken]).toEqual([0, []])
  })

  test('a bag that is within reach needs no mixing: the float, and across', () => {
    const { advised, ways } = compareWays(question({ bag: { ...setting.bag, salinityPsu: 34.5 } }))
    expect(advised).toBe('at-once')
    expect(kinds({ ways }).sort()).toEqual(['at-once', 'match-and-release'])
    expect(ways[0]).toMatchObject({ moveAt: 20, method: null, broken: [] })
  })

  test('nothing keeps its limits and the tank cannot be set: no way is advised, the least harmful stands first', () => {
    const { advised, ways, reasons } = compareWays(
      question({ bag: { ...setting.bag, salinityPsu: 26, pH: 6.6, tanMgPerL: 6 } }, { tankCanBeMatched: false }),
    )
    expect(advised).toBeNull()
    expect(ways.every(({ broken }) => broken.length > 0)).toBe(true)
    expect(reasons.at(-1)).toMatch(/every way left breaks a limit/)
    const worst = ways.map(({ ratios }) => Math.max(...ratios))
    expect(worst).toEqual([...worst].sort((a, b) => a - b))
  })

  test('a drip that waits a little with little ammonia stands before a jump of nine times the salinity it bears', () => {
    // A sea star between 33 and 35 psu: 8 psu an hour at once where it bears 1; the drip takes longer than it may wait.
    const asked = question(
      { bag: { ...setting.bag, salinityPsu: 31, tanMgPerL: 0.05, pH: 7.9 } },
      { tankCanBeMatched: false },
      'star-urchin',
    )
    const { advised, ways } = compareWays({ ...asked, limits: { ...asked.limits, maxMinutes: 120 } })
    expect(advised).toBeNull()
    const atOnce = ways.find(({ kind }) => kind === 'at-once')!
    const drip = ways.find(({ kind }) => kind === 'drip')!
    expect(Math.max(...atOnce.ratios)).toBeGreaterThan(9)
    expect(drip.broken.length).toBeGreaterThanOrEqual(atOnce.broken.length)
    expect(ways.at(-1)!.kind).toBe('at-once')
    expect(ways[0]!.kind).not.toBe('at-once')
  })

  test('of two equally far from a limit, or both within, ammonia decides, then salinity, temperature, hardness, waiting', () => {
    const of = (...ratios: number[]) => ({ ratios })
    expect(compareRatios(of(0, 9, 0, 0, 0.2), of(0.3, 1, 0, 0, 1.3))).toBeGreaterThan(0)
    expect(compareRatios(of(0.9, 0.1, 0, 0, 0.1), of(0.2, 0.9, 0, 0, 0.9))).toBeGreaterThan(0)
    expect(compareRatios(of(0.2, 0.9, 0, 0, 0.1), of(0.2, 0.4, 0, 0, 0.9))).toBeGreaterThan(0)
    expect(compareRatios(of(0.2, 0.4, 0, 0, 0.9), of(0.2, 0.4, 0, 0, 0.5))).toBeGreaterThan(0)
    expect(compareRatios(of(2, 0, 0, 0, 0.1), of(0, 2, 0, 0, 0.1))).toBeGreaterThan(0)
    expect(compareRatios(of(1, 1, 0, 0, 1), of(1, 1, 0, 0, 1))).toBe(0)
  })

  test('a sealed bag loses no gas: what is dangerous in it is said to be so before it is opened', () => {
    // High pH from the start: free ammonia is highest as it warms, and only mixing brings it down.
    const asked = question(
      { bag: { ...setting.bag, salinityPsu: 33.5, pH: 8.3, tanMgPerL: 3, temperatureC: 20 } },
      { tankCanBeMatched: false },
    )
    const { ways, reasons } = compareWays(asked)
    const words = [...reasons, ...ways.flatMap(({ broken }) => broken.map((one) => one.words))].join('; ')
    expect(words).toMatch(/in the sealed bag/)
    expect(words).not.toMatch(/the gas leaves/)
  })

  test('where only the cold room is in the way, that is said, and what would do if it were kept warm', () => {
    const cold = question(
      { room: { temperatureC: 15 }, bag: { ...setting.bag, salinityPsu: 36 } },
      { tankCanBeMatched: false },
      'star-urchin',
    )
    const { advised, keptWarm, reasons } = compareWays(cold)
    expect(advised).toBeNull()
    expect(['drip', 'scoop']).toContain(keptWarm)
    expect(reasons.join(' ')).toMatch(/loses its warmth to the room and stays .* off/)
    const warm = compareWays({ ...cold, setting: { ...cold.setting, room: { temperatureC: 25 } } })
    expect([warm.advised, warm.keptWarm]).toEqual([keptWarm, null])
  })

  test('in fresh water hardness has to come within reach; salinity is never spoken of', () => {
    const fresh: Partial<Setting> = {
      bag: { volumeL: 1, temperatureC: 24, salinityPsu: 0.2, pH: 7, alkalinityDkh: 12, tanMgPerL: 0.2 },
      tank: { temperatureC: 25, salinityPsu: 0.2, pH: 7.4, alkalinityDkh: 4 },
    }
    const { ways, reasons } = compareWays(question(fresh, {}, 'fw-cichlid'))
    const mixing = ways.find(({ method }) => method !== null)!
    // 8 dKH apart, 4 wanted: half the bag's water has to be gone.
    expect(mixing.points.at(-1)!.bagWaterFraction).toBeLessThanOrEqual(0.5 + 1e-9)
    expect(mixing.points.at(-2)!.bagWaterFraction).toBeGreaterThan(0.5)
    expect([...reasons, ...ways.flatMap(({ broken }) => broken.map(({ words }) => words))].join(' ')).not.toMatch(/psu/)
  })
})

test('a limit that is passed by little is seen to be passed', () => {
  expect([beyondWords(2.04, 2), beyondWords(2.4, 2), beyondWords(8, 2)]).toEqual(['2.04 psu', '2.4 psu', '8 psu'])
})

describe('what waiting does', () => {
  test('to an old bag that stands open free ammonia rises with the minutes', () => {
    const old = question({ bag: { ...setting.bag, pH: 6.6, tanMgPerL: 6 } })
    const peaks = [0, 15, 30, 60].map(
      (waitMinutes) => waited({ ...old, waitMinutes }, { kind: 'at-once', method: null }).peakFree,
    )
    expect(peaks).toEqual([...peaks].sort((a, b) => a - b))
    expect(peaks[3]!).toBeGreaterThan(1.5 * peaks[0]!)
  })

  test('the animal goes across so much later, and nothing is mixed before', () => {
    const { ways } = compareWays(question())
    const way = ways.find(({ kind }) => kind === 'scoop')!
    const later = waited({ ...question(), waitMinutes: 30 }, way)
    expect(later.method).toEqual(way.method)
    expect(later.points[50]!.salinityPsu).toBeCloseTo(33.5, 9)
    expect(later.moveAt).toBeGreaterThanOrEqual(way.moveAt + 25)
    expect(later.moveAt).toBeLessThanOrEqual(way.moveAt + 40)
  })

  test('what the animal gives off counts while it waits', () => {
    const still = question({ bag: { ...setting.bag, pH: 7.8 } }, { waitMinutes: 60 })
    const breathing = { ...still, setting: { ...still.setting, excretionMgPerHour: 1.2 } }
    const tan = (one: Question) => waited(one, { kind: 'at-once', method: null }).points.at(-1)!.tanMgPerL
    // Afloat and open, 80 minutes of 1 mg/L an hour.
    expect(tan(breathing) - tan(still)).toBeCloseTo(80 / 60, 6)
  })
})

describe('ways that are tried', () => {
  const anyBag = fc.record({
    volumeL: fc.double({ min: 0.2, max: 4, noNaN: true }),
    capacityL: fc.double({ min: 1.2, max: 4, noNaN: true }),
  })
  test('all can be done: a drip to two figures, a scoop that a pour-off makes room for', () => {
    fc.assert(
      fc.property(anyBag, ({ volumeL, capacityL }) => {
        const container = { capacityL: volumeL * capacityL, leaveL: (volumeL * capacityL) / 2 }
        const methods = candidates({ bag: { ...setting.bag, volumeL }, container }, 40)
        expect(methods.some(({ kind }) => kind === 'drip')).toBe(true)
        for (const method of methods)
          if (method.kind === 'drip') expect(Number(method.mlPerMinute.toPrecision(2))).toBe(method.mlPerMinute)
          else {
            expect(method.scoopL).toBeGreaterThan(0)
            expect(method.scoopL).toBeLessThanOrEqual(container.capacityL - container.leaveL + 1e-9)
          }
      }),
      { numRuns: 40 },
    )
  })

  test('what is off is said with its sign and how near it has to be; an exact edge is within', () => {
    const { limits } = limitsFor('hawkfish', 33, 35)!
    const at = (salinityPsu: number, temperatureC: number) =>
      offBy({ salinityPsu, temperatureC, bagWaterFraction: 0.5 }, setting, limits)
    expect(at(35 - limits.matchPsu, 25 + limits.matchC)).toEqual([])
    expect(at(33, 27)).toEqual([
      { what: 'salinity', by: -2, within: limits.matchPsu },
      { what: 'temperature', by: 2, within: limits.matchC },
    ])
  })

  test('a way is never ready before its float is over', () => {
    const near = { ...setting, bag: { ...setting.bag, salinityPsu: 35, temperatureC: 25 } }
    const { limits } = limitsFor('hawkfish', 35, 35)!
    expect(tryOut(near, limits, { kind: 'drip', mlPerMinute: 10 }, 30).readyAt).toBe(20)
  })
})
