import type { WaterThing, Want } from '../../catalogue/courses/wants.data.ts'
import { parameterById } from '../../catalogue/parameter.ts'
import type { UnitHabits } from '../../household/settings.ts'
import { psuOfGravity } from '../../salinity/gravity.ts'
import { measureText } from '../../words/measure.ts'
import { capital, listed } from '../../words/numbers.ts'
import type { BoardConflict, HeldOnBoard, TankBoard } from './tank-board.ts'

const THINGS: Readonly<Record<WaterThing, string>> = {
  carbon: 'carbon and resin',
  uv: 'UV',
  skimmer: 'the skimmer',
  'phosphate-remover': 'the phosphate remover',
  'auto-top-off': 'the automatic top-off',
  light: 'the light',
  no3: 'nitrate',
  po4: 'phosphate',
  grazers: 'grazers',
  fish: 'fish',
  invertebrates: 'invertebrates or corals',
  snails: 'snails or shrimp',
}

/** An order in a few words: "carbon and resin off", "no grazers", "phosphate kept up". */
export function wantWords({ thing, wanted }: Want): string {
  const name = THINGS[thing]
  return wanted === 'none' ? `no ${name}` : wanted === 'new ones' ? `new ${name}` : `${name} ${wanted}`
}

/** A held level: "Copper 2.10 mg/L, held at 2.00 to 2.50, aim at 2.25". */
export function heldWords({ word, unit, low, high, target, now }: HeldOnBoard, units: UnitHabits): string {
  const level = (value: number) =>
    unit === 'mg/L' ? `${value.toFixed(2)} mg/L` : measureText(psuOfGravity(value), 'psu', units, 3)
  return `${capital(word)} ${now === null ? 'not known' : level(now)}: held at ${level(low)} to ${level(high)}, aim at ${level(target)}`
}

/** Two orders that cannot both be followed, in a sentence. */
export const conflictWords = ({ follow, wait }: BoardConflict): string =>
  `${wait.course} asks for ${wantWords(wait)}, ${follow.course} for ${wantWords(follow)}: ${follow.why}. Follow ${follow.course}; ${wantWords(wait)} waits until it is over`

/** What is tested once for all courses today; null for nothing. */
export const testsWords = ({ testsToday }: Pick<TankBoard, 'testsToday'>): string | null =>
  testsToday.length === 0 ? null : listed(testsToday.map((id) => parameterById(id)?.name ?? id))
