import {
  COPPER_ROCK_DAYS,
  RESIDUE_DAYS,
  ROCK_CLEAR_DAYS,
  TRIAL_SNAILS,
} from '../../catalogue/treatments/residues.data.ts'
import { ingredientById } from '../../catalogue/ingredient.ts'
import { DOSES } from '../../catalogue/treatments/treatments.ts'
import { courseById } from '../../courses/course.ts'
import type { Journal } from '../../journal/journal.ts'
import { levelsOf } from '../../readings/evidence.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { concern, type Concern } from '../concern.ts'
import { agentName, isCopperAgent, type AgentInWater } from '../water/agents.ts'
import { contextsOfResident, hasRock } from '../water/contexts.ts'
import { COPPER_TRACE_MG_PER_L, copperPresence, worseEnd } from '../water/level.ts'
import { isInvertebrate, residentsIn, type Resident } from '../water/residents.ts'
import type { WaterState } from '../water/state.ts'
import { contextConcerns } from './interactions.ts'
import { sensitivityConcerns, unknownConcerns } from './sensitivities.ts'
import type { Treatment } from './treatment.ts'

/** What is in the water, as somebody who comes into it meets it: at the level of now, where that is known. */
function treatmentOf(journal: Journal, { agent, mgPerL, courseId }: AgentInWater): Treatment {
  const held = courseId === undefined ? null : courseById(journal, courseId)?.dose
  const dose = held?.agent === agent ? held : DOSES.find((one) => one.agent === agent && one.route === 'tank')
  return {
    agent,
    ...(dose && { dose }),
    ...(mgPerL !== null && mgPerL > 0 && { makesMgPerL: mgPerL, dayBeforeMgPerL: mgPerL }),
  }
}

/** A salt that only feeds or corrects the water is no treatment of it; one with a dose against a disease is. */
const isMedicine = (agent: string): boolean =>
  ingredientById(agent)?.kind !== 'salt' || DOSES.some((row) => row.agent === agent)

/** What is in the water that somebody comes into, and does not tolerate or must not meet; what else is in it is told. */
export function metConcerns(journal: Journal, resident: Resident, water: WaterState): Concern[] {
  const who = resident.label
  const met = contextsOfResident(resident).flatMap((context) =>
    contextConcerns(context, water.agents).map((found) => ({ ...found, who })),
  )
  const tolerated = water.agents.flatMap((one) =>
    sensitivityConcerns([resident], treatmentOf(journal, one)).map((found) => ({
      ...found,
      what: one.what,
      who,
    })),
  )
  const agents = water.agents.filter(({ agent }) => agent !== 'heat')
  const unknown = agents.length > 0 ? unknownConcerns([resident], agentName(agents[0]!.agent)) : []
  const said = [...met, ...tolerated]
  const told = agents.filter(({ agent, what }) => isMedicine(agent) && !said.some((one) => one.what.includes(what)))
  return [
    ...said,
    ...unknown,
    ...told.map(({ what }) => concern('agent-present', 'note', what, `${water.tank.name} is under treatment`)),
  ]
}

/** Rock or sand that held copper gives it back for months: quarantine.md 6, drug-invert. */
function rockConcerns(journal: Journal, resident: Resident, { tank, agents, from }: WaterState): Concern[] {
  if (!isInvertebrate(resident) || !hasRock(tank) || agents.some(({ agent }) => isCopperAgent(agent))) return []
  const presence = copperPresence(journal, tank.id, from)
  if (!presence?.isGone || from - presence.lastAt > COPPER_ROCK_DAYS * MS_PER_DAY) return []
  const lastClean = levelsOf(journal, tank.id, 'copper').findLast(
    (one) => one.at <= from && worseEnd(one) < COPPER_TRACE_MG_PER_L,
  )
  const isProven = lastClean !== undefined && lastClean.at - presence.goneAt! >= ROCK_CLEAR_DAYS * MS_PER_DAY
  return [
    concern(
      'copper-in-rock',
      isProven ? 'caution' : 'block',
      `the rock or sand in ${tank.name} was in copper`,
      isProven
        ? 'it can give copper back for months: one test piece first, and test copper every week'
        : `it gives copper back for months: safe once copper still tests zero ${ROCK_CLEAR_DAYS} days after the first zero`,
      isProven ? 'confirm' : 'reason',
    ),
  ]
}

/** What fenbendazole leaves in rock and sand kills snails for weeks to months: outbreaks.md 5.2, planaria-fenbendazole 5. */
function residueConcerns(journal: Journal, resident: Resident, { tank, agents, from }: WaterState): Concern[] {
  if (resident.sensitivity !== 'snail' || agents.some(({ agent }) => agent === 'fenbendazole')) return []
  const dosed = journal
    .about(`water:${tank.id}`)
    .findLast(
      ({ content, struck, at }) =>
        !struck && at <= from && content.kind === 'dose' && content.ingredient === 'fenbendazole',
    )
  if (!dosed || from - dosed.at > RESIDUE_DAYS * MS_PER_DAY) return []
  const trial = residentsIn(journal, tank.id, from).find(
    ({ sensitivity, animal }) =>
      sensitivity === 'snail' &&
      animal !== null &&
      animal.arrivedAt > dosed.at &&
      from - animal.arrivedAt >= TRIAL_SNAILS.days * MS_PER_DAY,
  )
  if (trial) return []
  const isTrial = resident.count <= TRIAL_SNAILS.count
  return [
    concern(
      'fenbendazole-residue',
      isTrial ? 'caution' : 'block',
      `fenbendazole was dosed in ${tank.name}`,
      isTrial
        ? `as trial snails only: more once they have lived ${TRIAL_SNAILS.days} days`
        : `its residue kills snails for weeks to months: ${TRIAL_SNAILS.count} trial snails first, more once they have lived ${TRIAL_SNAILS.days} days`,
      isTrial ? 'confirm' : 'reason',
    ),
  ]
}

/** Everything that the water itself speaks against somebody who comes into it. */
export const newcomerWaterConcerns = (journal: Journal, resident: Resident, water: WaterState): Concern[] => [
  ...metConcerns(journal, resident, water),
  ...rockConcerns(journal, resident, water),
  ...residueConcerns(journal, resident, water),
]
