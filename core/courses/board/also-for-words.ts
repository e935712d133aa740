import type { Journal } from '../../journal/journal.ts'
import { listed } from '../../words/numbers.ts'
import { courseById } from '../course.ts'
import { shortCourseName } from '../names.ts'

/** Which other courses a task serves: "Serves “Deworming” as well." */
export const alsoForWords = (journal: Journal, courseIds: readonly string[]): string =>
  `Counts for ${listed(
    [...new Set(courseIds)].flatMap((id) => {
      const course = courseById(journal, id)
      return course ? [shortCourseName(course)] : []
    }),
  )} as well.`
