import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { command } from './command.ts'

interface Tolerance {
  rel: number
  abs: number
  paths?: Record<string, { rel: number; abs: number }>
}
interface CheckCase {
  id: string
  operation: string
  input: unknown
  expect: unknown
  tolerance: Tolerance
  why: string
}

const cases = readFileSync(join(__dirname, 'check-values.jsonl'), 'utf8')
  .split('\n')
  .filter(Boolean)
  .map((line) => JSON.parse(line) as CheckCase)

const INSTANT = /^\d{4}-\d{2}-\d{2}T.*Z$/

/** Every place where an answer departs from what is expected, in words. */
function departures(expected: unknown, came: unknown, tolerance: Tolerance, path = ''): string[] {
  if (typeof expected === 'number') {
    const { rel, abs } = tolerance.paths?.[path] ?? tolerance.paths?.[path.replace(/\/\d+(?=\/|$)/g, '/*')] ?? tolerance
    const near = typeof came === 'number' && Math.abs(came - expected) <= Math.max(abs, rel * Math.abs(expected))
    return near ? [] : [`${path}: expected ${expected}, came ${JSON.stringify(came)}`]
  }
  if (typeof expected === 'string' && INSTANT.test(expected)) {
    const apart = typeof came === 'string' ? Math.abs(Date.parse(came) - Date.parse(expected)) : NaN
    return apart <= 1000 ? [] : [`${path}: expected ${expected}, came ${JSON.stringify(came)}`]
  }
  if (Array.isArray(expected)) {
    if (!Array.isArray(came) || came.length !== expected.length)
      return [`${path}: expected ${expected.length} items, came ${JSON.stringify(came)?.slice(0, 200)}`]
    return expected.flatMap((item, i) => departures(item, came[i], tolerance, `${path}/${i}`))
  }
  if (expected !== null && typeof expected === 'object') {
    if (came === null || typeof came !== 'object') return [`${path}: expected an object, came ${JSON.stringify(came)}`]
    return Object.entries(expected).flatMap(([key, value]) =>
      departures(value, (came as Record<string, unknown>)[key], tolerance, `${path}/${key}`),
    )
  }
  return expected === came ? [] : [`${path}: expected ${JSON.stringify(expected)}, came ${JSON.stringify(came)}`]
}

describe('the check values of the design contract', () => {
  test('the file is whole', () => {
    expect(cases).toHaveLength(176)
  })

  test.each(cases.map((one) => [one.id, one.why, one] as const))('%s: %s', (_id, _why, one) => {
    const { output, exitCode } = command([one.operation], () => JSON.stringify(one.input))
    const isError = typeof one.expect === 'object' && one.expect !== null && 'error' in one.expect
    expect(departures(one.expect, JSON.parse(output), one.tolerance)).toEqual([])
    expect(exitCode).toBe(isError ? 2 : 0)
  })

  test('the same answers come through a batch', () => {
    // The one that takes seconds by itself was asked above.
    const batch = cases.filter(({ id }) => id !== 'pest.clearance#03')
    const lines = batch.map(({ operation, input }) => JSON.stringify({ operation, input }))
    const { output, exitCode } = command(['--batch'], () => lines.join('\n'))
    expect(exitCode).toBe(0)
    const answers = output.split('\n')
    expect(answers).toHaveLength(batch.length)
    batch.forEach((one, i) => expect(departures(one.expect, JSON.parse(answers[i]!), one.tolerance)).toEqual([]))
  })
})
