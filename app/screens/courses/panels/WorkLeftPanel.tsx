import type { WorkLeft } from '../../../../core/courses/outlook/plans/work-left.ts'
import { figures, plural } from '../../../../core/words/numbers.ts'
import { Facts, Figure, Heading, Small } from '../../../look/text.ts'

/** What is left to take out, in sessions, and what a pause costs. */
export function WorkLeftPanel({ work }: { work: WorkLeft }) {
  const { left, removed, hours, sessions, doublingDays, pause } = work
  return (
    <section>
      <Heading>Work left</Heading>
      <Facts>
        <div>
          <dt>left on the rocks</dt>
          <dd>
            <Figure $size={22}>{figures(left, 3)}</Figure>
          </dd>
        </div>
        <div>
          <dt>taken out{hours === null ? '' : ` in ${figures(hours, 2)} h`}</dt>
          <dd>{figures(removed, 3)}</dd>
        </div>
        {sessions !== null && (
          <div>
            <dt>sessions of an hour, about</dt>
            <dd>
              <Figure $size={22}>{Math.ceil(sessions)}</Figure>
            </dd>
          </div>
        )}
        {doublingDays !== null && (
          <div>
            <dt>they double in</dt>
            <dd>{plural(Math.round(doublingDays), 'day')}</dd>
          </div>
        )}
      </Facts>
      <Small>
        {pause === null
          ? 'Two counts some days apart say how fast they grow again.'
          : `A pause of ${plural(pause.days, 'day')} would make ${figures(pause.makes, 2)} of them.`}
        {hours === null && ' Sessions are reckoned once one was done at the bench.'}
      </Small>
    </section>
  )
}
