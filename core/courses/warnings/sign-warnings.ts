import { signById } from '../../catalogue/sign.ts'
import { animalById, animalLabel } from '../../household/animals.ts'
import { momentBeside } from '../../time/words.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import type { CourseWarning, WarningInput } from './warnings.ts'

/** How long a sign is spoken of. */
const SPOKEN_DAYS = 2
/** What velvet shows first: quarantine.md 3 and doubt-ich-velvet. */
const MAY_BE_VELVET: ReadonlySet<string> = new Set(['fine-dust-sheen', 'breathing-fast', 'into-flow'])
/** Moves as close as this leave velvet behind, hours: doubt-ich-velvet. */
const VELVET_HOURS = 36

/** The last sign that was seen, and what it means for the work of the course. */
export function signSentence({
  journal,
  facts: { course, now },
  seen,
  observation,
  rounds,
  settings,
}: WarningInput): CourseWarning | null {
  const recent = seen.signs.filter(({ at }) => now - at < SPOKEN_DAYS * MS_PER_DAY)
  const sign = recent.at(-1)
  if (!sign) return null
  const animal = animalById(journal, sign.animalId)
  const who = animal ? animalLabel(animal) : 'A fish'
  const label = signById(sign.sign)?.label ?? sign.sign
  const what = `${who}: ${label}, seen ${momentBeside(sign.at, now, settings.clock)}.`
  if (observation)
    return { id: 'sign', tone: 'act', text: `${what} Back to treatment; the observation starts at nothing.` }
  if (course.definition.kind === 'plan') return { id: 'sign', tone: 'soon', text: what }
  // A move of the chain leaves the parasite behind: signs are no reason to miss it.
  if (rounds) {
    const isTooSlow =
      !course.definition.treats.includes('marine-velvet') && recent.some((one) => MAY_BE_VELVET.has(one.sign))
    return isTooSlow
      ? {
          id: 'sign',
          tone: 'act',
          text: `${what} This may be velvet, and moves ${rounds.track.rule.usualHours} h apart are too slow for it: make the due move, then go on every ${VELVET_HOURS} h, or dose copper or chloroquine now.`,
          offers: { definitionId: 'qt-c-velvet', label: `Start moves every ${VELVET_HOURS} h` },
        }
      : { id: 'sign', tone: 'soon', text: `${what} Make the move that is due anyway.` }
  }
  return { id: 'sign', tone: 'soon', text: `${what} No move out of the medicine while signs show.` }
}
