import { useMemo, useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { useNavigate, useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import { ingredientById } from '../../../core/catalogue/ingredient.ts'
import { directDose } from '../../../core/courses/direct-dose.ts'
import { treatmentConcerns } from '../../../core/safety/concerns.ts'
import { copperChoice, copperChoices } from '../../../core/courses/copper-choices.ts'
import { COURSE_LENGTHS, runningIn, type CourseLength } from '../../../core/courses/course.ts'
import { shortCourseName } from '../../../core/courses/names.ts'
import { coursePreview, type CoursePreview } from '../../../core/courses/preview.ts'
import { animalLabel } from '../../../core/household/animals.ts'
import { shelfOf } from '../../../core/household/shelf.ts'
import { kitFor, tankById, tanksOf } from '../../../core/household/tanks.ts'
import { reckonedLevel } from '../../../core/safety/water-state.ts'
import { dayAs, dayBeside, timeOf } from '../../../core/time/words.ts'
import { iso } from '../../../core/time/zone.ts'
import { amountText } from '../../courses/words.ts'
import { CheckField, ChipsField, SelectField, TextField } from '../../fields/fields.tsx'
import type { Problem } from '../../fields/shell.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink, PrimaryButton } from '../../look/buttons.ts'
import { HandbookLink } from '../../look/HandbookLink.tsx'
import { Page, TwoParts } from '../../look/page.ts'
import { Bar, Figure, Heading, Line, Rows, Small, Stack, Title } from '../../look/text.ts'
import { capital } from '../../../core/words/numbers.ts'
import { quantityText, volume } from '../../../core/words/quantities.ts'
import { sourceWords } from '../../../core/words/sources.ts'
import { ConcernFields, Wrong } from './ConcernFields.tsx'
import { concernKey, fishIn, rampChoices, startContent, startProblems, type StartValues } from './start.ts'

const Choice = styled.div`
  display: flex;
  flex-direction: column;
  gap: 14px;
`

const DOSE_CHOICES = [...new Map(copperChoices().map(({ dose }) => [dose.id, dose])).values()]

/** Setting a course up: what is dosed and for how long, what speaks against it, and what it would be. */
export function StartCourse() {
  const { journal, settings } = useHousehold()
  const [params] = useSearchParams()
  const now = useNow()
  const navigate = useNavigate()
  const { keep, busy, unkept } = useKeeping()
  const [problems, setProblems] = useState<Record<string, Problem>>({})
  const tanks = tanksOf(journal).filter(({ water }) => water === 'marine')
  const asked = params.get('tank')
  const first = tanks.find(({ id }) => id === asked) ?? tanks.find(({ role }) => role === 'quarantine') ?? tanks[0]
  const shelf = shelfOf(journal)
  const startDose =
    DOSE_CHOICES.find((dose) => shelf.some(({ ingredient }) => ingredient === dose.agent)) ?? DOSE_CHOICES[0]!
  const form = useForm<StartValues>({
    defaultValues: {
      tankId: first?.id ?? '',
      doseId: startDose.id,
      length: 'fourteen-then-move',
      animalIds: first ? fishIn(journal, first.id).map(({ id }) => id) : [],
      productId: shelf.find(({ ingredient }) => ingredient === startDose.agent)?.id ?? '',
      rampHours: String(rampChoices(startDose.agent)[0]),
      direct: false,
      readAt: '08:00',
      moveToTankId: '',
      whys: {},
      agreed: {},
    },
  })
  const values = form.watch()
  const tank = tankById(journal, values.tankId)
  const choice = copperChoice(values.doseId, values.length as CourseLength)
  const dose = choice?.dose ?? startDose
  const product = shelf.find(({ id, ingredient }) => id === values.productId && ingredient === dose.agent) ?? null
  const products = shelf.filter(({ ingredient }) => ingredient === dose.agent)
  const directly = directDose(journal, values.tankId, dose)
  const concerns = treatmentConcerns(
    journal,
    values.tankId,
    { agent: dose.agent, dose, direct: values.direct, rampHours: Number(values.rampHours) },
    now,
  )
  const context = {
    tank,
    choice,
    product,
    concerns,
    directAllowed: directly.allowed,
    isTaken: tank !== null && runningIn(journal, tank.id).length > 0,
  }
  const send = form.handleSubmit(async (sent) => {
    const found = startProblems(sent, context)
    setProblems(found)
    if (Object.keys(found).length > 0) return
    const at = thisInstant()
    const courseId = `course-${at.toString(36)}`
    const content = startContent(sent, context, {
      courseId,
      happened: iso(at),
      kitId: kitFor(journal, sent.tankId, 'copper')?.id,
    })
    if (await keep([content])) void navigate(`/courses/${courseId}`)
  })
  const preview =
    tank?.volume && choice?.allowed
      ? coursePreview({
          dose,
          direct: values.direct && directly.allowed,
          rampHours: Number(values.rampHours),
          requiredDays: choice.days,
          volumeL: tank.volume.netL,
          product,
          startAt: now,
          startMgPerL: reckonedLevel(journal, tank.id, dose.agent, now).mgPerL ?? 0,
        })
      : null
  if (tanks.length === 0)
    return (
      <Page>
        <Stack>
          <Title>Start a course</Title>
          <p>A course runs in a tank. None is set up with salt water yet.</p>
          <div>
            <ButtonLink href="/tanks/new">Set up a tank</ButtonLink>
          </div>
        </Stack>
      </Page>
    )
  const pickTank = (tankId: string) =>
    form.setValue(
      'animalIds',
      fishIn(journal, tankId).map(({ id }) => id),
    )
  const pickDose = (agent: string) => {
    form.setValue('productId', shelf.find(({ ingredient }) => ingredient === agent)?.id ?? '')
    form.setValue('rampHours', String(rampChoices(agent)[0]))
    form.setValue('direct', false)
  }
  return (
    <Page>
      <Title style={{ marginBottom: 18 }}>Start a course of copper</Title>
      <Form onSubmit={(event) => void send(event)}>
        <TwoParts>
          <Stack $gap={26}>
            <section>
              <Heading>Where and for whom</Heading>
              <Choice style={{ paddingTop: 14 }}>
                <SelectField
                  control={form.control}
                  name="tankId"
                  onPick={pickTank}
                  label="Tank"
                  problem={problems['tankId'] ?? startProblems(values, context)['tankId']}
                  options={tanks.map(({ id, name }) => ({ value: id, label: name }))}
                  hint={
                    tank?.volume
                      ? `${quantityText(volume(tank.volume.netL, settings.units))} net${tank.learnt ? ', as doses have shown' : ''}`
                      : 'its net volume is not worked out: no dose can be'
                  }
                />
                {tank && !tank.volume && (
                  <div>
                    <ButtonLink href={`/tanks/${tank.id}`}>Fill in its volume sheet</ButtonLink>
                  </div>
                )}
                <ChipsField
                  control={form.control}
                  name="animalIds"
                  label="Fish"
                  problem={problems['animalIds']}
                  options={fishIn(journal, values.tankId).map((animal) => ({
                    value: animal.id,
                    label: animalLabel(animal),
                  }))}
                />
              </Choice>
            </section>
            <section>
              <Heading>What is dosed, and for how long</Heading>
              <Choice style={{ paddingTop: 14 }}>
                <SelectField
                  control={form.control}
                  name="doseId"
                  onPick={(id) => pickDose(DOSE_CHOICES.find((one) => one.id === id)!.agent)}
                  label="Copper"
                  options={DOSE_CHOICES.map((one) => ({
                    value: one.id,
                    label: `${shortCourseName(one.id).replace('Copper, ', '')}: ${one.low.toFixed(2)} to ${one.high.toFixed(2)} mg/L`,
                  }))}
                  hint={
                    <>
                      {sourceWords(dose.source)} <HandbookLink to={`doses#${dose.id}`}>handbook</HandbookLink>
                    </>
                  }
                />
                <SelectField
                  control={form.control}
                  name="length"
                  label="Length"
                  problem={choice && !choice.allowed ? { message: sourceWords(choice.why) } : problems['length']}
                  options={COURSE_LENGTHS.map(({ id, name }) => ({ value: id, label: name }))}
                />
                {values.length === 'fourteen-then-move' && (
                  <SelectField
                    control={form.control}
                    name="moveToTankId"
                    label="Then to"
                    problem={problems['moveToTankId']}
                    hint="sterile, at least 3 m (10 ft) from any salt water; only the fish moves"
                    options={[
                      { value: '', label: 'choose' },
                      ...tanks
                        .filter(({ id }) => id !== values.tankId)
                        .map(({ id, name }) => ({ value: id, label: name })),
                    ]}
                  />
                )}
                <SelectField
                  control={form.control}
                  name="productId"
                  label="Product"
                  problem={problems['productId']}
                  options={[
                    ...(products.length === 0
                      ? [{ value: '', label: `no ${ingredientById(dose.agent)?.name} on the shelf` }]
                      : []),
                    ...products.map(({ id, name }) => ({ value: id, label: name })),
                  ]}
                />
                {products.length === 0 && (
                  <div>
                    <ButtonLink href="/shelf/new">Put it on the shelf, with its strength</ButtonLink>
                  </div>
                )}
                <SelectField
                  control={form.control}
                  name="rampHours"
                  label="Steps up"
                  options={rampChoices(dose.agent).map((hours) => ({
                    value: String(hours),
                    label: `every ${hours} h`,
                  }))}
                />
                {directly.allowed ? (
                  <>
                    <CheckField control={form.control} name="direct" label="Straight to the dose: an emergency" />
                    <Small>{capital(directly.why)}.</Small>
                  </>
                ) : (
                  <Small>Straight to the dose: {directly.why}.</Small>
                )}
                {problems['direct'] && <Wrong role="alert">{problems['direct'].message}</Wrong>}
                <TextField
                  control={form.control}
                  name="readAt"
                  label="Read copper daily at"
                  type="time"
                  problem={problems['readAt']}
                />
              </Choice>
            </section>
          </Stack>
          <Stack $gap={26}>
            {concerns.length > 0 && (
              <section>
                <Heading>What speaks against it</Heading>
                <Rows>
                  {concerns.map((concern) => (
                    <li key={concernKey(concern)}>
                      <ConcernFields
                        concern={concern}
                        tankId={values.tankId}
                        control={form.control}
                        problems={problems}
                      />
                    </li>
                  ))}
                </Rows>
              </section>
            )}
            {preview && !context.isTaken && concerns.every(({ override }) => override !== 'none') && (
              <Preview preview={preview} isMoving={values.length === 'fourteen-then-move'} />
            )}
            <Stack $gap={12}>
              <Bar $tone="soon">
                {ingredientById(dose.agent)?.caution} {ingredientById(dose.agent)?.law} Follow the label; ask a licensed
                aquatic veterinarian for weak or scaleless fish.
              </Bar>
              {unkept && <UnkeptNote unkept={unkept} />}
              {Object.keys(problems).length > 0 && (
                <Wrong role="alert">Not started: something above is missing or in the way.</Wrong>
              )}
              <Line>
                <PrimaryButton type="submit" isDisabled={busy || concerns.some(({ override }) => override === 'none')}>
                  Start the course
                </PrimaryButton>
              </Line>
            </Stack>
          </Stack>
        </TwoParts>
      </Form>
    </Page>
  )
}

/** The course before it starts: its first days and its end. */
function Preview({ preview, isMoving }: { preview: CoursePreview; isMoving: boolean }) {
  const { settings } = useHousehold()
  const now = useNow()
  const { clock } = settings
  const day = (ms: number) => dayAs(clock.dayOf(ms), 'EEEE d MMMM')
  const rows = useMemo(
    () => [
      { when: preview.fullAt, what: isMoving ? 'the count is full: the fish move' : 'the count is full: carbon in' },
      { when: preview.observedFrom.least, what: 'watched without any drug, 14 days at least' },
      { when: preview.observedFrom.preferred, what: '28 days are better' },
    ],
    [preview, isMoving],
  )
  return (
    <section>
      <Heading>If all goes by the book</Heading>
      <Rows>
        {preview.steps.map(({ at, dose }, i) => (
          <li key={at}>
            <Line style={{ justifyContent: 'space-between' }}>
              <span>
                <Figure $size={i === 0 ? 26 : 18}>{amountText(dose)}</Figure> → {dose.makesMgPerL.toFixed(2)} mg/L
              </span>
              <Small>{i === 0 ? 'now' : `${dayBeside(clock.dayOf(at), clock.dayOf(now))} ${timeOf(at, clock)}`}</Small>
            </Line>
          </li>
        ))}
        <li>in range from {day(preview.inRangeAt)}, if a reading says so; read daily</li>
        {rows.map(({ when, what }) => (
          <li key={what}>
            {day(when)}: {what}
          </li>
        ))}
      </Rows>
    </section>
  )
}
