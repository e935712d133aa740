import { statedSize } from './picture-size.ts'

/** The longer side of a kept picture: enough to see a grain on a fin, a tenth of what a phone takes. */
const LONGEST_PX = 1600
const QUALITY = 0.82

/** Unpacked, a picture takes 4 bytes a pixel: more than this fills a phone's memory. */
const MOST_MEGAPIXELS = 40
/** A camera's own notes and its small preview stand before a picture's size. */
const HEAD_BYTES = 256 * 1024

/** A picture scaled down, ready to be kept. */
export interface ScaledPhoto {
  jpeg: Uint8Array
  widthPx: number
  heightPx: number
}

/** The size a picture is kept at: no larger than it came, in its own shape. */
export function scaledSize(width: number, height: number, longest = LONGEST_PX): { widthPx: number; heightPx: number } {
  const share = Math.min(1, longest / Math.max(width, height))
  return { widthPx: Math.max(1, Math.round(width * share)), heightPx: Math.max(1, Math.round(height * share)) }
}

/**
 * Scales a picture down to a JPEG, upright as the camera held it; where it was taken and by what is not kept.
 * @throws Error in words, for a file that is no picture this browser can read
 */
export async function scaleDown(file: Blob): Promise<ScaledPhoto> {
  const stated = statedSize(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()))
  const megapixels = stated ? (stated.width * stated.height) / 1e6 : 0
  if (megapixels > MOST_MEGAPIXELS)
    throw new Error(
      `this picture has ${Math.round(megapixels)} megapixels, more than a phone can unpack; take it at up to ${MOST_MEGAPIXELS}, or crop it first`,
    )
  let bitmap: ImageBitmap
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
  } catch {
    throw new Error('this browser cannot read this file as a picture; it reads JPEG, PNG and WebP')
  }
  try {
    const { widthPx, heightPx } = scaledSize(bitmap.width, bitmap.height)
    const canvas = document.createElement('canvas')
    canvas.width = widthPx
    canvas.height = heightPx
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, widthPx, heightPx)
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY))
    if (!blob) throw new Error('this picture is too large for this browser to scale down')
    return { jpeg: new Uint8Array(await blob.arrayBuffer()), widthPx, heightPx }
  } finally {
    bitmap.close()
  }
}
