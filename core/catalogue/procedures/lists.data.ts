import { AIR_LIMITS, TUB_LEAST_C } from './limits.data.ts'
import type { ChecklistItem, ProcedureChoice, StepRecord } from './procedure.types.ts'

/** What several procedures put right before and put back after: each pair is off before and on after. */
export const FLOW_OFF: ChecklistItem = {
  id: 'flow-off',
  words: 'Pumps and filter off',
  switches: { item: 'flow', running: false },
  caution: 'Wet hands and mains: the plug out before hands go in, a drip loop in each cable, a residual-current breaker.',
}
export const FLOW_ON: ChecklistItem = {
  id: 'flow-on',
  words: 'Pumps and filter on',
  switches: { item: 'flow', running: true },
}
export const TOP_OFF_OFF: ChecklistItem = {
  id: 'top-off-off',
  words: 'Auto top-off off',
  switches: { item: 'auto-top-off', running: false },
  caution: 'The level falls while pumps rest or rocks are out: the top-off would fill fresh water in.',
}
export const TOP_OFF_ON: ChecklistItem = {
  id: 'top-off-on',
  words: 'Auto top-off on, only now',
  switches: { item: 'auto-top-off', running: true },
}
export const LEVEL_BACK: ChecklistItem = { id: 'level', words: 'Level back where it was' }
/** The same where the tank's heater was unplugged for it, `TUBS_READY`. */
export const LEVEL_AND_HEATER_BACK: ChecklistItem = {
  id: 'level',
  words: 'Level back where it was, then the tank’s heater on',
  switches: { item: 'heater', running: true },
}
export const UV_OFF: ChecklistItem = { id: 'uv-off', words: 'UV off', switches: { item: 'uv', running: false } }
export const UV_ON: ChecklistItem = { id: 'uv-on', words: 'UV as it was', switches: { item: 'uv', running: true } }
export const CARBON_OUT: ChecklistItem = {
  id: 'carbon-out',
  words: 'Carbon out',
  switches: { item: 'carbon', running: false },
}
export const WEAR_FOR_PEROXIDE: ChecklistItem = {
  id: 'wear',
  words: 'Gloves and goggles on',
  caution:
    'Peroxide burns eyes; over 6 % burns skin. Dilute to 3 %: peroxide into water, never water into peroxide. In an eye: rinse for 15 min, then a doctor.',
}
export const HANDS: ChecklistItem = { id: 'hands', words: 'Hands and tools washed, water of the tubs down the drain' }

/** A tub for corals: never cold. */
export const TUB_TEMPERATURE: StepRecord = {
  id: 'tubC',
  label: 'the tub',
  unit: '°C',
  least: { value: TUB_LEAST_C, words: 'Corals suffer in a cold tub: heater or a fresh warm pack first, and nothing comes out of the tank until it is warm.' },
  most: { value: 29, words: 'Too warm: let it cool before anything goes in.' },
}

/** Water that is ready before anything is lifted. */
export const TUBS_READY: ChecklistItem = {
  id: 'tubs',
  words: 'Tubs of new salt water at the tank’s salinity, heater or warm pack in; the tank’s own heater unplugged',
  amount: 'tub-water',
  records: [TUB_TEMPERATURE],
  switches: { item: 'heater', running: false },
  caution: 'Rocks out, the level falls under the heater, and it bursts. Every cable with a drip loop, plugs dry.',
}

/** Litres of a tub, asked before it begins. */
export const TUB_LITRES: StepRecord = { id: 'tubL', label: 'Water in one tub', unit: 'L' }

/** Who is on the rock decides how long it may be out of the water. */
export const WHO_IS_ON_IT: ProcedureChoice = {
  id: 'air',
  label: 'What is on it',
  options: AIR_LIMITS.map(({ id, label, stopMinutes }) => ({ id, label, why: `at most ${stopMinutes} min in air` })),
}

/** How long a piece is out of the water, by who is on it. */
export const OUT_OF_WATER = { clock: 'air', label: 'out of the water', limits: 'air' } as const
