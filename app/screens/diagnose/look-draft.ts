import type { CaseSubject } from '../../../core/diagnosis/context.ts'
import type { Which } from '../../journal/which.ts'

/**
 * Names the answers of a look that is no case yet: what the microscope answers of a tank's film lies in the same draft, so that the look
 * ranks both together.
 * @param seen signs that the look began with
 */
export const lookDraftName = (
  which: Which,
  { tankId, table, animalIds }: Pick<CaseSubject, 'tankId' | 'table' | 'animalIds'>,
  seen: readonly string[] = [],
): string => `${which}-look-${tankId}-${table}-${animalIds.join('-')}-${seen.join('-')}`
