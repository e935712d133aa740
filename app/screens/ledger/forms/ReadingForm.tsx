import { useMemo } from 'react'
import { useForm } from 'react-hook-form'
import { styled } from 'styled-components'
import { parameterById, type Parameter } from '../../../../core/catalogue/parameter.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import { courseVerdict, VERDICT_WORDS } from '../../../../core/courses/range-words.ts'
import { iso } from '../../../../core/time/zone.ts'
import { readTyped, typedAgain, typedUnit } from '../../../../core/readings/typed-reading.ts'
import { testedIn } from '../../../../core/water/tests.ts'
import { lastValue } from '../../../../core/readings/evidence.ts'
import { AreaField, SelectField, TextField } from '../../../fields/fields.tsx'
import type { Problem, Problems } from '../../../fields/shell.tsx'
import type { WhenValues } from '../../../fields/when.tsx'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { dayBeside } from '../../../../core/time/words.ts'
import { PARAMETERS_AS_ASKED } from '../../../../core/catalogue/parameters-as-asked.ts'
import { parameterValue, quantityText } from '../../../../core/words/quantities.ts'
import { levelTypedAgain, readLevelDown } from '../../../../core/water/level-typed.ts'
import { LevelAsk } from '../../../water/LevelAsk.tsx'
import { EntryForm, useStartWhen, type FormProps, type FormRead } from './EntryForm.tsx'

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 14px 14px;
  align-items: start;
`

interface Values extends WhenValues {
  figures: Record<string, string>
  more: string
  /** How far the level was down, as typed. */
  level: string
  note: string
}

/** The day's tests of a tank: a figure for each parameter that was tested, the others left empty. */
export function ReadingForm({ tank, day, correcting, onDone }: FormProps<ContentOf<'reading'>>) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const usual = useMemo(() => testedIn(journal, tank), [journal, tank])
  const start = useStartWhen({ day, ...(correcting && { correcting }) })
  const corrected = correcting?.content
  const form = useForm<Values>({
    defaultValues: {
      figures: {
        ...Object.fromEntries(PARAMETERS_AS_ASKED.map(({ id }) => [id, ''])),
        ...(corrected && { [corrected.parameter]: typedAgain(journal, corrected, settings.units) }),
      },
      more: '',
      level: corrected ? levelTypedAgain(tank, corrected.downL, settings.units) : '',
      note: corrected?.note ?? '',
      ...start,
    },
  })
  const [more, figures, levelText] = form.watch(['more', 'figures', 'level'])
  /** In a copper course: what the typed value means, before it is kept. */
  const verdictOf = (parameter: Parameter, text: string | undefined): string | undefined => {
    if (parameter.id !== 'copper' || !text?.trim()) return undefined
    const one = readTyped(parameter, text, tank, iso(now), { journal, settings, now })
    const level = readLevelDown(tank, levelText, settings.units)
    const verdict =
      'content' in one
        ? courseVerdict(journal, { ...one.content, ...(level && 'downL' in level && { downL: level.downL }) })
        : null
    return verdict ? VERDICT_WORDS[verdict] : undefined
  }
  const shown = corrected
    ? [parameterById(corrected.parameter)!]
    : [...usual, ...(more && !usual.some(({ id }) => id === more) ? [parameterById(more)!] : [])]
  const read = (values: Values, happened: string): FormRead => {
    const problems: Record<string, Problem> = {}
    const contents: ContentOf<'reading'>[] = []
    const level = readLevelDown(tank, values.level, settings.units)
    if (level && 'message' in level) problems['level'] = level
    const downL = level && 'downL' in level ? level.downL : 0
    const note = values.note.trim()
    for (const parameter of shown) {
      const text = values.figures[parameter.id]?.trim() ?? ''
      if (text === '') continue
      const one = readTyped(parameter, text, tank, happened, { journal, settings, now: thisInstant() })
      if ('message' in one) problems[parameter.id] = one
      else contents.push({ ...one.content, ...(downL > 0 && { downL }), ...(note && { note }) })
    }
    if (contents.length === 0 && Object.keys(problems).length === 0)
      problems[shown[0]?.id ?? 'more'] = { message: 'a value for at least one test' }
    return Object.keys(problems).length > 0 ? { problems } : { contents }
  }
  return (
    <EntryForm
      draft={`reading-${tank.id}`}
      form={form}
      correcting={correcting}
      read={read}
      act="Log the readings"
      onDone={onDone}
    >
      {(problems: Problems) => (
        <>
          {tank.water === 'marine' && (
            <LevelAsk
              tank={tank}
              value={levelText}
              onChange={(text) => form.setValue('level', text)}
              isOver={Boolean(corrected)}
            />
          )}
          <Grid>
            {shown.map((parameter, i) => {
              const last = lastValue(journal, tank.id, parameter.id, thisInstant() + 1)
              return (
                <TextField
                  key={parameter.id}
                  control={form.control}
                  name={`figures.${parameter.id}`}
                  label={parameter.name}
                  after={typedUnit(journal, tank.id, parameter, settings.units)}
                  figure
                  autoFocus={i === 0}
                  problem={problems[parameter.id]}
                  hint={
                    verdictOf(parameter, figures[parameter.id]) ??
                    (last
                      ? `last ${quantityText(parameterValue(parameter.id, last.value, settings.units))}, ${dayBeside(settings.clock.dayOf(last.at), settings.clock.dayOf(now))}`
                      : 'not tested yet')
                  }
                />
              )
            })}
          </Grid>
          {!corrected && (
            <SelectField
              control={form.control}
              name="more"
              label="Another test"
              problem={problems['more']}
              options={[
                { value: '', label: 'none' },
                ...PARAMETERS_AS_ASKED.filter(({ id }) => !usual.some((one) => one.id === id)).map(({ id, name }) => ({
                  value: id,
                  label: name,
                })),
              ]}
            />
          )}
          <AreaField control={form.control} name="note" label="Note" />
        </>
      )}
    </EntryForm>
  )
}
