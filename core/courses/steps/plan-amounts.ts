import type { Step } from '../../catalogue/courses/definitions.ts'
import { productById } from '../../household/shelf.ts'
import type { Journal } from '../../journal/journal.ts'
import { valuesOf } from '../../readings/evidence.ts'
import { MS_PER_DAY, MS_PER_HOUR, type ZoneClock } from '../../time/zone.ts'
import { measureText } from '../../words/measure.ts'
import { doseToLevel, doseToward } from '../amounts/planned-dose.ts'
import { sessionCap, tierOf } from '../amounts/planned-session.ts'
import { SILICATE_CAP_MG_PER_L, silicateDose } from '../amounts/silicate-loop.ts'
import type { CourseRecord } from '../record/record.ts'
import type { Draft, TaskInput } from './step-input.ts'

/** An hour after a dose it is mixed; a reading of that hour is what the uptake is reckoned from (EA: up to three hours after). */
const MIXED_HOURS = [0.5, 3] as const

/** The next dose of silicate by what was taken up since the last one; nothing before a first dose. */
function silicateAmount(
  journal: Journal,
  { course, sessions, now }: CourseRecord,
  volumeL: number,
  clock: ZoneClock,
): Partial<Draft> {
  const [wanted] = course.definition.products
  const productId = wanted && course.products[wanted.dose]
  const product = productId === undefined ? null : productById(journal, productId)
  const last = sessions.at(-1)
  const values = valuesOf(journal, course.tankId, 'sio2', -Infinity, now)
  const isMixed = ({ at }: { at: number }) =>
    last !== undefined && at - last.at >= MIXED_HOURS[0] * MS_PER_HOUR && at - last.at <= MIXED_HOURS[1] * MS_PER_HOUR
  const after = values.find(isMixed)
  const latest = values.at(-1)
  if (!last || last.massMg === null) return {}
  const toward = (from: number, mgPerL: number): Partial<Draft> => {
    const dose = doseToward(from, from + mgPerL, from + mgPerL, volumeL, product)
    return { ...(wanted && { ingredient: wanted.ingredient }), ...(dose && { dose }) }
  }
  // Without a test of the hour after the dose nobody knows what was taken up: the last amount again.
  if (!after || !latest || latest.at <= after.at)
    return toward(latest?.value ?? 0, Math.min(last.massMg / volumeL, SILICATE_CAP_MG_PER_L))
  const days = new Map(values.map(({ at, value }) => [clock.dayOf(at), value]))
  const next = silicateDose({
    afterDose: after.value,
    now: latest.value,
    days: (latest.at - after.at) / MS_PER_DAY,
    lastDose: last.massMg / volumeL,
    daily: [...days.values()],
  })
  return toward(latest.value, next)
}

/** What a step of a plan takes: a session's cap, a dose to a level, the silicate loop, a share of the water. */
export function amountOf({ facts, journal, settings }: TaskInput, step: Step): Partial<Draft> {
  const { course, volumeL } = facts
  if (volumeL === null) return {}
  if (step.amount === 'session-cap') {
    const [product] = course.definition.products
    const productId = product && course.products[product.dose]
    return {
      session: sessionCap(
        tierOf(course.options['tier']),
        volumeL,
        productId === undefined ? null : productById(journal, productId),
      ),
    }
  }
  if (step.amount === 'to-level' && step.mgPerL !== undefined) {
    const [product] = course.definition.products
    const productId = product && course.products[product.dose]
    const dose = doseToLevel(step.mgPerL, volumeL, productId === undefined ? null : productById(journal, productId))
    return { ...(product && { ingredient: product.ingredient }), ...(dose && { dose }) }
  }
  if (step.amount === 'silicate-loop') return silicateAmount(journal, facts, volumeL, settings.clock)
  if (step.amount === 'change-share' && step.share !== undefined)
    return {
      change: { litres: step.share * volumeL, times: 1, fromMgPerL: 0, toMgPerL: 0 },
      title: `${step.title}: ${measureText(step.share * volumeL, 'L', settings.units, 3)}`,
    }
  return {}
}
