import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { DEFINITIONS } from '../../core/catalogue/courses/all-definitions.ts'
import { withChosenParts, type Option } from '../../core/catalogue/courses/definitions.ts'
import { coursesDocument } from './courses.ts'

/** Every way to choose among some options. */
const choices = (options: readonly Option[]): Record<string, string>[] =>
  options.reduce<Record<string, string>[]>(
    (ways, option) => ways.flatMap((way) => option.choices.map((one) => ({ ...way, [option.id]: one.id }))),
    [{}],
  )

test('docs/courses.md is what the catalogue says', () => {
  expect(readFileSync(join(__dirname, '../../docs/courses.md'), 'utf8')).toBe(coursesDocument())
})

test('every track, step and rule of every definition is in it, and no id stands for two tracks or rules', () => {
  const text = coursesDocument()
  for (const definition of DEFINITIONS) {
    const { id, tracks, steps, rules, options } = definition
    expect(text).toContain(`## ${id}\n`)
    for (const one of [...tracks, ...steps, ...rules]) expect(text).toContain(`\`${one.id}\``)
    // Of parts that exclude each other one is chosen.
    for (const chosen of choices(options)) {
      const parts = withChosenParts(definition, chosen)
      for (const list of [parts.tracks, parts.rules]) {
        const ids = list.map((one) => one.id)
        expect(new Set(ids).size).toBe(ids.length)
      }
    }
    // What a step waits for is a rule of the same definition.
    for (const need of steps.flatMap((step) => step.needs ?? [])) expect(rules.map((rule) => rule.id)).toContain(need)
  }
})
