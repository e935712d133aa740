import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { iso, MS_PER_DAY } from '../../time/zone.ts'
import type { Course } from '../course.ts'

/** A film shows so many days after the feed that it comes of: further-schools.md 2. */
const FILM_DAYS = [1, 3] as const
const FILM = 'film'

/** A feed of a tub without fish, with the film that came after it. */
export interface FeedWithFilm {
  at: number
  /** The film of one to three days later, %; null where none was written. */
  film: { at: number; percent: number; days: number } | null
}

/** What is kept of a film: how much of glass and sand it covers. */
export const filmContent = (tankId: string, percent: number, at: number): ContentOf<'count'> => ({
  kind: 'count',
  happened: iso(at),
  tankId,
  measure: 'coverage',
  of: FILM,
  values: [percent],
})

/**
 * The feeds of a course, the newest first, each with the film that was seen one to three days after it.
 * @param now ms
 */
export function feedsWithFilms(journal: Journal, course: Course, now: number): FeedWithFilm[] {
  const within = (at: number) => at >= course.startedAt && at <= now
  // Logged twice for one occasion it is one feed.
  const ticked = new Map(
    journal
      .ofKind('task')
      .flatMap(({ at, content }) =>
        content.state === 'done' && content.taskId.startsWith(`${course.id}/feed/`) ? [[content.taskId, at]] : [],
      ),
  )
  const fed = [
    ...journal.ofKind('feed').flatMap(({ at, content }) => (content.tankId === course.tankId ? [at] : [])),
    ...ticked.values(),
  ]
  const films = journal
    .ofKind('count')
    .flatMap(({ at, content }) =>
      content.tankId === course.tankId && content.measure === 'coverage' && content.of === FILM && at <= now
        ? [{ at, percent: content.values?.[0] ?? 0 }]
        : [],
    )
  return [...new Set(fed)]
    .filter(within)
    .sort((a, b) => b - a)
    .map((at) => {
      const film = films.find((one) => {
        const days = (one.at - at) / MS_PER_DAY
        return one.percent > 0 && days >= FILM_DAYS[0] && days <= FILM_DAYS[1]
      })
      return { at, film: film ? { ...film, days: Math.round((film.at - at) / MS_PER_DAY) } : null }
    })
}
