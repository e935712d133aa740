import type { Line } from '../journal/journal.ts'
import { MS_PER_HOUR } from '../time/zone.ts'

/** Hours that the jar stands in the dark before it is looked at: outbreaks.md 4. */
export const DARK_JAR_HOURS = 2
/** After so many hours it says nothing any more: cells die and settle (EA). */
export const DARK_JAR_LATE_HOURS = 6

/** What the dark jar showed. */
export type NightPlace = 'water' | 'sand' | 'between'

/** A jar of shaken sample in the dark. */
export interface NightTest {
  begunAt: number
  /** When it is looked at, ms. */
  lookAt: number
  /** Null while nobody has looked. */
  place: NightPlace | null
}

/** The last night test of a case; null where none was begun, or the last one was given up. */
export function nightTestOf(lines: readonly Line[]): NightTest | null {
  let last = null as NightTest | null
  for (const { at, content, struck } of lines) {
    if (struck || content.kind !== 'case-mark' || content.mark !== 'night-test') continue
    const { night, lookAt } = content
    if (night === undefined)
      last = {
        begunAt: at,
        lookAt: lookAt === undefined ? at + DARK_JAR_HOURS * MS_PER_HOUR : Date.parse(lookAt),
        place: null,
      }
    else if (night === 'given-up') last = null
    else last = { begunAt: last?.begunAt ?? at, lookAt: last?.lookAt ?? at, place: night }
  }
  return last
}
