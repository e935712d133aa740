import { momentBeside } from '../../time/words.ts'
import { crossesAt, evaporationOf } from '../../water/level-line.ts'
import { measureText } from '../../words/measure.ts'
import type { SalinityState } from '../tracks/salinity.ts'
import type { CourseWarning, WarningInput } from './warnings.ts'

/** Days away in which what evaporates lifts a low salinity over its limit. */
export function dryingSentence(
  { journal, facts, settings }: Pick<WarningInput, 'journal' | 'facts' | 'settings'>,
  { psu, limits, clock }: SalinityState,
): CourseWarning | null {
  const { course, now, away, volumeL } = facts
  const lost = evaporationOf(journal, course.tankId, now)
  if (!lost || psu === null || volumeL === null || clock.state === 'complete') return null
  const [at] = away.flatMap(({ from, until }) => {
    const crossed = crossesAt(lost, volumeL, psu, limits.high, Math.max(now, from))
    return until > now && crossed !== null && crossed < until ? [crossed] : []
  })
  if (at === undefined) return null
  return {
    id: 'drying',
    tone: 'act',
    text: `While you are away about ${measureText(lost.litresADay, 'L', settings.units, 2)} evaporate a day: filled up as you leave, it is over 1.010 from ${momentBeside(at, now, settings.clock)}. Somebody has to fill up to the line by then.`,
  }
}
