import { strToU8, zipSync } from 'fflate'
import { packArchive, readArchive } from './archive.ts'

const jpeg = Uint8Array.from([0xff, 0xd8, 9, 9, 9])

test('what is packed is read again, letter for letter and bit for bit', () => {
  const archive = readArchive(packArchive('{"format":"brinvo-journal"}', new Map([['p1', jpeg]])))
  expect(archive).toEqual({ text: '{"format":"brinvo-journal"}', photos: new Map([['p1', jpeg]]) })
})

test('a plain journal file is read as before', () => {
  expect(readArchive(strToU8('{"a":1}'))).toEqual({ text: '{"a":1}', photos: new Map() })
})

test('a plain file that is not UTF-8 is not guessed at', () => {
  expect(readArchive(Uint8Array.from([0x7b, 0x22, 0xe9, 0x22, 0x7d]))).toMatchObject({
    problem: expect.stringMatching(/no text in UTF-8/),
  })
})

/** An archive whose directory names one file twice. */
function twice(name: string): Uint8Array {
  const other = name.replace(/./, 'b')
  const bytes = zipSync({ 'journal.json': strToU8('{}'), [name]: strToU8('1'), [other]: strToU8('2') })
  const text = Array.from(bytes, (byte) => String.fromCharCode(byte)).join('')
  return Uint8Array.from(text.replaceAll(other, name), (letter) => letter.charCodeAt(0))
}

test.each([
  ['cut short', packArchive('{}', new Map([['p1', jpeg]])).slice(0, 40), /cannot be unpacked/],
  ['without a journal', zipSync({ 'notes.txt': strToU8('hello') }), /expected journal.json/],
  [
    'with a picture whose name is a path',
    zipSync({ 'journal.json': strToU8('{}'), 'photos/../../evil.jpg': jpeg }),
    /evil\.jpg is not a picture of this journal/,
  ],
  ['with text in no UTF-8', zipSync({ 'journal.json': Uint8Array.from([0x7b, 0xff, 0x7d]) }), /no text in UTF-8/],
  ['with a name twice', twice('a.txt'), /a\.txt stands twice/],
  [
    'that would fill the memory',
    zipSync({ 'journal.json': new Uint8Array(40 * 1024 * 1024) }),
    /would unpack to 40 MB: expected a file that Brinvo wrote/,
  ],
  [
    'with a picture that is none',
    zipSync({ 'journal.json': strToU8('{}'), 'photos/a.jpg': strToU8('GIF89a') }),
    /photos\/a.jpg is no JPEG/,
  ],
])('an archive %s says what is wrong', (_what, bytes, words) => {
  expect(readArchive(bytes)).toMatchObject({ problem: expect.stringMatching(words) })
})

test('whichever bit of an archive is flipped, nothing but what was packed is taken in', () => {
  const text = JSON.stringify({ format: 'brinvo-journal', entries: Array.from({ length: 30 }, (_, i) => `entry ${i}`) })
  const packed = packArchive(
    text,
    new Map([['p1', Uint8Array.from([0xff, 0xd8, ...Array.from({ length: 60 }, (_, i) => i)])]]),
  )
  const whole = readArchive(packed)
  let refused = 0
  for (let at = 2; at < packed.length; at++) {
    const damaged = packed.slice()
    damaged[at]! ^= 1 << (at % 8)
    const read = readArchive(damaged)
    if ('problem' in read) refused++
    else expect(read).toEqual(whole)
  }
  expect(refused).toBeGreaterThan(packed.length / 2)
})
