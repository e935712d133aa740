import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { styled } from 'styled-components'
import { LIGHTER_STAGE, STAGE_WORDS, WHITE_STAGE } from '../../../../core/catalogue/patch-stage.ts'
import { STAGE_NOISE } from '../../../../core/courses/outlook/plans/treated-untreated.ts'
import type { CoursePlan } from '../../../../core/courses/plan.ts'
import { armDays } from '../../../../core/courses/tracks/arm-days.ts'
import { isUntreated, type PartSeries, type SeriesState } from '../../../../core/courses/tracks/series.ts'
import { dayAs } from '../../../../core/time/words.ts'
import { iso } from '../../../../core/time/zone.ts'
import { CheckField, TextField } from '../../../fields/fields.tsx'
import type { Problem } from '../../../fields/shell.tsx'
import { thisInstant } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button, PlainButton } from '../../../look/buttons.ts'
import { Figure, Heading, Line, Small, Stack } from '../../../look/text.ts'
import { phaseWords } from '../../../courses/words.ts'
import { Legend } from './legend.ts'
import { ResponseChart } from './ResponseChart.tsx'

const Grid = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 15px;
  th {
    text-align: left;
    font-weight: 600;
    padding: 6px 10px 6px 0;
  }
  thead th {
    font-weight: 400;
    color: var(--quiet);
    text-align: center;
    padding: 4px 0;
    font-size: 13.5px;
  }
  td {
    border: 1px solid var(--rule);
    height: 34px;
    min-width: 18px;
    text-align: center;
    font: 600 15px var(--mono);
  }
  td[data-look='words'] {
    border: 0;
    padding-left: 10px;
    font: inherit;
  }
  td[data-look='none'] {
    background-image: var(--hatch-second);
    opacity: 0.5;
  }
  td[data-look='high'] {
    background: var(--second);
    color: var(--on-second);
  }
  td[data-look='mid'] {
    background: color-mix(in srgb, var(--second) 30%, var(--sheet));
  }
`

const Wide = styled.div`
  overflow-x: auto;
`

const VERDICTS: Record<PartSeries['verdict'], string> = {
  'on-course': 'as expected',
  behind: 'behind',
  'no-response': 'no response',
  unknown: '',
}
/** Days shown beside each other: a fortnight fits the phone. */
const MOST_DAYS = 15

/** Each patch by day with its stage, the control apart; and where patches are named. */
export function PatchPanel({ plan, series }: { plan: CoursePlan; series: SeriesState }) {
  const { settings } = useHousehold()
  const { clock } = settings
  const { keep, busy, unkept } = useKeeping()
  const release = (partId: string) =>
    void keep([{ kind: 'part-change', happened: iso(thisInstant()), partId, changes: { control: false } }])
  const startDay = clock.dayOf(plan.course.startedAt)
  const first = Math.max(0, series.day - MOST_DAYS + 1)
  const days = Array.from({ length: Math.max(7, series.day - first + 1) }, (_, i) => first + i)
  const ordered = [...series.parts].sort((a, b) => Number(isUntreated(a)) - Number(isUntreated(b)))
  return (
    <section id="patches">
      <Heading>
        <span>
          Patches <Figure $size={15}>{phaseWords(plan)}</Figure>
        </span>
        <Legend>0 living colour, 2 pink or lighter, 4 white, 5 detached</Legend>
      </Heading>
      {ordered.length === 0 ? (
        <Small>
          No patch is named yet. Number them, and leave one untreated: only against it does a change say something.
        </Small>
      ) : (
        <Wide>
          <Grid>
            <thead>
              <tr>
                <th scope="col" style={{ textAlign: 'left' }}>
                  patch
                </th>
                {days.map((day) => (
                  <th key={day} scope="col">
                    {day}
                  </th>
                ))}
                <th scope="col">so far</th>
              </tr>
            </thead>
            <tbody>
              {ordered.map(({ part, scores, verdict }) => (
                <tr key={part.id}>
                  <th scope="row">
                    {part.name}
                    {isUntreated({ part }) && (
                      <>
                        <br />
                        <Small>
                          {part.releasedAt === null
                            ? 'left untreated'
                            : `untreated until ${dayAs(clock.dayOf(part.releasedAt), 'd MMM')}`}
                        </Small>
                        {part.control && !plan.course.ended && (
                          <>
                            <br />
                            <PlainButton
                              aria-label={`treat ${part.name} from now on`}
                              onPress={() => release(part.id)}
                              isDisabled={busy}
                            >
                              treat it too
                            </PlainButton>
                          </>
                        )}
                      </>
                    )}
                  </th>
                  {days.map((day) => {
                    const score = scores.findLast(({ at }) => clock.dayOf(at) - startDay === day)
                    const look = !score
                      ? 'none'
                      : score.value >= WHITE_STAGE
                        ? 'high'
                        : score.value >= LIGHTER_STAGE
                          ? 'mid'
                          : 'low'
                    return (
                      <td key={day} data-look={look} aria-label={score ? STAGE_WORDS[score.value] : 'not scored'}>
                        {score?.value}
                      </td>
                    )
                  })}
                  <td data-look="words">
                    <Small style={{ color: verdict === 'no-response' ? 'var(--act)' : undefined }}>
                      {VERDICTS[verdict]}
                    </Small>
                  </td>
                </tr>
              ))}
            </tbody>
          </Grid>
        </Wide>
      )}
      {unkept && <UnkeptNote unkept={unkept} />}
      {ordered.some(({ last }) => last !== null) && (
        <>
          <ResponseChart
            name={series.track.name}
            found={armDays(series, 'treated', clock, startDay).map((one) => ({ ...one, noise: STAGE_NOISE }))}
            untreated={armDays(series, 'control', clock, startDay).map((one) => ({ ...one, noise: STAGE_NOISE }))}
            expected={[
              { day: 0, value: 0 },
              ...series.track.expected.map(({ byDay, value }) => ({ day: byDay, value })),
            ]}
            day={series.day}
          />
          <Small>
            Median of the treated with the stage that one eye may err; squares: left untreated; dashed: expected.
            {series.day < series.track.silentByDay &&
              ` Still stage 0 on day ${series.track.silentByDay}: it is something else.`}
          </Small>
        </>
      )}
      {!plan.course.ended && <AddPatch plan={plan} hasControl={ordered.some(isUntreated)} />}
    </section>
  )
}

function AddPatch({ plan, hasControl }: { plan: CoursePlan; hasControl: boolean }) {
  const { keep, busy, unkept } = useKeeping()
  const [isOpen, setIsOpen] = useState(plan.facts.parts.length === 0)
  const [problem, setProblem] = useState<Problem | undefined>()
  const form = useForm({ defaultValues: { name: '', control: false } })
  const send = form.handleSubmit(async ({ name, control }) => {
    if (name.trim() === '') return setProblem({ message: 'what you call it, such as “fern, left”' })
    setProblem(undefined)
    const at = thisInstant()
    const kept = await keep([
      {
        kind: 'part-setup',
        happened: iso(at),
        partId: `part-${at.toString(36)}`,
        tankId: plan.course.tankId,
        what: 'patch',
        name: name.trim(),
        ...(control && { control: true }),
      },
    ])
    if (kept) form.reset()
  })
  if (!isOpen)
    return (
      <div style={{ paddingTop: 8 }}>
        <PlainButton onPress={() => setIsOpen(true)}>name another patch</PlainButton>
      </div>
    )
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={10} style={{ paddingTop: 12 }}>
        <TextField
          control={form.control}
          name="name"
          label="Patch"
          problem={problem}
          hint="where it is, in a few words"
        />
        <CheckField control={form.control} name="control" label="Left untreated, to compare with" />
        {!hasControl && plan.facts.parts.length > 0 && <Small>None is left untreated yet.</Small>}
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <Button type="submit" isDisabled={busy}>
            Name the patch
          </Button>
          {plan.facts.parts.length > 0 && <PlainButton onPress={() => setIsOpen(false)}>enough</PlainButton>}
        </Line>
      </Stack>
    </Form>
  )
}
