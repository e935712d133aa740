import { parameterById } from '../../../core/catalogue/parameter.ts'
import { refugeScores } from '../../../core/courses/outlook/refuge.ts'
import { figures, plural } from '../../../core/words/numbers.ts'
import { parameterDifference, parameterValue, quantityText } from '../../../core/words/quantities.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Figure, Heading, Quiet, Ruled, Small } from '../../look/text.ts'

/** Which of the own tanks is the steadiest: where a frag would be safest. */
export function RefugeList() {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const scores = refugeScores(journal, now)
  const best = scores.find(({ score }) => score !== null)
  const changeText = ({ parameter, perDay }: { parameter: string; perDay: number }) =>
    quantityText({
      value: figures(Math.abs(parameterDifference(parameter, 0, perDay, settings.units)), 2),
      unit: parameterValue(parameter, perDay, settings.units).unit,
    })
  return (
    <section>
      <Heading>Where a frag is safest</Heading>
      <Ruled style={{ marginTop: 8 }}>
        <thead>
          <tr>
            <th scope="col">tank</th>
            <th scope="col">unrest</th>
            <th scope="col">the most of it</th>
          </tr>
        </thead>
        <tbody>
          {scores.map(({ tank, score, worst, losses }) => {
            const most = [...worst].sort((a, b) => b.share - a.share)[0]
            const parameter = most && parameterById(most.parameter)
            return (
              <tr key={tank.id}>
                <th scope="row">
                  {tank.name}
                  {tank.id === best?.tank.id && (
                    <>
                      <br />
                      <span style={{ color: 'var(--second)' }}>the steadiest</span>
                    </>
                  )}
                </th>
                <td>{score === null ? <Quiet>not tested</Quiet> : <Figure $size={18}>{score.toFixed(2)}</Figure>}</td>
                <td>
                  {most && `${parameter?.short ?? most.parameter} ${changeText(most)} a day`}
                  {losses > 0 && `${most ? ', ' : ''}${plural(losses, 'loss', 'losses')}`}
                  <Small>{plural(worst.length, 'value')} of 5 tested</Small>
                </td>
              </tr>
            )
          })}
        </tbody>
      </Ruled>
      <Small>
        The worst change a day in thirty days over what may change in a day, of alkalinity, nitrate, phosphate, salinity
        and temperature, and one for each loss. The lower, the steadier.
      </Small>
    </section>
  )
}
