import { bandFor, parameterById } from '../catalogue/parameter.ts'
import { netVolumeAt, tankById } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { raisedBy } from '../readings/raises.ts'
import { countedMassMg } from '../dosing/counted-mass.ts'

/** What a dose or a water change did to a parameter; in the parameter's unit. */
export interface BalanceEvent {
  at: number
  /** What a dose added; 0 for a water change. */
  add: number
  /** Share of the water that a change exchanged; 0 for a dose. */
  fraction: number
  /** What the new water held; null where nobody wrote it down. */
  replacement: number | null
}

/** Nutrients: of salt or tap water that nobody tested, none is assumed (EA). */
const NUTRIENTS = new Set(['no3', 'po4', 'sio2', 'tan', 'no2', 'copper'])

/**
 * What untested new water is taken to hold: no nutrients, else the middle of the tank's band (EA).
 * @returns null where the parameter has no band
 */
export function usualNewWater(journal: Journal, tankId: string, parameterId: string): number | null {
  if (NUTRIENTS.has(parameterId)) return 0
  const parameter = parameterById(parameterId)
  const band = parameter && bandFor(parameter, tankById(journal, tankId)?.profile)
  return band && band[0] !== null && band[1] !== null ? (band[0] + band[1]) / 2 : null
}

/** What a change's own line says that its water held. */
function writtenOnChange({ replacement }: ContentOf<'water-change'>, parameter: string): number | undefined {
  if (parameter === 'copper') return replacement?.copperMgPerL
  if (parameter === 'salinity') return replacement?.salinityPsu
  return parameter === 'temp' ? replacement?.temperatureC : undefined
}

/** What the water that was mixed last before an instant held of a parameter, by its record. */
export const mixedWaterHeld = (journal: Journal, parameter: string, at: number): number | null =>
  journal
    .ofKind('new-water')
    .flatMap((line) =>
      line.at > at
        ? []
        : parameter === 'salinity' && line.content.salinityPsu !== undefined
          ? [line.content.salinityPsu]
          : (line.content.readings ?? []).filter((one) => one.parameter === parameter).map(({ value }) => value),
    )
    .at(-1) ?? null

/**
 * The doses and water changes of a tank that moved a parameter, in time order.
 * @param from ms, inclusive
 * @param until ms, inclusive
 * @example
 * balanceEvents(journal, 'hall', 'alk-kh', lastTest.at, now)
 */
export function balanceEvents(
  journal: Journal,
  tankId: string,
  parameter: string,
  from: number,
  until: number,
): BalanceEvent[] {
  return journal.about(`water:${tankId}`).flatMap(({ content, struck, at }): BalanceEvent[] => {
    if (struck || at < from || at > until) return []
    const netL = netVolumeAt(journal, tankId, at)
    if (netL === null) return []
    if (content.kind === 'dose' && countedMassMg(content) !== undefined) {
      const add = raisedBy(content.ingredient, parameter, countedMassMg(content)! / netL)
      return add > 0 ? [{ at, add, fraction: 0, replacement: null }] : []
    }
    if (content.kind !== 'water-change') return []
    const written = writtenOnChange(content, parameter)
    return [
      {
        at,
        add: 0,
        fraction: Math.min(1, content.litres / netL),
        replacement: written ?? (parameter === 'copper' ? 0 : mixedWaterHeld(journal, parameter, at)),
      },
    ]
  })
}
