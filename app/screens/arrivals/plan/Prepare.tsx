import { Check, CircleAlert, CircleHelp, Minus, OctagonX } from 'lucide-react'
import { styled } from 'styled-components'
import { SCHOOLS } from '../../../../core/catalogue/treatments/schools.data.ts'
import type { Box } from '../../../../core/arrivals/box/boxes.ts'
import { preparationsFor, type Preparation } from '../../../../core/arrivals/box/preparation.ts'
import { tickId } from '../../../../core/arrivals/run/ticks.ts'
import { kindOf, type Mend } from '../../../../core/arrivals/asking.ts'
import { WATCH_DAYS } from '../../../../core/arrivals/tasks.ts'
import { tankById } from '../../../../core/household/tanks.ts'
import type { Content, ContentOf } from '../../../../core/journal/entry.ts'
import { wordContent } from '../../../../core/schedule/task.ts'
import { momentBeside } from '../../../../core/time/words.ts'
import { iso } from '../../../../core/time/zone.ts'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button, ButtonLink, PlainButton, PrimaryButton } from '../../../look/buttons.ts'
import { HandbookLink } from '../../../look/HandbookLink.tsx'
import { Bar, Heading, Line, Quiet, Small, Stack } from '../../../look/text.ts'
import { newcomerName, tankName } from '../../../words/entries.ts'
import { listed, plural } from '../../../../core/words/numbers.ts'

const List = styled.ul`
  & > li {
    display: grid;
    grid-template-columns: 24px minmax(0, 1fr) auto;
    gap: 4px 12px;
    padding: 10px 0;
    border-bottom: 1px dotted var(--strong-rule);
    align-items: start;
    svg {
      margin-top: 1px;
    }
  }
  @media (max-width: 759px) {
    & > li {
      grid-template-columns: 24px minmax(0, 1fr);
    }
    & > li > div:last-child {
      grid-column: 2;
    }
  }
`

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 28px 40px;
  align-items: start;
`

const STATES: Record<Preparation['state'], { word: string; icon: typeof Check; ink: string }> = {
  never: { word: 'stop', icon: OctagonX, ink: 'var(--act)' },
  missing: { word: 'missing', icon: Minus, ink: 'var(--act)' },
  warns: { word: 'mind', icon: CircleAlert, ink: 'var(--soon)' },
  asks: { word: 'ask', icon: CircleHelp, ink: 'var(--soon)' },
  ok: { word: 'so', icon: Check, ink: 'var(--second)' },
}

const MENDS: Record<Mend, string> = {
  readings: 'Enter readings',
  seller: 'Enter what they say',
  tank: 'To the tank’s page',
  elsewhere: 'Another tank',
}

/** Where something missing is put right. */
function mending({ mend, tankId }: Preparation, box: Box): string {
  if (mend === 'readings') return `/?tank=${tankId}&form=reading`
  return mend === 'tank' ? `/tanks/${tankId}` : `/arrivals/box/${box.id}/change`
}

/** What has to be so before a box comes, tank by tank: what is missing first, and by when. */
export function Prepare({ box }: { box: Box }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const tanks = [...new Set(box.animals.map(({ tankId }) => tankId))]
  const byTank = tanks.map((id) => ({ id, items: preparationsFor(journal, settings, box, id, now) }))
  const open = byTank.flatMap(({ items }) => items).filter(({ state }) => state === 'missing' || state === 'never')
  const first = open.reduce<number | null>(
    (soonest, { by }) => (by === null ? soonest : Math.min(soonest ?? by, by)),
    null,
  )
  return (
    <Stack $gap={26}>
      <Line $gap={16}>
        <strong style={{ fontSize: 19 }}>
          {open.length === 0
            ? 'Everything that can be checked is ready.'
            : `${plural(open.length, 'thing')} missing${first === null ? '' : `, by ${momentBeside(first, now, settings.clock)}`}.`}
        </strong>
        <ButtonLink href={`/arrivals/box/${box.id}/inspect`}>The box is here</ButtonLink>
      </Line>
      <Grid>
        {byTank.map(({ id, items }) => (
          <section key={id} aria-label={tankName(journal, id)}>
            <Heading>
              {tankName(journal, id)}
              <Quiet>{listed(box.animals.filter((animal) => animal.tankId === id).map(newcomerName))}</Quiet>
            </Heading>
            <QuarantineChoice box={box} tankId={id} />
            <List>
              {items.map((item) => (
                <Item key={item.id} item={item} box={box} first={first} />
              ))}
            </List>
          </section>
        ))}
      </Grid>
      <Small>
        What every school of quarantine needs stands in the <HandbookLink to="quarantine#set-up">handbook</HandbookLink>
        . Mains electricity near water: a breaker (RCD, GFCI) on every socket, drip loops, unplug before hands go in.
      </Small>
    </Stack>
  )
}

function Item({ item, box, first }: { item: Preparation; box: Box; first: number | null }) {
  const { settings } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const { word, icon: Icon, ink } = STATES[item.state]
  const task = { id: tickId(box.id, item.tankId, item.id), tankId: item.tankId }
  const tick = () => keep([wordContent(task, 'done', thisInstant())])
  return (
    <li data-prep={item.id} data-state={item.state}>
      <Icon size={20} color={ink} aria-hidden="true" />
      <div>
        <strong>{item.title}</strong>{' '}
        <Quiet style={{ color: ink, fontSize: 14.5, fontWeight: 600 }}>
          {word}
          {item.by !== null && item.by !== first && `, by ${momentBeside(item.by, now, settings.clock)}`}
        </Quiet>
        <Small>{item.words}</Small>
        {unkept && <UnkeptNote unkept={unkept} />}
      </div>
      <div>
        {item.isTick && item.state !== 'ok' && (
          <Button onPress={() => void tick()} isDisabled={busy} aria-label={`${item.title}: it is so`}>
            It is so
          </Button>
        )}
        {item.mend && (
          <ButtonLink href={mending(item, box)} aria-label={`${MENDS[item.mend]}: ${item.title}`}>
            {MENDS[item.mend]}
          </ButtonLink>
        )}
      </div>
    </li>
  )
}

/** A fish straight into a display: allowed, with what is left of the risk said, and watched instead. */
function QuarantineChoice({ box, tankId }: { box: Box; tankId: string }) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const tank = tankById(journal, tankId)
  const fish = box.animals.filter((animal) => animal.tankId === tankId && kindOf(animal) === 'fish')
  if (tank?.role !== 'display' || fish.length === 0) return null
  const chosen = fish.every(({ noQuarantine }) => noQuarantine)
  const set = (noQuarantine: boolean) =>
    keep(
      fish.map((animal): Content => {
        const { dueAt: _dueAt, ...expected } = animal
        const content: ContentOf<'expected'> = {
          kind: 'expected',
          happened: iso(thisInstant()),
          ...expected,
          noQuarantine,
        }
        return content
      }),
    )
  const school = SCHOOLS.find(({ id }) => id === 'qt-g-none')!
  return (
    <Stack $gap={10} style={{ padding: '12px 0 6px' }}>
      <Bar $tone="act">
        {chosen ? 'No quarantine, by choice. ' : 'Straight into a display, without quarantine? '}
        What is left of the risk: {school.con}. Covered: {school.covers}. What comes in with one fish, every fish there
        can catch; clear skin is no proof.
      </Bar>
      <Small>
        Watched instead, for {WATCH_DAYS} days: half an hour a day in several sessions, by torch before the lights, at a
        meal, from two metres; breath counted; everybody in the tank, not the newcomer alone. At the first sign the
        whole tank is treated or the fish come out.{' '}
        <HandbookLink to="quarantine#qt-g-none">The school in the handbook</HandbookLink>
      </Small>
      <Line>
        {chosen ? (
          <PlainButton onPress={() => void set(false)} isDisabled={busy}>
            rather quarantine: choose its tank under “change”
          </PlainButton>
        ) : (
          <>
            <PrimaryButton onPress={() => void set(true)} isDisabled={busy}>
              No quarantine, by choice: watch instead
            </PrimaryButton>
            <ButtonLink href={`/arrivals/box/${box.id}/change`}>Choose a quarantine tank</ButtonLink>
          </>
        )}
        <ButtonLink href="/courses/compare">Compare the schools</ButtonLink>
      </Line>
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}
