import type { Content, ContentOf, Entry } from '../../core/journal/entry.ts'
import { iso } from '../../core/time/zone.ts'
import { thisInstant } from '../frame/now.tsx'
import { clipsOf, entriesOf, newId, photosOf } from '../journal/opened.ts'
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

/** Largest film that is kept, bytes: twenty seconds of a phone's usual film. */
export const MOST_CLIP_BYTES = 60_000_000

/**
 * Keeps a short film beside an entry, on this device only.
 * @throws Error in words for a file that is no film or too large; StorageRefusal when the browser would not keep it
 */
export async function keepClip(
  household: Household,
  file: File,
  of: Pick<ContentOf<'clip'>, 'tankId' | 'about' | 'caption'>,
): Promise<Entry[]> {
  const mime = file.type.split(';')[0]!
  if (!/^video\/[a-z0-9.+-]{1,40}$/.test(mime)) throw new Error('this file is no film: a clip from the camera is')
  if (file.size > MOST_CLIP_BYTES)
    throw new Error(
      `this clip has ${Math.round(file.size / 1_000_000)} MB: at most ${MOST_CLIP_BYTES / 1_000_000} are kept. Ten seconds are enough, at the camera’s smaller size`,
    )
  const clipId = newId()
  await clipsOf(household.which).put(clipId, new Uint8Array(await file.arrayBuffer()))
  const happened = iso(thisInstant())
  return household.keepEntries(
    entriesOf(household.journal, [{ kind: 'clip', happened, clipId, ...of, mime, bytes: file.size }]),
  )
}

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
