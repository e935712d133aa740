import { styled } from 'styled-components'
import { isInteraction } from '../../../../core/safety/rule-words.ts'
import type { Concern } from '../../../../core/safety/concern.ts'
import type { Answer } from '../../../../core/safety/answers.ts'
import { iso } from '../../../../core/time/zone.ts'
import { capital } from '../../../../core/words/numbers.ts'
import type { Problem } from '../../../fields/shell.tsx'
import { thisInstant } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { Button } from '../../../look/buttons.ts'
import { HandbookLink } from '../../../look/HandbookLink.tsx'
import { Bar, Stack } from '../../../look/text.ts'
import { ConcernAnswer } from '../../../safety/ConcernAnswer.tsx'
import { EQUIPMENT_NAMES } from '../../../words/entries.ts'

/** What is missing beside a field that is no text field. */
export const Wrong = styled.p`
  color: var(--act);
  font-weight: 600;
  font-size: 14.5px;
`

const SEVERITY_WORDS: Record<Concern['severity'], string> = {
  never: 'Never',
  block: 'Only with a written reason',
  ask: 'Cannot tell',
  caution: 'Caution',
  note: 'Note',
}

/** Something that speaks against a course: its reason, and what it takes to start anyway, or to make it go away. */
export function ConcernFields({
  concern,
  tankId,
  answer,
  onAnswer,
  problem,
}: {
  concern: Concern
  tankId: string
  answer: Answer
  onAnswer: (change: Partial<Answer>) => void
  problem: Problem | undefined
}) {
  const words = `${SEVERITY_WORDS[concern.severity]}: ${concern.what}. ${capital(concern.reason)}.`
  return (
    <Stack $gap={8}>
      {concern.severity === 'note' ? (
        <Bar $tone="soon">{words}</Bar>
      ) : (
        <ConcernAnswer concern={concern} words={words} answer={answer} onAnswer={onAnswer} isAhead />
      )}
      {isInteraction(concern.rule) && <HandbookLink to={`interactions#${concern.rule}`}>handbook</HandbookLink>}
      {concern.item && <SwitchOff item={concern.item} tankId={tankId} />}
      {problem && <Wrong role="alert">{problem.message}</Wrong>}
    </Stack>
  )
}

/** Logs that a piece of equipment is switched off now, where it stands in the way of a course. */
function SwitchOff({ item, tankId }: { item: NonNullable<Concern['item']>; tankId: string }) {
  const { keep, busy, unkept } = useKeeping()
  return (
    <div>
      <Button
        isDisabled={busy}
        onPress={() => void keep([{ kind: 'equipment', happened: iso(thisInstant()), tankId, item, running: false }])}
      >
        I have switched {EQUIPMENT_NAMES[item]} off
      </Button>
      {unkept && <UnkeptNote unkept={unkept} />}
    </div>
  )
}
