import { LOOK_BACK_DAYS } from '../../../core/diagnosis/context.ts'
import { MS_PER_DAY } from '../../../core/time/zone.ts'
import { dayBeside } from '../../../core/time/words.ts'
import type { ContentKind } from '../../../core/journal/entry.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Heading, Rows, Small } from '../../look/text.ts'
import { contentMarks } from '../../words/entries.ts'

/** What may be the cause of something: readings and looks are its effect. */
const CAUSES: ReadonlySet<ContentKind> = new Set([
  'arrival',
  'bath',
  'contact',
  'course-start',
  'course-end',
  'death',
  'departure',
  'dose',
  'equipment',
  'move',
  'new-water',
  'part-change',
  'tank-change',
  'water-change',
])
const MOST = 14

/** What was done in the three weeks before, the latest first: the cause is often among it. */
export function Happened({ tankId, until }: { tankId: string; until: number }) {
  const { journal, settings } = useHousehold()
  const { clock, units } = settings
  const from = until - LOOK_BACK_DAYS * MS_PER_DAY
  const lines = journal
    .about(`tank:${tankId}`)
    .filter(({ at, struck, content }) => !struck && at >= from && at <= until && CAUSES.has(content.kind))
    .reverse()
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
