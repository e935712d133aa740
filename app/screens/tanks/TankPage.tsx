import { lazy, Suspense, useState } from 'react'
import { useParams } from 'react-router'
import { styled } from 'styled-components'
import { animalGroupById } from '../../../core/catalogue/animal-group.ts'
import { BAND_PROFILES } from '../../../core/catalogue/parameter.ts'
import { animalLabel, animalsOf, residentsOf, type Animal } from '../../../core/household/animals.ts'
import { passportOf, tankProofOf } from '../../../core/courses/passport/passport.ts'
import { passportWords, tankProofWords } from '../../../core/courses/passport/passport-words.ts'
import { tankById, type Tank } from '../../../core/household/tanks.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { iso } from '../../../core/time/zone.ts'
import { quantityText, volume } from '../../../core/words/quantities.ts'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { TankAlarms } from '../../safety/TankAlarms.tsx'
import { Button, ButtonLink, PlainButton, PlainLink } from '../../look/buttons.ts'
import { Page, PageHead, TwoParts } from '../../look/page.ts'
import { Bar, Heading, Line, Quiet, Rows, Small, Stack, Title } from '../../look/text.ts'
import { dayBeside } from '../../../core/time/words.ts'
import { ChoreList } from './ChoreList.tsx'
import { BandList } from './BandList.tsx'
import { EquipmentList } from './EquipmentList.tsx'
import { KitList } from './KitList.tsx'
import { ROLE_NAMES, WATER_OPTIONS } from './names.ts'
import { NetVolume } from './SheetForm.tsx'
import { ToolList } from './ToolList.tsx'
import { TankForm } from './TankForm.tsx'
import { VolumeDrawing } from './VolumeDrawing.tsx'
import { AnimalForm } from './AnimalForm.tsx'

const TankCharts = lazy(async () => ({ default: (await import('../../water/TankCharts.tsx')).TankCharts }))

const BoardPanel = lazy(async () => ({
  default: (await import('../courses/panels/BoardPanel.tsx')).BoardPanel,
}))

const LevelLine = lazy(async () => ({ default: (await import('../../water/LevelLine.tsx')).LevelLine }))

const Edit = styled.div`
  max-width: 860px;
`

/** One tank: how much water it holds, who lives there, what runs on it, what is tested with what, and how it has gone. */
export function TankPage() {
  const { tankId = '' } = useParams()
  const { journal } = useHousehold()
  const [editing, setEditing] = useState(false)
  const tank = tankById(journal, tankId)
  if (!tank)
    return (
      <Page>
        <Stack>
          <Title>No such tank</Title>
          <p>This journal holds no tank of that name. It may be in the other household.</p>
          <div>
            <ButtonLink href="/tanks">To the tanks</ButtonLink>
          </div>
        </Stack>
      </Page>
    )
  if (editing)
    return (
      <Page>
        <Edit>
          <Stack $gap={22}>
            <Title>{tank.name}</Title>
            <TankForm tank={tank} onDone={() => setEditing(false)} onCancel={() => setEditing(false)} />
          </Stack>
        </Edit>
      </Page>
    )
  return <TankView tank={tank} onEdit={() => setEditing(true)} />
}

function TankView({ tank, onEdit }: { tank: Tank; onEdit: () => void }) {
  const { settings } = useHousehold()
  const water = WATER_OPTIONS.find(({ value }) => value === tank.water)!.label
  const profile = BAND_PROFILES.find(({ id }) => id === tank.profile)
  return (
    <Page>
      <PageHead>
        <div>
          <Title>{tank.name}</Title>
          <Quiet>
            {water}, {ROLE_NAMES[tank.role]}
            {profile && `, kept as ${profile.name}`}
            {tank.retired && ', taken down'}
          </Quiet>
        </div>
        <Line>
          {!tank.retired && <ButtonLink href={`/courses/new?tank=${tank.id}`}>Start a course</ButtonLink>}
          {!tank.retired && <ButtonLink href={`/bench?tank=${tank.id}`}>At the bench</ButtonLink>}
          <Button onPress={onEdit}>Change the tank or its sheet</Button>
        </Line>
      </PageHead>
      <TankAlarms tank={tank} />
      <Suspense fallback={null}>
        <BoardPanel tankId={tank.id} least={1} />
      </Suspense>
      <TwoParts>
        <Stack $gap={30}>
          <section>
            <Heading>
              Water in it <Quiet>drawn to scale</Quiet>
            </Heading>
            {tank.sheet && tank.volume ? (
              <Stack $gap={4} style={{ paddingTop: 12 }}>
                <VolumeDrawing sheet={tank.sheet} units={settings.units} />
                <NetVolume volume={tank.volume} />
                {tank.learnt && <Learnt tank={tank} />}
                {!tank.retired && (
                  <Suspense fallback={null}>
                    <LevelLine tank={tank} />
                  </Suspense>
                )}
              </Stack>
            ) : (
              <Stack $gap={10} style={{ paddingTop: 12 }}>
                <p>The net volume is not worked out yet, and without it nothing can be dosed.</p>
                <div>
                  <Button onPress={onEdit}>Fill in the volume sheet</Button>
                </div>
              </Stack>
            )}
          </section>
          <section>
            <Heading>
              <span>
                Readings <Quiet>the last four months</Quiet>
              </span>
              <PlainLink href={`/water/charts?tank=${tank.id}`}>all charts</PlainLink>
            </Heading>
            <Suspense fallback={<Small>Drawing …</Small>}>
              <TankCharts tank={tank} />
            </Suspense>
          </section>
        </Stack>
        <Stack $gap={30}>
          <Residents tank={tank} />
          <EquipmentList tank={tank} />
          <KitList tank={tank} />
          <ToolList tank={tank} />
          <BandList tank={tank} />
          {!tank.retired && <ChoreList tank={tank} />}
        </Stack>
      </TwoParts>
    </Page>
  )
}

/** That the net volume is what doses and readings have shown, and the way back to the sheet's own. */
function Learnt({ tank }: { tank: Tank }) {
  const { settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  return (
    <Stack $gap={8}>
      <Bar $tone="soon">
        The net volume is what doses and readings have shown. The sheet alone comes to{' '}
        {quantityText(volume(tank.sheetNetL!, settings.units))}.
      </Bar>
      <div>
        <Button
          isDisabled={busy}
          onPress={() =>
            // Measured again, the sheet speaks for itself again.
            void keep([
              { kind: 'tank-change', happened: iso(thisInstant()), tankId: tank.id, changes: { sheet: tank.sheet! } },
            ])
          }
        >
          Go by the sheet again
        </Button>
      </div>
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}

function Residents({ tank }: { tank: Tank }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const residents = residentsOf(journal, tank.id)
  const gone = animalsOf(journal).filter((animal) => animal.end && animal.stays.at(-1)!.tankId === tank.id)
  const clean = tankProofWords(journal, tankProofOf(journal, tank.id, now), settings.clock)
  return (
    <section>
      <Heading>Who lives here</Heading>
      {clean !== null && <Small style={{ paddingTop: 10 }}>{clean}.</Small>}
      {residents.length === 0 && <Small style={{ paddingTop: 10 }}>Nobody.</Small>}
      <Rows>
        {residents.map((animal) => (
          <li key={animal.id}>
            <Resident animal={animal} />
          </li>
        ))}
        {gone.map((animal) => (
          <li key={animal.id}>
            <Gone animal={animal} />
          </li>
        ))}
      </Rows>
      <Line style={{ paddingTop: 12 }}>
        <ButtonLink href={`/tanks/${tank.id}/add-animal`}>Add an animal</ButtonLink>
        {tank.water === 'marine' && <ButtonLink href={`/tanks/${tank.id}/corals`}>Corals and places</ButtonLink>}
      </Line>
    </section>
  )
}

function Resident({ animal }: { animal: Animal }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const [editing, setEditing] = useState(false)
  if (editing) return <AnimalForm animal={animal} onDone={() => setEditing(false)} />
  const here = animal.stays.at(-1)!
  const passport = passportOf(journal, animal.id, now)
  return (
    <div style={{ display: 'flex', justifyContent: 'space-between', gap: 12 }}>
      <div>
        <strong>{animalLabel(animal)}</strong>
        <br />
        <Quiet>
          {animal.name && `${animal.species}, `}
          {animalGroupById(animal.group)?.name ?? animal.group}; here since{' '}
          {dayBeside(settings.clock.dayOf(here.from), settings.clock.dayOf(now))}
          {passport && passport.state !== 'unproven' && (
            <>
              <br />
              {passportWords(passport, settings.clock)}
            </>
          )}
        </Quiet>
      </div>
      <PlainButton onPress={() => setEditing(true)} aria-label={`Change ${animalLabel(animal)}`}>
        change
      </PlainButton>
    </div>
  )
}

function Gone({ animal }: { animal: Animal }) {
  const { settings } = useHousehold()
  const now = useNow()
  const { at, how, cause } = animal.end!
  return (
    <Quiet>
      {how === 'died' ? '✕ ' : ''}
      {animal.name ?? animal.species}, {how} {dayBeside(settings.clock.dayOf(at), settings.clock.dayOf(now))}
      {cause && `, ${cause}`}
    </Quiet>
  )
}
