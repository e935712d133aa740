import { proxy, wrap, type Remote } from 'comlink'
import type { InputOf, OperationName, OutputOf } from '../../core/operations/registry.ts'
import { refuse, type Result } from '../../core/result/result.ts'
import type { CoreService } from './core.worker.ts'

/** What can be asked of a run in the worker. */
export interface RunOptions {
  /** Stops the run; the thread is free again at once. */
  signal?: AbortSignal
  /** Told the share done from time to time, 0…1. */
  onProgress?: (done: number) => void
}

interface Job {
  operation: string
  input: unknown
  options: RunOptions
  settle: (result: Result<unknown>) => void
  fail: (error: unknown) => void
}

/** How a run ended that was stopped. */
export class Cancelled extends Error {
  constructor() {
    super('stopped before it was done')
    this.name = 'Cancelled'
  }
}

/**
 * Runs operations of the core in a worker, one after the other. A cancelled run ends its worker, whatever it was in the midst
 * of, and the next run gets a fresh one.
 */
export class CoreThread {
  /**
   * The worker with its wrapping, kept together: comlink lets go of a worker's service once its wrapping is collected, and
   * every call after that would wait for ever.
   */
  private thread: { worker: Worker; core: Remote<CoreService> } | null = null
  private running: Job | null = null
  private readonly waiting: Job[] = []

  constructor(private readonly makeWorker: () => Worker) {}

  /** @throws Cancelled when the signal stopped it */
  run<N extends OperationName>(
    operation: N,
    input: InputOf<N>,
    options: RunOptions = {},
  ): Promise<Result<OutputOf<N>>> {
    return this.runUnknown(operation, input, options) as Promise<Result<OutputOf<N>>>
  }

  /** The same for a name and an input from outside. */
  runUnknown(operation: string, input: unknown, options: RunOptions = {}): Promise<Result<unknown>> {
    const { signal } = options
    if (signal?.aborted) return Promise.reject(new Cancelled())
    return new Promise((settle, fail) => {
      const job: Job = { operation, input, options, settle, fail }
      signal?.addEventListener('abort', () => this.cancel(job), { once: true })
      this.waiting.push(job)
      this.next()
    })
  }

  private next(): void {
    if (this.running || this.waiting.length === 0) return
    const job = (this.running = this.waiting.shift()!)
    const { worker, core } = (this.thread ??= this.begin())
    const { operation, input, options } = job
    worker.onerror = (event) =>
      this.end(job, () => job.fail(new Error(event.message || 'the worker could not be started')), true)
    const told = options.onProgress && proxy(options.onProgress)
    void (told ? core.run(operation, input, told) : core.run(operation, input)).then(
      (result) => this.end(job, () => job.settle(result)),
      // What cannot be sent to a worker (a function, a symbol) cannot be JSON either.
      () => this.end(job, () => job.settle(refuse('invalid-input', '', 'expected JSON'))),
    )
  }

  private end(job: Job, tell: () => void, isBroken = false): void {
    if (this.running !== job) return
    this.running = null
    if (isBroken) this.drop()
    tell()
    this.next()
  }

  private cancel(job: Job): void {
    const place = this.waiting.indexOf(job)
    if (place >= 0) {
      this.waiting.splice(place, 1)
      job.fail(new Cancelled())
    } else if (this.running === job) {
      this.drop()
      this.running = null
      job.fail(new Cancelled())
      this.next()
    }
  }

  private begin(): { worker: Worker; core: Remote<CoreService> } {
    const worker = this.makeWorker()
    return { worker, core: wrap<CoreService>(worker) }
  }

  private drop(): void {
    this.thread?.worker.terminate()
    this.thread = null
  }
}
