import { screen, waitFor, within } from '@testing-library/react'
import type { ContentOf } from '../../core/journal/entry.ts'
import { renderInHousehold, sampleOf } from '../../scripts/testing/app.tsx'
import { TWO_TANKS } from '../../scripts/testing/arrivals.ts'
import { useHousehold } from '../journal/provider.tsx'
import { PictureList } from './PictureList.tsx'

const photo = (photoId: string, happened: string, widthPx: number): ContentOf<'photo'> => ({
  kind: 'photo',
  happened,
  photoId,
  tankId: 'hall',
  widthPx,
  heightPx: 1200,
  bytes: 340_400,
})

function List() {
  const { journal } = useHousehold()
  return <PictureList photos={journal.ofKind('photo').filter(({ struck }) => !struck)} alt="the case" />
}

beforeAll(() => {
  URL.createObjectURL = () => 'blob:picture'
  URL.revokeObjectURL = () => {}
})

const dates = () => screen.getAllByRole('listitem').map((item) => within(item).getByText(/×/).textContent)

test('pictures show date and size, in either order; one opens large, one is struck out after a second press', async () => {
  const { user } = await renderInHousehold(
    <List />,
    sampleOf(...TWO_TANKS, photo('a', '2026-10-01T10:00:00Z', 1600), photo('b', '2026-10-03T10:00:00Z', 900)),
    '/',
  )
  await waitFor(() => expect(dates()).toEqual(['900 × 1200, 340 KB', '1600 × 1200, 340 KB']))
  await user.click(screen.getByRole('button', { name: 'oldest first' }))
  expect(dates()).toEqual(['1600 × 1200, 340 KB', '900 × 1200, 340 KB'])
  await user.click(screen.getAllByRole('button', { name: /^Open the picture of/ })[0]!)
  const dialog = await screen.findByRole('dialog')
  expect(within(dialog).getByRole('heading')).toHaveTextContent(/^the case, /)
  await user.click(within(dialog).getByRole('button', { name: 'Close' }))
  await waitFor(() => expect(screen.queryByRole('dialog')).not.toBeInTheDocument())
  await user.click(screen.getAllByRole('button', { name: /^Strike out the picture of/ })[0]!)
  expect(dates()).toHaveLength(2)
  await user.click(screen.getByRole('button', { name: 'yes, strike it out' }))
  await waitFor(() => expect(dates()).toEqual(['900 × 1200, 340 KB']))
})
