import type { FieldValues, UseFormReturn } from 'react-hook-form'
import type { Tank } from '../../../../core/household/tanks.ts'
import type { Content } from '../../../../core/journal/entry.ts'
import type { Line } from '../../../../core/journal/journal.ts'
import type { Stop } from '../../../../core/logline/types.ts'
import type { Day } from '../../../../core/time/zone.ts'
import { readWhenFields, whenOf, WhenFields, whenOn, type WhenValues } from '../../../fields/when.tsx'
import type { Problem, Problems } from '../../../fields/shell.tsx'
import { DraftNote, useFormDraft } from '../../../fields/form-draft.tsx'
import { faultProperty } from '../../../../core/journal/fault-words.ts'
import { UnfitEntry } from '../../../storage/unfit.ts'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { PlainButton, PrimaryButton } from '../../../look/buttons.ts'
import { Line as Row, Stack } from '../../../look/text.ts'
import { DoubtList, useDoubts } from '../../../safety/Doubts.tsx'
import { loadGuard } from '../../../safety/guard-when-idle.ts'
import { useState, type ReactNode } from 'react'
import { Form } from 'react-aria-components'

/** What every form of the ledger is opened with. */
export interface FormProps<C extends Content = Content> {
  tank: Tank
  /** The day it was opened on; null for now. */
  day: Day | null
  /** The line it corrects, if it corrects one. */
  correcting?: Line<C>
  onDone: () => void
}

/** What a form read from its fields: contents to keep, or what is wrong beside which field. */
export type FormRead = { contents: Content[] } | { problems: Problems }

/** What a stop of the log line's reader is beside a field. */
export const problemOf = (stop: Stop): Problem =>
  stop.stop === 'choose' ? { message: stop.question } : { message: stop.message }

/** The time a form starts with: the corrected entry's own, else now or the day it was opened on. */
export function useStartWhen({ day, correcting }: Pick<FormProps, 'day' | 'correcting'>): WhenValues {
  const { settings } = useHousehold()
  const now = useNow()
  return correcting ? whenOf(correcting.at, settings.clock) : whenOn(day, now, settings.clock)
}

interface EntryFormProps<V extends FieldValues & WhenValues> {
  form: UseFormReturn<V>
  correcting?: Line | undefined
  /** Reads the fields; asked when the form is sent. */
  read: (values: V, happened: string) => FormRead
  /** Under which name what is typed is kept on this device until it is logged: `reading-hall`. */
  draft: string
  /** The animals on offer: a restored draft names no other. */
  animals?: readonly { id: string }[]
  /** What the button says: "Log the change". */
  act: string
  onDone: () => void
  children: (problems: Problems) => ReactNode
}

/** A restored value without the animals that do not live here any more; undefined where nothing is left. */
function onOffer(field: string, value: unknown, animals: readonly { id: string }[] = []): unknown {
  const lives = (id: unknown) => animals.some((animal) => animal.id === id)
  if (field === 'animalIds') return Array.isArray(value) ? value.filter(lives) : undefined
  if (field === 'animalId') return lives(value) ? value : undefined
  return value
}

/** A form that keeps entries: its fields, when it happened, the button, and what the browser says if it refuses. */
export function EntryForm<V extends FieldValues & WhenValues>({
  form,
  correcting,
  draft: name,
  animals,
  read,
  act,
  onDone,
  children,
}: EntryFormProps<V>) {
  const { settings } = useHousehold()
  const { keep, run, busy, unkept } = useKeeping()
  const [problems, setProblems] = useState<Problems>({})
  const [proposed, setProposed] = useState<readonly Content[]>([])
  const doubts = useDoubts(proposed)
  const draft = useFormDraft(form, correcting ? null : name, (field, value) => onOffer(field, value, animals))
  // On a slow page a kept form stands a while longer: a press then is of what was kept.
  const [isKept, setIsKept] = useState(false)
  const send = form.handleSubmit(async (values) => {
    if (isKept) return
    const unchanged = correcting && { values: whenOf(correcting.at, settings.clock), at: correcting.content.happened }
    const when = readWhenFields(values, settings.clock, thisInstant(), unchanged)
    const result = read(values, 'happened' in when ? when.happened : new Date().toISOString())
    const found: Problems = {
      ...('problems' in when ? when.problems : {}),
      ...('problems' in result ? result.problems : {}),
    }
    setProblems(found)
    if (Object.values(found).some(Boolean) || !('contents' in result)) return
    setProposed(result.contents)
    // Pressed before it was fetched: the press is not lost.
    await loadGuard()
    await doubts.ready()
    if (!doubts.isClearFor(result.contents)) return
    const contents = doubts.answered(result.contents)
    const kept = correcting
      ? await run((household) => household.correct(correcting.id, contents[0]!))
      : await keep(contents)
    if (!kept) return
    setIsKept(true)
    draft.forget()
    onDone()
  })
  // What could not be kept is said beside its field, where the form has one of that name.
  const unfit = unkept?.refusal instanceof UnfitEntry ? unkept.refusal : null
  const field = unfit && faultProperty(unfit.fault.path)
  const isBesideField = field !== null && field in form.getValues()
  const shown: Problems = isBesideField ? { ...problems, [field]: { message: unfit!.fault.message } } : problems
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={18}>
        <DraftNote draft={draft} />
        {children(shown)}
        <WhenFields control={form.control as never} problems={shown} />
        <DoubtList doubts={doubts} />
        {unkept && !isBesideField && <UnkeptNote unkept={unkept} />}
        <Row>
          <PrimaryButton type="submit" isDisabled={busy}>
            {correcting ? 'Keep the correction' : act}
          </PrimaryButton>
          <PlainButton
            onPress={() => {
              draft.forget()
              onDone()
            }}
          >
            cancel
          </PlainButton>
        </Row>
      </Stack>
    </Form>
  )
}
