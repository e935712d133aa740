import { lazy, Suspense, useState } from 'react'
import { styled } from 'styled-components'
import type { ContentOf } from '../../core/journal/entry.ts'
import type { Line as JournalLine } from '../../core/journal/journal.ts'
import { momentBeside } from '../../core/time/words.ts'
import { useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { PlainButton } from '../look/buttons.ts'
import { Line, Small, Stack } from '../look/text.ts'
import { KeptPicture } from './Pictures.tsx'

const LazyLarge = lazy(async () => ({ default: (await import('./LargePicture.tsx')).LargePicture }))

const Grid = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 16px;
`

const Open = styled.button`
  display: block;
  width: 100%;
  padding: 0;
  border: 0;
  background: none;
  cursor: zoom-in;
  img {
    display: block;
    width: 100%;
    height: auto;
    border: 1px solid var(--strong-rule);
    border-radius: 2px;
  }
`

const BYTES_PER_KB = 1000

/** How large a picture is, in words: “1600 × 1200, 340 KB”. */
const sizeText = ({ widthPx, heightPx, bytes }: ContentOf<'photo'>): string =>
  `${widthPx} × ${heightPx}, ${Math.round(bytes / BYTES_PER_KB)} KB`

/** Pictures with their dates and sizes, in either order; each opens large and can be struck out. */
export function PictureList({ photos, alt }: { photos: readonly JournalLine<ContentOf<'photo'>>[]; alt: string }) {
  const { settings, strike } = useHousehold()
  const now = useNow()
  const [isNewestFirst, setNewestFirst] = useState(true)
  const [large, setLarge] = useState<string | null>(null)
  const [asked, setAsked] = useState<string | null>(null)
  if (photos.length === 0) return null
  const shown = photos.toSorted((a, b) => (isNewestFirst ? b.at - a.at : a.at - b.at))
  const open = shown.find(({ id }) => id === large)
  const dated = (at: number) => momentBeside(at, now, settings.clock)
  return (
    <Stack $gap={10}>
      {photos.length > 1 && (
        <div>
          <PlainButton onPress={() => setNewestFirst(!isNewestFirst)}>
            {isNewestFirst ? 'oldest first' : 'newest first'}
          </PlainButton>
        </div>
      )}
      <Grid aria-label="Pictures">
        {shown.map(({ id, at, content }) => (
          <li key={id}>
            <Open type="button" onClick={() => setLarge(id)} aria-label={`Open the picture of ${dated(at)} large`}>
              <KeptPicture content={content} alt={content.caption ?? `${alt}, ${dated(at)}`} />
            </Open>
            <strong>{dated(at)}</strong>
            <Small>
              {content.caption !== undefined && `${content.caption} · `}
              {sizeText(content)}
            </Small>
            {asked === id ? (
              <Line $gap={12}>
                <PlainButton
                  onPress={() => {
                    setAsked(null)
                    void strike(id)
                  }}
                >
                  yes, strike it out
                </PlainButton>
                <PlainButton onPress={() => setAsked(null)}>keep it</PlainButton>
              </Line>
            ) : (
              <PlainButton onPress={() => setAsked(id)} aria-label={`Strike out the picture of ${dated(at)}`}>
                strike out
              </PlainButton>
            )}
          </li>
        ))}
      </Grid>
      {open && (
        <Suspense fallback={null}>
          <LazyLarge
            content={open.content}
            title={`${open.content.caption ?? alt}, ${dated(open.at)}`}
            onClose={() => setLarge(null)}
          />
        </Suspense>
      )}
    </Stack>
  )
}
