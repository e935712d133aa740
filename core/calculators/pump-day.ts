import { PARAMETERS_AS_ASKED } from '../catalogue/parameters-as-asked.ts'
import type { Parameter } from '../catalogue/parameter.ts'
import { raisedBy } from '../readings/raises.ts'
import { raiseCap } from '../water/correction/salts.ts'
import { comesAlong } from '../readings/comes-along.ts'
import { mgPerUnit } from '../dosing/product.ts'
import type { Sentence } from '../words/measure.ts'
import { VOLUME, type AnswerLine, type Calculator } from './calculator.ts'
import { levelUnitOf, productFields, readProduct } from './product-fields.ts'

const HOURS_A_DAY = 24
const CLOCK = /^([01]?\d|2[0-4])(?::([0-5]\d))?$/

/** Hours of a time on the clock, "21:30" or "21"; null where it is none. */
function hourOf(text: string): number | null {
  const found = CLOCK.exec(text.trim())
  const hours = found ? Number(found[1]) + Number(found[2] ?? 0) / 60 : NaN
  return hours <= HOURS_A_DAY ? hours : null
}

const clockOf = (hours: number): string => {
  const minutes = Math.round((hours % HOURS_A_DAY) * 60)
  return `${String(Math.floor(minutes / 60) % HOURS_A_DAY).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
}

/** What a day's dose of a pump brings along, in one line. */
function alongLine(ingredient: string | null, mgPerL: number): AnswerLine[] {
  const along = ingredient === null ? [] : comesAlong(ingredient, mgPerL)
  if (along.length === 0) return []
  const value: Exclude<Sentence, string>[number][] = along.flatMap(({ name, value: rise, unit }, i) => [
    ...(i === 0 ? [] : [', ']),
    { value: rise, unit, digits: 2 },
    ` of ${name}`,
  ])
  return [{ what: 'brings along a day', value }]
}

/** What a day's dose raises faster than corals bear, outbreaks.md 5.4: half of the cap of some holds for small-polyp corals. */
const overCaps = (ingredient: string | null, mgPerL: number): { parameter: Parameter; cap: number }[] =>
  ingredient === null
    ? []
    : PARAMETERS_AS_ASKED.flatMap((parameter) => {
        const cap = raiseCap(parameter.id, 'usual', false)
        return cap !== null && raisedBy(ingredient, parameter.id, mgPerL) > cap * (1 + 1e-9) ? [{ parameter, cap }] : []
      })

/** Any day's amount for a dosing pump of any make: nothing has to be attached. */
export const PUMP_DAY: Calculator = {
  id: 'pump-day',
  group: 'How much do I dose',
  title: 'A pump’s day',
  about: 'mL an hour, from when to when, and when the bottle is empty: for any dosing pump',
  fields: (values, products) => [
    VOLUME,
    { id: 'daily', label: 'Rise wanted a day', unit: levelUnitOf(values, products) },
    { id: 'from', label: 'From', start: '0:00', hint: 'on the clock, such as 21:00' },
    { id: 'until', label: 'until', start: '24:00' },
    { id: 'bottleMl', label: 'In the bottle', unit: 'mL', start: '500' },
    { id: 'residueMl', label: 'that it cannot draw', unit: 'mL', start: '10' },
    ...productFields(values, products),
  ],
  compute(reading) {
    const volumeL = reading.number('volumeL', { over: 0 })
    const daily = reading.number('daily', { over: 0 })
    const bottleMl = reading.number('bottleMl', { over: 0 })
    const residueMl = reading.number('residueMl', { least: 0 })
    const product = readProduct(reading)
    const [from, until] = [hourOf(reading.text('from')), hourOf(reading.text('until'))]
    if (from === null) reading.fault('from', 'a time on the clock, such as 21:00')
    if (until === null) reading.fault('until', 'a time on the clock, such as 6:00')
    if (
      volumeL === undefined ||
      daily === undefined ||
      bottleMl === undefined ||
      residueMl === undefined ||
      !product ||
      from === null ||
      until === null
    )
      return null
    if (product.unit !== 'mL')
      return reading.fault('product', 'a pump gives a solution: mix a stock, and take its strength') ?? null
    if (residueMl >= bottleMl) return reading.fault('residueMl', 'less than there is in the bottle') ?? null
    const out = reading.ask(
      'dose.amount',
      { volumeL, targetMgPerL: daily, product: product.product },
      { '/volumeL': 'volumeL', '/targetMgPerL': 'daily' },
    )
    if (!out) return null
    const mlPerDay = out.exact.amount
    // Over midnight it goes on into the next morning; the same hour twice is all day.
    const hours = until > from ? until - from : until + HOURS_A_DAY - from
    const days = (bottleMl - residueMl) / mlPerDay
    const whole = Math.floor(days + 1e-9)
    const emptyAt = from + (days - whole) * hours
    const dayMgPerL = (mlPerDay * mgPerUnit(product.product)) / volumeL
    const over = overCaps(product.ingredient, dayMgPerL)
    return {
      lead: { what: 'an hour', value: mlPerDay / hours, unit: 'mL' },
      says: hours === HOURS_A_DAY ? 'all day' : `from ${clockOf(from)} until ${clockOf(until)}`,
      lines: [
        { what: 'a day', value: mlPerDay, unit: 'mL' },
        {
          what: 'the bottle is empty',
          value:
            days < 1
              ? `on the first day, about ${clockOf(emptyAt)}`
              : `after ${whole} full ${whole === 1 ? 'day' : 'days'}, about ${clockOf(emptyAt)}`,
        },
        ...alongLine(product.ingredient, dayMgPerL),
      ],
      cautions: [
        ...over.map(
          ({ parameter, cap }) =>
            `Raises ${parameter.name} by more than ${reading.said(cap, parameter.unit)} a day, unless the tank takes that much up: spread it over more days. Small-polyp corals bear half of it.`,
        ),
        ...product.cautions,
      ],
    }
  },
}
