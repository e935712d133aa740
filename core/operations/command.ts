import type { Refusal } from '../result/result.ts'
import { OPERATIONS } from './registry.ts'
import { runUnknown } from './run.ts'

/** What a command line prints and the code it exits with. */
export interface CommandOutcome {
  output: string
  exitCode: 0 | 2
}

const USAGE = 'one operation name and its JSON on standard input, or --list, or --batch'

const answer = (value: unknown): CommandOutcome => ({ output: JSON.stringify(value), exitCode: 0 })
const decline = (error: Refusal): CommandOutcome => ({ output: JSON.stringify({ error }), exitCode: 2 })

function parse(text: string): { ok: true; value: unknown } | { ok: false; error: Refusal } {
  try {
    return { ok: true, value: JSON.parse(text) as unknown }
  } catch (error) {
    return {
      ok: false,
      error: { code: 'invalid-input', path: '', message: `expected JSON; ${(error as Error).message}` },
    }
  }
}

/** One line of a batch: {"operation", "input"} in, the answer or {"error"} out. */
function batchLine(line: string): string {
  const parsed = parse(line)
  if (!parsed.ok) return decline(parsed.error).output
  const request = parsed.value
  if (
    request === null ||
    typeof request !== 'object' ||
    Array.isArray(request) ||
    typeof (request as { operation?: unknown }).operation !== 'string'
  )
    return decline({
      code: 'invalid-input',
      path: '/operation',
      message: 'expected {"operation": name, "input": object} on every line',
    }).output
  // Other properties of the line (an id, a remark) are the caller's own.
  const { operation, input } = request as { operation: string; input?: unknown }
  const result = runUnknown(operation, input)
  return result.ok ? JSON.stringify(result.value) : decline(result.error).output
}

/**
 * The core's command line, apart from reading and writing: arguments and the text of standard input in, what to print out.
 * @param args  an operation's name, `--list` or `--batch`
 * @param input reads standard input, called only where it is needed
 */
export function command(args: readonly string[], input: () => string): CommandOutcome {
  const [first, ...more] = args
  if (first === undefined || more.length > 0)
    return decline({ code: 'invalid-input', path: '', message: `expected ${USAGE}` })
  if (first === '--list')
    return {
      output: Object.entries(OPERATIONS)
        .map(([name, { summary }]) => `${name}  ${summary}`)
        .join('\n'),
      exitCode: 0,
    }
  if (first === '--batch')
    return {
      output: input()
        .split('\n')
        .filter((line) => line.trim() !== '')
        .map(batchLine)
        .join('\n'),
      exitCode: 0,
    }
  const unknown = runUnknown(first, undefined)
  if (!unknown.ok && unknown.error.code === 'unknown-operation') return decline(unknown.error)
  const parsed = parse(input())
  if (!parsed.ok) return decline(parsed.error)
  const result = runUnknown(first, parsed.value)
  return result.ok ? answer(result.value) : decline(result.error)
}
