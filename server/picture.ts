import { deflateSync } from 'node:zlib'

const WIDTH = 320
const HEIGHT = 200

/** CRC-32 of a PNG chunk (ISO 3309). */
function crc32(bytes: Buffer): number {
  let crc = ~0
  for (const byte of bytes) {
    crc ^= byte
    for (let bit = 0; bit < 8; bit++) crc = (crc >>> 1) ^ (crc & 1 ? 0xedb88320 : 0)
  }
  return ~crc >>> 0
}

function chunk(type: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(type, 'latin1'), data])
  const [length, crc] = [Buffer.alloc(4), Buffer.alloc(4)]
  length.writeUInt32BE(data.length)
  crc.writeUInt32BE(crc32(body))
  return Buffer.concat([length, body, crc])
}

/**
 * What the stand-in camera sees, as a PNG: water, a line of sand and a few bubbles that rise with the seconds. Made up, so that a picture of a tank is not
 * taken for a real one.
 * @param at ms
 */
export function standInPicture(at: number): Buffer {
  const rows = Buffer.alloc(HEIGHT * (1 + WIDTH * 3))
  const bubbles = Array.from({ length: 7 }, (_, i) => ({
    x: 30 + i * 42,
    y: HEIGHT - 50 - ((at / 40 + i * 61) % (HEIGHT - 60)),
    radius: 3 + (i % 3),
  }))
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const isSand = y > HEIGHT - 34 + 5 * Math.sin(x / 27)
      const isBubble = bubbles.some((one) => Math.abs(Math.hypot(x - one.x, y - one.y) - one.radius) < 1)
      const depth = y / HEIGHT
      const [red, green, blue] = isSand
        ? [196, 182, 150]
        : isBubble
          ? [226, 240, 238]
          : [40 + 30 * depth, 120 - 40 * depth, 120 - 30 * depth]
      const place = y * (1 + WIDTH * 3) + 1 + x * 3
      rows[place] = red
      rows[place + 1] = green
      rows[place + 2] = blue
    }
  const header = Buffer.alloc(13)
  header.writeUInt32BE(WIDTH, 0)
  header.writeUInt32BE(HEIGHT, 4)
  header.set([8, 2, 0, 0, 0], 8)
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', header),
    chunk('IDAT', deflateSync(rows)),
    chunk('IEND', Buffer.alloc(0)),
  ])
}
