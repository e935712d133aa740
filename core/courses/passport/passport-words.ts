import { shortCourseName } from '../names.ts'
import { tankById } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { dayAs } from '../../time/words.ts'
import type { ZoneClock } from '../../time/zone.ts'
import { plural } from '../../words/numbers.ts'
import type { Exposure, Passport, TankProof } from './passport.ts'

const day = (ms: number, clock: ZoneClock): string => dayAs(clock.dayOf(ms), 'd MMMM yyyy')

const CONTACTS: Readonly<Record<string, string>> = {
  fish: 'a fish',
  water: 'water of another tank',
  tool: 'a wet tool',
  snail: 'a snail',
  plug: 'a plug or a rock',
  media: 'filter media',
  suspect: 'something suspect',
}

/** What exposed somebody, or came into a tank: "a wet tool on 3 November 2026", "Dot on 3 November 2026". */
export function exposureWords({ at, why, what }: Exposure, clock: ZoneClock): string {
  const thing = why === 'contact' ? (CONTACTS[what ?? ''] ?? what) : what
  const name = thing ?? (why === 'outside' ? 'its arrival' : 'fish in the same water')
  return `${name} on ${day(at, clock)}`
}

/**
 * A passport in a sentence: "day 36 of 76 without fish, clean from 12 January 2027".
 * @example
 * passportWords(passport, clock) // "Copper, chelated, finished on 4 November 2026, and nobody unproven met since"
 */
export function passportWords(passport: Passport, clock: ZoneClock): string {
  const { kind, state, course, exposed, days, provenAt, clearAt } = passport
  if (kind === 'fish') {
    if (state === 'proven')
      return `${shortCourseName(course!)}, finished on ${day(provenAt!, clock)}, and nobody unproven met since`
    if (state === 'counting') return `in quarantine: ${shortCourseName(course!)}, not finished`
    return exposed === null
      ? 'no finished quarantine on record'
      : `out of quarantine, but not proven since it met ${exposureWords(exposed, clock)}`
  }
  if (state === 'proven')
    return days!.has >= days!.needs
      ? `${plural(days!.needs, 'day')} without fish, clean since ${day(provenAt!, clock)}`
      : `clean with its tank since ${day(provenAt!, clock)}`
  const count = `day ${days!.has} of ${days!.needs} without fish`
  return state === 'counting' ? `${count}, clean from ${day(clearAt!, clock)}` : `${count}: no days are counted yet`
}

/** How clean a tank is, in a sentence; null where nothing is on record of it. */
export function tankProofWords(journal: Journal, proof: TankProof, clock: ZoneClock): string | null {
  const name = tankById(journal, proof.tankId)?.name ?? 'this tank'
  const came = proof.cameIn.map((one) => exposureWords(one, clock)).join('; ')
  switch (proof.state) {
    case 'counting':
      return `${name} is on day ${proof.days!.has} of ${proof.days!.needs} without fish`
    case 'proven':
      return `${name} is proven since ${day(proof.since!, clock)}: its days without fish are full, and only proven animals came in`
    case 'unproven':
      return `${name} is unproven since ${day(proof.since!, clock)}: ${came}. A look a day until ${day(proof.until!, clock)}`
    case 'watched':
      return `${name} was unproven from ${day(proof.since!, clock)} (${came}); its days of looks are over`
    case 'unknown':
      return null
  }
}
