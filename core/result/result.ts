/**
 * Why the core declined: `invalid-input` is a fault of what was asked (judged first), `no-solution` a question that is
 * well formed and has no answer, `unknown-operation` a name the registry does not hold.
 */
export type RefusalCode = 'invalid-input' | 'no-solution' | 'unknown-operation'

/** A refusal says which input it is about (a JSON pointer, `/volumeL`; empty for the whole) and what would be right. */
export interface Refusal {
  code: RefusalCode
  path: string
  message: string
}

/** Errors are values at the core's borders: nothing here is thrown for bad input. */
export type Result<T> = { ok: true; value: T } | { ok: false; error: Refusal }

export const ok = <T>(value: T): Result<T> => ({ ok: true, value })

export const refuse = (code: RefusalCode, path: string, message: string): { ok: false; error: Refusal } => ({
  ok: false,
  error: { code, path, message },
})

/** The input is outside what the operation is defined for. */
export const invalid = (path: string, message: string) => refuse('invalid-input', path, message)

/** The input is sound, and no answer exists. */
export const noSolution = (path: string, message: string) => refuse('no-solution', path, message)

/**
 * The value of a result that the caller has made sure of.
 * @throws Error when it is a refusal after all, which is a bug of the caller and not bad input.
 */
export function expectOk<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(`${result.error.code} at "${result.error.path}": ${result.error.message}`)
  return result.value
}
