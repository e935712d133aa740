import { typicalUncertainty } from '../catalogue/parameter.ts'
import { PARAMETERS_AS_ASKED } from '../catalogue/parameters-as-asked.ts'
import { LEARNT, type LearntVolume } from '../courses/outlook/forecast.ts'
import type { Tank } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { raisedBy } from '../readings/raises.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { balanceEvents } from './balance.ts'
import { testPoints } from './points.ts'
import { countedMassMg } from '../dosing/counted-mass.ts'

/** Days of doses that count: older ones may have gone into another volume, since rock, sand and the water line change (EA). */
const LOOK_BACK_DAYS = 60
/** Most days between the two tests round a dose: with more, uptake blurs the rise (EA). */
const PAIR_DAYS = 2

/** One dose with a test before and one after. */
interface Pair {
  /** What was dosed, as parameter units × litres. */
  amount: number
  rise: number
  /** One standard deviation of the rise. */
  sd: number
}

/** What tests shortly before and after doses say, with what the tank took up between tests without a dose counted in. */
function pairsOf(journal: Journal, tank: Tank, parameterId: string, now: number): Pair[] {
  const since = now - LOOK_BACK_DAYS * MS_PER_DAY
  const parameter = PARAMETERS_AS_ASKED.find(({ id }) => id === parameterId)!
  const tests = testPoints(journal, tank.id, parameterId, since, now).filter((one) => !one.isSuspect && !one.isByLab)
  const between = tests.slice(1).map((second, i) => {
    const first = tests[i]!
    return { first, second, days: (second.at - first.at) / MS_PER_DAY }
  })
  const idle = between.filter(({ first, second }) =>
    balanceEvents(journal, tank.id, parameterId, first.at, second.at - 1).every(
      ({ add, fraction }) => !add && !fraction,
    ),
  )
  const idleDays = idle.reduce((sum, { days }) => sum + days, 0)
  const uptake =
    idleDays > 0 ? idle.reduce((sum, { first, second }) => sum + first.value - second.value, 0) / idleDays : 0
  const sdOf = (value: number, halfWidth: number) =>
    (halfWidth > 0 ? halfWidth : typicalUncertainty(parameter, value)) / 1.96
  return between.flatMap(({ first, second, days }): Pair[] => {
    if (days > PAIR_DAYS) return []
    const lines = journal
      .about(`water:${tank.id}`)
      .filter(({ at, struck }) => !struck && at >= first.at && at < second.at)
    // A change of water between the two tells of the new water, not of the dose.
    if (lines.some(({ content }) => content.kind === 'water-change')) return []
    const amount = lines.reduce(
      (sum, { content }) =>
        content.kind === 'dose' && countedMassMg(content) !== undefined
          ? sum + raisedBy(content.ingredient, parameterId, countedMassMg(content)!)
          : sum,
      0,
    )
    if (!(amount > 0)) return []
    return [
      {
        amount,
        rise: second.value - first.value + uptake * days,
        sd: Math.hypot(sdOf(first.value, first.halfWidth), sdOf(second.value, second.halfWidth)),
      },
    ]
  })
}

/**
 * The net volume that doses and the tests round them show: each rise is amount ÷ volume, all taken together by least squares on 1 ÷ volume.
 * Copper's courses fit their own (`learntVolume`).
 * @param now ms
 * @returns null where it is not surer than `LEARNT` asks, or agrees with the sheet
 * @example
 * volumeByDoses(journal, hall, Date.now())?.litres // 262
 */
export function volumeByDoses(journal: Journal, tank: Tank, now: number): LearntVolume | null {
  const sheetL = tank.volume?.netL
  if (sheetL === undefined) return null
  const pairs = PARAMETERS_AS_ASKED.filter(({ id }) => id !== 'copper').flatMap(({ id }) =>
    pairsOf(journal, tank, id, now),
  )
  if (pairs.length < LEARNT.doses) return null
  const weight = pairs.reduce((sum, { amount, sd }) => sum + (amount / sd) ** 2, 0)
  const perLitre = pairs.reduce((sum, { amount, rise, sd }) => sum + (amount * rise) / sd ** 2, 0) / weight
  if (!(perLitre > 0)) return null
  const litres = 1 / perLitre
  const logSd = 1 / Math.sqrt(weight) / perLitre
  if (logSd > LEARNT.logSd || Math.abs(Math.log(litres / sheetL)) < 2 * logSd) return null
  return { litres, sdL: litres * logSd, sheetL }
}
