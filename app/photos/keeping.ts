import type { Content, ContentOf, Entry } from '../../core/journal/entry.ts'
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

/** Puts pictures on disk, before any entry names them: so no entry is ever without its picture. */
async function stored(
  { which }: Pick<Household, 'which'>,
  photos: readonly ScaledPhoto[],
  of: PhotoOf,
  happened: string,
): Promise<ContentOf<'photo'>[]> {
  const store = photosOf(which)
  const contents: ContentOf<'photo'>[] = []
  for (const photo of photos) {
    const photoId = newId()
    await store.put(photoId, photo.jpeg)
    contents.push(photoContent(photoId, photo, of, happened))
  }
  return contents
}

/**
 * Keeps pictures of something that is in the journal, or of a tank or animal.
 * @throws StorageRefusal, and then no entry was kept
 */
export const keepPhotos = async (
  household: Household,
  photos: readonly ScaledPhoto[],
  of: PhotoOf,
  happened = iso(thisInstant()),
): Promise<Entry[]> =>
  photos.length === 0
    ? []
    : household.keepEntries(entriesOf(household.journal, await stored(household, photos, of, happened)))

/**
 * Keeps something with its pictures, all of it or nothing: a second try after a refusal says nothing twice.
 * @throws StorageRefusal, and then no entry was kept
 */
export async function keepWithPhotos(
  household: Household,
  content: Content,
  photos: readonly ScaledPhoto[],
  of: Omit<PhotoOf, 'about'>,
): Promise<Entry[]> {
  const entries = entriesOf(household.journal, [content])
  const pictures = await stored(household, photos, { ...of, about: entries[0]!.id }, content.happened)
  return household.keepEntries([...entries, ...entriesOf(household.journal, pictures)])
}
