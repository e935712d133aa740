import { coralDipById, type CoralDip } from '../../catalogue/corals/coral-dips.data.ts'
import type { Part } from '../../household/parts.ts'
import { productById, shelfOf, type ShelfProduct } from '../../household/shelf.ts'
import type { Journal } from '../../journal/journal.ts'
import type { Course } from '../course.ts'
import { plannedBath, type PlannedBath } from './planned-bath.ts'

/** A coral of a round of dips. */
export interface DipHost {
  partId: string
  name: string
  pieces: number
  /** Why it must not have this dip; null where it may. */
  mustNot: string | null
}

/** A round of dips worked out: with what, how strong, how long, and for which corals. */
export interface PlannedDip {
  dip: CoralDip
  /** What the course names for it, else what stands on the shelf. */
  product: ShelfProduct | null
  /** Where its strength is known: how much of the product a litre takes. Null where the label decides. */
  bath: PlannedBath | null
  hosts: readonly DipHost[]
}

/** What the course's corals are dipped in. */
export const dipOf = ({ options, definition }: Course): CoralDip =>
  coralDipById(options['dip'] ?? definition.options.find(({ id }) => id === 'dip')?.choices[0]?.id)

/** Why a coral must not have a dip; null where it may. A coral whose group is not on record is not judged. */
export const dipForbidden = (dip: CoralDip, { group }: Pick<Part, 'group'>): string | null =>
  group !== undefined && dip.notFor.includes(group) ? dip.notForWhy : null

/** A round of dips of a course, for some of its corals; in the course's own kind of dip unless another is given. */
export function plannedDip(
  journal: Journal,
  course: Course,
  hosts: readonly Part[],
  dip: CoralDip = dipOf(course),
): PlannedDip {
  const product =
    productById(journal, course.products[dip.productKey] ?? '') ??
    shelfOf(journal).find(({ ingredient }) => ingredient === dip.ingredient) ??
    null
  return {
    dip,
    product,
    bath: dip.mgPerL && {
      ...plannedBath(
        { agent: dip.ingredient, unit: 'mg/L', ...dip.mgPerL, bathMinutes: [...dip.minutes] },
        product,
        null,
      ),
    },
    hosts: hosts.map((part) => ({
      partId: part.id,
      name: part.name,
      pieces: part.pieces,
      mustNot: dipForbidden(dip, part),
    })),
  }
}
