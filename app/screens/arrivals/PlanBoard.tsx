import { useDeferredValue, useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { styled } from 'styled-components'
import type { ContainerPlan } from '../../../core/acclimation/together.ts'
import type { Way } from '../../../core/acclimation/ways.ts'
import { bagField, readBagForm, type BagContext, type BagReading } from '../../../core/arrivals/bag-form.ts'
import { WAY_NAMES } from '../../../core/arrivals/step-words.ts'
import type { Content, ContentOf } from '../../../core/journal/entry.ts'
import { timeOf } from '../../../core/time/words.ts'
import { iso, MS_PER_MINUTE } from '../../../core/time/zone.ts'
import { allowSound } from '../../arrivals/ring.ts'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { newId } from '../../journal/opened.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PrimaryButton } from '../../look/buttons.ts'
import { Bar, Figure, Heading, Line, Small, Stack } from '../../look/text.ts'
import { useIsPhone } from '../../look/useWidth.ts'
import { listed } from '../../words/numbers.ts'
import { parameterValue, quantityText } from '../../words/quantities.ts'
import { BagFields } from './BagFields.tsx'
import { useDraft } from './draft.ts'
import { useComparison } from './useComparison.ts'
import { matchingSwap, wayFigure } from './way-words.ts'
import { Ways } from './Ways.tsx'

const Layout = styled.div`
  display: grid;
  grid-template-columns: 308px minmax(0, 1fr);
  gap: 28px 36px;
  align-items: start;
  @media (max-width: 899px) {
    grid-template-columns: minmax(0, 1fr);
  }
`

const Reasons = styled.ul`
  font-size: 15px;
  line-height: 1.4;
  color: var(--ink);
  li {
    padding-left: 16px;
    text-indent: -16px;
  }
  li::before {
    content: '–';
    display: inline-block;
    width: 16px;
    text-indent: 0;
    color: var(--quiet);
  }
`

const Tick = styled.label`
  display: flex;
  gap: 10px;
  align-items: flex-start;
  min-height: 44px;
  padding-top: 8px;
  cursor: pointer;
  line-height: 1.35;
  input {
    width: 20px;
    height: 20px;
    margin: 1px 0 0;
    flex: none;
    accent-color: var(--second);
  }
`

const Advised = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.15fr);
  gap: 6px 32px;
  align-items: start;
  @media (max-width: 759px) {
    grid-template-columns: minmax(0, 1fr);
  }
`

const Waiting = styled.div`
  border-top: 1.5px solid var(--ink);
  padding: 18px 0;
  color: var(--quiet);
`

type RunAnimal = ContentOf<'acclimation-start'>['animals'][number]

/** Everything a plan's page needs to know of who goes where. */
export interface PlanSource {
  context: BagContext
  /** As the run keeps them. */
  animals: readonly RunAnimal[]
  source: string | null
  /** Names what is typed, so that a reload finds it. */
  draft: string
}

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
  const answer = useComparison(good.question)
  // The keys come first: the curves are drawn when no frame waits for them.
  const plan = useDeferredValue(answer.plan)
  const isBehind = answer.isBehind || plan !== answer.plan
  const { refusal } = answer
  const type = (id: string, value: string) => {
    setTouched((before) => (before.has(id) ? before : new Set([...before, id])))
    change(id, value)
  }
  const fields = (part: 'bag' | 'rest' | 'all') => (
    <BagFields values={values} context={context} read={read} touched={touched} onChange={type} part={part} />
  )
  const isWaitingFor = context.animals.filter(({ id }) => (values[bagField(id, 'litres')] ?? '') === '')
  return (
    <Layout>
      {!isPhone && fields('all')}
      <Stack $gap={22}>
        {isPhone && fields('bag')}
        {plan && good.question ? (
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
              plan={plan}
              isBehind={isBehind || read.question === null}
              onStarted={forget}
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
                ? `How many litres are round ${listed(isWaitingFor.map(({ name }) => name))}? Hours and litres are enough to begin; what nobody has measured is assumed, and says so.`
                : 'Hours and litres are enough to begin.'}
          </Waiting>
        )}
        {isPhone && fields('rest')}
      </Stack>
    </Layout>
  )
}

interface ContainersProps {
  source: PlanSource
  read: BagReading
  plan: NonNullable<ReturnType<typeof useComparison>['plan']>
  isBehind: boolean
  onStarted: () => void
}

/** One container or two: which, why, and for each the advice and the ways. */
function Containers({ source, read, plan, isBehind, onStarted }: ContainersProps) {
  const { settings } = useHousehold()
  const now = useNow()
  const navigate = useNavigate()
  const { keep, busy, unkept } = useKeeping()
  const { containers, why } = plan
  const [picked, setPicked] = useState<Readonly<Record<string, Way['kind']>>>({})
  const [wait, setWait] = useState(0)
  const [knows, setKnows] = useState(false)
  const [isMatched, setIsMatched] = useState(false)
  const question = read.question!
  const wayOf = (container: ContainerPlan): Way => {
    const { ways } = container.comparison
    return ways.find(({ kind }) => kind === picked[container.ids.join(' ')]) ?? ways[0]!
  }
  const chosen = containers.map((container) => ({ container, way: wayOf(container) }))
  const broken = chosen.flatMap(({ way }) => way.broken.map(({ words }) => words))
  const toMatch = chosen.find(({ way }) => way.kind === 'match-and-release')
  const start = async () => {
    allowSound()
    const runs = chosen.map(({ container, way }) => startContents(source, read, container, way, thisInstant()))
    const kept = await keep(runs.flatMap(({ contents }) => contents))
    if (!kept) return
    onStarted()
    void navigate(`/arrivals/run/${runs[0]!.runId}`)
  }
  const names = (ids: readonly string[]) =>
    listed(ids.map((id) => source.context.animals.find((animal) => animal.id === id)?.name ?? id))
  const isAssumed = source.context.animals.some(({ id }) => bagField(id, 'salinityPsu') in read.assumed)
  const mustAsk = (broken.length > 0 && !knows) || (toMatch !== undefined && !isMatched)
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
      {chosen.map(({ container, way }) => (
        <Advice
          key={container.ids.join(' ')}
          title={containers.length > 1 ? names(container.ids) : null}
          container={container}
          way={way}
          source={source}
          question={question}
        />
      ))}
      <Stack $gap={10}>
        {isAssumed && source.context.tank.water === 'marine' && !source.context.from && (
          <Bar $tone="soon">
            The bag’s salinity is assumed, and it decides more than anything else. Measure it as soon as the bag is
            open: the run asks for it, and says if another way is better then.
          </Bar>
        )}
        {toMatch && (
          <MatchTank
            source={source}
            container={toMatch.container}
            question={question}
            isDone={isMatched}
            onDone={setIsMatched}
          />
        )}
        {broken.length > 0 && (
          <Tick>
            <input type="checkbox" checked={knows} onChange={(event) => setKnows(event.target.checked)} />
            <span>
              I know that this way does not keep all limits: {broken.join('; ')}. It is written into the journal.
            </span>
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
      {chosen.map(({ container, way }) => {
        const key = container.ids.join(' ')
        return (
          <section key={key} aria-label={containers.length > 1 ? `Ways for ${names(container.ids)}` : 'Ways'}>
            {containers.length > 1 && <Heading as="h2">{names(container.ids)}</Heading>}
            <Ways
              container={container}
              question={question}
              picked={way.kind}
              onPick={(kind) => setPicked((before) => ({ ...before, [key]: kind }))}
              wait={wait}
              onWait={setWait}
              isBehind={isBehind}
            />
          </section>
        )
      })}
    </Stack>
  )
}

/** What is advised, in words with its reasons; the number that is acted on the largest. */
function Advice({
  title,
  container: { comparison },
  way,
  source,
  question,
}: {
  title: string | null
  container: ContainerPlan
  way: Way
  source: PlanSource
  question: NonNullable<BagReading['question']>
}) {
  const { figure, how } = wayFigure(way)
  const { advised, reasons, keptWarm } = comparison
  const isAdvised = way.kind === advised
  const swap =
    way.kind === 'match-and-release'
      ? matchingSwap(source.context.tank.volume?.netL ?? null, question.tank, question.animals[0]!.bag.salinityPsu)
      : null
  return (
    <section aria-label={title ? `Advice for ${title}` : 'Advice'}>
      <Stack $gap={8}>
        {title && <h2 style={{ fontSize: 19 }}>{title}</h2>}
        {advised === null ? (
          <Bar $tone="act">
            No way keeps all its limits.{' '}
            {keptWarm && 'Kept warm by a float collar or warm packs, it could be mixed: tick it.'}
          </Bar>
        ) : null}
        <Advised>
          <div>
            <Small as="span" style={{ fontSize: 15 }}>
              {isAdvised ? 'Advised: ' : advised === null ? 'Chosen: ' : 'Chosen against the advice: '}
              {WAY_NAMES[way.kind].toLowerCase()}
            </Small>
            <div>
              <Figure $size={40}>
                {swap && swap.withWhat === 'fresh' ? `${Number(swap.litres.toPrecision(3))} L` : figure}
              </Figure>
            </div>
            <div style={{ fontSize: 17, lineHeight: 1.35 }}>
              {swap && swap.withWhat === 'fresh'
                ? `of ${source.context.tank.name} swapped for fresh water first; then ${way.moveAt} minutes afloat, opened and across at once`
                : how}
            </div>
          </div>
          <Reasons aria-label="Reasons">
            {reasons.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
          </Reasons>
        </Advised>
      </Stack>
    </section>
  )
}

/** Setting the tank to the bag before the bag is opened: how much, and that it is done. */
function MatchTank({
  source,
  container,
  question,
  isDone,
  onDone,
}: {
  source: PlanSource
  container: ContainerPlan
  question: NonNullable<BagReading['question']>
  isDone: boolean
  onDone: (done: boolean) => void
}) {
  const { settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const { tank } = source.context
  const target = container.bag.salinityPsu
  const said = quantityText(parameterValue('salinity', target, settings.units))
  const swap = matchingSwap(tank.volume?.netL ?? null, question.tank, target)
  const log = async () => {
    const happened = iso(thisInstant())
    const contents: Content[] = [
      { kind: 'water-change', happened, tankId: tank.id, litres: swap!.litres, replacement: { salinityPsu: 0 } },
    ]
    await keep(contents)
  }
  if (tank.water === 'freshwater')
    return (
      <Tick>
        <input type="checkbox" checked={isDone} onChange={(event) => onDone(event.target.checked)} />
        <span>
          {tank.name} has the bag’s hardness and pH now, as far as they can be matched, and was measured after it.
        </span>
      </Tick>
    )
  return (
    <Stack $gap={8}>
      {swap && (
        <Bar $tone="soon">
          {swap.withWhat === 'fresh'
            ? `Swap ${Number(swap.litres.toPrecision(3))} L of ${tank.name} for fresh water: dechlorinated, at the tank’s warmth, in slowly, with the bacteria’s sponge kept wet. Measure it after a quarter of an hour of flow.`
            : `Raise ${tank.name} by ${swap.apart.toFixed(1)} psu with mixed salt water before the animal is in; dry salt never with an animal in the water.`}{' '}
          Afterwards it goes back up by one or two psu a day at most.
        </Bar>
      )}
      {swap?.withWhat === 'fresh' && (
        <div>
          <Button onPress={() => void log()} isDisabled={busy}>
            Log the swap of {Number(swap.litres.toPrecision(3))} L
          </Button>
        </div>
      )}
      {unkept && <UnkeptNote unkept={unkept} />}
      <Tick>
        <input type="checkbox" checked={isDone} onChange={(event) => onDone(event.target.checked)} />
        <span>
          {tank.name} stands at {said} now, measured with the instrument that will measure the bag.
        </span>
      </Tick>
    </Stack>
  )
}

/** A run as it begins: what it rests on, how it goes, and, between own tanks, that it is open from the start. */
function startContents(
  { context, animals, source }: PlanSource,
  read: BagReading,
  container: ContainerPlan,
  way: Way,
  now: number,
): { runId: string; contents: Content[] } {
  const question = read.question!
  const runId = newId()
  const happened = iso(now)
  const start: ContentOf<'acclimation-start'> = {
    kind: 'acclimation-start',
    happened,
    runId,
    tankId: context.tank.id,
    ...(context.from && { fromTankId: context.from.tank.id }),
    animals: animals.filter(({ animalId }) => container.ids.includes(animalId)),
    way: way.kind,
    ...(way.method && { method: way.method }),
    setting: {
      bag: container.bag,
      tank: question.tank,
      container: question.container,
      room: question.room,
      float: question.float,
      ...(question.gasExchangePerHour !== undefined && { gasExchangePerHour: question.gasExchangePerHour }),
    },
    limits: container.limits,
    shippingHours: question.shippingHours,
    ...(source !== null && { source }),
    assumed: Object.keys(read.assumed).map((id) => id.slice(-40)),
    ...(way.broken.length > 0 && { knowing: way.broken.map(({ words }) => words).join('; ') }),
  }
  const opened: Content[] =
    question.float.minutes === 0 ? [{ kind: 'acclimation-event', happened, runId, event: 'opened' }] : []
  return { runId, contents: [start, ...opened] }
}
