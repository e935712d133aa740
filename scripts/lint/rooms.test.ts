import { execFileSync } from 'node:child_process'
import { join } from 'node:path'

const root = join(__dirname, '../..')

/** Lints a text as if it stood in a file of the house; the rule names that were broken. */
function broken(filename: string, text: string): string[] {
  const script = `
    import { ESLint } from 'eslint'
    import { roomRules } from './scripts/lint/rooms.mjs'
    import tseslint from 'typescript-eslint'
    const eslint = new ESLint({ cwd: ${JSON.stringify(root)}, overrideConfigFile: true, overrideConfig: [{ files: ['**/*.{ts,tsx}'], languageOptions: { parser: tseslint.parser } }, ...roomRules] })
    const [result] = await eslint.lintText(${JSON.stringify(text)}, { filePath: ${JSON.stringify(join(root, filename))} })
    console.log(JSON.stringify(result.messages.map(({ ruleId }) => ruleId)))`
  return JSON.parse(
    execFileSync(process.execPath, ['--input-type=module', '-e', script], { cwd: root, encoding: 'utf8' }),
  ) as string[]
}

describe('the walls between the rooms', () => {
  test.each([
    ['core/clock/x.ts', "import { a } from '../../app/words/numbers.ts'"],
    ['core/clock/x.ts', "import { useState } from 'react'"],
    ['core/clock/x.ts', "import { readFileSync } from 'node:fs'"],
    ['core/clock/x.ts', 'export const now = () => Date.now()'],
    ['core/clock/x.ts', 'export const now = () => new Date()'],
    ['app/words/x.ts', "import { buildSample } from '../../demo/index.ts'"],
    ['app/screens/shelf/x.ts', "import { a } from '../tanks/sheet.ts'"],
    ['app/screens/ledger/forms/x.ts', "import { a } from '../../tanks/sheet.ts'"],
    ['server/x.ts', "import { a } from '../demo/index.ts'"],
    ['demo/scenario/x.ts', "import { a } from '../../app/words/numbers.ts'"],
  ])('%s: %s', (file, text) => {
    expect(broken(file, text)).toHaveLength(1)
  })

  test('the ways that are open', () => {
    expect(
      broken(
        'app/screens/shelf/x.ts',
        "import { a } from '../../words/numbers.ts'\nimport { b } from './names.ts'\nimport { c } from '../../../core/time/zone.ts'",
      ),
    ).toEqual([])
    expect(
      broken(
        'app/screens/ledger/forms/x.ts',
        "import { a } from '../columns.ts'\nimport { b } from '../../../words/numbers.ts'",
      ),
    ).toEqual([])
    expect(
      broken('core/clock/x.ts', "import { a } from '../time/zone.ts'\nexport const at = (ms: number) => new Date(ms)"),
    ).toEqual([])
  })
})
