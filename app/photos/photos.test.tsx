import { screen, waitFor, within } from '@testing-library/react'
import { Route, Routes } from 'react-router'
import type { Content } from '../../core/journal/entry.ts'
import { renderInHousehold, sampleOf } from '../../scripts/testing/app.tsx'
import { awaited, TWO_TANKS } from '../../scripts/testing/arrivals.ts'
import { photosOf } from '../journal/opened.ts'
import { useHousehold } from '../journal/provider.tsx'
import { BoxPage } from '../screens/arrivals/BoxPage.tsx'
import { StorageRefusal } from '../storage/refusal.ts'

const JPEG = [0xff, 0xd8, 7, 7, 7]
let drawn: number[][] = []

// jsdom decodes and draws nothing: a camera's picture of 4000 by 3000, which a canvas makes into five bytes.
beforeAll(() => {
  Object.assign(globalThis, {
    createImageBitmap: (file: File) =>
      file.type === 'image/jpeg'
        ? Promise.resolve({ width: 4000, height: 3000, close: () => {} })
        : Promise.reject(new Error('no picture')),
  })
  HTMLCanvasElement.prototype.getContext = (() => ({
    drawImage: (_: unknown, ...box: number[]) => drawn.push(box),
  })) as unknown as HTMLCanvasElement['getContext']
  HTMLCanvasElement.prototype.toBlob = (done) =>
    done({ arrayBuffer: () => Promise.resolve(Uint8Array.from(JPEG).buffer) } as Blob)
  URL.createObjectURL = () => 'blob:picture'
  URL.revokeObjectURL = () => {}
})

beforeEach(() => {
  drawn = []
  localStorage.clear()
})
afterEach(() => jest.restoreAllMocks())

function Lines() {
  const { journal } = useHousehold()
  const kinds = ['sighting', 'dead-on-arrival', 'photo'] as const
  const lines = kinds.flatMap((kind) => journal.ofKind(kind).map(({ id, content }) => ({ id, ...content })))
  return <output aria-label="lines">{JSON.stringify(lines)}</output>
}

/** A box of three chromis that is being looked over. */
async function lookedOver() {
  const view = await renderInHousehold(
    <>
      <Routes>
        <Route path="/arrivals/box/:boxId/:step?" element={<BoxPage />} />
      </Routes>
      <Lines />
    </>,
    sampleOf(...TWO_TANKS, awaited({ species: 'blue chromis', count: 3 })),
    '/arrivals/box/box/inspect',
  )
  const lines = (kind: Content['kind']) =>
    (JSON.parse(screen.getByLabelText('lines').textContent) as (Content & { id: string })[]).filter(
      (line) => line.kind === kind,
    )
  const shoot = async (file = new File(['raw'], 'p.jpg', { type: 'image/jpeg' })) =>
    view.user.upload(screen.getByLabelText('Photo of 3 blue chromis, from a file'), file)
  return { ...view, lines, shoot }
}

test('a picture is scaled down before it is kept, belongs to what was found, and is shown with it', async () => {
  const { user, lines, shoot } = await lookedOver()
  await shoot()
  expect(await screen.findByRole('img', { name: '3 blue chromis, photo 1' })).toHaveAttribute('width', '1600')
  expect(drawn).toEqual([[0, 0, 1600, 1200]])
  await user.click(screen.getByRole('button', { name: /^white grains/ }))
  await user.click(screen.getByRole('button', { name: 'Log what was found on 3 blue chromis' }))
  await waitFor(() => expect(lines('photo')).toHaveLength(1))
  const [photo] = lines('photo') as (Content & { kind: 'photo'; id: string })[]
  expect(photo).toMatchObject({ about: lines('sighting')[0]!.id, widthPx: 1600, heightPx: 1200, bytes: 5 })
  expect([...(await photosOf('sample').get(photo!.photoId))!]).toEqual(JPEG)
  // Kept, it is no longer in hand but among what is kept.
  await waitFor(() => expect(screen.getByRole('img', { name: '3 blue chromis' })).toBeInTheDocument())
  expect(screen.queryByRole('img', { name: '3 blue chromis, photo 1' })).not.toBeInTheDocument()
})

test('one that was taken by mistake is left out', async () => {
  const { user, lines, shoot } = await lookedOver()
  await shoot()
  await user.click(await screen.findByRole('button', { name: 'leave it out' }))
  await user.click(screen.getByRole('button', { name: '3 blue chromis: nothing found' }))
  await waitFor(() => expect(lines('sighting')).toHaveLength(1))
  expect(lines('photo')).toEqual([])
})

test('a file that is no picture is told so; what was ticked stays', async () => {
  const { user, shoot } = await lookedOver()
  await user.click(screen.getByRole('button', { name: /^white grains/ }))
  await shoot(new File(['raw'], 'p.heic', { type: 'image/heic' }))
  expect(await screen.findByRole('alert')).toHaveTextContent(
    /cannot read this file as a picture; it reads JPEG, PNG and WebP/,
  )
  expect(screen.getByRole('button', { name: /^white grains/ })).toHaveAttribute('aria-pressed', 'true')
})

test('where a picture has no room nothing is kept, nothing is lost, and a second try counts the dead once', async () => {
  const { user, lines, shoot } = await lookedOver()
  await shoot()
  jest.spyOn(photosOf('sample'), 'put').mockRejectedValueOnce(new StorageRefusal('full'))
  await user.click(screen.getByRole('button', { name: '3 blue chromis: dead on arrival' }))
  await user.click(screen.getByRole('button', { name: '2 of 3 dead' }))
  expect(await screen.findByText(/storage is full, so this was not kept/)).toBeInTheDocument()
  expect(lines('dead-on-arrival')).toEqual([])
  expect(screen.getByRole('img', { name: '3 blue chromis, photo 1' })).toBeInTheDocument()
  await user.click(screen.getByRole('button', { name: '2 of 3 dead' }))
  await waitFor(() => expect(lines('dead-on-arrival')).toMatchObject([{ count: 2 }]))
  expect(lines('photo')).toMatchObject([
    { about: lines('dead-on-arrival')[0]!.id, caption: '3 blue chromis, dead on arrival' },
  ])
  expect(within(screen.getByRole('region', { name: 'blue chromis' })).queryByText(/not kept/)).not.toBeInTheDocument()
})

test('a picture that stayed on another device says where it is', async () => {
  await renderInHousehold(
    <Routes>
      <Route path="/arrivals/box/:boxId/:step?" element={<BoxPage />} />
    </Routes>,
    sampleOf(...TWO_TANKS, awaited(), {
      kind: 'photo',
      happened: '2026-07-02T10:00:00Z',
      photoId: 'elsewhere',
      tankId: 'side',
      animalIds: ['orchid'],
      widthPx: 1600,
      heightPx: 1200,
      bytes: 5,
    }),
    '/arrivals/box/box/inspect',
  )
  expect(await screen.findByText(/not on this device: it comes with an export \(zip\)/)).toBeInTheDocument()
})
