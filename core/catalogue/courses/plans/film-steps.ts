import type { Step } from '../definition.ts'
import { measured } from '../plan-parts.ts'

/** Beside whatever stirs a brown film. */
export const TOXIC =
  'Some brown films are toxic: gloves and goggles, window open or a mask when it sprays, never by mouth. Metallic taste or cough: leave, and call the emergency service.'
/** Beside whatever has to do with a UV lamp. */
export const LAMP = 'Never look at a UV lamp: it runs only inside its housing. Unplug it before it is opened.'
const GRID = 'Same place, same hour, same light: a grid of ten by ten on the photo, points on the film of a hundred.'

/** How much is covered: halved in a week, outbreaks.md 7, cyano. */
export const COVERAGE = measured('coverage', 'covered', '%', {
  of: 'mean',
  expected: [{ byDay: 7, share: 0.5 }],
  silentByDay: 14,
})
/** An estimate of what is covered. */
export const coverage = (id: string, due: Step['due']): Step => ({
  id,
  title: 'Estimate how much is covered',
  act: 'count',
  measure: 'coverage',
  due,
  how: GRID,
})

/** A count under the microscope. */
export const cells = (id: string, title: string, due: Step['due']): Step => ({
  id,
  title,
  act: 'count',
  measure: 'cells',
  page: 'tally',
  due,
  how: 'Three spots, the same objective, ten fields or a hundred cells; pooled.',
})

/** A test of several values. */
export const read = (
  id: string,
  title: string,
  parameters: readonly string[],
  due: Step['due'],
  how?: string,
): Step => ({
  id,
  title,
  act: 'read',
  parameters,
  due,
  ...(how !== undefined && { how }),
})
