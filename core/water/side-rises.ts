import { ingredientById } from '../catalogue/ingredient.ts'
import { parameterById, typicalUncertainty, type Parameter } from '../catalogue/parameter.ts'
import { netVolumeAt } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { raisedBy } from '../readings/raises.ts'
import { MS_PER_DAY } from '../time/zone.ts'
import { CORRECTION_SALTS } from './correction/salts.ts'
import { testPoints, type TestPoint } from './points.ts'
import { countedMassMg } from '../dosing/counted-mass.ts'

/** How far back a side effect is looked for: further-schools.md 8, "look back 21 days". */
export const LOOK_BACK_DAYS = 21

/** A parameter that creeps up because a salt dosed for another brings it along. In the parameter's unit. */
export interface SideRiseSeen {
  parameter: Parameter
  /** What is dosed, and what it is dosed for. */
  ingredientName: string
  dosedFor: Parameter
  /** What the doses of the time brought, reckoned. */
  brought: number
  since: number
  /** The first and the last test of the time; null under two. */
  read: { first: TestPoint; last: TestPoint } | null
}

/**
 * What the doses of the last three weeks brought besides what they were for, where it is more than a kit can miss.
 * @param now ms
 * @example
 * sideRises(journal, 'hall', Date.now())[0]?.brought // 1.5 dKH by potassium carbonate
 */
export function sideRises(journal: Journal, tankId: string, now: number): SideRiseSeen[] {
  const since = now - LOOK_BACK_DAYS * MS_PER_DAY
  const sums = new Map<string, { brought: number; since: number }>()
  for (const { at, struck, content } of journal.about(`water:${tankId}`)) {
    if (struck || at < since || at > now || content.kind !== 'dose' || countedMassMg(content) === undefined) continue
    const salt = CORRECTION_SALTS.find(({ id }) => id === content.ingredient)
    const netL = netVolumeAt(journal, tankId, at)
    if (!salt?.side || netL === null) continue
    const sum = sums.get(salt.id) ?? { brought: 0, since: at }
    sum.brought += raisedBy(salt.id, salt.side.parameter, countedMassMg(content)! / netL)
    sums.set(salt.id, sum)
  }
  return [...sums].flatMap(([id, { brought, since: from }]): SideRiseSeen[] => {
    const salt = CORRECTION_SALTS.find((one) => one.id === id)!
    const parameter = parameterById(salt.side!.parameter)
    const dosedFor = parameterById(salt.parameter)
    if (!parameter || !dosedFor) return []
    // A day before the first dose belongs to the time: the test it began from.
    const tests = testPoints(journal, tankId, parameter.id, from - 7 * MS_PER_DAY, now).filter((one) => !one.isSuspect)
    const first = tests.findLast(({ at }) => at <= from) ?? tests[0]
    const last = tests.at(-1)
    if (brought < typicalUncertainty(parameter, last?.value ?? 0)) return []
    return [
      {
        parameter,
        ingredientName: ingredientById(id)?.name ?? id,
        dosedFor,
        brought,
        since: from,
        read: first && last && last.at > first.at && last.at > from ? { first, last } : null,
      },
    ]
  })
}
