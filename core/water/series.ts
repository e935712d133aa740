import { type Parameter } from '../catalogue/parameter.ts'
import { PARAMETERS_AS_ASKED } from '../catalogue/parameters-as-asked.ts'
import type { Tank } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { iso } from '../time/zone.ts'
import { dosedSince, testPoints, type TestPoint } from './points.ts'

/** The tests of one parameter in a tank. */
export interface ChartSeries {
  parameter: Parameter
  points: readonly TestPoint[]
  /** Since when it is dosed as it is now, ms; null where nothing that raises it is dosed. */
  ledSince: number | null
}

/** Every parameter that was tested in a tank over some time, in the order in which they are asked for. @param from ms @param until ms */
export const seriesOf = (journal: Journal, tankId: string, from: number, until: number): ChartSeries[] =>
  PARAMETERS_AS_ASKED.flatMap((parameter) => {
    const points = testPoints(journal, tankId, parameter.id, from, until)
    return points.length === 0
      ? []
      : [{ parameter, points, ledSince: dosedSince(journal, tankId, parameter.id, until) }]
  })

/** A field of a CSV file: quoted where a comma, a quote or a line end is in it. */
const field = (text: string): string => (/[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text)

/**
 * What charts show as CSV (RFC 4180): a line a test, values in the catalogue's units.
 * @example
 * chartCsv(tank, seriesOf(journal, 'hall', 0, Date.now())).split('\r\n')[0] // "time,tank,parameter,value,unit,plus_minus,readings,suspect"
 */
export const chartCsv = (tank: Pick<Tank, 'name'>, series: readonly ChartSeries[]): string =>
  [
    ['time', 'tank', 'parameter', 'value', 'unit', 'plus_minus', 'readings', 'suspect'],
    ...series.flatMap(({ parameter, points }) =>
      points.map(({ at, value, halfWidth, count, isSuspect }) => [
        iso(at),
        tank.name,
        parameter.name,
        String(Number(value.toPrecision(6))),
        parameter.unit,
        halfWidth > 0 ? String(Number(halfWidth.toPrecision(3))) : '',
        String(count),
        isSuspect ? 'yes' : 'no',
      ]),
    ),
  ]
    .map((line) => line.map(field).join(','))
    .join('\r\n') + '\r\n'
