import { CORAL_CONDITIONS } from '../catalogue/corals/condition.ts'
import type { Content } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { iso, type Day, type ZoneClock } from '../time/zone.ts'

/** A day on which corals of a tank were looked at one by one. */
export interface CoralSurvey {
  day: Day
  /** Condition by coral, on the scale of core/catalogue/corals/condition.ts. */
  conditions: ReadonlyMap<string, number>
  /** How many of them are in each condition, gone first. */
  tally: readonly number[]
  /** Corals that look worse, or better, than when they were last looked at before. */
  worse: readonly string[]
  better: readonly string[]
}

/**
 * The surveys of a tank's corals, the newest first. What was looked at on one local day is one survey, a coral by its last look.
 * @example
 * coralSurveys(journal, 'reef', clock)[0]?.worse // ids of those that went back since their look before
 */
export function coralSurveys(journal: Journal, tankId: string, clock: ZoneClock): CoralSurvey[] {
  const days = new Map<Day, Map<string, number>>()
  for (const { at, content } of journal.ofKind('count')) {
    if (content.measure !== 'survey' || content.tankId !== tankId) continue
    const day = clock.dayOf(at)
    const looked = days.get(day) ?? new Map<string, number>()
    for (const { partId, value } of content.parts ?? []) looked.set(partId, value)
    days.set(day, looked)
  }
  const before = new Map<string, number>()
  const surveys: CoralSurvey[] = []
  for (const [day, conditions] of [...days].sort(([a], [b]) => a - b)) {
    const changed = (isSo: (now: number, then: number) => boolean) =>
      [...conditions].flatMap(([id, value]) => (before.has(id) && isSo(value, before.get(id)!) ? [id] : []))
    surveys.push({
      day,
      conditions,
      tally: CORAL_CONDITIONS.map((_, condition) => [...conditions.values()].filter((one) => one === condition).length),
      worse: changed((now, then) => now < then),
      better: changed((now, then) => now > then),
    })
    for (const [id, value] of conditions) before.set(id, value)
  }
  return surveys.reverse()
}

/**
 * The entries of a survey: one count for all that were looked at, and for each that is gone that it left.
 * @param looked condition by coral
 */
export function surveyContents(tankId: string, looked: ReadonlyMap<string, number>, at: number): Content[] {
  const happened = iso(at)
  return [
    {
      kind: 'count',
      happened,
      tankId,
      measure: 'survey',
      parts: [...looked].map(([partId, value]) => ({ partId, value })),
    },
    ...[...looked].flatMap(([partId, value]): Content[] =>
      value === 0 ? [{ kind: 'part-change', happened, partId, changes: { gone: true } }] : [],
    ),
  ]
}
