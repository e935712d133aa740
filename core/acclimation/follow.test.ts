import { follow, type Happening, type RunSetup } from './follow.ts'
import { limitsFor } from './limits.ts'
import { playOut, type Setting } from './simulate.ts'

const setting: Setting = {
  bag: { volumeL: 1, temperatureC: 22, salinityPsu: 31, pH: 7.4, alkalinityDkh: 7, tanMgPerL: 0.4 },
  tank: { temperatureC: 25, salinityPsu: 33, pH: 8.1, alkalinityDkh: 8.4 },
  container: { capacityL: 2, leaveL: 1 },
  room: { temperatureC: 24 },
  float: { minutes: 15 },
}
const { limits } = limitsFor('hawkfish', 31, 33)!
const scooping: RunSetup = {
  setting,
  limits,
  way: 'scoop',
  method: { kind: 'scoop', scoopL: 0.1, everyMinutes: 5 },
}
const dripping: RunSetup = { setting, limits, way: 'drip', method: { kind: 'drip', mlPerMinute: 20 } }
const opened: Happening = { kind: 'opened', minute: 15 }
const scoops = (...minutes: number[]): Happening[] => minutes.map((minute) => ({ kind: 'scoop', minute, litres: 0.1 }))

describe('a run followed by what was done', () => {
  test('done by the plan, it is the simulation', () => {
    const run = follow(scooping, [opened, ...scoops(20, 25, 30)], 34)
    const plan = playOut(setting, scooping.method, 19)
    expect(run.now.salinityPsu).toBeCloseTo(plan[34]!.salinityPsu, 9)
    expect(run.now.pH).toBeCloseTo(plan[34]!.pH, 4)
    expect(run.now.temperatureC).toBeCloseTo(plan[34]!.temperatureC, 4)
    const drip = follow(dripping, [opened, { kind: 'drip', minute: 15, mlPerMinute: 20 }], 40)
    expect(drip.now.salinityPsu).toBeCloseTo(playOut(setting, dripping.method, 25)[40]!.salinityPsu, 9)
  })

  test('before the bag is opened the next thing is to open it, and the forecast begins after the float', () => {
    const run = follow(scooping, [], 4)
    expect(run.next).toEqual({ kind: 'open', minute: 15 })
    expect(run.past.map(({ minute }) => minute)).toEqual([0, 1, 2, 3, 4])
    expect(run.ahead.find(({ minute }) => minute === 15)!.bagWaterFraction).toBe(1)
    expect(run.readyAt).toBe(
      playOut(setting, scooping.method, 200).findIndex(({ salinityPsu, minute }) => minute > 15 && salinityPsu >= 32),
    )
  })

  test('a late scoop moves the one after it, and the end', () => {
    const inTime = follow(scooping, [opened, ...scoops(20, 25)], 26)
    const late = follow(scooping, [opened, ...scoops(20, 33)], 34)
    expect(inTime.next).toEqual({ kind: 'scoop', minute: 30, litres: 0.1 })
    expect(late.next).toEqual({ kind: 'scoop', minute: 38, litres: 0.1 })
    expect(late.readyAt!).toBeGreaterThan(inTime.readyAt!)
  })

  test('where the next scoop would run over, the pour-off comes first', () => {
    const tight: RunSetup = { ...scooping, setting: { ...setting, container: { capacityL: 1.25, leaveL: 1 } } }
    const full = follow(tight, [opened, ...scoops(20, 25)], 26)
    expect(full.next).toEqual({ kind: 'pour-off', minute: 30, toL: 1 })
    const poured = follow(tight, [opened, ...scoops(20, 25), { kind: 'pour-off', minute: 30, toL: 1 }], 30)
    expect(poured.next).toEqual({ kind: 'scoop', minute: 30, litres: 0.1 })
    expect(poured.now.volumeL).toBe(1)
  })

  test('a drip that nobody pours off fills, runs over, and says since when', () => {
    const tight: RunSetup = { ...dripping, limits: { ...limits, matchPsu: 0.01 } }
    const drip: Happening = { kind: 'drip', minute: 16, mlPerMinute: 50 }
    expect(follow(tight, [opened, drip], 20).next).toEqual({ kind: 'pour-off', minute: 36, toL: 1 })
    const over = follow(tight, [opened, drip], 50)
    expect(over.next).toEqual({ kind: 'pour-off', minute: 36, toL: 1 })
    expect(over.now.volumeL).toBe(2)
    // Two litres diluted by 50 mL a minute for 14 minutes: the bag's half falls by about e^(−0.35).
    expect(over.now.bagWaterFraction).toBeCloseTo(0.5 * Math.exp(-0.35), 2)
  })

  test('what is measured bends the forecast: less tank water came in than was thought', () => {
    const happenings = [opened, ...scoops(20, 25, 30)]
    const reckoned = follow(scooping, happenings, 31)
    const measured: Happening = { kind: 'measured', minute: 31, salinityPsu: 31.2, temperatureC: 23 }
    const bent = follow(scooping, [...happenings, measured], 31)
    expect(reckoned.now.salinityPsu).toBeGreaterThan(31.3)
    expect(bent.now.salinityPsu).toBeCloseTo(31.2, 9)
    // The share of bag water follows from the salinity, and with it what else mixes.
    expect(bent.now.bagWaterFraction).toBeCloseTo(0.9, 9)
    expect(bent.now.temperatureC).toBe(23)
    expect(bent.readyAt!).toBeGreaterThan(reckoned.readyAt!)
  })

  test('a measured pH is what the forecast goes on from', () => {
    const measured: Happening = { kind: 'measured', minute: 16, pH: 7.9 }
    const run = follow(scooping, [opened, measured], 16)
    expect(run.now.pH).toBeCloseTo(7.9, 6)
    expect(run.ahead[10]!.freeAmmoniaMgPerL).toBeGreaterThan(
      follow(scooping, [opened], 16).ahead[10]!.freeAmmoniaMgPerL,
    )
  })

  test('it ends when it is true: reckoned first, then measured', () => {
    const happenings = [opened, ...scoops(20, 25, 30, 35, 40, 45, 50, 55, 60, 65)]
    const reckoned = follow(scooping, happenings, 66)
    expect(reckoned.off).toEqual([])
    expect(reckoned.next.kind).toBe('measure')
    const near: Happening = { kind: 'measured', minute: 66, salinityPsu: 32.3, temperatureC: 24.4 }
    expect(follow(scooping, [...happenings, near], 67)).toMatchObject({ isMeasured: true, next: { kind: 'move' } })
    const far: Happening = { kind: 'measured', minute: 66, salinityPsu: 31.6, temperatureC: 24.4 }
    const still = follow(scooping, [...happenings, far], 67)
    expect(still.off.map(({ what, by }) => [what, Number(by.toFixed(1))])).toEqual([['salinity', -1.4]])
    expect(still.next.kind).toBe('pour-off')
  })

  test('a measurement from before the water came within reach does not count for it', () => {
    const early: Happening = { kind: 'measured', minute: 21, salinityPsu: 31.2, temperatureC: 24 }
    const run = follow(
      scooping,
      [opened, ...scoops(20), early, ...scoops(25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 75)],
      76,
    )
    expect(run.off).toEqual([])
    expect([run.isMeasured, run.next.kind]).toEqual([false, 'measure'])
  })

  test('a tank set to the bag: open, and across at once; waiting is shown', () => {
    const matched: RunSetup = {
      setting: { ...setting, bag: { ...setting.bag, pH: 6.6, tanMgPerL: 6 } },
      limits,
      way: 'match-and-release',
      method: null,
    }
    const run = follow(matched, [opened], 17)
    expect(run.next).toEqual({ kind: 'move', minute: 15 })
    expect(run.off).toEqual([])
    expect(run.ahead.at(-1)!.freeAmmoniaMgPerL).toBeGreaterThan(1.4 * run.now.freeAmmoniaMgPerL)
  })

  test('what lies ahead of now is not yet done', () => {
    expect(follow(scooping, [opened, ...scoops(20, 25)], 21).scoops).toBe(1)
  })
})

describe('how quickly salinity has moved', () => {
  const read = (minute: number, salinityPsu: number): Happening => ({ kind: 'measured', minute, salinityPsu })

  test('a bag found to be other than thought has not moved', () => {
    expect(follow(scooping, [opened, read(16, 29)], 17).psuPerHour).toBeCloseTo(0, 6)
    const guessed: RunSetup = { ...scooping, guessed: ['salinityPsu'] }
    const thought = follow(guessed, [opened, ...scoops(20)], 22).psuPerHour
    expect(follow(guessed, [opened, ...scoops(20), read(21, 29)], 22).psuPerHour).toBeCloseTo(thought, 6)
  })

  test('what is measured after tank water has come in has moved', () => {
    const first = [opened, read(16, 31), ...scoops(20)]
    expect(follow(scooping, [...first, read(21, 32)], 22).psuPerHour).toBeCloseTo((1 * 60) / 15, 6)
  })

  test('what was put right is forgotten with its window', () => {
    expect(follow(scooping, [opened, read(16, 29)], 40).psuPerHour).toBeCloseTo(0, 6)
  })
})

describe('a bag that is other than it was thought', () => {
  // Assumed at 30 psu with much ammonia; in truth 33, the tank at 35.
  const far: RunSetup = {
    ...scooping,
    setting: {
      ...setting,
      bag: { ...setting.bag, salinityPsu: 30, tanMgPerL: 6 },
      tank: { ...setting.tank, salinityPsu: 35 },
      container: { capacityL: 8, leaveL: 4 },
    },
    guessed: ['salinityPsu'],
  }
  const read = (minute: number, salinityPsu: number): Happening => ({ kind: 'measured', minute, salinityPsu })

  test('is still all bag water when it is opened, with all its ammonia', () => {
    const { now } = follow(far, [opened, read(16, 33)], 16)
    expect(now).toMatchObject({ salinityPsu: 33, bagWaterFraction: 1, tanMgPerL: 6 })
  })

  test('measured first after some scoops, its share is what was scooped; measured again, it is told by the true bag', () => {
    const scooped = [opened, ...scoops(20, 25)]
    const before = follow(far, scooped, 26).now
    const first = follow(far, [...scooped, read(26, 33.4)], 26).now
    expect(first.bagWaterFraction).toBeCloseTo(before.bagWaterFraction, 9)
    expect(first.tanMgPerL).toBeCloseTo(before.tanMgPerL, 9)
    // 1.2 L hold 1 L of the bag: it had 35 - 1.6 · 1.2 = 33.08 psu, too near the tank's for a second reading to tell shares.
    const again = follow(far, [...scooped, read(26, 33.4), read(28, 34.2)], 28).now
    expect(again.bagWaterFraction).toBeCloseTo(before.bagWaterFraction, 9)
  })

  test('a figure that was measured to begin with tells the share, once tank water is in', () => {
    const { guessed: _, ...known } = far
    expect(follow(known, [opened, ...scoops(20), read(21, 32.5)], 21).now.bagWaterFraction).toBeCloseTo(0.5, 9)
  })
})

describe('a way without mixing', () => {
  const near: Setting = { ...setting, bag: { ...setting.bag, salinityPsu: 32.5, temperatureC: 24.5 } }
  const atOnce: RunSetup = { setting: near, limits, way: 'at-once', method: null }

  test('planned by measured figures, it goes across once it is open', () => {
    expect(follow(atOnce, [opened], 16)).toMatchObject({ next: { kind: 'move', minute: 15 }, readyAt: 16, off: [] })
  })

  test('planned by guesses it is measured first; what is measured decides', () => {
    const guessed: RunSetup = { ...atOnce, guessed: ['salinityPsu', 'temperatureC'] }
    expect(follow(guessed, [opened], 16).next).toEqual({ kind: 'measure', minute: 15 })
    // Salinity alone says nothing of warmth.
    expect(follow(guessed, [opened, { kind: 'measured', minute: 16, salinityPsu: 32.4 }], 16).next.kind).toBe('measure')
    const well: Happening = { kind: 'measured', minute: 16, salinityPsu: 32.4, temperatureC: 24.6 }
    expect(follow(guessed, [opened, well], 17)).toMatchObject({ next: { kind: 'move' }, readyAt: 17, isMeasured: true })
    const off: Happening = { kind: 'measured', minute: 16, salinityPsu: 29, temperatureC: 24.6 }
    expect(follow({ ...guessed, isKnowing: true }, [opened, off], 17).next.kind).toBe('move')
    expect(follow(guessed, [opened, off], 17)).toMatchObject({
      next: { kind: 'choose' },
      readyAt: null,
      off: [{ what: 'salinity', by: -4, within: 1 }],
    })
  })

  test('only cold, it may go: another way would not warm it', () => {
    const cold: Happening = { kind: 'measured', minute: 16, salinityPsu: 32.4, temperatureC: 22 }
    expect(follow(atOnce, [opened, cold], 17)).toMatchObject({ next: { kind: 'move' }, readyAt: null })
  })

  test('measured in the shut bag, it is not known of the open one', () => {
    const early: Happening = { kind: 'measured', minute: 5, salinityPsu: 32.4, temperatureC: 24.6 }
    expect(follow({ ...atOnce, guessed: ['salinityPsu'] }, [early, opened], 16).next.kind).toBe('measure')
  })
})
