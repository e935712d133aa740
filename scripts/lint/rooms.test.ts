import { execFileSync } from 'node:child_process'
import { join } from 'node:path'

const root = join(__dirname, '../..')

type Text = readonly [filename: string, text: string]

/** Lints texts as if they stood in files of the house, all in one process: the rule names that each breaks. */
function broken(texts: readonly Text[]): string[][] {
  const script = `
    import { ESLint } from 'eslint'
    import { roomRules } from './scripts/lint/rooms.mjs'
    import tseslint from 'typescript-eslint'
    const eslint = new ESLint({ cwd: ${JSON.stringify(root)}, overrideConfigFile: true, overrideConfig: [{ files: ['**/*.{ts,tsx}'], languageOptions: { parser: tseslint.parser } }, ...roomRules] })
    const found = []
    for (const [filename, text] of ${JSON.stringify(texts)}) {
      const [result] = await eslint.lintText(text, { filePath: ${JSON.stringify(root)} + '/' + filename })
      found.push(result.messages.map(({ ruleId }) => ruleId))
    }
    console.log(JSON.stringify(found))`
  return JSON.parse(
    execFileSync(process.execPath, ['--input-type=module', '-e', script], { cwd: root, encoding: 'utf8' }),
  ) as string[][]
}

const WALLS: readonly Text[] = [
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
]
const WAYS: readonly Text[] = [
  [
    'app/screens/shelf/x.ts',
    "import { a } from '../../words/numbers.ts'\nimport { b } from './names.ts'\nimport { c } from '../../../core/time/zone.ts'",
  ],
  ['app/screens/ledger/forms/x.ts', "import { a } from '../columns.ts'\nimport { b } from '../../../words/numbers.ts'"],
  ['core/clock/x.ts', "import { a } from '../time/zone.ts'\nexport const at = (ms: number) => new Date(ms)"],
]

describe('the walls between the rooms', () => {
  const found = broken([...WALLS, ...WAYS])
  test.each(WALLS.map(([file, text], i) => [file, text, i] as const))('%s: %s', (_file, _text, i) => {
    expect(found[i]).toHaveLength(1)
  })
  test.each(WAYS.map(([file, text], i) => [file, text, i] as const))(
    'the ways that are open: %s: %s',
    (_file, _text, i) => {
      expect(found[WALLS.length + i]).toEqual([])
    },
  )
})
