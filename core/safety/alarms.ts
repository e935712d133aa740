import { isCopper } from '../catalogue/treatments/groups.ts'
import { netVolumeAt, tanksOf, type Tank } from '../household/tanks.ts'
import { DEFAULT_SETTINGS, settingsOf } from '../household/settings.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { measureText } from '../words/measure.ts'
import { COPPER_TRACE_MG_PER_L, copperPresence, levelOf } from './water/level.ts'
import { isInvertebrate, residentsIn } from './water/residents.ts'

/** Copper where invertebrates or corals live, and what to do now. */
export interface CopperAlarm {
  tank: Tank
  /** mg/L, as far as it is known. */
  mgPerL: number | null
  /** Who must come out. */
  who: readonly string[]
  /** In this order: help-now.md, "Wrong tank dosed". */
  steps: readonly string[]
}

/** Copper that went in longer ago and was never tested since is a question for the day somebody comes in, not an alarm each day (EA). */
const ALARM_DAYS = 90
/** A change of this share at a time: help-now.md, overdose. */
const CHANGE_SHARE = 0.5

/** What is done now, with the litres of this tank. */
function stepsFor(journal: Journal, tank: Tank, now: number): string[] {
  const { units } = settingsOf(journal) ?? DEFAULT_SETTINGS
  const netL = netVolumeAt(journal, tank.id, now)
  const half =
    netL === null ? 'half of the water' : `half of the water, ${measureText(netL * CHANGE_SHARE, 'L', units, 3)}`
  return [
    'Wrong tank? Correct the entry.',
    'Invertebrates and corals first: into a bucket of clean water of the same temperature and salinity, with air.',
    `Change ${half}, two or three times, with new water of the same temperature and salinity.`,
    'Carbon and metal resin running. No binder, no dechlorinator: they make copper deadlier.',
    'Test copper every hour, then every day. Rock keeps copper: test for months before anything goes back.',
  ]
}

/**
 * The tanks in which copper is, or was and has not been shown gone, while invertebrates or corals live there.
 * @param now ms
 * @example
 * copperAlarms(journal, Date.now())[0]?.who // ["Button, tuxedo urchin"]
 */
export function copperAlarms(journal: Journal, now: number): CopperAlarm[] {
  return tanksOf(journal).flatMap((tank): CopperAlarm[] => {
    const presence = copperPresence(journal, tank.id, now)
    if (!presence || presence.isGone || now - presence.lastAt > ALARM_DAYS * MS_PER_DAY) return []
    const who = residentsIn(journal, tank.id, now).filter(isInvertebrate)
    if (who.length === 0) return []
    const form = [...presence.forms.keys()].find(isCopper) ?? 'cu-chelated'
    const { mgPerL } = levelOf(journal, tank.id, form, now)
    if (mgPerL !== null && mgPerL < COPPER_TRACE_MG_PER_L && presence.how === 'read') return []
    return [{ tank, mgPerL, who: who.map(({ label }) => label), steps: stepsFor(journal, tank, now) }]
  })
}
