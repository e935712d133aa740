import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { styled } from 'styled-components'
import { dipPaceOf, plannedIntervalDays } from '../../../../core/catalogue/corals/dip-pace.ts'
import { DIP_PEST_FACTS } from '../../../../core/catalogue/corals/dip-pest-facts.data.ts'
import type { CoursePlan } from '../../../../core/courses/plan.ts'
import {
  believedShare,
  chancesText,
  restsOnText,
  clearanceInput,
  dipAssumptions,
  type DipAssumptions,
} from '../../../../core/courses/outlook/dip-clearance.ts'
import type { DipRound, DipsState, RoundState } from '../../../../core/courses/tracks/dips.ts'
import { dayAs } from '../../../../core/time/words.ts'
import { figures, plural } from '../../../../core/words/numbers.ts'
import { DipCells } from '../../../courses/LeadStrip.tsx'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { ButtonLink, PlainButton } from '../../../look/buttons.ts'
import { Bar, Facts, Figure, Heading, Line, Ruled, Small, Stack } from '../../../look/text.ts'
import { Cancelled } from '../../../worker/core-thread.ts'
import { coreThread } from '../../../worker/thread.ts'
import { Legend, Slide } from './legend.ts'

const Scroll = styled.div`
  overflow-x: auto;
`

const Cell = styled.td<{ $look: 'done' | 'missing' | 'none' }>`
  && {
    text-align: center;
    min-width: 44px;
    font: 600 16px var(--mono);
    ${({ $look }) =>
      ({
        done: '',
        missing: 'background-image: var(--hatch-second);',
        none: 'color: var(--quiet);',
      })[$look]}
  }
`

/** A slider that stands so long has come to rest. */
const RESTS_MS = 150

const STATES: Record<RoundState, string> = {
  open: 'under way',
  clean: 'clean',
  pest: 'not clean',
  'not-all': 'not all dipped',
  'not-counted': 'not counted',
  'too-soon': 'too soon',
}

/** Dips as rounds: what came off of each host, what is clean, and what the counts say of the end. */
export function DipsPanel({ plan, dips }: { plan: CoursePlan; dips: DipsState }) {
  const { settings } = useHousehold()
  const { clock } = settings
  const { pace, rounds, hosts, has, nextAt } = dips
  const day = (at: number) => dayAs(clock.dayOf(at), 'EEE d MMM')
  return (
    <section>
      <Heading>
        <span>
          Clean dips{' '}
          <Figure $size={15}>
            {has} of {pace.need} on end
          </Figure>
        </span>
        <Legend>every host dipped and counted, nothing seen</Legend>
      </Heading>
      <div style={{ paddingTop: 14 }}>
        <DipCells dips={dips} height={26} />
      </div>
      {rounds.length > 0 && (
        <Scroll>
          <Ruled style={{ marginTop: 10 }}>
            <thead>
              <tr>
                <th scope="col">came off</th>
                {rounds.map(({ ordinal, at }) => (
                  <th key={ordinal} scope="col" style={{ textAlign: 'center' }}>
                    {day(at)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {hosts.map(({ id, name }) => (
                <tr key={id}>
                  <th scope="row">{name}</th>
                  {rounds.map((round) => (
                    <HostCell key={round.ordinal} round={round} id={id} />
                  ))}
                </tr>
              ))}
              <tr>
                <th scope="row">all</th>
                {rounds.map(({ ordinal, cameOff }) => (
                  <Cell key={ordinal} $look="done">
                    <Figure $size={22}>{cameOff ?? '–'}</Figure>
                  </Cell>
                ))}
              </tr>
              <tr>
                <th scope="row">round</th>
                {rounds.map(({ ordinal, state }) => (
                  <td key={ordinal} style={{ textAlign: 'center', fontSize: 13.5 }}>
                    {STATES[state]}
                  </td>
                ))}
              </tr>
            </tbody>
          </Ruled>
        </Scroll>
      )}
      {rounds.length > 0 && <Small>Hatched was not dipped, – was not counted, e are eggs, b edges brushed.</Small>}
      {nextAt !== null && (
        <p style={{ paddingTop: 8 }}>
          Next round best {dayAs(clock.dayOf(nextAt), 'EEEE d MMMM')}; every {pace.intervalDays} days.
        </p>
      )}
      {pace.pest && <Paces dips={dips} />}
      {pace.pest && <Clearance dips={dips} />}
      <Line id="corals" $gap={14} style={{ paddingTop: 10 }}>
        <ButtonLink href={`/tanks/${plan.course.tankId}/corals`}>Corals of this tub</ButtonLink>
        <Small>{plural(hosts.length, 'host')}, each with its pieces and its place</Small>
      </Line>
    </section>
  )
}

function HostCell({ round, id }: { round: DipRound; id: string }) {
  const counted = round.byPart[id]
  const wasDipped = round.doneIds.includes(id)
  const words = counted
    ? `${counted.cameOff ?? '–'}${counted.eggs ? ' e' : ''}${counted.brushed ? ' b' : ''}`
    : round.uncounted.some((part) => part.id === id)
      ? '–'
      : '·'
  return <Cell $look={wasDipped ? 'done' : 'missing'}>{wasDipped ? words : <span aria-label="not dipped" />}</Cell>
}

/** The table's pace, that of `dip.plan`, and the one by hatching, side by side. */
function Paces({ dips: { pace } }: { dips: DipsState }) {
  const pest = pace.pest!
  const facts = DIP_PEST_FACTS[pest.id]!
  const planned = plannedIntervalDays(pest)
  const byHatching = dipPaceOf(pest, 'by-hatching')
  const byMaturity = dipPaceOf(pest, 'by-maturity')
  return (
    <Stack $gap={6} style={{ paddingTop: 12 }}>
      <Facts>
        <div>
          <dt>this course</dt>
          <dd>
            every {pace.intervalDays} days, {plural(pace.need, 'clean dip')}
          </dd>
        </div>
        <div>
          <dt>by the handbook’s table</dt>
          <dd>every {pest.tableIntervalDays} days</dd>
        </div>
        <div>
          <dt>before the earliest can lay</dt>
          <dd>{planned === null ? 'when it first lays is not known' : `every ${figures(planned, 3)} days`}</dd>
        </div>
        <div>
          <dt>by maturity, the smaller</dt>
          <dd>
            every {byMaturity.intervalDays} days, {byMaturity.need} clean
          </dd>
        </div>
        <div>
          <dt>by hatching</dt>
          <dd>
            every {byHatching.intervalDays} days, {byHatching.need} clean
          </dd>
        </div>
      </Facts>
      <Small>
        Hatches in {pest.hatchDays[0] > 0 ? `${pest.hatchDays[0]} to ` : 'up to '}
        {pest.hatchDays[1]} days,{' '}
        {pest.maturityDays === null ? 'lays nobody knows when' : `lays from ${pest.maturityDays} days on`}
        {facts.isMaturityAssumed && ' (assumed)'}; figures{' '}
        {facts.quality === 'poor' ? 'from keepers’ reports' : 'fairly known'}. A dip leaves {facts.survives}.
      </Small>
    </Stack>
  )
}

/** The worker's answer to how likely it is over. */
function useClearance(dips: DipsState, assumed: DipAssumptions, extra: number, now: number) {
  // Minutes do not change the answer: it is asked again only when an hour has passed.
  const hour = Math.floor(now / 3_600_000) * 3_600_000
  const input = clearanceInput(dips, assumed, extra, hour)
  const { data } = useQuery({
    queryKey: ['clearance', input],
    queryFn: async ({ signal }) => {
      // While a slider moves only where it rests is asked.
      await new Promise((rest) => setTimeout(rest, RESTS_MS))
      if (signal.aborted) throw new Cancelled()
      return coreThread.run('pest.clearanceByCounts', input!)
    },
    enabled: input !== null,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  })
  return data?.ok ? data.value : null
}

/** How likely the pest is over, by the keeper's own counts, now and with one more clean dip. */
function Clearance({ dips }: { dips: DipsState }) {
  const now = useNow()
  const [assumed, setAssumed] = useState(() => dipAssumptions(dips))
  const [isOpen, setIsOpen] = useState(false)
  const today = useClearance(dips, assumed, 0, now)
  const oneMore = useClearance(dips, assumed, 1, now)
  if (clearanceInput(dips, assumed, 0, now) === null) return null
  return (
    <Stack $gap={8} style={{ paddingTop: 12 }}>
      {today && oneMore && (
        <Bar $tone="second">
          By your counts <strong>{chancesText(believedShare(today))}</strong> that it is over; one more clean dip makes
          it <strong>{chancesText(believedShare(oneMore))}</strong>. {restsOnText(today)}
        </Bar>
      )}
      <Small>
        A model, not data: {Math.round(assumed.killMobile * 100)} % of what crawls dies in a dip,{' '}
        {Math.round(assumed.removeEggs * 100)} % of the eggs are scraped off, {assumed.eggsPerAdultPerDay} eggs a day
        each.{' '}
        <PlainButton onPress={() => setIsOpen(!isOpen)}>{isOpen ? 'close' : 'change what is assumed'}</PlainButton>
      </Small>
      {isOpen && (
        <Stack $gap={6}>
          <Assumed
            label="Killed by a dip, of what crawls"
            percent={100 * assumed.killMobile}
            onChange={(percent) => setAssumed({ ...assumed, killMobile: percent / 100 })}
          />
          <Assumed
            label="Eggs scraped off at a dip"
            percent={100 * assumed.removeEggs}
            onChange={(percent) => setAssumed({ ...assumed, removeEggs: percent / 100 })}
          />
        </Stack>
      )}
    </Stack>
  )
}

function Assumed({
  label,
  percent,
  onChange,
}: {
  label: string
  percent: number
  onChange: (percent: number) => void
}) {
  return (
    <Slide>
      <span>{label}</span>
      <Figure>{figures(percent, 2)} %</Figure>
      <input
        type="range"
        min={0}
        max={100}
        step={1}
        value={percent}
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </Slide>
  )
}
