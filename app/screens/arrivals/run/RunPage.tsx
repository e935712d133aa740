import { WORDS_LETTERS } from '../../../../core/journal/contents/text-limits.ts'
import { useEffect, useMemo, useRef, useState } from 'react'
import { Link } from 'react-aria-components'
import { useParams } from 'react-router'
import { styled } from 'styled-components'
import { offWords } from '../../../../core/arrivals/run/release.ts'
import { runNow } from '../../../../core/arrivals/run/run-now.ts'
import { runWarnings } from '../../../../core/arrivals/run/run-warnings.ts'
import { instantOf, liveRuns, minuteOf, runById, runLabel, type Run } from '../../../../core/arrivals/run/runs.ts'
import { methodWords, stepWords } from '../../../../core/arrivals/run/step-words.ts'
import type { Followed, NextStep } from '../../../../core/acclimation/follow.ts'
import type { Content, ContentOf } from '../../../../core/journal/entry.ts'
import { clockText, timeOf } from '../../../../core/time/words.ts'
import { iso } from '../../../../core/time/zone.ts'
import { allowSound } from '../../../arrivals/ring.ts'
import { useAwake } from '../../../arrivals/useAwake.ts'
import { useRing } from '../../../arrivals/useRing.ts'
import { useSecond } from '../../../arrivals/useSecond.ts'
import { isTyping } from '../../../frame/shortcuts.ts'
import { thisInstant } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button, PlainButton } from '../../../look/buttons.ts'
import { Page } from '../../../look/page.ts'
import { Bar, Figure, Line, Small, Stack, Title } from '../../../look/text.ts'
import { tankName } from '../../../words/entries.ts'
import { capital } from '../../../../core/words/numbers.ts'
import { EndedRun } from './EndedRun.tsx'
import { OtherWays } from '../ways/OtherWays.tsx'
import { Release } from './Release.tsx'
import { RunDevices } from './RunDevices.tsx'
import { RunMeasure } from './RunMeasure.tsx'
import { RunState } from './RunState.tsx'

/** On a phone the water stands straight under what is done to it; what the device can and cannot do comes last. */
const Layout = styled.div`
  display: grid;
  grid-template: 'act water' auto 'device water' 1fr / minmax(0, 1fr) minmax(0, 1.05fr);
  gap: 24px 48px;
  align-items: start;
  @media (max-width: 899px) {
    grid-template: 'act' 'water' 'device' / minmax(0, 1fr);
  }
`

const Clock = styled.div<{ $late: boolean }>`
  font-family: var(--mono);
  font-size: clamp(64px, 17vw, 116px);
  line-height: 1;
  font-weight: 600;
  letter-spacing: -0.03em;
  ${({ $late }) => $late && 'color: var(--act);'}
`

/** Filled once its minute has come; before it in outline: it can be pressed, but nothing asks for it. */
const Big = styled.button<{ $isDue: boolean }>`
  width: 100%;
  min-height: 92px;
  border: 2px solid var(--second);
  border-radius: 2px;
  background: ${({ $isDue }) => ($isDue ? 'var(--second)' : 'none')};
  color: ${({ $isDue }) => ($isDue ? 'var(--on-second)' : 'var(--second)')};
  font-size: 24px;
  font-weight: 700;
  cursor: pointer;
  touch-action: manipulation;
  &:disabled {
    background: none;
    color: var(--quiet);
    border: 1.5px solid var(--strong-rule);
    cursor: default;
  }
`

const Others = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  padding: 8px 0;
  border-top: 1px dotted var(--strong-rule);
  border-bottom: 1px dotted var(--strong-rule);
`

/** A run, live: the next thing to do and when, for wet hands. It lives in the journal: a reload goes on where it was. */
export function RunPage() {
  const { runId = '' } = useParams()
  const { journal } = useHousehold()
  const run = runById(journal, runId)
  if (!run)
    return (
      <Page>
        <Title>No such run</Title>
        <Small>The journal holds none of this name: it may be in the other household.</Small>
      </Page>
    )
  return run.ended ? <EndedRun run={run} /> : <LiveRun key={run.id} run={run} />
}

/** How a run stands: worked out again every ten seconds, and with each entry. */
function useFollowed(run: Run, now: number): Followed {
  const tick = Math.floor(now / 10_000)
  // eslint-disable-next-line react-hooks/exhaustive-deps -- to the tick: the clock itself runs on by the second
  return useMemo(() => runNow(run, thisInstant()), [run, tick])
}

/** Nobody pours, opens or sets a drip twice within this. */
const SLIP_MS = 700

/** What a press of the big button keeps. */
function stepContent(run: Run, next: NextStep): ContentOf<'acclimation-event'> | null {
  const happened = iso(thisInstant())
  const event = (rest: Omit<ContentOf<'acclimation-event'>, 'kind' | 'happened' | 'runId'>) => ({
    kind: 'acclimation-event' as const,
    happened,
    runId: run.id,
    ...rest,
  })
  const { method } = run.setup
  switch (next.kind) {
    case 'open':
      return event({ event: 'opened' })
    case 'scoop':
      return event({ event: 'scoop', litres: next.litres! })
    case 'pour-off':
      return event({ event: 'pour-off', litres: next.toL! })
    case 'start-drip':
      return method?.kind === 'drip' ? event({ event: 'drip', mlPerMinute: method.mlPerMinute }) : null
    case 'measure':
    case 'choose':
    case 'move':
      return null
  }
}

function LiveRun({ run }: { run: Run }) {
  const { journal, settings, strike } = useHousehold()
  const { keep, run: runKeeping, busy, unkept } = useKeeping()
  const now = useSecond()
  const followed = useFollowed(run, now)
  const [isReleasing, setReleasing] = useState(false)
  const head = useRef<HTMLDivElement>(null)
  const otherWays = useRef<HTMLDivElement>(null)
  const measureField = useRef<HTMLDivElement>(null)
  const { next, readyAt } = followed
  const due = instantOf(run, next.minute)
  const isDue = now >= due
  const words = stepWords(next, run.setup.method, isDue, settings.units)
  const isNow = isDue && (next.kind === 'move' || next.kind === 'measure' || next.kind === 'choose')
  const warnings = runWarnings(run, followed, now, settings)
  const awake = useAwake()
  useRing(isDue && !isReleasing ? `${run.id} ${next.kind} ${run.happenings.length}` : null)
  // The last thing done, to be taken back after a slip of a wet finger.
  const last = journal
    .about(`run:${run.id}`)
    .findLast(({ content: one, struck }) => !struck && one.kind === 'acclimation-event' && one.event !== 'step')
  const content = stepContent(run, next)
  const press = async () => {
    allowSound()
    if (next.kind === 'move') return setReleasing(true)
    if (next.kind === 'choose') return otherWays.current?.scrollIntoView({ behavior: 'smooth' })
    if (next.kind === 'measure') return measureField.current?.querySelector('input')?.focus()
    // A wet finger taps twice: what the first tap did not ask for is not done by the second.
    if (content && !(last && thisInstant() - last.at < SLIP_MS)) await keep([content])
  }
  const pressed = useRef(press)
  useEffect(() => {
    pressed.current = press
  })
  useEffect(() => {
    // The space bar is the big button, wherever the focus is not on something of its own.
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== ' ' || event.repeat || isTyping(event.target)) return
      if (event.target instanceof HTMLElement && event.target.closest('button, a, summary, [role=slider]')) return
      event.preventDefault()
      void pressed.current()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
  const others = liveRuns(journal).filter(({ id }) => id !== run.id)
  const isFloating = followed.openedAt === null
  return (
    <Page>
      <Stack $gap={18}>
        <div ref={head}>
          <Title>{capital(runLabel(run))}</Title>
          <Small style={{ fontSize: 15 }}>
            to {tankName(journal, run.start.tankId)}, since {timeOf(run.startedAt, settings.clock)}, minute{' '}
            {Math.floor(minuteOf(run, now))}
            {run.setup.method && `; ${methodWords(run.setup.method, settings.units)}`}
          </Small>
        </div>
        {others.length > 0 && (
          <Others aria-label="Running beside it" role="group">
            {others.map((other) => (
              <OtherRun key={other.id} run={other} now={now} />
            ))}
          </Others>
        )}
        {warnings
          // What is still off stands with the steps across by itself.
          .filter(({ id }) => !isReleasing || id !== 'never')
          .map(({ id, tone, text }) => (
            <Bar key={id} $tone={tone} role="status">
              {text}
            </Bar>
          ))}
        {isReleasing ? (
          <Release run={run} followed={followed} onBack={() => setReleasing(false)} />
        ) : (
          <Layout>
            <Stack $gap={16} style={{ gridArea: 'act' }}>
              <section aria-label="Next">
                <Small style={{ fontSize: 17, color: 'var(--ink)' }}>{words.title}</Small>
                <Figure $size={40} style={{ whiteSpace: 'normal' }}>
                  {words.figure}
                </Figure>
                <Clock $late={isDue && !isNow} role="timer" data-due={isDue}>
                  {isNow ? 'now' : clockText(due - now)}
                </Clock>
                <Small style={{ fontSize: 15 }}>
                  {next.kind === 'move' || next.kind === 'choose'
                    ? followed.off.length > 0
                      ? 'not near enough: see above'
                      : followed.isMeasured
                        ? 'near enough, measured'
                        : 'near enough, by the figures of the plan'
                    : isNow
                      ? 'salinity and temperature, with the instruments that measured the tank'
                      : isDue
                        ? `due since ${timeOf(due, settings.clock)}`
                        : `at ${timeOf(due, settings.clock)}`}
                </Small>
              </section>
              <Big
                $isDue={isDue}
                type="button"
                onClick={() => void press()}
                disabled={busy}
                data-next={next.kind}
                data-step={run.happenings.length}
                aria-keyshortcuts="Space"
              >
                {words.done}
              </Big>
              {unkept && <UnkeptNote unkept={unkept} />}
              <Line $gap={18} style={{ rowGap: 0 }}>
                {last && (
                  <PlainButton onPress={() => void runKeeping(() => strike(last.id, 'taken back in the run'))}>
                    take the last step back
                  </PlainButton>
                )}
                {next.kind !== 'move' && !isFloating && (
                  <PlainButton onPress={() => setReleasing(true)}>across now all the same</PlainButton>
                )}
                <StopRun run={run} />
              </Line>
              {!isFloating && (
                <div ref={measureField}>
                  <RunMeasure
                    run={run}
                    // What it changes stands at the top of a phone's page, above what was typed.
                    onLogged={() => head.current?.scrollIntoView({ block: 'nearest' })}
                    isAsked={(isNow && next.kind === 'measure') || followed.measured.length === 0}
                  />
                </div>
              )}
            </Stack>
            <Stack $gap={18} style={{ gridArea: 'water' }}>
              <RunState run={run} followed={followed} now={now} />
              {readyAt !== null && followed.off.length > 0 && !isFloating && (
                <Small style={{ fontSize: 15 }}>Still off: {offWords(followed.off, settings.units)}.</Small>
              )}
              {!isFloating && (
                <div ref={otherWays}>
                  <OtherWays run={run} followed={followed} isAsked={warnings.some(({ isWayWrong }) => isWayWrong)} />
                </div>
              )}
            </Stack>
            <RunDevices run={run} awake={awake} />
          </Layout>
        )}
      </Stack>
    </Page>
  )
}

/** Another container under way: when it wants a hand. */
function OtherRun({ run, now }: { run: Run; now: number }) {
  const { next } = useFollowed(run, now)
  const due = instantOf(run, next.minute)
  const { figure } = stepWords(next, run.setup.method)
  useRing(now >= due ? `${run.id} ${next.kind} ${run.happenings.length}` : null)
  return (
    <Link href={`/arrivals/run/${run.id}`}>
      {runLabel(run)}: {figure}, {now >= due ? `due since ${clockText(now - due)}` : `in ${clockText(due - now)}`}
    </Link>
  )
}

/** Ends a run that does not lead into the tank. */
function StopRun({ run }: { run: Run }) {
  const { keep, busy } = useKeeping()
  const [asking, setAsking] = useState(false)
  const [why, setWhy] = useState('')
  if (!asking) return <PlainButton onPress={() => setAsking(true)}>stop the run</PlainButton>
  const stop = (): Promise<unknown> => {
    const end: Content = {
      kind: 'acclimation-end',
      happened: iso(thisInstant()),
      runId: run.id,
      tankId: run.start.tankId,
      outcome: 'stopped',
      ...(why.trim() && { why: why.trim() }),
    }
    return keep([end])
  }
  return (
    <Line>
      <label>
        <Small as="span">Why it stops</Small>{' '}
        <input
          value={why}
          maxLength={WORDS_LETTERS}
          onChange={(event) => setWhy(event.target.value)}
          style={{ minHeight: 44, padding: '6px 10px', font: 'inherit' }}
        />
      </label>
      <Button onPress={() => void stop()} isDisabled={busy}>
        Stop it: nobody goes across
      </Button>
      <PlainButton onPress={() => setAsking(false)}>go on</PlainButton>
    </Line>
  )
}
