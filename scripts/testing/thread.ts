import { runUnknown } from '../../core/operations/run.ts'
import type { Result } from '../../core/result/result.ts'

/** jsdom has no workers: the core answers in place, and no sooner than a worker would. */
export const coreThread = {
  run: (operation: string, input: unknown): Promise<Result<unknown>> =>
    new Promise((settle) => setTimeout(() => settle(runUnknown(operation, input)), 0)),
}
