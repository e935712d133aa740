import { _, Ajv } from 'ajv'
import standalone from 'ajv/dist/standalone/index.js'
import { isInstant } from '../../core/schema/instant.ts'

// The module is CommonJS: its default arrives wrapped or bare, by the loader.
const standaloneCode = (
  'default' in standalone ? (standalone as { default: unknown }).default : standalone
) as typeof standalone

type Json = Record<string, unknown>

/**
 * A union of objects told apart by `kind` is given to Ajv as a tagged union, so that an error names the field at fault in
 * the right branch and not every branch's disagreement.
 */
export function tagged(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(tagged)
  if (schema === null || typeof schema !== 'object') return schema
  const plain: Json = {}
  for (const [key, value] of Object.entries(schema))
    if (key !== 'description' || typeof value !== 'string') plain[key] = tagged(value)
  const branches = plain['anyOf'] as Json[] | undefined
  const isTagged = branches?.every((branch) => {
    const kind = (branch['properties'] as Json | undefined)?.['kind'] as Json | undefined
    return kind !== undefined && 'const' in kind
  })
  if (!isTagged) return plain
  const { anyOf, ...rest } = plain
  return { ...rest, type: 'object', required: ['kind'], discriminator: { propertyName: 'kind' }, oneOf: anyOf }
}

/** A part of a schema is told once where it stands so often: each place then calls one function instead of repeating it. */
const SHARED_FROM = 2
const HOISTED = new Set(['string', 'number', 'integer', 'array', 'object'])
/** Shorter parts are cheaper where they stand than as a function of their own. */
const LEAST_LENGTH = 30

/**
 * A schema whose repeated parts (ids, instants, names, settings) stand in `$defs` and are referred to: the checks of the browser
 * become half as large. The property that tells a tagged union apart, and the branches it tells apart, stay where they are.
 */
export function shared(schema: Json): Json {
  const counts = new Map<string, number>()
  const isPart = (value: unknown): value is Json => {
    if (value === null || typeof value !== 'object' || Array.isArray(value)) return false
    const kind = ((value as Json)['properties'] as Json | undefined)?.['kind'] as Json | undefined
    return HOISTED.has(String((value as Json)['type'])) && !('const' in value) && !(kind && 'const' in kind)
  }
  const count = (value: unknown): void => {
    if (value === null || typeof value !== 'object') return
    if (isPart(value)) {
      const key = JSON.stringify(value)
      counts.set(key, (counts.get(key) ?? 0) + 1)
    }
    Object.values(value).forEach(count)
  }
  count(schema)
  const names = new Map<string, string>()
  const defs: Json = {}
  const inside = (value: unknown): unknown =>
    Array.isArray(value)
      ? value.map(refer)
      : value !== null && typeof value === 'object'
        ? Object.fromEntries(Object.entries(value).map(([key, one]) => [key, refer(one)]))
        : value
  const refer = (value: unknown): unknown => {
    if (!isPart(value)) return inside(value)
    const key = JSON.stringify(value)
    if ((counts.get(key) ?? 0) < SHARED_FROM || key.length < LEAST_LENGTH) return inside(value)
    let name = names.get(key)
    if (name === undefined) {
      name = `part${names.size}`
      names.set(key, name)
      defs[name] = inside(value)
    }
    return { $ref: `#/$defs/${name}` }
  }
  return { ...(inside(schema) as Json), $defs: defs }
}

/** ES module source with one exported check a schema. */
export function standaloneChecks(schemas: Record<string, object>): string {
  const ajv = new Ajv({
    discriminator: true,
    // Lengths in UTF-16 units: limits here only keep out the absurd, and the exact count would need a module of Ajv.
    unicode: false,
    logger: false,
    allowUnionTypes: true,
    // Brinvo words its own messages (core/schema/explain).
    messages: false,
    inlineRefs: false,
    code: { source: true, esm: true, formats: _`formats` },
    formats: { instant: isInstant },
  })
  for (const [name, schema] of Object.entries(schemas)) ajv.addSchema(shared(tagged(schema) as Json), name)
  const source = standaloneCode(ajv, Object.fromEntries(Object.keys(schemas).map((name) => [name, name])))
  if (source.includes('require('))
    throw new Error('a schema uses a keyword whose check needs a module of Ajv at run time')
  // Brinvo's own messages need the place and the keyword of an error, not its path in the schema.
  const short = source.replace('"use strict";', '').replace(/schemaPath:"[^"]*",/g, '')
  return `import { isInstant } from '../schema/instant.ts'\nconst formats = { instant: isInstant }\n${short}`
}
