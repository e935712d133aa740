import { Link } from 'react-aria-components'
import { styled } from 'styled-components'
import { boxesOf, type Box } from '../../../core/arrivals/box/boxes.ts'
import { arrivalsOf, type ArrivalRecord } from '../../../core/arrivals/box/history.ts'
import { INTRODUCTION_WAYS, introductionsOf, keepsShut } from '../../../core/arrivals/introductions/introductions.ts'
import { preparationsFor } from '../../../core/arrivals/box/preparation.ts'
import { runNow } from '../../../core/arrivals/run/run-now.ts'
import { instantOf, liveRuns, runLabel, type Run } from '../../../core/arrivals/run/runs.ts'
import { stepWords } from '../../../core/arrivals/run/step-words.ts'
import { animalLabel } from '../../../core/household/animals.ts'
import { dayAs, momentBeside, spanText, timeOf } from '../../../core/time/words.ts'
import { MS_PER_HOUR } from '../../../core/time/zone.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, ButtonLink } from '../../look/buttons.ts'
import { Page, PageHead } from '../../look/page.ts'
import { Figure, Heading, Line, Quiet, Rows, Small, Stack, Title } from '../../look/text.ts'
import { animalName, newcomerName, tankName } from '../../words/entries.ts'
import { figures, listed, plural } from '../../../core/words/numbers.ts'
import { useState } from 'react'

const Live = styled.section`
  border: 2px solid var(--second);
  border-radius: 2px;
  padding: 14px 18px 16px;
  background: var(--sheet);
  display: flex;
  flex-wrap: wrap;
  gap: 10px 28px;
  align-items: center;
  justify-content: space-between;
`

const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 32px 44px;
  align-items: start;
  @media (max-width: 899px) {
    grid-template-columns: minmax(0, 1fr);
  }
`

const Came = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 15px;
  th {
    text-align: start;
    font-weight: 400;
    font-size: 13.5px;
    color: var(--quiet);
    padding: 4px 10px 4px 0;
  }
  td {
    padding: 8px 10px 8px 0;
    border-top: 1px dotted var(--strong-rule);
    vertical-align: top;
    line-height: 1.3;
  }
`

const SHOWN = 12

/** What is on its way, what is being brought across or together, and how everything came. */
export function Arrivals() {
  const { journal } = useHousehold()
  const now = useNow()
  const boxes = boxesOf(journal)
  const runs = liveRuns(journal)
  const introductions = introductionsOf(journal).filter(({ ended }) => !ended)
  return (
    <Page>
      <PageHead>
        <Title>Arrivals</Title>
        <Line>
          <ButtonLink href="/arrivals/new">Expect a box</ButtonLink>
          <ButtonLink href="/arrivals/between">Between two own tanks</ButtonLink>
          <ButtonLink href="/arrivals/together">Bring animals together</ButtonLink>
        </Line>
      </PageHead>
      <Stack $gap={30}>
        {runs.map((run) => (
          <LiveRun key={run.id} run={run} />
        ))}
        <Two>
          <section aria-label="On the way">
            <Heading>On the way</Heading>
            {boxes.length === 0 ? (
              <Small style={{ paddingTop: 10 }}>
                Nothing is awaited. Announce a box as soon as it is ordered: what has to be ready is checked against the
                journal, and what is missing has a time.
              </Small>
            ) : (
              <Rows>
                {boxes.map((box) => (
                  <li key={box.id}>
                    <Awaited box={box} />
                  </li>
                ))}
              </Rows>
            )}
          </section>
          <section aria-label="Being brought together">
            <Heading>Being brought together</Heading>
            {introductions.length === 0 ? (
              <Small style={{ paddingTop: 10 }}>
                Nobody now. An acclimation box, a neutral tank for two rivals, mild ones as a pair, and feeding training
                begin under “Bring animals together”.
              </Small>
            ) : (
              <Rows>
                {introductions.map((intro) => (
                  <li key={intro.id}>
                    <Link href={`/arrivals/together/${intro.id}`}>
                      {listed(intro.animalIds.map((id) => animalName(journal, id)))}
                    </Link>{' '}
                    <Quiet>
                      {INTRODUCTION_WAYS[intro.way].title.toLowerCase()}, {tankName(journal, intro.tankId)}
                    </Quiet>
                    <IntroductionState shut={keepsShut(intro, now)} isOpen={intro.openedAt !== null} />
                  </li>
                ))}
              </Rows>
            )}
          </section>
        </Two>
        <CameList />
      </Stack>
    </Page>
  )
}

const IntroductionState = ({ shut, isOpen }: { shut: readonly string[]; isOpen: boolean }) => (
  <Small>{isOpen ? 'together, watched' : shut.length === 0 ? 'may be opened' : `waits for: ${shut.join('; ')}`}</Small>
)

function LiveRun({ run }: { run: Run }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { next } = runNow(run, now)
  const { title, figure } = stepWords(next, run.setup.method, instantOf(run, next.minute) <= now, settings.units)
  return (
    <Live aria-label={`Under way: ${runLabel(run)}`}>
      <div>
        <Small>
          {runLabel(run)} to {tankName(journal, run.start.tankId)}, since {timeOf(run.startedAt, settings.clock)}
        </Small>
        <div>
          <Figure $size={28}>{figure}</Figure> <Quiet>{title.toLowerCase()},</Quiet>{' '}
          <strong>{timeOf(instantOf(run, next.minute), settings.clock)}</strong>
        </div>
      </div>
      <ButtonLink href={`/arrivals/run/${run.id}`}>Go on with it</ButtonLink>
    </Live>
  )
}

function Awaited({ box }: { box: Box }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const tanks = [...new Set(box.animals.map(({ tankId }) => tankId))]
  const open = tanks
    .flatMap((tankId) => preparationsFor(journal, settings, box, tankId, now))
    .filter(({ state }) => state === 'missing' || state === 'never')
  const first = open.reduce<number | null>(
    (by, item) => (item.by === null ? by : Math.min(by ?? item.by, item.by)),
    null,
  )
  const isDay = settings.clock.dayOf(box.dueAt) <= settings.clock.dayOf(now)
  return (
    <Stack $gap={6}>
      <Line style={{ justifyContent: 'space-between', alignItems: 'baseline' }}>
        <strong style={{ fontSize: 19 }}>{listed(box.animals.map(newcomerName))}</strong>
        <Figure $size={17}>{momentBeside(box.dueAt, now, settings.clock)}</Figure>
      </Line>
      <Small style={{ fontSize: 15 }}>
        {[
          box.hoursInTransit !== null && `${figures(box.hoursInTransit)} h on the way`,
          box.source,
          ...tanks.map(
            (id) =>
              `${listed(box.animals.filter(({ tankId }) => tankId === id).map(newcomerName))} to ${tankName(journal, id)}`,
          ),
        ]
          .filter(Boolean)
          .join(' · ')}
      </Small>
      <div style={open.length > 0 ? { color: 'var(--act)', fontWeight: 600 } : undefined}>
        {open.length === 0
          ? 'Everything that can be checked is ready.'
          : `${plural(open.length, 'thing')} missing${first === null ? '' : `, the first by ${momentBeside(first, now, settings.clock)}`}`}
      </div>
      <Line>
        <ButtonLink href={`/arrivals/box/${box.id}`}>Prepare</ButtonLink>
        {isDay && <ButtonLink href={`/arrivals/box/${box.id}/inspect`}>The box is here</ButtonLink>}
        <ButtonLink href={`/arrivals/box/${box.id}/plan`}>Plan the way</ButtonLink>
      </Line>
    </Stack>
  )
}

/** How everything came: source, hours, the way across, the first meal, the first signs. */
function CameList() {
  const { journal } = useHousehold()
  const [all, setAll] = useState(false)
  const came = arrivalsOf(journal)
  const shown = all ? came : came.slice(0, SHOWN)
  return (
    <section aria-label="Came">
      <Heading>
        Came <Quiet>{plural(came.length, 'arrival')}</Quiet>
      </Heading>
      {came.length === 0 ? (
        <Small style={{ paddingTop: 10 }}>Nothing yet.</Small>
      ) : (
        <>
          <Came>
            <thead>
              <tr>
                <th scope="col">who</th>
                <th scope="col">came</th>
                <th scope="col">way across</th>
                <th scope="col">first meal</th>
              </tr>
            </thead>
            <tbody>
              {shown.map((record) => (
                <CameRow key={record.animal.id} record={record} />
              ))}
            </tbody>
          </Came>
          {came.length > shown.length && (
            <div style={{ paddingTop: 10 }}>
              <Button onPress={() => setAll(true)}>All {came.length}</Button>
            </div>
          )}
        </>
      )}
    </section>
  )
}

function CameRow({ record }: { record: ArrivalRecord }) {
  const { journal, settings } = useHousehold()
  const { animal, run } = record
  const way = run
    ? `${run.start.way === 'scoop' ? 'scoops' : run.start.way === 'drip' ? 'drip' : run.start.way === 'match-and-release' ? 'tank matched' : 'float alone'}, ${run.ended ? `${Math.round((run.ended.at - run.startedAt) / 60_000)} min` : 'under way'}`
    : '–'
  return (
    <tr>
      <td>
        <Link href={`/arrivals/animal/${animal.id}`}>{animalLabel(animal)}</Link>
        <br />
        <Small as="span">{tankName(journal, record.tankId)}</Small>
      </td>
      <td>
        {dayAs(settings.clock.dayOf(record.arrivedAt), 'd MMM')}
        <br />
        <Small as="span">
          {[record.source, record.hoursInTransit === null ? null : `${figures(record.hoursInTransit)} h`]
            .filter(Boolean)
            .join(', ')}
        </Small>
      </td>
      <td>
        {way}
        {record.noQuarantine && (
          <>
            <br />
            <Small as="span">no quarantine, watched</Small>
          </>
        )}
      </td>
      <td>
        {record.firstMealAt === null ? '–' : `after ${spanText((record.firstMealAt - record.arrivedAt) / MS_PER_HOUR)}`}
      </td>
    </tr>
  )
}
