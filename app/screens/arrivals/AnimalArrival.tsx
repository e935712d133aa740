import { Link } from 'react-aria-components'
import { measureText } from '../../../core/words/measure.ts'
import { useParams } from 'react-router'
import { arrivalOf } from '../../../core/arrivals/box/history.ts'
import { passportOf } from '../../../core/courses/passport/passport.ts'
import { trainingOf } from '../../../core/arrivals/introductions/introductions.ts'
import { WAY_NAMES } from '../../../core/arrivals/run/step-words.ts'
import { signLabel } from '../../../core/catalogue/sign-label.ts'
import { animalLabel, tankOfAnimal } from '../../../core/household/animals.ts'
import type { ContentOf } from '../../../core/journal/entry.ts'
import type { Line as JournalLine } from '../../../core/journal/journal.ts'
import { dayAs, momentBeside, spanText, timeOf } from '../../../core/time/words.ts'
import { MS_PER_HOUR } from '../../../core/time/zone.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink } from '../../look/buttons.ts'
import { Page, TwoParts } from '../../look/page.ts'
import { Facts, Heading, Line, Quiet, Small, Stack, Title } from '../../look/text.ts'
import { Pictures } from '../../photos/Pictures.tsx'
import { groupName, tankName } from '../../words/entries.ts'
import { figures, listed } from '../../../core/words/numbers.ts'
import { parameterValue, quantityText } from '../../../core/words/quantities.ts'
import { PassportFacts } from './PassportFacts.tsx'
import { TrainingForm } from './TrainingForm.tsx'

/** The arrival ledger of one animal: where from, how long, the bag, the way across, first meal, first signs. */
export function AnimalArrival() {
  const { animalId = '' } = useParams()
  const { journal, settings } = useHousehold()
  const now = useNow()
  const record = arrivalOf(journal, animalId)
  if (!record)
    return (
      <Page>
        <Title>No such arrival</Title>
      </Page>
    )
  const { animal, run } = record
  const { units, clock } = settings
  const bag = run?.start.setting.bag
  const photos = journal
    .about(`animal:${animal.id}`)
    .filter((line): line is JournalLine<ContentOf<'photo'>> => !line.struck && line.content.kind === 'photo')
  const { meals, takes, isTrained } = trainingOf(journal, animal.id)
  const tankId = tankOfAnimal(animal)
  const value = (parameter: string, figure: number) => quantityText(parameterValue(parameter, figure, units))
  const facts: (readonly [string, string] | null)[] = [
    ['came', `${dayAs(clock.dayOf(record.arrivedAt), 'EEEE d MMMM yyyy')}, ${timeOf(record.arrivedAt, clock)}`],
    ['into', tankName(journal, record.tankId)],
    record.source ? ['from', record.source] : null,
    record.hoursInTransit === null ? null : ['on the way', `${figures(record.hoursInTransit)} h`],
    bag
      ? [
          'bag',
          `${measureText(bag.volumeL, 'L', settings.units, 3)}, ${value('salinity', bag.salinityPsu)}, ${value('temp', bag.temperatureC)}, pH ${bag.pH.toFixed(1)}, ammonia ${figures(bag.tanMgPerL)} mg/L`,
        ]
      : null,
    run && run.start.assumed.length > 0
      ? [
          'assumed of it',
          listed([...new Set(run.start.assumed.map((id) => ASSUMED_WORDS[id.split('.').at(-1)!] ?? id))]),
        ]
      : null,
    run
      ? [
          'way across',
          `${WAY_NAMES[run.setup.way].toLowerCase()}${run.ended ? `, ${Math.round((run.ended.at - run.startedAt) / 60_000)} min, ${run.ended.measured ? 'measured' : 'reckoned'}` : ', under way'}`,
        ]
      : null,
    run?.ended?.off ? ['still off', run.ended.off] : null,
    record.found.length > 0 ? ['found in the bag', listed(record.found.map(signLabel))] : null,
    [
      'first meal',
      record.firstMealAt === null
        ? 'not seen yet'
        : `after ${spanText((record.firstMealAt - record.arrivedAt) / MS_PER_HOUR)}`,
    ],
    [
      'first signs',
      record.firstSigns
        ? `${listed(record.firstSigns.signs.map(signLabel))}, ${momentBeside(record.firstSigns.at, now, clock)}`
        : 'none',
    ],
    record.noQuarantine ? ['quarantine', 'none, by choice; watched instead'] : null,
  ]
  const passport = animal.end ? null : passportOf(journal, animal.id, now)
  return (
    <Page>
      <Stack $gap={22}>
        <div>
          <Title>{animalLabel(animal)}</Title>
          <Small style={{ fontSize: 15 }}>
            {animal.name ? `${animal.species}, ` : ''}
            {groupName(animal.group)}
            {animal.end ? `; ${animal.end.how}${animal.end.cause ? `, ${animal.end.cause}` : ''}` : ''}
          </Small>
        </div>
        <TwoParts>
          <Stack $gap={16}>
            <Heading>How it came</Heading>
            <Facts>
              {facts.flatMap((fact) =>
                fact
                  ? [
                      <div key={fact[0]}>
                        <dt>{fact[0]}</dt>
                        <dd>{fact[1]}</dd>
                      </div>,
                    ]
                  : [],
              )}
            </Facts>
            {passport && <PassportFacts passport={passport} />}
            {record.noQuarantine && (
              <div>
                <ButtonLink href={`/courses/new?definition=qt-g-none&tank=${animal.stays.at(-1)?.tankId ?? ''}`}>
                  Watch it by a plan
                </ButtonLink>
              </div>
            )}
            {run && <Link href={`/arrivals/run/${run.id}`}>The way across, minute by minute</Link>}
            <Pictures photos={photos} alt={animalLabel(animal)} />
          </Stack>
          <Stack $gap={14}>
            <Heading>
              Feeding training <Quiet>{isTrained ? 'done' : meals.length > 0 ? 'going on' : 'not begun'}</Quiet>
            </Heading>
            <Small>
              Before it leaves quarantine it takes two foods of the tank it goes to, at the place where it will be fed.
              A mark a day; the ledger asks for the next once it is begun.
              {takes.length > 0 && ` It takes ${listed(takes)}.`}
            </Small>
            {tankId && <TrainingForm animal={animal} tankId={tankId} />}
            {[...meals]
              .reverse()
              .slice(0, 10)
              .map(({ id, at, content }) => (
                <Small key={id}>
                  {momentBeside(at, now, clock)}: {content.food}, mark {content.mark} of 4
                  {content.place && `, ${content.place}`}
                </Small>
              ))}
            {tankId && (
              <Line>
                <ButtonLink href={`/arrivals/between?from=${tankId}&who=${animal.id}`}>
                  Move it to another tank
                </ButtonLink>
                <ButtonLink href={`/arrivals/together?who=${animal.id}`}>Bring it together with others</ButtonLink>
              </Line>
            )}
          </Stack>
        </TwoParts>
      </Stack>
    </Page>
  )
}

const ASSUMED_WORDS: Readonly<Record<string, string>> = {
  salinityPsu: 'salinity',
  temperatureC: 'temperature',
  pH: 'pH',
  tanMgPerL: 'ammonia',
  alkalinityDkh: 'alkalinity',
  capacity: 'container',
  leave: 'pour-off',
  room: 'room',
  float: 'float',
}
