import type { Dose } from '../../catalogue/treatments/treatments.ts'
import { doseById } from '../../catalogue/treatments/treatments.ts'
import { animalById } from '../../household/animals.ts'
import { netVolumeAt } from '../../household/tanks.ts'
import type { ContentOf } from '../../journal/entry.ts'
import { firstAtOrAfter, type Journal, type Line } from '../../journal/journal.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import type { Course } from '../course.ts'
import type { GivenDose } from './record.ts'
import type { DoseTrack } from '../tracks/doses.ts'
import { countedMassMg } from '../../dosing/counted-mass.ts'

/** Syringes and clocks are not better: a dose or a bath this little under its strength or its time is whole (as for a ramp's step). */
export const WHOLE_SHARE = 0.95
/** Portions within so many hours are one dose: weighed in two lots, or fed at two meals (EA). */
const ONE_DOSE_HOURS = { tank: 6, bath: 6, food: 12 } as const

/** One portion: a strength that is not known, null, counts as whole. */
interface Portion {
  at: number
  strength: number | null
  /** Of a bath: long enough, and not ended early. */
  isLongEnough: boolean
  /** Who was in it; empty for all of the course. */
  animalIds: readonly string[]
}

function portionsOf(journal: Journal, course: Course, dose: Dose, until: number): Portion[] {
  const own = new Set(Object.values(course.tanks))
  const isHere = (tankId: string, at: number) => own.has(tankId) && at <= until
  const since = <K extends 'feed' | 'bath' | 'dose'>(kind: K): readonly Line<ContentOf<K>>[] => {
    const lines = journal.ofKind(kind)
    return lines.slice(firstAtOrAfter(lines, course.startedAt))
  }
  if (dose.route === 'food')
    return since('feed').flatMap(({ at, content }) =>
      isHere(content.tankId, at) && content.ingredient === dose.agent
        ? [{ at, strength: content.mgPerG ?? null, isLongEnough: true, animalIds: [] }]
        : [],
    )
  if (dose.route === 'bath') {
    const fish = new Set(course.animalIds)
    return since('bath').flatMap(({ at, content }) =>
      isHere(content.tankId, at) &&
      content.ingredient === dose.agent &&
      (content.animalIds.length === 0 || fish.size === 0 || content.animalIds.some((id) => fish.has(id)))
        ? [
            {
              at,
              strength: countedMassMg(content) === undefined ? null : countedMassMg(content)! / content.litres,
              isLongEnough:
                content.stopped === undefined && content.minutes >= WHOLE_SHARE * (dose.bathMinutes?.[0] ?? 0),
              animalIds: content.animalIds,
            },
          ]
        : [],
    )
  }
  return since('dose').flatMap(({ at, content }) => {
    if (!isHere(content.tankId, at) || content.ingredient !== dose.agent) return []
    const netL = netVolumeAt(journal, content.tankId, at)
    return [
      {
        at,
        strength: countedMassMg(content) === undefined || netL === null ? null : countedMassMg(content)! / netL,
        isLongEnough: true,
        animalIds: [],
      },
    ]
  })
}

/** Whether portions that are one dose are a whole one: what goes into the water adds up, a bath has to be whole for each fish. */
function isWholeDose(portions: readonly Portion[], dose: Dose, living: readonly string[]): boolean {
  const isStrong = (strength: number | null) => strength === null || strength >= WHOLE_SHARE * dose.low
  if (dose.route === 'tank')
    return isStrong(
      portions.some(({ strength }) => strength === null)
        ? null
        : portions.reduce((sum, { strength }) => sum + strength!, 0),
    )
  const whole = portions.filter(({ strength, isLongEnough }) => isLongEnough && isStrong(strength))
  if (dose.route === 'food' || living.length === 0) return whole.length > 0
  return living.every((id) => whole.some(({ animalIds }) => animalIds.length === 0 || animalIds.includes(id)))
}

/** The course's animals that lived at an instant. */
const livingAt = (journal: Journal, { animalIds }: Course, at: number): string[] =>
  animalIds.filter((id) => {
    const animal = animalById(journal, id)
    return animal !== null && (animal.end === null || animal.end.at > at)
  })

/** The doses that a course's counts of doses are of, in time order; portions given shortly after one another are one. */
export function givenDoses(journal: Journal, course: Course, until: number): GivenDose[] {
  return course.definition.tracks
    .filter((track): track is DoseTrack => track.kind === 'rounds' && track.of === 'dose')
    .flatMap((track) => {
      const dose = doseById(track.dose)
      if (!dose) return []
      const apartMs = ONE_DOSE_HOURS[dose.route] * MS_PER_HOUR
      const groups: Portion[][] = []
      for (const portion of portionsOf(journal, course, dose, until)) {
        const group = groups.at(-1)
        if (group && portion.at - group[0]!.at < apartMs) group.push(portion)
        else groups.push([portion])
      }
      return groups.map((group): GivenDose => {
        const at = group.at(-1)!.at
        return { track: track.id, at, isWhole: isWholeDose(group, dose, livingAt(journal, course, at)) }
      })
    })
}
