import type { Settings } from '../household/settings.ts'
import { animalById, animalLabel } from '../household/animals.ts'
import { signById } from '../catalogue/sign.ts'
import { productById } from '../household/shelf.ts'
import { tankById } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../time/zone.ts'
import { dayAs, momentBeside, spanText } from '../time/words.ts'
import { GAP_HOURS, type CourseClock } from './course-clock.ts'
import type { CopperFacts, Restart } from './copper-facts.ts'
import type { Observation } from './observation.ts'
import type { Watched } from './copper-signs.ts'

/** A sentence that changes what to do; it stands above the list. */
export interface CourseWarning {
  id: string
  tone: 'act' | 'soon'
  text: string
}

interface WarningInput {
  journal: Journal
  settings: Settings
  facts: CopperFacts
  clock: CourseClock
  seen: Watched
  observation: Observation | null
}

/** How long a death without a cause is told: as long as it extends the watch, quarantine.md 7.4. */
const DEATH_DAYS = 14

const RESTART_WORDS: Record<Restart['event'], string> = {
  'carbon-left-in': 'carbon was in the water',
  'new-fish-added': 'a new fish came into the water',
  'cross-contamination': 'something wet from an unclean system touched the water',
}

/** The last time the level was under its range, and when the count began again. */
function breakSentence({ facts, clock, settings }: WarningInput): CourseWarning | null {
  const last = clock.breaks.at(-1)
  if (!last) return null
  const low = facts.course.dose.low.toFixed(2)
  const zone = settings.clock
  if (last.to === null)
    return {
      id: 'broken',
      tone: 'act',
      text: `Copper is ${last.isReckoned ? 'by reckoning ' : ''}under ${low} since ${momentBeside(last.from, facts.now, zone)}. The count starts over once it is back.`,
    }
  // A break that a whole full count has followed is history.
  if (clock.state === 'complete') return null
  const day = dayAs(zone.dayOf(last.from), 'EEEE d MMMM')
  const again =
    clock.runFrom !== null && clock.runFrom >= last.to
      ? ` The count began again ${momentBeside(clock.runFrom, facts.now, zone)}.`
      : ''
  return {
    id: 'broke',
    tone: 'act',
    text: `Copper was ${last.isReckoned ? 'by reckoning ' : ''}under ${low} for about ${spanText((last.to - last.from) / MS_PER_HOUR)} on ${day}.${again}`,
  }
}

function gapSentence({ clock, facts, settings }: WarningInput): CourseWarning | null {
  const gap = clock.gaps.at(-1)
  if (!gap || (!gap.open && (clock.runFrom === null || gap.to < clock.runFrom))) return null
  const hours = spanText(gap.hours)
  if (gap.effect === 'restart')
    return gap.open
      ? {
          id: 'gap',
          tone: 'act',
          text: `No reading for ${hours}: over ${GAP_HOURS.most} h nothing is proven any more. The count starts over with the next reading in range.`,
        }
      : {
          id: 'gap',
          tone: 'act',
          text: `No reading for ${hours}: over ${GAP_HOURS.most} h, so the count began again with the reading of ${momentBeside(gap.to, facts.now, settings.clock)}.`,
        }
  const extra = spanText(gap.hours - GAP_HOURS.proven)
  return {
    id: 'gap',
    tone: 'soon',
    text: `No reading for ${hours}: ${extra} of it is not counted${gap.open ? ' so far' : ''} and is added at the end.`,
  }
}

function restartSentences({ clock, facts, settings, journal }: WarningInput): CourseWarning[] {
  const restartWords = (event: Restart['event'], animalId: string | undefined): string => {
    const animal = animalId === undefined ? null : animalById(journal, animalId)
    if (!animal) return RESTART_WORDS[event]
    return facts.course.animalIds.includes(animal.id) && animal.arrivedAt < facts.course.startedAt
      ? `${animalLabel(animal)} came back from other water`
      : `${animalLabel(animal)} came into the water`
  }
  return clock.restarts.slice(0, 1).map(({ at, event, ongoing, animalId }) =>
    ongoing
      ? {
          id: 'restart',
          tone: 'act',
          text: `Carbon or resin is running in this water: it takes the copper out, and nothing counts until it is removed.`,
        }
      : {
          id: 'restart',
          tone: 'soon',
          text: `The count began again ${momentBeside(at, facts.now, settings.clock)}: ${restartWords(event, animalId)}.`,
        },
  )
}

/** Everything that changes what to do in a copper course, most pressing first. */
export function copperWarnings(input: WarningInput): CourseWarning[] {
  const { journal, facts, seen, observation, settings } = input
  const { course, now, volumeL } = facts
  const warnings: (CourseWarning | null)[] = []
  const tank = tankById(journal, course.tankId)
  if (volumeL === null)
    warnings.push({
      id: 'volume',
      tone: 'act',
      text: `The net volume of ${tank?.name ?? 'this tank'} is not worked out: nothing can be dosed until its sheet is filled in.`,
    })
  if (!observation) {
    warnings.push(breakSentence(input), gapSentence(input), ...restartSentences(input))
    const product = course.productId === null ? null : productById(journal, course.productId)
    if (!product || product.retired)
      warnings.push({
        id: 'product',
        tone: 'act',
        text: 'The copper of this course is not on the shelf any more: amounts cannot be measured.',
      })
  }
  const death = seen.unexplainedDeaths.at(-1)
  if (death && now - death.at < DEATH_DAYS * MS_PER_DAY) {
    const animal = animalById(journal, death.animalId)
    warnings.push({
      id: 'death',
      tone: 'act',
      text: `${animal ? animalLabel(animal) : 'A fish'} died ${momentBeside(death.at, now, settings.clock)} and nobody knows why: fourteen days are added to the watch after the course. Within the hour gills and a scrape of skin under the microscope still tell; kept cool in a bag, not frozen, a veterinarian can look. Write the cause with the death once it is known.`,
    })
  }
  const sign = seen.signs.findLast(({ at }) => now - at < 2 * MS_PER_DAY)
  if (sign) {
    const animal = animalById(journal, sign.animalId)
    const who = animal ? animalLabel(animal) : 'A fish'
    const label = signById(sign.sign)?.label ?? sign.sign
    warnings.push(
      observation
        ? {
            id: 'sign',
            tone: 'act',
            text: `${who}: ${label}, seen ${momentBeside(sign.at, now, settings.clock)}. Back to treatment; the observation starts at nothing.`,
          }
        : {
            id: 'sign',
            tone: 'soon',
            text: `${who}: ${label}, seen ${momentBeside(sign.at, now, settings.clock)}. No move while signs show.`,
          },
    )
  }
  return warnings
    .filter((warning) => warning !== null)
    .sort((a, b) => (a.tone === b.tone ? 0 : a.tone === 'act' ? -1 : 1))
}
