import { productById } from '../../household/shelf.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { concern, type Asking, type Concern } from '../concern.ts'
import { agentConcerns } from '../judge/interactions.ts'
import { dayCapConcerns } from '../judge/day-caps.ts'
import { doseLimitConcerns, levelMadeBy } from '../judge/limits.ts'
import { reactionsOfResidents } from '../judge/reactions.ts'
import { salinityConcerns } from '../judge/salinity.ts'
import { sensitivityConcerns, unknownConcerns } from '../judge/sensitivities.ts'
import type { Treatment } from '../judge/treatment.ts'
import { agentName, lastGivenAt } from '../water/agents.ts'
import { chloroquineLoss } from '../water/contexts.ts'
import { staysHours } from '../water/level.ts'
import { salinityOf } from '../water/salinity.ts'
import { waterBetween, type WaterState } from '../water/state.ts'
import { countedMassMg } from '../../dosing/counted-mass.ts'

/** The latest instant up to which what comes into the water still meets a dose: a dose entered late meets what came after it. */
export const metUntil = (agent: string, at: number, now: number): number =>
  Math.max(at, Math.min(now, at + staysHours(agent) * MS_PER_HOUR))

/** What a dose is to those in the water: its agent, its course and the level it makes. */
function treatmentBy(
  journal: Journal,
  dose: ContentOf<'dose'>,
  water: WaterState,
  at: number,
  except?: string,
): Treatment {
  const own = water.agents.find(({ agent, courseId }) => agent === dose.ingredient && courseId !== undefined)
  const courseId = dose.courseId ?? own?.courseId
  const { makes, dayBefore } = levelMadeBy(journal, dose, water, at, except)
  const product = dose.productId === undefined ? null : productById(journal, dose.productId)
  return {
    agent: dose.ingredient,
    makesMgPerL: makes,
    dayBeforeMgPerL: dayBefore,
    ...(courseId !== undefined && { courseId }),
    ...(product?.solvent === true && { isSolvent: true }),
    ...(isBareOfMedia(journal, dose, water) && { isMediaOut: true }),
  }
}

/** The tier of a bare tank: nobody in it and its filter off, so that no filter bacteria are in the way. */
const isBareOfMedia = (
  journal: Journal,
  { ingredient, tankId }: ContentOf<'dose'>,
  { residents, from }: WaterState,
): boolean =>
  ingredient === 'peroxide' &&
  residents.length === 0 &&
  journal
    .ofKind('equipment')
    .findLast(({ content, at }) => content.tankId === tankId && content.item === 'filter' && at <= from)?.content
    .running === false

/** Chloroquine that light, UV or carbon may have taken out unseen: nobody can say what is left. */
function lossConcerns(journal: Journal, { ingredient, tankId }: ContentOf<'dose'>, at: number): Concern[] {
  if (ingredient !== 'chloroquine') return []
  const first = journal
    .about(`water:${tankId}`)
    .findLast(
      ({ content, struck, at: when }) =>
        !struck && when < at && content.kind === 'dose' && content.ingredient === ingredient,
    )
  const loss = first && chloroquineLoss(journal, tankId, first.at, at)
  if (!loss) return []
  const days = loss.hours / 24
  const span =
    days >= 1 ? `${Math.round(days)} ${Math.round(days) === 1 ? 'day' : 'days'}` : `${Math.round(loss.hours)} h`
  return [
    concern(
      'chloroquine-loss',
      'caution',
      `${loss.item === 'light' ? 'strong light' : loss.item === 'uv' ? 'UV' : loss.item} ran for ${span} since it was dosed`,
      'it destroys or removes chloroquine unseen: what is left cannot be tested. Change water and dose again from the start',
    ),
  ]
}

/** Salt dosed dry into a tank raises its salinity: a gram in a litre is about one psu. */
function saltConcerns(
  journal: Journal,
  dose: ContentOf<'dose'>,
  water: WaterState,
  at: number,
  except?: string,
): Concern[] {
  if (dose.ingredient !== 'sea-salt' && !(dose.ingredient === 'salt' && water.tank.water === 'marine')) return []
  const salinity = salinityOf(journal, dose.tankId, at, except)
  if (water.netL === null || countedMassMg(dose) === undefined || !salinity) return []
  const after = salinity.psu + countedMassMg(dose)! / 1000 / water.netL
  return salinityConcerns(journal, water, { before: salinity.psu, after, withPsu: null }, at, except)
}

/** What speaks against a dose into a tank. */
export function doseConcerns(journal: Journal, dose: ContentOf<'dose'>, { now, except }: Asking): Concern[] {
  const at = Date.parse(dose.happened)
  const water = waterBetween(journal, dose.tankId, at, metUntil(dose.ingredient, at, now), except)
  if (!water) return []
  const treatment = treatmentBy(journal, dose, water, at, except)
  const given = lastGivenAt(journal, dose.tankId, Math.max(at, Math.min(now, at + WEEK_MS)), except)
  const mgPerL = countedMassMg(dose) === undefined || water.netL === null ? null : countedMassMg(dose)! / water.netL
  return [
    ...doseLimitConcerns(journal, dose, water, at, except),
    ...agentConcerns(treatment, water, given),
    ...sensitivityConcerns(water.residents, treatment),
    ...unknownConcerns(water.residents, agentName(dose.ingredient)),
    ...reactionsOfResidents(journal, water.residents, dose.ingredient, treatment, at),
    ...lossConcerns(journal, dose, at),
    ...(mgPerL === null ? [] : dayCapConcerns(journal, dose, mgPerL, water, at, except)),
    ...saltConcerns(journal, dose, water, at, except),
  ]
}

const WEEK_MS = 7 * MS_PER_DAY
