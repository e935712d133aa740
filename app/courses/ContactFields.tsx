import type { Control, FieldPath, FieldValues } from 'react-hook-form'
import { CAME_IN_WORDS } from '../../core/courses/warnings/wait-warnings.ts'
import { tanksOf } from '../../core/household/tanks.ts'
import type { ContentOf } from '../../core/journal/entry.ts'
import { SelectField } from '../fields/fields.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { CONTACT_WORDS } from '../words/entries.ts'

/** What touched a water and where it came from; `what` in a sentence of what it means. */
export function ContactFields<V extends FieldValues & { what: string; from: string }>({
  control,
  tankId,
  what,
  label,
}: {
  control: Control<V>
  tankId: string
  what: ContentOf<'contact'>['what']
  label: string
}) {
  const { journal } = useHousehold()
  return (
    <>
      <SelectField
        control={control}
        name={'what' as FieldPath<V>}
        label={label}
        options={Object.entries(CONTACT_WORDS).map(([value, words]) => ({ value, label: words }))}
        hint={CAME_IN_WORDS[what]}
      />
      <SelectField
        control={control}
        name={'from' as FieldPath<V>}
        label="From"
        options={[
          { value: '', label: 'outside, or not known' },
          ...tanksOf(journal)
            .filter(({ id }) => id !== tankId)
            .map(({ id, name }) => ({ value: id, label: name })),
        ]}
      />
    </>
  )
}
