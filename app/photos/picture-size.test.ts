import { statedSize } from './picture-size.ts'

const bytes = (...parts: (number | string)[]) =>
  Uint8Array.from(
    parts.flatMap((part) => (typeof part === 'string' ? Array.from(part, (letter) => letter.charCodeAt(0)) : [part])),
  )

test('a JPEG’s frame header is found behind its other parts', () => {
  const app = [0xff, 0xe1, 0, 6, 1, 2, 3, 4]
  const frame = [0xff, 0xc2, 0, 17, 8, 0x1f, 0x40, 0x17, 0x70, 3]
  expect(statedSize(bytes(0xff, 0xd8, ...app, 0xff, ...frame, 0, 0, 0))).toEqual({ width: 6000, height: 8000 })
})

test('a PNG and the three kinds of WebP state theirs', () => {
  const png = bytes(0x89, 'PNG', 13, 10, 26, 10, 0, 0, 0, 13, 'IHDR', 0, 0, 0x27, 0x10, 0, 0, 0x13, 0x88, 8)
  expect(statedSize(png)).toEqual({ width: 10_000, height: 5000 })
  const webp = (kind: string, ...rest: number[]) => bytes('RIFF', 0, 0, 0, 0, 'WEBP', kind, ...rest)
  expect(statedSize(webp('VP8 ', 0, 0, 0, 0, 0, 0, 0, 0x9d, 0x01, 0x2a, 0x20, 0x03, 0x58, 0x02))).toEqual({
    width: 800,
    height: 600,
  })
  expect(statedSize(webp('VP8L', 0, 0, 0, 0, 0x2f, 0x1f, 0xc3, 0x95, 0x00))).toEqual({ width: 800, height: 600 })
  expect(statedSize(webp('VP8X', 0, 0, 0, 0, 0, 0, 0, 0, 0x0f, 0x27, 0, 0x87, 0x13, 0))).toEqual({
    width: 10_000,
    height: 5000,
  })
})

test('what is cut off, or no picture, states none', () => {
  for (const file of [
    bytes(),
    bytes(0xff, 0xd8, 0xff),
    bytes(0x89, 'PNG'),
    bytes('GIF89a', 1, 0, 1, 0),
    bytes('RIFF', 1),
  ])
    expect(statedSize(file)).toBeNull()
})
