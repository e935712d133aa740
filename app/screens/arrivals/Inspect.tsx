import { useState } from 'react'
import { styled } from 'styled-components'
import { animalGroupById } from '../../../core/catalogue/animal-group.ts'
import { inspectionBySign, ticksFor, type InspectionTick } from '../../../core/catalogue/inspection.ts'
import { inspectionKindOf } from '../../../core/catalogue/inspection-kind.ts'
import { signLabel } from '../../../core/catalogue/sign-label.ts'
import { BREATHS } from '../../../core/watching/breaths.ts'
import type { Box } from '../../../core/arrivals/box/boxes.ts'
import type { ExpectedArrival } from '../../../core/household/expected.ts'
import type { Content, ContentOf } from '../../../core/journal/entry.ts'
import type { Line as JournalLine } from '../../../core/journal/journal.ts'
import { timeOf } from '../../../core/time/words.ts'
import { iso } from '../../../core/time/zone.ts'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, ButtonLink, PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { Bar, Heading, Line, Quiet, Small, Stack } from '../../look/text.ts'
import { keepWithPhotos } from '../../photos/keeping.ts'
import { Picture, Pictures } from '../../photos/Pictures.tsx'
import { TakePhoto } from '../../photos/TakePhoto.tsx'
import type { ScaledPhoto } from '../../photos/scale.ts'
import { newcomerName } from '../../words/entries.ts'
import { listed } from '../../../core/words/numbers.ts'
import { useDraft } from '../../fields/draft.ts'
import { Drawing } from './drawings.tsx'
import { Tapper } from '../../fields/Tapper.tsx'

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px;
  @media (max-width: 759px) {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
`

const Key = styled.button`
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 4px;
  min-height: 132px;
  padding: 8px 10px 9px;
  border: 1.5px solid var(--strong-rule);
  border-radius: 2px;
  background: none;
  text-align: start;
  cursor: pointer;
  line-height: 1.25;
  strong {
    font-size: 15px;
  }
  span {
    font-size: 13.5px;
    color: var(--quiet);
  }
  &[aria-pressed='true'] {
    border-color: var(--act);
    box-shadow: inset 0 0 0 1.5px var(--act);
    background: var(--sheet);
  }
  &[aria-pressed='true'] strong::after {
    content: ' ✓ seen';
    color: var(--act);
  }
`

const Thumbs = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  img {
    height: 96px;
    width: auto;
    border: 1px solid var(--strong-rule);
    border-radius: 2px;
  }
`

const Sections = styled.div`
  display: flex;
  flex-direction: column;
  gap: 34px;
`

/** Each animal looked at in its bag, before anything else is done to it. */
export function Inspect({ box }: { box: Box }) {
  return (
    <Sections>
      <Small style={{ fontSize: 15 }}>
        Lights off in the room and over the tank. The box opened slowly, the bag left shut: what is seen now, before it
        is opened, is what a seller can be told. Photograph whatever is wrong.
      </Small>
      {box.animals.map((animal) => (
        <Looked key={animal.expectedId} animal={animal} />
      ))}
      <Line>
        <ButtonLink href={`/arrivals/box/${box.id}/plan`}>On to the plan</ButtonLink>
        <Small>Float it sealed meanwhile; never float an opened bag.</Small>
      </Line>
    </Sections>
  )
}

function Looked({ animal }: { animal: ExpectedArrival }) {
  const { journal, settings } = useHousehold()
  const { run, busy, unkept } = useKeeping()
  // Kept on the device from the first tick: a phone that opens its camera may throw the page away meanwhile.
  const [draft, change, forget] = useDraft(`inspect-${animal.expectedId}`)
  const signs: ReadonlySet<string> = new Set(draft.signs?.split(' ').filter(Boolean))
  const breaths = draft.breaths ? Number(draft.breaths) : null
  const [photos, setPhotos] = useState<readonly ScaledPhoto[]>([])
  const group = animalGroupById(animal.group)
  const kind = group ? inspectionKindOf(group) : 'fish'
  const water = group?.water ?? 'marine'
  const who = newcomerName(animal)
  const ticks = ticksFor(kind, water)
  const toggle = (sign: string) => {
    const next = new Set(signs)
    if (!next.delete(sign)) next.add(sign)
    change('signs', [...next].join(' '))
  }
  const before = journal
    .about(`animal:${animal.expectedId}`)
    .filter((line): line is JournalLine<ContentOf<'sighting'>> => !line.struck && line.content.kind === 'sighting')
  const kept = journal
    .about(`animal:${animal.expectedId}`)
    .filter((line): line is JournalLine<ContentOf<'photo'>> => !line.struck && line.content.kind === 'photo')
  const log = () =>
    run(async (one) => {
      const happened = iso(thisInstant())
      const isFast = breaths !== null && breaths > BREATHS.warn
      const found = [...signs, ...(isFast ? ['breathing-fast'] : [])]
      const sighting: Content = {
        kind: 'sighting',
        happened,
        tankId: animal.tankId,
        animalIds: [animal.expectedId],
        signs: found.map((sign) => ({ sign, present: true })),
        ...(breaths !== null && { breathsPerMinute: breaths }),
        words: found.length === 0 ? 'looked over in the bag, nothing found' : 'looked over in the bag',
      }
      const entries = await keepWithPhotos(one, sighting, photos, {
        tankId: animal.tankId,
        animalIds: [animal.expectedId],
      })
      forget()
      setPhotos([])
      return entries
    })
  const dead = (count: number) =>
    run(async (one) => {
      const happened = iso(thisInstant())
      const { expectedId, tankId, species, group: groupId, name } = animal
      const death: Content = {
        kind: 'dead-on-arrival',
        happened,
        expectedId,
        tankId,
        species,
        group: groupId,
        count,
        ...(name !== undefined && { name }),
      }
      const entries = await keepWithPhotos(one, death, photos, {
        tankId,
        animalIds: [expectedId],
        caption: `${who}, dead on arrival`,
      })
      setPhotos([])
      return entries
    })
  return (
    <section aria-label={who}>
      <Stack $gap={14}>
        <Heading>
          {who}
          <Quiet>{group?.name}</Quiet>
        </Heading>
        {animal.group === 'coral-soft' && (
          <Bar $tone="soon">
            Zoanthids carry palytoxin: gloves and eye protection from here on, wounds covered, nothing squeezed, cut or
            scrubbed in air.
          </Bar>
        )}
        {group?.id === 'eel-lionfish' || group?.id === 'elasmobranch' ? (
          <Bar $tone="soon">
            Venomous or armed: the bag by its neck, hands out of the water. A sting goes into hot water, 40–45 °C, and
            to a doctor.
          </Bar>
        ) : null}
        {kind === 'fish' && (
          <Tapper
            who={who}
            breaths={breaths}
            onBreaths={(count) => change('breaths', count === null ? '' : String(count))}
          />
        )}
        <TickGrid ticks={[...ticks, ...ticksFor('bag', water)]} signs={signs} onToggle={toggle} who={who} />
        <Then signs={signs} />
        <TakePhoto what={who} onTaken={(photo) => setPhotos((before_) => [...before_, photo])} />
        {photos.length > 0 && (
          <Thumbs>
            {photos.map((photo, i) => (
              <div key={i}>
                <Picture
                  jpeg={photo.jpeg}
                  alt={`${who}, photo ${i + 1}`}
                  width={photo.widthPx}
                  height={photo.heightPx}
                />
                <div>
                  <PlainButton onPress={() => setPhotos(photos.filter((_, at) => at !== i))}>leave it out</PlainButton>
                </div>
              </div>
            ))}
          </Thumbs>
        )}
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line $gap={16}>
          <PrimaryButton onPress={() => void log()} isDisabled={busy}>
            {signs.size === 0 ? `${who}: nothing found` : `Log what was found on ${who}`}
          </PrimaryButton>
          <DeadOnArrival
            animal={animal}
            busy={busy}
            hasPhoto={photos.length > 0}
            onDead={(count) => void dead(count)}
          />
        </Line>
        {before.map(({ id, at, content }) => (
          <Small key={id}>
            ✓ {timeOf(at, settings.clock)}{' '}
            {content.signs.length === 0
              ? content.words
              : listed(content.signs.filter(({ present }) => present).map(({ sign }) => signLabel(sign)))}
            {content.breathsPerMinute !== undefined && `, ${content.breathsPerMinute} breaths a minute`}
          </Small>
        ))}
        <Pictures photos={kept} alt={who} />
      </Stack>
    </section>
  )
}

function TickGrid({
  ticks,
  signs,
  onToggle,
  who,
}: {
  ticks: readonly InspectionTick[]
  signs: ReadonlySet<string>
  onToggle: (sign: string) => void
  who: string
}) {
  return (
    <Grid role="group" aria-label={`Seen on ${who}`}>
      {ticks.map(({ sign, label, look, picture }) => (
        <Key key={sign} type="button" aria-pressed={signs.has(sign)} onClick={() => onToggle(sign)}>
          <Drawing name={picture} size={84} />
          <strong>{label}</strong>
          <span>{look}</span>
        </Key>
      ))}
    </Grid>
  )
}

/** What is done about what was seen, the grave first. */
function Then({ signs }: { signs: ReadonlySet<string> }) {
  const seen = [...signs].flatMap((sign) => inspectionBySign(sign) ?? [])
  if (seen.length === 0) return null
  return (
    <Stack $gap={6} role="status">
      {[...seen]
        .sort((a, b) => Number(b.grave) - Number(a.grave))
        .map(({ sign, label, then, grave }) => (
          <Bar key={sign} $tone={grave ? 'act' : 'soon'}>
            {label}: {then}
          </Bar>
        ))}
    </Stack>
  )
}

function DeadOnArrival({
  animal,
  busy,
  hasPhoto,
  onDead,
}: {
  animal: ExpectedArrival
  busy: boolean
  hasPhoto: boolean
  onDead: (count: number) => void
}) {
  const [asking, setAsking] = useState(false)
  if (!asking)
    return (
      <PlainButton onPress={() => setAsking(true)} aria-label={`${newcomerName(animal)}: dead on arrival`}>
        dead on arrival
      </PlainButton>
    )
  return (
    <Stack $gap={8}>
      <Bar $tone="act">
        {hasPhoto
          ? 'With its photo, the bag still shut.'
          : 'Photograph it in the shut bag first: most sellers ask for that, within hours.'}{' '}
        It is not counted as having been in the tank. The bag’s water, bleached, goes down the drain where local rules
        allow, never into a tank; the animal, frozen, into household waste.
      </Bar>
      <Line>
        {Array.from({ length: animal.count }, (_, i) => i + 1).map((count) => (
          <Button key={count} onPress={() => onDead(count)} isDisabled={busy}>
            {animal.count === 1 ? 'Log it as dead on arrival' : `${count} of ${animal.count} dead`}
          </Button>
        ))}
        <PlainButton onPress={() => setAsking(false)}>it lives</PlainButton>
      </Line>
    </Stack>
  )
}
