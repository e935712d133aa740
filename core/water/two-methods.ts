import { compareAmmonia } from '../ammonia/ammonia.ts'
import type { AmmoniaComparison } from '../ammonia/ammonia.schema.ts'
import { tanAsN } from '../ammonia/basis.ts'
import { waterOfTank, type TankWater } from '../arrivals/run/water.ts'
import type { Tank } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { lastValue, type ValueReading } from '../readings/evidence.ts'
import { readingsOf, type ReadingLine } from '../readings/latest.ts'
import type { Result } from '../result/result.ts'

/** Free ammonia that no card shows more than, mg/L N (EA): the end of "over 0.2". */
const CARD_END = 5

/** What an indicator's reading spans, mg/L N: a range as it is, a limit from nothing or to the card's end, a value give or take its error. */
function spanOfCard({
  result,
  uncertainty = 0,
}: Pick<ContentOf<'reading'>, 'result' | 'uncertainty'>): [number, number] {
  switch (result.kind) {
    case 'range':
      return [result.low, result.high]
    case 'below':
      return [0, result.limit]
    case 'above':
      return [result.limit, CARD_END]
    case 'value':
      return [Math.max(0, result.value - uncertainty), result.value + uncertainty]
  }
}

/** Total ammonia by a kit held against free ammonia by a card. */
export interface TwoMethods {
  total: ValueReading
  card: ReadingLine
  /** What the card spans, mg/L N. */
  cardMgPerL: [number, number]
  /** The water that the free share is worked out for; what was not read lately is assumed. */
  water: TankWater
  compared: Result<AmmoniaComparison>
}

/**
 * The last total ammonia of a tank against the last indicator, by `ammonia.compare` in the tank's own water.
 * @param freshMs how old either may be
 * @returns null where one of the two is missing or old
 * @example
 * ammoniaByTwoMethods(journal, tank, now, MS_PER_DAY)?.compared // verdict "agree", "indicator-low" or "indicator-high"
 */
export function ammoniaByTwoMethods(journal: Journal, tank: Tank, now: number, freshMs: number): TwoMethods | null {
  const total = lastValue(journal, tank.id, 'tan', now + 1)
  const card = readingsOf(journal, tank.id, 'nh3').findLast(({ at }) => at <= now)
  if (!total || !card || now - total.at > freshMs || now - card.at > freshMs) return null
  const cardMgPerL = spanOfCard(card.content)
  const water = waterOfTank(journal, tank, now)
  return {
    total,
    card,
    cardMgPerL,
    water,
    compared: compareAmmonia({
      kit: {
        tanMgPerL: tanAsN(total.line.content, total.value),
        sdMgPerL: (total.line.content.uncertainty ?? 0) / 2,
      },
      indicator: { lowMgPerL: cardMgPerL[0], highMgPerL: cardMgPerL[1] },
      pH: water.pH.value,
      temperatureC: water.temperatureC.value,
      salinityPsu: water.salinityPsu.value,
    }),
  }
}
