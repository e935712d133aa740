import type { Definition } from '../catalogue/courses/definitions.ts'
import { lifeModelOf } from '../catalogue/treatments/treatments.ts'
import { leastMoves } from '../catalogue/courses/move-track.ts'
import { courseRisk } from './course-risk.ts'
import type { CourseRiskInput } from './risk.schema.ts'

/** What is assumed of one parasite: how many are on the fish, how long it sits there, how its cyst hatches (quarantine.md 4.1, EA). */
export type RiskAssumption = Pick<CourseRiskInput, 'parasitesOnHost' | 'onHost' | 'cyst' | 'infection'>

/** The handbook's own assumptions, for a light or a heavy infection. */
export function usualAssumption(parasite: string, infection: 'light' | 'heavy' = 'light'): RiskAssumption {
  const model = lifeModelOf(parasite)
  if (!model) throw new RangeError(`no model of ${parasite}`)
  return {
    parasitesOnHost: infection === 'light' ? model.onHostLight : model.onHostHeavy,
    onHost: model.onHost,
    cyst: model.cyst,
    infection: model.infection,
  }
}

/** When the fish are shielded and when they move if a school goes by the book, h from its hour 0. */
export interface Shelter {
  protectedWindows: CourseRiskInput['protectedWindows']
  movesHours: number[]
}

/** What a school's schedule shelters the fish from; null where it neither moves nor shields them. */
export function shelterOf({ tracks, ends }: Definition): Shelter | null {
  for (const track of tracks) {
    if (track.kind === 'rounds' && track.of === 'move') {
      const { usualHours } = track.rule
      return {
        protectedWindows: [],
        movesHours: Array.from({ length: leastMoves(track.rule) }, (_, i) => (i + 1) * usualHours),
      }
    }
    if (track.kind === 'hold' && (track.by === 'drug' || track.by === 'salinity')) {
      const hours = (track.days as number) * 24
      return { protectedWindows: [{ fromHours: 0, toHours: hours }], movesHours: ends === 'move' ? [hours] : [] }
    }
  }
  return null
}

/**
 * Risk that a parasite comes back to a fish that was sheltered so, from the handbook's light infection.
 * @returns null where it is not modelled
 */
export function riskOfShelter(parasite: string, shelter: Shelter): number | null {
  if (lifeModelOf(parasite) === undefined) return null
  const result = courseRisk({ ...usualAssumption(parasite), ...shelter })
  return result.ok ? result.value.risk : null
}
