import { DOSES } from '../../catalogue/treatments/treatments.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { cannotJudge, concern, type Asking, type Concern } from '../concern.ts'
import { agentConcerns } from '../judge/interactions.ts'
import { sensitivityConcerns, unknownConcerns } from '../judge/sensitivities.ts'
import { agentName, lastGivenAt } from '../water/agents.ts'
import { waterBetween } from '../water/state.ts'
import { metUntil } from './dose.ts'

/** More of a medicine in the food than any row of the handbook, or a medicine that has no such row. */
function strengthConcerns({ ingredient, mgPerG }: ContentOf<'feed'>): Concern[] {
  const name = agentName(ingredient!)
  const rows = DOSES.filter(({ agent, route }) => agent === ingredient && route === 'food')
  if (rows.length === 0)
    return [
      cannotJudge(
        `the handbook does not give ${name} in food`,
        'how much is right cannot be judged: a veterinarian decides',
      ),
    ]
  if (mgPerG === undefined)
    return [cannotJudge(`no strength of ${name} in the food is known`, 'say how many mg are in a gram of food')]
  const high = Math.max(...rows.map((row) => row.high))
  return mgPerG <= high * (1 + 1e-6)
    ? []
    : [
        concern(
          'over-band',
          'block',
          `${Number(mgPerG.toPrecision(3))} mg in a gram of food`,
          `above the ${high} mg/g that the handbook gives of ${name}`,
          'reason',
        ),
      ]
}

/** Medicine in food ends in the water: what lives in it, and what else is in it, meets it. */
export function feedConcerns(journal: Journal, feed: ContentOf<'feed'>, { now, except }: Asking): Concern[] {
  if (feed.ingredient === undefined) return []
  const at = Date.parse(feed.happened)
  const water = waterBetween(journal, feed.tankId, at, metUntil(feed.ingredient, at, now), except)
  if (!water) return []
  const treatment = {
    agent: feed.ingredient,
    isFed: true,
    ...(feed.courseId !== undefined && { courseId: feed.courseId }),
  }
  return [
    ...strengthConcerns(feed),
    ...agentConcerns(treatment, water, lastGivenAt(journal, feed.tankId, at, except)),
    ...sensitivityConcerns(water.residents, treatment),
    ...unknownConcerns(water.residents, agentName(feed.ingredient)),
  ]
}
