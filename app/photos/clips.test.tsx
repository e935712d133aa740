import { screen, waitFor } from '@testing-library/react'
import type { Content } from '../../core/journal/entry.ts'
import { bareTank } from '../../core/journal/testing.ts'
import { sampleOf } from '../../scripts/testing/app.tsx'
import { openScreens } from '../../scripts/testing/screens.tsx'
import { clipsOf } from '../journal/opened.ts'
import { Clips, TakeClip } from './Clips.tsx'
import { MOST_CLIP_BYTES } from './keeping.ts'

const SCREENS = {
  '/': (
    <>
      <TakeClip what="the slide" about="e0003" tankId="hall" />
      <Clips about="e0003" alt="The slide" />
    </>
  ),
}
const NOTE: Content = { kind: 'note', happened: '2026-07-02T08:00:00Z', tankId: 'hall', text: 'looked' }
const open = () => openScreens(SCREENS, ['clip'], sampleOf(bareTank('hall', 'Hall reef'), NOTE), '/')
const film = (bytes: number[], type = 'video/mp4;codecs=avc1') =>
  // jsdom reads no file into memory.
  Object.assign(new File([Uint8Array.from(bytes)], 'film', { type }), {
    arrayBuffer: () => Promise.resolve(Uint8Array.from(bytes).buffer),
  })
const input = () => screen.getByLabelText('Clip of the slide')

beforeEach(async () => {
  await clipsOf('sample').clear()
  URL.createObjectURL = () => 'blob:clip'
  URL.revokeObjectURL = () => {}
})

test('a clip is kept beside its entry, on this device', async () => {
  const { user, lines, container } = await open()
  await user.upload(input(), film([1, 2, 3]))
  await waitFor(() =>
    expect(lines('clip')).toEqual([
      expect.objectContaining({ about: 'e0003', tankId: 'hall', mime: 'video/mp4', bytes: 3 }),
    ]),
  )
  expect([...(await clipsOf('sample').get(lines('clip')[0]!.clipId))!]).toEqual([1, 2, 3])
  await waitFor(() => expect(container.querySelector('video')).toHaveAttribute('src', 'blob:clip'))
})
test('what is no film, or too long a one, is refused in words and keeps nothing', async () => {
  const { user, lines } = await open()
  await user.upload(input(), film([1], 'video/'))
  expect(await screen.findByRole('alert')).toHaveTextContent(/no film/)
  const large = film([1])
  Object.defineProperty(large, 'size', { value: MOST_CLIP_BYTES + 1 })
  await user.upload(input(), large)
  expect(await screen.findByText(/at most 60 are kept\. Ten seconds are enough/)).toBeInTheDocument()
  expect(lines('clip')).toEqual([])
  expect(await clipsOf('sample').ids()).toEqual([])
})
test('a clip of another device says where it is', async () => {
  const clip: Content = {
    kind: 'clip',
    happened: '2026-07-02T08:01:00Z',
    clipId: 'elsewhere',
    about: 'e0003',
    mime: 'video/mp4',
    bytes: 9,
  }
  await openScreens(SCREENS, ['clip'], sampleOf(bareTank('hall', 'Hall reef'), NOTE, clip), '/')
  expect(await screen.findByText(/on the device that took it/)).toBeInTheDocument()
})
