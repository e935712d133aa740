import crc32 from 'crc-32'
import { strFromU8, strToU8, unzipSync, zipSync, type UnzipFileInfo, type Zippable } from 'fflate'

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

/** A picture's id as entries name it: nothing that could be a path. */
const PHOTO_ID = /^[A-Za-z0-9_-]{1,64}$/
/** Largest journal text and picture that are unpacked; a phone holds them, and no household comes near. */
const MAX_TEXT_BYTES = 128 * 1024 * 1024
const MAX_PHOTO_BYTES = 24 * 1024 * 1024
/** A journal packs to about a tenth; what packs a hundred times smaller was made to fill the memory. */
const MAX_RATIO = 100
const SMALL_BYTES = 1024 * 1024

const LOCAL_HEADER = 0x04034b50
const LOCAL_BYTES = 30
const CENTRAL_HEADER = 0x02014b50
const END_OF_DIRECTORY = 0x06054b50
/** Bytes of an end record without its comment, and of a directory record without its name. */
const END_BYTES = 22
const RECORD_BYTES = 46

const NOT_UTF8 = 'this is no text in UTF-8: copy the file again from where it was saved'

/** Bytes as text; null where they are not UTF-8. */
function utf8Text(bytes: Uint8Array): string | null {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return null
  }
}

/** The checksums that a zip's own directory states, by file name; a name that stands there twice; null where the directory cannot be read. */
function checksumsOf(bytes: Uint8Array): Map<string, number> | string | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  let end = bytes.length - END_BYTES
  while (end >= 0 && view.getUint32(end, true) !== END_OF_DIRECTORY) end--
  if (end < 0) return null
  const checksums = new Map<string, number>()
  let at = view.getUint32(end + 16, true)
  for (let left = view.getUint16(end + 10, true); left > 0; left--) {
    if (at + RECORD_BYTES > bytes.length || view.getUint32(at, true) !== CENTRAL_HEADER) return null
    const [name, extra, comment] = [28, 30, 32].map((offset) => view.getUint16(at + offset, true)) as [
      number,
      number,
      number,
    ]
    const named = strFromU8(bytes.subarray(at + RECORD_BYTES, at + RECORD_BYTES + name))
    const local = view.getUint32(at + 42, true)
    // A file's name stands twice: where the two differ one of them is damaged.
    if (
      local + LOCAL_BYTES + name > bytes.length ||
      view.getUint32(local, true) !== LOCAL_HEADER ||
      strFromU8(bytes.subarray(local + LOCAL_BYTES, local + LOCAL_BYTES + name)) !== named
    )
      return null
    if (checksums.has(named)) return named
    checksums.set(named, view.getUint32(at + 16, true))
    at += RECORD_BYTES + name + extra + comment
  }
  // The count of its files stands twice too, and nothing lies between the directory and its end.
  return at === end && view.getUint16(end + 8, true) === view.getUint16(end + 10, true) ? checksums : null
}

/** Why a file of an archive is not unpacked, by what the archive says of it; null where nothing speaks against it. */
function refusalOf({ name, size, originalSize }: UnzipFileInfo): string | null {
  const most = name === JOURNAL ? MAX_TEXT_BYTES : MAX_PHOTO_BYTES
  if (originalSize > most || (originalSize > SMALL_BYTES && originalSize > size * MAX_RATIO))
    return `${name} would unpack to ${Math.round(originalSize / 1024 / 1024)} MB: expected a file that Brinvo wrote`
  if (name !== JOURNAL && !PHOTO_ID.test(name.slice(FOLDER.length, -'.jpg'.length)))
    return `${name.slice(0, 80)} is not a picture of this journal: expected ${FOLDER} and its id`
  return null
}

/** Reads a journal file, with pictures or without. The problem says what is wrong with the archive itself. */
export function readArchive(bytes: Uint8Array): Archive | { problem: string } {
  if (!isZip(bytes)) {
    const text = utf8Text(bytes)
    return text === null ? { problem: NOT_UTF8 } : { text, photos: new Map() }
  }
  let files: Record<string, Uint8Array>
  const refused: string[] = []
  try {
    files = unzipSync(bytes, {
      filter: (file) => {
        const isPhoto = file.name.startsWith(FOLDER) && file.name.endsWith('.jpg')
        if (file.name !== JOURNAL && !isPhoto) return false
        const refusal = refusalOf(file)
        if (refusal) refused.push(refusal)
        return refusal === null
      },
    })
  } catch (error) {
    return { problem: `this archive cannot be unpacked (${(error as Error).message}): it may have come in part only` }
  }
  if (refused[0] !== undefined) return { problem: refused[0] }
  const checksums = checksumsOf(bytes)
  if (typeof checksums === 'string')
    return { problem: `${checksums.slice(0, 80)} stands twice in this archive: expected it once` }
  if (!checksums) return { problem: 'this archive is damaged: copy the file again from where it was saved' }
  for (const [name, content] of Object.entries(files))
    if (checksums.get(name) !== crc32.buf(content) >>> 0)
      return { problem: `${name} is damaged: its checksum does not fit. Copy the file again from where it was saved` }
  const journal = files[JOURNAL]
  if (!journal) return { problem: `expected ${JOURNAL} in the archive; it holds none` }
  const photos = new Map<string, Uint8Array>()
  for (const [path, content] of Object.entries(files)) {
    if (path === JOURNAL) continue
    if (!isJpeg(content)) return { problem: `${path} is no JPEG picture` }
    photos.set(path.slice(FOLDER.length, -'.jpg'.length), content)
  }
  const text = utf8Text(journal)
  return text === null ? { problem: `${JOURNAL} is damaged: ${NOT_UTF8}` } : { text, photos }
}
