import { TOTAL_AMMONIA_WARN_MG_PER_L } from '../ammonia/basis.ts'
import { FREE_AMMONIA_ALARM } from '../ammonia/free-steps.ts'
import { DEFAULT_SETTINGS, settingsOf } from '../household/settings.ts'
import { netVolumeAt, tanksOf, type Tank } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { holds, lastEvidence, type Evidence } from '../readings/evidence.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { measureText } from '../words/measure.ts'
import { quantityText, readingResult } from '../words/quantities.ts'
import { copperPresence } from './water/level.ts'
import { residentsIn } from './water/residents.ts'

/** Ammonia at the universal stop in a tank with animals, and what to do now. */
export interface AmmoniaAlarm {
  tank: Tank
  /** "Total ammonia 0.5 mg/L" */
  says: string
  steps: readonly string[]
}

/** Where it alarms, total as NH4 and free: outbreaks.md 5.1, quarantine.md 1. */
const LIMITS = { tan: TOTAL_AMMONIA_WARN_MG_PER_L, nh3: FREE_AMMONIA_ALARM } as const
const NAMES = { tan: 'Total ammonia', nh3: 'Free ammonia' } as const

/** It stands until somebody tests again, so many days at most: nobody who keeps a journal again after a week is asked about it (EA). */
const ALARM_DAYS = 7
/** Shares of the water that are changed: help-now.md, all fish gasp. */
const CHANGE_SHARES = [0.3, 0.5] as const

/** What is done now, with the litres of this tank: help-now.md. */
function stepsFor(journal: Journal, tank: Tank, now: number): string[] {
  const { units } = settingsOf(journal) ?? DEFAULT_SETTINGS
  const netL = netVolumeAt(journal, tank.id, now)
  const litres =
    netL === null ? '' : ` (${CHANGE_SHARES.map((share) => measureText(netL * share, 'L', units, 2)).join(' to ')})`
  const copper = copperPresence(journal, tank.id, now)
  return [
    'Air: a stone, and a pump aimed at the surface.',
    `Change 30–50 % of the water${litres}, the same temperature and salinity, without chlorine, mixed to the level of any drug that is held.`,
    'Feed nothing today.',
    copper && !copper.isGone
      ? 'No ammonia binder and no dechlorinator: with copper in the water they kill.'
      : 'Add no medicine until ammonia is down.',
    'Look for a dead animal, food left over, a filter that stands still.',
    'Test again in four hours, and change again until it is under 0.25 mg/L in total.',
  ]
}

/**
 * The tanks with animals in which the last test found ammonia at the universal stop or over, total or free, whatever runs there.
 * @param now ms
 * @example
 * ammoniaAlarms(journal, Date.now())[0]?.says // "Total ammonia 0.5 mg/L"
 */
export function ammoniaAlarms(journal: Journal, now: number): AmmoniaAlarm[] {
  return tanksOf(journal).flatMap((tank): AmmoniaAlarm[] => {
    const { units } = settingsOf(journal) ?? DEFAULT_SETTINGS
    const over = (['tan', 'nh3'] as const).flatMap((parameter) => {
      const last: Evidence | null = lastEvidence(journal, tank.id, parameter, now)
      return last && now - last.at <= ALARM_DAYS * MS_PER_DAY && holds(last, '>=', LIMITS[parameter]) === 'yes'
        ? [
            `${NAMES[parameter]} ${quantityText(readingResult(last.line.content, units))}${last.line.content.basis === 'N' ? ' as N' : ''}`,
          ]
        : []
    })
    if (over.length === 0 || residentsIn(journal, tank.id, now).length === 0) return []
    return [{ tank, says: over.join(', ').replace(', Free', ', free'), steps: stepsFor(journal, tank, now) }]
  })
}
