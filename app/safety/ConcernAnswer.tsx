import { useId } from 'react'
import { styled } from 'styled-components'
import { WORDS_LETTERS } from '../../core/journal/contents/text-limits.ts'
import type { Answer } from '../../core/safety/answers.ts'
import type { Concern } from '../../core/safety/concern.ts'
import { inputShape, labelShape } from '../fields/shell.tsx'
import { Bar, Small, Stack } from '../look/text.ts'
import { Tick } from '../look/tick.ts'

const Input = styled.input`
  ${inputShape}
`

const Label = styled.label`
  ${labelShape}
  display: grid;
  gap: 5px;
`

/** One concern and the answer that sets it aside: read, a reason, a veterinarian, or that it has happened already. */
export function ConcernAnswer({
  concern,
  words,
  answer,
  onAnswer,
  isAhead = false,
}: {
  concern: Concern
  words: string
  answer: Answer
  onAnswer: (change: Partial<Answer>) => void
  /** It is still to be done, so it cannot have happened already. */
  isAhead?: boolean
}) {
  const { override } = concern
  return (
    <Bar $tone={concern.severity === 'caution' ? 'soon' : 'act'} role="alert">
      <Stack $gap={8}>
        <span>{words}</span>
        {override === 'confirm' ? (
          <Ticked label="I have read this" isOn={answer.isRead} onChange={(isRead) => onAnswer({ isRead })} />
        ) : (
          <Reason override={override} answer={answer} onAnswer={onAnswer} isAhead={isAhead} />
        )}
      </Stack>
    </Bar>
  )
}

function Reason({
  override,
  answer,
  onAnswer,
  isAhead,
}: {
  override: Concern['override']
  answer: Answer
  onAnswer: (change: Partial<Answer>) => void
  isAhead: boolean
}) {
  const id = useId()
  const isNever = override === 'none'
  // Setting something aside begins with words: no slip of a finger does it.
  const hasWords = answer.why.trim() !== ''
  return (
    <>
      {isNever && <Small>This cannot be overridden.</Small>}
      {!(isNever && isAhead) && (
        <Label htmlFor={id}>
          {isNever ? 'What happened, if it has happened already' : answer.hasHappened ? 'What happened' : REASON}
          <Input
            id={id}
            maxLength={WORDS_LETTERS}
            value={answer.why}
            onChange={(event) => onAnswer({ why: event.target.value })}
          />
        </Label>
      )}
      {override === 'reason-and-vet' && !answer.hasHappened && (
        <div role="radiogroup" aria-label="Has a licensed aquatic veterinarian agreed?">
          <Small>Has a licensed aquatic veterinarian agreed?</Small>
          {([true, false] as const).map((value) => (
            <Tick key={String(value)}>
              <input
                type="radio"
                name={`${id}-vet`}
                checked={answer.vetAgreed === value}
                onChange={() => onAnswer({ vetAgreed: value })}
              />
              <span>{value ? 'Yes' : 'No'}</span>
            </Tick>
          ))}
        </div>
      )}
      {!isAhead && (hasWords || answer.hasHappened) && (
        <Ticked
          label="It has already happened: record it"
          isOn={answer.hasHappened}
          onChange={(hasHappened) => onAnswer({ hasHappened })}
        />
      )}
    </>
  )
}

const REASON = 'Reason for continuing anyway'

function Ticked({ label, isOn, onChange }: { label: string; isOn: boolean; onChange: (isOn: boolean) => void }) {
  return (
    <Tick>
      <input type="checkbox" checked={isOn} onChange={(event) => onChange(event.target.checked)} />
      <span>{label}</span>
    </Tick>
  )
}
