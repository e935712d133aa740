import { WORDS_LETTERS } from '../../../../core/journal/contents/text-limits.ts'
import { useEffect, useRef, useState } from 'react'
import { styled } from 'styled-components'
import { amountOf } from '../../../../core/bench/amounts.ts'
import {
  isOpen,
  nextOccasion,
  stepsToLeave,
  type BenchClock,
  type BenchRun,
  type FollowedOccasion,
} from '../../../../core/bench/follow.ts'
import { ledgerOf } from '../../../../core/bench/ledger.ts'
import {
  amountInput,
  missingFigures,
  overLimit,
  recordsOf,
  refusalOf,
  spentOf,
} from '../../../../core/bench/refusals.ts'
import type { ChecklistItem, ProcedureStep, StepRecord } from '../../../../core/catalogue/procedures/procedure.types.ts'
import type { Content } from '../../../../core/journal/entry.ts'
import { lastValue } from '../../../../core/readings/evidence.ts'
import { iso, MS_PER_MINUTE } from '../../../../core/time/zone.ts'
import { measureText, toKept } from '../../../../core/words/measure.ts'
import { useRing } from '../../../arrivals/useRing.ts'
import { useSecond } from '../../../arrivals/useSecond.ts'
import { useDraft } from '../../../fields/draft.ts'
import { inputShape } from '../../../fields/shell.tsx'
import { numberIn } from '../../../fields/number-in.ts'
import { thisInstant } from '../../../frame/now.tsx'
import { UnkeptNote, useKeeping } from '../../../journal/keeping.tsx'
import { strikeOf } from '../../../journal/opened.ts'
import { benchEntryIds } from '../../../bench/mark-ids.ts'
import { useHousehold } from '../../../journal/provider.tsx'
import { Bar, Figure, Line, Quiet, Small, Stack } from '../../../look/text.ts'
import { PlainButton, PrimaryButton } from '../../../look/buttons.ts'
import { BenchClocks } from './BenchClocks.tsx'
import { RecordFields } from './RecordFields.tsx'
import { RunTools } from './RunTools.tsx'
import { Totals } from './Totals.tsx'
import { useWarnOnLeaving } from './useWarnOnLeaving.ts'

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

const Loud = styled(Bar)`
  font-size: clamp(20px, 5vw, 28px);
  font-weight: 700;
  line-height: 1.25;
`

const Why = styled.input`
  ${inputShape}
  min-height: 56px;
  font-size: 18px;
`

const PLACES: Record<FollowedOccasion['place'], string> = { before: 'before it', step: 'step', after: 'put back' }

/** After the view has turned by itself a press waits this long: a knuckle on its way meant what stood there before. */
const TURNED_MS = 1200

/** What turns so soon after a press has turned by it. */
const PRESS_SHOWS_MS = 1000

const keyOf = ({ step, subjectId }: Pick<FollowedOccasion, 'step' | 'subjectId'>) => `${step} ${subjectId ?? ''}`

/** A procedure under way: one thing at a time, in the largest type, with every clock above it. */
export function Running({ run, netL, nameOf }: { run: BenchRun; netL: number | null; nameOf: (id: string) => string }) {
  const { journal, settings, which } = useHousehold()
  const { keep: keepAs, run: work, busy, unkept } = useKeeping()
  const keep = (contents: readonly Content[]) => keepAs(contents, benchEntryIds(journal, run, contents))
  const now = useSecond()
  const [values, change, forget] = useDraft(`${which}-bench-${run.id}`)
  const [skipping, setSkipping] = useState(false)
  const [early, setEarly] = useState<string | null>(null)
  const big = useRef<HTMLButtonElement>(null)
  useSpaceBar(big)
  useWarnOnLeaving(run.owed.length > 0)
  useRing(ringing(run.clocks, now))
  const next = run.occasions.find((one) => keyOf(one) === early && isOpen(one)) ?? nextOccasion(run, now)
  const [isTurning, pressed] = useTurned(next ? keyOf(next) : '')
  const over = overLimit(run, now, nameOf)
  const psu = lastValue(journal, run.start.tankId ?? '', 'salinity', run.startedAt)?.value ?? null
  const input = amountInput(run, netL, psu)

  const mark = async (one: FollowedOccasion, state: 'begun' | 'done' | 'skipped', more: object = {}) => {
    pressed()
    const happened = iso(thisInstant())
    const { switches } = one.item as ChecklistItem
    const contents: Content[] = [
      { kind: 'bench-mark', happened, benchId: run.id, step: one.step, state, ...markOf(run, one), ...more },
    ]
    if (state === 'done' && switches && run.start.tankId !== undefined)
      contents.push({
        kind: 'equipment',
        happened,
        tankId: run.start.tankId,
        item: switches.item,
        running: switches.running,
      })
    if (!(await keep(contents))) return
    for (const { id } of recordsOf(one)) change(`${keyOf(one)} ${id}`, '')
    change('why', '')
    setSkipping(false)
    setEarly(null)
  }
  const back = () => {
    pressed()
    setEarly(null)
    return work((household) =>
      household.keepEntries(
        (run.lastMark?.entryIds ?? []).map((id) => strikeOf(journal, id, 'taken back at the bench')),
      ),
    )
  }
  const finish = async () => {
    const at = thisInstant()
    const done = run.occasions.some(({ place, state }) => place === 'step' && state === 'done')
    const kept = await keep([
      ...ledgerOf(journal, run, netL, at),
      {
        kind: 'bench-end',
        happened: iso(at),
        benchId: run.id,
        outcome: done ? 'finished' : 'stopped',
        ...(done && run.procedure.watch.length > 0 && { looks: [...run.procedure.watch] }),
      },
    ])
    if (kept) forget()
  }

  if (!next)
    return (
      <Stack $gap={16}>
        <Now>All done, and everything put back.</Now>
        <Totals run={run} netL={netL} nameOf={nameOf} />
        {unkept && <UnkeptNote unkept={unkept} />}
        <Big ref={big} isDisabled={busy} onPress={() => void finish()}>
          Close it
        </Big>
        <Line>
          <PlainButton isDisabled={busy} onPress={() => void back()}>
            back: take the last press back
          </PlainButton>
        </Line>
      </Stack>
    )

  const step = next.item as ProcedureStep
  const records = recordsOf(next)
  const textOf = (record: StepRecord) => {
    const typed = values[`${keyOf(next)} ${record.id}`] ?? ''
    return typed === '' && record.begins !== undefined ? String(record.begins) : typed
  }
  const typed = records.flatMap((record) => {
    const value = numberIn(textOf(record))
    const kept = value === null ? NaN : toKept(value, record.unit, settings.units)
    return Number.isFinite(kept) && kept >= 0 ? [{ id: record.id, value: kept }] : []
  })
  const isBeginning = next.timer !== null && next.state === 'open'
  const refusal = isBeginning ? null : refusalOf(run, next, typed, { netL, units: settings.units, now })
  const missing = isBeginning ? [] : missingFigures(next, typed)
  const place = run.occasions.filter((one) => one.place === next.place)
  const why = (values['why'] ?? '').trim()
  const amount = next.item.amount ? amountOf(next.item.amount, input) : null
  return (
    <Stack $gap={16}>
      <BenchClocks clocks={run.clocks} now={now} nameOf={nameOf} onEnd={(clock) => setEarly(clockKey(clock))} />
      {over.map((words) => (
        <Loud key={words} $tone="act" role="alert">
          {words}
        </Loud>
      ))}
      <Quiet>
        {PLACES[next.place]} {place.indexOf(next) + 1} of {place.length}
      </Quiet>
      {next.item.caution && <Bar $tone="act">{next.item.caution}</Bar>}
      {next.subjectId !== null && <p style={{ fontSize: 22, fontWeight: 650 }}>{nameOf(next.subjectId)}</p>}
      <Now>{next.title}</Now>
      {amount && (
        <p>
          <Figure $size={44}>{measureText(amount.value, amount.unit, settings.units, 3)}</Figure>{' '}
          <Quiet>{amount.words}</Quiet>
        </p>
      )}
      {next.place === 'step' && step.why && <Small>{step.why}</Small>}
      {!isBeginning && (
        <RecordFields
          records={records}
          textOf={textOf}
          onText={(record, text) => change(`${keyOf(next)} ${record.id}`, text)}
          limits={input}
          spent={(record, limit) => spentOf(run, record, limit, next.subjectId)}
        />
      )}
      {refusal && (
        <Loud $tone="act" role="alert">
          {refusal.words}
        </Loud>
      )}
      {(skipping || refusal?.passes === 'reason') && (
        <Stack $gap={8}>
          <label htmlFor="bench-why">Reason for continuing anyway</label>
          <Why
            id="bench-why"
            maxLength={WORDS_LETTERS}
            value={values['why'] ?? ''}
            onChange={(event) => change('why', event.target.value)}
          />
        </Stack>
      )}
      {unkept && <UnkeptNote unkept={unkept} />}
      <Big
        ref={big}
        isDisabled={
          busy || isTurning || missing.length > 0 || (refusal !== null && (refusal.passes === null || why === ''))
        }
        onPress={() =>
          void mark(next, isBeginning ? 'begun' : 'done', {
            ...(typed.length > 0 && !isBeginning && { values: typed }),
            ...(refusal && why !== '' && { why }),
          })
        }
      >
        {isBeginning ? `Start ${next.timer!.minutes} min` : 'Done, next'}
      </Big>
      <Line style={{ gap: '0 22px' }}>
        {run.lastMark && (
          <PlainButton isDisabled={busy} onPress={() => void back()}>
            back
          </PlainButton>
        )}
        {next.place === 'before' && (next.item as ChecklistItem).switches && (
          <PlainButton isDisabled={busy} onPress={() => void mark(next, 'skipped', { why: 'not at this tank' })}>
            not at this tank
          </PlainButton>
        )}
        {skipping ? (
          <PlainButton isDisabled={busy || why === ''} onPress={() => void mark(next, 'skipped', { why })}>
            leave this out
          </PlainButton>
        ) : (
          <PlainButton onPress={() => setSkipping(true)}>cannot be done</PlainButton>
        )}
        {next.place !== 'after' && (
          <PlainButton isDisabled={busy} onPress={() => void stopSteps(run, keep)}>
            stop here, put everything back
          </PlainButton>
        )}
      </Line>
      <RunTools run={run} nameOf={nameOf} what={photoWords(run, next, nameOf)} />
    </Stack>
  )
}

const photoWords = ({ procedure }: BenchRun, { subjectId, title }: FollowedOccasion, nameOf: (id: string) => string) =>
  [procedure.name, ...(subjectId === null ? [] : [nameOf(subjectId)]), title].join(', ')

const clockKey = ({ step, subjectId }: BenchClock) => `${step ?? ''} ${subjectId ?? ''}`

/** How a mark names the subject that it is of. */
const markOf = ({ start }: BenchRun, { subjectId }: FollowedOccasion) =>
  subjectId === null ? {} : start.animalIds?.includes(subjectId) ? { animalId: subjectId } : { partId: subjectId }

/** What rings now: timers that ran out, limits that come near, and each dip of a rock that is kept wet. */
function ringing(clocks: readonly BenchClock[], now: number): string | null {
  const due = clocks.flatMap(({ label, subjectId, begunAt, ringsAt, wetEveryMinutes }) => {
    const name = `${label} ${subjectId} ${begunAt}`
    const dips = wetEveryMinutes === null ? 0 : Math.floor((now - begunAt) / (wetEveryMinutes * MS_PER_MINUTE))
    return [...(now >= ringsAt ? [name] : []), ...(dips > 0 ? [`${name} dip ${dips}`] : [])]
  })
  return due.length === 0 ? null : due.join()
}

/** Wherever nothing is typed, the space bar presses the big button. */
function useSpaceBar(big: React.RefObject<HTMLButtonElement | null>) {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement
      if (event.key !== ' ' || event.repeat || /^(INPUT|TEXTAREA|SELECT|BUTTON|A)$/.test(target.tagName)) return
      event.preventDefault()
      big.current?.click()
    }
    document.addEventListener('keydown', press)
    return () => document.removeEventListener('keydown', press)
  }, [big])
}

/** Whether what is shown has just turned by itself: a timer ran out. */
function useTurned(shown: string): [boolean, () => void] {
  const before = useRef(shown)
  const pressedAt = useRef(-Infinity)
  const [isTurning, setTurning] = useState(false)
  useEffect(() => {
    if (before.current === shown) return
    before.current = shown
    if (performance.now() - pressedAt.current < PRESS_SHOWS_MS) return
    setTurning(true)
    const timer = setTimeout(() => setTurning(false), TURNED_MS)
    return () => clearTimeout(timer)
  }, [shown])
  return [isTurning, () => (pressedAt.current = performance.now())]
}

/** Leaves out what is not needed to be safe, so that what was put off is put back next. */
const stopSteps = (run: BenchRun, keep: (contents: readonly Content[]) => Promise<unknown>) =>
  keep(
    [...stepsToLeave(run), ...run.occasions.filter((one) => one.place === 'before' && isOpen(one))].map((one) => ({
      kind: 'bench-mark' as const,
      happened: iso(thisInstant()),
      benchId: run.id,
      step: one.step,
      state: 'skipped' as const,
      why: 'stopped here',
      ...markOf(run, one),
    })),
  )
