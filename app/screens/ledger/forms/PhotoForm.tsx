import { useState } from 'react'
import { animalLabel, residentsOf } from '../../../../core/household/animals.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import { styled } from 'styled-components'
import { readWhenFields, WhenFields, type WhenValues } from '../../../fields/when.tsx'
import { AreaField, ChipsField } from '../../../fields/fields.tsx'
import type { Problems } from '../../../fields/shell.tsx'
import { thisInstant } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { PlainButton, PrimaryButton } from '../../../look/buttons.ts'
import { Line, Stack } from '../../../look/text.ts'
import { keepPhotos } from '../../../photos/keeping.ts'
import { Picture } from '../../../photos/Pictures.tsx'
import { TakePhoto } from '../../../photos/TakePhoto.tsx'
import type { ScaledPhoto } from '../../../photos/scale.ts'
import { plural } from '../../../../core/words/numbers.ts'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { useStartWhen, type FormProps } from './EntryForm.tsx'

const Taken = styled.div`
  img {
    max-width: 100%;
    height: auto;
    border: 1px solid var(--strong-rule);
    border-radius: 2px;
  }
`

interface PhotoValues extends WhenValues {
  animalIds: string[]
  caption: string
}

/** Pictures of a tank or its animals, with a few words. */
export function PhotoForm({ tank, day, onDone }: FormProps<ContentOf<'photo'>>) {
  const { journal, settings } = useHousehold()
  const { run, busy, unkept } = useKeeping()
  const [photos, setPhotos] = useState<readonly ScaledPhoto[]>([])
  const [problems, setProblems] = useState<Problems>({})
  const residents = residentsOf(journal, tank.id)
  const start = useStartWhen({ day })
  const form = useForm<PhotoValues>({ defaultValues: { animalIds: [], caption: '', ...start } })
  const send = form.handleSubmit(async ({ animalIds, caption, ...when }) => {
    const read = readWhenFields(when, settings.clock, thisInstant())
    setProblems('problems' in read ? read.problems : {})
    if (!('happened' in read)) return
    const kept = await run((household) =>
      keepPhotos(
        household,
        photos,
        {
          tankId: tank.id,
          ...(animalIds.length > 0 && { animalIds }),
          ...(caption.trim() && { caption: caption.trim() }),
        },
        read.happened,
      ),
    )
    if (kept) onDone()
  })
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={18}>
        <TakePhoto what={tank.name} onTaken={(photo) => setPhotos((before) => [...before, photo])} />
        {photos.map((photo, i) => (
          <Taken key={i}>
            <Picture jpeg={photo.jpeg} alt={`photo ${i + 1}`} width={photo.widthPx} height={photo.heightPx} />
          </Taken>
        ))}
        {residents.length > 0 && (
          <ChipsField
            control={form.control}
            name="animalIds"
            label="Of"
            options={residents.map((animal) => ({ value: animal.id, label: animalLabel(animal) }))}
          />
        )}
        <AreaField control={form.control} name="caption" label="In a few words" />
        <WhenFields control={form.control} problems={problems} />
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <PrimaryButton type="submit" isDisabled={busy || photos.length === 0}>
            {photos.length === 0 ? 'Keep the photo' : `Keep ${plural(photos.length, 'photo')}`}
          </PrimaryButton>
          <PlainButton onPress={onDone}>cancel</PlainButton>
        </Line>
      </Stack>
    </Form>
  )
}
