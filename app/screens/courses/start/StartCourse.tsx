import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { useNavigate, useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import { DEFINITIONS } from '../../../../core/catalogue/courses/all-definitions.ts'
import { definitionById, withChosenParts } from '../../../../core/catalogue/courses/definitions.ts'
import { PROSE } from '../../../../core/catalogue/courses/prose.data.ts'
import { DOSE_SOURCES } from '../../../../core/catalogue/treatments/dose-sources.data.ts'
import { doseById } from '../../../../core/catalogue/treatments/treatments.ts'
import { drugsOf } from '../../../../core/courses/amounts/drug-choices.ts'
import { handlingLoad, isByVet } from '../../../../core/handling/planned.ts'
import { drugName } from '../../../../core/courses/names.ts'
import { coursePreview, hoursBeforeDrug } from '../../../../core/courses/outlook/preview.ts'
import { NO_ANSWER } from '../../../../core/safety/answers.ts'
import { tanksOf } from '../../../../core/household/tanks.ts'
import {
  definitionDefaults,
  drugDefaults,
  judgeStart,
  noOtherTanks,
  readStartForm,
  startDefaults,
  tanksForStart,
} from '../../../../core/courses/start-form/read-start-form.ts'
import { tankFits } from '../../../../core/courses/start-form/tank-fit.ts'
import {
  concernKey,
  isLoadAsked,
  startProblems,
  type StartValues,
} from '../../../../core/courses/start-form/start-form.ts'
import { isOfFish, rampChoices } from '../../../../core/courses/start-form/who-and-where.ts'
import { levelOf } from '../../../../core/safety/water/level.ts'
import { dayText, MS_PER_HOUR } from '../../../../core/time/zone.ts'
import { CheckField, SelectField, TextField } from '../../../fields/fields.tsx'
import type { Problem } from '../../../fields/shell.tsx'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { ButtonLink, PrimaryButton } from '../../../look/buttons.ts'
import { HandbookLink } from '../../../look/HandbookLink.tsx'
import { Page, PageHead, TwoParts } from '../../../look/page.ts'
import { Heading, Line, Rows, Small, Stack, Title } from '../../../look/text.ts'
import { capital } from '../../../../core/words/numbers.ts'
import { quantityText, volume } from '../../../../core/words/quantities.ts'
import { sourceWords } from '../../../../core/words/sources.ts'
import { ConcernFields, Wrong } from './ConcernFields.tsx'
import { ForWhom } from './ForWhom.tsx'
import { LoadAsked, StartCautions } from './LoadAsked.tsx'
import { NotOffered } from './NotOffered.tsx'
import { NoTank } from './NoTank.tsx'
import { ProductField } from './ProductField.tsx'
import { ShelfNeeds } from './ShelfNeeds.tsx'
import { StartBesideAway } from './StartBesideAway.tsx'
import { DrugCalendar, StepsCalendar } from './CourseCalendar.tsx'
import { definitionOptions } from './labels.ts'

const Choice = styled.div`
  display: flex;
  flex-direction: column;
  gap: 14px;
`

/** Setting a course up: what is done and for whom, what speaks against it, and what it would be. */
export function StartCourse() {
  const { journal, settings } = useHousehold()
  const [params] = useSearchParams()
  const now = useNow()
  const navigate = useNavigate()
  const { keep, busy, unkept } = useKeeping()
  const [problems, setProblems] = useState<Record<string, Problem>>({})
  const place = (at: number) => ({ journal, settings, now: at, caseId: params.get('case') ?? undefined })
  const choices = params.getAll('for')
  const form = useForm<StartValues>({
    defaultValues: startDefaults(place(now), {
      definitionId: params.get('definition') ?? undefined,
      tankId: params.get('tank') ?? undefined,
      choices,
    }),
  })
  const values = form.watch()
  const context = judgeStart(values, place(now))
  const { definition, tank, choice, product, concerns, directly, draft } = context
  const prose = PROSE[definition.id]
  const parts = withChosenParts(definition, values.options)
  const tankId = values.tanks['main'] ?? ''
  const dose = choice?.dose
  const isDirectOffered = context.directAllowed
  const found = (field: string) =>
    problems[field] ?? (field === 'tanks.main' ? startProblems(values, context)[field] : undefined)
  const send = form.handleSubmit(async (sent) => {
    const at = thisInstant()
    const courseId = `course-${at.toString(36)}`
    const read = readStartForm(sent, place(at), courseId)
    setProblems('problems' in read ? read.problems : {})
    if ('contents' in read && (await keep(read.contents))) void navigate(`/courses/${courseId}`)
  })
  if (tanksOf(journal).length === 0) return <NoTank />
  const pickDefinition = (id: string) => {
    const one = definitionById(id) ?? definition
    const tanks = tanksForStart(journal, one)
    const fits = tanks.find(({ id }) => id === tank?.id)?.id ?? tanks[0]?.id ?? ''
    form.reset({
      ...form.getValues(),
      definitionId: one.id,
      tanks: noOtherTanks(fits),
      ...definitionDefaults(journal, one, fits, choices),
    })
    setProblems({})
  }
  const pickTank = (id: string) => {
    const { animalIds, partIds } = definitionDefaults(journal, definition, id)
    form.setValue('animalIds', animalIds)
    form.setValue('partIds', partIds)
  }
  const pickDose = (doseId: string) => {
    const { productId, rampHours, direct } = drugDefaults(journal, doseById(doseId)?.agent)
    form.setValue('productId', productId)
    form.setValue('rampHours', rampHours)
    form.setValue('direct', direct)
  }
  const load = handlingLoad(definition, values.options)
  const isStopped = concerns.some(({ override }) => override === 'none')
  return (
    <Page>
      <PageHead>
        <Title>Start a course</Title>
        <ButtonLink href={`/courses/compare${tankId ? `?tank=${tankId}` : ''}`}>Compare the schools</ButtonLink>
      </PageHead>
      <Form onSubmit={(event) => void send(event)}>
        <TwoParts>
          <Stack $gap={26}>
            <section>
              <Heading>What is done</Heading>
              <Choice style={{ paddingTop: 14 }}>
                <SelectField
                  control={form.control}
                  name="definitionId"
                  label="School or plan"
                  onPick={pickDefinition}
                  options={definitionOptions(DEFINITIONS)}
                  hint={prose?.what}
                />
              </Choice>
            </section>
            <section>
              <Heading>Where and for whom</Heading>
              <Choice style={{ paddingTop: 14 }}>
                {definition.roles.map(({ role, label, must }) => {
                  const fits = tankFits(journal, definition, role).filter(
                    ({ tank: { id } }) => role === 'main' || id !== tankId,
                  )
                  return (
                    <Stack key={role} $gap={4}>
                      <SelectField
                        control={form.control}
                        name={`tanks.${role}`}
                        label={label}
                        problem={found(`tanks.${role}`)}
                        {...(role === 'main' && { onPick: pickTank })}
                        hint={
                          role === 'main' && tank
                            ? tank.volume
                              ? `${quantityText(volume(tank.volume.netL, settings.units))} net${tank.learnt ? ', as doses have shown' : ''}`
                              : 'its net volume is unknown, so no dose can be calculated'
                            : prose?.hints[role]
                        }
                        options={[
                          ...(role === 'main' && tank ? [] : [{ value: '', label: must ? 'choose' : 'none' }]),
                          ...fits.flatMap(({ tank: { id, name }, why }) =>
                            why === null ? [{ value: id, label: name }] : [],
                          ),
                        ]}
                      />
                      <NotOffered fits={fits} />
                    </Stack>
                  )
                })}
                {tank && !tank.volume && (
                  <div>
                    <ButtonLink href={`/tanks/${tank.id}`}>Fill in its volume sheet</ButtonLink>
                  </div>
                )}
                <ForWhom control={form.control} definition={definition} tankId={tankId} problems={problems} />
              </Choice>
            </section>
            <section>
              <Heading>How</Heading>
              <Choice style={{ paddingTop: 14 }}>
                {dose && (
                  <>
                    <SelectField
                      control={form.control}
                      name="doseId"
                      onPick={pickDose}
                      label="Drug"
                      problem={choice && !choice.allowed ? { message: sourceWords(choice.why) } : problems['doseId']}
                      options={drugsOf(definition).map(({ dose: one }) => ({
                        value: one.id,
                        label: `${drugName(one.id)}: ${one.low.toFixed(2)} to ${one.high.toFixed(2)} mg/L`,
                      }))}
                      hint={
                        <>
                          {sourceWords(DOSE_SOURCES[dose.id] ?? '')}{' '}
                          <HandbookLink to={`doses#${dose.id}`}>handbook</HandbookLink>
                        </>
                      }
                    />
                    <ProductField
                      control={form.control}
                      name="productId"
                      label="Product"
                      agent={dose.agent}
                      problem={problems['productId']}
                    />
                    {rampChoices(dose.agent).length > 1 && (
                      <SelectField
                        control={form.control}
                        name="rampHours"
                        label="Steps up"
                        options={rampChoices(dose.agent).map((hours) => ({
                          value: String(hours),
                          label: `every ${hours} h`,
                        }))}
                      />
                    )}
                    {isDirectOffered ? (
                      <>
                        <CheckField control={form.control} name="direct" label="Straight to the dose: an emergency" />
                        <Small>{capital(directly.why)}.</Small>
                      </>
                    ) : (
                      <Small>Straight to the dose: {directly.why}.</Small>
                    )}
                    {problems['direct'] && <Wrong role="alert">{problems['direct'].message}</Wrong>}
                  </>
                )}
                {parts.products.map(({ dose: key, ingredient, label }) => (
                  <ProductField
                    key={key}
                    control={form.control}
                    name={`products.${key}`}
                    label={label}
                    agent={ingredient}
                    problem={problems[`products.${key}`]}
                  />
                ))}
                {definition.options.map(({ id, label, choices }) => (
                  <SelectField
                    key={id}
                    control={form.control}
                    name={`options.${id}`}
                    label={label}
                    options={choices.map((one) => ({ value: one.id, label: one.label }))}
                    hint={prose?.whys[id]?.[values.options[id] || (choices[0]?.id ?? '')]}
                  />
                ))}
                <TextField
                  control={form.control}
                  name="startOn"
                  label="Begins on"
                  type="date"
                  problem={problems['startOn']}
                />
                <TextField
                  control={form.control}
                  name="readAt"
                  label={dose ? 'Read daily at' : 'What is daily is due at'}
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
                        tankId={tankId}
                        answer={values.answers[concernKey(concern)] ?? NO_ANSWER}
                        onAnswer={(change) => {
                          const key = concernKey(concern)
                          const answers = form.getValues('answers')
                          form.setValue('answers', {
                            ...answers,
                            [key]: { ...(answers[key] ?? NO_ANSWER), ...change },
                          })
                        }}
                        problem={problems[concernKey(concern)]}
                      />
                    </li>
                  ))}
                </Rows>
              </section>
            )}
            {load > 0 && (
              <LoadAsked
                control={form.control}
                load={load}
                isAsked={isLoadAsked(definition, values.options)}
                isByVet={isByVet(definition)}
                problem={problems['isLoadAccepted']}
              />
            )}
            {!context.isTaken && !isStopped && tank && (
              <>
                {dose && tank.volume && choice?.allowed && (
                  <DrugCalendar
                    preview={coursePreview({
                      dose,
                      direct: values.direct && isDirectOffered,
                      rampHours: Number(values.rampHours),
                      requiredDays: definition.days,
                      volumeL: tank.volume.netL,
                      product,
                      startAt: Date.parse(draft.happened) + hoursBeforeDrug(parts) * MS_PER_HOUR,
                      startMgPerL: levelOf(journal, tank.id, dose.agent, now, { isHeld: true }).mgPerL ?? 0,
                    })}
                    isMoving={definition.ends === 'move'}
                  />
                )}
                {!dose && (!isOfFish(definition) || values.animalIds.length > 0) && <StepsCalendar start={draft} />}
              </>
            )}
            {!context.isTaken && tank && (
              <StartBesideAway start={draft} onStartDay={(day) => form.setValue('startOn', dayText(day))} />
            )}
            <ShelfNeeds start={draft} />
            <Stack $gap={12}>
              <StartCautions definition={definition} agent={dose?.agent} />
              {unkept && <UnkeptNote unkept={unkept} />}
              {Object.keys(problems).length > 0 && (
                <Wrong role="alert">Not started: something above is missing or in the way.</Wrong>
              )}
              <Line>
                <PrimaryButton type="submit" isDisabled={busy || isStopped}>
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
