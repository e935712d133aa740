import { doseById } from '../../../../core/catalogue/treatments/treatments.ts'
import type { CoursePlan } from '../../../../core/courses/plan.ts'
import type { DosesState } from '../../../../core/courses/tracks/doses.ts'
import { dayAs, timeOf } from '../../../../core/time/words.ts'
import { capital, figures } from '../../../../core/words/numbers.ts'
import { DoseCells } from '../../../courses/LeadStrip.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Figure, Heading, Rows, Small } from '../../../look/text.ts'
import { Legend, RoundRow } from './legend.ts'

/** Rows shown of what is to come: a fortnight of daily doses would bury the rest. */
const MOST_AHEAD = 4

/** Doses that were given and those to come: into the water, with the food, or as baths. */
export function DosesPanel({ plan, doses }: { plan: CoursePlan; doses: DosesState }) {
  const { settings } = useHousehold()
  const { clock } = settings
  const { track, done, ahead } = doses
  const dose = doseById(track.dose)
  const when = (ms: number) => `${dayAs(clock.dayOf(ms), 'EEE d MMM')} ${timeOf(ms, clock)}`
  const first = track.first.after === 'watch' && !plan.observation && ahead.length > 0
  return (
    <section>
      <Heading>
        <span>
          {capital(track.name)}{' '}
          <Figure $size={15}>
            {done.length} of {track.need}
          </Figure>
        </span>
        <Legend>solid was given, hatched is to come</Legend>
      </Heading>
      <div style={{ paddingTop: 14 }}>
        <DoseCells doses={doses} height={26} />
      </div>
      {dose && (
        <Small>
          {figures(dose.target)} {dose.unit} each
          {dose.route === 'bath' && dose.bathMinutes ? `, ${dose.bathMinutes[0]} to ${dose.bathMinutes[1]} min` : ''}.
          Logged, not proven: no test at home measures it.
        </Small>
      )}
      <Rows style={{ marginTop: 8 }}>
        {done.map((at, i) => (
          <li key={at}>
            <RoundRow $isAhead={false}>
              <strong>{i + 1}</strong>
              <span>{when(at)}</span>
              <span />
            </RoundRow>
          </li>
        ))}
        {first ? (
          <li>
            <Small>once the treatment is over and the fish eat, about {when(ahead[0]!.best)}</Small>
          </li>
        ) : (
          ahead.slice(0, MOST_AHEAD).map(({ ordinal, best, notAfter }, i) => (
            <li key={ordinal}>
              <RoundRow $isAhead>
                <span>{done.length + i + 1}</span>
                <span>best {when(best)}</span>
                <span>by {when(notAfter)}</span>
              </RoundRow>
            </li>
          ))
        )}
        {!first && ahead.length > MOST_AHEAD && (
          <li>
            <Small>the last, if none is missed, {when(ahead.at(-1)!.best)}</Small>
          </li>
        )}
      </Rows>
    </section>
  )
}
