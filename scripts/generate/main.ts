/**
 * Writes the checks of everything that crosses a border, from its TypeBox schema: the browser's content policy allows no
 * code built at run time, so Ajv's checks are built here. Output: core/generated (not committed).
 */
import { mkdirSync, writeFileSync } from 'node:fs'
import * as messages from '../../core/devices/messages.schema.ts'
import { Content, EntryFrame, JournalFile } from '../../core/journal/entry.schema.ts'
import { OPERATION_SCHEMAS } from '../../core/operations/schemas.ts'
import { coursesDocument } from './courses.ts'
import { formatsDocument } from './formats.ts'
import { standaloneChecks } from './standalone.ts'

const folder = new URL('../../core/generated/', import.meta.url)
mkdirSync(folder, { recursive: true })

const HEAD = '// Written by scripts/generate from the schemas; do not edit.\n'
const CHECK = `import type { SchemaError } from '../schema/explain.ts'
export interface Check { (value: unknown): boolean; errors?: SchemaError[] | null }
`

function write(name: string, schemas: Record<string, object>, tail = '', types: string) {
  writeFileSync(new URL(`${name}.js`, folder), HEAD + standaloneChecks(schemas) + tail)
  writeFileSync(new URL(`${name}.d.ts`, folder), HEAD + CHECK + types)
}

write(
  'journal',
  { content: Content, entry: EntryFrame, journalFile: JournalFile },
  '',
  'export const content: Check\nexport const entry: Check\nexport const journalFile: Check\n',
)

const deviceMessages = {
  deviceList: messages.DeviceList,
  sample: messages.Sample,
  sampleList: messages.SampleList,
  measureRequest: messages.MeasureRequest,
  pumpOrder: messages.PumpOrder,
  shot: messages.Shot,
  pumpReport: messages.PumpReport,
  simulatorSetting: messages.SimulatorSetting,
}
write(
  'devices',
  deviceMessages,
  '',
  Object.keys(deviceMessages)
    .map((name) => `export const ${name}: Check\n`)
    .join(''),
)

const operations = Object.entries(OPERATION_SCHEMAS)
const exportName = (name: string) => name.replace('.', '_')
write(
  'operations',
  Object.fromEntries(operations.map(([name, { input }]) => [exportName(name), input])),
  `export const operationInput = { ${operations.map(([name]) => `'${name}': ${exportName(name)}`).join(', ')} }\n`,
  `import type { OperationName } from '../operations/registry.ts'\nexport const operationInput: Record<OperationName, Check>\n`,
)

// Asked for by hand (`npm run generate`), so that the test of its freshness tests what is committed.
if (process.argv.includes('--docs')) {
  writeFileSync(new URL('../../docs/formats.md', import.meta.url), formatsDocument())
  writeFileSync(new URL('../../docs/courses.md', import.meta.url), coursesDocument())
}
