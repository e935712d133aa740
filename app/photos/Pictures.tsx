import { useQuery } from '@tanstack/react-query'
import { useEffect, useMemo } from 'react'
import { styled } from 'styled-components'
import type { ContentOf } from '../../core/journal/entry.ts'
import type { Line } from '../../core/journal/journal.ts'
import { photosOf } from '../journal/opened.ts'
import { useHousehold } from '../journal/provider.tsx'
import { Small } from '../look/text.ts'

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: 10px;
  figure {
    margin: 0;
  }
  img {
    display: block;
    width: 100%;
    height: auto;
    border: 1px solid var(--strong-rule);
    border-radius: 2px;
  }
`

/** An address for bytes, for as long as they are shown. */
function useAddress(jpeg: Uint8Array): string {
  const address = useMemo(() => URL.createObjectURL(new Blob([Uint8Array.from(jpeg)], { type: 'image/jpeg' })), [jpeg])
  useEffect(() => () => URL.revokeObjectURL(address), [address])
  return address
}

/** A picture that is in hand, kept or not yet. */
export function Picture({
  jpeg,
  alt,
  width,
  height,
}: {
  jpeg: Uint8Array
  alt: string
  width: number
  height: number
}) {
  const address = useAddress(jpeg)
  return <img src={address} alt={alt} width={width} height={height} />
}

/** A picture of the journal, where this device holds it. */
export function KeptPicture({ content, alt }: { content: ContentOf<'photo'>; alt: string }) {
  const { which } = useHousehold()
  const { data, isPending } = useQuery({
    queryKey: ['photo', which, content.photoId],
    queryFn: () => photosOf(which).get(content.photoId),
    staleTime: Infinity,
  })
  if (isPending) return <Small>…</Small>
  if (!data)
    return <Small>A photo that is not on this device: it comes with an export (zip) of the one that took it.</Small>
  return <Picture jpeg={data} alt={alt} width={content.widthPx} height={content.heightPx} />
}

/** Pictures of the journal, each with its words. */
export function Pictures({ photos, alt }: { photos: readonly Line<ContentOf<'photo'>>[]; alt: string }) {
  if (photos.length === 0) return null
  return (
    <Grid>
      {photos.map(({ id, content }) => (
        <figure key={id}>
          <KeptPicture content={content} alt={content.caption ?? alt} />
          {content.caption && (
            <figcaption>
              <Small>{content.caption}</Small>
            </figcaption>
          )}
        </figure>
      ))}
    </Grid>
  )
}

/** The pictures that belong to an entry, a photo's own among them. */
export function usePicturesAbout(entryId: string): Line<ContentOf<'photo'>>[] {
  const { journal } = useHousehold()
  const own = journal.line(entryId)
  return [
    ...(own?.content.kind === 'photo' ? [own] : []),
    ...journal.about(`pictures:${entryId}`).filter(({ struck, content }) => !struck && content.kind === 'photo'),
  ] as Line<ContentOf<'photo'>>[]
}
