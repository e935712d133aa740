import type { UnitHabits } from '../household/settings.ts'
import type { Tank } from '../household/tanks.ts'
import { footprintCm2 } from '../volume/volume.ts'
import type { VolumeSheet } from '../volume/volume.schema.ts'
import { toKept, toShown } from '../words/measure.ts'

/**
 * Litres that evaporated, from how far the water stands under its line.
 * @param downCm cm under the line
 * @returns null where the sheet has no floor area, or the level falls in a sump and not in the tank: then the litres are asked for
 */
export function litresDown(sheet: VolumeSheet, downCm: number): number | null {
  const area = footprintCm2(sheet.shape)
  if (area === null || (sheet.sumpL ?? 0) > 0) return null
  return (area * downCm) / 1000
}

/** What to say where more is said to be missing than can have evaporated; null where it can be. */
export const levelFault = ({ volume }: Pick<Tank, 'volume'>, downL: number): string | null =>
  volume && downL >= volume.netL / 2 ? 'more than half of the water: is that the right unit?' : null

/** What is asked of a tank whose level is down: how far it stands under its line, or the litres that are missing. */
export const levelAsked = ({ sheet }: Pick<Tank, 'sheet'>): 'cm' | 'L' =>
  sheet && litresDown(sheet, 1) !== null ? 'cm' : 'L'

/**
 * What was typed of a level that is down, in litres.
 * @param text as it was typed, in the household's unit of length or volume
 * @returns null where nothing was typed; else what is wrong and what would be right
 * @example
 * readLevelDown(tank, '2', METRIC) // { downL: 3.6 }
 */
export function readLevelDown(
  { sheet, volume }: Pick<Tank, 'sheet' | 'volume'>,
  text: string,
  units: UnitHabits,
): { downL: number } | { message: string } | null {
  if (text.trim() === '') return null
  const asked = levelAsked({ sheet })
  const typed = toKept(Number(text.trim().replace(',', '.')), asked, units)
  const downL = asked === 'cm' && sheet ? litresDown(sheet, typed) : typed
  if (downL === null || !Number.isFinite(downL) || downL < 0)
    return { message: asked === 'cm' ? 'how far under the line, such as 1.5' : 'how much is missing, such as 1.5' }
  const fault = levelFault({ volume }, downL)
  return fault === null ? { downL } : { message: fault }
}

/**
 * The litres that are missing now as they are typed again in the field of a tank.
 * @returns empty where the level was full
 * @example
 * levelTypedAgain(tank, 3.6, METRIC) // "2", in cm
 */
export function levelTypedAgain({ sheet }: Pick<Tank, 'sheet'>, downL: number | undefined, units: UnitHabits): string {
  if (!downL) return ''
  const perCm = sheet ? litresDown(sheet, 1) : null
  return String(Number((perCm ? toShown(downL / perCm, 'cm', units) : toShown(downL, 'L', units)).toPrecision(6)))
}
