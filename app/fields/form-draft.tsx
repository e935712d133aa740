import equal from 'fast-deep-equal'
import { useCallback, useEffect, useState } from 'react'
import type { FieldValues, Path, PathValue, UseFormReturn } from 'react-hook-form'
import { momentBeside } from '../../core/time/words.ts'
import { useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { PlainButton } from '../look/buttons.ts'
import { Bar } from '../look/text.ts'
import { forgetDraft, keepDraft, readDraft } from './draft.ts'

/** A form opened later is about its own moment, not about the one at which it was left. */
const NEVER_KEPT: readonly string[] = ['date', 'time']

/** What a form's fields hold beyond what it was opened with. */
const typedInto = (values: FieldValues, opened: FieldValues): FieldValues =>
  Object.fromEntries(
    Object.entries(values).filter(([field, value]) => !NEVER_KEPT.includes(field) && !equal(value, opened[field])),
  )

export interface FormDraft {
  /** When the restored values were typed, ms since 1970; null where the form was opened without a draft. */
  typedAt: number | null
  /** Drops the draft: the entry was kept or the form cancelled. */
  forget: () => void
  /** Drops the draft and shows the form as if newly opened. */
  clear: () => void
}

/**
 * Keeps what is typed into a form on this device, so that leaving the page or a reload loses nothing, and puts it back.
 * @param name of the form with what it is about; null keeps nothing (a correction starts from the entry it corrects)
 * @param fit drops from a restored value what is no longer offered, such as an animal that has moved; undefined leaves
 *   the field as it was opened
 * @example
 * const draft = useFormDraft(form, `reading-${tank.id}`)
 */
export function useFormDraft<V extends FieldValues>(
  form: UseFormReturn<V>,
  name: string | null,
  fit: (field: string, value: unknown) => unknown = (_, value) => value,
): FormDraft {
  const { which } = useHousehold()
  const key = name === null ? null : `${which}-${name}`
  const [found] = useState(() => (key === null ? null : readDraft<Partial<V>>(key)))
  const [typedAt, setTypedAt] = useState(found?.at ?? null)
  const { getValues, setValue, watch, reset } = form
  const [opened] = useState(() => structuredClone(getValues()))
  useEffect(() => {
    if (key === null) return
    for (const [field, value] of Object.entries(found?.values ?? {})) {
      const fitting = field in opened ? fit(field, value) : undefined
      if (fitting !== undefined) setValue(field as Path<V>, fitting as PathValue<V, Path<V>>, { shouldDirty: true })
    }
    const subscription = watch((values) => {
      const typed = typedInto(values, opened)
      if (Object.keys(typed).length > 0) keepDraft(key, typed, Date.now())
      else forgetDraft(key)
    })
    return () => subscription.unsubscribe()
    // The form is filled once, when it is opened.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key])
  const forget = useCallback(() => {
    if (key !== null) forgetDraft(key)
  }, [key])
  const clear = useCallback(() => {
    reset()
    forget()
    setTypedAt(null)
  }, [forget, reset])
  return { typedAt, forget, clear }
}

/** Says that what stands in the form was typed earlier and has not been kept. */
export function DraftNote({ draft: { typedAt, clear } }: { draft: FormDraft }) {
  const { settings } = useHousehold()
  const now = useNow()
  if (typedAt === null) return null
  return (
    <Bar $tone="soon" role="status">
      Typed {momentBeside(typedAt, now, settings.clock)} and not kept yet.{' '}
      <PlainButton onPress={clear}>clear it</PlainButton>
    </Bar>
  )
}
