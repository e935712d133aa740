import { untreatedChoice } from '../../../../core/courses/outlook/plans/treated-untreated.ts'
import type { CoursePlan } from '../../../../core/courses/plan.ts'
import { measureNoise, type MeasureState } from '../../../../core/courses/tracks/measure.ts'
import { partById } from '../../../../core/household/parts.ts'
import { dayAs } from '../../../../core/time/words.ts'
import { iso } from '../../../../core/time/zone.ts'
import { capital, figures } from '../../../../core/words/numbers.ts'
import { thisInstant } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { PlainButton } from '../../../look/buttons.ts'
import { Figure, Heading, Line, Quiet, Ruled, Small } from '../../../look/text.ts'
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
                <th scope="row">
                  {partById(journal, partId)?.name ?? partId} <UntreatedWord plan={plan} partId={partId} />
                </th>
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

/** Whether a rock is left alone to compare with, and the press that changes it: corals share their water, and none is untreated. */
function UntreatedWord({ plan, partId }: { plan: CoursePlan; partId: string }) {
  const { journal, settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const part = partById(journal, partId)
  if (!part) return null
  const choice = untreatedChoice(plan, part)
  if (choice === null && !part.control && part.releasedAt === null) return null
  const turn = (control: boolean) =>
    void keep([{ kind: 'part-change', happened: iso(thisInstant()), partId, changes: { control } }])
  return (
    <Line $gap={10}>
      {part.releasedAt !== null && (
        <Small>untreated until {dayAs(settings.clock.dayOf(part.releasedAt), 'd MMM')}</Small>
      )}
      {part.control && <Small>left untreated</Small>}
      {choice && (
        <PlainButton
          aria-label={choice === 'treat' ? `treat ${part.name} from now on` : `leave ${part.name} untreated`}
          onPress={() => turn(choice === 'leave')}
          isDisabled={busy}
        >
          {choice === 'treat' ? 'treat it too' : 'leave it untreated'}
        </PlainButton>
      )}
      {unkept && <UnkeptNote unkept={unkept} />}
    </Line>
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
