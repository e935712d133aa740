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

test.each([
  ['cut short', packArchive('{}', new Map([['p1', jpeg]])).slice(0, 40), /cannot be unpacked/],
  ['without a journal', zipSync({ 'notes.txt': strToU8('hello') }), /expected journal.json/],
  [
    'with a picture that is none',
    zipSync({ 'journal.json': strToU8('{}'), 'photos/a.jpg': strToU8('GIF89a') }),
    /photos\/a.jpg is no JPEG/,
  ],
])('an archive %s says what is wrong', (_what, bytes, words) => {
  expect(readArchive(bytes)).toMatchObject({ problem: expect.stringMatching(words) })
})
