import { coursesOf } from '../../../core/courses/course.ts'
import { fullCourseName } from '../../../core/courses/names.ts'
import { coursePlan } from '../../../core/courses/plan.ts'
import { DEFAULT_SETTINGS, settingsOf } from '../../../core/household/settings.ts'
import type { Entry } from '../../../core/journal/entry.ts'
import { Journal } from '../../../core/journal/journal.ts'
import { importProblems } from '../../../core/journal/plausible.ts'
import { readJournalText } from '../../../core/journal/read.ts'
import type { ReadProblem } from '../../../core/journal/read.schema.ts'
import { photoIdsIn } from '../exporting.ts'
import { loadDefinitionsOf } from '../opened.ts'
import { readArchive } from './archive.ts'
import { previewOf, type Preview } from './importing.ts'

/** What is shown of a file before anything is taken in: no entries, so that it crosses to the page at once. */
export interface ImportLook extends Omit<Preview, 'fresh'> {
  fresh: number
  /** Pictures that an entry names, and that the file holds. */
  photoIds: string[]
  /** The file was changed or damaged after it was written. */
  isAltered: boolean
}

export type ReadFile = { problems: ReadProblem[] } | { look: ImportLook }

/** A journal file that is being brought in: read and compared, worked out for trial, and handed over. It runs in a worker, or in the page where there is none. */
export class ImportService {
  private known: readonly Entry[] = []
  fresh: readonly Entry[] = []
  photos: ReadonlyMap<string, Uint8Array> = new Map()

  /**
   * Reads a file and compares it with the journal.
   * @param known the journal's entries
   * @param onProgress told the share done, 0…1
   */
  read(bytes: Uint8Array, known: readonly Entry[], now: number, onProgress: (done: number) => void): ReadFile {
    const archive = readArchive(bytes)
    if ('problem' in archive) return { problems: [{ message: archive.problem }] }
    const { entries, problems, isAltered } = readJournalText(archive.text, (checked, of) =>
      onProgress(checked / Math.max(1, of)),
    )
    if (problems.length > 0) return { problems }
    const unlikely = importProblems(entries, now)
    if (unlikely.length > 0) return { problems: unlikely }
    const byId = new Map(known.map((entry) => [entry.id, entry]))
    const { fresh, ...rest } = previewOf((id) => byId.get(id), entries)
    this.known = known
    this.fresh = fresh
    this.photos = archive.photos
    return {
      look: {
        ...rest,
        fresh: fresh.length,
        photoIds: photoIdsIn(entries).filter((id) => archive.photos.has(id)),
        isAltered,
      },
    }
  }

  /**
   * Works out the courses that would run, so that one which never comes to its end is found before anything is kept.
   * @param onCourse told each course before it is worked out
   * @returns those that cannot be worked out
   */
  async workOut(now: number, onCourse: (name: string) => void): Promise<string[]> {
    const journal = new Journal()
    journal.add([...this.known, ...this.fresh])
    await loadDefinitionsOf(journal.entries())
    const settings = settingsOf(journal) ?? DEFAULT_SETTINGS
    const broken: string[] = []
    for (const course of coursesOf(journal)) {
      if (course.ended) continue
      const name = fullCourseName(course)
      onCourse(name)
      try {
        coursePlan(journal, course, settings, now)
      } catch {
        broken.push(name)
      }
    }
    return broken
  }
}
