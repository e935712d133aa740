import type { Explained } from '../../core/schema/explain.ts'

/**
 * Checks stored values as entries.
 * @returns for each value what is wrong with it, null where nothing is
 */
export type CheckEntries = (values: readonly unknown[]) => Promise<(Explained | null)[]>

/** Checks on the thread that asks. The checks come with their own file: a view that reads nothing does without them. */
export const checkEntries: CheckEntries = async (values) => {
  const { entryFault } = await import('../../core/journal/check.ts')
  return values.map(entryFault)
}
