import { MS_PER_HOUR, type ZoneClock } from '../../time/zone.ts'
import type { DosesState } from '../tracks/doses.ts'
import { momentBeside, spanText } from '../../time/words.ts'
import { capital, plural } from '../../words/numbers.ts'
import type { CourseWarning, WarningInput } from './warnings.ts'

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth']

/** “The second dose of dewormings is late by 3 days, due until Thursday”; null for one that is not late. */
function lateWords(state: DosesState, now: number, clock: ZoneClock): string | null {
  const [next] = state.ahead
  if (!next || now <= next.notAfter) return null
  const number = state.state === 'broken' ? 1 : state.done.length
  const which = ORDINALS[number] ?? `${number + 1}th`
  return `The ${which} dose of ${state.track.name} is late by ${spanText((now - next.notAfter) / MS_PER_HOUR)}, due until ${momentBeside(next.notAfter, now, clock)}`
}

/** Doses that came too late, too early or too weak. */
export function doseSentences({
  doses,
  facts,
  settings,
}: Pick<WarningInput, 'doses' | 'facts' | 'settings'>): CourseWarning[] {
  const when = (at: number) => momentBeside(at, facts.now, settings.clock)
  return doses.flatMap((state): CourseWarning[] => {
    if (state.state === 'full') return []
    const { track, missed, notCounted } = state
    const [least, best] = track.apart[0]!
    const warnings: CourseWarning[] = []
    const last = state.restarts.at(-1)
    if (state.state === 'broken')
      warnings.push({
        id: 'deworm-spacing',
        tone: 'act',
        text: `${lateWords(state, facts.now, settings.clock) ?? 'The second dose was not given in its time'}: what hatched has laid eggs by now. Both are done again, the first at once, the second ${spanText(best)} later.`,
      })
    else if (last && state.done.length < track.need)
      warnings.push({
        id: 'deworm-spacing',
        tone: 'soon',
        text: `The round ${when(last.at)} came ${spanText(last.hoursOff)} late: what had hatched had laid eggs. It counts as the first of a new pair; the second is due ${when(last.at + best * MS_PER_HOUR)}.`,
      })
    if (missed > 0)
      warnings.push({
        id: 'missed-redose',
        tone: 'soon',
        text: `${[lateWords(state, facts.now, settings.clock), `${capital(plural(missed, 'dose'))} of ${track.name} missed: as many more at the end${state.fullAt === null ? '' : `, the last ${when(state.fullAt)}`}`].filter((one) => one !== null).join('. ')}.`,
      })
    if (notCounted && (state.done.at(-1) ?? -Infinity) < notCounted.at)
      warnings.push({
        id: 'dose-not-counted',
        tone: 'soon',
        text:
          notCounted.why === 'weak'
            ? `The dose ${when(notCounted.at)} was weaker or shorter than its row of the doses: it does not count.`
            : `The dose ${when(notCounted.at)} came sooner than ${spanText(least)} after the one before: it does not count, and the next keeps its time.`,
      })
    return warnings
  })
}
