import { limitsFor } from '../../../../core/acclimation/limits.ts'
import { playOut, type Setting } from '../../../../core/acclimation/simulate.ts'
import { compareWays } from '../../../../core/acclimation/ways.ts'
import { METRIC } from '../../../../core/household/settings.ts'
import { domainOf, minuteTicks, pathOf, quantitiesOf } from './curves.ts'
import { wayCaption, wayFigure, wayLabel } from './way-words.ts'

const setting: Setting = {
  bag: { volumeL: 1, temperatureC: 22, salinityPsu: 31, pH: 7.4, alkalinityDkh: 7, tanMgPerL: 0.4 },
  tank: { temperatureC: 25, salinityPsu: 33, pH: 8.1, alkalinityDkh: 8.4 },
  container: { capacityL: 4, leaveL: 2 },
  room: { temperatureC: 24 },
  float: { minutes: 15 },
}
const { limits } = limitsFor('hawkfish', 31, 33)!
const points = playOut(setting, { kind: 'scoop', scoopL: 0.1, everyMinutes: 5 }, 60)

describe('what is drawn', () => {
  const quantities = quantitiesOf(setting, limits, METRIC)

  test('each figure with the band it has to come into, in the order it is judged', () => {
    expect(quantities.map(({ id, band }) => [id, band])).toEqual([
      ['salinityPsu', [33 - limits.matchPsu, 33 + limits.matchPsu]],
      ['temperatureC', [25 - limits.matchC, 25 + limits.matchC]],
      ['pH', null],
      ['freeAmmoniaMgPerL', [0, limits.maxFreeAmmoniaMgPerL]],
      ['bagWaterFraction', null],
    ])
  })

  test('in fresh water salinity is left out', () => {
    const fresh = limitsFor('fw-cichlid', 0.2, 0.2)!.limits
    expect(quantitiesOf(setting, fresh, METRIC).map(({ id }) => id)).not.toContain('salinityPsu')
  })

  test('it is printed as the household measures', () => {
    const us = quantitiesOf(setting, limits, { ...METRIC, salinity: 'sg', temperature: 'F' })
    expect([us[0]!.text(35), us[0]!.unit, us[1]!.text(25), us[1]!.unit]).toEqual(['1.0264', 'SG', '77.0', '°F'])
  })

  test('every value, the band and the tank are in the range; a flat line has room round it', () => {
    for (const quantity of quantities) {
      const [low, high] = domainOf(quantity, [points])
      for (const value of [...points.map(quantity.of), ...(quantity.band ?? []), quantity.tank ?? low]) {
        expect(value).toBeGreaterThanOrEqual(low - 1e-9)
        expect(value).toBeLessThanOrEqual(high + 1e-9)
      }
      expect(high - low).toBeGreaterThanOrEqual(quantity.leastSpan)
    }
    expect(domainOf(quantities[3]!, [points])[0]).toBe(0)
    expect(domainOf(quantities[4]!, [points])).toEqual([0, 1])
  })

  test('a line ends at its last point, with no more than one point a pixel', () => {
    const path = pathOf(
      points,
      (point) => point.salinityPsu,
      (minute) => minute / 4,
      (value) => value,
    )
    const drawn = path.split(/[ML]/).filter(Boolean)
    expect(drawn.length).toBeLessThan(points.length / 2)
    expect(path.startsWith('M0 31L')).toBe(true)
    const [x, y] = drawn.at(-1)!.split(' ').map(Number)
    expect(Math.abs(x! - 75 / 4)).toBeLessThan(0.051)
    expect(y).toBeCloseTo(points.at(-1)!.salinityPsu, 1)
  })

  test('few enough minutes are marked to be read', () => {
    expect(minuteTicks(60, 400)).toEqual([0, 10, 20, 30, 40, 50, 60])
    expect(minuteTicks(60, 150)).toEqual([0, 30, 60])
    expect(minuteTicks(480, 200)).toEqual([0, 120, 240, 360, 480])
  })
})

describe('a way in words', () => {
  const { ways } = compareWays({ setting, limits, shippingHours: 18, tankCanBeMatched: true })
  const of = (kind: string) => ways.find((way) => way.kind === kind)!

  test('the amount that is acted on stands first', () => {
    expect(wayFigure({ kind: 'scoop', method: { kind: 'scoop', scoopL: 0.1, everyMinutes: 5 }, moveAt: 45 })).toEqual({
      figure: '100 mL',
      how: 'a scoop of tank water every 5 minutes, across at minute 45',
    })
    expect(wayFigure({ kind: 'drip', method: { kind: 'drip', mlPerMinute: 9 }, moveAt: 45 })).toEqual({
      figure: '9 mL a minute',
      how: 'a drip of tank water, 3 drops a second; across at minute 45',
    })
    expect(wayFigure({ kind: 'at-once', method: null, moveAt: 15 })).toEqual({
      figure: '15 min',
      how: 'afloat, sealed; then opened and across at once',
    })
    expect(wayFigure({ kind: 'at-once', method: null, moveAt: 0 })).toEqual({
      figure: 'now',
      how: 'by net or cup, nothing mixed',
    })
  })

  test('the caption says what the curves end at, for whoever does not see them too', () => {
    const way = of('scoop')
    const last = way.points.at(-1)!
    expect(wayLabel(way, limits, METRIC)).toBe(`Scoops: ${wayCaption(way, limits, METRIC)}`)
    expect(wayCaption(way, limits, METRIC)).toContain(
      `Across at minute ${way.moveAt}: ${last.salinityPsu.toFixed(1)} psu`,
    )
    expect(wayCaption(way, limits, METRIC)).toContain(`${Math.round(last.bagWaterFraction * 100)} % bag water`)
  })
})
