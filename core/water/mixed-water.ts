import { parameterById, type Parameter } from '../catalogue/parameter.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { iso } from '../time/zone.ts'

/** What is tested of water that is mixed for changes, besides its salinity: further-schools.md 5, new-water record. */
export const NEW_WATER_TESTS: readonly Parameter[] = ['alk-kh', 'k', 'no3', 'po4'].flatMap(
  (id) => parameterById(id) ?? [],
)

/** Water that was mixed for changes. */
export interface MixedWater {
  entryId: string
  at: number
  litres: number
  saltG: number | null
  psu: number | null
  /** What was tested of it, in each parameter's own unit. */
  readings: readonly { parameter: Parameter; value: number }[]
}

/** The records of mixed water, the newest first. */
export const mixedWaters = (journal: Journal): MixedWater[] =>
  journal
    .ofKind('new-water')
    .map(({ id, at, content }) => ({
      entryId: id,
      at,
      litres: content.litres,
      saltG: content.saltG ?? null,
      psu: content.salinityPsu ?? null,
      readings: (content.readings ?? []).flatMap(({ parameter, value }) => {
        const known = parameterById(parameter)
        return known ? [{ parameter: known, value }] : []
      }),
    }))
    .reverse()

/** What is typed of mixed water: litres, grams, psu, and values by parameter id; null where nothing was. */
interface MixedWaterInput {
  litres: number | null
  saltG: number | null
  psu: number | null
  values: ReadonlyMap<string, number>
}

/** The most that is plausible of salinity: outbreaks.md 8. */
const MOST_PSU = parameterById('salinity')!.plausible[1]

/**
 * What is wrong with a record of mixed water, by field.
 * @returns an empty record where nothing is
 */
export function mixedWaterFaults({ litres, saltG, psu, values }: MixedWaterInput): Record<string, string> {
  const faults: Record<string, string> = {}
  if (litres === null || litres <= 0) faults['litres'] = 'how much was mixed'
  if (saltG !== null && saltG <= 0) faults['saltG'] = 'grams of salt, or empty'
  if (psu !== null && (psu < 0 || psu > MOST_PSU)) faults['psu'] = 'no sea water is that salty: check the unit'
  for (const [id, value] of values) {
    const { plausible } = parameterById(id)!
    if (value < plausible[0] || value > plausible[1]) faults[id] = `${plausible[0]} to ${plausible[1]}: test it again`
  }
  return faults
}

/** The entry of a record of mixed water. */
export const mixedWaterContent = (
  { litres, saltG, psu, values }: MixedWaterInput & { litres: number },
  at: number,
): Content => {
  const readings: ContentOf<'new-water'>['readings'] = [...values].map(([parameter, value]) => ({ parameter, value }))
  return {
    kind: 'new-water',
    happened: iso(at),
    litres,
    ...(saltG !== null && { saltG }),
    ...(psu !== null && { salinityPsu: psu }),
    ...(readings.length > 0 && { readings }),
  }
}
