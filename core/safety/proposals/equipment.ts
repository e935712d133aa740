import { isCopper } from '../../catalogue/treatments/groups.ts'
import { DOSES } from '../../catalogue/treatments/treatments.ts'
import { courseById, type Course } from '../../courses/course.ts'
import { isDrugRecord, recordOf } from '../../courses/record/record.ts'
import { roundsOf } from '../../courses/tracks/measure.ts'
import { DEFAULT_SETTINGS, settingsOf } from '../../household/settings.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { concern, type Asking, type Concern } from '../concern.ts'
import { isCountFull } from '../../courses/progress.ts'
import { agentConcerns, contextConcerns } from '../judge/interactions.ts'
import { agentName, isHeatSetting, type AgentInWater } from '../water/agents.ts'
import { contextOfItem, coursesIn } from '../water/contexts.ts'
import { residentsIn } from '../water/residents.ts'
import { waterBetween } from '../water/state.ts'

const WHERE_IT_GOES =
  'Used carbon and resin go to household or hazardous waste as local rules say; treated water never into nature or a storm drain'

/** Where a plan’s drug may be taken out: once its treatment ended, or its indicator jar is dead. */
const isPlanOver = (journal: Journal, course: Course, at: number): boolean => {
  const record = recordOf(journal, course, at)
  if (record.endedTreatmentAt !== null) return true
  const { clock } = settingsOf(journal) ?? DEFAULT_SETTINGS
  const isDead = course.definition.tracks.some(
    (track) =>
      track.kind === 'measure' &&
      track.measure === 'alive' &&
      roundsOf(record, 'alive', track.of, clock).at(-1)?.value === 0,
  )
  return isDead || at >= course.startedAt + course.requiredDays * MS_PER_DAY
}

/** Whether fish of a course that move at its end are still in its water: the level is not lowered before they are out. */
const isMoveOwed = (journal: Journal, { definition, tankId, animalIds }: Course, at: number): boolean =>
  definition.ends === 'move' && residentsIn(journal, tankId, at).some(({ id }) => animalIds.includes(id))

/** Whether taking an agent out is right now, and why. */
function takenOutRightly(journal: Journal, one: AgentInWater, tankId: string, at: number): string | null {
  const { agent, courseId, mgPerL, since } = one
  const course = courseId === undefined ? null : courseById(journal, courseId)
  const name = agentName(agent)
  if (course) {
    const record = recordOf(journal, course, at)
    if (isDrugRecord(record) && mgPerL !== null && mgPerL > record.course.dose.high + 1e-6)
      return `${name} is above its range: carbon brings it down, so read it before each dose`
    if (isCountFull(journal, course.id, at) && !isMoveOwed(journal, course, at))
      return `the count of ${name} is complete`
    if (course.definition.kind === 'plan' && isPlanOver(journal, course, at))
      return `the treatment with ${name} is over`
    return null
  }
  const plan = coursesIn(journal, tankId, at).find(({ definition }) =>
    definition.products.some(({ ingredient }) => ingredient === agent),
  )
  if (plan) return isPlanOver(journal, plan, at) ? `the treatment with ${name} is over` : null
  // Copper that no course holds is left over.
  if (isCopper(agent) || agent === 'copper') return `no course holds ${name} in this water`
  const redose = DOSES.filter((row) => row.agent === agent && row.route === 'tank').flatMap(({ redoseHours }) =>
    redoseHours ? [redoseHours[0]] : [],
  )
  const isDone = since !== null && redose.length > 0 && at - since >= Math.min(...redose) * MS_PER_HOUR
  return isDone ? `${name} has had its time` : null
}

/** What speaks against switching something on in a tank. */
export function equipmentConcerns(
  journal: Journal,
  content: ContentOf<'equipment'>,
  { now, except }: Asking,
): Concern[] {
  const { tankId, item, running, removed, value } = content
  const at = Date.parse(content.happened)
  if (!running || removed) return []
  const isHeat = item === 'heater' && value !== undefined && isHeatSetting(value)
  const context = contextOfItem(item, content)
  if (!context && !isHeat) return []
  const water = waterBetween(journal, tankId, at, Math.max(at, now), except)
  if (!water) return []
  if (isHeat)
    return agentConcerns({ agent: 'heat' }, { ...water, agents: water.agents.filter(({ agent }) => agent !== 'heat') })
  const takesOut = item === 'carbon' || item === 'resin'
  const rightly = takesOut
    ? water.agents.flatMap((one) => {
        const why = takenOutRightly(journal, one, tankId, at)
        return why === null ? [] : [{ agent: one, why }]
      })
    : []
  const left = water.agents.filter((one) => !rightly.some(({ agent }) => agent === one))
  return [
    ...contextConcerns(context!, left),
    ...rightly
      .filter(({ agent }) => contextConcerns(context!, [agent]).length > 0)
      .map(({ agent, why }) =>
        concern(
          'carbon-takes-out',
          'note',
          why,
          `${item === 'carbon' ? 'carbon' : 'resin'} takes ${agentName(agent.agent)} out. ${WHERE_IT_GOES}`,
        ),
      ),
  ]
}
