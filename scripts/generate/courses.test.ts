import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { DEFINITIONS } from '../../core/catalogue/courses/definitions.ts'
import { coursesDocument } from './courses.ts'

test('docs/courses.md is what the catalogue says', () => {
  expect(readFileSync(join(__dirname, '../../docs/courses.md'), 'utf8')).toBe(coursesDocument())
})

test('every track, step and rule of every definition is in it, and no id stands for two tracks or rules', () => {
  const text = coursesDocument()
  for (const { id, tracks, steps, rules } of DEFINITIONS) {
    expect(text).toContain(`## ${id}\n`)
    for (const one of [...tracks, ...steps, ...rules]) expect(text).toContain(`\`${one.id}\``)
    expect(new Set(tracks.map((track) => track.id)).size).toBe(tracks.length)
    expect(new Set(rules.map((rule) => rule.id)).size).toBe(rules.length)
    // What a step waits for is a rule of the same definition.
    for (const need of steps.flatMap((step) => step.needs ?? [])) expect(rules.map((rule) => rule.id)).toContain(need)
  }
})
