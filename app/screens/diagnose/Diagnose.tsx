import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { useSearchParams } from 'react-router'
import { css, styled } from 'styled-components'
import { animalGroupById } from '../../../core/catalogue/animal-group.ts'
import { conditionName } from '../../../core/diagnosis/condition-facts.ts'
import { casesOf, casesThatCameBack, RELAPSE_WEEKS, reopenContent, type Case } from '../../../core/diagnosis/cases.ts'
import { askedSigns } from '../../../core/diagnosis/signs.ts'
import { animalLabel, residentsOf } from '../../../core/household/animals.ts'
import { tankById, tanksOf, type Tank } from '../../../core/household/tanks.ts'
import { dayBeside } from '../../../core/time/words.ts'
import { RelapseBar } from '../../courses/RelapseBar.tsx'
import { useRunningPlans } from '../../courses/usePlans.ts'
import { SelectField } from '../../fields/fields.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, ButtonLink, PlainButton, PlainLink } from '../../look/buttons.ts'
import { CheckChip } from '../../look/CheckChip.ts'
import { Page, PageHead, TwoParts } from '../../look/page.ts'
import { Bar, Heading, Line, Quiet, Rows, Small, Stack, Title } from '../../look/text.ts'
import { caseName } from '../../words/case-entries.ts'
import { AllLookAlikes } from './LookAlikeDrawings.tsx'
import { subjectWords, whereToLook, type WhereToLook } from './subjects.ts'

const Tiles = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(172px, 1fr));
  gap: 12px;
  padding-top: 14px;
`

const tileShape = css`
  flex-direction: column;
  align-items: flex-start;
  gap: 2px;
  padding: 12px 14px;
  text-align: left;
  color: var(--ink);
  font-size: 17px;
`

const Tile = styled(Button)`
  ${tileShape}
  &[aria-pressed='true'] {
    background: var(--band);
  }
`

const TileLink = styled(ButtonLink)`
  ${tileShape}
`

/** Something shows: what is open, and where to look. */
export function Diagnose() {
  const { journal } = useHousehold()
  const cases = casesOf(journal)
  const open = cases.filter(({ ended }) => ended === null)
  const closed = cases.filter(({ ended }) => ended !== null)
  const plans = useRunningPlans()
  const [showsAll, setShowsAll] = useState(false)
  return (
    <Page>
      <PageHead>
        <div>
          <Title>Diagnose</Title>
          <Quiet>say what you see; learn what tells it apart, and how fast to act</Quiet>
        </div>
      </PageHead>
      <TwoParts>
        <Stack $gap={28}>
          <CameBackNotes />
          {plans.map((plan) => (
            <RelapseBar key={plan.course.id} plan={plan} />
          ))}
          {tanksOf(journal).length === 0 ? (
            <Stack $gap={10}>
              <p>A look needs a tank: its water says which signs there are.</p>
              <div>
                <ButtonLink href="/tanks/new">Set up a tank</ButtonLink>
              </div>
            </Stack>
          ) : (
            <WhereToLookForm />
          )}
          <section>
            <Heading>Under the microscope</Heading>
            <Stack $gap={12} style={{ paddingTop: 12 }}>
              <Small>A drop of the brown tells which kind it is, and a tally whether a treatment works.</Small>
              <Line $gap={10}>
                <ButtonLink href="/diagnose/microscope/sample">Take a sample</ButtonLink>
                <ButtonLink href="/diagnose/microscope/key">Which kind is it?</ButtonLink>
                <ButtonLink href="/diagnose/microscope/tally">Count cells</ButtonLink>
                <ButtonLink href="/diagnose/microscope/practice">Practise</ButtonLink>
              </Line>
            </Stack>
          </section>
          <section>
            <Heading>
              <span>Drawn side by side</span>
              <PlainButton aria-expanded={showsAll} onPress={() => setShowsAll(!showsAll)}>
                {showsAll ? 'put away' : 'show them'}
              </PlainButton>
            </Heading>
            {showsAll ? (
              <div style={{ paddingTop: 14 }}>
                <AllLookAlikes />
              </div>
            ) : (
              <Small style={{ paddingTop: 10 }}>
                Grains and dust, slime and flukes, brown films, green growth, pest anemones, gliders, leathers, pale
                corals.
              </Small>
            )}
          </section>
        </Stack>
        <Stack $gap={28}>
          <section>
            <Heading>Open cases</Heading>
            {open.length === 0 && <Small style={{ paddingTop: 10 }}>None: nothing is in question.</Small>}
            <CaseRows cases={open} />
          </section>
          {closed.length > 0 && (
            <section>
              <Heading>Closed</Heading>
              <CaseRows cases={closed} />
            </section>
          )}
        </Stack>
      </TwoParts>
    </Page>
  )
}

function CaseRows({ cases }: { cases: readonly Case[] }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { clock } = settings
  return (
    <Rows>
      {cases.map((one) => {
        const { id, start, tankId, startedAt, ended, causes } = one
        const cause = ended?.cause ?? causes.findLast(({ state }) => state !== 'ruled-out')?.id ?? null
        return (
          <li key={id}>
            <PlainLink href={`/diagnose/${id}`}>
              <strong>{start.title ?? subjectWords(journal, start)}</strong>
            </PlainLink>
            <br />
            <Quiet>
              {tankById(journal, tankId)?.name}, since {dayBeside(clock.dayOf(startedAt), clock.dayOf(now))}
              {cause !== null && ` · ${conditionName(cause)}`}
              {ended !== null && ` · ${ended.outcome}`}
            </Quiet>
          </li>
        )
      })}
    </Rows>
  )
}

/** Closed cases whose signs are seen again. */
function CameBackNotes() {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const back = casesThatCameBack(journal)
  if (back.length === 0) return null
  return (
    <Stack $gap={12}>
      {back.map(({ closed, signs }) => (
        <Stack key={closed.id} $gap={6}>
          <Bar $tone="act">
            {caseName(closed.start)}:{' '}
            {signs.map((sign) => askedSigns(closed.start.table).get(sign)?.label.toLowerCase() ?? sign).join(', ')}{' '}
            again, within {RELAPSE_WEEKS} weeks of its end.
          </Bar>
          <Line>
            <Button isDisabled={busy} onPress={() => void keep([reopenContent(closed, thisInstant())])}>
              Open it again
            </Button>
            <PlainLink href={`/diagnose/${closed.id}`}>look at it</PlainLink>
          </Line>
        </Stack>
      ))}
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}

function WhereToLookForm() {
  const { journal } = useHousehold()
  const [params] = useSearchParams()
  const tanks = tanksOf(journal)
  const asked = params.get('tank')
  const form = useForm({
    defaultValues: { tankId: tanks.some(({ id }) => id === asked) ? asked! : (tanks[0]?.id ?? '') },
  })
  const tank = tankById(journal, form.watch('tankId'))
  return (
    <section>
      <Heading>Where does it show?</Heading>
      <Stack $gap={14} style={{ paddingTop: 12 }}>
        <div style={{ maxWidth: 360 }}>
          <SelectField
            control={form.control}
            name="tankId"
            label="Tank"
            options={tanks.map(({ id, name }) => ({ value: id, label: name }))}
          />
        </div>
        {tank && <WhatShows key={tank.id} tank={tank} />}
      </Stack>
    </section>
  )
}

const lookAddress = (tank: Tank, { id }: WhereToLook, animals: readonly string[] = [], seen: readonly string[] = []) =>
  `/diagnose/look?${new URLSearchParams({
    tank: tank.id,
    at: id,
    ...(animals.length > 0 && { animals: animals.join() }),
    ...(seen.length > 0 && { seen: seen.join() }),
  }).toString()}`

function WhatShows({ tank }: { tank: Tank }) {
  const { journal } = useHousehold()
  const [isFishAsked, setIsFishAsked] = useState(false)
  const [chosen, setChosen] = useState<readonly string[]>([])
  const fish = residentsOf(journal, tank.id).filter(({ group }) => animalGroupById(group)?.kind === 'fish')
  const places = whereToLook(tank)
  const ofFish = places[0]!
  const ofCoral = places.find(({ id }) => id === 'coral')
  const toggle = (id: string, isChosen: boolean) =>
    setChosen(isChosen ? [...chosen, id] : chosen.filter((one) => one !== id))
  return (
    <>
      <Line $gap={10}>
        <ButtonLink
          href={lookAddress(
            tank,
            ofFish,
            fish.map(({ id }) => id),
            ['surface-gasping', ...(fish.length === 1 ? [] : ['several-fish'])],
          )}
          style={{ borderColor: 'var(--act)', color: 'var(--act)' }}
        >
          Fish gasp at the surface
        </ButtonLink>
        {ofCoral && (
          <ButtonLink
            href={lookAddress(tank, ofCoral, [], ['c-brown-jelly'])}
            style={{ borderColor: 'var(--act)', color: 'var(--act)' }}
          >
            Brown jelly on a coral
          </ButtonLink>
        )}
      </Line>
      <Tiles>
        {places.map((place) =>
          place.id === 'fish' && fish.length > 0 ? (
            <Tile key={place.id} aria-pressed={isFishAsked} onPress={() => setIsFishAsked(!isFishAsked)}>
              {place.title}
              <Quiet>{place.what}</Quiet>
            </Tile>
          ) : (
            <TileLink key={place.id} href={lookAddress(tank, place)}>
              {place.title}
              <Quiet>{place.what}</Quiet>
            </TileLink>
          ),
        )}
      </Tiles>
      {isFishAsked && (
        <Stack $gap={10}>
          <p>Who shows it?</p>
          <Line $gap={8}>
            {fish.map((animal) => (
              <CheckChip
                key={animal.id}
                isSelected={chosen.includes(animal.id)}
                onChange={(isChosen) => toggle(animal.id, isChosen)}
              >
                {animalLabel(animal)}
              </CheckChip>
            ))}
          </Line>
          <div>
            <ButtonLink href={lookAddress(tank, ofFish, chosen)}>
              {chosen.length === 0 ? 'Look, without saying who' : 'Look at it'}
            </ButtonLink>
          </div>
        </Stack>
      )}
    </>
  )
}
