import { signById } from '../../catalogue/sign.ts'
import { animalById, animalLabel } from '../../household/animals.ts'
import { affectedName, affectedWords, beyondHelp, conditionsOf } from '../../watching/affected.ts'
import { capital, listed } from '../../words/numbers.ts'
import { momentBeside } from '../../time/words.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import type { CourseWarning, WarningInput } from './warnings.ts'

/** How long a sign is spoken of. */
const SPOKEN_DAYS = 2
/** What velvet shows first: quarantine.md 3 and doubt-ich-velvet. */
const MAY_BE_VELVET: ReadonlySet<string> = new Set(['fine-dust-sheen', 'breathing-fast', 'into-flow'])
/** Moves as close as this leave velvet behind, hours: doubt-ich-velvet. */
const VELVET_HOURS = 36

/** What is told of a fish that cannot be helped any more: quarantine.md 2.3, rule-euthanasia (AVMA 2020). No dose is given here. */
const PAINLESS_END =
  'few recover, and a painless end is fair. A veterinarian gives it: an overdose of buffered tricaine or eugenol, ten minutes past the last movement of the gills, then a second step that makes sure. How much is theirs to say. Never freezing, flushing or boiling.'

/** How many of how many lie, do not eat, have sores; and for whom a painless end is fair. */
export function wardSentences({ journal, facts: { course, now } }: WarningInput): CourseWarning[] {
  const { kind } = course.definition
  if (kind !== 'school' && kind !== 'add-on') return []
  const conditions = conditionsOf(journal, course.animalIds, now)
  const words = affectedWords(conditions)
  const beyond = beyondHelp(conditions)
  return [
    ...(beyond.length === 0
      ? []
      : [
          {
            id: 'humane-end',
            tone: 'act' as const,
            text: `${listed(beyond.map(affectedName))} ${beyond.some(({ areScalesRaised }) => areScalesRaised) ? 'shows no gain' : 'lies, does not eat and has a sore'}: ${PAINLESS_END}`,
          },
        ]),
    ...(words === '' ? [] : [{ id: 'ward', tone: 'soon' as const, text: `${capital(words)}.` }]),
  ]
}

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
