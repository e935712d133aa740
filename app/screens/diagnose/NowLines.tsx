import { styled } from 'styled-components'
import type { FirstMinutes } from '../../../core/catalogue/diagnosis/first-minutes.data.ts'
import type { CaseRanking } from '../../../core/diagnosis/ranking.ts'
import { conditionName } from '../../../core/diagnosis/condition-facts.ts'
import { Small } from '../../look/text.ts'

const Now = styled.section`
  border-left: 5px solid var(--act);
  padding: 4px 0 6px 16px;
  margin-bottom: 20px;
  max-width: 900px;
  h2 {
    color: var(--act);
    font-size: 21px;
  }
  ol {
    list-style: decimal;
    padding-left: 24px;
  }
  li {
    font-size: 17px;
    line-height: 1.4;
    padding: 3px 0;
  }
`

/** What is read first when minutes or hours matter: what to do now, and what not to do. */
export function NowLines({ ranking }: { ranking: CaseRanking }) {
  const { flags, urgent } = ranking
  const [flag] = flags.filter(({ urgency }) => urgency === 'hours' || urgency === 'day')
  const first: { title: string; lines: FirstMinutes } | null = flag
    ? { title: flag.urgency === 'hours' ? 'Now, before the ranking' : 'Before the ranking', lines: flag }
    : urgent
      ? { title: `Now: it may be ${conditionName(urgent.id).toLowerCase()}`, lines: urgent.firstMinutes! }
      : null
  const others = flags.filter((one) => one !== flag)
  if (!first && others.length === 0) return null
  return (
    <Now aria-label="What to do now" role="alert">
      {first && (
        <>
          <h2>{first.title}</h2>
          <ol>
            {first.lines.do.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
          {first.lines.dont.map((line) => (
            <p key={line} style={{ fontWeight: 600 }}>
              {line}
            </p>
          ))}
        </>
      )}
      {others.map(({ id, do: lines }) => (
        <Small key={id}>Also: {lines.join(' ')}</Small>
      ))}
    </Now>
  )
}
