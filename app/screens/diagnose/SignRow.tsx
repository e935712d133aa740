import { memo, useId } from 'react'
import { styled } from 'styled-components'
import type { Answer } from '../../../core/catalogue/diagnosis/diagnosis.types.ts'
import type { AskedSign } from '../../../core/diagnosis/signs.ts'
import { Small } from '../../look/text.ts'

const Row = styled.fieldset`
  /* Its legend is taken out of the page: without this it would lie at the page's end and make the whole page scroll. */
  position: relative;
  border: 0;
  margin: 0;
  padding: 6px 0;
  border-bottom: 1px dotted var(--strong-rule);
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 2px 14px;
  min-width: 0;
`

const Words = styled.div`
  flex: 1 1 220px;
  min-width: 0;
`

const Choices = styled.div`
  display: flex;
`

const Choice = styled.label<{ $answer: Answer }>`
  position: relative;
  display: grid;
  place-items: center;
  min-height: 44px;
  min-width: 44px;
  padding: 0 11px;
  border: 1.5px solid var(--strong-rule);
  margin-left: -1.5px;
  font-size: 15px;
  color: var(--quiet);
  cursor: pointer;
  &:has(input:checked) {
    ${({ $answer }) =>
      $answer === 'present'
        ? 'background: var(--second); border-color: var(--second); color: var(--on-second); font-weight: 700;'
        : $answer === 'absent'
          ? 'color: var(--ink); font-weight: 700; border-color: var(--ink); z-index: 1;'
          : 'background: var(--band);'}
  }
  &:has(input:focus-visible) {
    outline: 2.5px solid var(--second);
    outline-offset: 2px;
    z-index: 2;
  }
`

const ANSWERS: readonly [Answer, string][] = [
  ['present', 'seen'],
  ['absent', 'not seen'],
  ['not-looked', 'not looked'],
]

/** One sign with its three answers, as the keeper's or as the journal knows it. Drawn again only where it changes: there are some sixty. */
export const SignRow = memo(function SignRow({
  sign,
  answer,
  because,
  onAnswer,
}: {
  sign: AskedSign
  answer: Answer
  /** What the journal's answer rests on; undefined where the keeper has answered. */
  because?: string | undefined
  /** The same function from one drawing to the next. */
  onAnswer: (sign: string, answer: Answer) => void
}) {
  const name = useId()
  return (
    <Row data-sign={sign.id}>
      <legend className="visually-hidden">{sign.label}</legend>
      <Words>
        <div aria-hidden="true" style={{ fontWeight: answer === 'present' ? 700 : 400 }}>
          {sign.label}
        </div>
        {sign.definition && <Small>{sign.definition}</Small>}
        {because !== undefined && <Small>From the journal: {because}.</Small>}
      </Words>
      <Choices>
        {ANSWERS.map(([value, label]) => (
          <Choice key={value} $answer={value}>
            <input
              type="radio"
              className="visually-hidden"
              name={name}
              checked={answer === value}
              onChange={() => onAnswer(sign.id, value)}
            />
            {label}
          </Choice>
        ))}
      </Choices>
    </Row>
  )
})
