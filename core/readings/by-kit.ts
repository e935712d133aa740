import { typicalUncertainty, type Parameter } from '../catalogue/parameter.ts'
import { kitFor, type Kit } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'

/** How far a value may be off, 95 % half-width in the parameter's unit: by the kit on record, else as such kits usually are. */
export const uncertaintyBy = (kit: Kit | null, parameter: Parameter, value: number): number =>
  kit ? kit.uncertainty.abs + (kit.uncertainty.rel ?? 0) * value : typicalUncertainty(parameter, value)

/** A reading of a plain value, in the parameter's own unit, taken with the kit that is on record for the tank. */
export function readingBy(
  journal: Journal,
  tankId: string,
  parameter: Parameter,
  value: number,
  happened: string,
): ContentOf<'reading'> {
  const kit = kitFor(journal, tankId, parameter.id)
  return {
    kind: 'reading',
    happened,
    tankId,
    parameter: parameter.id,
    result: { kind: 'value', value },
    unit: parameter.unit,
    uncertainty: uncertaintyBy(kit, parameter, value),
    ...(kit && { kitId: kit.id }),
  }
}
