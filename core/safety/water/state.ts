import { netVolumeAt, tankAt, type Tank } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { agentsIn, isCopperAgent, type AgentInWater } from './agents.ts'
import { contextsBetween, type Context } from './contexts.ts'
import { residentsIn, type Resident } from './residents.ts'

/** What a tank's water is, and meets, in a stretch of time. */
export interface WaterState {
  tank: Tank
  from: number
  until: number
  /** Net litres at `from`; null where they are not worked out. */
  netL: number | null
  residents: readonly Resident[]
  agents: readonly AgentInWater[]
  contexts: readonly Context[]
}

/**
 * A tank's water between two instants: who lives in it, what runs, and the agents in it, those of its own courses among them.
 * @param until later than `from` where something acts on: what comes in meanwhile meets it too
 * @param except an entry that does not count: the one being corrected
 * @returns null where the journal holds no such tank
 * @example
 * waterBetween(journal, 'quar', now)?.agents // chelated copper, 2.21 mg/L
 */
export function waterBetween(
  journal: Journal,
  tankId: string,
  from: number,
  until = from,
  except?: string,
): WaterState | null {
  const tank = tankAt(journal, tankId, from)
  if (!tank) return null
  const span = { from, until, except }
  const residents = residentsIn(journal, tankId, from, until)
  const agents = agentsIn(journal, tankId, tank.water === 'marine', span)
  return {
    tank,
    from,
    until,
    netL: netVolumeAt(journal, tankId, from),
    residents,
    agents,
    contexts: contextsBetween(journal, tank, residents, agents, span),
  }
}

/** Whether copper of any form is in a tank's water, by dose, reading or course. */
export const isUnderCopper = (journal: Journal, tankId: string, at: number): boolean =>
  waterBetween(journal, tankId, at)?.agents.some(({ agent }) => isCopperAgent(agent)) ?? false
