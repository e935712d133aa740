import { LOOK_BACK_DAYS } from '../../../../core/diagnosis/context.ts'
import { swingsBefore } from '../../../../core/diagnosis/look-back.ts'
import type { CoursePlan } from '../../../../core/courses/plan.ts'
import { figures } from '../../../../core/words/numbers.ts'
import { parameterDifference, parameterValue, quantityText } from '../../../../core/words/quantities.ts'
import { useHousehold } from '../../../journal/provider.tsx'
import { PlainLink } from '../../../look/buttons.ts'
import { Figure, Heading, Ruled, Small } from '../../../look/text.ts'
import { Happened } from '../../../water/Happened.tsx'

/** The three weeks before a decline: how steady each value was, the worst first, and what was done in the tank. */
export function LookBackPanel({ plan }: { plan: CoursePlan }) {
  const { journal, settings } = useHousehold()
  const { tankId, startedAt } = plan.course
  const swings = swingsBefore(journal, tankId, startedAt)
  const shown = (id: string, value: number) => parameterValue(id, value, settings.units)
  return (
    <>
      <section>
        <Heading>The water in the {LOOK_BACK_DAYS} days before</Heading>
        {swings.length === 0 && <Small style={{ paddingTop: 10 }}>Nothing was tested: test it all now.</Small>}
        {swings.length > 0 && (
          <div style={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="The water before">
            <Ruled>
              <thead>
                <tr>
                  <th scope="col">value</th>
                  <th scope="col">from, to</th>
                  <th scope="col">worst change a day</th>
                </tr>
              </thead>
              <tbody>
                {swings.map(({ parameter: { id, name }, least, most, tests, perDay, timesCap, isOutside }) => (
                  <tr key={id}>
                    <th scope="row">
                      {name}
                      {isOutside && <span style={{ color: 'var(--act)' }}> off its band</span>}
                    </th>
                    <td>
                      {tests === 1
                        ? `${quantityText(shown(id, least))}, once`
                        : `${shown(id, least).value} to ${quantityText(shown(id, most))}`}
                    </td>
                    <td>
                      {perDay === null
                        ? ''
                        : figures(Math.abs(parameterDifference(id, most, perDay, settings.units)), 2)}
                      {timesCap !== null && timesCap > 1 && (
                        <span style={{ color: 'var(--act)' }}>
                          {' '}
                          <Figure>{figures(timesCap, 2)} ×</Figure> its cap
                        </span>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </Ruled>
          </div>
        )}
        <Small style={{ paddingTop: 8 }}>
          Put the worst right first, one thing a week, within its cap:{' '}
          <PlainLink href={`/water/correct?tank=${tankId}`}>correct</PlainLink>
        </Small>
      </section>
      {/* The course's own beginning is no cause. */}
      <Happened tankId={tankId} until={startedAt - 1} />
    </>
  )
}
