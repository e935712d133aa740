import type { Control } from 'react-hook-form'
import { styled } from 'styled-components'
import type { Concern } from '../../../../core/safety/concerns.ts'
import { iso } from '../../../../core/time/zone.ts'
import { capital } from '../../../../core/words/numbers.ts'
import { CheckField, TextField } from '../../../fields/fields.tsx'
import type { Problem } from '../../../fields/shell.tsx'
import { thisInstant } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { Button } from '../../../look/buttons.ts'
import { HandbookLink } from '../../../look/HandbookLink.tsx'
import { Bar, Stack } from '../../../look/text.ts'
import { EQUIPMENT_NAMES } from '../../../words/entries.ts'
import { concernKey, type StartValues } from './start.ts'

/** What is missing beside a field that is no text field. */
export const Wrong = styled.p`
  color: var(--act);
  font-weight: 600;
  font-size: 14.5px;
`

const SEVERITY_WORDS: Record<Concern['severity'], string> = {
  never: 'Never',
  block: 'Not without a reason',
  ask: 'Cannot judge',
  caution: 'With care',
  note: 'To know',
}

/** Something that speaks against a course: its reason, and what it takes to start all the same, or to make it go away. */
export function ConcernFields({
  concern,
  tankId,
  control,
  problems,
}: {
  concern: Concern
  tankId: string
  control: Control<StartValues>
  problems: Record<string, Problem>
}) {
  const key = concernKey(concern)
  const tone = concern.severity === 'never' || concern.severity === 'block' ? 'act' : 'soon'
  return (
    <Stack $gap={8}>
      <Bar $tone={tone}>
        {SEVERITY_WORDS[concern.severity]}: {concern.what}. {capital(concern.reason)}.{' '}
        <HandbookLink to={`interactions#${concern.rule}`}>handbook</HandbookLink>
      </Bar>
      {concern.item && <SwitchOff item={concern.item} tankId={tankId} />}
      {concern.severity === 'block' && (
        <TextField control={control} name={`whys.${key}`} label="Why all the same" problem={problems[key]} />
      )}
      {concern.override === 'reason-and-vet' && (
        <CheckField control={control} name={`agreed.${key}`} label="A veterinarian has agreed" />
      )}
      {concern.severity === 'caution' && (
        <>
          <CheckField control={control} name={`agreed.${key}`} label="I have read this" />
          {problems[key] && <Wrong role="alert">{problems[key].message}</Wrong>}
        </>
      )}
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
