import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate'

/** Where the journal and its pictures stand in an exported archive: docs/formats.md. */
const JOURNAL = 'journal.json'
const FOLDER = 'photos/'
const JPEG_START = [0xff, 0xd8]

export const photoPath = (id: string): string => `${FOLDER}${id}.jpg`

/** What a file to be imported holds. */
export interface Archive {
  text: string
  photos: ReadonlyMap<string, Uint8Array>
}

const isJpeg = (bytes: Uint8Array) => JPEG_START.every((byte, i) => bytes[i] === byte)
/** "PK": how every zip begins. */
const isZip = (bytes: Uint8Array) => bytes[0] === 0x50 && bytes[1] === 0x4b

/** A journal with its pictures as one zip. Pictures are stored as they are: a JPEG does not get smaller. */
export function packArchive(text: string, photos: ReadonlyMap<string, Uint8Array>): Uint8Array {
  const files: Zippable = { [JOURNAL]: [strToU8(text), { level: 6 }] }
  for (const [id, jpeg] of photos) files[photoPath(id)] = [jpeg, { level: 0 }]
  return zipSync(files)
}

/** Reads a journal file, with pictures or without. The problem says what is wrong with the archive itself. */
export function readArchive(bytes: Uint8Array): Archive | { problem: string } {
  if (!isZip(bytes)) return { text: new TextDecoder().decode(bytes), photos: new Map() }
  let files: Record<string, Uint8Array>
  try {
    files = unzipSync(bytes)
  } catch (error) {
    return { problem: `this archive cannot be unpacked (${(error as Error).message}): it may have come in part only` }
  }
  const journal = files[JOURNAL]
  if (!journal) return { problem: `expected ${JOURNAL} in the archive; it holds none` }
  const photos = new Map<string, Uint8Array>()
  for (const [path, content] of Object.entries(files)) {
    if (!path.startsWith(FOLDER) || !path.endsWith('.jpg')) continue
    if (!isJpeg(content)) return { problem: `${path} is no JPEG picture` }
    photos.set(path.slice(FOLDER.length, -'.jpg'.length), content)
  }
  return { text: strFromU8(journal), photos }
}
