import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { L_PER_UK_GAL, L_PER_US_GAL } from '../units/units.ts'
import { USUAL_WAKING, type Waking } from '../time/waking.ts'
import { minuteOfTime, zoneClock, type ZoneClock } from '../time/zone.ts'

export type UnitHabits = ContentOf<'household'>['units']

/** The household's time zone and unit habits. */
export interface Settings {
  timeZone: string
  units: UnitHabits
  clock: ZoneClock
  /** When somebody is up; seven to twenty-two where it is not said. */
  waking?: Waking
}

/** When somebody of the household is up. */
export const wakingOf = ({ waking }: Pick<Settings, 'waking'>): Waking => waking ?? USUAL_WAKING

export const METRIC: UnitHabits = { volume: 'L', length: 'cm', temperature: 'C', salinity: 'psu', alkalinity: 'dKH' }

/** For a journal that does not say where its household is. */
export const DEFAULT_SETTINGS: Settings = { timeZone: 'UTC', units: METRIC, clock: zoneClock('UTC') }

/** What volumes are said in, and how many litres one of it is. */
export const volumeUnit = ({ volume }: Pick<UnitHabits, 'volume'>): { per: number; unit: string } =>
  volume === 'us-gal'
    ? { per: L_PER_US_GAL, unit: 'US gal' }
    : volume === 'uk-gal'
      ? { per: L_PER_UK_GAL, unit: 'UK gal' }
      : { per: 1, unit: 'L' }

/** Whose gallons, quarts and ounces the household means; null where it measures in litres. */
export const gallonsOf = ({ volume }: Pick<UnitHabits, 'volume'>): 'us' | 'uk' | null =>
  volume === 'L' ? null : volume === 'us-gal' ? 'us' : 'uk'

/** Litres in a sentence, to three figures. */
export function volumeWords(litres: number, units: Pick<UnitHabits, 'volume'>): string {
  const { per, unit } = volumeUnit(units)
  return `${Number((litres / per).toPrecision(3))} ${unit}`
}

/** The household's clock; UTC for a journal that does not say where it is. */
export const clockOf = (journal: Journal): ZoneClock => (settingsOf(journal) ?? DEFAULT_SETTINGS).clock

/** The settings that hold, or null while the journal has none: then the first run asks. */
export function settingsOf(journal: Journal): Settings | null {
  return journal.derive('settings', ['kind:household'], () => {
    const latest = journal.ofKind('household').at(-1)?.content
    if (!latest) return null
    const { timeZone, units, waking } = latest
    return {
      timeZone,
      units,
      clock: zoneClock(timeZone),
      ...(waking && { waking: { from: minuteOfTime(waking.from), until: minuteOfTime(waking.until) } }),
    }
  })
}
