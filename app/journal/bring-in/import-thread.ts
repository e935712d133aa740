import { proxy, wrap, type Remote } from 'comlink'
import { Cancelled } from '../../worker/core-thread.ts'
import { StorageRefusal } from '../../storage/refusal.ts'
import type { Journal } from '../../../core/journal/journal.ts'
import { rememberHeld } from '../opened.ts'
import type { Which } from '../which.ts'
import type { ReadFile } from './import-service.ts'
import type { ImportWorker } from './import.worker.ts'

/** A course that takes longer to work out than this would hold up every screen, ms. */
const COURSE_MS = 10_000
/** Entries come from the worker part by part: how often it is looked whether the last is here, ms. */
const LOOK_MS = 50

/** The thread of one file that is being brought in. */
export class ImportThread {
  private readonly worker = new Worker(new URL('./import.worker.ts', import.meta.url), { type: 'module' })
  /** Kept with its worker: comlink lets go of the service once its wrapping is collected. */
  private readonly service: Remote<ImportWorker> = wrap<ImportWorker>(this.worker)
  private stop: (error: Error) => void = () => {}
  private readonly stopped = new Promise<never>((_, reject) => (this.stop = reject))

  constructor(private readonly which: Which) {
    this.stopped.catch(() => {})
    this.worker.onerror = (event) => this.stop(new Error(event.message || 'the worker could not be started'))
  }

  /** @throws Cancelled when it was ended meanwhile */
  read(bytes: ArrayBuffer, now: number, onProgress: (done: number) => void): Promise<ReadFile> {
    return Promise.race([this.service.read(this.which, bytes, now, proxy(onProgress)), this.stopped])
  }

  /**
   * Works out the courses as they would stand. One that does not come to its end takes the thread with it.
   * @returns names of those that cannot be worked out, and whether the thread still lives
   */
  async workOut(now: number): Promise<{ broken: string[]; isAlive: boolean }> {
    let course = ''
    let timer: ReturnType<typeof setTimeout> | undefined
    let late: () => void = () => {}
    const tooLong = new Promise<null>((resolve) => (late = () => resolve(null)))
    const onCourse = (name: string) => {
      course = name
      clearTimeout(timer)
      timer = setTimeout(late, COURSE_MS)
    }
    onCourse('the journal')
    const broken = await Promise.race([this.service.workOut(now, proxy(onCourse)), tooLong, this.stopped])
    clearTimeout(timer)
    if (broken !== null) return { broken, isAlive: true }
    this.end()
    return { broken: [course], isAlive: false }
  }

  /** Takes the file's entries in; resolves once the page has heard of them all. @throws StorageRefusal */
  async take(photoIds: readonly string[], journal: Journal): Promise<number> {
    const taken = await Promise.race([this.service.take(this.which, photoIds), this.stopped])
    if ('refused' in taken) throw new StorageRefusal(taken.refused)
    while (taken.last !== null && journal.entry(taken.last) === undefined)
      await new Promise((resolve) => setTimeout(resolve, LOOK_MS))
    if (this.which === 'mine') rememberHeld(journal.size)
    return taken.added
  }

  /** Ends the thread, whatever it is doing: nothing is kept before `take`. */
  end(): void {
    this.worker.terminate()
    this.stop(new Cancelled())
  }
}
