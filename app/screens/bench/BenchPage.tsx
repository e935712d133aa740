import { useEffect, useRef, useState } from 'react'
import { useParams } from 'react-router'
import { styled } from 'styled-components'
import {
  benchRun,
  doseOfRun,
  refusalOf,
  sessionLimit,
  stepsToLeave,
  type BenchRun,
  type FollowedOccasion,
} from '../../../core/bench/follow.ts'
import type { ChecklistItem, ProcedureStep } from '../../../core/catalogue/procedures/procedure.types.ts'
import { partById } from '../../../core/household/parts.ts'
import { netVolumeAt, tankById } from '../../../core/household/tanks.ts'
import type { Content } from '../../../core/journal/entry.ts'
import { momentBeside } from '../../../core/time/words.ts'
import { iso, MS_PER_HOUR } from '../../../core/time/zone.ts'
import { figures } from '../../../core/words/numbers.ts'
import { useAwake } from '../../arrivals/useAwake.ts'
import { useRing } from '../../arrivals/useRing.ts'
import { useSecond } from '../../arrivals/useSecond.ts'
import { useDraft } from '../../fields/draft.ts'
import { numberIn } from '../../fields/number-in.ts'
import { FigureField } from '../../fields/plain.tsx'
import { thisInstant } from '../../frame/now.tsx'
import { UnkeptNote, useKeeping } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { Missing } from '../../look/Missing.tsx'
import { Narrow, Page } from '../../look/page.ts'
import { Bar, Figure, Heading, Line, Quiet, Rows, Small, Stack, Title } from '../../look/text.ts'
import { BenchClocks } from './BenchClocks.tsx'

const Big = styled(PrimaryButton)`
  width: 100%;
  min-height: 96px;
  font-size: 26px;
`

const Now = styled.p`
  font-size: clamp(26px, 6vw, 40px);
  font-weight: 700;
  line-height: 1.2;
`

/** A procedure under way: one thing at a time, in the largest type. */
export function BenchPage() {
  const { benchId = '' } = useParams()
  const { journal } = useHousehold()
  const run = benchRun(journal, benchId)
  if (!run)
    return (
      <Missing title="No such procedure" back="To the bench" href="/bench">
        This journal holds no procedure of that name.
      </Missing>
    )
  return (
    <Page>
      <Narrow>
        <Stack $gap={20}>
          <div>
            <Title>{run.procedure.name}</Title>
            <Quiet>{tankById(journal, run.start.tankId ?? '')?.name}</Quiet>
          </div>
          {run.endedAt === null ? <Running run={run} /> : <Over run={run} />}
        </Stack>
      </Narrow>
    </Page>
  )
}

function Running({ run }: { run: BenchRun }) {
  const { journal, which } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const now = useSecond()
  const awake = useAwake()
  const [values, change, forget] = useDraft(`${which}-bench-${run.id}`)
  const [skipping, setSkipping] = useState(false)
  const big = useRef<HTMLButtonElement>(null)
  const due = run.clocks.filter(({ ringsAt }) => now >= ringsAt)
  useRing(due.length === 0 ? null : due.map(({ label, begunAt }) => `${label} ${begunAt}`).join())
  const { next } = run
  // A knuckle on the space bar: wherever nothing is typed it presses the big button.
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement
      if (event.key !== ' ' || /^(INPUT|TEXTAREA|SELECT|BUTTON|A)$/.test(target.tagName)) return
      event.preventDefault()
      big.current?.click()
    }
    document.addEventListener('keydown', press)
    return () => document.removeEventListener('keydown', press)
  }, [])
  const netL = netVolumeAt(journal, run.start.tankId ?? '', now)
  const mark = (one: FollowedOccasion, state: 'begun' | 'done' | 'skipped', more: object = {}) => {
    const happened = iso(thisInstant())
    const { switches } = one.item as ChecklistItem
    const contents: Content[] = [
      {
        kind: 'bench-mark',
        happened,
        benchId: run.id,
        step: one.step,
        state,
        ...(one.partId !== null && { partId: one.partId }),
        ...more,
      },
    ]
    if (state === 'done' && switches && run.start.tankId !== undefined)
      contents.push({
        kind: 'equipment',
        happened,
        tankId: run.start.tankId,
        item: switches.item,
        running: switches.running,
      })
    return keep(contents).then((kept) => {
      if (!kept) return
      forget()
      setSkipping(false)
    })
  }
  const finish = () => {
    const happened = iso(thisInstant())
    const used = run.totals.get(run.procedure.doses?.recordId ?? '') ?? 0
    const dose = doseOfRun(run.procedure, run.start, used, happened)
    return keep([{ kind: 'bench-end', happened, benchId: run.id, outcome: 'finished' }, ...(dose ? [dose] : [])])
  }
  if (!next)
    return (
      <Stack $gap={16}>
        <Now>All done, and everything put back.</Now>
        <Totals run={run} />
        {unkept && <UnkeptNote unkept={unkept} />}
        <Big ref={big} isDisabled={busy} onPress={() => void finish()}>
          Close it
        </Big>
      </Stack>
    )
  const step = next.item as ProcedureStep
  const records = next.place === 'step' ? (step.records ?? []) : []
  const typed = records.map(({ id }) => ({ id, value: numberIn(values[id] ?? '') }))
  const figuresTyped = typed.flatMap(({ id, value }) => (value === null ? [] : [{ id, value }]))
  const isBeginning = next.place === 'step' && step.timer !== undefined && next.state === 'open'
  const refusal = isBeginning ? null : refusalOf(run, next, figuresTyped, netL, now)
  const isFilled = isBeginning || typed.every(({ value }) => value !== null && value >= 0)
  const partName = next.partId === null ? null : (partById(journal, next.partId)?.name ?? next.partId)
  const count = run.occasions.filter(({ place }) => place === next.place)
  const why = (values['why'] ?? '').trim()
  return (
    <Stack $gap={16}>
      <BenchClocks clocks={run.clocks} now={now} />
      <Quiet>
        {PLACES[next.place]} {count.indexOf(next) + 1} of {count.length}
      </Quiet>
      {next.item.caution && <Bar $tone="act">{next.item.caution}</Bar>}
      {partName && <p style={{ fontSize: 20, fontWeight: 650 }}>{partName}</p>}
      <Now>{next.title}</Now>
      {next.place === 'step' && step.why && <Small>{step.why}</Small>}
      {records.map((record) => {
        const limit = record.sessionLimit ? sessionLimit(netL) : null
        return (
          <FigureField
            key={record.id}
            label={record.label}
            after={record.unit}
            value={values[record.id] ?? ''}
            onChange={(text) => change(record.id, text)}
            hint={
              limit
                ? `${figures(run.totals.get(record.id) ?? 0, 3)} of ${figures(limit.most, 3)} ${limit.unit} ${limit.words}`
                : undefined
            }
          />
        )
      })}
      {refusal && (
        <Bar $tone="act" role="alert">
          <span style={{ fontSize: 20, fontWeight: 650 }}>{refusal.words}</span>
        </Bar>
      )}
      {(skipping || refusal?.passes === 'reason') && (
        <Stack $gap={8}>
          <label htmlFor="bench-why">Why all the same</label>
          <input
            id="bench-why"
            value={values['why'] ?? ''}
            onChange={(event) => change('why', event.target.value)}
            style={{ minHeight: 48, fontSize: 18, padding: '0 10px' }}
          />
        </Stack>
      )}
      {unkept && <UnkeptNote unkept={unkept} />}
      <Big
        ref={big}
        isDisabled={busy || !isFilled || (refusal !== null && (refusal.passes === null || why === ''))}
        onPress={() =>
          void mark(next, isBeginning ? 'begun' : 'done', {
            ...(figuresTyped.length > 0 && !isBeginning && { values: figuresTyped }),
            ...(refusal && why !== '' && { why }),
          })
        }
      >
        {isBeginning ? `Start ${step.timer!.minutes} min` : 'Done, next'}
      </Big>
      <Line $gap={18}>
        {skipping ? (
          <PlainButton isDisabled={busy || why === ''} onPress={() => void mark(next, 'skipped', { why })}>
            leave this out
          </PlainButton>
        ) : (
          <PlainButton onPress={() => setSkipping(true)}>cannot be done</PlainButton>
        )}
        {next.place === 'step' && (
          <PlainButton isDisabled={busy} onPress={() => void stopSteps(run, keep)}>
            stop here, put everything back
          </PlainButton>
        )}
      </Line>
      <Small>
        {awake === 'awake'
          ? 'The screen stays awake. A locked phone does not ring.'
          : 'The screen may go dark: a locked phone does not ring. Keep it open, or set an alarm.'}
      </Small>
    </Stack>
  )
}

const PLACES: Record<FollowedOccasion['place'], string> = { before: 'before it', step: 'step', after: 'put back' }

/** Leaves out what is not needed to be safe, so that what was put off is put back next. */
const stopSteps = (run: BenchRun, keep: (contents: readonly Content[]) => Promise<unknown>) =>
  keep(
    stepsToLeave(run).map(({ step, partId }) => ({
      kind: 'bench-mark' as const,
      happened: iso(thisInstant()),
      benchId: run.id,
      step,
      state: 'skipped' as const,
      why: 'stopped here',
      ...(partId !== null && { partId }),
    })),
  )

function Totals({ run }: { run: BenchRun }) {
  const records = run.procedure.steps.flatMap(({ records: of = [] }) => of)
  return (
    <Rows>
      {records
        .filter(({ id }) => run.totals.has(id))
        .map(({ id, label, unit }) => (
          <li key={id}>
            <Line style={{ justifyContent: 'space-between' }}>
              <span>{label}</span>
              <Figure $size={22}>
                {figures(run.totals.get(id)!, 4)} {unit}
              </Figure>
            </Line>
          </li>
        ))}
    </Rows>
  )
}

function Over({ run }: { run: BenchRun }) {
  const { settings } = useHousehold()
  const now = useSecond()
  const left = run.occasions.filter(({ state }) => state === 'skipped')
  return (
    <Stack $gap={20}>
      <p>Closed {momentBeside(run.endedAt!, now, settings.clock)}.</p>
      <Totals run={run} />
      {left.length > 0 && (
        <section>
          <Heading>Left out</Heading>
          <Rows>
            {left.map(({ step, partId, title, why }) => (
              <li key={`${step} ${partId}`}>
                {title} <Quiet>{why}</Quiet>
              </li>
            ))}
          </Rows>
        </section>
      )}
      <section>
        <Heading>What to look for</Heading>
        <Rows>
          {run.procedure.watch.map(({ afterHours, words }) => (
            <li key={afterHours}>
              <strong>{momentBeside(run.endedAt! + afterHours * MS_PER_HOUR, now, settings.clock)}</strong>: {words}
            </li>
          ))}
        </Rows>
      </section>
    </Stack>
  )
}
