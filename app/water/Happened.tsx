import { LOOK_BACK_DAYS } from '../../core/diagnosis/context.ts'
import { happenedBefore } from '../../core/diagnosis/happened.ts'
import { dayBeside } from '../../core/time/words.ts'
import { useHousehold } from '../journal/provider.tsx'
import { Heading, Rows, Small } from '../look/text.ts'
import { contentMarks } from '../words/entries.ts'

/** Lines that are shown; the ledger has them all. */
const MOST = 14

/** What was done in the three weeks before, the latest first: the cause is often among it. */
export function Happened({ tankId, until }: { tankId: string; until: number }) {
  const { journal, settings } = useHousehold()
  const { clock, units } = settings
  const lines = happenedBefore(journal, tankId, until)
  return (
    <section>
      <Heading>What happened in {LOOK_BACK_DAYS} days</Heading>
      {lines.length === 0 && <Small style={{ paddingTop: 10 }}>Nothing was dosed, changed, moved or switched.</Small>}
      <Rows>
        {lines.slice(0, MOST).map(({ id, at, content }) => (
          <li key={id}>
            <Small as="span">{dayBeside(clock.dayOf(at), clock.dayOf(until))}</Small>{' '}
            {contentMarks(content, { journal, units })
              .map(({ text }) => text)
              .join('')}
          </li>
        ))}
      </Rows>
      {lines.length > MOST && <Small>and {lines.length - MOST} more, in the ledger.</Small>}
    </section>
  )
}
