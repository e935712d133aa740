/** The part of an Ajv error this module reads. */
export interface SchemaError {
  keyword: string
  instancePath: string
  params: Record<string, unknown>
}

/** A schema error in a keeper's words: where it is and what was expected, and what came instead. */
export interface Explained {
  path: string
  message: string
}

const MAX_SHOWN = 60

/** What came, short enough to print beside a field. */
function shown(value: unknown): string {
  if (value === undefined) return 'nothing'
  if (typeof value === 'number') return String(value)
  try {
    return cut(JSON.stringify(value) ?? typeof value)
  } catch {
    // Nested deeper than the call stack reaches: what it is has to do.
    return ARTICLE[Array.isArray(value) ? 'array' : typeof value] ?? typeof value
  }
}

const cut = (text: string) => (text.length > MAX_SHOWN ? `${text.slice(0, MAX_SHOWN)}…` : text)

function at(root: unknown, pointer: string): unknown {
  let value = root
  for (const raw of pointer.split('/').slice(1)) {
    const key = raw.replaceAll('~1', '/').replaceAll('~0', '~')
    if (value === null || typeof value !== 'object') return undefined
    value = (value as Record<string, unknown>)[key]
  }
  return value
}

const escapePointer = (key: string) => key.replaceAll('~', '~0').replaceAll('/', '~1')

const ARTICLE: Record<string, string> = {
  number: 'a number',
  integer: 'a whole number',
  string: 'a text',
  boolean: 'true or false',
  object: 'an object',
  array: 'a list',
  null: 'null',
}

const letters = (count: unknown) => `${String(count)} ${count === 1 ? 'letter' : 'letters'}`

const COMPARISON: Record<string, string> = { '>': 'over', '>=': 'at least', '<': 'under', '<=': 'at most' }

/**
 * Says what a schema check found, in words that name what would be right.
 * @param error the first error of an Ajv check
 * @param root  the whole value that was checked, for "what came"
 */
export function explain(error: SchemaError, root: unknown): Explained {
  const { keyword, instancePath: path, params } = error
  const came = `came ${shown(at(root, path))}`
  switch (keyword) {
    case 'required':
      return {
        path: `${path}/${escapePointer(String(params['missingProperty']))}`,
        message: `expected a value here; it is missing`,
      }
    case 'additionalProperties':
      return {
        path: `${path}/${escapePointer(String(params['additionalProperty']))}`,
        message: `"${cut(String(params['additionalProperty']))}" is not a known property here`,
      }
    case 'type': {
      const types = [params['type']].flat().map((type) => ARTICLE[String(type)] ?? String(type))
      return { path, message: `expected ${types.join(' or ')}; ${came}` }
    }
    case 'minimum':
    case 'maximum':
    case 'exclusiveMinimum':
    case 'exclusiveMaximum':
      return {
        path,
        message: `expected ${COMPARISON[String(params['comparison'])]} ${String(params['limit'])}; ${came}`,
      }
    case 'enum':
      return { path, message: `expected one of ${(params['allowedValues'] as unknown[]).join(', ')}; ${came}` }
    case 'const':
      return { path, message: `expected ${shown(params['allowedValue'])}; ${came}` }
    case 'discriminator': {
      const tag = String(params['tag'])
      const tagPath = `${path}/${tag}`
      return { path: tagPath, message: `expected a known ${tag}; came ${shown(at(root, tagPath))}` }
    }
    case 'format':
      return {
        path,
        message: `expected an instant such as 2026-11-23T18:30:00Z, on a date that exists; ${came}`,
      }
    case 'minLength':
      return { path, message: `expected at least ${letters(params['limit'])}; ${came}` }
    case 'maxLength':
      return {
        path,
        message: `expected at most ${letters(params['limit'])}; came ${letters([...String(at(root, path))].length)}`,
      }
    case 'minItems':
      return { path, message: `expected at least ${String(params['limit'])}; ${came}` }
    case 'maxItems':
      return {
        path,
        message: `expected at most ${String(params['limit'])}; came ${(at(root, path) as unknown[]).length}`,
      }
    case 'pattern':
      return { path, message: `expected only letters, digits, "_" and "-"; ${came}` }
    default:
      return { path, message: `does not fit here (${keyword}); ${came}` }
  }
}
