import { fullAtOf } from '../../courses/progress.ts'
import type { Course } from '../../courses/course.ts'
import { clockOf } from '../../household/settings.ts'
import { residentsBetween } from '../../household/animals.ts'
import { tankById } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { dayAs } from '../../time/words.ts'
import { MS_PER_DAY, type ZoneClock } from '../../time/zone.ts'
import { passportOf, tankProofOf, type Passport, type TankProof } from '../../courses/passport/passport.ts'
import { passportWords } from '../../courses/passport/passport-words.ts'
import { watchDays } from '../../courses/tracks/watch.ts'
import { capital, plural } from '../../words/numbers.ts'
import { concern, type Concern } from '../concern.ts'

/** Who is to come into a tank. */
export interface Newcomer {
  animalId: string
  label: string
  kind: 'fish' | 'other'
}

const dayWords = (ms: number, clock: ZoneClock): string => dayAs(clock.dayOf(ms), 'd MMMM yyyy')

/** From when it would be right, in a sentence; where only a course can say, which one. */
function rightFrom(journal: Journal, passport: Passport | null, kind: Newcomer['kind'], at: number): string {
  const clock = clockOf(journal)
  if (passport?.state === 'counting' && passport.kind === 'other' && passport.clearAt !== null)
    return `it is clean from ${dayWords(passport.clearAt, clock)}`
  if (passport?.state === 'counting' && passport.course) {
    const full = quarantineEnd(journal, passport.course, at)
    return full === null
      ? 'first its course has to be finished, with the days of watching after it'
      : `its course and the days of watching after it would be over on ${dayWords(full, clock)}`
  }
  return kind === 'fish'
    ? 'first a quarantine of its own, to its end'
    : `first ${plural(passport?.days?.needs ?? 76, 'day')} in a tank without fish`
}

/** When a running quarantine and its least days of watching would be over, ms; null where nobody can say. */
export function quarantineEnd(journal: Journal, course: Course, at: number): number | null {
  const full = fullAtOf(journal, course, at)
  return full === null ? null : full + watchDays(course).days * MS_PER_DAY
}

/** What a tank would lose if somebody unproven came in; null where it has nothing to lose. */
function lossOf(journal: Journal, proof: TankProof, at: number): string | null {
  const tank = tankById(journal, proof.tankId)
  const name = tank?.name ?? 'the tank'
  if (proof.state === 'counting')
    return proof.days!.has > 0
      ? `${name} would lose its ${plural(proof.days!.has, 'day')} of ${proof.days!.needs} without fish, and begin at day 0`
      : null
  // A tub that was emptied after its days has nothing to lose: the next batch begins its own.
  const isKept = tank?.role === 'display' || residentsBetween(journal, proof.tankId, at, at).length > 0
  if (proof.state === 'proven' && isKept)
    return `${name} stood ${plural(proof.days!.needs, 'day')} without fish and is clean since ${dayWords(proof.since!, clockOf(journal))}: all of that would be lost`
  return null
}

/** Whether somebody takes nothing from days without fish: a fish always does, and a coral does that lived with fish, proven or not. */
const isClearOfFish = ({ days }: Passport): boolean => days !== null && days.has >= days.needs

/**
 * What an animal without a proof costs the tank that it comes into, and what a coral gives up that leaves its days without fish early.
 * @param fromTankId where it lives now; left out for one from outside
 */
export function doorConcerns(
  journal: Journal,
  { animalId, label, kind }: Newcomer,
  toTankId: string,
  at: number,
  fromTankId?: string,
): Concern[] {
  const passport = fromTankId === undefined ? null : passportOf(journal, animalId, at)
  const proof = tankProofOf(journal, toTankId, at)
  const said = passport
    ? passportWords(passport, clockOf(journal))
    : 'it comes from outside, with no days on record here'
  const isFishless = proof.state === 'counting'
  if (passport?.state === 'proven' && (!isFishless || isClearOfFish(passport))) return []
  const loss = lossOf(journal, proof, at)
  if (loss !== null) {
    const fullAt = isFishless && kind === 'fish' && passport?.state === 'proven' ? proof.since : null
    const right =
      fullAt === null
        ? rightFrom(journal, passport, kind, at)
        : `right from ${dayWords(fullAt, clockOf(journal))}, when the days are full`
    return [
      concern(
        kind === 'fish' && isFishless ? 'fish-in-fallow' : 'unproven',
        'block',
        `${label}: ${said}`,
        `${loss}. ${capital(right)}`,
        'reason',
      ),
    ]
  }
  const isDisplay = tankById(journal, toTankId)?.role === 'display'
  const isLeavingEarly = passport?.kind === 'other' && passport.course !== null && passport.state === 'counting'
  if (isDisplay && isLeavingEarly && passport.course!.tankId !== toTankId)
    return [
      concern(
        'coral-early',
        'block',
        `${label}: ${said}`,
        `what it may carry would go to the fish there. ${capital(rightFrom(journal, passport, kind, at))}`,
        'reason',
      ),
    ]
  return []
}
