import fc from 'fast-check'
import { simulateAcclimation } from '../acclimation/simulate.ts'
import { therapeuticClock } from '../clock/clock.ts'
import { concentrationFit } from '../concentration/fit.ts'
import { concentrationPath } from '../concentration/path.ts'
import type { WaterEvent } from '../concentration/concentration.schema.ts'
import { doseAmount, redose } from '../dosing/dosing.ts'
import { expectOk } from '../result/result.ts'
import { courseRisk } from '../risk/course-risk.ts'
import { fallowRisk } from '../risk/fallow-risk.ts'
import { convertSalinity, swapSalinity } from '../salinity/salinity.ts'
import { iso } from '../time/zone.ts'
import { changeSequence } from '../water-change/water-change.ts'

const START = Date.parse('2026-11-01T00:00:00Z')
const HOUR = 3_600_000
const at = (hours: number) => iso(START + Math.round(hours * HOUR))
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const share = number(0, 1)
const mgPerL = number(0, 50)
const litres = number(1, 2000)

const events = fc.array(
  fc.oneof(
    fc.record({ hours: number(0, 500), kind: fc.constant('dose' as const), massMg: number(0, 500) }),
    fc.record({
      hours: number(0, 500),
      kind: fc.constant('water-change' as const),
      fraction: share,
      replacementMgPerL: mgPerL,
    }),
  ),
  { maxLength: 12 },
)
const timed = (list: readonly ({ hours: number } & Record<string, unknown>)[]) =>
  list.map(({ hours, ...event }) => ({ ...event, at: at(hours) })) as WaterEvent[]

describe('laws that hold whatever the numbers', () => {
  test('mass is conserved through doses and changes: what is in the water is what came in less what went out', () => {
    fc.assert(
      fc.property(litres, mgPerL, events, (volumeL, startMgPerL, list) => {
        const { points } = expectOk(
          concentrationPath({
            volumeL,
            startMgPerL,
            start: at(0),
            until: at(500),
            stepHours: 100,
            events: timed(list),
          }),
        )
        let mass = startMgPerL * volumeL
        for (const event of [...list].sort((a, b) => Date.parse(at(a.hours)) - Date.parse(at(b.hours))))
          if (event.kind === 'dose') mass += event.massMg
          else mass += event.fraction * (event.replacementMgPerL * volumeL - mass)
        const last = points.at(-1)!
        expect(Math.abs(last.mgPerL * last.volumeL - mass)).toBeLessThanOrEqual(1e-6 * (1 + mass))
      }),
    )
  })

  test('a change sequence is its product: the order does not matter, and what is left is the share of each', () => {
    fc.assert(
      fc.property(mgPerL, fc.array(share, { minLength: 1, maxLength: 8 }), (startMgPerL, fractions) => {
        const forth = expectOk(changeSequence({ startMgPerL, fractions }))
        const back = expectOk(changeSequence({ startMgPerL, fractions: [...fractions].reverse() }))
        const left = fractions.reduce((product, one) => product * (1 - one), 1)
        expect(forth.remainingFraction).toBeCloseTo(left, 9)
        expect(forth.afterEach.at(-1)).toBeCloseTo(startMgPerL * left, 6)
        expect(back.afterEach.at(-1)).toBeCloseTo(forth.afterEach.at(-1)!, 6)
      }),
    )
  })

  test('what a change takes out is what puts it back', () => {
    fc.assert(
      fc.property(litres, number(0.1, 50), number(0.01, 1), (volumeL, level, fraction) => {
        const { afterMgPerL, massMg } = expectOk(redose({ volumeL, mgPerL: level, fraction, restoreToMgPerL: level }))
        expect(afterMgPerL + massMg / volumeL).toBeCloseTo(level, 9)
        const { massMg: again } = expectOk(
          doseAmount({
            volumeL,
            currentMgPerL: afterMgPerL,
            targetMgPerL: level,
            product: { kind: 'solution', mgPerMl: 10 },
          }),
        )
        expect(Math.abs(again - massMg)).toBeLessThanOrEqual(1e-9 * (1 + massMg))
      }),
    )
  })

  test('salinity by density and back is itself', () => {
    fc.assert(
      fc.property(number(0, 50), number(0, 40), number(0, 40), (psu, temperatureC, referenceC) => {
        const { sg } = expectOk(convertSalinity({ value: psu, unit: 'psu', temperatureC, referenceC }))
        const back = convertSalinity({ value: sg, unit: 'sg', temperatureC, referenceC })
        // At the very ends the last bit of SG may lie a hair outside.
        if (back.ok) expect(back.value.psu).toBeCloseTo(psu, 4)
        else expect(Math.min(psu, 50 - psu)).toBeLessThan(1e-6)
      }),
    )
  })

  test('swaps land on the salinity that was asked for, and never swap more than there is', () => {
    fc.assert(
      fc.property(litres, number(20, 40), number(1, 19), number(0.5, 5), (volumeL, fromPsu, toPsu, maxStepPsu) => {
        const { steps } = expectOk(
          swapSalinity({ volumeL, fromPsu, toPsu, replacementPsu: 0, maxStepPsu, hoursBetween: 6 }),
        )
        let psu = fromPsu
        for (const step of steps) {
          expect(step.replaceL).toBeLessThanOrEqual(volumeL)
          expect(psu - step.psu).toBeLessThanOrEqual(maxStepPsu * (1 + 1e-9))
          psu = step.psu
        }
        expect(psu).toBeCloseTo(toPsu, 9)
      }),
    )
  })
})

describe('the clock', () => {
  const band = { lowMgPerL: 2, highMgPerL: 2.5 }
  const levels = fc.array(fc.record({ gap: number(1, 60), mgPerL: number(1.5, 3) }), { minLength: 1, maxLength: 20 })
  const readingsOf = (list: readonly { gap: number; mgPerL: number }[]) => {
    let hours = 0
    return list.map(({ gap, mgPerL: level }) => ({ at: at((hours += gap)), mgPerL: level }))
  }
  const clock = (readings: { at: string; mgPerL: number }[], now: number, requiredHours = 336) =>
    expectOk(
      therapeuticClock({ band, requiredHours, maxGapHours: 48, volumeL: 60, readings, events: [], now: at(now) }),
    )

  test('never verifies more than the time since its run began, nor more than to the last reading', () => {
    fc.assert(
      fc.property(levels, number(0, 50), (list, later) => {
        const readings = readingsOf(list)
        const last = Date.parse(readings.at(-1)!.at)
        const now = (last - START) / HOUR + later
        const { startedAt, verifiedHours, remainingHours, state } = clock(readings, now)
        expect(verifiedHours).toBeGreaterThanOrEqual(0)
        if (startedAt) expect(verifiedHours).toBeLessThanOrEqual((last - Date.parse(startedAt)) / HOUR + 1e-6)
        else expect(verifiedHours).toBe(0)
        expect(remainingHours).toBeCloseTo(Math.max(0, 336 - verifiedHours), 9)
        if (state === 'complete') expect(remainingHours).toBe(0)
      }),
    )
  })

  test('does not fall when readings in range follow', () => {
    fc.assert(
      fc.property(levels, fc.array(number(2, 3), { minLength: 1, maxLength: 5 }), (list, more) => {
        const readings = readingsOf([...list, { gap: 10, mgPerL: 2.2 }])
        const longer = [...readings]
        let hours = (Date.parse(readings.at(-1)!.at) - START) / HOUR
        for (const level of more) longer.push({ at: at((hours += 12)), mgPerL: level })
        const before = clock(readings, hours)
        const after = clock(longer, hours)
        expect(after.verifiedHours).toBeGreaterThanOrEqual(before.verifiedHours - 1e-6)
      }),
    )
  })
})

describe('risks', () => {
  const life = fc.record({ medianHours: number(20, 300), logSd: number(0.1, 1) })
  const cyst = fc.record({ minHours: number(0, 120), medianHours: number(5, 200), logSd: number(0.1, 1) })
  const parasites = number(0, 2000)

  test('lie in 0…1, and rise when the move that ends a fixed protected window comes later', () => {
    fc.assert(
      fc.property(
        parasites,
        life,
        cyst,
        share,
        number(24, 700),
        number(0, 300),
        (n, onHost, c, infection, end, late) => {
          const risk = (move: number) =>
            expectOk(
              courseRisk({
                parasitesOnHost: n,
                onHost,
                cyst: c,
                infection,
                protectedWindows: [{ fromHours: 0, toHours: end }],
                movesHours: [move],
              }),
            ).risk
          const [prompt, delayed] = [risk(end), risk(end + late)]
          for (const value of [prompt, delayed]) {
            expect(value).toBeGreaterThanOrEqual(0)
            expect(value).toBeLessThanOrEqual(1)
          }
          expect(delayed).toBeGreaterThanOrEqual(prompt - 1e-6)
        },
      ),
    )
  })

  test('fall with more fishless days', () => {
    const hatching = fc.record({ medianDays: number(0.5, 40), logSd: number(0.1, 1) })
    fc.assert(
      fc.property(
        number(0, 5000),
        hatching,
        hatching,
        share,
        number(0, 400),
        number(0, 120),
        number(0, 60),
        (cysts, typical, slow, slowShare, freeLifeHours, days, more) => {
          const risk = (d: number) =>
            expectOk(fallowRisk({ cysts, typical, slow: { ...slow, share: slowShare }, freeLifeHours, days: d })).risk
          const [now, later] = [risk(days), risk(days + more)]
          expect(later).toBeLessThanOrEqual(now + 1e-12)
          for (const value of [now, later]) {
            expect(value).toBeGreaterThanOrEqual(0)
            expect(value).toBeLessThanOrEqual(1)
          }
        },
      ),
    )
  })
})

test('the fit recovers a simulated tank', () => {
  fc.assert(
    fc.property(number(40, 90), number(200, 2000), (volumeL, halfLifeHours) => {
      const doses: WaterEvent[] = [0, 24, 48, 72].map((hours) => ({ at: at(hours), kind: 'dose', massMg: 35 }))
      const { points } = expectOk(
        concentrationPath({
          volumeL,
          startMgPerL: 0,
          start: at(0),
          until: at(700),
          stepHours: 14,
          halfLifeHours,
          events: doses,
        }),
      )
      const readings = points
        .filter(({ at: when }) => !doses.some((dose) => Date.parse(dose.at) === Date.parse(when)))
        .map(({ at: when, mgPerL: level }) => ({ at: when, mgPerL: level, sdMgPerL: 0.005 }))
      const fit = expectOk(
        concentrationFit({
          start: { at: at(0), mgPerL: 0 },
          events: doses,
          readings,
          volumePrior: { medianL: 60, logSd: 0.5 },
          halfLifePrior: { medianHours: 600, logSd: 1.5 },
        }),
      )
      expect(Math.abs(Math.log(fit.volumeL / volumeL))).toBeLessThan(0.01)
      expect(Math.abs(Math.log(fit.halfLifeHours / halfLifeHours))).toBeLessThan(0.03)
      expect(fit.residuals).toHaveLength(readings.length)
    }),
    { numRuns: 40 },
  )
})

describe('acclimation', () => {
  const water = fc.record({
    temperatureC: number(18, 30),
    salinityPsu: number(10, 40),
    pH: number(6.4, 8.3),
    alkalinityDkh: number(4, 12),
  })
  test('a long one ends at the tank’s salinity and without bag water; nothing on the way lies outside bag and tank', () => {
    fc.assert(
      fc.property(water, water, number(0.3, 3), number(0, 8), (bag, tank, volumeL, tanMgPerL) => {
        const { points } = expectOk(
          simulateAcclimation({
            bag: { ...bag, volumeL, tanMgPerL },
            tank,
            container: { capacityL: 4, leaveL: 0.5 },
            float: { minutes: 15 },
            room: { temperatureC: tank.temperatureC },
            method: { kind: 'drip', mlPerMinute: 40 },
            minutes: 700,
          }),
        )
        const last = points.at(-1)!
        expect(last.salinityPsu).toBeCloseTo(tank.salinityPsu, 2)
        expect(last.temperatureC).toBeCloseTo(tank.temperatureC, 2)
        expect(last.bagWaterFraction).toBeLessThan(0.001)
        const [low, high] = [bag.salinityPsu, tank.salinityPsu].sort((a, b) => a - b) as [number, number]
        for (const point of points) {
          expect(point.salinityPsu).toBeGreaterThanOrEqual(low - 1e-9)
          expect(point.salinityPsu).toBeLessThanOrEqual(high + 1e-9)
          expect(point.volumeL).toBeLessThanOrEqual(4 + 1e-9)
          expect(point.freeAmmoniaMgPerL).toBeLessThanOrEqual(point.tanMgPerL)
        }
      }),
      { numRuns: 15 },
    )
  })

  test('opening a stale bag lets the gas out: pH rises, and free ammonia with it', () => {
    fc.assert(
      fc.property(number(6.4, 7), number(1, 8), number(5, 10), (pH, tanMgPerL, alkalinityDkh) => {
        const shared = { temperatureC: 25, salinityPsu: 34, alkalinityDkh }
        const { points } = expectOk(
          simulateAcclimation({
            bag: { ...shared, volumeL: 1, pH, tanMgPerL },
            tank: { ...shared, pH: 8.1 },
            container: { capacityL: 4, leaveL: 1 },
            float: { minutes: 0 },
            room: { temperatureC: 25 },
            // As good as none: what is seen is the air alone.
            method: { kind: 'drip', mlPerMinute: 0.001 },
            minutes: 60,
          }),
        )
        for (let i = 1; i < points.length; i++) {
          expect(points[i]!.pH).toBeGreaterThan(points[i - 1]!.pH)
          expect(points[i]!.freeAmmoniaMgPerL).toBeGreaterThan(points[i - 1]!.freeAmmoniaMgPerL)
        }
      }),
      { numRuns: 30 },
    )
  })
})
