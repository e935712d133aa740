import type { ContentOf, Entry } from '../../core/journal/entry.ts'
import { iso } from '../../core/time/zone.ts'
import { thisInstant } from '../frame/now.tsx'
import { entriesOf, newId, photosOf } from '../journal/opened.ts'
import type { Household } from '../journal/provider.tsx'
import type { ScaledPhoto } from './scale.ts'

/** What a picture belongs to. */
export type PhotoOf = Pick<ContentOf<'photo'>, 'tankId' | 'animalIds' | 'about' | 'caption'>

/** The entry of a picture. */
const photoContent = (
  photoId: string,
  { jpeg, widthPx, heightPx }: ScaledPhoto,
  of: PhotoOf,
  happened: string,
): ContentOf<'photo'> => ({ kind: 'photo', happened, photoId, ...of, widthPx, heightPx, bytes: jpeg.length })

/**
 * Keeps pictures: each on disk before the entry that names it, so that no entry is ever without its picture.
 * @throws StorageRefusal, and then no entry was kept
 */
export async function keepPhotos(
  household: Household,
  photos: readonly ScaledPhoto[],
  of: PhotoOf,
  happened = iso(thisInstant()),
): Promise<Entry[]> {
  if (photos.length === 0) return []
  const store = photosOf(household.which)
  const contents: ContentOf<'photo'>[] = []
  for (const photo of photos) {
    const photoId = newId()
    await store.put(photoId, photo.jpeg)
    contents.push(photoContent(photoId, photo, of, happened))
  }
  return household.takeIn(entriesOf(contents))
}
