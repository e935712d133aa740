import { useDeferredValue, useState } from 'react'
import { styled } from 'styled-components'
import type { Answer, CaseTable } from '../../../core/catalogue/diagnosis/diagnosis.types.ts'
import type { Answers } from '../../../core/diagnosis/asking.ts'
import { conditionName } from '../../../core/diagnosis/condition-facts.ts'
import { cautionsOf, inPlainWords, treatmentName } from '../../../core/diagnosis/next-steps.ts'
import { inSentence, likelihoodText, oftenText } from '../../../core/diagnosis/words.ts'
import type { CaseRanking, Certainty, RankedCondition } from '../../../core/diagnosis/ranking.ts'
import { capital, plural } from '../../../core/words/numbers.ts'
import { PlainButton } from '../../look/buttons.ts'
import { HandbookLink } from '../../look/HandbookLink.tsx'
import { Bar, Figure, Heading, Line, Quiet, Small, Stack } from '../../look/text.ts'
import { LookAlikeDrawings } from './LookAlikeDrawings.tsx'
import { FurtherSteps } from './FurtherSteps.tsx'

const Card = styled.article<{ $first: boolean }>`
  padding: 12px 0 14px;
  border-bottom: 1px solid var(--rule);
  ${({ $first }) => $first && 'padding-top: 14px;'}
`

const Share = styled.div`
  height: 7px;
  background: var(--band);
  margin: 6px 0;
  & > div {
    height: 100%;
    background: var(--second);
  }
`

const Head = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 12px;
`

const CERTAINTY: Record<Certainty, string> = {
  likely: 'likely',
  possible: 'possible: do the check that tells the first two apart',
  'not-enough': 'not enough to go on yet',
}

/** The ranking as it stands, each condition with what speaks for and against it, and the check that tells most. */
export function RankingPanel({
  table,
  ranking,
  answers,
  ownCount,
  tankId,
  caseId,
  onAnswer,
}: {
  table: CaseTable
  ranking: CaseRanking
  answers: Answers
  /** How many answers are the keeper's own; the others are the journal's. */
  ownCount: number
  tankId: string | null
  caseId: string | null
  /** Null where nothing is to be answered any more. */
  onAnswer: ((sign: string, answer: Answer) => void) | null
}) {
  const { certainty, shown, answered, pair, next, forBoth } = ranking
  // The ranking is there within the frame; drawings of other look-alikes follow it.
  const drawn = useDeferredValue(shown.map(({ id }) => id).join())
  return (
    <Stack $gap={20}>
      <section aria-label="What it may be" aria-live="polite">
        <Heading>
          <span>What it may be</span>
          <Quiet>
            {ownCount === 0 ? 'nothing answered yet' : plural(ownCount, 'answer')}
            {answered > ownCount && `, ${answered - ownCount} from the journal`}
          </Quiet>
        </Heading>
        <p style={{ paddingTop: 10, fontWeight: 700 }}>{CERTAINTY[certainty]}</p>
        {shown.map((one, i) => (
          <ConditionCard
            key={one.id}
            one={one}
            answers={answers}
            isConfirmed={ranking.isConfirmed}
            first={i === 0}
            table={table}
            tankId={tankId}
            caseId={caseId}
          />
        ))}
        {forBoth.map(({ id, between, do: what, why }) => (
          <Bar key={id} $tone="soon" style={{ marginTop: 12 }}>
            {between.map(conditionName).join(' or ')}: {inPlainWords(what)}. {capital(why)}.
            <Cautions of={what} />
          </Bar>
        ))}
      </section>
      {pair && (
        <section>
          <Heading>What tells them apart</Heading>
          <p style={{ paddingTop: 10 }}>
            <strong>{pair.sign.label}</strong>: {conditionName(pair.first)} shows it {oftenText(pair.firstShows)},{' '}
            {conditionName(pair.second)} {oftenText(pair.secondShows)}.
          </p>
          {pair.sign.how && <Small>{pair.sign.how}</Small>}
          {onAnswer && <Quick sign={pair.sign.id} onAnswer={onAnswer} />}
        </section>
      )}
      <LookAlikeDrawings conditions={drawn} />
      {onAnswer && next.length > 0 && (
        <section>
          <Heading>
            <span>Most telling next check</span>
          </Heading>
          {next.slice(0, 3).map(({ sign, bits }, i) => (
            <div key={sign.id} style={{ padding: '10px 0', borderBottom: '1px dotted var(--strong-rule)' }}>
              <Head>
                <span style={{ fontWeight: i === 0 ? 700 : 400 }}>{sign.label}</span>
                <Small as="span">{bits.toFixed(2)} bit</Small>
              </Head>
              {sign.definition && <Small>{sign.definition}</Small>}
              {sign.how && <Small>{sign.how}</Small>}
              <Quick sign={sign.id} onAnswer={onAnswer} />
            </div>
          ))}
        </section>
      )}
      <Small>
        Likelihoods come from a general table of expert estimates, not from measurements of your animals; two things at
        once are common. Brinvo never diagnoses for certain: a licensed aquatic veterinarian does, above all before
        anything on prescription.
      </Small>
    </Stack>
  )
}

/** The usual caution of each medicine that is named, and what the law says: beside it, before it is given. */
function Cautions({ of }: { of: string }) {
  return cautionsOf(of).map(({ id, name, caution }) => (
    <Small key={id}>
      {capital(name)}: {caution}
    </Small>
  ))
}

function Quick({ sign, onAnswer }: { sign: string; onAnswer: (sign: string, answer: Answer) => void }) {
  return (
    <Line $gap={18}>
      <PlainButton onPress={() => onAnswer(sign, 'present')}>seen</PlainButton>
      <PlainButton onPress={() => onAnswer(sign, 'absent')}>not seen</PlainButton>
    </Line>
  )
}

function ConditionCard({
  one: { id, probability, facts, speaksFor, speaksAgainst, prognosis },
  answers,
  isConfirmed,
  first,
  table,
  tankId,
  caseId,
}: {
  one: RankedCondition
  answers: Answers
  isConfirmed: boolean
  first: boolean
  table: CaseTable
  tankId: string | null
  caseId: string | null
}) {
  const [isOpen, setIsOpen] = useState(false)
  return (
    <Card $first={first} data-condition={id}>
      <Head>
        <h3 style={{ fontSize: first ? 21 : 17 }}>{conditionName(id)}</h3>
        <Figure $size={first ? 26 : 18}>{likelihoodText(probability)}</Figure>
      </Head>
      <Share aria-hidden="true">
        <div style={{ width: `${100 * probability}%` }} />
      </Share>
      {facts ? (
        <Small style={facts.urgency === 'hours' ? { color: 'var(--act)', fontWeight: 700 } : undefined}>
          How fast: {facts.urgencyWords}.
        </Small>
      ) : (
        <Small>Something this table does not know, or two things at once: a closer look, or somebody who knows.</Small>
      )}
      {speaksFor.length > 0 && <Small>For it: {speaksFor.map(({ label }) => inSentence(label)).join('; ')}.</Small>}
      {speaksAgainst.length > 0 && (
        <Small>
          Against it:{' '}
          {speaksAgainst
            .map(({ id: sign, label }) => `${answers[sign] === 'absent' ? 'not seen, ' : ''}${inSentence(label)}`)
            .join('; ')}
          .
        </Small>
      )}
      {facts && (
        <PlainButton aria-expanded={isOpen} onPress={() => setIsOpen(!isOpen)}>
          {isOpen ? 'less' : 'what it looks like, and what helps'}
        </PlainButton>
      )}
      {prognosis && (
        <Bar $tone="soon">
          {prognosis.says}
          {prognosis.views.length > 0 && (
            <ul style={{ paddingTop: 6, fontWeight: 400 }}>
              {prognosis.views.map(({ view, because }) => (
                <li key={view}>
                  <strong>{view}</strong>: {because}.
                </li>
              ))}
            </ul>
          )}
        </Bar>
      )}
      {facts && isOpen && (
        <Stack $gap={8}>
          <p>{facts.looksLike}.</p>
          {facts.lookAlikes.map(({ than, tells }) => (
            <Small key={than}>
              Not {than.replaceAll('-', ' ')}: {tells}.
            </Small>
          ))}
          <Small>From: {facts.causes}.</Small>
          {facts.note && <Small>{inPlainWords(facts.note)}.</Small>}
          {facts.treatment.length > 0 && (
            <div>
              <Small>Water first, medicine second. Then, first choice first:</Small>
              <ol style={{ paddingLeft: 22, listStyle: 'decimal' }}>
                {facts.treatment.map((parts) => (
                  <li key={parts.map((part) => part.id).join('+')}>
                    {parts
                      .map(({ id: what, words }) => `${treatmentName(what)}${words ? ` (${words})` : ''}`)
                      .join(', then ')}
                  </li>
                ))}
              </ol>
              <Cautions
                of={facts.treatment
                  .flat()
                  .map((part) => part.id)
                  .join(' ')}
              />
            </div>
          )}
          {facts.doNot.length > 0 && <Small>Do not {facts.doNot.join('; do not ')}.</Small>}
          <FurtherSteps table={table} facts={facts} tankId={tankId} caseId={caseId} isConfirmed={isConfirmed} />
          <Small>
            <HandbookLink to={facts.chapter === 'conditions' ? `conditions#${id}` : `organisms#${id}`}>
              its row in the handbook
            </HandbookLink>
          </Small>
        </Stack>
      )}
    </Card>
  )
}
