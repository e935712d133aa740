import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { zoneClock, type ZoneClock } from '../time/zone.ts'

export type UnitHabits = ContentOf<'household'>['units']

/** The household's time zone and unit habits. */
export interface Settings {
  timeZone: string
  units: UnitHabits
  clock: ZoneClock
}

export const METRIC: UnitHabits = { volume: 'L', length: 'cm', temperature: 'C', salinity: 'psu', alkalinity: 'dKH' }

/** The settings that hold, or null while the journal has none: then the first run asks. */
export function settingsOf(journal: Journal): Settings | null {
  return journal.derive('settings', ['kind:household'], () => {
    const latest = journal.ofKind('household').at(-1)?.content
    return latest ? { timeZone: latest.timeZone, units: latest.units, clock: zoneClock(latest.timeZone) } : null
  })
}
