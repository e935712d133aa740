import { expose } from 'comlink'
import { runUnknown } from '../../core/operations/run.ts'
import type { Progress } from '../../core/operations/registry.ts'
import type { Result } from '../../core/result/result.ts'

/** The core in a thread of its own: the same names and the same JSON as on the command line. */
const service = {
  run: (operation: string, input: unknown, progress?: Progress): Result<unknown> =>
    runUnknown(operation, input, progress),
}

export type CoreService = typeof service

expose(service)
