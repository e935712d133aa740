import { isCleanOfFish } from '../../courses/record/record-parts.ts'
import { fishlessTrackOf } from '../../courses/tracks/fishless.ts'
import { dayAs } from '../../time/words.ts'
import { recordOf } from '../../courses/record/record.ts'
import { setState } from '../../courses/tracks/sets.ts'
import { coursesOf, type Course } from '../../courses/course.ts'
import { animalLabel, isFish, type Animal } from '../../household/animals.ts'
import { clockOf } from '../../household/settings.ts'
import { tankById } from '../../household/tanks.ts'
import type { Definition } from '../../catalogue/courses/definitions.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { tankProofOf } from '../../courses/passport/passport.ts'
import { concern, type Concern } from '../concern.ts'
import type { Resident } from '../water/residents.ts'
import { isCountFull } from '../../courses/progress.ts'
import { quarantineEnd } from './door.ts'

const isRunningAt = ({ startedAt, ended }: Course, at: number): boolean =>
  startedAt <= at && (ended === null || ended.at > at)

/** Whether a new fish sets a course’s count back: a school’s, and every count of days without fish. quarantine.md 7.4. */
const isSetBackByFish = (definition: Definition): boolean =>
  definition.kind === 'school' || fishlessTrackOf(definition) !== undefined

/** What a fish brings to a course that runs in the water it comes into: it is not of the course, and the count starts over. */
export function newFishConcerns(journal: Journal, tankId: string, animal: Animal, at: number): Concern[] {
  if (!isFish(animal)) return []
  return (
    coursesOf(journal)
      .filter(
        ({ definition, tankId: where, animalIds }) =>
          where === tankId && isSetBackByFish(definition) && !animalIds.includes(animal.id),
      )
      .filter((course) => isRunningAt(course, at))
      // Days without fish that are full stay full: who comes back is the door's matter.
      .filter(
        ({ definition }) =>
          fishlessTrackOf(definition) === undefined ||
          ['counting', 'unknown'].includes(tankProofOf(journal, tankId, at).state),
      )
      .map(() => ({
        rule: 'new-fish',
        severity: 'caution' as const,
        what: `${animalLabel(animal)} comes into a running course`,
        reason: 'the count starts over for every fish in that water; say whether it joins the course',
        override: 'confirm' as const,
      }))
  )
}

/** A coral, a snail or a shrimp that comes into days without fish and was not quarantined: the whole batch goes back to day 0. */
export function newWetItemConcerns(
  journal: Journal,
  tankId: string,
  resident: Resident,
  at: number,
  fromTankId?: string,
): Concern[] {
  if (resident.kind === 'fish') return []
  return coursesOf(journal)
    .filter((course) => course.tankId === tankId && isRunningAt(course, at))
    .flatMap(({ definition, requiredDays }) => {
      if (fishlessTrackOf(definition) === undefined) return []
      if (fromTankId !== undefined && isCleanOfFish(journal, resident.animal, fromTankId, at, requiredDays)) return []
      return [
        concern(
          'new-wet-item',
          'caution',
          `${resident.label} comes into days without fish`,
          'it was not quarantined: the day count restarts for everything in that water',
        ),
      ]
    })
}

/** What is lost when an animal leaves a course before its end, and what it may carry where it goes. */
export function movedAwayConcerns(
  journal: Journal,
  { fromTankId, toTankId }: ContentOf<'move'>,
  animal: Animal,
  at: number,
): Concern[] {
  const name = animalLabel(animal)
  const to = tankById(journal, toTankId)
  return coursesOf(journal)
    .filter(
      (course) =>
        (course.tankId === fromTankId || Object.values(course.tanks).includes(fromTankId)) &&
        course.definition.kind === 'school' &&
        isRunningAt(course, at) &&
        course.animalIds.includes(animal.id),
    )
    .flatMap((course): Concern[] => {
      const isDisplay = to?.role === 'display'
      const isTreated = course.tankId === fromTankId || course.tanks.other === fromTankId
      // From set to set is the course; a set that still is wet is another matter.
      if (course.definition.ends === 'rounds' && Object.values(course.tanks).includes(toTankId))
        return wetSetConcerns(journal, course, toTankId, at)
      // The course's own move, once its count is full, is its next step.
      if (isTreated && course.moveToTankId === toTankId && isCountFull(journal, course.id, at)) return []
      if (!isTreated && !isDisplay) return []
      return [
        {
          rule: isDisplay ? 'treated-to-display' : 'mid-course',
          severity: isDisplay ? 'block' : 'caution',
          what: `${name} is in the middle of a course in ${tankById(journal, fromTankId)?.name ?? 'that tank'}`,
          reason: isDisplay
            ? `${to?.name ?? 'the display'} would get whatever it still carries: the course is not finished, and the time without medicine has not been${rightFromWords(journal, course, at)}`
            : 'its treatment ends with the move, and what was proven of it does not count elsewhere',
          override: isDisplay ? 'reason-and-vet' : 'confirm',
        },
      ]
    })
}

const rightFromWords = (journal: Journal, course: Course, at: number): string => {
  const end = quarantineEnd(journal, course, at)
  return end === null || end <= at
    ? ''
    : `. Right from ${dayAs(clockOf(journal).dayOf(end), 'd MMMM yyyy')} at the soonest`
}

/** A set that was not made sterile since the fish left it, or has not stood its day: quarantine.md 7.2. */
function wetSetConcerns(journal: Journal, course: Course, toTankId: string, at: number): Concern[] {
  const { usedAt, readyAt } = setState(recordOf(journal, course, at), toTankId)
  if (usedAt === null || (readyAt !== null && readyAt <= at)) return []
  const name = tankById(journal, toTankId)?.name ?? 'that tank'
  return [
    {
      rule: 'set-dry',
      severity: 'caution',
      what: `${name} is the tank they left`,
      reason:
        readyAt === null
          ? 'it is not logged as bleached or dried since: cysts wait in a wet set. Another set, or say how it was made sterile'
          : 'it has not stood bleached or dry for 24 h yet: cysts wait in a wet set',
      override: 'confirm',
    },
  ]
}
