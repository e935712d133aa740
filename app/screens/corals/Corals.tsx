import { useState } from 'react'
import { useParams } from 'react-router'
import { CORAL_CONDITIONS, conditionWord } from '../../../core/catalogue/corals/condition.ts'
import { animalGroupById } from '../../../core/catalogue/animal-group.ts'
import { animalLabel } from '../../../core/household/animals.ts'
import {
  coralSetup,
  coralsOf,
  conditionsOf,
  placeLog,
  unnamedCorals,
  type PlaceStay,
} from '../../../core/household/corals.ts'
import { coralSurveys, surveyContents } from '../../../core/household/coral-survey.ts'
import type { Part, Place } from '../../../core/household/parts.ts'
import { tankById, type Tank } from '../../../core/household/tanks.ts'
import { dayAs, dayBeside } from '../../../core/time/words.ts'
import { passportOfPart } from '../../../core/courses/passport/passport.ts'
import { passportWords } from '../../../core/courses/passport/passport-words.ts'
import { capital, figures, plural } from '../../../core/words/numbers.ts'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, ButtonLink, PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { Missing } from '../../look/Missing.tsx'
import { Page, PageHead, TwoParts } from '../../look/page.ts'
import { Bar, Heading, Line, Quiet, Rows, Small, Stack, Title } from '../../look/text.ts'
import { CoralForm } from './CoralForm.tsx'
import { CoralMap } from './CoralMap.tsx'
import { SurveyForm } from './SurveyForm.tsx'
import { SurveyList } from './SurveyList.tsx'
import { RefugeList } from './RefugeList.tsx'
import { SpareCopiesList } from './SpareCopiesList.tsx'

/** The corals of a tank: each with its pieces, its place and how it looks; and where a spare copy is, or would be safest. */
export function Corals() {
  const { tankId = '' } = useParams()
  const { journal } = useHousehold()
  const tank = tankById(journal, tankId)
  if (!tank) return <Missing title="No such tank" back="To the tanks" href="/tanks" />
  return <CoralsOf tank={tank} />
}

function CoralsOf({ tank }: { tank: Tank }) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const { settings } = useHousehold()
  const [isAdding, setIsAdding] = useState(false)
  const [isSurveying, setIsSurveying] = useState(false)
  const corals = coralsOf(journal, tank.id)
  const unnamed = unnamedCorals(journal, tank.id)
  return (
    <Page>
      <PageHead>
        <div>
          <Title>Corals of {tank.name}</Title>
          <Quiet>{plural(corals.length, 'coral')}, each with its pieces and its place</Quiet>
        </div>
        <ButtonLink href={`/tanks/${tank.id}`}>{tank.name}</ButtonLink>
      </PageHead>
      <TwoParts>
        <Stack $gap={26}>
          {corals.length > 0 && (
            <section>
              {isSurveying ? (
                <>
                  <Heading>How each looks now</Heading>
                  <SurveyForm tankId={tank.id} corals={corals} onDone={() => setIsSurveying(false)} />
                </>
              ) : (
                <PrimaryButton onPress={() => setIsSurveying(true)}>Look at all of them</PrimaryButton>
              )}
            </section>
          )}
          {corals.length > 0 && (
            <CoralMap
              tank={tank}
              corals={corals}
              conditionOf={(id) => conditionsOf(journal, id).at(-1)?.value ?? null}
            />
          )}
          <section>
            <Heading>Where each stands</Heading>
            {unnamed.length > 0 && (
              <Stack $gap={8} style={{ paddingTop: 12 }}>
                <Bar $tone="soon">
                  In the ledger and not named here yet: {unnamed.map(animalLabel).join(', ')}. A round of dips asks for
                  each.
                </Bar>
                <div>
                  <PrimaryButton
                    isDisabled={busy}
                    onPress={() => void keep(unnamed.map((animal) => coralSetup(animal, tank.id, thisInstant())))}
                  >
                    Name {unnamed.length === 1 ? 'it' : 'them'}
                  </PrimaryButton>
                </div>
                {unkept && <UnkeptNote unkept={unkept} />}
              </Stack>
            )}
            {corals.length === 0 && unnamed.length === 0 && <Small style={{ paddingTop: 10 }}>None yet.</Small>}
            <Rows>
              {corals.map((coral, i) => (
                <li key={coral.id}>
                  <Coral coral={coral} number={i + 1} />
                </li>
              ))}
            </Rows>
            <div style={{ paddingTop: 12 }}>
              {isAdding ? (
                <CoralForm tankId={tank.id} coral={null} onDone={() => setIsAdding(false)} />
              ) : (
                <Button onPress={() => setIsAdding(true)}>Add a coral</Button>
              )}
            </div>
          </section>
        </Stack>
        <Stack $gap={26}>
          <SurveyList surveys={coralSurveys(journal, tank.id, settings.clock)} />
          <SpareCopiesList />
          <RefugeList />
        </Stack>
      </TwoParts>
    </Page>
  )
}

/** "left rack, gentle flow, 9 h of light at 60 %"; empty where nothing is known. */
function placeWords({ compartment, flow, lightHours, lightShare }: Place): string {
  const light =
    lightHours === undefined && lightShare === undefined
      ? null
      : `${lightHours === undefined ? '' : `${figures(lightHours, 2)} h of `}light${
          lightShare === undefined ? '' : ` at ${figures(100 * lightShare, 2)} %`
        }`
  return [compartment, flow && `${flow === 'none' ? 'no' : flow} flow`, light].filter(Boolean).join(', ')
}

function Coral({ coral, number }: { coral: Part; number: number }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [open, setOpen] = useState<'edit' | 'look' | 'log' | null>(null)
  const { clock } = settings
  const log = placeLog(journal, coral.id)
  const last = conditionsOf(journal, coral.id).at(-1)
  const passport = passportOfPart(journal, coral, now)
  const due = log[0]?.lookAt ?? null
  const close = () => setOpen(null)
  if (open === 'edit') return <CoralForm tankId={coral.tankId} coral={coral} onDone={close} />
  return (
    <Stack $gap={6}>
      <div style={{ display: 'flex', justifyContent: 'space-between', gap: 12 }}>
        <div>
          <strong>
            {number} {coral.name}
          </strong>{' '}
          <Quiet>{plural(coral.pieces, 'piece')}</Quiet>
          <br />
          <Quiet>
            {animalGroupById(coral.group ?? '')?.name ?? 'kind not said'}
            {placeWords(coral.place) && ` · ${placeWords(coral.place)}`}
          </Quiet>
          {passport.state !== 'unproven' && (
            <>
              <br />
              <Quiet>{capital(passportWords(passport, clock))}</Quiet>
            </>
          )}
          {last && (
            <>
              <br />
              <span>
                {conditionWord(last.value)} <Quiet>{dayBeside(clock.dayOf(last.at), clock.dayOf(now))}</Quiet>
              </span>
            </>
          )}
        </div>
        <PlainButton onPress={() => setOpen('edit')} aria-label={`Change ${coral.name}`}>
          change
        </PlainButton>
      </div>
      {due !== null && due <= now && <Bar $tone="soon">Three days in its new place: how does it look?</Bar>}
      {due !== null && due > now && (
        <Small>To be looked at {dayAs(clock.dayOf(due), 'EEEE')}, three days after its move.</Small>
      )}
      <Line $gap={16}>
        <PlainButton onPress={() => setOpen(open === 'look' ? null : 'look')}>how it looks</PlainButton>
        {log.length > 0 && (
          <PlainButton onPress={() => setOpen(open === 'log' ? null : 'log')}>
            {plural(log.length, 'place')} so far
          </PlainButton>
        )}
      </Line>
      {open === 'look' && (
        <Line>
          {CORAL_CONDITIONS.map((word, value) => (
            <Button
              key={word}
              isDisabled={busy}
              onPress={() =>
                void keep(surveyContents(coral.tankId, new Map([[coral.id, value]]), thisInstant())).then(close)
              }
            >
              {word}
            </Button>
          ))}
        </Line>
      )}
      {open === 'log' && <PlaceLog log={log} />}
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}

function PlaceLog({ log }: { log: readonly PlaceStay[] }) {
  const { settings } = useHousehold()
  return (
    <Rows>
      {log.map(({ at, place, before, after }) => (
        <li key={at}>
          {dayAs(settings.clock.dayOf(at), 'EEE d MMM')}: {placeWords(place) || 'place not said'}
          <br />
          <Quiet>
            {before === null ? 'not looked at before' : `${conditionWord(before)} before`},{' '}
            {after === null ? 'not looked at after three days' : `${conditionWord(after)} after three days`}
          </Quiet>
        </li>
      ))}
    </Rows>
  )
}
