import { FALL_A_DAY } from '../../catalogue/daily-caps.data.ts'
import { changeForTarget } from '../../water-change/water-change.ts'
import { invalid, ok, type Result } from '../../result/result.ts'
import { raiseCap } from './salts.ts'

/** Most that may come down in a day at a level, outbreaks.md 5.4. */
export interface LowerCap {
  parameter: string
  capAt: (level: number) => number
  words: string
}

export const LOWER_CAPS: readonly LowerCap[] = [
  {
    parameter: 'no3',
    capAt: FALL_A_DAY.no3.careful,
    words: '5 mg/L or a quarter, the smaller',
  },
  {
    parameter: 'po4',
    capAt: FALL_A_DAY.po4.careful,
    words: '0.02 mg/L, above 0.2 a fifth',
  },
  { parameter: 'alk-kh', capAt: FALL_A_DAY['alk-kh'].careful, words: 'half a degree' },
  { parameter: 'salinity', capAt: FALL_A_DAY.salinity.careful, words: '2 ppt' },
]

/** Levels that nutrients are kept over, mg/L: outbreaks.md 5.4. */
export const FLOORS: Readonly<Record<string, number>> = { no3: 2, po4: 0.03 }
/** The same while dinoflagellates last. */
export const DINO_FLOORS: Readonly<Record<string, number>> = { no3: 5, po4: 0.05 }

/** The most days that a plan runs over. */
const MOST_DAYS = 60

export interface LowerInput {
  parameter: string
  now: number
  target: number
  netL: number
  /** What the new water holds. */
  replacement: number
  /** Largest share of the water in one change. */
  maxFraction: number
  /** Whether small-polyp corals live there: some of what rises does so half as fast. */
  hasSmallPolyps?: boolean
}

/** One water change of a plan. */
export interface PlannedChange {
  /** Days from now on. */
  day: number
  litres: number
  fraction: number
  reaches: number
}

/**
 * Water changes that bring a level to a target, one a day, none faster than its daily cap or larger than allowed. Where no cap is known (calcium,
 * magnesium, potassium: "water change only"), the size of the changes alone decides. A level that lies under the new water's is raised the same way.
 * @returns `no-solution` where the new water cannot bring it there; `invalid-input` where it would take over two months
 */
export function planChanges({
  parameter,
  now,
  target,
  netL,
  replacement,
  maxFraction,
  hasSmallPolyps = false,
}: LowerInput): Result<PlannedChange[]> {
  const down = LOWER_CAPS.find((one) => one.parameter === parameter)
  const up = raiseCap(parameter, 'usual', hasSmallPolyps)
  const falls = target < now
  const reach = (level: number): number => {
    if (falls) return down ? Math.max(target, level - down.capAt(level)) : target
    return up === null ? target : Math.min(target, level + up)
  }
  const changes: PlannedChange[] = []
  let level = now
  // A change larger than allowed is cut: the level it reaches then decides the next.
  while (Math.abs(level - target) > 1e-9) {
    if (changes.length >= MOST_DAYS)
      return invalid(
        '/target',
        `expected a target within ${MOST_DAYS} days of changes; use cleaner water or larger changes`,
      )
    const wanted = reach(level)
    const change = changeForTarget({
      startMgPerL: level,
      targetMgPerL: wanted,
      replacementMgPerL: replacement,
      maxFraction: 1,
    })
    if (!change.ok) return change
    const fraction = Math.min(change.value.singleFraction, maxFraction)
    level = fraction < change.value.singleFraction ? level * (1 - fraction) + replacement * fraction : wanted
    changes.push({ day: changes.length, litres: fraction * netL, fraction, reaches: level })
  }
  return ok(changes)
}
