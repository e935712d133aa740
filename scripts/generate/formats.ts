import { Content, EntryFrame } from '../../core/journal/entry.schema.ts'
import { FORMAT_NAME, FORMAT_VERSION } from '../../core/journal/format.ts'

type Json = Record<string, unknown>

const words = (value: unknown): string =>
  typeof value === 'string' ? value : value === undefined ? '' : JSON.stringify(value)

const plain = (schema: unknown): Json => JSON.parse(JSON.stringify(schema)) as Json

/** A schema as a reader says it: "a number over 0", "one of L, us-gal, uk-gal". */
function kindOf(schema: Json): string {
  if (schema['const'] !== undefined) return JSON.stringify(schema['const'])
  if (schema['enum']) return `one of ${(schema['enum'] as string[]).join(', ')}`
  const choices = (schema['anyOf'] ?? schema['oneOf']) as Json[] | undefined
  if (choices) return choices.map(kindOf).join(' or ')
  if (schema['format'] === 'instant') return 'an instant'
  switch (schema['type']) {
    case 'number':
    case 'integer': {
      const word = schema['type'] === 'integer' ? 'a whole number' : 'a number'
      const { exclusiveMinimum, minimum, maximum } = schema as {
        exclusiveMinimum?: number
        minimum?: number
        maximum?: number
      }
      const low =
        exclusiveMinimum !== undefined ? ` over ${exclusiveMinimum}` : minimum !== undefined ? ` from ${minimum}` : ''
      return `${word}${low}${maximum !== undefined ? ` to ${maximum}` : ''}`
    }
    case 'array':
      return `a list of: ${kindOf(schema['items'] as Json)}`
    case 'object':
      return objectWords(schema)
    case 'boolean':
      return 'true or false'
    case 'string':
      return schema['pattern'] ? 'an id or short word' : 'a text'
    default:
      return 'anything'
  }
}

function objectWords(schema: Json): string {
  const required = new Set(schema['required'] as string[] | undefined)
  const parts = Object.entries((schema['properties'] ?? {}) as Record<string, Json>).map(
    ([name, part]) => `${name}${required.has(name) ? '' : '?'}: ${kindOf(part)}`,
  )
  return `{ ${parts.join('; ')} }`
}

function table(schema: Json, skip: readonly string[]): string {
  const required = new Set(schema['required'] as string[] | undefined)
  const rows = Object.entries(schema['properties'] as Record<string, Json>)
    .filter(([name]) => !skip.includes(name))
    .map(
      ([name, part]) =>
        `| \`${name}\` | ${required.has(name) ? 'yes' : ''} | ${kindOf(part).replaceAll('|', '\\|')} | ${words(part['description']).replaceAll('|', '\\|')} |`,
    )
  return ['| property | must be there | is | |', '|---|---|---|---|', ...rows].join('\n')
}

/** docs/formats.md: the journal file, written from the schemas that check it. */
export function formatsDocument(): string {
  const contents = plain(Content)['anyOf'] as Json[]
  const sections = contents.map((content) => {
    const { kind: tag } = content['properties'] as { kind: { const: string } }
    const kind = tag.const
    return `### ${kind}\n\n${words(content['description'])}.\n\n${table(content, ['kind', 'happened', 'note'])}\n`
  })
  return `# The journal file, format ${FORMAT_VERSION}

Written from the schemas in core/journal by \`npm run generate\`; a test fails when it is out of date.

A journal file is a JSON text in UTF-8:

\`\`\`json
{
 "format": "${FORMAT_NAME}",
 "version": ${FORMAT_VERSION},
 "exported": "2026-11-23T18:30:00.000Z",
 "checksum": "5d0c7a12",
 "entries": [
  {"id":"…","logged":"2026-11-23T18:30:02.114Z","content":{"kind":"water-change","happened":"2026-11-23T18:30:00.000Z","tankId":"…","litres":12}}
 ]
}
\`\`\`

- **The checksum** is the CRC-32 of the entries, each as JSON without spaces on a line of its own, in eight hexadecimal digits. Files from before have
  none and are read; where it does not fit, the keeper is asked before anything is taken in.
- **Bounds**: what happened over 30 years ago, over 5 years ahead, or with figures beyond any aquarium (core/journal/plausible.ts) is refused.
- **An instant** is ISO 8601 in UTC, ends in Z and names a date that exists.
- **Units** are always the same, whatever the household is used to: L, cm, mg/L, mg, g, °C, psu, dKH. A reading states its unit as a check.
- **Entries are never changed.** An entry records something (\`content\`), or corrects an earlier one (\`corrects\` and a \`content\` of the same kind in its
  place), or strikes one out (\`strikes\`). Of two corrections of one entry the later \`logged\` holds, ties by the greater id. A strike-out that is struck
  itself no longer counts, nor does a struck correction.
- **Order**: what happened is ordered by \`happened\`, then \`logged\`, then \`id\`. Events of one instant act in that order, as one jump.
- **Joining two files** is the union of their entries by id. The same id with other content is reported and neither overwrites the other.
- **A file is read whole or not at all**: a fault is named by its line or path, and nothing of the file is kept.
- **Versions**: a file of a newer version is refused with a word; older versions are brought forward when read. Format 2 only adds: format 1 files are read as before, and their \`course-start\` in the
  words of format 2 (protocol is the definition, tankId the tank \`main\`, doseId the option \`drug\`, productId the product of that dose, moveToTankId the
  tank \`observe\`). A \`course-start\` says \`definition\` and \`tanks\`, or \`protocol\`, \`tankId\` and \`doseId\`; a \`count\` says \`measure\` and \`parts\` or \`values\`, or \`what\` and \`values\`.

## With pictures

A journal that holds photos is exported as a zip archive of two things, and is read back from it in the same way:

- \`journal.json\`: the journal file as above.
- \`photos/<photoId>.jpg\`: each picture, a JPEG as it was scaled down on the device, named by the \`photoId\` of its \`photo\` entry.

An archive without \`journal.json\`, with a name that stands twice or a text that is not UTF-8, with a picture that is no JPEG, or an archive that came in part only is refused and nothing of it is kept. A picture
that is not in the archive is missing and nothing else: its entry stays and says so. On a device pictures lie in a store of their own, beside the
journal's.

## An entry

${table(plain(EntryFrame), [])}

## Contents

Every content has a \`kind\`, the instant it \`happened\`, and may have a \`note\` in free words.

${sections.join('\n')}`
}
