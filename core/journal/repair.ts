import { content as contentCheck, entry as entryCheck } from '../generated/journal.js'
import type { SchemaError } from '../schema/explain.ts'
import { entryFault } from './check.ts'
import type { ContentOf, Entry } from './entry.ts'
import { WORDS_LETTERS } from './contents/text-limits.ts'

/** More than this wrong with one entry is no slip of an older version. */
const MOST_STEPS = 30

type Nested = Record<string, unknown>

const keysOf = (pointer: string): string[] =>
  pointer
    .split('/')
    .slice(1)
    .map((key) => key.replaceAll('~1', '/').replaceAll('~0', '~'))

const valueAt = (root: unknown, keys: readonly string[]): unknown =>
  keys.reduce<unknown>((value, key) => (value as Nested | undefined)?.[key], root)

/** The first thing wrong with the frame of an entry or with its content, by the schemas. */
function firstError(value: Nested): { error: SchemaError; root: unknown } | null {
  if (!entryCheck(value)) return { error: entryCheck.errors![0]!, root: value }
  const { content } = value
  return content === undefined || contentCheck(content) ? null : { error: contentCheck.errors![0]!, root: content }
}

/** Cuts a text that is too long, or drops a property that is not known: what an older or newer version may have written. */
function mendOne(value: Nested, texts: string[]): boolean {
  const found = firstError(value)
  if (!found) return false
  const { keyword, instancePath, params } = found.error
  const keys = keysOf(instancePath)
  if (keyword === 'maxLength') {
    const text = String(valueAt(found.root, keys))
    const holder = valueAt(found.root, keys.slice(0, -1)) as Nested
    holder[keys.at(-1)!] = [...text].slice(0, Number(params['limit'])).join('')
    texts.push(text)
    return true
  }
  if (keyword === 'additionalProperties') {
    const holder = valueAt(found.root, keys) as Nested
    const property = String(params['additionalProperty'])
    texts.push(`${property}: ${JSON.stringify(holder[property])}`)
    delete holder[property]
    return true
  }
  return false
}

/**
 * A stored value that is no entry, mended where only a text is too long or a property unknown: the whole text goes to the note as far as it
 * has room.
 * @returns null where more is wrong with it
 * @example
 * repairedEntry(valueWithNameOf86Letters)?.content // the name cut to 80 letters, whole in the note
 */
export function repairedEntry(value: unknown): Entry | null {
  if (value === null || typeof value !== 'object') return null
  const copy = structuredClone(value) as Nested
  const texts: string[] = []
  for (let step = 0; step < MOST_STEPS && mendOne(copy, texts); step++);
  if (texts.length === 0) return null
  const { content } = copy as { content?: { note?: string } }
  if (content) {
    const whole = [content.note, ...texts].filter((text) => text !== undefined).join('\n')
    content.note = [...whole].slice(0, WORDS_LETTERS).join('')
  }
  return entryFault(copy) === null ? (copy as unknown as Entry) : null
}

/**
 * A stored value that is no entry, as a note that holds its text: at its own time and for its own tank where these can be read.
 * @param now ISO; the note's time where its own cannot be read
 */
export function noteOfUnreadable(value: unknown, now: string): ContentOf<'note'> {
  const { content } = (value ?? {}) as { content?: { happened?: unknown; tankId?: unknown } }
  const text = [...`could not be read: ${JSON.stringify(value)}`].slice(0, WORDS_LETTERS).join('')
  const whole = { kind: 'note' as const, happened: now, text }
  const timed = { ...whole, happened: String(content?.happened) }
  const placed = { ...timed, tankId: String(content?.tankId) }
  const fits = (note: ContentOf<'note'>) => entryFault({ id: 'x', logged: now, content: note }) === null
  return [placed, timed, whole].find(fits) ?? whole
}
