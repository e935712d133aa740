import { useForm } from 'react-hook-form'

import { HIGHEST_PATCH_STAGE, STAGE_WORDS } from '../../../../core/catalogue/patch-stage.ts'

import { partsOf } from '../../../../core/household/parts.ts'

import type { ContentOf } from '../../../../core/journal/entry.ts'

import { SelectField, TextField } from '../../../fields/fields.tsx'
import type { Problem } from '../../../fields/shell.tsx'
import type { WhenValues } from '../../../fields/when.tsx'
import { useHousehold } from '../../../journal/provider.tsx'

import { Small } from '../../../look/text.ts'

import { EntryForm, useStartWhen, type FormProps } from './EntryForm.tsx'

import { found, numberOf } from './number-of.ts'

const COUNTED: readonly { value: NonNullable<ContentOf<'count'>['measure']>; label: string }[] = [
  { value: 'patch-stage', label: 'stage of each patch' },
  { value: 'came-off', label: 'came off in a dip' },
  { value: 'eggs', label: 'eggs' },
  { value: 'alive', label: 'alive in the jar' },
  { value: 'cells', label: 'cells' },
  { value: 'coverage', label: 'coverage, %' },
  { value: 'pest-count', label: 'pests' },
  { value: 'removed', label: 'removed' },
  { value: 'left', label: 'left' },
]

/** What format 1 called a measure. */
const measureOf = (what: ContentOf<'count'>['what']): ContentOf<'count'>['measure'] =>
  what === 'dip-count' ? 'came-off' : what === 'jar' ? 'alive' : what

interface CountValues extends WhenValues {
  measure: string
  value: string
  stages: Record<string, string>
}

/** A count, or the stage of each patch. */
export function CountForm({ tank, day, correcting, onDone }: FormProps<ContentOf<'count'>>) {
  const { journal } = useHousehold()
  const start = useStartWhen({ day, ...(correcting && { correcting }) })
  const parts = partsOf(journal, tank.id)
  const old = correcting?.content
  const form = useForm<CountValues>({
    defaultValues: {
      measure: old?.measure ?? measureOf(old?.what) ?? (parts.length > 0 ? 'patch-stage' : 'came-off'),
      value: old?.values ? old.values.join(' ') : '',
      stages: Object.fromEntries((old?.parts ?? []).map(({ partId, value }) => [partId, String(value)])),
      ...start,
    },
  })
  const measure = form.watch('measure')
  const byPart = measure === 'patch-stage'
  return (
    <EntryForm
      draft={`count-${tank.id}`}
      form={form}
      correcting={correcting}
      act={byPart ? 'Log the stages' : 'Log the count'}
      onDone={onDone}
      read={(values, happened) => {
        const problems: Record<string, Problem> = {}
        const rather = `a stage from 0, living colour, to ${HIGHEST_PATCH_STAGE}, detached`
        const scored = parts.flatMap(({ id }) => {
          const text = values.stages[id]?.trim() ?? ''
          if (!byPart || text === '') return []
          const value = numberOf(text, `stages.${id}`, problems, rather, { isOver: false, most: HIGHEST_PATCH_STAGE })
          if (!Number.isInteger(value)) problems[`stages.${id}`] = { message: rather }
          return [{ partId: id, value }]
        })
        if (byPart && scored.length === 0)
          problems[parts[0] ? `stages.${parts[0].id}` : 'measure'] = { message: rather }
        const value = byPart
          ? 0
          : numberOf(values.value, 'value', problems, 'one plain number, 0 or more', { isOver: false })
        return found(problems, [
          {
            kind: 'count',
            happened,
            tankId: tank.id,
            measure: values.measure as NonNullable<ContentOf<'count'>['measure']>,
            ...(byPart ? { parts: scored } : { values: [value] }),
            ...(old?.courseId && { courseId: old.courseId }),
            ...(old?.taskId && { taskId: old.taskId }),
            ...(old?.of && { of: old.of }),
          },
        ])
      }}
    >
      {(problems) => (
        <>
          <SelectField
            control={form.control}
            name="measure"
            label="What is counted"
            problem={problems['measure']}
            options={COUNTED.map(({ value, label }) => ({ value, label }))}
          />
          {byPart ? (
            parts.length === 0 ? (
              <Small>No patch is on record here: name them on the page of the course.</Small>
            ) : (
              parts.map(({ id, name, control }) => (
                <SelectField
                  key={id}
                  control={form.control}
                  name={`stages.${id}`}
                  label={control ? `${name}, left untreated` : name}
                  problem={problems[`stages.${id}`]}
                  options={[
                    { value: '', label: 'not scored' },
                    ...STAGE_WORDS.map((words, stage) => ({ value: String(stage), label: `${stage}, ${words}` })),
                  ]}
                />
              ))
            )
          ) : (
            <TextField control={form.control} name="value" label="How many" figure problem={problems['value']} />
          )}
        </>
      )}
    </EntryForm>
  )
}
