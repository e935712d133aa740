import { progressOf } from '../../courses/progress.ts'
import { runningIn } from '../../courses/course.ts'
import { shortCourseName } from '../../courses/names.ts'
import { animalLabel, animalsOf, residentsOf, type Animal } from '../../household/animals.ts'
import { kindOf, type Asking, type PreparationDraft } from '../asking.ts'

/** The count of days without fish that corals, invertebrates and a display have to stand: quarantine.md 7.5, fallow-76. */
const FISHLESS_DAYS = 76

type Words = { id: string; words: string }

/** Whole local days since the last of some animals came into the water they are in. */
const daysSinceLast = ({ now, settings: { clock } }: Asking, animals: readonly Animal[]): number =>
  clock.dayOf(now) - clock.dayOf(Math.max(...animals.map(({ stays }) => stays.at(-1)!.from)))

/** Every treatment that runs in the water: quarantine.md 7.4, new-fish-added. */
const coursesRestarted = ({ journal, tank, now }: Asking): Words[] =>
  runningIn(journal, tank.id).map((course) => {
    return {
      id: `restart-${course.id}`,
      words: `${shortCourseName(course)} runs here, ${progressOf(journal, course, now)}. A new fish starts it over for every fish in that water: another tank, or after it.`,
    }
  })

/** Fish that are only watched: their days without a sign are a count too (quarantine.md 7.4, new-fish-added: all). */
function watchRestarted(asking: Asking): Words[] {
  const { journal, tank } = asking
  const fish = residentsOf(journal, tank.id).filter((animal) => kindOf(animal) === 'fish')
  if (tank.role !== 'quarantine' || fish.length === 0) return []
  const days = daysSinceLast(asking, fish)
  const names = fish.map(animalLabel).join(', ')
  return [
    {
      id: 'restart-watch',
      words: `${names}: under watch here, day ${days} since the last came in. A new fish starts their watch over: whatever it carries is theirs too.`,
    },
  ]
}

/** Corals and invertebrates that wait out their days without fish. */
function batchRestarted(asking: Asking, isFish: boolean): Words[] {
  const { journal, tank } = asking
  const residents = residentsOf(journal, tank.id)
  if (tank.role === 'display' || residents.length === 0 || residents.some((animal) => kindOf(animal) === 'fish'))
    return []
  const days = daysSinceLast(asking, residents)
  if (days >= FISHLESS_DAYS) return []
  return [
    {
      id: 'restart-fishless',
      words: isFish
        ? `Corals or invertebrates stand here on day ${days} of ${FISHLESS_DAYS} without fish: a fish ends that count.`
        : `Those here are on day ${days} of ${FISHLESS_DAYS} without fish. Anything wet that is not quarantined sends the whole batch to day 0.`,
    },
  ]
}

/** A display that its fish left not long ago may be waiting out a pest: quarantine.md 7.4, new-wet-item. */
function fallowRestarted({ journal, tank, now, settings: { clock } }: Asking): Words[] {
  if (tank.role !== 'display') return []
  const fish = animalsOf(journal).filter((animal) => kindOf(animal) === 'fish')
  const stays = fish.flatMap((animal) => animal.stays.filter(({ tankId }) => tankId === tank.id))
  if (stays.length === 0 || stays.some(({ to }) => to === null)) return []
  const days = clock.dayOf(now) - clock.dayOf(Math.max(...stays.map(({ to }) => to!)))
  if (days >= FISHLESS_DAYS) return []
  return [
    {
      id: 'restart-fallow',
      words: `The last fish left ${days} ${days === 1 ? 'day' : 'days'} ago. If this tank is being left without fish for ${FISHLESS_DAYS} days, anything wet that is not quarantined, fish, snail or plug, ends that count.`,
    },
  ]
}

/** What a newcomer does to the counts that run in this water: quarantine.md 7.4. */
export function restarts(asking: Asking): PreparationDraft[] {
  const isFish = asking.animals.some((animal) => kindOf(animal) === 'fish')
  const courses = isFish ? coursesRestarted(asking) : []
  return [
    ...courses,
    ...(isFish && courses.length === 0 ? watchRestarted(asking) : []),
    ...batchRestarted(asking, isFish),
    ...fallowRestarted(asking),
  ].map((words) => ({ ...words, state: 'warns', title: 'Nobody’s count is started over', by: null, mend: 'elsewhere' }))
}
