import { animalById, animalLabel } from '../../household/animals.ts'
import type { Settings } from '../../household/settings.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { momentBeside } from '../../time/words.ts'
import { listed, plural } from '../../words/numbers.ts'
import { dipForbidden, dipOf } from '../amounts/planned-dip.ts'
import type { CourseRecord } from '../record/record.ts'
import type { DipsState } from '../tracks/dips.ts'
import type { FishlessState } from '../tracks/fishless.ts'
import type { CourseWarning } from './warnings.ts'

interface WaitInput {
  journal: Journal
  settings: Settings
  facts: CourseRecord
  fishless: FishlessState | null
  dips: DipsState | null
}

/**
 * What each thing that came in means for days without fish: quarantine.md 7.4 and 7.5.
 * @example
 * CAME_IN_WORDS.tool // "A wet tool of another system was in the water: …"
 */
export const CAME_IN_WORDS: Readonly<Record<ContentOf<'contact'>['what'], string>> = {
  fish: 'A fish of another system was in the water: it may have carried a parasite in, or fed one.',
  water: 'Water of another system came in: one free swimmer in it is enough.',
  tool: 'A wet tool of another system was in the water: what is wet carries fish water. Bleach it, or leave it dry for 24 hours, between two tanks.',
  hand: 'A wet hand of another system was in the water: rinse and dry hands before they go in.',
  snail: 'A snail that was not quarantined came in: cysts sit on shells.',
  plug: 'A plug or frag that was not quarantined came in: cysts sit on everything hard.',
  media:
    'Filter media or a sponge of another system came in: from a tank with fish in the last four weeks it carries their parasites.',
  suspect: 'A coral, a snail or a hitchhiker is suspect: suspicion is enough, and the whole batch is at day 0 again.',
}

/** What set the days without fish back, in its own sentence, and from when they count. */
export function fishlessSentences({ journal, settings, facts, fishless }: WaitInput): CourseWarning[] {
  if (!fishless || fishless.state === 'full') return []
  const { clock } = settings
  const { now, fishIn, course } = facts
  const warnings: CourseWarning[] = []
  const isIn = fishIn.some(({ from, to }) => from <= now && (to === null || to > now))
  if (isIn)
    warnings.push({
      id: 'new-fish',
      tone: 'act',
      text:
        course.definition.kind === 'coral'
          ? 'Fish live in this tub: it counts pests, not parasites. Only the dips count; the days begin at the first midnight after the last fish is out.'
          : 'A fish is in the water: the days without fish begin at the first midnight after the last one is out.',
    })
  const last = fishless.restarts.at(-1)
  if (!last || isIn) return warnings
  const name = last.animalId === undefined ? null : animalById(journal, last.animalId)
  const means =
    last.why === 'new-fish'
      ? `${name ? animalLabel(name) : 'A fish'} was in the water: it may have carried a parasite in, or fed one.`
      : last.why === 'new-wet-item'
        ? `${name ? animalLabel(name) : 'An animal'} came in that was not quarantined: the whole batch goes back to day 0.`
        : CAME_IN_WORDS[last.what ?? 'water']
  warnings.push({
    id: last.why,
    tone: 'soon',
    text: `${means} That was ${momentBeside(last.at, now, clock)}: the days count from the midnight after it.`,
  })
  return warnings
}

/** What stands in the way of clean dips. */
export function dipSentences({ settings, facts, dips, fishless }: WaitInput): CourseWarning[] {
  if (!dips) return []
  const when = (at: number) => momentBeside(at, facts.now, settings.clock)
  const { pace, rounds, hosts, restarts } = dips
  const warnings: CourseWarning[] = []
  if (hosts.length === 0)
    warnings.push({
      id: 'no-hosts',
      tone: 'act',
      text: 'No coral is named yet: a round counts only when every host was done, so name each of them.',
    })
  const dip = dipOf(facts.course)
  const forbidden = hosts.filter((part) => dipForbidden(dip, part) !== null)
  if (forbidden.length > 0 && dips.state !== 'full')
    warnings.push({
      id: 'dip-forbidden',
      tone: 'act',
      text: `Not in this dip: ${listed(forbidden.map(({ name }) => name))}; ${dip.notForWhy}. Choose another dip for it at its round.`,
    })
  const last = rounds.at(-1)
  if (dips.state === 'broken' && pace.pest)
    warnings.push({
      id: 'late-dip',
      tone: 'act',
      text: `The last whole round was over ${pace.mostDays} days ago: what hatched since may have laid. Dip all hosts now; ${pace.need} clean dips count from there.`,
    })
  else if (restarts.at(-1)?.why === 'late-dip' && dips.state !== 'full')
    warnings.push({
      id: 'late-dip',
      tone: 'soon',
      text: `The dip ${when(restarts.at(-1)!.at)} came over ${pace.mostDays} days after the one before: hatchlings may have laid meanwhile, so the clean dips began again with it.`,
    })
  else if (restarts.at(-1)?.why === 'suspicion' && dips.state !== 'full' && !fishless)
    warnings.push({
      id: 'suspicion',
      tone: 'soon',
      text: `${CAME_IN_WORDS.suspect} That was ${when(restarts.at(-1)!.at)}: the clean dips count from there.`,
    })
  if (dips.seenAt !== null && dips.has === 0 && dips.state !== 'full') {
    const lost = restarts.at(-1)
    warnings.push({
      id: 'pest-seen',
      tone: 'soon',
      text: `${pace.pest ? 'Something still came off or was seen' : 'An animal was seen'} ${when(dips.seenAt)}: ${
        lost?.why === 'pest-seen' && lost.at === dips.seenAt ? 'the clean dips begin again' : 'no dip is clean yet'
      }; ${plural(pace.need, 'clean dip')} on end ${pace.need === 1 ? 'is' : 'are'} wanted${
        pace.pest ? '' : '. Choose the pest under “How it runs”: it sets the pace'
      }.`,
    })
  }
  if (last?.state === 'not-all')
    warnings.push({
      id: 'not-all',
      tone: 'act',
      text: `The round ${when(last.at)} left out ${listed(last.left.map(({ name }) => name))}: it does not count. Every host in one round, or what hid on it comes back.`,
    })
  if (last?.state === 'too-soon')
    warnings.push({
      id: 'too-soon',
      tone: 'soon',
      text: `The round ${when(last.at)} came sooner than ${pace.intervalDays} days after the one before: it does no harm to the count and does not add to it.`,
    })
  return warnings
}
