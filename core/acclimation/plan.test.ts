import { expectOk } from '../result/result.ts'
import type { PlanInput } from './acclimation.schema.ts'
import { planAcclimation } from './plan.ts'
import { simulateAcclimation } from './simulate.ts'
import { judge } from './trials.ts'

const overnight: PlanInput = {
  bag: { volumeL: 1.2, temperatureC: 22, salinityPsu: 33.5, pH: 7.4, alkalinityDkh: 7, tanMgPerL: 0.4 },
  tank: { temperatureC: 25, salinityPsu: 35, pH: 8.1, alkalinityDkh: 8.4 },
  container: { capacityL: 6, leaveL: 1 },
  room: { temperatureC: 24 },
  float: { minutes: 20 },
  shippingHours: 18,
  animal: { maxPsuPerHour: 2, matchPsu: 1, matchC: 1.5, maxFreeAmmoniaMgPerL: 0.03, maxMinutes: 60 },
  tankCanBeMatched: true,
}

describe('the gentlest way from the bag to the tank', () => {
  const plan = expectOk(planAcclimation(overnight))

  test('an overnight fish, 1.5 psu off, is mixed', () => {
    expect(['drip', 'scoop']).toContain(plan.advice)
  })

  test('simulated again, it keeps every limit of the animal and ends within reach', () => {
    const simulation = expectOk(
      simulateAcclimation({
        bag: overnight.bag,
        tank: overnight.tank,
        container: overnight.container,
        room: overnight.room,
        float: overnight.float,
        method: plan.method!,
        minutes: plan.minutes,
      }),
    )
    expect(simulation).toEqual(plan.simulation)
    const trial = judge(simulation, plan.method!, overnight)
    expect(trial.readyAt).toBe(overnight.float.minutes + plan.minutes)
    expect(trial.peakPsuPerHour).toBeLessThanOrEqual(2)
    expect(trial.peakFree).toBeLessThanOrEqual(0.03)
    expect(trial.readyAt).toBeLessThanOrEqual(60)
  })

  test('with more time it is gentler still', () => {
    const patient = expectOk(planAcclimation({ ...overnight, animal: { ...overnight.animal, maxMinutes: 180 } }))
    const pace = (one: typeof plan) => judge(one.simulation, one.method!, overnight).peakPsuPerHour
    expect(pace(patient)).toBeLessThan(pace(plan))
  })

  test('a bag that is the tank already needs the float alone', () => {
    const same = expectOk(
      planAcclimation({ ...overnight, bag: { ...overnight.bag, salinityPsu: 35, temperatureC: 25 } }),
    )
    expect(same.minutes).toBe(0)
    expect(same.simulation.points).toHaveLength(21)
  })

  test('two days in the bag: the reason names what happens when it is opened', () => {
    const { advice, reasons, method } = expectOk(
      planAcclimation({
        ...overnight,
        bag: { ...overnight.bag, salinityPsu: 26, pH: 6.6, tanMgPerL: 6 },
        shippingHours: 48,
      }),
    )
    expect([advice, method]).toEqual(['match-and-release', null])
    expect(reasons.join(' ')).toMatch(/48 h in transit: ammonia has gathered/)
    expect(reasons.join(' ')).toMatch(/free ammonia reaches|takes longer than/)
    expect(reasons.at(-1)).toMatch(/set the tank to 26 psu/)
  })

  test('a bag larger than its container, or a float longer than the wait, is told where it is typed', () => {
    expect(planAcclimation({ ...overnight, bag: { ...overnight.bag, volumeL: 7 } })).toMatchObject({
      error: { path: '/bag/volumeL' },
    })
    expect(planAcclimation({ ...overnight, animal: { ...overnight.animal, maxMinutes: 10 } })).toMatchObject({
      error: { path: '/animal/maxMinutes' },
    })
  })
})

describe('the simulation', () => {
  const simulate = (changes: object) =>
    simulateAcclimation({
      bag: overnight.bag,
      tank: overnight.tank,
      container: { capacityL: 2, leaveL: 1 },
      room: { temperatureC: 24 },
      float: { minutes: 10 },
      method: { kind: 'scoop', scoopL: 0.4, everyMinutes: 5 },
      minutes: 30,
      ...changes,
    })
  test('a container that would overflow is poured off first, and never holds more than it can', () => {
    const volumes = expectOk(simulate({})).points.map(({ volumeL }) => Number(volumeL.toFixed(6)))
    // 1.2, 1.6, 2.0; then down to 1 and a scoop: 1.4, 1.8, again 1.4.
    expect([volumes[10], volumes[15], volumes[20], volumes[25], volumes[30], volumes[35], volumes[40]]).toEqual([
      1.2, 1.6, 2, 1.4, 1.8, 1.4, 1.8,
    ])
  })
  test('a drip is poured off the instant it is full', () => {
    const { points } = expectOk(simulate({ method: { kind: 'drip', mlPerMinute: 100 } }))
    expect(points[18]!.volumeL).toBeCloseTo(1, 9)
    expect(points[17]!.volumeL).toBeCloseTo(1.9, 9)
  })
  test('what an animal gives off raises the ammonia from the first minute, the sealed ones too', () => {
    const { points } = expectOk(simulate({ excretionMgPerHour: 6 }))
    expect(points[10]!.tanMgPerL).toBeCloseTo(0.4 + 1 / 1.2, 9)
  })
  test('a room cooler than the tank takes the container’s warmth', () => {
    const warm = expectOk(simulate({})).points.at(-1)!.temperatureC
    const cool = expectOk(simulate({ room: { temperatureC: 15 } })).points.at(-1)!.temperatureC
    expect(cool).toBeLessThan(warm)
  })
  test('a scoop larger than a pour-off makes room for is refused', () => {
    expect(simulate({ method: { kind: 'scoop', scoopL: 1.2, everyMinutes: 5 } })).toMatchObject({
      error: { path: '/method/scoopL' },
    })
  })
})
