import { COPPER_HALF_LIFE } from '../../catalogue/treatments/decay.data.ts'
import { concentrationFit } from '../../concentration/fit.ts'
import type { ConcentrationFit } from '../../concentration/concentration.schema.ts'
import { iso, MS_PER_HOUR } from '../../time/zone.ts'
import { knownLevel, type CourseRecord, type DrugRecord } from '../record/record.ts'

/** Spread of the net volume before doses tell better, as a share (EA: a measured sheet is seldom off by more). */
const VOLUME_LOG_SD = 0.1
/** A reading without its kit's uncertainty: the photometer's, quarantine.md 5.4, ± 0.05 ± 5 % as a 95 % half-width. */
export const typicalSd = (mgPerL: number) => (0.05 + 0.05 * mgPerL) / 2
/** Nine in ten of a normal lie within so many sds. */
const Z_90 = 1.6448536269514722
const STEP_HOURS = 6
const MAX_POINTS = 400

/** What the readings and doses of a course say of its water: how much there is, and how fast copper leaves it. */
export function levelFit({ course, volumeL, readings, events }: DrugRecord): ConcentrationFit | null {
  const prior = COPPER_HALF_LIFE[course.dose.agent]
  if (volumeL === null || !prior) return null
  const fit = concentrationFit({
    start: { at: iso(course.startedAt), mgPerL: 0 },
    events: events.map(({ event }) => event),
    readings: readings.map(({ ms, mgPerL, sdMgPerL }) => ({
      at: iso(ms),
      mgPerL,
      sdMgPerL: sdMgPerL && sdMgPerL > 0 ? sdMgPerL : typicalSd(mgPerL),
    })),
    volumePrior: { medianL: volumeL, logSd: VOLUME_LOG_SD },
    halfLifePrior: prior,
  })
  return fit.ok ? fit.value : null
}

export interface ForecastPoint {
  ms: number
  mgPerL: number
  /** Nine times in ten between these. */
  low: number
  high: number
}

/** The level from now on if nothing is dosed or changed, with a fan of nine in ten. */
export function levelForecast(
  facts: DrugRecord,
  fit: ConcentrationFit | null,
  until: number,
  from = knownLevel(facts)?.mgPerL ?? null,
): ForecastPoint[] {
  const { readings, now } = facts
  const last = readings.at(-1)
  if (!fit || from === null || until <= now) return []
  const sd = last?.sdMgPerL && last.sdMgPerL > 0 ? last.sdMgPerL : typicalSd(from)
  const slow = fit.halfLifeHours * Math.exp(Z_90 * fit.logSdHalfLife)
  const fast = fit.halfLifeHours * Math.exp(-Z_90 * fit.logSdHalfLife)
  const step = Math.max(STEP_HOURS, (until - now) / MS_PER_HOUR / MAX_POINTS)
  const points: ForecastPoint[] = []
  for (let hours = 0; ; hours += step) {
    const ms = Math.min(until, now + hours * MS_PER_HOUR)
    const passed = (ms - now) / MS_PER_HOUR
    const left = (halfLife: number) => 2 ** (-passed / halfLife)
    points.push({
      ms,
      mgPerL: from * left(fit.halfLifeHours),
      low: Math.max(0, (from - Z_90 * sd) * left(fast)),
      high: (from + Z_90 * sd) * left(slow),
    })
    if (ms >= until) return points
  }
}

/** When a level that only decays would fall to a limit, ms; null if it is there already or would take over a year. */
export function fallsTo(fromMgPerL: number, limitMgPerL: number, halfLifeHours: number, now: number): number | null {
  if (fromMgPerL <= limitMgPerL) return null
  const hours = halfLifeHours * Math.log2(fromMgPerL / limitMgPerL)
  return hours > 24 * 365 ? null : now + hours * MS_PER_HOUR
}

/** A net volume that doses and readings have shown, when it differs from the tank's sheet by more than chance. */
export interface LearntVolume {
  litres: number
  sdL: number
  sheetL: number
}

/** Fewest readings and doses that say anything of the volume; the spread it must have come down to. */
export const LEARNT = { readings: 3, doses: 2, logSd: 0.06 }

export function learntVolume(
  { volumeL, readings, events }: CourseRecord,
  fit: ConcentrationFit | null,
): LearntVolume | null {
  if (
    !fit ||
    volumeL === null ||
    readings.length < LEARNT.readings ||
    events.filter(({ event }) => event.kind === 'dose').length < LEARNT.doses
  )
    return null
  if (fit.logSdVolume > LEARNT.logSd || Math.abs(Math.log(fit.volumeL / volumeL)) < 2 * fit.logSdVolume) return null
  return { litres: fit.volumeL, sdL: fit.volumeL * fit.logSdVolume, sheetL: volumeL }
}
