import { typedNumber } from '../../../../core/numbers/typed.ts'
import { useState } from 'react'
import { useParams } from 'react-router'
import { styled } from 'styled-components'
import { openingContents } from '../../../../core/arrivals/introductions/introducing.ts'
import {
  canMeet,
  introductionById,
  INTRODUCTION_WAYS,
  keepsShut,
  STOPPING,
  stopRule,
  stopsAt,
  type Introduction,
} from '../../../../core/arrivals/introductions/introductions.ts'
import { SKIRMISHES } from '../../../../core/catalogue/handbook/introduction.data.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import { momentBeside } from '../../../../core/time/words.ts'
import { iso } from '../../../../core/time/zone.ts'
import { FigureField } from '../../../fields/plain.tsx'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button, PlainButton, PrimaryButton } from '../../../look/buttons.ts'
import { HandbookLink } from '../../../look/HandbookLink.tsx'
import { Page, TwoParts } from '../../../look/page.ts'
import { residentsOf } from '../../../../core/household/animals.ts'
import { Bar, Figure, Heading, Line, Quiet, Small, Stack, Title } from '../../../look/text.ts'
import { animalName, contentMarks, marksText, SKIRMISH_WORDS, tankName, wordingOf } from '../../../words/entries.ts'
import { listed, plural } from '../../../../core/words/numbers.ts'
import { Chips, Select, Text } from './together-parts.ts'

const Condition = styled.button`
  display: grid;
  grid-template-columns: 32px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
  width: 100%;
  min-height: 56px;
  padding: 6px 2px;
  border: 0;
  border-bottom: 1px dotted var(--strong-rule);
  background: none;
  text-align: start;
  font-size: 17px;
  line-height: 1.3;
  cursor: pointer;
  & > span:first-child {
    width: 28px;
    height: 28px;
    border: 2px solid var(--second);
    border-radius: 2px;
    display: grid;
    place-items: center;
    color: var(--on-second);
    font-weight: 700;
  }
  &[aria-pressed='true'] > span:first-child {
    background: var(--second);
  }
`

/** One introduction: the promise, the skirmishes, and the rule that stops it. */
export function Together() {
  const { introId = '' } = useParams()
  const { journal } = useHousehold()
  const intro = introductionById(journal, introId)
  if (!intro)
    return (
      <Page>
        <Title>No such introduction</Title>
      </Page>
    )
  return <TogetherBody intro={intro} />
}

const VERDICTS = { calm: 'calm', watch: 'watch', stop: 'stop' } as const

function TogetherBody({ intro }: { intro: Introduction }) {
  const { journal, settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const now = useNow()
  const { clock } = settings
  const { verdict, reasons } = stopRule(journal, intro, now, (ms) => clock.dayOf(ms))
  const shut = keepsShut(intro, now)
  const open = intro.conditions.filter(({ holds }) => !holds).length
  const names = listed(intro.animalIds.map((id) => animalName(journal, id)))
  const { title, opens } = INTRODUCTION_WAYS[intro.way]
  const base = { happened: '', introId: intro.id, tankId: intro.tankId }
  const mark = (rest: Partial<ContentOf<'introduction-mark'>>): Promise<unknown> =>
    keep([{ ...base, kind: 'introduction-mark', mark: 'condition', ...rest, happened: iso(thisInstant()) }])
  const end = (outcome: 'settled' | 'stopped'): Promise<unknown> =>
    keep([
      {
        ...base,
        kind: 'introduction-end',
        happened: iso(thisInstant()),
        outcome,
        ...(outcome === 'stopped' && reasons.length > 0 && { why: reasons.join('; ') }),
      },
    ])
  const openDoor = (why?: string): Promise<unknown> => keep(openingContents(journal, intro, thisInstant(), why))
  return (
    <Page>
      <Stack $gap={20}>
        <div>
          <Title>{names}</Title>
          <Small style={{ fontSize: 15 }}>
            {title.toLowerCase()}, {tankName(journal, intro.tankId)}
            {intro.rivalIds.length > 0 && `, with ${listed(intro.rivalIds.map((id) => animalName(journal, id)))}`},
            since {momentBeside(intro.startedAt, now, clock)}
            {intro.ended && `; ${intro.ended.outcome} ${momentBeside(intro.ended.at, now, clock)}`}
          </Small>
        </div>
        {verdict === 'stop' && !intro.ended && (
          <Bar $tone="act" role="alert">
            <Stack $gap={8}>
              <span>
                Stop now: {reasons.join('; ')}. {STOPPING}
              </span>
              <Line>
                <Button onPress={() => void end('stopped')} isDisabled={busy}>
                  They are apart: stopped
                </Button>
              </Line>
            </Stack>
          </Bar>
        )}
        {verdict === 'watch' && !intro.ended && <Bar $tone="soon">{reasons.join('; ')}.</Bar>}
        <TwoParts>
          <Stack $gap={14}>
            <Heading>
              {intro.openedAt === null ? `Before: ${opens.toLowerCase()}` : 'It was true before the door was opened'}
              <Quiet>{VERDICTS[verdict]}</Quiet>
            </Heading>
            {intro.openedAt === null && shut.length > 0 && (
              <div>
                <Figure $size={30}>{open === 0 ? shut[0] : plural(open, 'thing')}</Figure>{' '}
                {open > 0 && <Quiet>still to come true</Quiet>}
                {intro.notBefore !== null && intro.notBefore > now && (
                  <Small style={{ fontSize: 15 }}>not before {momentBeside(intro.notBefore, now, clock)}</Small>
                )}
              </div>
            )}
            <div>
              {intro.conditions.map(({ id, words, holds, saidAt }) => (
                <Condition
                  key={id}
                  type="button"
                  aria-pressed={holds}
                  disabled={busy || intro.openedAt !== null || intro.ended !== null}
                  onClick={() => void mark({ mark: 'condition', conditionId: id, holds: !holds })}
                >
                  <span aria-hidden="true">{holds ? '✓' : ''}</span>
                  <span>
                    {words}
                    {saidAt !== null && <Quiet> · {momentBeside(saidAt, now, clock)}</Quiet>}
                  </span>
                </Condition>
              ))}
            </div>
            {!intro.ended &&
              (intro.openedAt === null ? (
                <OpenDoor
                  shut={shut}
                  opens={opens}
                  busy={busy}
                  onOpen={() => void openDoor()}
                  onAnyway={(why) => void openDoor(why)}
                />
              ) : (
                <Line>
                  <Button onPress={() => void mark({ mark: 'shut' })} isDisabled={busy}>
                    Apart again for now
                  </Button>
                  <Button onPress={() => void end('settled')} isDisabled={busy}>
                    They have settled
                  </Button>
                </Line>
              ))}
            {unkept && <UnkeptNote unkept={unkept} />}
          </Stack>
          <Stack $gap={14}>
            <Heading>Skirmishes</Heading>
            {!intro.ended && <SkirmishForm intro={intro} />}
            {[...intro.skirmishes].reverse().map(({ id, at, content }) => (
              <Small key={id} style={{ fontSize: 15, color: 'var(--ink)' }}>
                {momentBeside(at, now, clock)}: {marksText(contentMarks(content, wordingOf(journal, settings)))}
                {content.words && <Quiet> · {content.words}</Quiet>}
              </Small>
            ))}
            <Small>Let pass: {SKIRMISHES.rows[0]!.accept}.</Small>
            <Small>
              Stop at: {stopsAt(intro).join('; ')}. <HandbookLink to="quarantine#skirmishes">The table</HandbookLink>
            </Small>
          </Stack>
        </TwoParts>
      </Stack>
    </Page>
  )
}

/** The promise kept: the door opens once everything is true, or against it with a reason. */
function OpenDoor({
  shut,
  opens,
  busy,
  onOpen,
  onAnyway,
}: {
  shut: readonly string[]
  opens: string
  busy: boolean
  onOpen: () => void
  onAnyway: (why: string) => void
}) {
  const [asking, setAsking] = useState(false)
  const [why, setWhy] = useState('')
  return (
    <Stack $gap={8}>
      <Line $gap={16}>
        <PrimaryButton onPress={onOpen} isDisabled={busy || shut.length > 0}>
          {opens}
        </PrimaryButton>
        {shut.length > 0 && !asking && <PlainButton onPress={() => setAsking(true)}>it cannot wait</PlainButton>}
      </Line>
      {shut.length > 0 && asking && (
        <Line>
          <Text
            aria-label="Why it cannot wait"
            placeholder="why it cannot wait"
            value={why}
            onChange={(event) => setWhy(event.target.value)}
            style={{ flex: '1 1 240px' }}
          />
          <Button onPress={() => onAnyway(why.trim())} isDisabled={busy || why.trim() === ''}>
            Open against the promise
          </Button>
        </Line>
      )}
    </Stack>
  )
}

const WHATS = Object.keys(SKIRMISH_WORDS) as ContentOf<'skirmish'>['what'][]
const WHAT_LABELS: Record<ContentOf<'skirmish'>['what'], string> = {
  display: 'fins spread, tail slaps',
  chase: 'chases',
  nick: 'a fin nicked',
  bite: 'a bite on the body, blood',
  pinned: 'pinned',
  rammed: 'rams the box',
  'fins-torn': 'fins torn',
  'singled-out': 'one singled out by all',
}

function SkirmishForm({ intro }: { intro: Introduction }) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const own = new Set([...intro.rivalIds, ...intro.animalIds])
  // Back home others may nip: thirds, who are neither of the two.
  const thirds =
    intro.openedAt === null
      ? []
      : residentsOf(journal, intro.tankId).filter(({ id, group }) => !own.has(id) && canMeet({ group }))
  const everyone = [...own]
  const [what, setWhat] = useState<ContentOf<'skirmish'>['what']>('chase')
  const [byId, setBy] = useState(intro.rivalIds[0] ?? '')
  const [chosenOn, setOn] = useState<string | null>(null)
  const others = everyone.filter((id) => id !== byId)
  const onId = chosenOn !== null && chosenOn !== byId ? chosenOn : intro.animalIds.find((id) => id !== byId)
  const [figure, setFigure] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const asks = what === 'chase' ? 'an hour' : what === 'rammed' ? 'minutes' : null
  const log = async () => {
    const typed = figure.trim() === '' ? undefined : typedNumber(figure)
    if (asks && typed && !('value' in typed && typed.value >= 0 && typed.value <= 1000))
      return setProblem('choices' in typed ? typed.message : 'a number, 0 to 1000')
    const value = typed && 'value' in typed ? typed.value : undefined
    setProblem(null)
    const content: ContentOf<'skirmish'> = {
      kind: 'skirmish',
      happened: iso(thisInstant()),
      tankId: intro.openedAt === null ? (intro.neutralTankId ?? intro.tankId) : intro.tankId,
      introId: intro.id,
      what,
      ...(byId && { byId }),
      ...(onId && { onId }),
      ...(what === 'chase' && value !== undefined && { perHour: value }),
      ...(what === 'rammed' && value !== undefined && { minutes: value }),
    }
    if (await keep([content])) setFigure('')
  }
  return (
    <Stack $gap={10}>
      <Chips role="group" aria-label="What was seen">
        {WHATS.map((one) => (
          <button key={one} type="button" aria-pressed={what === one} onClick={() => setWhat(one)}>
            {WHAT_LABELS[one]}
          </button>
        ))}
      </Chips>
      <Line $gap={14} style={{ alignItems: 'flex-end' }}>
        <label>
          <strong>By</strong>{' '}
          <Select value={byId} onChange={(event) => setBy(event.target.value)}>
            <option value="">a resident</option>
            {everyone.map((id) => (
              <option key={id} value={id}>
                {animalName(journal, id)}
              </option>
            ))}
            {thirds.map(({ id }) => (
              <option key={id} value={id}>
                {animalName(journal, id)}, a third
              </option>
            ))}
          </Select>
        </label>
        {others.length > 1 && (
          <label>
            <strong>On</strong>{' '}
            <Select value={onId ?? ''} onChange={(event) => setOn(event.target.value)}>
              <option value="">somebody</option>
              {others.map((id) => (
                <option key={id} value={id}>
                  {animalName(journal, id)}
                </option>
              ))}
            </Select>
          </label>
        )}
        {asks && (
          <div style={{ width: 150 }}>
            <FigureField
              label="How many"
              value={figure}
              onChange={setFigure}
              after={asks}
              problem={problem ? { message: problem } : undefined}
            />
          </div>
        )}
        <Button onPress={() => void log()} isDisabled={busy}>
          Log it
        </Button>
      </Line>
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}
