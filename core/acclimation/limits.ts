import { animalGroupById } from '../catalogue/animal-group.ts'
import { ANIMAL_LIMITS } from '../catalogue/handbook/acclimation.data.ts'
import type { Limits } from './trials.ts'

/** In fresh water salinity says nothing: no pace of it and no difference is in the way. The whole scale, in psu. */
const ANY_PSU = 50
/**
 * "Freshwater matching is by hardness and pH" (acclimation.md), without a figure. Editorial assumption, open to the keeper:
 * fish end within 4 dKH of the tank, shrimp and snails, which mind it more, within 2.
 */
const FRESHWATER_DKH: Readonly<Record<string, number>> = { 'freshwater-fish': 4, 'freshwater-shrimp': 2 }

/** What an animal bears, and the row of the handbook that says so. */
export interface GroupLimits {
  row: string
  /** As the handbook names the animals of the row. */
  name: string
  limits: Limits
}

/**
 * What a species group bears on the way from one water to another, by acclimation.md (hobby practice in the main).
 * Marine fish bear a fall in salinity much better than a rise, so the direction chooses their row.
 * @returns undefined for a group the catalogue does not hold
 */
export function limitsFor(groupId: string, fromPsu: number, toPsu: number): GroupLimits | undefined {
  const group = animalGroupById(groupId)
  if (!group) return undefined
  const id = group.acclimation === 'marine-fish' ? `marine-fish-${toPsu < fromPsu ? 'down' : 'up'}` : group.acclimation
  const row = ANIMAL_LIMITS.rows.find((one) => one.id === id)
  if (!row) return undefined
  const matchDkh = FRESHWATER_DKH[id]
  return {
    row: id,
    name: row.group,
    limits: {
      maxPsuPerHour: row.maxPsuPerHour ?? ANY_PSU,
      matchPsu: row.matchPsu ?? ANY_PSU,
      matchC: row.matchC!,
      maxFreeAmmoniaMgPerL: row.maxFreeAmmoniaMgPerL!,
      maxMinutes: row.maxMinutes!,
      ...(matchDkh !== undefined && { matchDkh }),
    },
  }
}

/** Whether salinity decides anything for these limits: it does not in fresh water. */
export const mindsSalinity = ({ matchPsu }: Limits): boolean => matchPsu < ANY_PSU

/** The strictest of several animals' limits: what a container they share has to keep. */
export function strictest(all: readonly Limits[]): Limits {
  const least = (of: (limits: Limits) => number | undefined) => Math.min(...all.map((limits) => of(limits) ?? Infinity))
  const matchDkh = least((limits) => limits.matchDkh)
  return {
    maxPsuPerHour: least((limits) => limits.maxPsuPerHour),
    matchPsu: least((limits) => limits.matchPsu),
    matchC: least((limits) => limits.matchC),
    maxFreeAmmoniaMgPerL: least((limits) => limits.maxFreeAmmoniaMgPerL),
    maxMinutes: least((limits) => limits.maxMinutes),
    ...(Number.isFinite(matchDkh) && { matchDkh }),
  }
}
