import { trendFit } from '../evidence/trend.ts'
import type { TrendFit } from '../evidence/evidence.schema.ts'
import type { Journal } from '../journal/journal.ts'
import { doubtfulReadings } from '../readings/doubtful.ts'
import { readingsOf } from '../readings/latest.ts'
import { raisedBy } from '../readings/raises.ts'
import { iso, MS_PER_DAY } from '../time/zone.ts'

/** A test is repeated within that time; what comes later is another test (EA). */
const REPEAT_MS = 45 * 60_000
/** The first of two repeats that are typed together is kept as done a minute before the second: both count. */
export const REPEAT_GAP_MS = 60_000
/** More values than that within the time are a meter's, no repeats (EA). */
const MOST_REPEATS = 4
/** Half of a kit's error is the kit's own: no repeating takes it away (EA). */
const OWN_SHARE = 0.5
/** 95 % half-widths to one standard deviation. */
const TO_SD = 1 / 1.96

/** What one test came to: a value, or the mean of its repeats. */
export interface TestPoint {
  at: number
  value: number
  /** 95 % half-width; 0 where nobody said. */
  halfWidth: number
  /** Readings it is the mean of. */
  count: number
  /** A lab’s: another method than the household’s own. */
  isByLab: boolean
  /** It does not fit the ones round it: shown hollow, and the trend passes it over. */
  isSuspect: boolean
}

type Plain = Omit<TestPoint, 'isSuspect' | 'count' | 'isByLab'>

/**
 * The mean of repeats of one test, each by what it may be off.
 * @returns at the time of the last; its half-width is never under half of the best single one's
 */
export function meanOfRepeats(repeats: readonly Plain[]): Plain {
  const weights = repeats.map(({ halfWidth }) => (halfWidth > 0 ? 1 / halfWidth ** 2 : 0))
  const known = weights.every((weight) => weight > 0)
  const used = known ? weights : repeats.map(() => 1)
  const total = used.reduce((sum, weight) => sum + weight, 0)
  const least = Math.min(...repeats.map(({ halfWidth }) => halfWidth))
  return {
    at: repeats.at(-1)!.at,
    value: repeats.reduce((sum, { value }, i) => sum + value * used[i]!, 0) / total,
    halfWidth: known ? Math.max(OWN_SHARE * least, 1 / Math.sqrt(total)) : 0,
  }
}

/** Days of tests that a suspect is judged among: a level may wander over months (EA). */
const NEIGHBOUR_DAYS = 30
/** Tests that are judged together at most: pairs grow with the square. */
const MOST_TOGETHER = 60

/** When something was dosed that raises a parameter: a level that is led is judged by no line (EA). */
const raisedAt = (journal: Journal, tankId: string, parameter: string): number[] =>
  journal
    .about(`water:${tankId}`)
    .flatMap(({ at, struck, content }) =>
      !struck && content.kind === 'dose' && raisedBy(content.ingredient, parameter, 1) > 0 ? [at] : [],
    )

/** Dosing that starts after a week's rest begins a new trend (EA). */
const DOSING_REST_DAYS = 7

/**
 * Since when a parameter is raised by doses, as it is now.
 * @param now ms
 * @returns the first dose after a rest of a week; null where the last week had none
 */
export function dosedSince(journal: Journal, tankId: string, parameter: string, now: number): number | null {
  const doses = raisedAt(journal, tankId, parameter).filter((at) => at <= now)
  const rest = DOSING_REST_DAYS * MS_PER_DAY
  if (doses.length === 0 || now - doses.at(-1)! > rest) return null
  return doses.findLast((at, i) => i === 0 || at - doses[i - 1]! > rest) ?? null
}

/** The places of tests that do not fit the line through the ones of the same weeks. */
function suspectsAmong(points: readonly Plain[], doses: readonly number[]): Set<number> {
  const found = new Set<number>()
  let from = 0
  while (from < points.length) {
    let to = from
    while (
      to < points.length &&
      to - from < MOST_TOGETHER &&
      points[to]!.at - points[from]!.at <= NEIGHBOUR_DAYS * MS_PER_DAY
    )
      to++
    const [first, last] = [points[from]!.at, points[to - 1]!.at]
    const isLed = doses.some((at) => at >= first && at <= last)
    const fit = trendFit({
      readings: points
        .slice(from, to)
        .map(({ at, value, halfWidth }) => ({ at: iso(at), value, sd: halfWidth * TO_SD })),
      now: iso(points[to - 1]!.at),
    })
    if (fit.ok && !isLed) for (const place of fit.value.suspects) found.add(from + place)
    from = to
  }
  return found
}

/** All tests of a parameter in a tank: kept until its readings change, whatever part of them is asked for. */
const allTests = (journal: Journal, tankId: string, parameter: string): readonly TestPoint[] =>
  journal.derive(`tests:${tankId}:${parameter}`, [`readings:${tankId}:${parameter}`, `water:${tankId}`], () => {
    const doubtful = doubtfulReadings(journal, tankId, parameter)
    const plain = readingsOf(journal, tankId, parameter).flatMap(
      ({ at, id, content: { result, origin, uncertainty = 0 } }) =>
        result.kind === 'value' && !doubtful.has(id)
          ? [{ at, value: result.value, halfWidth: uncertainty, isByLab: origin === 'lab' }]
          : [],
    )
    const groups: (typeof plain)[] = []
    for (const one of plain) {
      const group = groups.at(-1)
      // A lab's figure is no repeat of a kit's.
      if (group && group[0]!.isByLab === one.isByLab && one.at - group[0]!.at <= REPEAT_MS) group.push(one)
      else groups.push([one])
    }
    const tests = groups.flatMap((group) =>
      group.length > MOST_REPEATS
        ? group.map((one) => ({ ...one, count: 1 }))
        : [{ ...meanOfRepeats(group), isByLab: group[0]!.isByLab, count: group.length }],
    )
    const suspects = suspectsAmong(tests, raisedAt(journal, tankId, parameter))
    const points = tests.map((test, i) => ({ ...test, isSuspect: suspects.has(i) && test.count === 1 }))
    // A probe's doubtful values stay on the chart, hollow, and count in nothing.
    const hollow = readingsOf(journal, tankId, parameter).flatMap(({ at, id, content: { result, uncertainty = 0 } }) =>
      result.kind === 'value' && doubtful.has(id)
        ? [{ at, value: result.value, halfWidth: uncertainty, count: 1, isByLab: false, isSuspect: true }]
        : [],
    )
    return hollow.length === 0 ? points : [...points, ...hollow].sort((a, b) => a.at - b.at)
  })

/**
 * The tests of a parameter in a tank over some time, repeats taken together, suspects marked.
 * @param from ms
 * @param until ms
 * @example
 * testPoints(journal, 'hall', 'alk-kh', 0, Date.now()).at(-1)?.value
 */
export const testPoints = (
  journal: Journal,
  tankId: string,
  parameter: string,
  from: number,
  until: number,
): TestPoint[] => allTests(journal, tankId, parameter).filter(({ at }) => at >= from && at <= until)

/** Days that a trend looks back over (EA), and tests at most. */
export const TREND_DAYS = 30
const MOST_IN_TREND = 120

/** Tests that a trend needs at least. */
const LEAST_IN_TREND = 3

/**
 * The tests that a trend of the last weeks rests on: without the suspects, and from where dosing began, once there are enough since.
 * @param ledSince ms, see `dosedSince`
 */
export function testsInTrend(points: readonly TestPoint[], now: number, ledSince: number | null = null): TestPoint[] {
  const used = points
    .filter(({ at, isSuspect }) => !isSuspect && at >= now - TREND_DAYS * MS_PER_DAY && at <= now)
    .slice(-MOST_IN_TREND)
  const led = ledSince === null ? [] : used.filter(({ at }) => at >= ledSince)
  return led.length >= LEAST_IN_TREND ? led : used
}

/**
 * The trend of some tests by `trend.fit`.
 * @param used see `testsInTrend`
 * @param targets values whose reaching is asked for
 * @returns null under three tests
 */
export function trendOf(used: readonly TestPoint[], now: number, targets: readonly number[] = []): TrendFit | null {
  const fit = trendFit({
    readings: used.map(({ at, value, halfWidth }) => ({ at: iso(at), value, sd: halfWidth * TO_SD })),
    targets: [...targets],
    now: iso(now),
  })
  return fit.ok ? fit.value : null
}

/** Tests that are drawn in one chart at most: about one for every two px of its width. */
export const MOST_DRAWN = 240

/** A point of a chart: one test, or many of a time taken together with the span they cover. */
export interface DrawnPoint extends TestPoint {
  low: number
  high: number
}

/**
 * Fewer points for a chart that cannot show them all: each stretch of time becomes its middle value with the span it covers, so that no
 * spike is lost.
 */
export function thinned(points: readonly TestPoint[], most = MOST_DRAWN): DrawnPoint[] {
  const alone = (point: TestPoint): DrawnPoint => ({ ...point, low: point.value, high: point.value })
  if (points.length <= most) return points.map(alone)
  const [first, last] = [points[0]!.at, points.at(-1)!.at]
  const width = (last - first) / most || 1
  const drawn: DrawnPoint[] = []
  let bucket: TestPoint[] = []
  let number = 0
  const close = () => {
    if (bucket.length === 0) return
    const sorted = [...bucket].sort((a, b) => a.value - b.value)
    const middle = sorted[Math.floor(sorted.length / 2)]!
    drawn.push({
      ...middle,
      at: bucket[Math.floor(bucket.length / 2)]!.at,
      count: bucket.reduce((sum, { count }) => sum + count, 0),
      isSuspect: bucket.every(({ isSuspect }) => isSuspect),
      low: sorted[0]!.value,
      high: sorted.at(-1)!.value,
    })
    bucket = []
  }
  for (const point of points) {
    const at = Math.min(most - 1, Math.floor((point.at - first) / width))
    if (at !== number) close()
    number = at
    bucket.push(point)
  }
  close()
  return drawn
}
