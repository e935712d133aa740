import { styled } from 'styled-components'
import { firstToRead, type CaseRanking } from '../../../core/diagnosis/ranking.ts'
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
  const { of, lines, others } = firstToRead(ranking)
  if (lines === null && others.length === 0) return null
  const title =
    of === null
      ? ''
      : 'flag' in of
        ? of.flag.urgency === 'hours'
          ? 'Now, before the ranking'
          : 'Before the ranking'
        : `Now: it may be ${conditionName(of.condition.id).toLowerCase()}`
  return (
    <Now aria-label="What to do now" role="alert">
      {lines && (
        <>
          <h2>{title}</h2>
          <ol>
            {lines.do.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
          {lines.dont.map((line) => (
            <p key={line} style={{ fontWeight: 600 }}>
              {line}
            </p>
          ))}
        </>
      )}
      {others.map(({ id, do: also }) => (
        <Small key={id}>Also: {also.join(' ')}</Small>
      ))}
    </Now>
  )
}
