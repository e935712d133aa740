import { animalById } from '../../household/animals.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import { concern, type Concern } from '../concern.ts'
import { agentName } from '../water/agents.ts'
import type { Resident } from '../water/residents.ts'
import { isSpotPeroxide } from './interactions.ts'
import type { Treatment } from './treatment.ts'

/** Two agents that react on the same animal, and the hours that lie between one and the other. */
interface Reaction {
  rule: string
  agents: readonly [string, string]
  hours: number
  severity: 'never' | 'block'
  reason: string
}

const REACTIONS: readonly Reaction[] = [
  {
    rule: 'formalin-permanganate',
    agents: ['formalin', 'permanganate'],
    // What clings to gills and slime is gone after a week (EA).
    hours: 168,
    severity: 'never',
    reason: 'they react violently, and the gas is toxic: never one after the other on the same fish',
  },
  {
    rule: 'formalin-peroxide',
    agents: ['formalin', 'peroxide'],
    // quarantine.md 6 (EA).
    hours: 48,
    severity: 'block',
    reason: 'they react, and both burn the gills: at least 48 hours between one and the other',
  },
]

const otherOf = ({ agents: [one, two] }: Reaction, agent: string): string | null =>
  agent === one ? two : agent === two ? one : null

const isBathOf = ({ animalIds, partIds = [] }: ContentOf<'bath'>, id: string): boolean =>
  animalIds.includes(id) || partIds.includes(id)

/** Whether somebody was bathed in an agent within some hours of an instant, before it or after. */
const wasBathedIn = (
  journal: Journal,
  id: string,
  agent: string,
  at: number,
  hours: number,
  except?: string,
): boolean =>
  journal
    .ofKind('bath')
    .some(
      (line) =>
        line.id !== except &&
        line.content.ingredient === agent &&
        Math.abs(line.at - at) < hours * MS_PER_HOUR &&
        isBathOf(line.content, id),
    )

/** Whether an agent was dosed into a tank while an animal lived there, within some hours of an instant. */
function wasDosedAround(journal: Journal, id: string, agent: string, at: number, hours: number): boolean {
  const animal = animalById(journal, id)
  if (!animal) return false
  return animal.stays.some((stay) =>
    journal
      .about(`water:${stay.tankId}`)
      .some(
        ({ content, struck, at: when }) =>
          !struck &&
          content.kind === 'dose' &&
          content.ingredient === agent &&
          Math.abs(when - at) < hours * MS_PER_HOUR &&
          when >= stay.from &&
          (stay.to === null || when < stay.to),
      ),
  )
}

/**
 * What some animals had before that reacts with an agent: as a bath, or dosed into the water they lived in.
 * @param isBath they are to be bathed in it; else it is dosed into their water, and what else is in that water is asked elsewhere
 */
function reactionsOf(
  journal: Journal,
  residents: readonly Resident[],
  agent: string,
  at: number,
  isBath: boolean,
  except?: string,
): Concern[] {
  return REACTIONS.flatMap((reaction) => {
    const other = otherOf(reaction, agent)
    if (other === null) return []
    return residents
      .filter(
        ({ id }) =>
          wasBathedIn(journal, id, other, at, reaction.hours, except) ||
          (isBath && wasDosedAround(journal, id, other, at, reaction.hours)),
      )
      .map(({ label }) =>
        concern(
          reaction.rule,
          reaction.severity,
          `${label} had ${agentName(other)} within ${reaction.hours < 72 ? `${reaction.hours} hours` : `${reaction.hours / 24} days`}`,
          reaction.reason,
        ),
      )
  })
}

/** What reacts with a bath that some are to have. */
export const reactionsOfBath = (
  journal: Journal,
  residents: readonly Resident[],
  agent: string,
  at: number,
  except?: string,
): Concern[] => reactionsOf(journal, residents, agent, at, true, except)

/** What reacts with a dose into the water that some live in. Peroxide in spots is exempt: head of quarantine.md 6. */
export const reactionsOfResidents = (
  journal: Journal,
  residents: readonly Resident[],
  agent: string,
  treatment: Treatment,
  at: number,
): Concern[] => (isSpotPeroxide(treatment) ? [] : reactionsOf(journal, residents, agent, at, false))
