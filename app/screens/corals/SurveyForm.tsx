import { useState } from 'react'
import { surveyContents } from '../../../core/household/coral-survey.ts'
import type { Part } from '../../../core/household/parts.ts'
import { StepChoice } from '../../courses/acts/StepChoice.tsx'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { Line, Small, Stack } from '../../look/text.ts'

/** A look at every coral, each at one press, kept as one entry. */
export function SurveyForm({
  tankId,
  corals,
  onDone,
}: {
  tankId: string
  corals: readonly Part[]
  onDone: () => void
}) {
  const { keep, busy, unkept } = useKeeping()
  const [looked, setLooked] = useState<ReadonlyMap<string, number>>(new Map())
  const log = async () => {
    if (await keep(surveyContents(tankId, looked, thisInstant()))) onDone()
  }
  return (
    <Stack $gap={14} style={{ paddingTop: 12 }}>
      {corals.map(({ id, name }, i) => (
        <Stack key={id} $gap={4}>
          <strong>
            {i + 1} {name}
          </strong>
          <StepChoice
            measure="survey"
            of={`How ${name} looks`}
            value={looked.get(id) ?? null}
            onChange={(value) => setLooked(new Map(looked).set(id, value))}
          />
        </Stack>
      ))}
      <Small>Normal: its colour is whole, its polyps are in. One that is gone leaves the list.</Small>
      {unkept && <UnkeptNote unkept={unkept} />}
      <Line>
        <PrimaryButton isDisabled={busy || looked.size === 0} onPress={() => void log()}>
          {looked.size > 0 && looked.size < corals.length ? `Log ${looked.size} of ${corals.length}` : 'Log the survey'}
        </PrimaryButton>
        <PlainButton onPress={onDone}>cancel</PlainButton>
      </Line>
    </Stack>
  )
}
