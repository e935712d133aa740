import { screen, waitFor, within } from '@testing-library/react'
import { strToU8 } from 'fflate'
import type { Content, Entry } from '../../core/journal/entry.ts'
import { exportJournal } from '../../core/journal/export.ts'
import { Journal } from '../../core/journal/journal.ts'
import { bareTank, note, scribe } from '../../core/journal/testing.ts'
import { renderInHousehold, sampleOf } from '../../scripts/testing/app.tsx'
import { copiesKept, keepCopy } from '../storage/copies.ts'
import { packArchive, readArchive } from './bring-in/archive.ts'
import { exportToFile } from './exporting.ts'
import { ImportFile } from './bring-in/ImportFile.tsx'
import { photosOf } from './opened.ts'
import { useHousehold } from './provider.tsx'
import { PutAside } from './PutAside.tsx'

const JPEG = Uint8Array.from([0xff, 0xd8, 5, 5])

const photo = (photoId: string): Content => ({
  kind: 'photo',
  happened: '2026-07-03T10:00:00Z',
  photoId,
  tankId: 'q',
  widthPx: 4,
  heightPx: 3,
  bytes: JPEG.length,
})

/** Entries of another device: their ids are not the sample's. */
function elsewhere(...contents: Content[]): Entry[] {
  const { record } = scribe()
  return contents.map((content, i) => ({ ...record(content), id: `other${i}` }))
}

function textOf(entries: readonly Entry[]): string {
  const journal = new Journal()
  journal.add(entries)
  return exportJournal(journal, '2026-07-04T10:00:00Z')
}

/** A file as a browser hands it over; jsdom's own cannot give its bytes. */
function fileOf(name: string, bytes: Uint8Array): File {
  const file = new File([Uint8Array.from(bytes)], name)
  Object.assign(file, { arrayBuffer: () => Promise.resolve(Uint8Array.from(bytes).buffer) })
  return file
}

function Notes() {
  const { journal } = useHousehold()
  return (
    <output aria-label="notes">
      {journal
        .ofKind('note')
        .map(({ content }) => content.text)
        .join('; ')}
    </output>
  )
}

/** What was handed to the keeper as a file: its name and bytes. */
let saved: { name: string; bytes: Uint8Array }[] = []

beforeEach(async () => {
  saved = []
  await photosOf('sample').clear()
  const blobs = new Map<string, Uint8Array>()
  const { Blob: Plain } = globalThis
  globalThis.Blob = class extends Plain {
    readonly parts: BlobPart[]
    constructor(parts: BlobPart[] = [], options?: BlobPropertyBag) {
      super(parts, options)
      this.parts = parts
    }
  }
  URL.createObjectURL = (blob) => {
    const [part] = (blob as unknown as { parts: BlobPart[] }).parts
    const url = `blob:${blobs.size}`
    blobs.set(url, typeof part === 'string' ? strToU8(part) : (part as Uint8Array))
    return url
  }
  URL.revokeObjectURL = () => {}
  HTMLAnchorElement.prototype.click = function click(this: HTMLAnchorElement) {
    saved.push({ name: this.download, bytes: blobs.get(this.href)! })
  }
})

describe('a journal brought in', () => {
  const open = async () => {
    const view = await renderInHousehold(
      <>
        <ImportFile />
        <Notes />
      </>,
      sampleOf(bareTank('q', 'Quarantine'), note('q', 1, 'here')),
    )
    return { ...view, choose: (file: File) => view.user.upload(screen.getByLabelText('Journal file'), file) }
  }

  test('what it adds is shown first, then kept with its pictures; the same again adds nothing', async () => {
    const { user, choose } = await open()
    const text = textOf(elsewhere(note('q', 2, 'from the phone'), photo('p1')))
    const file = fileOf('phone.zip', packArchive(text, new Map([['p1', JPEG]])))
    await choose(file)
    expect(await screen.findByText(/would be added from phone\.zip.*, with 1 photo/)).toBeInTheDocument()
    expect(screen.getByLabelText('notes')).toHaveTextContent('here')
    await user.click(screen.getByRole('button', { name: 'Add 2 entries' }))
    expect(await screen.findByText('2 entries added with 1 photo.')).toBeInTheDocument()
    expect(screen.getByLabelText('notes')).toHaveTextContent('here; from the phone')
    expect([...(await photosOf('sample').get('p1'))!]).toEqual([...JPEG])
    await choose(file)
    expect(await screen.findByText(/Nothing new in phone\.zip: all 2 entries are here already/)).toBeInTheDocument()
  })

  test('pictures that came later are added by themselves', async () => {
    const { user, choose } = await open()
    const text = textOf(elsewhere(photo('p2')))
    await choose(fileOf('a.json', strToU8(text)))
    await user.click(await screen.findByRole('button', { name: 'Add 1 entry' }))
    await screen.findByText(/1 entry added/)
    await choose(fileOf('b.zip', packArchive(text, new Map([['p2', JPEG]]))))
    await user.click(await screen.findByRole('button', { name: 'Add 1 photo' }))
    await waitFor(async () => expect(await photosOf('sample').ids()).toEqual(['p2']))
  })

  test('a file with a fault changes nothing, and says where it is', async () => {
    const { choose } = await open()
    const text = textOf(elsewhere(note('q', 2, 'x'))).replace('"tankId"', '"tank"')
    await choose(fileOf('bad.json', strToU8(text)))
    const alert = await screen.findByRole('alert')
    expect(alert).toHaveTextContent(/^bad\.json was not taken in; nothing was changed\. [12] faults?:/)
    expect(alert).toHaveTextContent(/entries\/0/)
    await choose(fileOf('cut.zip', packArchive('{}', new Map([['p1', JPEG]])).slice(0, 40)))
    expect(await screen.findByText(/cannot be unpacked/)).toBeInTheDocument()
  })

  test('an entry that is here with other content is not overwritten', async () => {
    const { choose } = await open()
    const [first] = elsewhere(note('q', 2, 'otherwise'))
    // The sample's own ids count up from e0001.
    await choose(fileOf('clash.json', strToU8(textOf([{ ...first!, id: 'e0003' }]))))
    expect(await screen.findByRole('alert')).toHaveTextContent(/holds 1 entry that this journal has with other content/)
    expect(screen.getByLabelText('notes')).toHaveTextContent('here')
  })
})

describe('a journal carried out', () => {
  function Out() {
    const { journal, which } = useHousehold()
    return <button onClick={() => void exportToFile(which, journal)}>out</button>
  }

  test('with pictures it is a zip of both, without them the journal alone', async () => {
    const { user, unmount } = await renderInHousehold(<Out />, sampleOf(bareTank('q', 'Quarantine'), photo('p3')))
    await photosOf('sample').put('p3', JPEG)
    await user.click(screen.getByRole('button', { name: 'out' }))
    await waitFor(() => expect(saved).toHaveLength(1))
    expect(saved[0]!.name).toMatch(/^brinvo-sample-\d{4}-\d\d-\d\d\.zip$/)
    const archive = readArchive(saved[0]!.bytes)
    expect(archive).toMatchObject({ text: expect.stringMatching(/"photoId": ?"p3"/) as string })
    expect('photos' in archive && [...archive.photos.get('p3')!]).toEqual([...JPEG])
    unmount()
    await renderInHousehold(<Out />, sampleOf(bareTank('q', 'Quarantine')))
    await user.click(screen.getByRole('button', { name: 'out' }))
    await waitFor(() => expect(saved[1]?.name).toMatch(/\.json$/))
  })
})

describe('a journal put aside', () => {
  const open = async () => {
    for (const { id } of await copiesKept()) await (await import('../storage/copies.ts')).dropCopy(id)
    const keep = (id: string, made: string, ...contents: Content[]) =>
      keepCopy({ id, made, entries: contents.length, text: textOf(elsewhere(...contents)) })
    await keep('one', '2026-07-05T08:00:00Z', note('q', 2, 'of old'), photo('only'), photo('shared'))
    await keep('two', '2026-07-06T08:00:00Z', photo('shared'))
    const view = await renderInHousehold(
      <>
        <PutAside />
        <Notes />
      </>,
      sampleOf(bareTank('q', 'Quarantine'), note('q', 1, 'here')),
    )
    for (const id of ['only', 'shared', 'fresh']) await photosOf('sample').put(id, JPEG)
    const row = async () => {
      const list = await screen.findByRole('list', { name: 'Put aside' })
      return within(
        within(list)
          .getAllByRole('listitem')
          .find((item) => item.textContent.includes('3 entries'))!,
      )
    }
    return { ...view, row }
  }

  test('is brought back beside what is here', async () => {
    const { user, row } = await open()
    await user.click((await row()).getByRole('button', { name: 'bring back' }))
    expect(await screen.findByText(/It would add 2 photos and 1 notes, 3 Jul 2026/)).toBeInTheDocument()
    expect(screen.getByLabelText('notes')).not.toHaveTextContent('of old')
    await user.click((await row()).getByRole('button', { name: 'Add 3 entries' }))
    await waitFor(() => expect(screen.getByLabelText('notes')).toHaveTextContent('here; of old'))
  })

  test('is saved as a file with its pictures', async () => {
    const { user, row } = await open()
    await user.click((await row()).getByRole('button', { name: 'save as a file' }))
    await waitFor(() => expect(saved[0]?.name).toBe('brinvo-put-aside-2026-07-05.zip'))
    const archive = readArchive(saved[0]!.bytes)
    expect('photos' in archive && [...archive.photos.keys()].sort()).toEqual(['only', 'shared'])
  })

  test('is deleted only when asked twice, with the pictures that nothing else names', async () => {
    const { user, row } = await open()
    await user.click((await row()).getByRole('button', { name: 'delete this copy' }))
    await user.click((await row()).getByRole('button', { name: 'keep it' }))
    expect(await copiesKept()).toHaveLength(2)
    await user.click((await row()).getByRole('button', { name: 'delete this copy' }))
    await user.click((await row()).getByRole('button', { name: 'delete 3 entries for good' }))
    await waitFor(async () => expect((await photosOf('sample').ids()).sort()).toEqual(['fresh', 'shared']))
    await waitFor(() => expect(screen.getAllByRole('listitem')).toHaveLength(1))
    expect((await copiesKept()).map(({ id }) => id)).toEqual(['two'])
  })
})
