import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { formatsDocument } from './formats.ts'

test('docs/formats.md is what the schemas say', () => {
  expect(readFileSync(join(__dirname, '../../docs/formats.md'), 'utf8')).toBe(formatsDocument())
})

test('every kind of content is in it', () => {
  for (const kind of ['reading', 'water-change', 'dose', 'sighting', 'arrival', 'move', 'death', 'tank-setup', 'task'])
    expect(formatsDocument()).toContain(`### ${kind}\n`)
})
