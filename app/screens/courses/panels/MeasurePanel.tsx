import type { CoursePlan } from '../../../../core/courses/plan.ts'
import { measureNoise, type MeasureState } from '../../../../core/courses/tracks/measure.ts'
import { partById } from '../../../../core/household/parts.ts'
import { dayAs } from '../../../../core/time/words.ts'
import { capital, figures } from '../../../../core/words/numbers.ts'
import { useHousehold } from '../../../journal/provider.tsx'
import { Figure, Heading, Quiet, Ruled, Small } from '../../../look/text.ts'
import { Legend } from './legend.ts'
import { ResponseChart } from './ResponseChart.tsx'

const VERDICTS: Record<MeasureState['verdict'], string> = {
  'on-course': 'as expected',
  behind: 'behind what is expected',
  'no-response': 'no real change: identify it again',
  unknown: 'nothing is expected of it by a day',
}

/** A measure of a plan: its rounds with their noise, against what is expected of it. */
export function MeasurePanel({ plan, measure }: { plan: CoursePlan; measure: MeasureState }) {
  const { journal, settings } = useHousehold()
  const { track, rounds, last, verdict } = measure
  const counted = last?.parts ?? []
  return (
    <section>
      <Heading>
        <span>
          {capital(track.name)}{' '}
          {last && (
            <Figure $size={22}>
              {figures(last.value, 3)} {track.unit}
            </Figure>
          )}
        </span>
        <Legend>
          {track.expected.length > 0 ? 'solid: counted; dashed: expected' : 'counted, with how far one count may err'}
        </Legend>
      </Heading>
      {rounds.length === 0 ? (
        <Small>Nothing counted yet: the first round is what every later one is held against.</Small>
      ) : (
        <>
          <MeasureChart plan={plan} measure={measure} />
          <Small style={verdict === 'no-response' ? { color: 'var(--act)', fontWeight: 650 } : undefined}>
            {captionOf(measure, dayAs(settings.clock.dayOf(last!.at), 'EEE d MMM'))}
            {track.silentByDay !== null &&
              measure.day < track.silentByDay &&
              ` No real change by day ${track.silentByDay}: it is something else.`}
          </Small>
        </>
      )}
      {counted.length > 1 && (
        <Ruled style={{ marginTop: 8 }}>
          <tbody>
            {counted.map(({ partId, value }) => (
              <tr key={partId}>
                <th scope="row">{partById(journal, partId)?.name ?? partId}</th>
                <td style={{ textAlign: 'right' }}>
                  <Figure $size={17}>{figures(value, 3)}</Figure> <Quiet>{track.unit}</Quiet>
                </td>
              </tr>
            ))}
          </tbody>
        </Ruled>
      )}
    </section>
  )
}

/** What the chart shows, in words. */
function captionOf({ track, first, last, expected, verdict }: MeasureState, when: string): string {
  const said = `${figures(first!.value, 3)} at first, ${figures(last!.value, 3)} ${when}`
  const wanted =
    expected === null
      ? ''
      : `; ${track.better === 'lower' ? 'at most' : 'at least'} ${figures(expected, 3)} expected by now`
  if (first === last) return `${capital(said.split(',')[0]!)}: one round says nothing yet.`
  return `${capital(said)}${wanted}: ${VERDICTS[verdict]}.`
}

function MeasureChart({ plan, measure }: { plan: CoursePlan; measure: MeasureState }) {
  const { settings } = useHousehold()
  const { track, rounds, first, day, marks } = measure
  const startDay = settings.clock.dayOf(plan.course.startedAt)
  const dayOf = (at: number) => settings.clock.dayOf(at) - startDay
  return (
    <ResponseChart
      name={track.name}
      found={rounds.map(({ at, value }) => ({ day: dayOf(at), value, noise: measureNoise(track.measure, value) }))}
      expected={[...(first ? [{ day: dayOf(first.at), value: first.value }] : []), ...marks]}
      day={day}
    />
  )
}
