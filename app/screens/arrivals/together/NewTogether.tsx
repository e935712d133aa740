import { neutralTankFaults } from '../../../../core/arrivals/neutral-tank.ts'
import { useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { Link } from 'react-aria-components'
import { styled } from 'styled-components'
import { meetingMoves } from '../../../../core/arrivals/introductions/introducing.ts'
import { INTRODUCTION_PROSE } from '../../../../core/arrivals/introductions/introduction-prose.ts'
import {
  canMeet,
  INTRODUCTION_WAYS,
  type IntroductionWay,
} from '../../../../core/arrivals/introductions/introductions.ts'
import { Reading } from '../../../../core/calculators/calculator.ts'
import { INTRODUCTION } from '../../../../core/catalogue/handbook/introduction.data.ts'
import { animalById, animalLabel, animalsOf, residentsOf, tankOfAnimal } from '../../../../core/household/animals.ts'
import { tankById, tanksOf } from '../../../../core/household/tanks.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import { momentBeside } from '../../../../core/time/words.ts'
import { iso, MS_PER_DAY } from '../../../../core/time/zone.ts'
import { FigureField } from '../../../fields/plain.tsx'
import { thisInstant } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { newId } from '../../../journal/opened.ts'
import { useHousehold } from '../../../journal/provider.tsx'
import { ButtonLink, PlainButton, PrimaryButton } from '../../../look/buttons.ts'
import { HandbookLink } from '../../../look/HandbookLink.tsx'
import { Page } from '../../../look/page.ts'
import { Bar, Heading, Line, Small, Stack, Title } from '../../../look/text.ts'
import { contentMarks, marksText, wordingOf } from '../../../words/entries.ts'
import { capital, listed } from '../../../../core/words/numbers.ts'
import { CourseWords } from '../CourseWords.tsx'
import { Chips, Select, Text } from './together-parts.ts'

const Ways = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 260px), 1fr));
  gap: 12px;
  button {
    display: flex;
    flex-direction: column;
    justify-content: flex-start;
    min-height: 92px;
    padding: 10px 14px;
    border: 1.5px solid var(--strong-rule);
    border-radius: 2px;
    background: none;
    text-align: start;
    line-height: 1.3;
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    border-color: var(--second);
    box-shadow: inset 0 4px 0 var(--second);
  }
  span {
    display: block;
    font-size: 14.5px;
    color: var(--quiet);
  }
`

const From = styled.span`
  font-size: 13.5px;
  font-weight: 400;
  opacity: 0.85;
`

/** Longer than this nobody waits; a slip of the pen. */
const MOST_DAYS = 60

/** What each way comes to in the end. */
const BEFORE: Record<IntroductionWay, string> = {
  box: 'the door is opened',
  neutral: 'both move home together',
  pair: 'they go in',
}

/** Bringing animals together: what must be true before the door is opened is written down first. */
export function NewTogether() {
  const { journal, settings } = useHousehold()
  const [search] = useSearchParams()
  const navigate = useNavigate()
  const { keep, busy, unkept } = useKeeping()
  const living = animalsOf(journal).filter((animal) => tankOfAnimal(animal) !== null && canMeet(animal))
  const tanks = tanksOf(journal)
  const [way, setWay] = useState<IntroductionWay>('box')
  const [who, setWho] = useState<readonly string[]>(
    (search.get('who') ?? '').split(',').filter((id) => living.some((animal) => animal.id === id)),
  )
  const home = who.map((id) => animalById(journal, id)).map((animal) => animal && tankOfAnimal(animal))[0]
  const water = home ? tankById(journal, home)?.water : undefined
  const fitting = tanks.filter((tank) => water === undefined || tank.water === water)
  const [tankId, setTankId] = useState(
    () => fitting.find(({ role, id }) => role === 'display' && id !== home)?.id ?? fitting[0]?.id ?? '',
  )
  const [rivals, setRivals] = useState<readonly string[]>([])
  const [neutralTankId, setNeutral] = useState('')
  const [conditions, setConditions] = useState<readonly { id: string; words: string }[] | null>(null)
  const [days, setDays] = useState<string | null>(null)
  const least = INTRODUCTION_WAYS[way].leastHours / 24
  const asked = new Reading({ days: days ?? String(least) }, [], [])
  const stays = asked.number('days', { least, most: MOST_DAYS, rather: `days; the handbook’s least is ${least}` })
  const daysProblem = asked.faults['days']
  const written = conditions ?? INTRODUCTION_PROSE[way].conditions
  const target = tankById(journal, tankId)
  const there = residentsOf(journal, tankId).filter((animal) => !who.includes(animal.id) && canMeet(animal))
  // Whoever comes from elsewhere first; who is in the water already may hang there in a box.
  const coming = living
    .flatMap((animal) => {
      const tank = tankById(journal, tankOfAnimal(animal)!)
      return tank && (tank.water === target?.water || who.includes(animal.id)) ? [{ animal, tank }] : []
    })
    .sort((a, b) => Number(a.tank.id === tankId) - Number(b.tank.id === tankId))
  const from = [...new Set(who.flatMap((id) => coming.find(({ animal }) => animal.id === id)?.tank ?? []))].filter(
    ({ id }) => id !== tankId,
  )
  const heads = who.reduce((sum, id) => sum + (animalById(journal, id)?.count ?? 0), 0)
  const flip = (list: readonly string[], id: string) =>
    list.includes(id) ? list.filter((one) => one !== id) : [...list, id]
  const plan = {
    way,
    tankId,
    animalIds: [...who],
    ...(rivals.length > 0 && { rivalIds: [...rivals] }),
    ...(way === 'neutral' && neutralTankId && { neutralTankId }),
  }
  const moves = meetingMoves(journal, plan, thisInstant())
  const begin = async () => {
    const now = thisInstant()
    const introId = newId()
    const content: ContentOf<'introduction-start'> = {
      kind: 'introduction-start',
      happened: iso(now),
      introId,
      ...plan,
      conditions: written
        .filter(({ words }) => words.trim() !== '')
        .map(({ id, words }) => ({ id, words: words.trim() })),
      notBefore: iso(now + (stays ?? least) * MS_PER_DAY),
    }
    if (await keep([content, ...meetingMoves(journal, content, now)])) void navigate(`/arrivals/together/${introId}`)
  }
  return (
    <Page>
      <Stack $gap={22} style={{ maxWidth: 860 }}>
        <div>
          <Title>Bring animals together</Title>
          <Small style={{ fontSize: 15 }}>
            {capital(INTRODUCTION.rows.find(({ id }) => id === 'intro-order')!.do)}.{' '}
            <HandbookLink to="quarantine#introduction">The handbook’s steps</HandbookLink>
          </Small>
        </div>
        <Ways role="group" aria-label="How">
          {(Object.keys(INTRODUCTION_WAYS) as IntroductionWay[]).map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={way === one}
              onClick={() => {
                setWay(one)
                setConditions(null)
                setDays(null)
              }}
            >
              <strong>{INTRODUCTION_WAYS[one].title}</strong>
              <span>{INTRODUCTION_PROSE[one].about}</span>
            </button>
          ))}
        </Ways>
        <Stack $gap={8}>
          <Heading as="h2">Who comes</Heading>
          <Chips role="group" aria-label="Who comes">
            {coming.map(({ animal, tank }) => (
              <button
                key={animal.id}
                type="button"
                aria-pressed={who.includes(animal.id)}
                onClick={() => setWho(flip(who, animal.id))}
              >
                {animalLabel(animal)} <From>{tank.name}</From>
              </button>
            ))}
          </Chips>
          {way === 'pair' && heads > 0 && heads % 2 === 0 && (
            <Small>{heads} is an even number: with an odd one the chases spread, and no one bears them all.</Small>
          )}
        </Stack>
        <Stack $gap={8}>
          <Heading as="h2">To live in</Heading>
          <Select
            aria-label="To live in"
            style={{ alignSelf: 'flex-start' }}
            value={tankId}
            onChange={(event) => setTankId(event.target.value)}
          >
            {fitting.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Select>
          {there.length > 0 && (
            <>
              <Small>Who there is likely to mind, or the rival itself:</Small>
              <Chips role="group" aria-label="Rivals">
                {there.map((animal) => (
                  <button
                    key={animal.id}
                    type="button"
                    aria-pressed={rivals.includes(animal.id)}
                    onClick={() => setRivals(flip(rivals, animal.id))}
                  >
                    {animalLabel(animal)}
                  </button>
                ))}
              </Chips>
            </>
          )}
          {way === 'neutral' && (
            <label>
              <strong>Neutral tank</strong>{' '}
              <Select value={neutralTankId} onChange={(event) => setNeutral(event.target.value)}>
                <option value="">the same tank, rock rebuilt</option>
                {fitting
                  .filter(({ id }) => id !== tankId)
                  .map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
              </Select>
            </label>
          )}
          {way === 'neutral' && neutralTankId !== '' && (
            <NeutralFaults tankId={neutralTankId} animalIds={[...who, ...rivals]} />
          )}
        </Stack>
        <Stack $gap={8}>
          <Heading as="h2">What must be true before {BEFORE[way]}</Heading>
          <Small>Written down now, kept to later.</Small>
          {written.map((condition, i) => (
            <Text
              key={condition.id}
              aria-label={`Condition ${i + 1}`}
              value={condition.words}
              onChange={(event) =>
                setConditions(written.map((one, at) => (at === i ? { ...one, words: event.target.value } : one)))
              }
            />
          ))}
          <div>
            <PlainButton onPress={() => setConditions([...written, { id: `own-${written.length + 1}`, words: '' }])}>
              another condition
            </PlainButton>
          </div>
          {least > 0 && (
            <div style={{ maxWidth: 240 }}>
              <FigureField
                label="And not before"
                value={days ?? String(least)}
                onChange={setDays}
                after="days"
                hint={
                  stays === undefined
                    ? undefined
                    : `that is ${momentBeside(thisInstant() + stays * MS_PER_DAY, thisInstant(), settings.clock)}`
                }
                problem={daysProblem}
              />
            </div>
          )}
        </Stack>
        {target && from.map((tank) => <CourseWords key={tank.id} from={tank} to={target} />)}
        {target && from.length > 0 && way === 'box' && (
          <Small style={{ fontSize: 15 }}>
            The box hangs in the water of {target.name}. Waters that differ are gone between first:{' '}
            <Link href={`/arrivals/between?from=${from[0]!.id}&to=${target.id}&who=${who.join(',')}`}>
              from {from[0]!.name} to {target.name}
            </Link>
            .
          </Small>
        )}
        {moves.length > 0 && (
          <Small style={{ fontSize: 15 }}>
            Kept with it: {listed(moves.map((move) => marksText(contentMarks(move, wordingOf(journal, settings)))))}.
          </Small>
        )}
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <PrimaryButton
            onPress={() => void begin()}
            isDisabled={busy || who.length === 0 || tankId === '' || !!daysProblem}
          >
            {way === 'box' ? 'The box is in' : way === 'neutral' ? 'They are on neutral ground' : 'Write it down'}
          </PrimaryButton>
          <ButtonLink href="/arrivals">Not now</ButtonLink>
        </Line>
      </Stack>
    </Page>
  )
}

/** What the neutral tank is still short of. */
function NeutralFaults({ tankId, animalIds }: { tankId: string; animalIds: readonly string[] }) {
  const { journal, settings } = useHousehold()
  const faults = neutralTankFaults(journal, settings, tankId, animalIds, thisInstant())
  if (faults.length === 0)
    return <Small>Set up and proven: ammonia by two methods, water matched, nobody’s ground.</Small>
  return <Bar $tone="soon">Not before: {faults.join(' ')}</Bar>
}
