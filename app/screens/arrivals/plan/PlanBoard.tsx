import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { styled } from 'styled-components'
import type { ContainerPlan } from '../../../../core/acclimation/together.ts'
import type { Way } from '../../../../core/acclimation/ways.ts'
import { bagField, readBagForm, tankField, type BagReading } from '../../../../core/arrivals/box/bag-form.ts'
import { matchedReading, swappedUnread } from '../../../../core/arrivals/matching.ts'
import { newcomerWaterConcerns } from '../../../../core/arrivals/box/newcomer-concerns.ts'
import { runStarted } from '../../../../core/arrivals/run/start.ts'
import { timeOf } from '../../../../core/time/words.ts'
import { MS_PER_MINUTE } from '../../../../core/time/zone.ts'
import { allowSound } from '../../../arrivals/ring.ts'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { newId } from '../../../journal/opened.ts'
import { useHousehold } from '../../../journal/provider.tsx'
import { PrimaryButton } from '../../../look/buttons.ts'
import { Bar, Heading, Line, Small, Stack } from '../../../look/text.ts'
import { useIsPhone } from '../../../look/useWidth.ts'
import { listed } from '../../../../core/words/numbers.ts'
import { Advice } from '../ways/Advice.tsx'
import { BagFields } from './BagFields.tsx'
import { useDraft } from '../../../fields/draft.ts'
import { MatchTank } from './MatchTank.tsx'
import { Tick } from './Tick.ts'
import type { PlanSource } from './plan-source.ts'
import { useComparison, type Answered } from '../ways/useComparison.ts'
import { LikelyBags } from '../ways/LikelyBags.tsx'
import { Ways } from '../ways/Ways.tsx'

const Layout = styled.div`
  display: grid;
  grid-template-columns: 308px minmax(0, 1fr);
  gap: 28px 36px;
  align-items: start;
  @media (max-width: 899px) {
    grid-template-columns: minmax(0, 1fr);
  }
`

const Waiting = styled.div`
  border-top: 1.5px solid var(--ink);
  padding: 18px 0;
  color: var(--quiet);
`

/** What is out of sight is neither laid out nor painted with each key. */
const Answer = styled.section`
  content-visibility: auto;
  contain-intrinsic-size: auto 620px;
  &[data-late] {
    opacity: 0.55;
  }
`

/** An answer that comes sooner than this replaces the old one without dimming it first. */
const LATE_MS = 250

/** Whether something has been so for longer than an eye would call at once. */
function useLate(isSo: boolean): boolean {
  const [isLate, setIsLate] = useState(false)
  useEffect(() => {
    if (!isSo) return
    const timer = setTimeout(() => setIsLate(true), LATE_MS)
    return () => {
      clearTimeout(timer)
      setIsLate(false)
    }
  }, [isSo])
  return isLate
}

const enough = ({ context }: PlanSource) =>
  context.from ? 'Litres are enough to begin' : 'Hours and litres are enough to begin'

/** From the bag to the tank: figures in, the ways side by side, the advice with its reasons, and the float begun. */
export function PlanBoard({ source }: { source: PlanSource }) {
  const isPhone = useIsPhone()
  const { which } = useHousehold()
  const [values, change, forget] = useDraft(`plan-${which}-${source.draft}`)
  const [touched, setTouched] = useState<ReadonlySet<string>>(new Set())
  const { context } = source
  const read = useMemo(() => readBagForm(values, context), [values, context])
  // What is typed wrong leaves the last good plan where it was, dimmed.
  const [good, setGood] = useState(read)
  if (read.question !== null && read !== good) setGood(read)
  const { answered, refusal, ...asked } = useComparison(good.question)
  // The keys come first: the curves are drawn when no frame waits for them.
  const shown = useDeferredValue(answered)
  const isBehind = asked.isBehind || shown !== answered
  const type = useCallback(
    (id: string, value: string) => {
      setTouched((before) => (before.has(id) ? before : new Set([...before, id])))
      change(id, value)
    },
    [change],
  )
  const fields = (part: 'bag' | 'rest' | 'all') => (
    <BagFields values={values} context={context} read={read} touched={touched} onChange={type} part={part} />
  )
  const isWaitingFor = context.animals.filter(({ id }) => (values[bagField(id, 'litres')] ?? '') === '')
  return (
    <Layout>
      {!isPhone && fields('all')}
      <Stack $gap={22}>
        <WaterConcerns source={source} />
        {isPhone && fields('bag')}
        {shown && good.question ? (
          <>
            {read.question === null && (
              <Bar $tone="act" role="status">
                What was typed last does not fit: what would be right stands beside the field. The plan below is the one
                before it.
              </Bar>
            )}
            <Containers
              source={source}
              read={good}
              answered={shown}
              isBehind={isBehind || read.question === null}
              onStarted={forget}
              onSwapped={() => change(tankField('salinityPsu'), '')}
            />
          </>
        ) : refusal ? (
          <Bar $tone="act" role="status">
            {refusal.message}
          </Bar>
        ) : (
          <Waiting role="status">
            {good.question
              ? 'Working it out …'
              : isWaitingFor.length > 0
                ? `How many litres are round ${listed(isWaitingFor.map(({ name }) => name))}? ${enough(source)}; what nobody has measured is assumed, and says so.`
                : `${enough(source)}.`}
          </Waiting>
        )}
        {isPhone && fields('rest')}
      </Stack>
    </Layout>
  )
}

/** What stands in the tank's water that these animals must not meet, before the bag is opened. */
function WaterConcerns({ source }: { source: PlanSource }) {
  const { journal, revision } = useHousehold()
  const now = useNow()
  const { tank } = source.context
  const concerns = useMemo(
    () => newcomerWaterConcerns(journal, tank.id, source.animals, now),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
    [journal, revision, tank.id, source.animals, now],
  )
  if (concerns.length === 0) return null
  return (
    <Stack $gap={8} role="group" aria-label={`What speaks against ${tank.name}`}>
      {concerns.map(({ words, severity }) => (
        <Bar key={words} $tone={severity === 'never' || severity === 'block' ? 'act' : 'soon'}>
          {words}
        </Bar>
      ))}
    </Stack>
  )
}

interface ContainersProps {
  source: PlanSource
  read: BagReading
  answered: Answered
  isBehind: boolean
  onStarted: () => void
  onSwapped: () => void
}

/** One container or two: which, why, and for each the advice and the ways. */
function Containers({ source, read, answered: { plan, question }, isBehind, onStarted, onSwapped }: ContainersProps) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const navigate = useNavigate()
  const { keep, busy, unkept } = useKeeping()
  const { containers, why } = plan
  const isLate = useLate(isBehind)
  const [picked, setPicked] = useState<Readonly<Record<string, Way['kind']>>>({})
  const [wait, setWait] = useState(0)
  // What was ticked was ticked of these words and of this water: of others it says nothing.
  const [known, setKnown] = useState<string | null>(null)
  const [matchedTo, setMatchedTo] = useState<string | null>(null)
  const pick = useCallback(
    (container: ContainerPlan, kind: Way['kind']) =>
      setPicked((before) => ({ ...before, [container.ids.join(' ')]: kind })),
    [],
  )
  const { tank } = source.context
  const wayOf = (container: ContainerPlan): Way => {
    const { ways } = container.comparison
    return ways.find(({ kind }) => kind === picked[container.ids.join(' ')]) ?? ways[0]!
  }
  const chosen = containers.map((container) => ({ container, way: wayOf(container) }))
  const broken = chosen.flatMap(({ way }) => way.broken.map(({ words }) => words)).join('; ')
  const knows = known === broken
  const toMatch = chosen.find(({ way }) => way.kind === 'match-and-release')?.container
  const bagKey = toMatch ? [toMatch.bag.salinityPsu, toMatch.bag.alkalinityDkh, toMatch.bag.pH].join(' ') : null
  const isMatched = bagKey !== null && matchedTo === bagKey
  // Typed beside the plan, the tank's salinity is known again.
  const unread = read.isTankTyped ? null : swappedUnread(journal, tank.id)
  const start = async () => {
    allowSound()
    const now = thisInstant()
    const runs = chosen.map(({ container, way }) =>
      runStarted({
        ...source,
        from: source.context.from?.tank ?? null,
        tank,
        read,
        container,
        way,
        runId: newId(),
        now,
      }),
    )
    const measured = toMatch ? matchedReading(journal, tank, toMatch.bag.salinityPsu, now) : []
    const kept = await keep([...measured, ...runs.flatMap(({ contents }) => contents)])
    if (!kept) return
    onStarted()
    void navigate(`/arrivals/run/${runs[0]!.runId}`)
  }
  const names = (ids: readonly string[]) =>
    listed(ids.map((id) => source.context.animals.find((animal) => animal.id === id)?.name ?? id))
  const unmeasured = useMemo(
    () =>
      new Set(
        source.context.animals.map(({ id }) => id).filter((id) => read.guessed.includes(bagField(id, 'salinityPsu'))),
      ),
    [source, read],
  )
  const isAssumed = unmeasured.size > 0
  const mustAsk = (broken !== '' && !knows) || (toMatch !== undefined && !isMatched)
  const float = question.float.minutes
  return (
    <Stack $gap={20}>
      {why.length > 0 && (
        <Bar $tone="second">
          {why.map((words) => (
            <div key={words}>{words}</div>
          ))}
        </Bar>
      )}
      {isAssumed && tank.water === 'marine' && !source.context.from && (
        <LikelyBags question={question} unmeasured={unmeasured} names={names} />
      )}
      {chosen.map(({ container, way }) => (
        <Advice
          key={container.ids.join(' ')}
          title={containers.length > 1 ? names(container.ids) : null}
          container={container}
          way={way}
          source={source}
          question={question}
          isSwapped={unread !== null}
          isAssumed={container.ids.some((id) => unmeasured.has(id))}
        />
      ))}
      <Stack $gap={10}>
        {isAssumed && source.context.tank.water === 'marine' && (
          <Bar $tone="soon">
            {source.context.from
              ? `No salinity of ${source.context.from.tank.name} is on record: it is assumed, and it decides more than anything else. Measure it first:`
              : 'The bag’s salinity is assumed, and it decides more than anything else. Measure it as soon as the bag is open:'}{' '}
            the run asks for it, and says if another way is better then.
          </Bar>
        )}
        {toMatch && (
          <MatchTank
            source={source}
            container={toMatch}
            question={question}
            unread={unread}
            isAssumed={toMatch.ids.some((id) => unmeasured.has(id))}
            // What was typed of the tank was measured before this swap.
            onSwapped={onSwapped}
            isDone={isMatched}
            onDone={(done) => setMatchedTo(done ? bagKey : null)}
          />
        )}
        {broken !== '' && (
          <Tick>
            <input
              type="checkbox"
              checked={knows}
              onChange={(event) => setKnown(event.target.checked ? broken : null)}
            />
            <span>I know that this way does not keep all limits: {broken}. It is written into the journal.</span>
          </Tick>
        )}
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <PrimaryButton onPress={() => void start()} isDisabled={busy || isBehind || mustAsk}>
            {float > 0
              ? `Start the float${containers.length > 1 ? 's' : ''}: ${float} minutes`
              : 'Start: it is in the container'}
          </PrimaryButton>
          <Small>
            {float > 0 && `open at ${timeOf(now + float * MS_PER_MINUTE, settings.clock)}, `}
            {chosen
              .map(({ way }) => `across about ${timeOf(now + way.moveAt * MS_PER_MINUTE, settings.clock)}`)
              .join(' and ')}
          </Small>
        </Line>
      </Stack>
      {chosen.map(({ container, way }, i) => (
        // By its place: another split of the box draws new curves in the same columns.
        <Answer
          key={i}
          aria-label={containers.length > 1 ? `Ways for ${names(container.ids)}` : 'Ways'}
          aria-busy={isBehind}
          data-late={isLate || undefined}
        >
          {containers.length > 1 && <Heading as="h2">{names(container.ids)}</Heading>}
          <Ways
            container={container}
            question={question}
            picked={way.kind}
            onPick={pick}
            wait={wait}
            onWait={setWait}
          />
        </Answer>
      ))}
    </Stack>
  )
}
