import { RAISE_A_DAY } from '../../catalogue/daily-caps.data.ts'
import type { ParameterId } from '../../catalogue/parameter.types.ts'
import { animalsOf } from '../../household/animals.ts'
import { tanksOf, type Tank } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { valuesOf } from '../../readings/evidence.ts'
import { worstChangePerDay } from '../../readings/worst-change.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { runningIn, type Course } from '../course.ts'

/** What is looked at: further-schools.md 5, each over what may be raised in a day in a tank of mixed corals. */
const LOOKED_AT = ['alk-kh', 'no3', 'po4', 'salinity', 'temp'] as const satisfies readonly ParameterId[]
const DAYS = 30
/** A loss counts as much as one value that changed by its whole daily cap. */
const LOSS_POINTS = 1

const isMedicated = ({ definition: { kind } }: Course): boolean => kind === 'school' || kind === 'add-on'

/** How steady a tank was in the last thirty days: the lower, the safer for a frag. */
export interface RefugeScore {
  tank: Tank
  /** Sum of the worst daily changes over their caps, and of the losses; null where nothing was tested. */
  score: number | null
  /** Worst daily change over its cap, by parameter that was tested at least twice. */
  worst: readonly { parameter: ParameterId; share: number; perDay: number }[]
  losses: number
}

function worstPerDay(
  journal: Journal,
  tankId: string,
  parameter: ParameterId,
  from: number,
  now: number,
): number | null {
  return worstChangePerDay(valuesOf(journal, tankId, parameter, from, now))
}

/**
 * Which of the own marine tanks is the steadiest: further-schools.md 5, refuge score: the worst change a day in thirty days over its
 * daily cap, for alkalinity, nitrate, phosphate, salinity and temperature, and the losses. A tank on which less was tested comes after one
 * on which more was, since what is not known is not steady. A tank under a school or an add-on is left out: what is dosed there harms corals.
 * @returns the steadiest first
 */
export function refugeScores(journal: Journal, now: number): RefugeScore[] {
  const from = now - DAYS * MS_PER_DAY
  const deaths = animalsOf(journal).flatMap(({ end, stays }) =>
    end && end.how === 'died' && end.at >= from && end.at <= now ? [stays.at(-1)?.tankId] : [],
  )
  return tanksOf(journal)
    .filter(({ water, id }) => water === 'marine' && !runningIn(journal, id).some(isMedicated))
    .map((tank): RefugeScore => {
      const worst = LOOKED_AT.flatMap((parameter) => {
        const perDay = worstPerDay(journal, tank.id, parameter, from, now)
        return perDay === null ? [] : [{ parameter, perDay, share: perDay / RAISE_A_DAY[parameter].usual }]
      })
      const losses = deaths.filter((id) => id === tank.id).length
      return {
        tank,
        score: worst.length === 0 ? null : worst.reduce((sum, { share }) => sum + share, 0) + LOSS_POINTS * losses,
        worst,
        losses,
      }
    })
    .sort(
      (a, b) =>
        Number(a.score === null) - Number(b.score === null) ||
        b.worst.length - a.worst.length ||
        (a.score ?? 0) - (b.score ?? 0),
    )
}
