import fc from 'fast-check'
import { pointOf, surroundingsOf, type Setting } from './simulate.ts'
import { waterOf } from './mixing.ts'
import { carry, type Running, type Vessel } from './vessel.ts'

const setting: Setting = {
  bag: { volumeL: 1, temperatureC: 21, salinityPsu: 30, pH: 7.3, alkalinityDkh: 7, tanMgPerL: 1.2 },
  tank: { temperatureC: 25, salinityPsu: 35, pH: 8.1, alkalinityDkh: 8.4, tanMgPerL: 0.05 },
  container: { capacityL: 3, leaveL: 1.5 },
  room: { temperatureC: 20 },
  float: { minutes: 15 },
}
const around = surroundingsOf(setting)
const opened: Vessel = { minute: 15, volumeL: 1, water: waterOf(setting.bag, 1) }
const drip = (mlPerMinute: number): Running => ({ method: { kind: 'drip', mlPerMinute }, from: 15, scoops: 0 })
const scoop = (scoopL: number, everyMinutes: number): Running => ({
  method: { kind: 'scoop', scoopL, everyMinutes },
  from: 15,
  scoops: 0,
})

const anyWay = fc.oneof(
  fc.double({ min: 1, max: 250, noNaN: true }).map(drip),
  fc
    .tuple(fc.double({ min: 0.02, max: 1.4, noNaN: true }), fc.double({ min: 1, max: 20, noNaN: true }))
    .map(([litres, minutes]) => scoop(litres, minutes)),
)
const anyMinutes = fc.double({ min: 0.5, max: 150, noNaN: true })

describe('an open container, carried on', () => {
  test('never holds more than it can, nor less than it began with or was poured off to', () => {
    fc.assert(
      fc.property(anyWay, anyMinutes, (way, minutes) => {
        const { vessel } = carry(opened, way, 15 + minutes, setting.container, around)
        expect(vessel.volumeL).toBeLessThanOrEqual(3 + 1e-9)
        expect(vessel.volumeL).toBeGreaterThanOrEqual(1 - 1e-9)
      }),
    )
  })

  test('figures that no hand could follow come to an end, with the tank’s water in it', () => {
    const hostile: [Running, Setting['container']][] = [
      [scoop(1e-9, 1e-9), setting.container],
      [scoop(0.1, 1e-9), setting.container],
      [drip(1e12), setting.container],
      [drip(100), { capacityL: 1e-9, leaveL: 1e-9 }],
      [drip(100), { capacityL: 1, leaveL: 5 }],
    ]
    for (const [way, container] of hostile) {
      const { vessel } = carry(opened, way, 60, container, around)
      expect(vessel.minute).toBe(60)
      expect(vessel.water.salinityPsu).toBeCloseTo(35, 3)
    }
  })

  test('two steps are one: where it is looked at on the way changes nothing', () => {
    fc.assert(
      fc.property(anyWay, anyMinutes, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (way, minutes, share) => {
        const whole = carry(opened, way, 15 + minutes, setting.container, around)
        const half = carry(opened, way, 15 + minutes * share, setting.container, around)
        const rest = carry(half.vessel, half.running, 15 + minutes, setting.container, around)
        expect(rest.vessel.volumeL).toBeCloseTo(whole.vessel.volumeL, 6)
        expect(rest.vessel.water.salinityPsu).toBeCloseTo(whole.vessel.water.salinityPsu, 6)
        expect(rest.vessel.water.temperatureC).toBeCloseTo(whole.vessel.water.temperatureC, 3)
        expect(pointOf(rest.vessel).pH).toBeCloseTo(pointOf(whole.vessel).pH, 3)
        expect(rest.running!.scoops).toBe(whole.running!.scoops)
      }),
    )
  })

  test('salinity and the bag’s share tell the same: what is not the bag’s is the tank’s', () => {
    fc.assert(
      fc.property(anyWay, anyMinutes, (way, minutes) => {
        const { water } = carry(opened, way, 15 + minutes, setting.container, around).vessel
        expect(water.salinityPsu).toBeCloseTo(30 * water.bag + 35 * (1 - water.bag), 9)
        expect(water.tanMgPerL).toBeCloseTo(1.2 * water.bag + 0.05 * (1 - water.bag), 9)
      }),
    )
  })

  test('salt is kept: what is in a container that never ran full is what was in it and what ran in', () => {
    const { vessel } = carry(opened, drip(20), 15 + 60, setting.container, around)
    expect(vessel.volumeL).toBeCloseTo(2.2, 9)
    expect(vessel.volumeL * vessel.water.salinityPsu).toBeCloseTo(1 * 30 + 1.2 * 35, 9)
  })

  test('a scoop every so often, and a pour-off before the one that would run over', () => {
    const seen: [number, number][] = []
    let [vessel, running]: [Vessel, Running | null] = [opened, scoop(0.6, 5)]
    for (const minute of [19, 20, 25, 30, 35]) {
      ;({ vessel, running } = carry(vessel, running, minute, setting.container, around))
      seen.push([running!.scoops, Number(vessel.volumeL.toFixed(9))])
    }
    expect(seen).toEqual([
      [0, 1],
      [1, 1.6],
      [2, 2.2],
      [3, 2.8],
      [4, 2.1],
    ])
  })

  test('by a tank of its own salinity nothing dilutes but warmth and ammonia', () => {
    const same = surroundingsOf({ ...setting, tank: { ...setting.tank, salinityPsu: 30 } })
    const { water } = carry(opened, scoop(0.5, 5), 60, setting.container, same).vessel
    expect(water.salinityPsu).toBeCloseTo(30, 9)
    expect(water.tanMgPerL).toBeLessThan(0.5)
  })

  test('left standing, only the room and the air act on it: it cools, and the gas leaves', () => {
    const { vessel } = carry(opened, null, 15 + 120, setting.container, around)
    const [before, after] = [pointOf(opened), pointOf(vessel)]
    expect([vessel.volumeL, vessel.water.bag]).toEqual([1, 1])
    // 90 minutes of the room: the difference of 1 °C falls by e^(−120/90).
    expect(after.temperatureC).toBeCloseTo(20 + Math.exp(-120 / 90), 4)
    expect(after.pH).toBeGreaterThan(before.pH)
    expect(after.freeAmmoniaMgPerL).toBeGreaterThan(before.freeAmmoniaMgPerL)
  })

  test('a way that begins later leaves it standing until then', () => {
    const later: Running = { ...drip(50), from: 25 }
    const { vessel } = carry(opened, later, 35, setting.container, around)
    expect(vessel.volumeL).toBeCloseTo(1 + 0.05 * 10, 9)
  })
})
