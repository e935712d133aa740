import { bandFor, PARAMETERS, typicalUncertainty, type Parameter } from '../catalogue/parameter.ts'
import { tankById } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { hasSmallPolyps } from '../household/corals.ts'
import { valuesOf } from '../readings/evidence.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { raiseCap } from '../water/correction/salts.ts'
import { worstChangePerDay } from '../readings/worst-change.ts'
import { LOOK_BACK_DAYS } from './context.ts'

/** How a value of the water went before something showed. */
interface Swing {
  parameter: Parameter
  least: number
  most: number
  /** How often it was tested. */
  tests: number
  /** The worst change a day between two tests, in the parameter's unit; null with a single test. */
  perDay: number | null
  /** That change over what may be raised in a day; null where no cap is known. */
  timesCap: number | null
  /** Some test lay outside the band of the tank; by the kit's error and more. */
  isOutside: boolean
}

/**
 * How each value went in the three weeks before, the most unsteady first: what was off its band, then what moved by most of its daily
 * cap. Source: outbreaks.md 5.2, recession-workup 2, with 21 days by further-schools.md 8.
 * @param until ms
 * @example
 * swingsBefore(journal, 'reef', now)[0] // alkalinity, 7.1 to 9.4, 0.9 a day, 1.8 times its cap
 */
export function swingsBefore(journal: Journal, tankId: string, until: number): Swing[] {
  const profile = tankById(journal, tankId)?.profile
  const isTender = hasSmallPolyps(journal, tankId)
  const swings = PARAMETERS.flatMap((parameter): Swing[] => {
    const values = valuesOf(journal, tankId, parameter.id, until - LOOK_BACK_DAYS * MS_PER_DAY, until)
    if (values.length === 0) return []
    const [low, high] = bandFor(parameter, profile) ?? [null, null]
    const perDay = worstChangePerDay(values)
    const cap = raiseCap(parameter.id, 'usual', isTender)
    return [
      {
        parameter,
        least: Math.min(...values.map(({ value }) => value)),
        most: Math.max(...values.map(({ value }) => value)),
        tests: values.length,
        perDay,
        timesCap: perDay === null || cap === null ? null : perDay / cap,
        isOutside: values.some(({ value }) => {
          const error = typicalUncertainty(parameter, value)
          return (low !== null && value < low - error) || (high !== null && value > high + error)
        }),
      },
    ]
  })
  return swings.sort((a, b) => Number(b.isOutside) - Number(a.isOutside) || (b.timesCap ?? 0) - (a.timesCap ?? 0))
}
