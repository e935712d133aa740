import type { Step } from '../definition.ts'

/** A count of a pest, of the whole tank unless it says of what. */
export const pestCount = (id: string, title: string, due: Step['due'], more: Partial<Step> = {}): Step => ({
  id,
  title,
  act: 'count',
  measure: 'pest-count',
  due,
  ...more,
})
