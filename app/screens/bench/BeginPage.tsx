import { useState } from 'react'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import { measureOut, needsOf, optionOfCourse, presetOption, proposedBy } from '../../../core/bench/begin.ts'
import { isAskedFor, type BenchStart } from '../../../core/bench/occasions.ts'
import { bottleOf, drawnFromBottle } from '../../../core/bench/ledger.ts'
import { doneTooRecently } from '../../../core/bench/refusals.ts'
import { subjectsOf } from '../../../core/bench/subjects.ts'
import type { Procedure } from '../../../core/catalogue/procedures/procedure.types.ts'
import { procedureById } from '../../../core/catalogue/procedures/procedures.ts'
import { courseById } from '../../../core/courses/course.ts'
import { shelfOf } from '../../../core/household/shelf.ts'
import { tankById, tanksOf, type Tank } from '../../../core/household/tanks.ts'
import { momentBeside } from '../../../core/time/words.ts'
import { iso } from '../../../core/time/zone.ts'
import { shownUnit, toKept, measureText } from '../../../core/words/measure.ts'
import { sourceWords } from '../../../core/words/sources.ts'
import { useDraft } from '../../fields/draft.ts'
import { numberIn } from '../../fields/number-in.ts'
import { FigureField } from '../../fields/plain.tsx'
import { inputShape } from '../../fields/shell.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { UnkeptNote, useKeeping } from '../../journal/keeping.tsx'
import { newId } from '../../journal/opened.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { PlainLink, PrimaryButton } from '../../look/buttons.ts'
import { Missing } from '../../look/Missing.tsx'
import { Narrow, Page } from '../../look/page.ts'
import { Bar, Heading, Line, Quiet, Small, Stack, Title } from '../../look/text.ts'
import { DoubtList, useDoubts } from '../../safety/Doubts.tsx'
import { ChoicesField } from './begin/ChoicesField.tsx'
import { MeasureOut } from './begin/MeasureOut.tsx'
import { SubjectsField } from './begin/SubjectsField.tsx'

const Select = styled.select`
  ${inputShape}
`

/** What is chosen, measured out and asked before a procedure begins. */
export function BeginPage() {
  const { procedureId = '' } = useParams()
  const [params] = useSearchParams()
  const { journal } = useHousehold()
  const procedure = procedureById(procedureId)
  const tank = tankById(journal, params.get('tank') ?? '')
  if (!procedure || !tank)
    return (
      <Missing title="No such procedure" back="To the bench" href="/bench">
        {procedure ? 'No tank of that name is on record.' : 'The bench knows no procedure of that name.'}
      </Missing>
    )
  return <Begin key={`${procedure.id} ${tank.id}`} procedure={procedure} tank={tank} />
}

function Begin({ procedure, tank }: { procedure: Procedure; tank: Tank }) {
  const { journal, settings, which } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const navigate = useNavigate()
  const now = useNow()
  const [params] = useSearchParams()
  const [typed, type, forget] = useDraft(`${which}-bench-begin-${procedure.id}-${tank.id}`)
  const course = courseById(journal, params.get('course') ?? '')
  const taskId = params.get('task')

  const subjects = subjectsOf(journal, tank.id, procedure, typed['choice dip'])
  const [picked, setPicked] = useState<readonly string[] | null>(null)
  const ofCourse = course && [...course.partIds, ...course.animalIds]
  const preset = subjects
    .filter(({ id }) => !ofCourse || ofCourse.length === 0 || ofCourse.includes(id))
    .map(({ id }) => id)
  const chosen = subjects.filter(({ id, mustNot }) => mustNot === null && (picked ?? preset).includes(id))
  const idsOf = (kind: 'part' | 'animal') => chosen.filter((one) => one.kind === kind).map(({ id }) => id)

  const choices = procedure.choices
    .map(({ id }) => ({
      id,
      option:
        typed[`choice ${id}`] ??
        (course && optionOfCourse(course, id)) ??
        presetOption(journal, tank.id, procedure, id, idsOf('part')) ??
        '',
    }))
    .map(({ id, option }) => {
      // What a course chose under another name, or what is no option any more, is not taken over.
      const options = procedure.choices.find((choice) => choice.id === id)!.options
      return { id, option: options.some((one) => one.id === option) ? option : options[0]!.id }
    })
  const figures = procedure.figures.flatMap(({ id, unit }) => {
    const value = numberIn(typed[id] ?? '')
    const kept = value === null ? NaN : toKept(value, unit, settings.units)
    return Number.isFinite(kept) && kept > 0 ? [{ id, value: kept }] : []
  })
  const wrong = procedure.figures.flatMap(({ id, unit, label, least, most }) => {
    const value = figures.find((one) => one.id === id)?.value
    if (value === undefined) return []
    if (least && value < least.value)
      return [`${label}: ${measureText(value, unit, settings.units, 3)}. ${least.words}`]
    return most && value > most.value ? [`${label}: ${measureText(value, unit, settings.units, 3)}. ${most.words}`] : []
  })
  const tubL = figures.find(({ id }) => id === 'tubL')?.value ?? null
  const netL = tank.volume?.netL ?? null
  const needs = needsOf(procedure, { choices })
  const products = needs ? shelfOf(journal).filter(({ ingredient }) => ingredient === needs.ingredient) : []
  const ofCourseProducts = Object.values(course?.products ?? {})
  const product =
    products.find(({ id }) => id === typed['product']) ??
    products.find(({ id }) => ofCourseProducts.includes(id)) ??
    products[0] ??
    null
  const litres = procedure.measuredOut?.for === 'tank' ? netL : tubL
  const measured = measureOut(procedure, { choices }, product, litres, numberIn(typed['label'] ?? ''))
  const moves =
    procedure.movesTo === true ||
    (procedure.movesTo !== undefined && isAskedFor(procedure, { choices }, procedure.movesTo))
  const others = tanksOf(journal).filter(({ id, water }) => id !== tank.id && water === tank.water)
  const toTankId = typed['to'] ?? params.get('to') ?? ''

  const start = (at: number, benchId: string): BenchStart => ({
    kind: 'bench-start',
    happened: iso(at),
    benchId,
    procedure: procedure.id,
    tankId: tank.id,
    ...(idsOf('part').length > 0 && { partIds: idsOf('part') }),
    ...(idsOf('animal').length > 0 && { animalIds: idsOf('animal') }),
    ...(choices.length > 0 && { choices }),
    ...(figures.length > 0 && { figures }),
    ...(measured && { measuredOut: measured }),
    ...drawnFromBottle(bottleOf(journal, { procedure }, course?.id)),
    ...(moves && toTankId !== '' && { toTankId }),
    ...(course && { courseId: course.id }),
    ...(taskId !== null && { taskId }),
  })
  const proposed = proposedBy(journal, procedure, start(now, 'draft'), netL, now)
  const doubts = useDoubts(proposed)
  const tooRecently = doneTooRecently(journal, procedure, idsOf('part'), now)
  const lacking = [
    ...(procedure.subjects.length > 0 && !procedure.mayHaveNone && chosen.length === 0 ? ['what it is done to'] : []),
    ...procedure.figures
      .filter(({ id }) => !figures.some((one) => one.id === id))
      .map(({ label }) => label.toLowerCase()),
    ...(needs && !measured ? ['what is measured out'] : []),
    ...(moves && !others.some(({ id }) => id === toTankId) ? ['the tank they go to'] : []),
    ...((procedure.doses || procedure.measuredOut?.for === 'tank') && netL === null
      ? ['the tank’s net volume, on its sheet']
      : []),
  ]
  const begin = async () => {
    const at = thisInstant()
    const benchId = newId()
    const overrides = doubts
      .answered(proposed)
      .flatMap((content) => ('overrides' in content ? (content.overrides ?? []) : []))
      .filter(({ rule }, i, all) => all.findIndex((one) => one.rule === rule) === i)
    if (await keep([{ ...start(at, benchId), ...(overrides.length > 0 && { overrides }) }])) {
      forget()
      void navigate(`/bench/${benchId}`)
    }
  }
  return (
    <Page>
      <Narrow>
        <Stack $gap={24}>
          <div>
            <Title>{procedure.name}</Title>
            <Quiet>
              {tank.name}: {procedure.about}
            </Quiet>
            {course && <Small>for the course: {course.definition.name}</Small>}
          </div>
          {procedure.subjects.length > 0 && (
            <SubjectsField
              procedure={procedure}
              tankId={tank.id}
              subjects={subjects}
              chosen={chosen.map(({ id }) => id)}
              onChosen={setPicked}
            />
          )}
          {procedure.choices.map((choice) => (
            <ChoicesField
              key={choice.id}
              choice={choice}
              value={choices.find(({ id }) => id === choice.id)!.option}
              onChange={(option) => type(`choice ${choice.id}`, option)}
            />
          ))}
          {(procedure.figures.length > 0 || needs) && (
            <section>
              <Heading>Ready beside it</Heading>
              <Stack $gap={14} style={{ paddingTop: 12 }}>
                {procedure.figures.map(({ id, label, unit }) => (
                  <div key={id} style={{ maxWidth: 320 }}>
                    <FigureField
                      label={label}
                      after={shownUnit(unit, settings.units)}
                      value={typed[id] ?? ''}
                      onChange={(text) => type(id, text)}
                    />
                  </div>
                ))}
                {wrong.map((words) => (
                  <Bar key={words} $tone="act" role="alert">
                    {words}
                  </Bar>
                ))}
                {needs && (
                  <MeasureOut
                    needs={needs}
                    products={products}
                    product={product}
                    onProduct={(id) => type('product', id)}
                    label={typed['label'] ?? ''}
                    onLabel={(text) => type('label', text)}
                    measured={measured}
                    litres={litres}
                  />
                )}
              </Stack>
            </section>
          )}
          {moves && (
            <label style={{ display: 'grid', gap: 5, maxWidth: 420, fontWeight: 600, fontSize: 14.5 }}>
              Into which tank
              <Select value={toTankId} onChange={(event) => type('to', event.target.value)}>
                <option value="">choose</option>
                {others.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </Select>
            </label>
          )}
          {tooRecently && (
            <Bar $tone="act" role="alert">
              Done {momentBeside(tooRecently.at, now, settings.clock)}: not again before{' '}
              {momentBeside(tooRecently.againAt, now, settings.clock)}.
            </Bar>
          )}
          <DoubtList doubts={doubts} />
          {unkept && <UnkeptNote unkept={unkept} />}
          <div>
            <PrimaryButton
              style={{ minHeight: 64, fontSize: 20, width: '100%' }}
              isDisabled={busy || lacking.length > 0 || wrong.length > 0 || tooRecently !== null || !doubts.isClear}
              onPress={() => void begin()}
            >
              Begin at {tank.name}
            </PrimaryButton>
            {lacking.length > 0 && <Small>Still needed: {lacking.join(', ')}.</Small>}
          </div>
          <Line>
            <Small>{sourceWords(procedure.source)}</Small>
            <PlainLink href={`/bench?tank=${tank.id}`}>other procedures</PlainLink>
          </Line>
        </Stack>
      </Narrow>
    </Page>
  )
}
