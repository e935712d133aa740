import { conditionWord } from '../../../core/catalogue/corals/condition.ts'
import type { CoralSurvey } from '../../../core/household/coral-survey.ts'
import { partById } from '../../../core/household/parts.ts'
import { dayBeside } from '../../../core/time/words.ts'
import { listed } from '../../../core/words/numbers.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Heading, Quiet, Rows, Small } from '../../look/text.ts'

const SHOWN = 6

/** What the surveys of a tank came to: how many in each condition, and who went back. */
export function SurveyList({ surveys }: { surveys: readonly CoralSurvey[] }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  if (surveys.length === 0) return null
  const named = (ids: readonly string[]) => listed(ids.map((id) => partById(journal, id)?.name ?? id))
  return (
    <section>
      <Heading>Surveys</Heading>
      <Rows>
        {surveys.slice(0, SHOWN).map(({ day, tally, worse, better }) => (
          <li key={day}>
            <Quiet>{dayBeside(day, settings.clock.dayOf(now))}</Quiet>
            <br />
            <strong>
              {tally
                .flatMap((n, condition) => (n > 0 ? [`${n} ${conditionWord(condition)}`] : []))
                .reverse()
                .join(', ')}
            </strong>
            {worse.length > 0 && (
              <>
                <br />
                <span style={{ color: 'var(--act)' }}>gone back: {named(worse)}</span>
              </>
            )}
            {better.length > 0 && (
              <>
                <br />
                <Small>better: {named(better)}</Small>
              </>
            )}
          </li>
        ))}
      </Rows>
    </section>
  )
}
