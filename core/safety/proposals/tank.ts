import { tankAt } from '../../household/tanks.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import type { Asking, Concern } from '../concern.ts'
import { contextConcerns } from '../judge/interactions.ts'
import { wrongWaterConcerns } from '../judge/water-match.ts'
import type { Context } from '../water/contexts.ts'
import { waterBetween } from '../water/state.ts'

/** What the water speaks against rock, sand or plants that come into it, and against another kind of water for those who live in it. */
export function tankChangeConcerns(
  journal: Journal,
  { tankId, changes, happened }: ContentOf<'tank-change'>,
  { now, except }: Asking,
): Concern[] {
  const at = Date.parse(happened)
  const tank = tankAt(journal, tankId, at)
  const water = waterBetween(journal, tankId, at, Math.max(at, now), except)
  if (!tank || !water) return []
  const had = new Set(tank.contents)
  const comes = (changes.contents ?? []).filter((one) => !had.has(one))
  const isRock =
    comes.includes('rock') ||
    comes.includes('sand') ||
    (changes.sheet?.rock !== undefined && tank.sheet?.rock === undefined) ||
    (changes.sheet?.substrate !== undefined && tank.sheet?.substrate === undefined)
  const contexts: Context[] = [
    ...(isRock ? [{ id: 'ctx-rock', what: `rock or sand comes into ${tank.name}` }] : []),
    ...(comes.includes('plants') ? [{ id: 'ctx-plants', what: `plants come into ${tank.name}` }] : []),
  ]
  const isOther = changes.water !== undefined && changes.water !== tank.water
  return [
    ...contexts.flatMap((context) => contextConcerns(context, water.agents)),
    ...(isOther ? water.residents.flatMap((one) => wrongWaterConcerns(one, { ...tank, water: changes.water! })) : []),
  ]
}
