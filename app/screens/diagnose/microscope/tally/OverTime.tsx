import { lazy, Suspense } from 'react'
import {
  compareDinosPerField,
  compareShares,
  ratioOf,
  standingOf,
  talliesOf,
  WON,
  type KeptTally,
  type Standing,
} from '../../../../../core/microscope/tallies.ts'
import { percentSpan, percentText } from '../../../../../core/words/numbers.ts'
import { dayBeside } from '../../../../../core/time/words.ts'
import { useNow } from '../../../../frame/now.tsx'
import { useHousehold } from '../../../../journal/provider.tsx'
import { Clips } from '../../../../photos/Clips.tsx'
import { Pictures, usePicturesAbout } from '../../../../photos/Pictures.tsx'
import { Heading, Quiet, Ruled, Small, Stack } from '../../../../look/text.ts'

const ShareChart = lazy(() => import('./ShareChart.tsx'))

const STANDS: Record<Standing, string> = {
  nothing: '',
  dinos: 'Dinoflagellates lead.',
  open: 'Neither leads for sure.',
  diatoms: `Diatoms lead. Held at ${100 * WON.share} % on ${WON.counts} weekly tallies, they have won.`,
  won: `Diatoms have won: ${100 * WON.share} % on ${WON.counts} weekly tallies.`,
}

/** The tallies of a tank over time: whether a treatment works. */
export function OverTime({ tankId, since }: { tankId: string; since: number | null }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { clock } = settings
  // A case takes in what was counted on its first day, before it was opened.
  const from = since === null ? -Infinity : clock.instantAt(clock.dayOf(since))
  const tallies = talliesOf(journal, tankId).filter(({ at }) => at >= from)
  const last = tallies.at(-1)
  const stands = standingOf(tallies, (a, b) => clock.dayOf(b) - clock.dayOf(a))
  if (!last)
    return (
      <section>
        <Heading>Over time</Heading>
        <Small style={{ paddingTop: 10 }}>No tally is kept yet. One a week tells whether a treatment works.</Small>
      </section>
    )
  return (
    <section>
      <Heading>Over time</Heading>
      <Stack $gap={10} style={{ paddingTop: 12 }}>
        {tallies.length > 1 && (
          <Suspense fallback={<div style={{ height: 200 }} />}>
            <ShareChart tallies={tallies} clock={clock} />
          </Suspense>
        )}
        <p>
          <ChangeWords tallies={tallies} dayText={(at) => dayBeside(clock.dayOf(at), clock.dayOf(now))} />{' '}
          {STANDS[stands]}
        </p>
        <Ruled>
          <thead>
            <tr>
              <th scope="col">tally</th>
              <th scope="col">diatoms</th>
              <th scope="col">of cells</th>
              <th scope="col">dinos a field</th>
            </tr>
          </thead>
          <tbody>
            {[...tallies].reverse().map(({ id, at, share, low, high, diatoms, dinos, dinosPerField, objective }) => (
              <tr key={id}>
                <th scope="row">{dayBeside(clock.dayOf(at), clock.dayOf(now))}</th>
                <td>
                  {share === null ? (
                    <Quiet>none of the two</Quiet>
                  ) : (
                    <>
                      <strong>{percentText(share)}</strong> <Quiet>{percentSpan(low, high)}</Quiet>
                    </>
                  )}
                </td>
                <td>{diatoms + dinos}</td>
                <td>{dinosPerField === null ? <Quiet>–</Quiet> : `${dinosPerField.toFixed(1)} at ×${objective}`}</td>
              </tr>
            ))}
          </tbody>
        </Ruled>
        {[...tallies].reverse().map(({ id, at }) => (
          <Beside key={id} id={id} day={dayBeside(clock.dayOf(at), clock.dayOf(now))} />
        ))}
      </Stack>
    </section>
  )
}

/** Clips and photos that lie beside a tally. */
function Beside({ id, day }: { id: string; day: string }) {
  const { journal } = useHousehold()
  const photos = usePicturesAbout(id)
  const hasAny = journal.about(`pictures:${id}`).some(({ struck }) => !struck)
  if (!hasAny) return null
  return (
    <Stack $gap={8}>
      <Quiet>Beside the tally of {day}</Quiet>
      <Clips about={id} alt={`The slide, ${day}`} />
      <Pictures photos={photos} alt={`The slide, ${day}`} />
    </Stack>
  )
}

/** What changed from the first to the last tally, and whether that is more than chance. */
function ChangeWords({ tallies, dayText }: { tallies: readonly KeptTally[]; dayText: (at: number) => string }) {
  const said = tallies.filter(({ share }) => share !== null)
  const [first, last] = [said[0], said.at(-1)]
  if (!first || !last || first === last) return null
  const change = compareShares(first, last)
  const { change: test } = ratioOf(said)
  const cells = compareDinosPerField(first, last)
  if (!change) return null
  return (
    <>
      Diatoms {percentText(first.share!)} {dayText(first.at)}, {percentText(last.share!)} {dayText(last.at)}:{' '}
      <strong>
        {change.isReal
          ? change.by > 0
            ? 'a real rise'
            : 'a real fall'
          : 'no change that counting can tell from chance'}
      </strong>
      {test && ` (z ${Math.abs(test.z).toFixed(1)})`}.
      {cells &&
        ` Dinoflagellates a field are ${percentText(cells.share)} of then${cells.isReal ? '' : ', no real change'}.`}
    </>
  )
}
