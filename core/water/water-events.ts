import { ingredientById } from '../catalogue/ingredient.ts'
import { courseById } from '../courses/course.ts'
import type { Journal } from '../journal/journal.ts'

/** Something that was done to a tank's water, for the time axis of its charts. */
export interface WaterEvent {
  at: number
  kind: 'change' | 'dose' | 'course'
  words: string
}

/** What was done to a tank over some time, the earliest first: changes, doses, courses that began. @param from ms @param until ms */
export const waterEvents = (journal: Journal, tankId: string, from: number, until: number): WaterEvent[] =>
  journal.about(`tank:${tankId}`).flatMap(({ at, struck, content }): WaterEvent[] => {
    if (struck || at < from || at > until) return []
    if (content.kind === 'water-change') return [{ at, kind: 'change', words: 'water change' }]
    if (content.kind === 'dose')
      return [{ at, kind: 'dose', words: ingredientById(content.ingredient)?.name ?? content.ingredient }]
    if (content.kind === 'course-start')
      return [{ at, kind: 'course', words: courseById(journal, content.courseId)?.definition.name ?? 'a course' }]
    return []
  })

/** Flags that a time axis has room for, a kind. */
const MOST_FLAGS = 60

/** Fewer events for an axis that cannot show them all: the first of each kind in each stretch of it. @param from ms @param until ms */
export function thinnedEvents(events: readonly WaterEvent[], from: number, until: number): WaterEvent[] {
  const seen = new Set<string>()
  return events.filter(({ at, kind }) => {
    const place = `${kind} ${Math.floor((MOST_FLAGS * (at - from)) / (until - from))}`
    return !seen.has(place) && seen.add(place)
  })
}
