import type { ContentKind, ContentOf } from '../../../core/journal/entry.ts'
import type { Line } from '../../../core/journal/journal.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import type { Day } from '../../../core/time/zone.ts'
import { LossForm, MoveForm, NoteForm, SightingForm } from './forms/AnimalForms.tsx'
import { BathForm } from './forms/BathForm.tsx'
import { ContactForm, FeedForm, TopOffForm } from './forms/CareForms.tsx'
import { CountForm } from './forms/CountForm.tsx'
import { PhotoForm } from './forms/PhotoForm.tsx'
import { ReadingForm } from './forms/ReadingForm.tsx'
import { ChangeForm, DoseForm } from './forms/WaterForms.tsx'
import type { FormKind } from './opened.ts'

export const FORM_TITLES: Record<FormKind, string> = {
  reading: 'Readings',
  'water-change': 'Water change',
  dose: 'Dose',
  sighting: 'Seen',
  move: 'Move',
  death: 'Loss',
  bath: 'Bath or dip',
  count: 'Count',
  feed: 'Food',
  'top-off': 'Top-off',
  contact: 'Contact',
  note: 'Note',
  photo: 'Photo',
}

/** The form an entry is put right with. */
export const FORM_OF: Partial<Record<ContentKind, FormKind>> = {
  reading: 'reading',
  'water-change': 'water-change',
  dose: 'dose',
  sighting: 'sighting',
  move: 'move',
  death: 'death',
  departure: 'death',
  note: 'note',
  bath: 'bath',
  count: 'count',
  feed: 'feed',
  'top-off': 'top-off',
  contact: 'contact',
}

/** The fields of one kind of entry, new or corrected. */
export function EntryFields({
  form,
  tank,
  day,
  correcting,
  onDone,
}: {
  form: FormKind
  tank: Tank
  day: Day | null
  correcting?: Line
  onDone: () => void
}) {
  const shared = { tank, day, onDone }
  const of = <K extends ContentKind>(_kind: K) => (correcting ? { correcting: correcting as Line<ContentOf<K>> } : {})
  switch (form) {
    case 'reading':
      return <ReadingForm {...shared} {...of('reading')} />
    case 'water-change':
      return <ChangeForm {...shared} {...of('water-change')} />
    case 'dose':
      return <DoseForm {...shared} {...of('dose')} />
    case 'sighting':
      return <SightingForm {...shared} {...of('sighting')} />
    case 'move':
      return <MoveForm {...shared} {...of('move')} />
    case 'death':
      return <LossForm {...shared} {...of('death')} />
    case 'note':
      return <NoteForm {...shared} {...of('note')} />
    case 'bath':
      return <BathForm {...shared} {...of('bath')} />
    case 'count':
      return <CountForm {...shared} {...of('count')} />
    case 'feed':
      return <FeedForm {...shared} {...of('feed')} />
    case 'top-off':
      return <TopOffForm {...shared} {...of('top-off')} />
    case 'contact':
      return <ContactForm {...shared} {...of('contact')} />
    case 'photo':
      return <PhotoForm {...shared} />
  }
}
