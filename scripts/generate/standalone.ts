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
    code: { source: true, esm: true, formats: _`formats` },
    formats: { instant: isInstant },
  })
  for (const [name, schema] of Object.entries(schemas)) ajv.addSchema(tagged(schema) as object, name)
  const source = standaloneCode(ajv, Object.fromEntries(Object.keys(schemas).map((name) => [name, name])))
  if (source.includes('require('))
    throw new Error('a schema uses a keyword whose check needs a module of Ajv at run time')
  return `import { isInstant } from '../schema/instant.ts'\nconst formats = { instant: isInstant }\n${source.replace('"use strict";', '')}`
}
