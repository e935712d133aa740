import { CONDITION_NAMES } from '../../catalogue/diagnosis/condition-names.data.ts'
import type { Journal } from '../../journal/journal.ts'
import { DEFAULT_SETTINGS, settingsOf } from '../../household/settings.ts'
import { fullCourseName } from '../../courses/names.ts'
import type { Course } from '../../courses/course.ts'
import { dayBeside } from '../../time/words.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { concern, type Concern } from '../concern.ts'
import { coursesIn, openCases, type OpenCase } from '../water/contexts.ts'
import type { Resident } from '../water/residents.ts'
import type { Tank } from '../../household/tanks.ts'

/** After an outbreak so many days of weekly looks have to be clean before stock goes in: outbreaks.md 1, prevent-relapse, 4–8 weeks. */
const CLEAN_DAYS = 28

/** When a plan's treatment and the clean weeks after it are over, if all goes as planned, ms. */
const safeFrom = ({ startedAt, requiredDays }: Course): number => startedAt + (requiredDays + CLEAN_DAYS) * MS_PER_DAY

/**
 * Stock that goes into trouble: a tank with an open case, or one under a plan against an outbreak. What it is, from which day it would be
 * safe, and one test piece first.
 */
export function troubleConcerns(journal: Journal, resident: Resident, tank: Tank, at: number): Concern[] {
  const { clock } = settingsOf(journal) ?? DEFAULT_SETTINGS
  const plans = coursesIn(journal, tank.id, at).filter(
    ({ definition }) => definition.kind === 'plan' && (definition.treats.length > 0 || definition.id === 'aftercare'),
  )
  // Whom a case is about goes where it is treated; a case that a running plan answers is said once, with the plan.
  const isAnswered = ({ id, causes }: OpenCase) =>
    plans.some(
      ({ caseId, definition }) =>
        caseId === id || (causes.length > 0 && causes.every((cause) => definition.treats.includes(cause))),
    )
  const cases = openCases(journal, tank.id, at).filter(
    (one) => !one.animalIds.includes(resident.id) && !isAnswered(one),
  )
  const one = resident.kind === 'coral' ? 'one test piece first' : 'one test animal first'
  return [
    ...plans.map((course) =>
      concern(
        'running-plan',
        'caution',
        `${fullCourseName(course)} runs in ${tank.name}`,
        `new stock would be safe about ${dayBeside(clock.dayOf(safeFrom(course)), clock.dayOf(at))}, after the treatment and ${CLEAN_DAYS / 7} clean weeks; ${one}`,
      ),
    ),
    ...cases.map(({ title, causes }) => {
      const thought = causes.flatMap((id) => CONDITION_NAMES[id] ?? [])
      const named = title ?? (thought.length > 0 ? thought.join(', ') : null)
      return concern(
        'open-case',
        'caution',
        `${tank.name} has an open case${named === null ? '' : `: ${named}`}`,
        `new stock would be safe ${CLEAN_DAYS / 7} clean weeks after the case is closed; ${one}`,
      )
    }),
  ]
}
