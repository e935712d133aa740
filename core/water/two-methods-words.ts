import { freeAmmoniaStep } from '../ammonia/free-steps.ts'
import type { TwoMethods } from './two-methods.ts'

/** What total ammonia by a kit and free ammonia by a card say together. */
export interface TwoMethodsSaid {
  words: string
  isAgreed: boolean
  /** The one to act on is over the alarm. */
  isGrave: boolean
}

const free = (mgPerL: number) => mgPerL.toFixed(3)

/**
 * Whether kit and card really disagree, and which to act on: the higher.
 * @returns null where they cannot be compared
 * @example
 * sayTwoMethods(ammoniaByTwoMethods(journal, tank, now, 3 * MS_PER_DAY)!)?.words
 */
export function sayTwoMethods({ compared, cardMgPerL, water }: TwoMethods): TwoMethodsSaid | null {
  if (!compared.ok) return null
  const { verdict, expectedFreeMgPerL, fromMgPerL, toMgPerL } = compared.value
  const assumed =
    water.pH.readAt === null ? ' The pH is assumed: test it, a few tenths change the free share by half.' : ''
  const kit = `the kit’s total makes ${free(fromMgPerL)} to ${free(toMgPerL)} mg/L free`
  const card = `the card shows ${free(cardMgPerL[0])} to ${free(cardMgPerL[1])}`
  const step = freeAmmoniaStep(Math.max(expectedFreeMgPerL, cardMgPerL[0]))
  const alarm = step ? ` ${step.words}` : ''
  const words = {
    agree: `Ammonia by two methods agrees: ${kit}, ${card}.`,
    'indicator-low': `Ammonia: ${card}, but ${kit}. Act on the kit: badges stick. Test both again.`,
    'indicator-high': `Ammonia: ${card}, more than ${kit}. Act on the card; test both again.`,
  }[verdict]
  return { words: `${words}${alarm}${assumed}`, isAgreed: verdict === 'agree', isGrave: step !== null }
}
