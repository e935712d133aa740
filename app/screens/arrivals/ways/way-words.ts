import type { Way } from '../../../../core/acclimation/ways.ts'
import { mindsSalinity } from '../../../../core/acclimation/limits.ts'
import type { Limits } from '../../../../core/acclimation/trials.ts'
import { dripWords, waterWords, WAY_NAMES } from '../../../../core/arrivals/run/step-words.ts'
import type { UnitHabits } from '../../../../core/household/settings.ts'
import { parameterValue, quantityText } from '../../../../core/words/quantities.ts'

/** The amount a way asks for, first and largest; and how it is given. */
export function wayFigure({ kind, method, moveAt }: Pick<Way, 'kind' | 'method' | 'moveAt'>): {
  figure: string
  how: string
} {
  if (method?.kind === 'scoop')
    return {
      figure: waterWords(method.scoopL),
      how: `a scoop of tank water every ${Number(method.everyMinutes.toFixed(1))} minutes, across at minute ${moveAt}`,
    }
  if (method?.kind === 'drip') {
    const [amount, seen] = dripWords(method.mlPerMinute).split(', ')
    return { figure: amount!, how: `a drip of tank water, ${seen}; across at minute ${moveAt}` }
  }
  if (moveAt === 0)
    return {
      figure: 'now',
      how: `by net or cup, nothing mixed${kind === 'match-and-release' ? ', into a tank set to its water' : ''}`,
    }
  return {
    figure: `${moveAt} min`,
    how:
      kind === 'match-and-release'
        ? 'afloat, sealed; opened and across at once, into a tank set to the bag'
        : 'afloat, sealed; then opened and across at once',
  }
}

/** What the curves of a way show, in a sentence. */
export function wayCaption(way: Way, limits: Limits, units: UnitHabits): string {
  const last = way.points.at(-1)!
  const at = [
    mindsSalinity(limits) && quantityText(parameterValue('salinity', last.salinityPsu, units)),
    quantityText(parameterValue('temp', last.temperatureC, units)),
    `pH ${last.pH.toFixed(2)}`,
  ].filter(Boolean)
  return `Across at minute ${way.moveAt}: ${at.join(', ')}; free ammonia at most ${way.peakFree.toFixed(3)} mg/L, ${Math.round(last.bagWaterFraction * 100)} % bag water.`
}

/** Everything the picture of a way shows, for whoever does not see it. */
export const wayLabel = (way: Way, limits: Limits, units: UnitHabits): string =>
  `${WAY_NAMES[way.kind]}: ${wayCaption(way, limits, units)}`
