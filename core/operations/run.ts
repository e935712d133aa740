import { operationInput } from '../generated/operations.js'
import { type Result, invalid, refuse } from '../result/result.ts'
import { explain } from '../schema/explain.ts'
import { OPERATIONS, type InputOf, type OperationName, type OutputOf, type Progress } from './registry.ts'

/** Whether a name is an operation's own; `toString` and its like are not. */
export const isOperation = (name: string): name is OperationName => Object.hasOwn(OPERATIONS, name)

/** The first number in an answer that is not finite, as a JSON pointer; null when all are. */
function notFinite(value: unknown, path = ''): string | null {
  if (typeof value === 'number') return Number.isFinite(value) ? null : path
  if (value === null || typeof value !== 'object') return null
  for (const [key, part] of Object.entries(value)) {
    const found = notFinite(part, `${path}/${key}`)
    if (found !== null) return found
  }
  return null
}

/**
 * Runs an operation on input from outside: checks it against the schema, then asks the function.
 * A number too large to compute with (the answer overflows) is a fault of the input.
 */
export function runUnknown(name: string, input: unknown, progress?: Progress): Result<unknown> {
  if (!isOperation(name)) return refuse('unknown-operation', '', `there is no operation "${name}"; --list names them`)
  const check = operationInput[name]
  if (!check(input)) {
    const { path, message } = explain(check.errors![0]!, input)
    return invalid(path, message)
  }
  const result = (OPERATIONS[name].run as (input: unknown, progress?: Progress) => Result<unknown>)(input, progress)
  if (!result.ok) return result
  const overflow = notFinite(result.value)
  return overflow === null ? result : invalid('', `the numbers are too large or too small to compute ${overflow} with`)
}

/** Runs an operation by name with its own types; the same checks as for input from outside. */
export const runOperation = <N extends OperationName>(name: N, input: InputOf<N>): Result<OutputOf<N>> =>
  runUnknown(name, input) as Result<OutputOf<N>>
