import type { ContentKind } from '../journal/entry.ts'
import type { Journal, Line } from '../journal/journal.ts'
import { PARAMETERS, type Parameter } from '../catalogue/parameter.ts'
import { lastValue } from '../readings/evidence.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { LOOK_BACK_DAYS } from './context.ts'

/** What may be the cause of something: readings and looks are its effect. */
const MAY_BE_CAUSES: ReadonlySet<ContentKind> = new Set([
  'arrival',
  'bath',
  'contact',
  'course-start',
  'course-end',
  'death',
  'departure',
  'dose',
  'equipment',
  'move',
  'new-water',
  'part-change',
  'tank-change',
  'water-change',
])

/** What was done in a tank in the three weeks before, the latest first: the cause is often among it (further-schools.md 8). */
export const happenedBefore = (journal: Journal, tankId: string, until: number): Line[] =>
  journal
    .about(`tank:${tankId}`)
    .filter(
      ({ at, struck, content }) =>
        !struck && at >= until - LOOK_BACK_DAYS * MS_PER_DAY && at <= until && MAY_BE_CAUSES.has(content.kind),
    )
    .reverse()

/** A reading older than this says nothing of the water when a case was opened (EA). */
const READING_DAYS = 14

/** The water as it was last read when something showed. */
export const waterThen = (journal: Journal, tankId: string, at: number): { parameter: Parameter; value: number }[] =>
  PARAMETERS.flatMap((parameter) => {
    const last = lastValue(journal, tankId, parameter.id, at + 1)
    return last && at - last.at <= READING_DAYS * MS_PER_DAY ? [{ parameter, value: last.value }] : []
  })
