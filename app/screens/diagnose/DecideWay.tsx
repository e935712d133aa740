import { useState } from 'react'
import type { CaseTable } from '../../../core/catalogue/diagnosis/diagnosis.types.ts'
import type { ConditionFacts } from '../../../core/diagnosis/condition-facts.ts'
import { decideWay, type Decision, type DecisionAnswers, type Way } from '../../../core/diagnosis/decide.ts'
import { numberIn } from '../../fields/number-in.ts'
import { FigureField } from '../../fields/plain.tsx'
import { CheckChip } from '../../look/CheckChip.ts'
import { FieldGrid } from '../../look/page.ts'
import { Line, Small, Stack } from '../../look/text.ts'

const WAYS: Record<Way, string> = {
  emergency: 'Act now',
  'do-nothing': 'Leave it alone',
  'by-hand': 'By hand',
  'treat-spot': 'Treat it on the spot',
  'treat-tank': 'Treat the tank',
}

const CHOICES = [
  ['canComeOut', 'what it sits on can come out'],
  ['growsFromPieces', 'pieces of it grow again'],
  ['cameBackByHand', 'two weeks by hand, and it comes up elsewhere'],
  ['isToxic', 'it is toxic'],
] as const satisfies readonly (readonly [keyof DecisionAnswers, string])[]

const NOTHING_SAID: DecisionAnswers = {
  coveragePercent: null,
  animals: null,
  canComeOut: false,
  growsFromPieces: false,
  cameBackByHand: false,
  isToxic: false,
  isYoungTank: false,
}

/** What the keeper said, and what follows from it. */
export function useDecision(table: CaseTable, facts: ConditionFacts, isConfirmed: boolean) {
  const [texts, setTexts] = useState({ coverage: '', animals: '' })
  const [said, setSaid] = useState(NOTHING_SAID)
  const answers: DecisionAnswers = {
    ...said,
    coveragePercent: numberIn(texts.coverage),
    animals: numberIn(texts.animals),
  }
  return { texts, setTexts, said, setSaid, decision: decideWay(table, facts, answers, isConfirmed) }
}

/** By hand, on the spot or the whole tank: a few questions, and what they come to. */
export function DecideWay({
  table,
  facts,
  asked,
}: {
  table: CaseTable
  facts: ConditionFacts
  asked: ReturnType<typeof useDecision>
}) {
  const { texts, setTexts, said, setSaid, decision } = asked
  const isPest = table === 'coral-and-pests'
  return (
    <Stack $gap={8}>
      <FieldGrid>
        {isPest ? (
          <FigureField
            label="How many are seen"
            after=""
            value={texts.animals}
            onChange={(animals) => setTexts({ ...texts, animals })}
          />
        ) : (
          <FigureField
            label="How much it covers"
            after="%"
            value={texts.coverage}
            onChange={(coverage) => setTexts({ ...texts, coverage })}
          />
        )}
      </FieldGrid>
      <Line $gap={8}>
        {CHOICES.map(([key, label]) => (
          <CheckChip key={key} isSelected={said[key]} onChange={(isOn) => setSaid({ ...said, [key]: isOn })}>
            {label}
          </CheckChip>
        ))}
        {facts.id === 'diatoms' && (
          <CheckChip isSelected={said.isYoungTank} onChange={(isYoungTank) => setSaid({ ...said, isYoungTank })}>
            the tank is under four months old
          </CheckChip>
        )}
      </Line>
      <DecisionWords decision={decision} />
    </Stack>
  )
}

const DecisionWords = ({
  decision: { way, because, changesConditions, waitsForCheck, isOpen },
}: {
  decision: Decision
}) => (
  <div role="status">
    {isOpen ? (
      'By hand, on the spot or the whole tank? What you see decides.'
    ) : (
      <>
        <strong>{WAYS[way]}</strong>: {because}.
      </>
    )}
    {changesConditions && <Small>And its cause: no treatment lasts while that stays.</Small>}
    {waitsForCheck && <Small>One confirming check first.</Small>}
  </div>
)
