/** Pixels of a picture, as its file states them before it is unpacked. */
export interface PictureSize {
  width: number
  height: number
}

const PNG = [0x89, 0x50, 0x4e, 0x47]
const RIFF = [0x52, 0x49, 0x46, 0x46]
const JPEG = [0xff, 0xd8]

const beginsWith = (bytes: Uint8Array, start: readonly number[]) => start.every((byte, i) => bytes[i] === byte)

/** JPEG: the frame header (SOF0 to SOF15, without the tables that share their range) holds height, then width. */
function jpegSize(view: DataView): PictureSize | null {
  let at = 2
  while (at + 9 < view.byteLength) {
    if (view.getUint8(at) !== 0xff) return null
    const marker = view.getUint8(at + 1)
    const isFrame = marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker)
    if (isFrame) return { width: view.getUint16(at + 7), height: view.getUint16(at + 5) }
    // Fill bytes and markers without a length.
    at += marker === 0xff ? 1 : marker === 0x01 || (marker >= 0xd0 && marker <= 0xd8) ? 2 : 2 + view.getUint16(at + 2)
  }
  return null
}

/** WebP: lossy, lossless and extended files each state their size in a place of their own. */
function webpSize(view: DataView): PictureSize | null {
  const kind = String.fromCharCode(...[12, 13, 14, 15].map((at) => view.getUint8(at)))
  if (kind === 'VP8 ') return { width: view.getUint16(26, true) & 0x3fff, height: view.getUint16(28, true) & 0x3fff }
  if (kind === 'VP8L') {
    const bits = view.getUint32(21, true)
    return { width: (bits & 0x3fff) + 1, height: ((bits >> 14) & 0x3fff) + 1 }
  }
  const threeBytes = (at: number) => view.getUint16(at, true) + (view.getUint8(at + 2) << 16)
  return kind === 'VP8X' ? { width: threeBytes(24) + 1, height: threeBytes(27) + 1 } : null
}

/**
 * The size that a picture's file states.
 * @param bytes the file, or its first 256 KB
 * @returns null for a kind of picture that is not known, or a file that is damaged
 */
export function statedSize(bytes: Uint8Array): PictureSize | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  try {
    if (beginsWith(bytes, PNG)) return { width: view.getUint32(16), height: view.getUint32(20) }
    if (beginsWith(bytes, JPEG)) return jpegSize(view)
    if (beginsWith(bytes, RIFF)) return webpSize(view)
  } catch {
    // Cut off before its size.
  }
  return null
}
