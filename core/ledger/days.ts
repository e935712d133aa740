import { tanksOf } from '../household/tanks.ts'
import { firstAtOrAfter, type Journal, type Line } from '../journal/journal.ts'
import type { Day, ZoneClock } from '../time/zone.ts'

/** The lines of a tank on one local day, struck ones too, in the order they happened. */
export function linesOn(journal: Journal, tankId: string, day: Day, clock: ZoneClock): readonly Line[] {
  const lines = journal.about(`tank:${tankId}`)
  return lines.slice(firstAtOrAfter(lines, clock.instantAt(day)), firstAtOrAfter(lines, clock.instantAt(day + 1)))
}

/** The first local day on which anything happened in any tank, or the day given when nothing has. */
export function firstDay(journal: Journal, clock: ZoneClock, otherwise: Day): Day {
  const firsts = tanksOf(journal, { retired: true }).flatMap(({ id }) => journal.about(`tank:${id}`)[0]?.at ?? [])
  return firsts.length === 0 ? otherwise : Math.min(otherwise, clock.dayOf(Math.min(...firsts)))
}
