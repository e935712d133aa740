import type { Concern } from '../../concerns.ts'
import { dose, lives, type Doing } from '../house.ts'

export type Before = readonly (readonly [hour: number, doing: Doing])[]

/** What is expected of a proposal: the rule and how grave it is; of its harmless neighbour, that this rule is silent. */
export interface Pair {
  name: string
  before: Before
  proposed: Doing
  says: `${Concern['severity']} ${string}`
  /** What is changed so that it is harmless: something else before it, something else proposed, or both. */
  harmless: { before?: Before; proposed?: Doing }
}

export const pair = (
  name: string,
  before: Before,
  proposed: Doing,
  says: Pair['says'],
  harmless: Pair['harmless'],
): Pair => ({ name, before, proposed, says, harmless })

/** Two things that must not meet, whichever came first. */
export const bothWays = (
  name: string,
  a: Doing,
  b: Doing,
  says: Pair['says'],
  harmless: { a?: Doing; b?: Doing },
  around: Before = [],
  hour = -2,
): Pair[] => [
  pair(`${name}: the first is there`, [...around, [hour, a]], b, says, {
    ...(harmless.a && { before: [...around, [hour, harmless.a] as const] }),
    ...(harmless.b && { proposed: harmless.b }),
  }),
  pair(`${name}: the second is there`, [...around, [hour, b]], a, says, {
    ...(harmless.b && { before: [...around, [hour, harmless.b] as const] }),
    ...(harmless.a && { proposed: harmless.a }),
  }),
]

/** Copper in its range, in 100 L. */
export const copperAt = (tankId: 'quar' | 'reef' | 'fresh'): Doing => dose(tankId, 'cu-chelated', 200)
export const COPPER = copperAt('quar')

/** Somebody that has lived in a tank for weeks. */
export const fish = (
  id: string,
  tankId: 'quar' | 'reef' | 'fresh' = 'quar',
  group = 'hawkfish',
): readonly [number, Doing] => [-900, lives(tankId, group, id)]
